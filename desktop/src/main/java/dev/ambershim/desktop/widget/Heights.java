package dev.ambershim.desktop.widget;

import java.util.HashMap;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;

/**
 * The least and the best height that a pane or a label told for some widths, kept until something
 * in it changes. The toolkit asks each level of a page several times for both, and each asks all
 * below it: without this a page of wrapped words is measured over and over for one changed label.
 */
final class Heights {
  private final Map<Double, Double> least = new HashMap<>();
  private final Map<Double, Double> best = new HashMap<>();

  /** The least height for a width, worked out if it is not known. */
  double least(double width, DoubleUnaryOperator reckon) {
    return of(least, width, reckon);
  }

  /** The best height for a width, worked out if it is not known. */
  double best(double width, DoubleUnaryOperator reckon) {
    return of(best, width, reckon);
  }

  private static double of(Map<Double, Double> known, double width, DoubleUnaryOperator reckon) {
    Double height = known.get(width);
    if (height == null) {
      // Not at once into the map: what is asked may ask here again.
      height = reckon.applyAsDouble(width);
      known.put(width, height);
    }
    return height;
  }

  /** Something changed. The toolkit says so before there are fields, so there may be none yet. */
  static void forget(Heights heights) {
    if (heights != null) {
      heights.least.clear();
      heights.best.clear();
    }
  }
}
