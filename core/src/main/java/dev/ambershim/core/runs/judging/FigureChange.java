package dev.ambershim.core.runs.judging;

import dev.ambershim.core.base.Interval;

/**
 * One figure's change from before to after.
 *
 * @param name what it is of, such as "hottest core" or "core 3"
 * @param figure the kind of figure
 * @param before mean before
 * @param after mean after, at the power before where that was corrected
 * @param change after less before
 * @param interval its 95 % interval
 */
public record FigureChange(
    String name, Figure figure, double before, double after, double change, Interval interval) {}
