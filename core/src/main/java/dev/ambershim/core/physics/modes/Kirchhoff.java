package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.StackLayer;

/**
 * Kirchhoff's transform for a conductivity that falls by a power of the absolute temperature
 * (Carslaw &amp; Jaeger, <i>Conduction of Heat in Solids</i>, 2.16): the transformed temperature
 * conducts as if the conductivity were everywhere that of the reference.
 *
 * @param fall the law
 * @param coolantCelsius where rises begin
 * @param referenceCelsius where both temperatures are equal
 */
record Kirchhoff(StackLayer.Fall fall, double coolantCelsius, double referenceCelsius) {
  private static final double ZERO_CELSIUS = 273.15;

  /** Factor on the layer's conductivity at the reference. */
  double factor() {
    return fall.factor(referenceCelsius);
  }

  /** The same law about another temperature, as a rise over the coolant. */
  Kirchhoff about(double rise) {
    return new Kirchhoff(fall, coolantCelsius, coolantCelsius + rise);
  }

  /** The true rise of a transformed one, K; not a number where no temperature carries the heat. */
  double back(double transformed) {
    double reference = referenceCelsius + ZERO_CELSIUS;
    double away = (coolantCelsius + transformed - referenceCelsius) / reference;
    double power = 1 - fall.exponent();
    double ratio = Math.abs(power) < 1e-9 ? Math.exp(away) : Math.pow(1 + power * away, 1 / power);
    return ratio * reference - ZERO_CELSIUS - coolantCelsius;
  }

  /** The transformed rise of a true one, K. */
  double transformed(double rise) {
    double reference = referenceCelsius + ZERO_CELSIUS;
    double ratio = (coolantCelsius + rise + ZERO_CELSIUS) / reference;
    double power = 1 - fall.exponent();
    double away = Math.abs(power) < 1e-9 ? Math.log(ratio) : (Math.pow(ratio, power) - 1) / power;
    return referenceCelsius - coolantCelsius + away * reference;
  }
}
