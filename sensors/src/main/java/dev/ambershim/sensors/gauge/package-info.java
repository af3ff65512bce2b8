/**
 * A height gauge that sends its readings as text, over a local socket or a stream such as a serial
 * line, and a stand-in for one. What the heights mean is worked out in the core.
 */
package dev.ambershim.sensors.gauge;
