/**
 * A job: one chip's story, as data, with the figures a person may edit and its runs as they were
 * judged. What follows from it is told by the stages; keeping it is the logbook's business.
 */
package dev.ambershim.core.job;
