/**
 * How much liquid metal, cover and glue a job takes, how sure that is, and what the metal must
 * never meet. How paste flows lives in the spread package, how hard the cooler presses in the
 * mounting package, and which steps are done with it in the plan package.
 */
package dev.ambershim.core.physics.dosing;
