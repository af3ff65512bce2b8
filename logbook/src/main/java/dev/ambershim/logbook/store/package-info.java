/**
 * The logbook on disk: the database, attachments, copies, rights, and where data lies. What a job
 * says is the core's business.
 */
package dev.ambershim.logbook.store;
