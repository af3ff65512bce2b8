package dev.ambershim.core.physics.fit;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * A flat top that the cooler could touch, as it was measured. A part under the cooler's bracket is
 * looked at with the plate lowered by how far it stands out of the bracket.
 *
 * @param name what it is called
 * @param kind what it belongs to
 * @param xMillimetres its middle, right of the chip's middle
 * @param yMillimetres its middle, above the chip's middle
 * @param widthMillimetres size in x; 0 for a point
 * @param depthMillimetres size in y; 0 for a point
 * @param overBoard whether its height was read from the mainboard instead of the chip's substrate
 * @param height its height, mm
 */
@RecordBuilder
public record Top(
    String name,
    TopKind kind,
    double xMillimetres,
    double yMillimetres,
    double widthMillimetres,
    double depthMillimetres,
    boolean overBoard,
    Reading height)
    implements TopBuilder.With {
  /** Fills in what an older job does not say. */
  public Top {
    kind = kind == null ? TopKind.OTHER : kind;
    height = height == null ? Reading.NONE : height;
  }
}
