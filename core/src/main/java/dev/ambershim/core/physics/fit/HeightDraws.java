package dev.ambershim.core.physics.fit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;

/** Heights as sums of their sources of doubt, laid out flat so that a draw costs little. */
public final class HeightDraws {
  private final double[] nominal;
  private final int[][] link;
  private final double[][] factor;
  private final Source[] sources;
  private final double[][] spread;
  private final double[] limit;
  private final int[] name;
  private final int nameCount;

  private HeightDraws(
      double[] nominal,
      int[][] link,
      double[][] factor,
      Source[] sources,
      int[] name,
      int nameCount) {
    this.nominal = nominal;
    this.link = link;
    this.factor = factor;
    this.sources = sources;
    this.spread = Arrays.stream(sources).map(Source::spread).toArray(double[][]::new);
    this.limit =
        Arrays.stream(sources)
            .mapToDouble(s -> s.standardMillimetres() == 0 || !s.bare() ? 0 : s.limit())
            .toArray();
    this.name = name;
    this.nameCount = nameCount;
  }

  public static HeightDraws of(List<Feature> features, List<String> names) {
    int n = features.size();
    double[] nominal = new double[n];
    int[][] link = new int[n][];
    double[][] factor = new double[n][];
    int[] name = new int[n];
    List<Source> sources = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      Chain height = features.get(i).height();
      nominal[i] = height.nominal();
      name[i] = names.indexOf(features.get(i).name());
      List<Chain.Link> links = height.links();
      link[i] = new int[links.size()];
      factor[i] = new double[links.size()];
      for (int k = 0; k < links.size(); k++) {
        Source source = links.get(k).source();
        if (!sources.contains(source)) {
          sources.add(source);
        }
        link[i][k] = sources.indexOf(source);
        factor[i][k] = links.get(k).factor();
      }
    }
    return new HeightDraws(
        nominal, link, factor, sources.toArray(Source[]::new), name, names.size());
  }

  public int size() {
    return nominal.length;
  }

  /** Index of each feature's name. */
  public int[] names() {
    return name;
  }

  int nameCount() {
    return nameCount;
  }

  /** Room for the errors of one draw. */
  public double[] errors() {
    return new double[sources.length];
  }

  /**
   * Draws every height.
   *
   * @param error overwritten
   * @param heights overwritten
   * @return the highest
   */
  public int draw(SplittableRandom random, double[] error, double[] heights) {
    for (int s = 0; s < error.length; s++) {
      // A bare tolerance, the usual case, is drawn on the spot.
      error[s] =
          limit[s] > 0
              ? limit[s] * (2 * random.nextDouble() - 1)
              : sources[s].draw(random, spread[s]);
    }
    int first = 0;
    for (int i = 0; i < heights.length; i++) {
      double h = nominal[i];
      int[] links = link[i];
      double[] factors = factor[i];
      for (int k = 0; k < links.length; k++) {
        h += factors[k] * error[links[k]];
      }
      heights[i] = h;
      if (h > heights[first]) {
        first = i;
      }
    }
    return first;
  }
}
