package dev.ambershim.core.forecast;

import dev.ambershim.core.assembly.Build;
import dev.ambershim.core.assembly.Chip;
import dev.ambershim.core.assembly.Cooler;

/**
 * A chip in a state under a cooler.
 *
 * @param chip the chip
 * @param cooler the cooler
 * @param build the state
 */
public record Situation(Chip chip, Cooler cooler, Build build) {}
