package dev.ambershim.core.runs.series;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.judging.EqualLoad;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.exception.MathIllegalArgumentException;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * Judges a series: each mount counts once, blocks and a drift of the bench are taken out, and all
 * pairs are told at one level together (Tukey and Kramer; Montgomery, <i>Design and Analysis of
 * Experiments</i>, sections 3.5 and 4.1).
 */
public final class SeriesFit {
  /** The level of all intervals: 95 %. */
  public static final double LEVEL = 0.95;

  /** With fewer degrees of freedom the usual scatter between mounts is mixed in. */
  private static final int OWN_FREEDOM = 4;

  /** What the usual scatter between mounts is worth, degrees of freedom: common practice. */
  private static final double USUAL_FREEDOM = 4;

  /** No mounts scatter by less, whatever figures say that were rounded or made up, K. */
  private static final double LEAST_SCATTER = 0.03;

  /** A drift within blocks must be this unlikely by chance to be taken out as well. */
  private static final double DRIFTS = 0.01;

  /** From so many blocks on they tell a drift by themselves. */
  private static final int FEWEST_BLOCKS = 4;

  /** A mount that stands apart must be this unlikely, over all mounts. */
  private static final double OUTLYING = 0.01;

  private static final int MOST_CANDIDATES = 40;

  private final List<Mount> mounts;
  private final double watts;
  private final double[] rises;
  private final double[] corrections;
  private final double remountKelvin;
  private final Optional<String> reference;

  private SeriesFit(List<Mount> mounts, double remountKelvin, Optional<String> reference) {
    this.reference = reference;
    this.mounts = mounts;
    this.remountKelvin = remountKelvin;
    watts = mounts.stream().mapToDouble(Mount::watts).average().orElseThrow();
    rises = mounts.stream().mapToDouble(m -> m.riseAt(watts)).toArray();
    corrections = mounts.stream().mapToDouble(m -> m.riseAt(watts) - m.riseKelvin()).toArray();
  }

  /**
   * Judges.
   *
   * @param all every mount, spoiled ones too
   * @param remountKelvin usual standard deviation between mounts, K; counts only where the mounts
   *     are too few to tell it
   * @param reference the one that all others are compared with besides, if there is one
   * @throws Problem {@code series.few} with fewer than two candidates, {@code series.many}, {@code
   *     series.reference} if no mount is of it
   */
  public static Judged of(List<Mount> all, double remountKelvin, Optional<String> reference) {
    List<Mount> counted = all.stream().filter(Mount::counts).toList();
    long candidates = counted.stream().map(Mount::candidate).distinct().count();
    if (candidates < 2) {
      throw new Problem(
          "series.few",
          Place.NOWHERE,
          candidates == 0 ? "No mount counts." : "There is only one candidate.",
          "A series compares two candidates or more.");
    }
    if (candidates > MOST_CANDIDATES) {
      throw new Problem(
          "series.many",
          Place.NOWHERE,
          "More than " + MOST_CANDIDATES + " candidates are too many.",
          "Look whether the column candidate holds names; leave some out.");
    }
    reference
        .filter(r -> counted.stream().noneMatch(m -> m.candidate().equals(r)))
        .ifPresent(
            r -> {
              throw new Problem(
                  "series.reference",
                  Place.NOWHERE,
                  "No mount is of \"" + r + "\".",
                  "Name a candidate as the table does.");
            });
    return new SeriesFit(counted, remountKelvin, reference)
        .judge(all.stream().filter(m -> !m.counts()).toList());
  }

  private Judged judge(List<Mount> spoiled) {
    boolean ordered = mounts.stream().allMatch(m -> m.order().isPresent());
    Design plain = new Design(mounts, rises, true, false);
    Design design = plain;
    boolean drifting = false;
    if (ordered && plain.freedom() > OWN_FREEDOM && moves()) {
      Optional<Design> sloped = sloped(true).filter(SeriesFit::drifts);
      drifting = sloped.isPresent();
      design = sloped.orElse(plain);
    }
    int count = design.candidates().size();
    double freedom = design.freedom();
    boolean own = freedom >= OWN_FREEDOM;
    double squares = design.squares();
    if (!own) {
      squares += USUAL_FREEDOM * remountKelvin * remountKelvin;
      freedom += USUAL_FREEDOM;
    }
    double scatter = Math.max(LEAST_SCATTER, Math.sqrt(squares / freedom));
    double[] means = new double[count];
    double[][] covariance = new double[count][count];
    for (int i = 0; i < count; i++) {
      means[i] = design.mean(i);
      for (int j = 0; j < count; j++) {
        covariance[i][j] = design.covariance(i, j);
      }
    }
    double[] best = Chances.of(means, covariance, scatter, freedom);
    int[] order =
        IntStream.range(0, count)
            .boxed()
            .sorted(Comparator.comparingDouble(i -> means[i]))
            .mapToInt(i -> i)
            .toArray();
    List<Judged.Pair> pairs = pairs(design, order, scatter, freedom);
    List<Judged.Mean> ranking = ranking(design, order, scatter, freedom, best, pairs);
    Judged.Pair top = pairs.get(0);
    OptionalInt toPart =
        top.told()
            ? OptionalInt.of(0)
            : new MountsToPart(
                    top.kelvin(),
                    design.variance(order[0], order[1]),
                    scatter,
                    freedom,
                    count,
                    design.blocked())
                .count();
    int[] open = leaders(design, order, pairs);
    Optional<String> next =
        open.length < 2
            ? Optional.empty()
            : Optional.of(
                design.candidates().get(Chances.next(means, covariance, scatter, freedom, open)));
    return new Judged(
        ranking,
        pairs,
        against(design, order, scatter, freedom),
        watts,
        scatter,
        freedom,
        own,
        design.blocked(),
        ordered && moves() ? drift(plain) : Optional.empty(),
        drifting,
        outliers(design, scatter),
        mounts,
        spoiled,
        toPart,
        next);
  }

  private boolean moves() {
    return mounts.stream().mapToDouble(m -> m.order().orElseThrow()).distinct().count() > 2;
  }

  private static double mean(Design design) {
    return Math.max(LEAST_SCATTER * LEAST_SCATTER, design.squares() / design.freedom());
  }

  private static double tail(double t, double freedom) {
    return 2 * new TDistribution(freedom).cumulativeProbability(-t);
  }

  private List<Judged.Pair> pairs(Design design, int[] order, double scatter, double freedom) {
    double factor = new StudentizedRange(order.length, freedom).quantile(LEVEL) / Math.sqrt(2);
    List<Judged.Pair> pairs = new ArrayList<>();
    for (int i = 0; i < order.length; i++) {
      for (int j = i + 1; j < order.length; j++) {
        pairs.add(pair(design, order[i], order[j], scatter, factor));
      }
    }
    return pairs;
  }

  /** Every other candidate less the reference, told at one level together. */
  private List<Judged.Pair> against(Design design, int[] order, double scatter, double freedom) {
    int one = reference.map(design.candidates()::indexOf).orElse(-1);
    if (one < 0) {
      return List.of();
    }
    double factor = new AgainstReference(order.length - 1, freedom).quantile(LEVEL);
    return IntStream.of(order)
        .filter(c -> c != one)
        .mapToObj(c -> pair(design, c, one, scatter, factor))
        .toList();
  }

  private Judged.Pair pair(Design design, int a, int b, double scatter, double factor) {
    double open =
        EqualLoad.OPEN_SHARE
            * (correction(design, a) - correction(design, b))
            / Interval.normalHalf(LEVEL);
    double half = factor * Math.hypot(scatter * Math.sqrt(design.variance(a, b)), open);
    double kelvin = design.mean(a) - design.mean(b);
    return new Judged.Pair(
        design.candidates().get(a),
        design.candidates().get(b),
        kelvin,
        Interval.around(kelvin, half, LEVEL),
        Math.abs(kelvin) > half);
  }

  /** What bringing a candidate's mounts to one power moved them, K: a part of it is open. */
  private double correction(Design design, int candidate) {
    String name = design.candidates().get(candidate);
    return IntStream.range(0, rises.length)
        .filter(i -> mounts.get(i).candidate().equals(name))
        .mapToDouble(i -> corrections[i])
        .average()
        .orElse(0);
  }

  private List<Judged.Mean> ranking(
      Design design,
      int[] order,
      double scatter,
      double freedom,
      double[] best,
      List<Judged.Pair> pairs) {
    double factor = new TDistribution(freedom).inverseCumulativeProbability(0.5 + LEVEL / 2);
    List<String> names = IntStream.of(order).mapToObj(design.candidates()::get).toList();
    List<String> letters = Letters.of(names, pairs);
    List<Judged.Mean> ranking = new ArrayList<>();
    for (int i = 0; i < order.length; i++) {
      int c = order[i];
      String name = names.get(i);
      List<Mount> its = mounts.stream().filter(m -> m.candidate().equals(name)).toList();
      ranking.add(
          new Judged.Mean(
              name,
              design.mean(c),
              Interval.around(
                  design.mean(c), factor * scatter * Math.sqrt(design.covariance(c, c)), LEVEL),
              best[c],
              letters.get(i),
              its.size(),
              price(its)));
    }
    return ranking;
  }

  private static OptionalDouble price(List<Mount> its) {
    return its.stream()
        .filter(m -> m.price().isPresent())
        .mapToDouble(m -> m.price().getAsDouble())
        .average();
  }

  private static int[] leaders(Design design, int[] order, List<Judged.Pair> pairs) {
    String best = design.candidates().get(order[0]);
    return IntStream.of(order)
        .filter(
            c ->
                c == order[0]
                    || pairs.stream()
                        .anyMatch(p -> p.of(best, design.candidates().get(c)) && !p.told()))
        .toArray();
  }

  /**
   * From block to block, each of which counts once, since what a block has of its own is no scatter
   * of mounts; with few blocks or none, from mount to mount.
   */
  private Optional<Judged.BenchDrift> drift(Design plain) {
    double[] levels = plain.blockLevels();
    if (levels.length >= FEWEST_BLOCKS) {
      return slope(plain.blockOrders(), levels);
    }
    return sloped(plain.blocked())
        .filter(d -> d.freedom() >= 2)
        .map(d -> drift(d.slope(), d.slopeVariance() * mean(d), d.freedom()));
  }

  /** With a drift over the order; empty where candidates always came in the same order. */
  private Optional<Design> sloped(boolean inBlocks) {
    try {
      return Optional.of(new Design(mounts, rises, inBlocks, true));
    } catch (MathIllegalArgumentException mixed) {
      return Optional.empty();
    }
  }

  private static boolean drifts(Design sloped) {
    double t = Math.abs(sloped.slope()) / Math.sqrt(sloped.slopeVariance() * mean(sloped));
    return sloped.freedom() > 0 && tail(t, sloped.freedom()) < DRIFTS;
  }

  private static Optional<Judged.BenchDrift> slope(double[] at, double[] levels) {
    SimpleRegression line = new SimpleRegression();
    for (int b = 0; b < at.length; b++) {
      line.addData(at[b], levels[b]);
    }
    double error =
        Math.max(LEAST_SCATTER / Math.sqrt(line.getXSumSquares()), line.getSlopeStdErr());
    return Double.isFinite(error)
        ? Optional.of(drift(line.getSlope(), error * error, at.length - 2.0))
        : Optional.empty();
  }

  private static Judged.BenchDrift drift(double perMount, double variance, double freedom) {
    double factor = new TDistribution(freedom).inverseCumulativeProbability(0.5 + LEVEL / 2);
    return new Judged.BenchDrift(
        perMount, Interval.around(perMount, factor * Math.sqrt(variance), LEVEL));
  }

  /** By what each mount leaves, against what all others leave; Bonferroni over all of them. */
  private List<Judged.Outlier> outliers(Design design, double scatter) {
    List<Judged.Outlier> outliers = new ArrayList<>();
    int freedom = design.freedom() - 1;
    for (int i = 0; i < mounts.size() && freedom >= 2; i++) {
      double free = 1 - design.leverage(i);
      if (free < 1e-6) {
        continue;
      }
      double left = design.left(i);
      double others = Math.max(0, design.squares() - left * left / free) / freedom;
      double t = Math.abs(left) / Math.sqrt(free * Math.max(LEAST_SCATTER * LEAST_SCATTER, others));
      boolean far = Math.abs(left / free) > 2 * Math.min(scatter, remountKelvin);
      if (far && tail(t, freedom) * mounts.size() < OUTLYING) {
        outliers.add(new Judged.Outlier(mounts.get(i), left / free));
      }
    }
    return outliers;
  }
}
