package dev.ambershim.logbook.store;

import java.time.Instant;

/**
 * A job in the list of jobs.
 *
 * @param id its key in this logbook
 * @param title its title
 * @param touched when it was last changed
 */
public record JobHead(String id, String title, Instant touched) {}
