/** A schedule as a calendar that others can read. */
package dev.ambershim.logbook.calendar;
