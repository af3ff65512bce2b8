package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.build.Response;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/** How what geometry does not explain is split, against the formula for one load by hand. */
class CorePatternTest {
  private static final double WATTS = 150;

  private final Response now = Solved.of(TypicalChips.MIDDLING_PASTE.question.now());
  private final double[] logs = new double[4];

  /** Core temperatures with something added to what geometry gives at a heat. */
  private Question.Pattern pattern(double watts, double[] more) {
    double[] geometry = now.coresKelvinPerWatt(logs);
    List<Double> celsius = new ArrayList<>();
    for (int c = 0; c < more.length; c++) {
      celsius.add(22 + watts * geometry[c] + more[c]);
    }
    return new Question.Pattern(watts, celsius);
  }

  @Test
  void geometryAloneLeavesNothing() {
    CorePattern split = CorePattern.of(now, List.of(pattern(WATTS, new double[8])), logs, 1);
    for (double r : split.remainderKelvin(WATTS)) {
      assertThat(r).isCloseTo(0, within(1e-9));
    }
  }

  @Test
  void oneLoadIsSplitByVariances() {
    double[] more = {7, -1, -1, -1, -1, -1, -1, -1};
    CorePattern split = CorePattern.of(now, List.of(pattern(WATTS, more)), logs, 1);
    double sensor = PriorTable.CORE_SENSOR.sigma();
    double share = PriorTable.CORE_SHARE.sigma() * WATTS * 0.75 / 8 * now.localKelvinPerWatt();
    double uneven = PriorTable.UNEVEN.sigma() * WATTS * now.dieJointKelvinPerWatt() * 0.7;
    double noise = PriorTable.PLATEAU.sigma() / 2;
    double[] geometry = now.coresKelvinPerWatt(logs);
    double mean = Arrays.stream(geometry).average().orElseThrow();
    double spread =
        Math.sqrt(
            Arrays.stream(geometry).map(g -> (g - mean) * (g - mean)).average().orElseThrow());
    double layout = PriorTable.LAYOUT.sigma() * WATTS * spread;
    double[] parts = {sensor, share, uneven, layout};
    // By the densities of what was seen, each set of scales for itself: seven of the eight
    // differences are free. For one pattern all is scalar.
    double[] scales = {0.25, 0.5, 1, 1.6};
    double weights = 0;
    double sum = 0;
    double ofSensor = 0;
    for (int set = 0; set < 256; set++) {
      double all = 0;
      double first = 0;
      for (int k = 0; k < 4; k++) {
        double part = Math.pow(parts[k] * scales[(set >> (2 * k)) & 3], 2);
        all += part;
        first = k == 0 ? part : first;
      }
      double variance = all + noise * noise;
      double weight = Math.pow(variance, -3.5) * Math.exp(-56 / (2 * variance));
      weights += weight;
      sum += weight * 7 * all / variance;
      ofSensor += weight * 7 * first / variance;
    }
    assertThat(split.remainderKelvin(WATTS)[0]).isCloseTo(sum / weights, within(2e-3));
    // At no heat only the sensor's part is left.
    assertThat(split.remainderKelvin(0)[0]).isCloseTo(ofSensor / weights, within(2e-3));
  }

  /** What is alike today was not alike by a chance that the work undoes. */
  @Test
  void coresThatAreAlikeStayAlikeUnderAFreshJoint() {
    CorePattern alike = CorePattern.of(now, List.of(pattern(WATTS, new double[8])), logs, 1);
    double[] more = {6, -5, 4, -6, 5, -4, 3, -3};
    CorePattern unlike = CorePattern.of(now, List.of(pattern(WATTS, more)), logs, 1);
    assertThat(fresh(alike)).isLessThan(0.6 * fresh(unlike));
  }

  /** Likely spread with a joint made anew as even as can be, K. */
  private double fresh(CorePattern split) {
    SplittableRandom random = new SplittableRandom(5);
    double[] even = now.coresAndMeanKelvinPerWatt(logs);
    double[] spreads = new double[999];
    for (int i = 0; i < spreads.length; i++) {
      double[] cores =
          split.pattern(now, even, split.draw(random), logs, WATTS, 1, Optional.of(new double[8]));
      for (int c = 0; c < 8; c++) {
        cores[c] -= (even[c] - even[8]) * WATTS;
      }
      spreads[i] = CorePattern.spread(cores);
    }
    return Middle.of(spreads).median();
  }

  @Test
  void manyLoadsTellTheSensorsFromWhatFollowsTheHeat() {
    List<Question.Pattern> patterns = new ArrayList<>();
    for (double watts : new double[] {20, 60, 100, 150}) {
      double[] more = new double[8];
      more[0] = 4 + 0.04 * watts; // a sensor 4 K high on a core that runs 0.04 K/W hotter
      more[1] = -more[0];
      patterns.add(pattern(watts, more));
    }
    CorePattern split = CorePattern.of(now, patterns, logs, 1);
    assertThat(split.remainderKelvin(0)[0]).isCloseTo(4, within(0.3));
    assertThat(split.remainderKelvin(100)[0] - split.remainderKelvin(0)[0])
        .isCloseTo(4, within(0.4));
  }

  @Test
  void drawsScatterAsMuchAsIsNotKnown() {
    CorePattern blind = CorePattern.of(now, List.of(), logs, 1);
    CorePattern told = CorePattern.of(now, List.of(pattern(WATTS, new double[8])), logs, 1);
    assertThat(scatter(blind)).isGreaterThan(4);
    // The sum of the three is known to the reading's error, however little their parts are.
    assertThat(scatter(told)).isLessThan(0.5);
  }

  /** Standard deviation of the first core's remainder over draws, K. */
  private double scatter(CorePattern split) {
    SplittableRandom random = new SplittableRandom(3);
    double[] even = now.coresAndMeanKelvinPerWatt(logs);
    double sum = 0;
    double squares = 0;
    int count = 2000;
    double geometry = (even[0] - even[8]) * WATTS;
    for (int i = 0; i < count; i++) {
      double[] cores =
          split.pattern(now, even, split.draw(random), logs, WATTS, 1, Optional.empty());
      double off = cores[0] - geometry;
      sum += off;
      squares += off * off;
    }
    return Math.sqrt(squares / count - sum / count * sum / count);
  }

  @Test
  void spreadIsHottestLessCoolest() {
    assertThat(CorePattern.spread(new double[] {3, -2, 1.5})).isEqualTo(5);
  }
}
