package dev.ambershim.core.physics.conduction;

import java.util.Optional;

/**
 * Heat that enters evenly over a rectangle on the underside of the lowest layer.
 *
 * @param name what messages call it
 * @param patch where
 * @param watts heat without leakage
 * @param leakage what is added by leakage, if that is reckoned with
 */
public record HeatSource(String name, Patch patch, double watts, Optional<Leakage> leakage) {
  /**
   * Leakage power that doubles every so many kelvin.
   *
   * @param watts at the reference temperature
   * @param referenceCelsius the source's mean temperature at which it has that size
   * @param doublingKelvin rise that doubles it
   */
  public record Leakage(double watts, double referenceCelsius, double doublingKelvin) {
    /** Power at a temperature, W. */
    public double at(double celsius) {
      return watts * Math.exp((celsius - referenceCelsius) / doublingKelvin * Math.log(2));
    }

    /** Its slope at a temperature, W/K. */
    public double slope(double celsius) {
      return at(celsius) * Math.log(2) / doublingKelvin;
    }
  }

  /** Heat that does not depend on temperature. */
  public static HeatSource steady(String name, Patch patch, double watts) {
    return new HeatSource(name, patch, watts, Optional.empty());
  }

  /** The same source with other heat. */
  public HeatSource withWatts(double other) {
    return new HeatSource(name, patch, other, leakage);
  }
}
