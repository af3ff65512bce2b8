package dev.ambershim.core.physics.assembly;

import dev.ambershim.core.physics.material.Material;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * The lid: a plate with a rim that stands on the substrate.
 *
 * @param widthMillimetres size in x
 * @param depthMillimetres size in y
 * @param thicknessMillimetres plate thickness over the die
 * @param cavityMillimetres depth of the hollow, rim foot to inner face
 * @param rimMillimetres width of the rim's foot
 * @param material what it is made of
 */
@RecordBuilder
public record Lid(
    double widthMillimetres,
    double depthMillimetres,
    double thicknessMillimetres,
    double cavityMillimetres,
    double rimMillimetres,
    Material material)
    implements LidBuilder.With {
  /** Top area in mm². */
  public double areaSquareMillimetres() {
    return widthMillimetres * depthMillimetres;
  }
}
