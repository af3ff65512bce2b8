/**
 * Stage 9: whether the work helped, and how far the chip clocks now. Statistics of runs and rungs
 * live in the packages of runs.
 */
package dev.ambershim.core.stage.prove;
