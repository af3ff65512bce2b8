/**
 * The published stack case and what its solution is written as. The physics and its rules live in
 * the core.
 */
package dev.ambershim.logbook.stack;
