package dev.ambershim.core.physics.fit;

/** What a top belongs to. */
public enum TopKind {
  DIE("die"),
  PART("part beside the die"),
  SHIM("shim"),
  FRAME("frame"),
  SOCKET("socket"),
  LID("lid"),
  BRACKET("board part under the bracket"),
  OTHER("something else");

  private final String words;

  TopKind(String words) {
    this.words = words;
  }

  /** In words. */
  public String words() {
    return words;
  }
}
