/**
 * How far a chip clocks: the ladder of tries, what the next one should be, how heat and clock go
 * together, and what the work brought in megahertz. How a load is run and its log judged lives in
 * the packages for protocols and runs.
 */
package dev.ambershim.core.runs.clocking;
