package dev.ambershim.core.physics.build;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;

/**
 * A chip in a state under a cooler.
 *
 * @param chip the chip
 * @param cooler the cooler
 * @param build the state
 */
public record Situation(Chip chip, Cooler cooler, Build build) {}
