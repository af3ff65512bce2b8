package dev.ambershim.core.runs.judging;

/** What a comparison comes to. */
public enum Verdict {
  HELPED("helped"),
  HURT("hurt"),
  TOO_SMALL("too small to matter"),
  CANNOT_TELL("cannot tell"),
  NOT_COMPARABLE("not comparable");

  private final String words;

  Verdict(String words) {
    this.words = words;
  }

  /** The verdict in words, as the published commands print it. */
  public String words() {
    return words;
  }
}
