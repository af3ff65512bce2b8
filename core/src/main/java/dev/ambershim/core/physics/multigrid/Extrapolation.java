package dev.ambershim.core.physics.multigrid;

/**
 * What a value comes to on cells of no size. On cells of width h it is off by a·h² and, as heat
 * crowds along the edges of footprints, by b·h³: two grids tell a, three tell both (Richardson
 * 1911, <i>Phil. Trans. R. Soc. A</i> 210, 307).
 *
 * @param parts into how many the cells of each grid are cut, rising; three grids or more
 */
record Extrapolation(int... parts) {
  /** Of the step that the third grid makes, what may be left where no fourth tells. */
  private static final double OPEN_SHARE = 0.4;

  /** Likewise where a fourth grid tells, as it may agree by chance. */
  private static final double CHANCE_SHARE = 0.2;

  /** Of the step beyond the finest grid, where the steps are not even. */
  private static final double ROUGH_SHARE = 0.5;

  private static final double SAFETY = 1.25;

  /** Takes over its array. */
  Extrapolation {
    if (parts.length < 3) {
      throw new IllegalArgumentException("three grids are needed");
    }
  }

  /** The value on cells of no size, from what each grid shows. */
  double of(double... shown) {
    return byThree(shown, parts.length - 1);
  }

  /** How far that may be off. */
  double doubt(double... shown) {
    int last = parts.length - 1;
    double told = byThree(shown, last);
    double step = Math.abs(told - byTwo(shown, last));
    double apart =
        last < 3
            ? OPEN_SHARE * step
            : Math.max(CHANCE_SHARE * step, Math.abs(told - byThree(shown, last - 1)));
    apart = Math.max(apart, slow(shown) * Math.abs(told - byOne(shown, last)));
    return SAFETY * apart;
  }

  /**
   * Whether the last three grids do not yet come as quickly to an end as h² does, since something
   * is finer than their cells: 0 for not at all, 1 where it is no quicker than h.
   */
  private double slow(double[] shown) {
    int last = parts.length - 1;
    double next = shown[last] - shown[last - 1];
    if (next == 0) {
      return 0;
    }
    double ratio = (shown[last - 1] - shown[last - 2]) / next;
    double slowly = ratio(1);
    double soon = (slowly + ratio(2)) / 2;
    return Math.max(0, Math.min(1, (soon - ratio) / (soon - slowly)));
  }

  /** The last step but one over the last, where values fall with a power of the cells' width. */
  private double ratio(int order) {
    int last = parts.length - 1;
    double coarse = Math.pow(parts[last - 2], -order);
    double middle = Math.pow(parts[last - 1], -order);
    return (coarse - middle) / (middle - Math.pow(parts[last], -order));
  }

  /**
   * Likewise of a value that does not fall evenly enough for three grids, as a highest one between
   * cells: by h² alone.
   */
  double roughly(double... shown) {
    return byTwo(shown, parts.length - 1);
  }

  /** How far that may be off. */
  double roughDoubt(double... shown) {
    int last = parts.length - 1;
    double told = byTwo(shown, last);
    double step = ROUGH_SHARE * Math.abs(told - shown[last]);
    return SAFETY * Math.max(step, Math.abs(told - byTwo(shown, last - 1)));
  }

  private double byThree(double[] shown, int last) {
    double fine = byTwo(shown, last);
    double rest = rest(last);
    return fine + (fine - byTwo(shown, last - 1)) * rest / (rest(last - 1) - rest);
  }

  private double byOne(double[] shown, int last) {
    double p = parts[last - 1];
    return shown[last] + (shown[last] - shown[last - 1]) * p / (parts[last] - p);
  }

  private double byTwo(double[] shown, int last) {
    double p = parts[last - 1];
    double q = parts[last];
    return shown[last] + (shown[last] - shown[last - 1]) * p * p / (q * q - p * p);
  }

  /** What is left of h³ where h² is gone. */
  private double rest(int last) {
    double p = parts[last - 1];
    double q = parts[last];
    return 1 / (p * q * (p + q));
  }
}
