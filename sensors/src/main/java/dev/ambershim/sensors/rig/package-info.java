/**
 * A simulated machine under test: it stands in for a real one in the demo and in tests. It is a
 * lumped model and claims nothing about any real part.
 */
package dev.ambershim.sensors.rig;
