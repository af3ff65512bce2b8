package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.job.Reading;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.stage.weigh.Calibration.Datum;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.hipparchus.stat.StatUtils;
import org.hipparchus.stat.correlation.Covariance;

/**
 * What one more reading would be worth: how wide the forecast's interval would be with it. Over the
 * draws, a reading that goes with the forecast by a covariance c, and has variance v and standard
 * error s, takes c² / (v + s²) off the forecast's variance (the linear update by one observation;
 * Gelman et al., <i>Bayesian Data Analysis</i>, 14.8). What the reading would say does not matter
 * for that.
 *
 * @param what what to do, as the end of "a reading …"
 * @param sigmaKelvin standard deviation of the forecast gain with it
 */
public record FurtherReading(String what, double sigmaKelvin) {
  private static final Covariance COVARIANCE = new Covariance();

  /**
   * The readings that could be taken, the most telling first.
   *
   * @param gains of each of the calibration's draws, K, read only
   */
  static List<FurtherReading> of(
      Response now,
      Unknowns unknowns,
      Calibration calibration,
      double[] gains,
      double watts,
      List<Reading> taken) {
    double[][] draws = calibration.draws();
    double variance = StatUtils.variance(gains);
    List<FurtherReading> all = new ArrayList<>();
    for (Candidate c : candidates(now, unknowns, watts, taken)) {
      double[] shown = Arrays.stream(draws).mapToDouble(c.datum.model()).toArray();
      double error = c.datum.sigma() * c.datum.sigma() + c.more;
      double cross = COVARIANCE.covariance(gains, shown);
      double left = variance - cross * cross / (StatUtils.variance(shown) + error);
      all.add(new FurtherReading(c.what, Math.sqrt(Math.max(0, left))));
    }
    all.sort(Comparator.comparingDouble(FurtherReading::sigmaKelvin));
    return all;
  }

  /** A reading that could be taken, with variance that its own fresh joint adds. */
  private record Candidate(String what, Datum datum, double more) {}

  private static List<Candidate> candidates(
      Response now, Unknowns unknowns, double watts, List<Reading> taken) {
    List<Candidate> all = new ArrayList<>();
    double sigma = Calibration.cores(1);
    double lowest =
        taken.stream().mapToDouble(Reading::watts).min().orElse(Double.POSITIVE_INFINITY);
    if (taken.isEmpty()) {
      all.add(new Candidate("at this load", rise(now, unknowns, watts, new double[4], sigma), 0));
    } else if (lowest > 0.6 * watts) {
      all.add(
          new Candidate(
              "at a third of the load", rise(now, unknowns, watts / 3, new double[4], sigma), 0));
    }
    if (now.situation().cooler().kind().coolantShare() > 0
        && taken.stream().noneMatch(r -> r.coolantCelsius() != null)) {
      all.add(
          new Candidate(
              "of the coolant's temperature", Calibration.coolant(unknowns, watts, 0), 0));
    }
    if (now.situation().build().lidOn() && taken.stream().noneMatch(r -> r.lidCelsius() != null)) {
      all.add(
          new Candidate(
              "of the lid's temperature in its middle",
              Calibration.lid(now, unknowns, watts, Room.USUAL_CELSIUS, 0),
              0));
    }
    if (!taken.isEmpty()) {
      all.add(repaste(now, unknowns, watts, sigma));
    }
    return all;
  }

  private static Datum rise(
      Response now, Unknowns unknowns, double watts, double[] shift, double sigma) {
    return new Datum(
        "cores",
        z -> {
          double[] logs = unknowns.now(z);
          for (int i = 0; i < logs.length; i++) {
            logs[i] += shift[i];
          }
          return unknowns.riseKelvin(now, logs, z, watts * unknowns.heat(z), Room.USUAL_CELSIUS)
              + unknowns.sensorsKelvin(z);
        },
        0,
        sigma);
  }

  /** Fresh paste outside and the same load again: the outer joint is another, all else the same. */
  private static Candidate repaste(Response now, Unknowns unknowns, double watts, double sigma) {
    double own = PriorTable.joint(Filling.PASTE).sigmaOfLogarithm();
    double step = 1e-3;
    double[] up = {0, step, 0, 0};
    double[] down = {0, -step, 0, 0};
    double[] zero = new double[Unknowns.ALL];
    double bySize =
        (rise(now, unknowns, watts, up, sigma).model().applyAsDouble(zero)
                - rise(now, unknowns, watts, down, sigma).model().applyAsDouble(zero))
            / (2 * step);
    Datum datum =
        new Datum(
            "cores",
            z -> {
              double[] logs = unknowns.now(z);
              logs[1] = 0;
              return unknowns.riseKelvin(now, logs, z, watts * unknowns.heat(z), Room.USUAL_CELSIUS)
                  + unknowns.sensorsKelvin(z);
            },
            0,
            sigma);
    return new Candidate(
        "after fresh paste on the lid, at the same load", datum, bySize * own * bySize * own);
  }
}
