package dev.ambershim.sensors.rig;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.build.Situation;
import java.util.EnumMap;
import java.util.Map;

/**
 * What stands on the rig and how it is set.
 *
 * @param machine chip, cooler and build
 * @param watts heat under load at full clock, leakage at 60 °C with it
 * @param megahertz full clock
 * @param volts core voltage at full clock
 * @param fanTurnsPerMinute fan speed
 * @param pumpTurnsPerMinute pump speed
 * @param roomCelsius room air at the start
 * @param roomDriftKelvinPerHour how the room drifts
 * @param limitCelsius hottest core at which the chip lowers its clock
 * @param faults how bad each fault is, 0 to 1
 * @param seed start of the random numbers
 */
public record RigSetup(
    Situation machine,
    double watts,
    double megahertz,
    double volts,
    double fanTurnsPerMinute,
    double pumpTurnsPerMinute,
    double roomCelsius,
    double roomDriftKelvinPerHour,
    double limitCelsius,
    Map<Fault, Double> faults,
    long seed) {
  /** Speeds at which the cooler has its stated resistance. */
  static final double FULL_FAN = 1400;

  static final double FULL_PUMP = 2600;

  /**
   * Checks the faults and copies them.
   *
   * @throws Problem {@code rig.fault} if one is not from 0 to 1
   */
  public RigSetup {
    Map<Fault, Double> copy = new EnumMap<>(Fault.class);
    faults.forEach(
        (fault, size) -> {
          if (!(size >= 0 && size <= 1)) {
            throw new Problem(
                "rig.fault",
                Place.field(fault.words()),
                size + " is no size of a fault.",
                "Give a figure from 0, none, to 1, bad.");
          }
          copy.put(fault, size);
        });
    faults = copy;
  }

  /** A machine on the rig without faults. */
  public static RigSetup of(Situation machine, double watts, long seed) {
    return new RigSetup(
        machine, watts, 4700, 1.18, FULL_FAN, FULL_PUMP, 22, 0.2, 100, Map.of(), seed);
  }

  /** How bad a fault is. */
  public double fault(Fault fault) {
    return faults.getOrDefault(fault, 0.0);
  }

  /** The same with one fault more. */
  public RigSetup with(Fault fault, double size) {
    Map<Fault, Double> all = new EnumMap<>(Fault.class);
    all.putAll(faults);
    all.put(fault, size);
    return new RigSetup(
        machine,
        watts,
        megahertz,
        volts,
        fanTurnsPerMinute,
        pumpTurnsPerMinute,
        roomCelsius,
        roomDriftKelvinPerHour,
        limitCelsius,
        all,
        seed);
  }
}
