/**
 * The work itself: steps made for the case, hold points, waits, the schedule, the kit and what was
 * done. What to do is decided by Weigh; how much of everything belongs to dosing.
 */
package dev.ambershim.core.plan;
