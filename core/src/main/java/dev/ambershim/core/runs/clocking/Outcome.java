package dev.ambershim.core.runs.clocking;

/** How one try on the clock ladder ended. */
public enum Outcome {
  PASSED("passed"),
  FAILED("failed"),
  THROTTLED("throttled"),
  TOO_HOT("too hot"),
  STOPPED("stopped");

  private final String words;

  Outcome(String words) {
    this.words = words;
  }

  /** The outcome in words. */
  public String words() {
    return words;
  }
}
