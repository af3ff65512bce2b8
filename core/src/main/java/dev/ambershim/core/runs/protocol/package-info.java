/**
 * How a stress run is conducted: its phases, its conditions, whether it has settled, and when it
 * has to stop. It is fed samples and says what should happen; where samples come from, and who
 * turns the load on, is not its business.
 */
package dev.ambershim.core.runs.protocol;
