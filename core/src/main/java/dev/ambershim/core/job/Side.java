package dev.ambershim.core.job;

/** Which side of the work a run belongs to. */
public enum Side {
  BEFORE("before"),
  AFTER("after");

  private final String words;

  Side(String words) {
    this.words = words;
  }

  /** The side in words. */
  public String words() {
    return words;
  }
}
