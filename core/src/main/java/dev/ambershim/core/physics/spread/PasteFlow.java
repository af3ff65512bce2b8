package dev.ambershim.core.physics.spread;

/**
 * How a paste flows: a Bingham fluid.
 *
 * @param pascalSeconds viscosity beyond the yield stress, above zero
 * @param yieldPascal yield stress, not negative; 0 for one that flows under any stress and has no
 *     fillers
 */
public record PasteFlow(double pascalSeconds, double yieldPascal) {
  /**
   * Checks its figures.
   *
   * @throws IllegalArgumentException if they cannot be
   */
  public PasteFlow {
    if (!(pascalSeconds > 0 && yieldPascal >= 0)) {
      throw new IllegalArgumentException("viscosity above zero, yield stress not below");
    }
  }
}
