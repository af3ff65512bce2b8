package dev.ambershim.sensors.rig;

import java.util.List;

/**
 * What the simulated sensors say at one moment.
 *
 * @param seconds time since the recording began
 * @param coreCelsius each core
 * @param packageCelsius the hottest place
 * @param coolantCelsius coolant
 * @param roomCelsius room air
 * @param watts chip power
 * @param megahertz clock
 * @param throttled whether the chip holds itself back
 */
public record RigSample(
    int seconds,
    List<Double> coreCelsius,
    double packageCelsius,
    double coolantCelsius,
    double roomCelsius,
    double watts,
    double megahertz,
    boolean throttled) {}
