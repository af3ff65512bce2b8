/**
 * Probed faces: how flat they are by the words of ISO 12781-1, what two faces leave between them,
 * what a pass of lapping takes off. What stands where on the chip belongs to the fit package.
 */
package dev.ambershim.core.physics.surface;
