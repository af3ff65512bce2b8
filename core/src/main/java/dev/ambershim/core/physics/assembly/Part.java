package dev.ambershim.core.physics.assembly;

/** Names of the parts that a section shows and that figures belong to, from the board upwards. */
public final class Part {
  /** The chip's circuit board. */
  public static final String SUBSTRATE = "substrate";

  /** All dies. */
  public static final String DIE = "die";

  /** The joint between die and lid. */
  public static final String INNER = "inner joint";

  /** The lid with its rim and glue. */
  public static final String LID = "lid";

  /** The joint under the cold plate, on the lid or on the bare die. */
  public static final String OUTER = "outer joint";

  /** The cooler's base. */
  public static final String PLATE = "cold plate";

  private Part() {}
}
