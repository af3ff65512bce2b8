/**
 * Conduction by the layers' own modes: every solid layer is a box that answers exactly to the
 * fluxes over its faces, and only the fluxes from layer to layer are sought. Stacks that are not
 * made of boxes, and courses in time, are the multigrid's.
 */
package dev.ambershim.core.physics.modes;
