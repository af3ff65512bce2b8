/**
 * Where temperatures come from while a run is on, the simulated rig among them. Reading finished
 * logs and judging them belongs to the core.
 */
package dev.ambershim.sensors;
