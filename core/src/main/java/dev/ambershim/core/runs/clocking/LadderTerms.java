package dev.ambershim.core.runs.clocking;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * What a chip's clock ladder is climbed under, on both sides of the work.
 *
 * @param limitCelsius the hottest core that the person lets the chip reach
 * @param stepMegahertz the usual step from rung to rung
 * @param roomCelsius room that temperatures are told for; null takes the mean room of the rungs
 * @param load the load in words
 */
@RecordBuilder
public record LadderTerms(
    double limitCelsius, double stepMegahertz, Double roomCelsius, String load)
    implements LadderTermsBuilder.With {
  /**
   * Ten kelvin under where desktop chips usually throttle, in steps of 100 MHz: common practice.
   */
  public static final LadderTerms USUAL = new LadderTerms(90, 100, null, "");

  /** Fills in what an older job does not say. */
  public LadderTerms {
    load = load == null ? "" : load.strip();
  }

  /** The finest step that is still worth a try. */
  public double finestMegahertz() {
    return Math.min(stepMegahertz, 25);
  }
}
