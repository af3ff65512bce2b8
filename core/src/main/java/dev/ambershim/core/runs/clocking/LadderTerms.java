package dev.ambershim.core.runs.clocking;

/**
 * What a chip's clock ladder is climbed under, on both sides of the work.
 *
 * @param limitCelsius the hottest core that the person lets the chip reach
 * @param stepMegahertz the usual step from rung to rung
 * @param roomCelsius room that temperatures are told for; null takes the mean room of the rungs
 * @param load the load in words
 */
public record LadderTerms(
    double limitCelsius, double stepMegahertz, Double roomCelsius, String load) {
  /**
   * Ten kelvin under where desktop chips usually throttle, in steps of 100 MHz: common practice.
   */
  public static final LadderTerms USUAL = new LadderTerms(90, 100, null, "");

  /** Fills in what an older job does not say. */
  public LadderTerms {
    load = load == null ? "" : load.strip();
  }

  /** The same under another load. */
  public LadderTerms under(String other) {
    return new LadderTerms(limitCelsius, stepMegahertz, roomCelsius, other);
  }

  /** The finest step that is still worth a try. */
  public double finestMegahertz() {
    return Math.min(stepMegahertz, 25);
  }
}
