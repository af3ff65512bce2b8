package dev.ambershim.core.runs.judging;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import java.util.Arrays;
import java.util.Optional;

/**
 * How the temperature follows the beginning of the load, split in a quick part (die, joints, lid:
 * seconds) and a slow part (cooler, loop, room: minutes) by two fitted time constants. A bad joint
 * shows in the quick part, a weak cooler in the slow one. What happens between two samples counts
 * as quick.
 *
 * @param quickKelvin rise of the quick part
 * @param quickInterval its 95 % interval
 * @param quickSeconds its time constant; not a number where it is quicker than the log shows
 * @param slowKelvin rise of the slow part
 * @param slowInterval its 95 % interval
 * @param slowSeconds its time constant
 * @param powerStepWatts by how much the power rose; not a number without a power channel
 * @param recoverySeconds time after the load until nine tenths of the rise are gone; not a number
 *     if the log ends before that
 */
public record StepResponse(
    double quickKelvin,
    Interval quickInterval,
    double quickSeconds,
    double slowKelvin,
    Interval slowInterval,
    double slowSeconds,
    double powerStepWatts,
    double recoverySeconds) {
  private static final double LEVEL = 0.95;

  /** Fewest samples at rest before the load, and under load, that a split can rest on. */
  private static final int LEAST_REST = 10;

  private static final int LEAST_LOAD = 100;

  /** What takes longer than this is the cooler's, what is quicker the chip's; common practice. */
  private static final double SLOW_FROM_SECONDS = 15;

  private static final int FULL_SAMPLES = 120;
  private static final int MOST_POINTS = 360;

  /** Quick part by the step of power, K/W. */
  public double quickKelvinPerWatt() {
    return quickKelvin / powerStepWatts;
  }

  /** The split in a sentence. */
  public String sentence(Notation notation) {
    return "When the load began, "
        + part(quickKelvin, quickInterval, notation)
        + " came quickly (die, joints, lid) and "
        + part(slowKelvin, slowInterval, notation)
        + " slowly (cooler, loop, room; time constant "
        + Math.round(slowSeconds)
        + " s)."
        + (Double.isNaN(recoverySeconds)
            ? ""
            : " After it, nine tenths were gone in " + Math.round(recoverySeconds) + " s.");
  }

  private static String part(double kelvin, Interval interval, Notation notation) {
    return notation.text(kelvin, Unit.KELVIN) + " (" + notation.range(interval, Unit.KELVIN) + ")";
  }

  /** Slow part by the step of power, K/W. */
  public double slowKelvinPerWatt() {
    return slowKelvin / powerStepWatts;
  }

  /**
   * Splits a run's step.
   *
   * @param seconds time of each sample
   * @param rise rise over room air, or temperature; not a number where missing
   * @param power chip power, or null
   * @param throttled samples in which the chip held itself back
   * @return empty if the log does not show the load's beginning, or no split can be told
   */
  static Optional<StepResponse> of(
      double[] seconds, double[] rise, double[] power, LoadStretch load, boolean[] throttled) {
    int from = load.from();
    int to = load.to();
    if (from < LEAST_REST || to - from < LEAST_LOAD || throttled[from]) {
      return Optional.empty();
    }
    // A log that begins in the fall from an earlier load has no rest to step from.
    int restFrom = Math.max(0, from - 60);
    double rest = mean(rise, restFrom, from);
    double length = seconds[to - 1] - seconds[from];
    if (Double.isNaN(rest) || Math.abs(slope(rise, restFrom, from)) > 0.05 || length < 120) {
      return Optional.empty();
    }
    double half = (seconds[from] - seconds[from - 1]) / 2;
    Points points = Points.of(seconds, rise, from, to, throttled, seconds[from] - half);
    if (points.t.length < LEAST_LOAD / 2) {
      return Optional.empty();
    }
    double restError = restError(rise, restFrom, from);
    double watts = step(power, restFrom, from, to);
    Optional<StepResponse> both = split(points.fit(2), rest, restError, watts);
    // A quick part that is over within a sample or two cannot be fitted; then the slow one alone
    // is, behind it, and all the rest is quick.
    Optional<StepResponse> found =
        both.isPresent()
            ? both
            : split(points.from(SLOW_FROM_SECONDS).fit(1), rest, restError, watts);
    return found.map(s -> s.recovering(seconds, rise, to, rest));
  }

  private static Optional<StepResponse> split(
      ExponentialFit fit, double rest, double restError, double watts) {
    if (fit == null) {
      return Optional.empty();
    }
    int last = fit.rates().length - 1;
    double slowSeconds = 1 / fit.rates()[last];
    double quickSeconds = last == 0 ? Double.NaN : 1 / fit.rates()[0];
    double slow = -fit.amplitudes()[last];
    double quick = fit.constant() - rest - slow;
    if (slowSeconds < SLOW_FROM_SECONDS || quickSeconds > SLOW_FROM_SECONDS) {
      return Optional.empty();
    }
    double memory = BatchMeans.lagOne(fit.residuals());
    double inflation = (1 + Math.max(0, memory)) / (1 - Math.min(0.95, Math.max(0, memory)));
    double slowError = Math.sqrt(inflation * fit.covariance().getEntry(last + 1, last + 1));
    double quickError =
        Math.sqrt(
            restError * restError
                + inflation
                    * Math.max(
                        0,
                        fit.covariance().getEntry(0, 0)
                            + fit.covariance().getEntry(last + 1, last + 1)
                            + 2 * fit.covariance().getEntry(0, last + 1)));
    double freedom = Math.max(5, fit.residuals().length / inflation - 5);
    double factor = BatchMeans.quantile(Math.rint(freedom), LEVEL);
    if (!(quick > 0) || !(slow > 0) || !(factor * slowError < Math.max(2, 0.5 * slow))) {
      return Optional.empty();
    }
    return Optional.of(
        new StepResponse(
            quick,
            Interval.around(quick, factor * quickError, LEVEL),
            quickSeconds,
            slow,
            Interval.around(slow, factor * slowError, LEVEL),
            slowSeconds,
            watts,
            Double.NaN));
  }

  private StepResponse recovering(double[] seconds, double[] rise, int to, double rest) {
    double goal = rest + 0.1 * (quickKelvin + slowKelvin);
    double found = Double.NaN;
    for (int i = to; i + 4 < rise.length && Double.isNaN(found); i++) {
      // Five samples in a row, so that one low reading does not end it.
      if (mean(rise, i, i + 5) <= goal) {
        found = seconds[i + 2] - seconds[to - 1];
      }
    }
    return new StepResponse(
        quickKelvin,
        quickInterval,
        quickSeconds,
        slowKelvin,
        slowInterval,
        slowSeconds,
        powerStepWatts,
        found);
  }

  private static double step(double[] power, int restFrom, int from, int to) {
    return power == null ? Double.NaN : mean(power, from + 1, to) - mean(power, restFrom, from);
  }

  private static double mean(double[] y, int from, int to) {
    double sum = 0;
    int n = 0;
    for (int i = from; i < to; i++) {
      if (!Double.isNaN(y[i])) {
        sum += y[i];
        n++;
      }
    }
    return n == 0 ? Double.NaN : sum / n;
  }

  private static double restError(double[] y, int from, int to) {
    double mean = mean(y, from, to);
    double squares = 0;
    int n = 0;
    for (int i = from; i < to; i++) {
      if (!Double.isNaN(y[i])) {
        squares += (y[i] - mean) * (y[i] - mean);
        n++;
      }
    }
    return Math.sqrt(squares / Math.max(1, n - 1) / n);
  }

  /** Slope of least squares in K a sample. */
  private static double slope(double[] y, int from, int to) {
    double centre = (from + to - 1) / 2.0;
    double mean = mean(y, from, to);
    double top = 0;
    double bottom = 0;
    for (int i = from; i < to; i++) {
      if (!Double.isNaN(y[i])) {
        top += (i - centre) * (y[i] - mean);
        bottom += (i - centre) * (i - centre);
      }
    }
    return bottom == 0 ? 0 : top / bottom;
  }

  /** The samples under load: the first ones singly, later ones in means. */
  private static final class Points {
    final double[] t;
    final double[] y;
    final double[] weight;

    private Points(double[] t, double[] y, double[] weight) {
      this.t = t;
      this.y = y;
      this.weight = weight;
    }

    ExponentialFit fit(int terms) {
      return ExponentialFit.of(t, y, weight, terms, ExponentialFit.Form.DECAY);
    }

    /** Those from a time on. */
    Points from(double seconds) {
      int first = 0;
      while (first < t.length && t[first] < seconds) {
        first++;
      }
      return new Points(
          Arrays.copyOfRange(t, first, t.length),
          Arrays.copyOfRange(y, first, t.length),
          Arrays.copyOfRange(weight, first, t.length));
    }

    static Points of(
        double[] seconds, double[] rise, int from, int to, boolean[] throttled, double start) {
      int block = Math.max(1, (to - from - FULL_SAMPLES) / (MOST_POINTS - FULL_SAMPLES) + 1);
      double[] t = new double[to - from];
      double[] y = new double[to - from];
      double[] weight = new double[to - from];
      int n = 0;
      int i = from;
      while (i < to) {
        int end = Math.min(to, i + (i < from + FULL_SAMPLES ? 1 : block));
        for (int j = i; j < end; j++) {
          if (!Double.isNaN(rise[j]) && !throttled[j]) {
            t[n] += seconds[j] - start;
            y[n] += rise[j];
            weight[n]++;
          }
        }
        if (weight[n] > 0) {
          t[n] /= weight[n];
          y[n] /= weight[n];
          n++;
        }
        i = end;
      }
      return new Points(Arrays.copyOf(t, n), Arrays.copyOf(y, n), Arrays.copyOf(weight, n));
    }
  }
}
