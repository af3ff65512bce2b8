/**
 * Conduction by finite volumes and multigrid, for what the layers' own modes cannot do: footprints
 * that are not made of rectangles apart from each other, and courses in time.
 */
package dev.ambershim.core.physics.multigrid;
