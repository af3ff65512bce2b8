package dev.ambershim.core.conduction;

/**
 * What the multigrid does to a run of neighbouring cells: loops so plain that they become vector
 * instructions. Runs go from {@code from} to before {@code to}; the last array is written.
 */
final class Rows {
  private static final double NO_CELL = 1e-20;

  private Rows() {}

  /**
   * What leads from the cells of a slice to their neighbours, and through those below to ground.
   */
  static void toGround(
      double lateral,
      double[] left,
      double[] right,
      double[] low,
      double[] high,
      double[] inverse,
      double[] ground,
      double vertical,
      double[] gap) {
    for (int i = 0; i < ground.length; i++) {
      ground[i] =
          lateral * (left[i] + right[i] + low[i] + high[i])
              + vertical * gap[i] * ground[i] * inverse[i];
    }
  }

  static void addTimes(double factor, double[] from, double[] to) {
    for (int i = 0; i < to.length; i++) {
      to[i] += factor * from[i];
    }
  }

  static void invert(double[] ground, double vertical, double[] gap, double[] inverse) {
    for (int i = 0; i < inverse.length; i++) {
      // Where there is no cell all else is zero, so that any finite pivot does.
      inverse[i] = 1 / Math.max(ground[i] + vertical * gap[i], NO_CELL);
    }
  }

  static void forward(
      int from,
      int to,
      float[] right,
      float factor,
      float[] gap,
      float[] pivot,
      float[] below,
      float[] w) {
    for (int i = from; i < to; i++) {
      w[i] = (right[i] + factor * gap[i] * below[i]) * pivot[i];
    }
  }

  static void scale(int from, int to, float[] right, float[] pivot, float[] w) {
    for (int i = from; i < to; i++) {
      w[i] = right[i] * pivot[i];
    }
  }

  static void backward(
      int from, int to, float factor, float[] gap, float[] pivot, float[] above, float[] w) {
    for (int i = from; i < to; i++) {
      w[i] += factor * gap[i] * pivot[i] * above[i];
    }
  }

  static void set(int from, int to, float weight, float[] w, float[] out) {
    for (int i = from; i < to; i++) {
      out[i] = weight * w[i];
    }
  }

  static void add(int from, int to, float weight, float[] w, float share, float[] in, float[] out) {
    for (int i = from; i < to; i++) {
      out[i] = share * in[i] + weight * w[i];
    }
  }

  static void addBoth(
      int from,
      int to,
      float weight,
      float[] w,
      float share,
      float[] in,
      float[] old,
      float[] out) {
    for (int i = from; i < to; i++) {
      out[i] = old[i] + share * (in[i] - old[i]) + weight * w[i];
    }
  }

  static void vertical(
      int from,
      int to,
      float down,
      float[] gapBelow,
      float[] below,
      float up,
      float[] gapAbove,
      float[] above,
      float[] f,
      float[] right,
      float[] w) {
    for (int i = from; i < to; i++) {
      w[i] =
          right[i] + down * gapBelow[i] * (below[i] - f[i]) + up * gapAbove[i] * (above[i] - f[i]);
    }
  }

  static void lateral(
      int from,
      int to,
      float factor,
      float[] ga,
      float[] a,
      float[] gb,
      float[] b,
      float[] f,
      float[] w) {
    for (int i = from; i < to; i++) {
      w[i] += factor * (ga[i] * (a[i] - f[i]) + gb[i] * (b[i] - f[i]));
    }
  }

  static void ground(int from, int to, float factor, float[] g, float[] f, float[] w) {
    for (int i = from; i < to; i++) {
      w[i] -= factor * g[i] * f[i];
    }
  }

  static void sum(float[] from, float[] to) {
    for (int i = 0; i < to.length; i++) {
      to[i] += from[i];
    }
  }
}
