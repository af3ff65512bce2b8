package dev.ambershim.core.plan;

/** Pictures that help at a step; each is drawn from the chip's own measures. */
public enum Sketch {
  /** The chip from above with its corner mark, and where the die lies. */
  ORIENTATION,
  /** Where the tool holds the substrate and where it pushes the lid. */
  SHEAR,
  /** Where a blade may go, and how far. */
  BLADE,
  /** A blade at a flat angle on solder. */
  SCRAPE,
  /** What is covered around the die. */
  COVER,
  /** Where the film goes, and how far it stays off the edge. */
  FILM,
  /** Where the glue goes. */
  GLUE,
  /** Where the paste goes. */
  PASTE,
  /** The order in which screws are turned. */
  TIGHTEN
}
