package dev.ambershim.core.job;

import dev.ambershim.core.runs.clocking.Rung;

/**
 * A rung that was written down by hand.
 *
 * @param side before or after the work
 * @param rung the try
 */
public record RungEntry(Side side, Rung rung) {}
