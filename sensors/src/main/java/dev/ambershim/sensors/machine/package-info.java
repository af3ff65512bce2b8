/**
 * This machine's sensors as a whole: the kernel's own files first, and what the OSHI library tells
 * beyond them. How a run is conducted lives elsewhere.
 */
package dev.ambershim.sensors.machine;
