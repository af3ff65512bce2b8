package dev.ambershim.core.plan;

/** What a hold point asks for before the next step. */
public enum Evidence {
  TICK("your initials"),
  READING("a reading"),
  PHOTO("a photo");

  private final String words;

  Evidence(String words) {
    this.words = words;
  }

  /** The evidence in words. */
  public String words() {
    return words;
  }
}
