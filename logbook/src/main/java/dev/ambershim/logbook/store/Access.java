package dev.ambershim.logbook.store;

/** How a logbook is opened. */
public enum Access {
  /** For one writer at a time. */
  WRITE,
  /** For looking only; a writer may have it open. */
  READ_ONLY
}
