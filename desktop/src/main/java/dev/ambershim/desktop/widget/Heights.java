package dev.ambershim.desktop.widget;

import java.util.function.DoubleUnaryOperator;

/**
 * The heights that a pane told for some widths, kept until something in it changes. The toolkit
 * asks each level of a page several times for its least and its best height, and each asks all
 * below it: without this a page of wrapped words is measured over and over for one changed label.
 */
final class Heights {
  private static final int KEPT = 4;

  private final double[] widths = new double[KEPT];
  private final double[] heights = new double[KEPT];
  private int count;

  /** The height for a width, worked out if it is not known. */
  double of(double width, DoubleUnaryOperator reckon) {
    int known = Math.min(count, KEPT);
    for (int i = 0; i < known; i++) {
      if (widths[i] == width) {
        return heights[i];
      }
    }
    double height = reckon.applyAsDouble(width);
    widths[count % KEPT] = width;
    heights[count % KEPT] = height;
    count++;
    return height;
  }

  /** Something changed. */
  void forget() {
    count = 0;
  }
}
