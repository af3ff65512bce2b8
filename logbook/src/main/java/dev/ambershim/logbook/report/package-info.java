/**
 * A job's report as one HTML file or one PDF, from the same blocks. What the report says is
 * computed in the core; this package only sets it out.
 */
package dev.ambershim.logbook.report;
