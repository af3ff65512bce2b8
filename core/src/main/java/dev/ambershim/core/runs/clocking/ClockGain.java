package dev.ambershim.core.runs.clocking;

import dev.ambershim.core.base.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import org.hipparchus.special.Erf;

/**
 * How far apart two states' highest clocks lie, by rungs and heat together. The highest clock is
 * the lower of two edges: where heat reaches the limit, and where the chip is no longer stable.
 * Both are soft. Near its stable edge a chip passes one try and fails the next, so a rung seen once
 * is no certain bound and repeats count; a rung counts as too hot by a reading that has an error,
 * on a mount that is one of many. Edges are drawn (the heat's from the model of the rungs'
 * temperatures, where there are any), and weighed by what each rung would then have shown (Bayes'
 * rule by importance; Gelman et al., <i>Bayesian Data Analysis</i>, 10.4).
 *
 * @param megahertz the middle of the draws, after less before
 * @param interval their middle 95 %
 * @param heatLeftOut whether the rungs speak against the model of their temperatures, so that they
 *     count alone
 */
public record ClockGain(double megahertz, Interval interval, boolean heatLeftOut) {
  private static final double LEVEL = 0.95;
  private static final int DRAWS = 4000;
  private static final long SEED = 0x676169L;

  /**
   * Width of a chip's stable edge, as a standard deviation, MHz, and its factor; common practice.
   */
  private static final double SOFT_MEGAHERTZ = 22;

  private static final double SOFT_FACTOR = 1.8;

  /** How much a core warms for a step of clock where no rung tells, K/MHz; common practice. */
  private static final double USUAL_KELVIN_PER_MEGAHERTZ = 0.03;

  /** How far that lies apart between chips, as a standard deviation of its logarithm. */
  private static final double SLOPE_SIGMA = 0.45;

  /** How much the room moves between tries at which nobody read it, K; common practice. */
  private static final double UNREAD_ROOM_KELVIN = 0.8;

  /** Heat grows with clock and voltage, about so: common practice, as in {@link ClockModel}. */
  private static final double HEAT_POWER = 2.6;

  /** Widths are drawn from so many of equal chance. */
  private static final int WIDTHS = 15;

  private static final double FINEST = 5;

  /** A model of heat that gave what the rungs showed a smaller chance is left out. */
  private static final double LEAST_FORESEEN = 0.01;

  private static final int GRID = 161;

  /** Edges are looked for so far beyond the lowest and the highest rung, as a share. */
  private static final double BEYOND = 0.1;

  /**
   * The gain of one bracketed ladder over another.
   *
   * @param heat the model of both ladders' temperatures in their order; empty where there is none
   * @param remountKelvin standard deviation of a rise between mounts
   */
  public static ClockGain of(
      ClockLadder before, ClockLadder after, Optional<ClockModel> heat, double remountKelvin) {
    ClockGain told = drawn(before, after, heat, remountKelvin);
    if (told != null) {
      return told;
    }
    ClockGain alone = drawn(before, after, Optional.empty(), remountKelvin);
    return new ClockGain(alone.megahertz, alone.interval, true);
  }

  /** Null where the rungs speak against nearly all that the model of heat draws. */
  private static ClockGain drawn(
      ClockLadder before, ClockLadder after, Optional<ClockModel> heat, double remountKelvin) {
    Side first = new Side(before, remountKelvin);
    Side second = new Side(after, remountKelvin);
    SplittableRandom random = new SplittableRandom(SEED);
    Optional<double[][]> edges =
        heat.map(m -> m.clocksAt(before.terms().limitCelsius(), before.roomCelsius()));
    double[] gains = new double[DRAWS];
    double[] logs = new double[DRAWS];
    double best = Double.NEGATIVE_INFINITY;
    for (int d = 0; d < DRAWS; d++) {
      int soft = random.nextInt(WIDTHS);
      int at = d;
      Optional<double[]> drawn = edges.map(e -> e[at % e.length]);
      double heatBefore = drawn.map(e -> e[0]).orElseGet(() -> first.heatEdge(random));
      double heatAfter = drawn.map(e -> e[1]).orElseGet(() -> second.heatEdge(random));
      // What the mount does to the heat's edge is in the model's draws; the rungs saw one mount.
      // Both sides are one chip, so they warm alike.
      double slope = Math.exp(SLOPE_SIGMA * random.nextGaussian());
      logs[d] =
          first.hot(heatBefore, drawn.isPresent(), slope)
              + second.hot(heatAfter, drawn.isPresent(), slope);
      double topBefore = Math.min(heatBefore, first.stableEdge(soft, random));
      double topAfter = Math.min(heatAfter, second.stableEdge(soft, random));
      gains[d] = topAfter - topBefore;
      best = Math.max(best, logs[d]);
    }
    // Which rungs were too hot is a prediction of that model; one it would hardly have made shows
    // that it does not hold there, as where the voltage goes up in jumps.
    double foreseen = Arrays.stream(logs).map(Math::exp).average().orElseThrow();
    return heat.isPresent() && foreseen < LEAST_FORESEEN ? null : weighed(gains, logs, best);
  }

  private static ClockGain weighed(double[] gains, double[] logs, double best) {
    double sum = 0;
    List<double[]> all = new ArrayList<>();
    for (int d = 0; d < gains.length; d++) {
      double weight = Math.exp(logs[d] - best);
      all.add(new double[] {gains[d], weight});
      sum += weight;
    }
    all.sort(Comparator.comparingDouble(g -> g[0]));
    double low = Double.NaN;
    double middle = Double.NaN;
    double high = Double.NaN;
    double passed = 0;
    for (double[] g : all) {
      passed += g[1] / sum;
      low = Double.isNaN(low) && passed >= (1 - LEVEL) / 2 ? g[0] : low;
      middle = Double.isNaN(middle) && passed >= 0.5 ? g[0] : middle;
      high = Double.isNaN(high) && passed >= (1 + LEVEL) / 2 ? g[0] : high;
    }
    double top = Double.isNaN(high) ? all.get(all.size() - 1)[0] : high;
    // Draws tell it no finer.
    return new ClockGain(
        FINEST * Math.rint(middle / FINEST),
        new Interval(
            FINEST * Math.floor(low / FINEST),
            FINEST * Math.ceil(Math.max(low, top) / FINEST),
            LEVEL),
        false);
  }

  /** One ladder, and how likely it is for edges. */
  private static final class Side {
    private final ClockLadder ladder;
    private final List<Rung> told;
    private final double low;
    private final double step;

    /** Whether rungs tell how fast the chip warms. */
    private final boolean warms;

    /** Error of a reading, and of a mount, as a clock, MHz. */
    private final double reading;

    private final double mount;

    /** Running sums of the stable edge's likelihood over the grid, by width; made when needed. */
    private final double[][] stable = new double[WIDTHS][];

    Side(ClockLadder ladder, double remountKelvin) {
      this.ladder = ladder;
      told = ladder.rungs().stream().filter(r -> r.outcome() != Outcome.STOPPED).toList();
      low = told.get(0).clockMegahertz() * (1 - BEYOND);
      double high = told.get(told.size() - 1).clockMegahertz() * (1 + BEYOND);
      step = (high - low) / (GRID - 1);
      OptionalDouble own =
          told.stream()
              .filter(r -> r.riseKelvin() > 1)
              .mapToDouble(r -> HEAT_POWER * r.riseKelvin() / r.clockMegahertz())
              .average();
      warms = own.isPresent();
      double slope = own.orElse(USUAL_KELVIN_PER_MEGAHERTZ);
      reading = Math.hypot(Rung.BY_HAND_KELVIN, warms ? 0 : UNREAD_ROOM_KELVIN) / slope;
      mount = remountKelvin / slope;
    }

    private static double normal(double z) {
      return 0.5 * Erf.erfc(-z / Math.sqrt(2));
    }

    private static double log(double chance) {
      return Math.log(Math.max(chance, 1e-12));
    }

    /**
     * How likely the rungs' heat is for an edge of heat, as a logarithm.
     *
     * @param temperatures whether the temperatures of rungs that passed are in the edge already
     * @param slope how fast the chip warms, by what is usual; it counts where no rung tells it
     */
    double hot(double edge, boolean temperatures, double slope) {
      double sum = 0;
      double wide = Math.hypot(reading, mount) / (warms ? 1 : slope);
      for (Rung r : told) {
        boolean known = temperatures && ClockModel.tells(r);
        Outcome counts = ladder.counts(r);
        double above = (r.clockMegahertz() - edge) / wide;
        if (!known && (counts == Outcome.TOO_HOT || counts == Outcome.THROTTLED)) {
          sum += log(normal(above));
        } else if (!known && counts == Outcome.PASSED) {
          sum += log(normal(-above));
        }
      }
      return sum;
    }

    /**
     * An edge of heat where no temperatures tell it: anywhere about the rungs, or far above where
     * none was too hot.
     */
    double heatEdge(SplittableRandom random) {
      boolean met =
          told.stream()
              .map(ladder::counts)
              .anyMatch(o -> o == Outcome.TOO_HOT || o == Outcome.THROTTLED);
      return !met ? 2 * (low + step * GRID) : low + step * (GRID - 1) * random.nextDouble();
    }

    /** A stable edge, drawn by what passed and failed; what was too hot was stable. */
    double stableEdge(int width, SplittableRandom random) {
      if (stable[width] == null) {
        stable[width] = sums(width(width));
      }
      double[] sums = stable[width];
      double aim = random.nextDouble() * sums[GRID - 1];
      int g = 0;
      while (g < GRID - 1 && sums[g] < aim) {
        g++;
      }
      return low + (g + random.nextDouble() - 0.5) * step;
    }

    /** The middle of one of the equally likely widths, MHz. */
    private static double width(int which) {
      double z = -Math.sqrt(2) * Erf.erfcInv((2 * which + 1.0) / WIDTHS);
      return SOFT_MEGAHERTZ * Math.pow(SOFT_FACTOR, -z);
    }

    private double[] sums(double soft) {
      double[] sums = new double[GRID];
      double sum = 0;
      for (int g = 0; g < GRID; g++) {
        double likelihood = 0;
        for (Rung r : told) {
          double above = (r.clockMegahertz() - (low + g * step)) / soft;
          likelihood += log(normal(r.outcome() == Outcome.FAILED ? above : -above));
        }
        sum += Math.exp(likelihood);
        sums[g] = sum;
      }
      return sums;
    }
  }
}
