/**
 * A job: one chip's story, as data, with the figures a person may edit and what follows from them.
 * Keeping it is the logbook's business, showing it the desktop's.
 */
package dev.ambershim.core.job;
