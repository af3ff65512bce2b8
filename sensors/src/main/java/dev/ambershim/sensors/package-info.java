/**
 * Where samples come from, behind one interface: the kernel's sensor files, a log that still grows,
 * the simulated rig; and the machine's load. Judging what they say is the core's business.
 */
package dev.ambershim.sensors;
