package dev.ambershim.core.runs.clocking;

import dev.ambershim.core.base.Interval;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.DoubleUnaryOperator;
import java.util.function.ToDoubleFunction;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * How hot the hottest core gets at a clock. Heat is C·V²·f plus leakage, which goes with the
 * voltage and doubles every so many kelvin; the rise is heat times a resistance that each side of
 * the work has of its own; voltage goes as a power of the clock. With clock and voltage as shares
 * of the rungs' means, and T the hottest core's temperature:
 *
 * <pre>rise = A·[(1 − λ)·f·V² + λ·V·2^((T − 60 °C)/D)],  V = f^e where it was not read</pre>
 *
 * <p>A of each side, λ, D and e are fitted to the rungs that passed (Levenberg–Marquardt), with
 * common practice as what was known before: λ about 0.15, D about 30 K, e about 0.8. Intervals come
 * from draws about the fit, weighed by how well each meets rungs and priors (sampling importance
 * resampling; Rubin 1988). CMOS switching power is textbook matter (Weste and Harris, CMOS VLSI
 * Design, chapter 5); that leakage grows exponentially with temperature over such a range is its
 * usual shape.
 *
 * <p>It holds near the rungs, under one load, with the cooler at one speed. It knows nothing of
 * stability.
 */
public final class ClockModel {
  static final double LEAKAGE_AT_CELSIUS = 60;

  private static final double LEVEL = 0.95;
  private static final int TRIED = 4000;
  private static final int KEPT = 1000;
  private static final long SEED = 0x636c6f636bL;

  // Common practice: logarithm of the leakage's share, of the kelvin it doubles in, and the power
  // of the clock that voltage goes with, each with its standard deviation.
  private static final double[] PRIOR = {Math.log(0.15), Math.log(30), 0.8};
  private static final double[] PRIOR_SIGMA = {0.6, 0.3, 0.5};

  private static final double VOLTAGE_SIGMA = 0.01;
  private static final double POWER_SIGMA = 0.03;
  private static final int SHARED = PRIOR.length;

  /** Draws are tried from somewhat wider than the fit says, so that its tails are reached. */
  private static final double WIDER = 1.5;

  private final List<List<Rung>> sides;
  private final double referenceMegahertz;
  private final double referenceVolts;
  private final boolean powers;
  private double[] likely;
  private double[][] draws;

  private ClockModel(List<List<Rung>> sides) {
    this.sides = sides;
    referenceMegahertz =
        sides.stream()
            .flatMap(List::stream)
            .mapToDouble(Rung::clockMegahertz)
            .average()
            .orElseThrow();
    referenceVolts =
        sides.stream()
            .flatMap(List::stream)
            .filter(r -> r.voltageVolts() != null)
            .mapToDouble(Rung::voltageVolts)
            .average()
            .orElse(1);
    powers = sides.stream().flatMap(List::stream).anyMatch(r -> r.watts() != null);
  }

  /**
   * Fits the ladders of one or two states.
   *
   * @param remountKelvin standard deviation of a rise between mounts, which all rungs of one state
   *     share
   * @return empty if a state has no rung that passed with a rise
   */
  public static Optional<ClockModel> of(List<ClockLadder> ladders, double remountKelvin) {
    List<List<Rung>> sides =
        ladders.stream().map(l -> l.rungs().stream().filter(ClockModel::tells).toList()).toList();
    if (sides.isEmpty() || sides.stream().anyMatch(List::isEmpty)) {
      return Optional.empty();
    }
    ClockModel model = new ClockModel(sides);
    return model.fit(remountKelvin) ? Optional.of(model) : Optional.empty();
  }

  /** Whether a rung has a settled rise to fit. */
  public static boolean tells(Rung rung) {
    return rung.outcome() == Outcome.PASSED && rung.riseKelvin() > 1;
  }

  // Parameters: λ, D and e as in PRIOR; then of each side ln A at the common reference voltage, and
  // its own voltage at the reference clock as a share of that; then ln P.
  private int count() {
    return SHARED + 2 * sides.size() + (powers ? 1 : 0);
  }

  private boolean fit(double remountKelvin) {
    double[] start = new double[count()];
    System.arraycopy(PRIOR, 0, start, 0, SHARED);
    for (int s = 0; s < sides.size(); s++) {
      start[SHARED + 2 * s] = Math.log(mean(sides.get(s), Rung::riseKelvin));
      start[SHARED + 2 * s + 1] = 1;
    }
    if (powers) {
      start[count() - 1] =
          Math.log(
              sides.stream()
                  .flatMap(List::stream)
                  .filter(r -> r.watts() != null)
                  .mapToDouble(Rung::watts)
                  .average()
                  .orElseThrow());
    }
    int residuals = residuals(start).length;
    try {
      Optimum optimum =
          new LevenbergMarquardtOptimizer()
              .optimize(
                  new LeastSquaresBuilder()
                      .start(start)
                      .model(
                          p ->
                              new Pair<>(
                                  new ArrayRealVector(residuals(p.toArray()), false),
                                  jacobian(p.toArray())))
                      .target(new double[residuals])
                      .maxEvaluations(500)
                      .maxIterations(500)
                      .build());
      likely = optimum.getPoint().toArray();
      draw(optimum.getCovariances(1e-14), inflation(), remountKelvin);
      return true;
    } catch (MathRuntimeException e) {
      return false;
    }
  }

  private static double mean(List<Rung> rungs, ToDoubleFunction<Rung> figure) {
    return rungs.stream().mapToDouble(figure).average().orElseThrow();
  }

  /** Each residual in its own standard deviations; the priors first. */
  private double[] residuals(double[] p) {
    List<Double> all = new ArrayList<>();
    for (int i = 0; i < SHARED; i++) {
      all.add((p[i] - PRIOR[i]) / PRIOR_SIGMA[i]);
    }
    for (int s = 0; s < sides.size(); s++) {
      boolean volts = false;
      for (Rung r : sides.get(s)) {
        double heat = heat(p, s, r);
        all.add((Math.exp(p[SHARED + 2 * s]) * heat - r.riseKelvin()) / r.sigmaKelvin());
        if (r.voltageVolts() != null) {
          volts = true;
          double curve = p[SHARED + 2 * s + 1] * Math.pow(share(r.clockMegahertz()), p[2]);
          all.add((curve * referenceVolts - r.voltageVolts()) / VOLTAGE_SIGMA);
        }
        if (r.watts() != null) {
          all.add((p[p.length - 1] + Math.log(heat) - Math.log(r.watts())) / POWER_SIGMA);
        }
      }
      if (!volts) {
        // Without a reading both sides are taken to run on one course of voltage.
        all.add((p[SHARED + 2 * s + 1] - 1) * referenceVolts / VOLTAGE_SIGMA);
      }
    }
    return all.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private RealMatrix jacobian(double[] p) {
    double[] at = residuals(p);
    RealMatrix jacobian = MatrixUtils.createRealMatrix(at.length, p.length);
    for (int i = 0; i < p.length; i++) {
      double[] moved = p.clone();
      double h = 1e-6 * Math.max(1, Math.abs(p[i]));
      moved[i] += h;
      double[] there = residuals(moved);
      moved[i] -= 2 * h;
      double[] back = residuals(moved);
      for (int r = 0; r < at.length; r++) {
        jacobian.setEntry(r, i, (there[r] - back[r]) / (2 * h));
      }
    }
    return jacobian;
  }

  /** Scatter beyond what the readings' errors explain widens the fit. */
  private double inflation() {
    double[] r = residuals(likely);
    double squares = 0;
    for (int i = SHARED; i < r.length; i++) {
      squares += r[i] * r[i];
    }
    int freedom = r.length - likely.length;
    return freedom < 2 ? 1 : Math.max(1, squares / freedom);
  }

  private void draw(RealMatrix covariance, double inflation, double remountKelvin) {
    // Entries that mirror each other differ by rounding; their mean is symmetric to the last bit.
    RealMatrix even =
        covariance.add(covariance.transpose()).scalarMultiply(0.5 * inflation * WIDER);
    RealMatrix root = new CholeskyDecomposition(even).getL();
    SplittableRandom random = new SplittableRandom(SEED);
    double[][] tried = new double[TRIED][];
    double[] weight = new double[TRIED];
    double best = Double.NEGATIVE_INFINITY;
    for (int d = 0; d < TRIED; d++) {
      double[] z = new double[likely.length];
      double distance = 0;
      for (int i = 0; i < z.length; i++) {
        z[i] = random.nextGaussian();
        distance += z[i] * z[i];
      }
      double[] p = root.operate(z);
      for (int i = 0; i < p.length; i++) {
        p[i] += likely[i];
      }
      tried[d] = p;
      weight[d] = stable(p) ? (distance - squares(p, inflation)) / 2 : Double.NEGATIVE_INFINITY;
      best = Math.max(best, weight[d]);
    }
    double sum = 0;
    for (int d = 0; d < TRIED; d++) {
      weight[d] = Math.exp(weight[d] - best);
      sum += weight[d];
    }
    draws = new double[KEPT][];
    double passed = 0;
    int kept = 0;
    for (int d = 0; d < TRIED && kept < KEPT; d++) {
      passed += weight[d];
      while (kept < KEPT && passed > (kept + 0.5) * sum / KEPT) {
        draws[kept++] = remounted(tried[d], random, remountKelvin);
      }
    }
    for (; kept < KEPT; kept++) {
      draws[kept] = remounted(likely, random, remountKelvin);
    }
  }

  private double[] remounted(double[] p, SplittableRandom random, double remountKelvin) {
    double[] q = p.clone();
    for (int s = 0; s < sides.size(); s++) {
      q[SHARED + 2 * s] +=
          random.nextGaussian() * remountKelvin / mean(sides.get(s), Rung::riseKelvin);
    }
    return q;
  }

  private double squares(double[] p, double inflation) {
    double[] r = residuals(p);
    double sum = 0;
    for (int i = 0; i < r.length; i++) {
      sum += r[i] * r[i] / (i < SHARED ? 1 : inflation);
    }
    return sum;
  }

  /** Whether every rung that was seen at rest could rest: leakage feeds back less than wholly. */
  private boolean stable(double[] p) {
    for (int s = 0; s < sides.size(); s++) {
      for (Rung r : sides.get(s)) {
        if (feedback(p, s, volts(p, s, r), r.hottestCelsius()) >= 1) {
          return false;
        }
      }
    }
    return true;
  }

  /** Kelvin that leakage adds for one kelvin more. */
  private static double feedback(double[] p, int side, double volts, double celsius) {
    return Math.exp(p[SHARED + 2 * side]) * volts * leak(p, celsius) * Math.log(2) / Math.exp(p[1]);
  }

  private double share(double megahertz) {
    return megahertz / referenceMegahertz;
  }

  private static double leak(double[] p, double celsius) {
    return Math.exp(p[0]) * Math.pow(2, (celsius - LEAKAGE_AT_CELSIUS) / Math.exp(p[1]));
  }

  private double heat(double[] p, int side, Rung r) {
    return heat(p, share(r.clockMegahertz()), volts(p, side, r), r.hottestCelsius());
  }

  private double volts(double[] p, int side, Rung r) {
    return r.voltageVolts() == null
        ? p[SHARED + 2 * side + 1] * Math.pow(share(r.clockMegahertz()), p[2])
        : r.voltageVolts() / referenceVolts;
  }

  /** Heat as a share of the reference rung's. */
  private static double heat(double[] p, double clock, double volts, double celsius) {
    return (1 - Math.exp(p[0])) * clock * volts * volts + volts * leak(p, celsius);
  }

  /** A side's voltage along its ladder; it never falls while the clock rises. */
  private static double curve(double[] p, int side, double clock) {
    return p[SHARED + 2 * side + 1] * Math.pow(clock, Math.max(0, p[2]));
  }

  /**
   * The highest clock at which a state rests at or under a temperature, MHz. Where leakage would
   * run away before that, the clock at which it does.
   */
  private double clockAt(double[] p, int side, double celsius, double room) {
    double best = restingAt(p, side, celsius, room);
    double lower = celsius - 2;
    while (lower > room + 2 && feedback(p, side, curve(p, side, share(best)), lower + 1) >= 1) {
      best = Math.max(best, restingAt(p, side, lower, room));
      lower -= 2;
    }
    return best;
  }

  /** The clock whose heat holds a temperature, MHz. */
  private double restingAt(double[] p, int side, double celsius, double room) {
    double a = Math.exp(p[SHARED + 2 * side]);
    double low = 0.2;
    double high = 4;
    for (int i = 0; i < 40; i++) {
      double middle = (low + high) / 2;
      if (a * heat(p, middle, curve(p, side, middle), celsius) < celsius - room) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return low * referenceMegahertz;
  }

  /** Where a state settles at a clock and a share of voltage; infinite where leakage runs away. */
  private static double celsiusAt(double[] p, int side, double clock, double v, double room) {
    double a = Math.exp(p[SHARED + 2 * side]);
    double celsius = room;
    for (int i = 0; i < 200; i++) {
      double next = room + a * heat(p, clock, v, celsius);
      if (!(next < 400)) {
        return Double.POSITIVE_INFINITY;
      }
      if (Math.abs(next - celsius) < 1e-6) {
        return next;
      }
      celsius = next;
    }
    return celsius;
  }

  /**
   * A figure with its 95 % interval.
   *
   * @param value the middle of the draws
   * @param interval their middle 95 %
   */
  public record Estimate(double value, Interval interval) {}

  private Estimate estimate(ToDoubleFunction<double[]> figure) {
    double[] all = Arrays.stream(draws).mapToDouble(figure).sorted().toArray();
    DoubleUnaryOperator quantile = q -> all[(int) Math.round(q * (all.length - 1))];
    return new Estimate(
        quantile.applyAsDouble(0.5),
        new Interval(
            quantile.applyAsDouble((1 - LEVEL) / 2),
            quantile.applyAsDouble((1 + LEVEL) / 2),
            LEVEL));
  }

  /** The clock at which a state's hottest core reaches a temperature in a room, MHz. */
  public Estimate clockAt(int side, double celsius, double room) {
    return estimate(p -> clockAt(p, side, celsius, room));
  }

  /**
   * The clock at which each state's hottest core reaches a temperature, draw by draw, MHz.
   *
   * @return a row for each draw with a place for each side, in their order
   */
  double[][] clocksAt(double celsius, double room) {
    double[][] all = new double[draws.length][sides.size()];
    for (int d = 0; d < draws.length; d++) {
      for (int s = 0; s < sides.size(); s++) {
        all[d][s] = clockAt(draws[d], s, celsius, room);
      }
    }
    return all;
  }

  /** How much farther the second state clocks before it reaches a temperature, MHz. */
  public Estimate clockGain(double celsius, double room) {
    return estimate(p -> clockAt(p, 1, celsius, room) - clockAt(p, 0, celsius, room));
  }

  /**
   * Temperature of a state's hottest core at a clock, °C; infinite where leakage runs away.
   *
   * @param volts core voltage; not a number takes it from the ladder's own course
   */
  public Estimate celsiusAt(int side, double megahertz, double volts, double room) {
    double clock = share(megahertz);
    return estimate(
        p ->
            celsiusAt(
                p,
                side,
                clock,
                Double.isNaN(volts) ? curve(p, side, clock) : volts / referenceVolts,
                room));
  }

  /** Second less first state's hottest core at a clock and the first one's voltage there, K. */
  public Estimate changeAt(double megahertz, double room) {
    double clock = share(megahertz);
    return estimate(
        p -> {
          double first = celsiusAt(p, 0, clock, curve(p, 0, clock), room);
          double second = celsiusAt(p, 1, clock, curve(p, 0, clock), room);
          return Double.isInfinite(first) || Double.isInfinite(second)
              ? Double.NEGATIVE_INFINITY
              : second - first;
        });
  }

  /** Share of leakage in the reference rung's heat, at 60 °C. */
  public double leakageShare() {
    return Math.exp(likely[0]);
  }

  /** Power of the clock that the voltage goes with. */
  public double voltagePower() {
    return likely[2];
  }

  /** The clock that shares refer to, MHz. */
  public double referenceMegahertz() {
    return referenceMegahertz;
  }

  /** Count of rungs that were fitted. */
  public int rungs() {
    return sides.stream().mapToInt(List::size).sum();
  }
}
