package dev.ambershim.core.physics.spread;

/**
 * How thin a filled paste gets under pressure: 1.31·10⁻⁴ m · (yield stress ÷ pressure)^0.166
 * (Prasher et al. 2003, J. Heat Transfer 125, 1170). It is a scaling law from bond lines of some 20
 * to 100 µm; its fillers, not its flow, carry the load there.
 */
public final class BondLine {
  private static final double METRES = 1.31e-4;
  private static final double EXPONENT = 0.166;

  private BondLine() {}

  /** Bond line under a pressure, m. */
  public static double metres(double yieldPascal, double pascal) {
    return METRES * Math.pow(yieldPascal / pascal, EXPONENT);
  }

  /** The pressure that its fillers carry at a bond line, Pa. */
  public static double pascal(double yieldPascal, double metres) {
    return yieldPascal * Math.pow(METRES / metres, 1 / EXPONENT);
  }

  /** How the carried pressure changes with the bond line, relative to both: −1 ÷ 0.166. */
  public static double steepness() {
    return -1 / EXPONENT;
  }
}
