package dev.ambershim.core.plan;

import java.util.List;

/**
 * Steps that are done in one go, as the schedule sees them.
 *
 * @param steps the steps, in order
 * @param hands minutes at the bench
 * @param passes minutes that pass by themselves afterwards, before what follows
 * @param lead minutes that must have passed since what went before, besides its own
 * @param before what must be done and have passed, by place in the list
 */
record Block(
    List<PlanStep> steps, double hands, double passes, double lead, List<Integer> before) {}
