/**
 * Stage 4: whether a face is clean and fit to be used again. The steps of cleaning live in the plan
 * package.
 */
package dev.ambershim.core.stage.clean;
