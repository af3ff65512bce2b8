package dev.ambershim.core.runs.drift;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;

/**
 * Whether a slope, a jump at the best of its places, or two jumps explain more of what is left than
 * chance would. Each is the share of the left squares that one or two more columns take; the
 * reference is the same shares of drawn histories, so the rate of false alarms is what it says for
 * any number of checks and any scatter (a likelihood-ratio test with a Monte Carlo reference;
 * Hinkley 1970 for the jump).
 *
 * @param chance chance that any of the three is as unlikely as the least likely of them is here
 * @param slope what a slope explains
 * @param jump what a jump explains
 * @param pair what two jumps explain
 */
record Gate(double chance, Explained slope, Explained jump, Explained pair) {
  private static final int DRAWS = 4000;
  private static final long SEED = 20_261_129;

  /** More work than this in a test is cut by fewer draws and places. */
  private static final long MOST_WORK = 150_000_000;

  private static final int FEWEST_DRAWS = 1000;
  private static final int FEWEST_BETWEEN = 2;

  /**
   * What more columns explain.
   *
   * @param chance of so much where there is nothing
   * @param gain log of how much likelier the rises become
   * @param places the checks before which it jumps; none for a slope, or where nothing can be
   */
  record Explained(double chance, double gain, List<Integer> places) {}

  /** Looks at a course beyond what a model explains already. */
  static Gate of(Course course, Basis model, boolean slope) {
    Shares shares = new Shares(course, model, slope);
    Best here = shares.best(model.without(course.rises()));
    int draws = draws(course, shares);
    double[] slopes = new double[draws];
    double[] jumps = new double[draws];
    double[] pairs = new double[draws];
    SplittableRandom random = new SplittableRandom(SEED);
    for (int d = 0; d < draws; d++) {
      Best drawn = shares.best(model.without(course.draw(random)));
      slopes[d] = drawn.slope();
      jumps[d] = drawn.jump();
      pairs[d] = drawn.pair();
    }
    double[] sortedSlopes = sorted(slopes);
    double[] sortedJumps = sorted(jumps);
    double[] sortedPairs = sorted(pairs);
    double[] least = new double[draws];
    for (int d = 0; d < draws; d++) {
      least[d] =
          Math.min(
              beyond(sortedSlopes, slopes[d]),
              Math.min(beyond(sortedJumps, jumps[d]), beyond(sortedPairs, pairs[d])));
    }
    Arrays.sort(least);
    double slopeChance = beyond(sortedSlopes, here.slope());
    double jumpChance = beyond(sortedJumps, here.jump());
    double pairChance = beyond(sortedPairs, here.pair());
    int n = course.size();
    return new Gate(
        notAbove(least, Math.min(slopeChance, Math.min(jumpChance, pairChance))),
        new Explained(slopeChance, gain(n, here.slope()), List.of()),
        new Explained(jumpChance, gain(n, here.jump()), shares.places(here.at(), -1)),
        new Explained(
            pairChance, gain(n, here.pair()), shares.places(here.first(), here.second())));
  }

  private static double gain(int n, double share) {
    return -0.5 * n * Math.log1p(-share);
  }

  /** The largest shares, and where. */
  private record Best(double slope, double jump, int at, double pair, int first, int second) {}

  /** The shares of the left squares that a slope, a step or two steps take. */
  private static final class Shares {
    private final double[] line;
    private final List<double[]> steps = new ArrayList<>();
    private final List<Integer> at = new ArrayList<>();
    private final double[][] alike;

    Shares(Course course, Basis model, boolean slope) {
      line = slope ? model.direction(course.slope()) : new double[0];
      for (int place : thinned(course)) {
        double[] step = model.direction(course.step(place));
        if (step.length > 0) {
          steps.add(step);
          at.add(place);
        }
      }
      int k = steps.size();
      alike = new double[k][k];
      for (int i = 0; i < k; i++) {
        for (int j = 0; j < i; j++) {
          alike[i][j] = Basis.dot(steps.get(i), steps.get(j));
        }
      }
    }

    int count() {
      return steps.size();
    }

    List<Integer> places(int first, int second) {
      List<Integer> places = new ArrayList<>();
      if (first >= 0) {
        places.add(at.get(first));
      }
      if (second >= 0) {
        places.add(at.get(second));
      }
      return places;
    }

    Best best(double[] left) {
      double squares = Basis.dot(left, left) + left.length * Course.LEAST_SCALE;
      double slope = 0;
      if (line.length > 0) {
        double dot = Basis.dot(line, left);
        slope = dot * dot / squares;
      }
      double[] dots = new double[steps.size()];
      double jump = 0;
      int place = -1;
      double pair = 0;
      int first = -1;
      int second = -1;
      for (int i = 0; i < dots.length; i++) {
        dots[i] = Basis.dot(steps.get(i), left);
        double share = dots[i] * dots[i];
        if (share > jump) {
          jump = share;
          place = i;
        }
        for (int j = 0; j < i; j++) {
          double open = 1 - alike[i][j] * alike[i][j];
          if (open > 1e-9 && at.get(i) - at.get(j) >= FEWEST_BETWEEN) {
            double more = dots[i] - alike[i][j] * dots[j];
            double both = dots[j] * dots[j] + more * more / open;
            if (both > pair) {
              pair = both;
              first = j;
              second = i;
            }
          }
        }
      }
      return new Best(
          most(slope), most(jump / squares), place, most(pair / squares), first, second);
    }

    private static double most(double share) {
      return Math.min(share, 1 - 1e-12);
    }
  }

  /** The places of jumps; in a long history only every so many. */
  private static List<Integer> thinned(Course course) {
    List<Integer> places = course.places();
    int stride = 1;
    while (work(course, places.size() / stride) * FEWEST_DRAWS > MOST_WORK) {
      stride++;
    }
    List<Integer> kept = new ArrayList<>();
    for (int i = 0; i < places.size(); i += stride) {
      kept.add(places.get(i));
    }
    return kept;
  }

  private static long work(Course course, int steps) {
    return (long) course.size() * (steps + 4) + (long) steps * steps / 2;
  }

  private static int draws(Course course, Shares shares) {
    return (int) Math.max(FEWEST_DRAWS, Math.min(DRAWS, MOST_WORK / work(course, shares.count())));
  }

  private static double[] sorted(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    return sorted;
  }

  /** Share of drawn values that are as large; the value itself counts as one more draw. */
  private static double beyond(double[] sorted, double value) {
    int below = 0;
    int above = sorted.length;
    while (below < above) {
      int middle = (below + above) >>> 1;
      if (sorted[middle] < value) {
        below = middle + 1;
      } else {
        above = middle;
      }
    }
    return (sorted.length - below + 1.0) / (sorted.length + 1.0);
  }

  private static double notAbove(double[] sorted, double value) {
    int count = 0;
    while (count < sorted.length && sorted[count] <= value) {
      count++;
    }
    return (count + 1.0) / (sorted.length + 1.0);
  }
}
