package dev.ambershim.core.assembly;

import dev.ambershim.core.material.Material;

/**
 * The cooler, as its cold plate and one resistance from the plate's far face to the room.
 *
 * @param name what the person calls it
 * @param widthMillimetres cold plate size in x
 * @param depthMillimetres cold plate size in y
 * @param thicknessMillimetres cold plate thickness
 * @param material cold plate material
 * @param resistanceKelvinPerWatt from the plate's far face to room air
 */
public record Cooler(
    String name,
    double widthMillimetres,
    double depthMillimetres,
    double thicknessMillimetres,
    Material material,
    double resistanceKelvinPerWatt) {
  /** Plate area in mm². */
  public double areaSquareMillimetres() {
    return widthMillimetres * depthMillimetres;
  }
}
