/**
 * Stage 2: what the chip is like before the work, and whether the figure can be trusted. How one
 * run is judged lives in the judging package.
 */
package dev.ambershim.core.stage.baseline;
