package dev.ambershim.desktop.model;

/** The two looks: paper and graphite. */
public enum Theme {
  PAPER("paper"),
  GRAPHITE("graphite");

  private final String words;

  Theme(String words) {
    this.words = words;
  }

  /** The theme's name in words. */
  public String words() {
    return words;
  }

  /** Whether its ground is dark. */
  public boolean dark() {
    return this == GRAPHITE;
  }

  /** The other one. */
  public Theme other() {
    return this == PAPER ? GRAPHITE : PAPER;
  }
}
