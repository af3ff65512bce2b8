package dev.ambershim.core.fit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.Executor;

/**
 * How likely each top is to touch first and to carry the plate, by draws of every error at once
 * (Monte Carlo after JCGM 101:2008). First is the highest top: a plate that comes down level meets
 * it before any other. A top carries when it is one of the three feet that the plate comes to rest
 * on. Draws are made in blocks of their own seed, so they do not depend on how many threads there
 * are.
 *
 * @param chances of each name, in the order of the features
 * @param draws how many draws
 */
public record TouchChances(List<Chance> chances, int draws) {
  /** As many as tell a chance to about one in a thousand. */
  public static final int USUAL_DRAWS = 1_000_000;

  private static final int BLOCKS = 16;

  /**
   * One name's.
   *
   * @param name the top
   * @param touchesFirst chance that it is the first, 0 to 1; they sum to 1
   * @param carries chance that it is among the three that carry, 0 to 1
   */
  public record Chance(String name, double touchesFirst, double carries) {}

  /** Copies its list. */
  public TouchChances {
    chances = List.copyOf(chances);
  }

  /** The chance of a name. */
  public Chance of(String name) {
    return chances.stream().filter(c -> c.name().equals(name)).findFirst().orElseThrow();
  }

  /**
   * Draws.
   *
   * @param features the tops with their errors
   * @param executor runs the blocks; {@code Runnable::run} for the calling thread
   * @throws dev.ambershim.core.problem.Problem as {@link RestingContact#of}
   */
  public static TouchChances of(
      List<Feature> features, double xLoad, double yLoad, int draws, Executor executor) {
    List<String> names = features.stream().map(Feature::name).distinct().toList();
    Model model = Model.of(features, names);
    SplittableRandom seeds = new SplittableRandom(20_260_406);
    List<CompletableFuture<long[][]>> blocks = new ArrayList<>();
    for (int b = 0; b < BLOCKS; b++) {
      int share = draws / BLOCKS + (b < draws % BLOCKS ? 1 : 0);
      SplittableRandom random = seeds.split();
      Resting resting = new Resting(features, xLoad, yLoad);
      blocks.add(
          CompletableFuture.supplyAsync(() -> model.count(share, random, resting), executor));
    }
    long[][] sum = new long[2][names.size()];
    for (CompletableFuture<long[][]> block : blocks) {
      long[][] part = block.join();
      for (int k = 0; k < 2; k++) {
        for (int i = 0; i < names.size(); i++) {
          sum[k][i] += part[k][i];
        }
      }
    }
    List<Chance> chances = new ArrayList<>();
    for (int i = 0; i < names.size(); i++) {
      chances.add(new Chance(names.get(i), (double) sum[0][i] / draws, (double) sum[1][i] / draws));
    }
    return new TouchChances(chances, draws);
  }

  /** Heights as sums of sources, laid out flat for the draws. */
  private record Model(
      double[] nominal, int[][] link, double[][] factor, Source[] sources, int[] name, int names) {
    static Model of(List<Feature> features, List<String> names) {
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
          // By identity: two tops may have the same limits and yet err each for itself.
          int found = -1;
          for (int s = 0; s < sources.size(); s++) {
            if (sources.get(s) == source) {
              found = s;
            }
          }
          if (found < 0) {
            found = sources.size();
            sources.add(source);
          }
          link[i][k] = found;
          factor[i][k] = links.get(k).factor();
        }
      }
      return new Model(nominal, link, factor, sources.toArray(Source[]::new), name, names.size());
    }

    long[][] count(int draws, SplittableRandom random, Resting resting) {
      double[][] spread = Arrays.stream(sources).map(Source::spread).toArray(double[][]::new);
      double[] error = new double[sources.length];
      double[] heights = nominal.clone();
      int[] carried = new int[names];
      long[][] counts = new long[2][names];
      for (int d = 1; d <= draws; d++) {
        for (int s = 0; s < error.length; s++) {
          error[s] = sources[s].draw(random, spread[s]);
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
        counts[0][name[first]]++;
        resting.settle(heights);
        for (int foot : resting.feet()) {
          // A die that carries on two corners carries once.
          if (carried[name[foot]] != d) {
            carried[name[foot]] = d;
            counts[1][name[foot]]++;
          }
        }
      }
      return counts;
    }
  }
}
