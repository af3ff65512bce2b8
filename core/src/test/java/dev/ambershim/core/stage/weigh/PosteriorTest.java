package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Reading;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Terms;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * The draws against Bayes' rule by brute force: very many places drawn from the prior, each
 * weighted by the likelihood alone. It needs no peak, no grid and no covariance.
 */
@Tag("slow")
class PosteriorTest {
  private static final int PLACES = 200_000;
  private static final Draws.Load LOAD = new Draws.Load(150, 22, 0);

  private final StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
  private final Situation now =
      new Situation(point.chip("x"), CoolerClass.LARGE_LOOP.usual("y", 3.5), point.asBought());
  private final Question question =
      new Question(now, 150, 22, 1, List.of(), List.of(), Terms.USUAL, OwnRecord.NONE);
  private final Map<Situation, Response> solved =
      Solved.of(Weighing.situations(question, Notation.METRIC));
  private final Response response = solved.get(now);
  private final Unknowns unknowns = new Unknowns(now);
  private final Option option =
      Weighing.options(question, Notation.METRIC).stream()
          .filter(o -> o.kind() == OptionKind.METAL_UNGLUED)
          .findFirst()
          .orElseThrow();

  @Test
  void drawsAreThoseOfBruteForce() {
    double[][] prior = prior();
    double[] gains =
        IntStream.range(0, PLACES).parallel().mapToDouble(i -> gain(prior[i])).toArray();
    for (double factor : new double[] {0.8, 1, 1.2, 1.5}) {
      double core = likely(factor);
      List<Calibration.Datum> data =
          Calibration.data(
              response, unknowns, List.of(new Reading("made", 150.0, core, 22.0, null, null, 1)));
      double[][] draws = Calibration.of(data).draws();
      double[] weight = likelihoods(prior, data);
      assertThat(worth(weight)).as("places that count at %s °C", core).isGreaterThan(1000);

      Interval told = Middle.of(Arrays.stream(draws).mapToDouble(this::gain).toArray()).range();
      double width = told.width();
      assertThat(told.low()).isCloseTo(quantile(gains, weight, 0.1), within(0.07 * width));
      assertThat(told.high()).isCloseTo(quantile(gains, weight, 0.9), within(0.1 * width));
      for (int u = 0; u < Unknowns.NOW; u++) {
        int at = u;
        double[] all = Arrays.stream(prior).mapToDouble(z -> z[at]).toArray();
        double middle = quantile(all, weight, 0.5);
        double share =
            Arrays.stream(draws).filter(z -> z[at] < middle).count() / (double) draws.length;
        assertThat(share).as("unknown %s at %s °C", u, core).isBetween(0.43, 0.57);
      }
    }
  }

  @Test
  void drawsAreWorthTheirNumber() {
    for (double factor : new double[] {0.7, 1, 1.4, 1.8}) {
      double core = likely(factor);
      double[][] draws =
          Calibration.of(
                  Calibration.data(
                      response,
                      unknowns,
                      List.of(
                          new Reading("full", 150.0, core, 22.0, 30.0, null, 1),
                          new Reading("part", 50.0, 22 + (core - 22) / 3, 22.0, 25.0, null, 2))))
              .draws();
      assertThat(Arrays.stream(draws).mapToDouble(z -> z[Unknowns.INNER]).distinct().count())
          .as("draws apart at %s °C", core)
          .isGreaterThan(draws.length * 7 / 8);
    }
  }

  @Test
  void withoutDataTheDrawsAreThePriors() {
    double[][] draws = Posterior.draws(List.of(), new double[Unknowns.ALL], 1024, Runnable::run);
    for (int u = 0; u < Unknowns.ALL; u++) {
      int at = u;
      assertThat(Arrays.stream(draws).mapToDouble(z -> z[at]).average().orElseThrow())
          .isCloseTo(0, within(0.02));
      assertThat(Arrays.stream(draws).mapToDouble(z -> z[at] * z[at]).average().orElseThrow())
          .isCloseTo(1, within(0.05));
    }
  }

  /** What the cores would show by the likely figures, the rise times a factor, °C. */
  private double likely(double factor) {
    double[] z = new double[Unknowns.ALL];
    return 22 + factor * unknowns.riseKelvin(response, unknowns.now(z), z, 150, 22);
  }

  private double gain(double[] z) {
    return Draws.gain(
        response, solved.get(option.situation()), unknowns, unknowns.after(option), z, LOAD);
  }

  private static double[][] prior() {
    SplittableRandom random = new SplittableRandom(20_261_129L);
    double[][] prior = new double[PLACES][Unknowns.ALL];
    for (double[] z : prior) {
      for (int i = 0; i < z.length; i++) {
        z[i] = random.nextGaussian();
      }
    }
    return prior;
  }

  private static double[] likelihoods(double[][] places, List<Calibration.Datum> data) {
    return Arrays.stream(places)
        .parallel()
        .mapToDouble(
            z ->
                Math.exp(
                    -data.stream()
                        .mapToDouble(
                            d ->
                                Math.pow((d.model().applyAsDouble(z) - d.observed()) / d.sigma(), 2)
                                    / 2)
                        .sum()))
        .toArray();
  }

  /** How many equal weights these are worth. */
  private static double worth(double[] weight) {
    double sum = Arrays.stream(weight).sum();
    return sum * sum / Arrays.stream(weight).map(w -> w * w).sum();
  }

  private static double quantile(double[] values, double[] weight, double share) {
    // Many steps of halving are quicker than to put two hundred thousand in order.
    double aim = share * Arrays.stream(weight).sum();
    double low = Arrays.stream(values).min().orElseThrow();
    double high = Arrays.stream(values).max().orElseThrow();
    while (high - low > 1e-9) {
      double middle = (low + high) / 2;
      double passed = 0;
      for (int i = 0; i < values.length; i++) {
        passed += values[i] <= middle ? weight[i] : 0;
      }
      if (passed >= aim) {
        high = middle;
      } else {
        low = middle;
      }
    }
    return high;
  }
}
