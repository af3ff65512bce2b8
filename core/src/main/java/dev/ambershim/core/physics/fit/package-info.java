/**
 * What stands how high on the chip and around it, what the cooler touches first, what the lid
 * leaves over each die, and the outline of the shim. How flat a face is belongs to the surface
 * package.
 */
package dev.ambershim.core.physics.fit;
