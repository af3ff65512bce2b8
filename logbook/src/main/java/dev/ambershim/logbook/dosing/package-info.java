/**
 * Doses, spreads and mounts written for other programs. How they are worked out lives in the core.
 */
package dev.ambershim.logbook.dosing;
