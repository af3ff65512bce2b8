package dev.ambershim.core.physics.dosing;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * How the lid is closed. What is not said stays empty and is taken as usual.
 *
 * @param kind the glue
 * @param beadMillimetres diameter of the bead, or of a dot at a corner
 * @param ventMillimetres gap in the bead for air
 * @param newtons force that presses the lid while the glue is wet
 * @param humidityPercent of the air while it cures
 * @param celsius of the air while it cures
 * @param oldMicrometres old sealant that was left under the rim
 */
@RecordBuilder
public record CloseTerms(
    GlueKind kind,
    Double beadMillimetres,
    Double ventMillimetres,
    Double newtons,
    Double humidityPercent,
    Double celsius,
    Double oldMicrometres)
    implements CloseTermsBuilder.With {
  /** Nothing is said. */
  public static final CloseTerms USUAL = new CloseTerms(null, null, null, null, null, null, null);

  /** Fills in the usual glue. */
  public CloseTerms {
    kind = kind == null ? GlueKind.SILICONE : kind;
  }

  /** Diameter of bead or dot, mm. */
  public double bead(GluePattern pattern) {
    return beadMillimetres != null ? beadMillimetres : pattern == GluePattern.CORNERS ? 2 : 0.8;
  }

  /** Gap in the bead, mm. */
  public double vent() {
    return ventMillimetres == null ? 3 : ventMillimetres;
  }

  /** Press on the lid, N; a clamp by hand. */
  public double press() {
    return newtons == null ? 40 : newtons;
  }

  /** Humidity, percent. */
  public double humidity() {
    return humidityPercent == null ? 50 : humidityPercent;
  }

  /** Warmth of the air, °C. */
  public double warmth() {
    return celsius == null ? 23 : celsius;
  }

  /** Old sealant under the rim, µm. */
  public double old() {
    return oldMicrometres == null ? 0 : oldMicrometres;
  }
}
