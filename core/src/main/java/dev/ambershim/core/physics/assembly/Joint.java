package dev.ambershim.core.physics.assembly;

import dev.ambershim.core.physics.material.Filling;
import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * A thermal interface.
 *
 * @param filling what is in it
 * @param bondLineMicrometres its thickness
 * @param conductivityWattsPerMetreKelvin conductivity of the filling
 */
@RecordBuilder
public record Joint(
    Filling filling, double bondLineMicrometres, double conductivityWattsPerMetreKelvin)
    implements JointBuilder.With {
  /** A joint with the filling's usual figures. */
  public static Joint usual(Filling filling) {
    return new Joint(
        filling, filling.bondLineMicrometres(), filling.conductivityWattsPerMetreKelvin());
  }

  /** Resistance for a unit of area, mm²·K/W. */
  public double resistanceSquareMillimetreKelvinPerWatt() {
    // µm / (W/m·K) = 1e-6 m²·K/W = 1 mm²·K/W
    return bondLineMicrometres / conductivityWattsPerMetreKelvin;
  }
}
