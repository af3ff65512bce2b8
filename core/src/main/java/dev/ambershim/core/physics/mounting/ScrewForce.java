package dev.ambershim.core.physics.mounting;

/**
 * What one screw presses with. From torque, F = T/(K·d) (Shigley, <i>Mechanical Engineering
 * Design</i>, 8–8); the nut factor K holds all friction, and the force scatters by about a quarter
 * around it. From a spring, F = rate × squeeze.
 */
public final class ScrewForce {
  /** Preload by a torque wrench scatters so much, as a standard deviation (Shigley, 8–8). */
  public static final double TORQUE_SCATTER = 0.09;

  private ScrewForce() {}

  /**
   * Preload of a screw, N.
   *
   * @param newtonMetres torque
   * @param nutFactor K, about 0.2
   * @param diameterMillimetres nominal diameter of the thread
   * @throws IllegalArgumentException if a figure is not above zero
   */
  public static double ofTorque(double newtonMetres, double nutFactor, double diameterMillimetres) {
    if (!(newtonMetres > 0 && nutFactor > 0 && diameterMillimetres > 0)) {
      throw new IllegalArgumentException("torque, nut factor and diameter are above zero");
    }
    return newtonMetres / (nutFactor * diameterMillimetres / 1000);
  }

  /** Force of a screw when it is done, N. */
  static double done(MountTerms terms) {
    return terms.drive() == Drive.TORQUE
        ? ofTorque(terms.torque(), terms.nut(), terms.thread())
        : terms.rate() * terms.squeeze();
  }

  /** How the force grows with the way of a screw, N/mm; a bracket bends by about a millimetre. */
  static double rate(MountTerms terms) {
    return terms.drive() == Drive.TORQUE ? Math.max(20, done(terms)) : terms.rate();
  }

  /** Force of all screws of a mount when they are in, N. */
  public static double ofAll(MountTerms terms) {
    return done(terms) * terms.screws();
  }
}
