package dev.ambershim.core.physics.surface;

/** What a face is like as a whole. */
public enum Shape {
  FLAT("flat"),
  CONCAVE("concave"),
  CONVEX("convex"),
  SADDLE("saddle"),
  WEDGE("wedge");

  private final String words;

  Shape(String words) {
    this.words = words;
  }

  /** In words. */
  public String words() {
    return words;
  }
}
