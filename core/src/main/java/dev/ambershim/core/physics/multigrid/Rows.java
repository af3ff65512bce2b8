package dev.ambershim.core.physics.multigrid;

/**
 * What the multigrid does to a run of neighbouring cells: loops so plain that they become vector
 * instructions. Runs go from {@code from} to before {@code to}; the last array is written.
 */
final class Rows {
  private static final float NO_CELL = 1e-30f;

  private Rows() {}

  /** What leads from the cells of a slice to ground through those below. */
  static void throughBelow(
      int from, int to, float vertical, float[] gap, float[] inverse, float[] ground) {
    for (int i = from; i < to; i++) {
      ground[i] = vertical * gap[i] * ground[i] * inverse[i];
    }
  }

  static void addTimes(int from, int to, float factor, float[] a, float[] sum) {
    for (int i = from; i < to; i++) {
      sum[i] += factor * a[i];
    }
  }

  static void invert(
      int from, int to, float[] ground, float vertical, float[] gap, float[] inverse) {
    for (int i = from; i < to; i++) {
      // Where there is no cell all else is zero, so that any finite pivot does.
      inverse[i] = 1 / (ground[i] + vertical * gap[i] + NO_CELL);
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

  static void difference(int from, int to, float[] a, float[] b, float[] w) {
    for (int i = from; i < to; i++) {
      w[i] = a[i] - b[i];
    }
  }

  /** What two neighbours send, on top of {@code right}. */
  static void fromTwo(
      int from,
      int to,
      float[] right,
      float factor,
      float[] ga,
      float[] a,
      float[] gb,
      float[] b,
      float[] w) {
    for (int i = from; i < to; i++) {
      w[i] = right[i] + factor * (ga[i] * a[i] + gb[i] * b[i]);
    }
  }

  /** What three more send. */
  static void fromThree(
      int from,
      int to,
      float factor,
      float[] ga,
      float[] a,
      float[] gb,
      float[] b,
      float[] gc,
      float[] c,
      float[] w) {
    for (int i = from; i < to; i++) {
      w[i] += factor * (ga[i] * a[i] + gb[i] * b[i] + gc[i] * c[i]);
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
      float[] w) {
    for (int i = from; i < to; i++) {
      w[i] = down * gapBelow[i] * (below[i] - f[i]) + up * gapAbove[i] * (above[i] - f[i]);
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

  static void lateral(int from, int to, float factor, float[] ga, float[] a, float[] f, float[] w) {
    for (int i = from; i < to; i++) {
      w[i] += factor * ga[i] * (a[i] - f[i]);
    }
  }

  static void ground(int from, int to, float factor, float[] g, float[] f, float[] w) {
    for (int i = from; i < to; i++) {
      w[i] -= factor * g[i] * f[i];
    }
  }
}
