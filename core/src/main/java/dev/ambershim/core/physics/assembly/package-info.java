/**
 * The chip, its joints and its cooler: what sits on what, and how big it is. What heat does in it
 * belongs to the conduction and build packages.
 */
package dev.ambershim.core.physics.assembly;
