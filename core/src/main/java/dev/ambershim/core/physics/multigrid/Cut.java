package dev.ambershim.core.physics.multigrid;

import dev.ambershim.core.physics.conduction.Planes;

/**
 * How the cells of a grid lie between the edges of layers.
 *
 * @param parts into how many each is cut, where they shrink towards the edges; 0 for even cells
 */
record Cut(int parts) {
  /** Cells that follow the wanted size alone, for heat that moves in time. */
  static final Cut EVEN = new Cut(0);

  /** A solid has at least so many slices. */
  private static final int LEAST_SLICES = 2;

  /** Wanted slice height as a share of the wanted column width, where heat enters. */
  double sliceShare() {
    return parts == 0 ? 0.75 : 0.5;
  }

  /** Columns between marks, m. */
  Axis columns(double[] marks, Planes.Size size) {
    return parts == 0 ? Axis.even(marks, size, 1) : Axis.of(marks, size, parts);
  }

  /** Slices of a solid between two heights, m. */
  Axis slices(double low, double high, Planes.Size size) {
    double[] faces = {low, high};
    return parts == 0
        ? Axis.even(faces, size, LEAST_SLICES)
        : Axis.of(faces, size, Math.max(parts, LEAST_SLICES / size.count(low, high)));
  }
}
