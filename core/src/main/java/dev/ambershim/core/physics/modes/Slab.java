package dev.ambershim.core.physics.modes;

/**
 * How a slab's faces answer to heat of one mode, in closed form: with μ² the mode's eigenvalue and
 * θ″ = μ²θ between the faces, the faces' temperatures follow from the fluxes into them (Carslaw
 * &amp; Jaeger, <i>Conduction of Heat in Solids</i>, 3.3). A film on the top face is part of it.
 * Without a film the even mode has no level of its own: the mean of both faces is then 0, and the
 * level is sought beside the fluxes.
 *
 * @param conductivity W/m·K
 * @param thickness m
 * @param film on the top face, W/m²·K; 0 for none
 */
record Slab(double conductivity, double thickness, double film) {
  /** Below this μ times thickness a mode counts as even. */
  private static final double EVEN = 1e-7;

  boolean filmed() {
    return film > 0;
  }

  /** The lower face by its own flux, K·m²/W, for the eigenvalue μ², 1/m². */
  double low(double square) {
    double mu = Math.sqrt(square);
    if (mu * thickness < EVEN) {
      double across = thickness / conductivity;
      return filmed() ? across + 1 / film : across / 4;
    }
    double falling = Math.exp(-2 * mu * thickness);
    double slope = conductivity * mu;
    double sinh = 1 - falling;
    double cosh = 1 + falling;
    return (slope * cosh + film * sinh) / (slope * (slope * sinh + film * cosh));
  }

  /** One face by the other's flux, K·m²/W. */
  double across(double square) {
    double mu = Math.sqrt(square);
    if (mu * thickness < EVEN) {
      return filmed() ? 1 / film : -thickness / conductivity / 4;
    }
    double falling = Math.exp(-mu * thickness);
    return 2
        * falling
        / (conductivity * mu * (1 - falling * falling) + film * (1 + falling * falling));
  }

  /** The upper face by its own flux, K·m²/W. */
  double top(double square) {
    double mu = Math.sqrt(square);
    if (mu * thickness < EVEN) {
      return filmed() ? 1 / film : thickness / conductivity / 4;
    }
    double falling = Math.exp(-2 * mu * thickness);
    return (1 + falling) / (conductivity * mu * (1 - falling) + film * (1 + falling));
  }

  /**
   * What share of a flux into the lower face comes out of the upper one through a joint whose far
   * side is even.
   *
   * @param joint m²·K/W
   */
  double passing(double square, double joint) {
    double mu = Math.sqrt(square);
    double falling = Math.exp(-mu * thickness);
    double even = 1 + falling * falling;
    return 2 * falling / (even + joint * conductivity * mu * (1 - falling * falling));
  }
}
