/**
 * Stage 7: how much liquid metal, cover and paste, and what must never meet. Volumes and the flow
 * of paste themselves are reckoned in physics.
 */
package dev.ambershim.core.stage.coat;
