/**
 * The work itself: steps made for the case, hold points, waits, the schedule, the kit and what was
 * done. What to do is decided elsewhere (forecast); how much of everything belongs to dosing.
 */
package dev.ambershim.core.procedure;
