/**
 * Stage 5: what touches first, and whether it is flat. Resting plates and reference planes
 * themselves are reckoned in physics.
 */
package dev.ambershim.core.stage.measure;
