package dev.ambershim.core.runs.drift;

/** What the checks of a chip do over time. */
public enum Trend {
  STEADY("steady"),
  CREEPING("creeping"),
  JUMPED("jumped"),
  CANNOT_TELL("cannot tell");

  private final String words;

  Trend(String words) {
    this.words = words;
  }

  /** Its word in files and sentences. */
  public String words() {
    return words;
  }
}
