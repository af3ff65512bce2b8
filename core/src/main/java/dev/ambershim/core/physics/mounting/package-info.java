/**
 * How hard a cooler presses, in which order its screws are turned, and what that does to die,
 * socket and joint. How the paste flows meanwhile lives in the spread package.
 */
package dev.ambershim.core.physics.mounting;
