package dev.ambershim.core.physics.conduction;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The steady temperatures of a stack.
 *
 * @param sources in the order of the case
 * @param peakCelsius the hottest place of the underside
 * @param layers in the order of the case
 * @param heatWatts what entered, leakage included
 * @param energyImbalanceRelative (heat in − heat out through the film) / heat in
 * @param discretisationErrorKelvin how far the sources' means and peaks may be off because the
 *     cells are not infinitely small, by coarser solutions of the same stack
 * @param cells of the finest grid
 * @param iterations of conjugate gradients on the finest grid
 * @param map the underside; empty where it was not asked for
 */
public record StackSolution(
    List<Source> sources,
    double peakCelsius,
    List<Layer> layers,
    double heatWatts,
    double energyImbalanceRelative,
    double discretisationErrorKelvin,
    long cells,
    int iterations,
    Optional<HeatMap> map) {
  /**
   * A heat source.
   *
   * @param name its name
   * @param watts its heat, leakage included
   * @param meanCelsius mean over its rectangle
   * @param peakCelsius highest in its rectangle
   */
  public record Source(String name, double watts, double meanCelsius, double peakCelsius) {}

  /**
   * A layer's faces, as means over its footprint.
   *
   * @param name its name
   * @param bottomMeanCelsius the lower face
   * @param topMeanCelsius the upper face
   */
  public record Layer(String name, double bottomMeanCelsius, double topMeanCelsius) {}

  /**
   * Temperatures of the underside of the lowest layer.
   *
   * @param xMillimetres edges of the columns, rising
   * @param yMillimetres edges of the rows, rising
   * @param celsius row-major in y
   * @param present where the layer is
   */
  public record HeatMap(
      double[] xMillimetres, double[] yMillimetres, double[] celsius, boolean[] present) {
    /** Temperature at a place, °C; NaN where there is no layer. */
    public double at(double x, double y) {
      int i = cell(xMillimetres, x);
      int j = cell(yMillimetres, y);
      if (i < 0 || j < 0) {
        return Double.NaN;
      }
      int c = j * (xMillimetres.length - 1) + i;
      return present[c] ? celsius[c] : Double.NaN;
    }

    private static int cell(double[] edges, double at) {
      if (!(at >= edges[0] && at <= edges[edges.length - 1])) {
        return -1;
      }
      int found = Arrays.binarySearch(edges, at);
      return Math.min(edges.length - 2, found >= 0 ? found : -found - 2);
    }
  }

  /** Copies its lists. */
  public StackSolution {
    sources = List.copyOf(sources);
    layers = List.copyOf(layers);
  }

  /** The same with another discretisation error, K. */
  public StackSolution withDiscretisationError(double kelvin) {
    return new StackSolution(
        sources,
        peakCelsius,
        layers,
        heatWatts,
        energyImbalanceRelative,
        kelvin,
        cells,
        iterations,
        map);
  }

  /** Mean over the sources by area-free count, °C: what a log's mean over cores shows. */
  public double meanOfSourcesCelsius() {
    return sources.stream().mapToDouble(Source::meanCelsius).average().orElse(Double.NaN);
  }
}
