package dev.ambershim.core.runs.causes;

/** What may be wrong, in the words of {@code diagnose}. */
public enum CauseKind {
  AS_IT_SHOULD_BE("as it should be", 0.22),
  TOO_THICK("joint too thick", 0.15),
  TILTED("joint tilted", 0.13),
  GAP("joint has a gap", 0.13),
  COOLER_WEAK("cooler weak", 0.11),
  COOLANT_WARM("coolant warm", 0.1),
  SENSOR_OFF("sensor off", 0.07),
  CORE_DRAWS_MORE("core draws more", 0.06),
  NONE_OF_THESE("none of these", 0.03);

  private final String words;
  private final double prior;

  CauseKind(String words, double prior) {
    this.words = words;
    this.prior = prior;
  }

  /** Its name. */
  public String words() {
    return words;
  }

  /**
   * How likely it is before any evidence, when somebody asks why a chip is hot: common practice. A
   * joint's causes are shared among the joints.
   */
  public double prior() {
    return prior;
  }

  /** Whether it sits in a joint. */
  public boolean inJoint() {
    return this == TOO_THICK || this == TILTED || this == GAP;
  }
}
