package dev.ambershim.core.physics.build;

import dev.ambershim.core.physics.conduction.StackSection;
import dev.ambershim.core.physics.conduction.StackSolution.HeatMap;
import java.util.Optional;

/**
 * A situation solved at one set of figures: temperatures over the dies and the resistances from the
 * cores to the room.
 *
 * @param map the underside of the dies
 * @param ladder in the shadow of the dies
 * @param watts the heat that both are for
 * @param peakCelsius the hottest place
 * @param section a cut through the hottest core; empty where the solution has none
 */
public record Detail(
    HeatMap map, Ladder ladder, double watts, double peakCelsius, Optional<StackSection> section) {}
