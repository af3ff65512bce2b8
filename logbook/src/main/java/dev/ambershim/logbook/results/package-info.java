/**
 * Answers as JSON and CSV, the same from the window and from the commands. The keys are published
 * in docs/formats.md.
 */
package dev.ambershim.logbook.results;
