/**
 * Stage 6: how much must come off a face, and when it is done. Flatness and removal themselves are
 * reckoned in physics.
 */
package dev.ambershim.core.stage.lap;
