package dev.ambershim.core.physics.dosing;

/** Whether liquid metal may meet a face. */
public enum Verdict {
  FINE("fine"),
  WATCH("watch"),
  NEVER("never");

  private final String words;

  Verdict(String words) {
    this.words = words;
  }

  /** In a word. */
  public String words() {
    return words;
  }
}
