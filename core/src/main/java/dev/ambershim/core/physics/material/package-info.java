/**
 * What things are made of: conductivities with their source and spread. Sizes and positions live in
 * the assembly package.
 */
package dev.ambershim.core.physics.material;
