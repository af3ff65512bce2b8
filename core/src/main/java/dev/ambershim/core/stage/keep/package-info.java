/**
 * Keep: is it ageing, and when is it opened again? Checks over months become one answer, one
 * picture and one date. How drift is told from chance is worked out among the runs.
 */
package dev.ambershim.core.stage.keep;
