package dev.ambershim.core.picture;

/**
 * Round axis values: steps of 1, 2 or 5 times a power of ten.
 *
 * @param first lowest tick
 * @param step distance between ticks
 * @param count how many
 */
public record Ticks(double first, double step, int count) {
  /** At most {@code most} ticks inside low to high. */
  public static Ticks between(double low, double high, int most) {
    double span = Math.max(high - low, 1e-9);
    double step = Math.pow(10, Math.floor(Math.log10(span / most)));
    for (double factor : new double[] {1, 2, 5, 10}) {
      double candidate = step * factor;
      double first = Math.ceil(low / candidate - 1e-9) * candidate;
      int count = (int) Math.floor((high - first) / candidate + 1e-9) + 1;
      if (count <= most) {
        return new Ticks(first, candidate, Math.max(count, 1));
      }
    }
    return new Ticks(low, span, 1);
  }

  public double at(int i) {
    return first + i * step;
  }

  public int decimals() {
    return step >= 1 ? 0 : (int) Math.ceil(-Math.log10(step) - 1e-9);
  }
}
