/**
 * Measured heights and faces as JSON, read and written. What follows from them is worked out in the
 * core.
 */
package dev.ambershim.logbook.measure;
