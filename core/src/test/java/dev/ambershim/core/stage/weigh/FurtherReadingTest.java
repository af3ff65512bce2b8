package dev.ambershim.core.stage.weigh;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.job.Reading;
import dev.ambershim.core.physics.build.Response;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.stat.StatUtils;
import org.junit.jupiter.api.Test;

/** What another reading is worth, against the update that it would really bring. */
class FurtherReadingTest {
  private final Question question = TypicalChips.MIDDLING_SOLDER.question;
  private final Response now = Solved.of(question.now());
  private final Unknowns unknowns = new Unknowns(question.now());
  private final double watts = question.heatWatts();

  /** The inner joint's share of the rise: what opening would do away with. */
  private double gain(double[] z) {
    return watts * unknowns.heat(z) * now.dieJointKelvinPerWatt() * Math.exp(unknowns.now(z)[0]);
  }

  private double[] gains(Calibration told) {
    return Arrays.stream(told.draws()).mapToDouble(this::gain).toArray();
  }

  private double sigma(Calibration told) {
    return Math.sqrt(StatUtils.variance(gains(told)));
  }

  private List<FurtherReading> further(Calibration told, List<Reading> taken) {
    return FurtherReading.of(now, unknowns, told, gains(told), watts, taken);
  }

  private Calibration told(List<Reading> readings) {
    return Calibration.of(Calibration.data(now, unknowns, readings));
  }

  private double rise(double heat) {
    double[] likely = new double[Unknowns.ALL];
    return unknowns.riseKelvin(now, unknowns.now(likely), likely, heat, 22);
  }

  @Test
  void withoutAnyReadingOneAtThisLoadComesFirstOrSoon() {
    List<FurtherReading> all = further(told(List.of()), List.of());
    assertThat(all).extracting(FurtherReading::what).contains("at this load");
    double before = sigma(told(List.of()));
    assertThat(all).allSatisfy(f -> assertThat(f.sigmaKelvin()).isLessThanOrEqualTo(before + 1e-9));
  }

  @Test
  void aSecondLoadIsWorthWhatItsUpdateBrings() {
    List<Reading> one = List.of(Reading.plain("a", watts, 22 + rise(watts), 22));
    Calibration first = told(one);
    double foretold =
        further(first, one).stream()
            .filter(f -> f.what().equals("at a third of the load"))
            .findFirst()
            .orElseThrow()
            .sigmaKelvin();
    List<Reading> two =
        List.of(one.get(0), Reading.plain("b", watts / 3, 22 + rise(watts / 3), 22));
    assertThat(sigma(told(two))).isCloseTo(foretold, within(0.03 * foretold));
    assertThat(foretold).isLessThan(sigma(first));
  }

  @Test
  void whatWasReadIsNotAskedForAgain() {
    List<Reading> all =
        List.of(
            new Reading("a", watts, 22 + rise(watts), 22, 30.0, 45.0),
            Reading.plain("b", watts / 3, 22 + rise(watts / 3), 22));
    assertThat(further(told(all), all))
        .extracting(FurtherReading::what)
        .containsExactly("after fresh paste on the lid, at the same load");
  }
}
