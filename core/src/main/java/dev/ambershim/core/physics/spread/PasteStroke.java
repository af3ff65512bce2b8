package dev.ambershim.core.physics.spread;

import java.util.ArrayList;
import java.util.List;

/**
 * A stroke of the syringe: places joined by straight lines, mm from the middle of the face; one
 * place alone is a dot.
 *
 * @param xMillimetres places, to the right
 * @param yMillimetres places, upwards
 */
public record PasteStroke(List<Double> xMillimetres, List<Double> yMillimetres) {
  /**
   * Copies its places.
   *
   * @throws IllegalArgumentException if there is none, or x and y do not pair
   */
  public PasteStroke {
    xMillimetres = List.copyOf(xMillimetres);
    yMillimetres = List.copyOf(yMillimetres);
    if (xMillimetres.isEmpty() || xMillimetres.size() != yMillimetres.size()) {
      throw new IllegalArgumentException("a stroke has places, each with x and y");
    }
  }

  /** A stroke through places, x and y in turn. */
  public static PasteStroke of(double... places) {
    List<Double> x = new ArrayList<>();
    List<Double> y = new ArrayList<>();
    for (int i = 0; i < places.length; i += 2) {
      x.add(places[i]);
      y.add(places[i + 1]);
    }
    return new PasteStroke(x, y);
  }

  /** Distance of a place to the stroke, mm. */
  double distance(double x, double y) {
    double least = square(x - xMillimetres.get(0), y - yMillimetres.get(0));
    for (int i = 1; i < xMillimetres.size(); i++) {
      double ax = xMillimetres.get(i - 1);
      double ay = yMillimetres.get(i - 1);
      double bx = xMillimetres.get(i) - ax;
      double by = yMillimetres.get(i) - ay;
      double length = square(bx, by);
      double t =
          length == 0 ? 0 : Math.max(0, Math.min(1, ((x - ax) * bx + (y - ay) * by) / length));
      least = Math.min(least, square(x - ax - t * bx, y - ay - t * by));
    }
    return Math.sqrt(least);
  }

  private static double square(double x, double y) {
    return x * x + y * y;
  }
}
