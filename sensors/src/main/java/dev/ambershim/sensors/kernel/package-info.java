/**
 * The Linux kernel's own sensor files as a source: hwmon, powercap, cpufreq and the throttle
 * counters, as the kernel documents them. The root of the file tree can be another one, so that
 * tests bring their own.
 */
package dev.ambershim.sensors.kernel;
