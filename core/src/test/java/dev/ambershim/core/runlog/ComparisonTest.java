package dev.ambershim.core.runlog;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.finding.Interval;
import dev.ambershim.core.notation.Notation;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The verdict in each of its words, and what it rests on. */
class ComparisonTest {
  private static Synthetic made(double rise) {
    Synthetic made = new Synthetic();
    made.riseKelvin = rise;
    made.slowSeconds = 60;
    return made;
  }

  private static Comparison compare(Synthetic before, Synthetic after, double care) {
    return Comparison.of(
        List.of(before.run("before.csv", 100)),
        List.of(after.run("after.csv", 101)),
        care,
        Notation.METRIC);
  }

  @Test
  void helped() {
    Comparison c = compare(made(50), made(38.2), 1);
    assertThat(c.verdict()).isEqualTo(Verdict.HELPED);
    assertThat(c.sentence()).matches("Helped by 1[12]\\.\\d K \\(1[12]\\.\\d to 1[12]\\.\\d\\)\\.");
    assertThat(c.changeKelvin()).isCloseTo(-11.8, within(0.4));
    Interval i = c.interval().orElseThrow();
    assertThat(i.level()).isEqualTo(0.95);
    assertThat(i.high()).isNegative();
    assertThat(c.inRise()).isTrue();
    assertThat(c.finding().value()).isEqualTo(c.changeKelvin());
  }

  @Test
  void hurt() {
    Comparison c = compare(made(50), made(54), 1);
    assertThat(c.verdict()).isEqualTo(Verdict.HURT);
    assertThat(c.sentence()).startsWith("Hurt by ");
    assertThat(c.changeKelvin()).isPositive();
  }

  @Test
  void tooSmallToMatter() {
    Comparison c = compare(made(50), made(50.3), 2);
    assertThat(c.verdict()).isEqualTo(Verdict.TOO_SMALL);
    assertThat(c.reasons()).anyMatch(r -> r.contains("2.0 K that you care about"));
  }

  @Test
  void cannotTell() {
    Synthetic noisy = made(50);
    noisy.phi = 0.97;
    noisy.sigma = 2;
    Comparison c = compare(noisy, noisy, 0.1);
    assertThat(c.verdict()).isEqualTo(Verdict.CANNOT_TELL);
    assertThat(c.sentence()).startsWith("Cannot tell from these runs");
    assertThat(c.interval().orElseThrow().contains(0)).isTrue();
  }

  @Test
  void anotherPowerIsAnotherQuestion() {
    Synthetic weak = made(40);
    weak.watts = 120;
    Comparison c = compare(made(50), weak, 1);
    assertThat(c.verdict()).isEqualTo(Verdict.NOT_COMPARABLE);
    assertThat(c.sentence())
        .startsWith("These runs cannot be compared, because the chip drew 160 W before and 120 W");
    assertThat(c.interval()).isEmpty();
    assertThat(c.changeKelvin()).isNaN();
  }

  @Test
  void aSmallDifferenceOfPowerIsMentioned() {
    Synthetic weaker = made(38);
    weaker.watts = 152;
    Comparison c = compare(made(50), weaker, 1);
    assertThat(c.verdict()).isEqualTo(Verdict.HELPED);
    assertThat(c.reasons()).anyMatch(r -> r.contains("part of the change comes from that"));
  }

  @Test
  void withoutPowerTheClockIsGoneBy() {
    Synthetic a = made(50);
    a.withPower = false;
    Synthetic b = made(40);
    b.withPower = false;
    b.megahertz = 4400;
    Comparison c = compare(a, b, 1);
    assertThat(c.verdict()).isEqualTo(Verdict.NOT_COMPARABLE);
    assertThat(c.sentence()).contains("4700 MHz before and 4400 MHz after");
  }

  @Test
  void aRunThatNeverSettledCannotBeCompared() {
    Synthetic creeping = made(50);
    creeping.slowShare = 0.7;
    creeping.slowSeconds = 3000;
    Comparison c = compare(made(50), creeping, 1);
    assertThat(c.verdict()).isEqualTo(Verdict.NOT_COMPARABLE);
    assertThat(c.sentence()).contains("after.csv").contains("never settled");
  }

  @Test
  void noRunOnASide() {
    Comparison c = Comparison.of(List.of(), List.of(made(40).run("a", 1)), 1, Notation.METRIC);
    assertThat(c.sentence()).contains("there is no run before");
  }

  @Test
  void otherCoresAreAnotherChip() {
    Synthetic six = made(40);
    six.cores = 6;
    assertThat(compare(made(50), six, 1).sentence()).contains("same count of core temperatures");
  }

  @Test
  void withoutARoomItSaysThatOnlyTheCoreTemperatureChanged() {
    Synthetic a = made(50);
    a.withRoom = false;
    Synthetic b = made(40);
    b.withRoom = false;
    Comparison c = compare(a, b, 1);
    assertThat(c.inRise()).isFalse();
    assertThat(c.sentence()).endsWith("in core temperature.");
    assertThat(c.reasons()).anyMatch(r -> r.contains("Room air is not known"));
  }

  @Test
  void aWarmerRoomIsNoHarm() {
    Synthetic warm = made(50);
    warm.room = 31;
    Comparison c = compare(made(50), warm, 1);
    assertThat(Math.abs(c.changeKelvin())).isLessThan(0.5);
  }

  @Test
  void severalRunsRestOnTheirScatter() {
    double[] mounts = {-0.9, 0.2, 0.8};
    List<RunAnalysis> before =
        IntStream.range(0, 3).mapToObj(i -> made(50 + mounts[i]).run("b" + i, 20 + i)).toList();
    List<RunAnalysis> after =
        IntStream.range(0, 3).mapToObj(i -> made(40 - mounts[i]).run("a" + i, 30 + i)).toList();
    Comparison many = Comparison.of(before, after, 1, Notation.METRIC);
    Comparison one = Comparison.of(before.subList(0, 1), after.subList(0, 1), 1, Notation.METRIC);
    assertThat(many.interval().orElseThrow().width())
        .isGreaterThan(3 * one.interval().orElseThrow().width());
    assertThat(many.reasons()).anyMatch(r -> r.contains("scatter between 6 runs"));
    assertThat(one.reasons()).anyMatch(r -> r.contains("taking the cooler off"));
    assertThat(many.before().runs()).isEqualTo(3);
  }

  /** Pooled two-sample interval by hand: s² = (Σ(a−ā)² + Σ(b−b̄)²)/4, t(4; 97.5 %) = 2.776. */
  @Test
  void thePooledIntervalIsTheTextbooks() {
    List<RunAnalysis> before =
        IntStream.range(0, 3).mapToObj(i -> made(50 + 2 * i).run("b" + i, 40 + i)).toList();
    List<RunAnalysis> after =
        IntStream.range(0, 3).mapToObj(i -> made(40 + 2 * i).run("a" + i, 50 + i)).toList();
    Interval interval = Comparison.of(before, after, 1, Notation.METRIC).interval().orElseThrow();
    double s2 = (squares(before) + squares(after)) / 4;
    double half = 2.776 * Math.sqrt(s2 * (1 / 3.0 + 1 / 3.0));
    assertThat(interval.width() / 2).isCloseTo(half, within(1e-3 * half));
  }

  private static double squares(List<RunAnalysis> runs) {
    double mean = runs.stream().mapToDouble(RunAnalysis::riseKelvin).average().orElseThrow();
    return runs.stream().mapToDouble(r -> Math.pow(r.riseKelvin() - mean, 2)).sum();
  }

  @ParameterizedTest
  @CsvSource({"true,27", "false,15"})
  void figuresFollowTheNotation(boolean fahrenheit, double roughly) {
    Comparison c =
        Comparison.of(
            List.of(made(50).run("b", 60)),
            List.of(made(35).run("a", 61)),
            1,
            new Notation(false, fahrenheit, true));
    String figure = c.sentence().replaceAll("Helped by (\\d+),(\\d).*", "$1.$2");
    assertThat(Double.parseDouble(figure)).isCloseTo(roughly, within(0.8));
  }

  @Test
  void theBaselineHasItsSentence() {
    assertThat(Baseline.of(List.of(), Notation.METRIC)).isEmpty();
    String one =
        Baseline.of(List.of(made(50).run("b", 70)), Notation.METRIC).orElseThrow().sentence();
    assertThat(one).matches("It runs (49|50)\\.\\d K above room air \\(.* to .*\\) at 160 W\\.");
    Synthetic bare = made(50);
    bare.withRoom = false;
    assertThat(Baseline.of(List.of(bare.run("b", 71)), Notation.METRIC).orElseThrow().sentence())
        .contains("°C")
        .endsWith("Room air is not known.");
    Synthetic brief = made(50);
    brief.seconds = 20;
    assertThat(Baseline.of(List.of(brief.run("b", 72)), Notation.METRIC).orElseThrow().sentence())
        .startsWith("Cannot tell from b");
  }
}
