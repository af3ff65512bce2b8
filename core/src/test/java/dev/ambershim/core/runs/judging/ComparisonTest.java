package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.stage.baseline.Baseline;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The verdict in each of its words, and what it rests on. */
@Tag("slow")
class ComparisonTest {
  private static Synthetic made(double rise) {
    Synthetic made = new Synthetic();
    made.riseKelvin = rise;
    made.slowSeconds = 60;
    return made;
  }

  private static Comparison compare(Synthetic before, Synthetic after, double care) {
    return compare(
        List.of(before.run("before.csv", 100)), List.of(after.run("after.csv", 101)), care);
  }

  private static Comparison compare(
      List<RunAnalysis> before, List<RunAnalysis> after, double care) {
    return Comparison.of(
        MountedRun.ofOneMount(before),
        MountedRun.ofOneMount(after),
        Judging.of(care),
        Notation.METRIC);
  }

  private static Comparison remounted(
      List<RunAnalysis> before, List<RunAnalysis> after, double care) {
    return Comparison.of(
        MountedRun.eachRemounted(before),
        MountedRun.eachRemounted(after),
        Judging.of(care),
        Notation.METRIC);
  }

  @Test
  void helped() {
    Comparison c = compare(made(50), made(38.2), 1);
    assertThat(c.verdict()).isEqualTo(Verdict.HELPED);
    assertThat(c.sentence()).matches("Helped by 1[12]\\.\\d K \\(1[01]\\.\\d to 1[23]\\.\\d\\)\\.");
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
    Comparison c = compare(made(50), made(50.3), 3);
    assertThat(c.verdict()).isEqualTo(Verdict.TOO_SMALL);
    assertThat(c.reasons()).anyMatch(r -> r.contains("3.0 K that you care about"));
  }

  /** A change that is there for sure, but likely below what counts, is no help. */
  @Test
  void helpedNeedsALikelyChangeThatCounts() {
    Comparison c =
        Comparison.of(
            MountedRun.ofOneMount(List.of(made(50).run("b", 3))),
            MountedRun.ofOneMount(List.of(made(49.2).run("a", 4))),
            new Judging(1, 0.1),
            Notation.METRIC);
    assertThat(c.interval().orElseThrow().high()).isNegative();
    assertThat(c.interval().orElseThrow().low()).isLessThan(-1);
    assertThat(c.verdict()).isEqualTo(Verdict.TOO_SMALL);
    assertThat(c.reasons()).anyMatch(r -> r.startsWith("It changed, but likely by less"));
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
    assertThat(c.reasons()).anyMatch(r -> r.contains("brought to the power before"));
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
    assertThat(c.sentence())
        .contains("after.csv")
        .contains("still warming")
        .contains("minutes of load");
  }

  @Test
  void noRunOnASide() {
    Comparison c = compare(List.of(), List.of(made(40).run("a", 1)), 1);
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
    Comparison many = remounted(before, after, 1);
    Comparison one = judged(before.subList(0, 1), after.subList(0, 1), 0.3);
    assertThat(many.interval().orElseThrow().width())
        .isGreaterThan(1.5 * one.interval().orElseThrow().width());
    assertThat(many.reasons()).anyMatch(r -> r.contains("scatter between 6 mounts"));
    assertThat(one.reasons()).anyMatch(r -> r.contains("how much a new mount changes"));
    assertThat(many.before().runs()).isEqualTo(3);
  }

  /** Pooled two-sample interval by hand: s² = (Σ(a−ā)² + Σ(b−b̄)²)/4, t(4; 97.5 %) = 2.776. */
  @Test
  void thePooledIntervalIsTheTextbooks() {
    List<RunAnalysis> before =
        IntStream.range(0, 3).mapToObj(i -> still(50 + 2 * i).run("b" + i, 40 + i)).toList();
    List<RunAnalysis> after =
        IntStream.range(0, 3).mapToObj(i -> still(40 + 2 * i).run("a" + i, 50 + i)).toList();
    Interval interval = remounted(before, after, 1).interval().orElseThrow();
    double s2 = (squares(before) + squares(after)) / 4;
    double half = 2.776 * Math.sqrt(s2 * (1 / 3.0 + 1 / 3.0));
    assertThat(interval.width() / 2).isCloseTo(half, within(1e-3 * half));
  }

  /** In a still room, and with nothing to correct: so nothing but the mounts is in doubt. */
  private static Synthetic still(double rise) {
    Synthetic made = made(rise);
    made.roomDrift = 0;
    made.withPower = false;
    return made;
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
            MountedRun.ofOneMount(List.of(made(50).run("b", 60))),
            MountedRun.ofOneMount(List.of(made(35).run("a", 61))),
            Judging.of(1),
            new Notation(false, fahrenheit, true, false));
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

  @Test
  void oneMountEachSideWidensTheIntervalByTheStatedScatter() {
    List<RunAnalysis> before = List.of(still(50).run("b", 80));
    List<RunAnalysis> after = List.of(still(49).run("a", 81));
    Comparison sure = judged(before, after, 0);
    Comparison usual = judged(before, after, 0.3);
    Comparison rough = judged(before, after, 1);
    // Variances add: as sure as ten mounts, 0.3 K give 2.23·0.3·√2 = 0.95 K beside the noise.
    double noise = sure.interval().orElseThrow().width() / 2;
    assertThat(usual.interval().orElseThrow().width() / 2)
        .isCloseTo(Math.hypot(noise, 0.945), within(0.03));
    assertThat(rough.interval().orElseThrow().width() / 2)
        .isCloseTo(Math.hypot(noise, 3.15), within(0.05));
    assertThat(usual.reasons()).anyMatch(r -> r.contains("deviation of 0.3 K is assumed"));
    assertThat(rough.verdict()).isEqualTo(Verdict.CANNOT_TELL);
    assertThat(rough.mountsToTell()).isGreaterThan(10);
    assertThat(rough.reasons())
        .anyMatch(r -> r.matches("About \\d+ mounts each side would tell .*"));
  }

  private static Comparison judged(
      List<RunAnalysis> before, List<RunAnalysis> after, double remount) {
    return Comparison.of(
        MountedRun.ofOneMount(before),
        MountedRun.ofOneMount(after),
        new Judging(1, remount),
        Notation.METRIC);
  }

  /** Runs of one mount are not more mounts: two mounts of three runs leave 2 degrees of freedom. */
  @Test
  void runsOfOneMountDoNotPassForMounts() {
    double[] mounts = {-0.7, 0.7};
    List<MountedRun> before = new ArrayList<>();
    List<MountedRun> after = new ArrayList<>();
    for (int m = 0; m < 2; m++) {
      for (int r = 0; r < 3; r++) {
        before.add(new MountedRun(made(50 + mounts[m]).run("b", 200 + 10 * m + r), m + 1));
        after.add(new MountedRun(made(40 + mounts[m]).run("a", 300 + 10 * m + r), m + 1));
      }
    }
    Comparison c = Comparison.of(before, after, Judging.of(1), Notation.METRIC);
    // Mount means lie 1.4 apart: s = 0.99, half width = 4.303·0.99·√(1/2 + 1/2).
    assertThat(c.interval().orElseThrow().width() / 2).isCloseTo(4.26, within(0.5));
    assertThat(c.reasons()).anyMatch(r -> r.startsWith("Between mounts the standard deviation is"));
  }

  @Test
  void powerIsBroughtToTheSameForRises() {
    Synthetic more = made(40);
    more.watts = 172;
    Comparison c = compare(made(50), more, 1);
    assertThat(c.changeKelvin()).isCloseTo(40 * 160 / 172.0 - 50, within(0.4));
    assertThat(c.reasons()).anyMatch(r -> r.contains("As measured: "));
    // A fifth of the 2.8 K correction stays open.
    assertThat(c.interval().orElseThrow().width() / 2).isGreaterThan(0.55);
  }

  @Test
  void everyFigureAndEveryCoreHasItsChange() {
    Synthetic after = made(38);
    Comparison c = compare(made(50), after, 1);
    assertThat(c.figures())
        .extracting(FigureChange::figure)
        .containsExactly(Figure.RISE, Figure.HOTTEST, Figure.SPREAD, Figure.RESISTANCE);
    FigureChange resistance = c.figures().get(3);
    assertThat(resistance.change()).isCloseTo(-12 / 160.0, within(0.004));
    assertThat(resistance.interval().contains(-12 / 160.0)).isTrue();
    assertThat(c.figures().get(2).change()).isCloseTo(0, within(0.2));
    assertThat(c.cores()).hasSize(after.cores);
    c.cores().forEach(core -> assertThat(core.change()).isCloseTo(-12, within(0.6)));
  }

  @Test
  void aFanThatRanFasterCannotBeCorrected() {
    assertThat(withFans(1000, 1500, 38).verdict()).isEqualTo(Verdict.NOT_COMPARABLE);
    assertThat(withFans(1000, 1500, 38).sentence()).contains("fan or pump did not run alike");
    Comparison slower = withFans(1500, 1000, 38);
    assertThat(slower.verdict()).isEqualTo(Verdict.HELPED);
    assertThat(slower.reasons()).anyMatch(r -> r.contains("at least what is said"));
    assertThat(withFans(1000, 1040, 38).verdict()).isEqualTo(Verdict.HELPED);
  }

  private static Comparison withFans(double first, double second, double rise) {
    Synthetic a = made(50);
    a.fan = first;
    Synthetic b = made(rise);
    b.fan = second;
    return compare(a, b, 1);
  }

  /** Made mounts of known scatter: nine in ten intervals or more hold the true change. */
  @Test
  void intervalsHoldTheTruthWithMounts() {
    Random random = new Random(5);
    int hits = 0;
    int tries = 150;
    for (int k = 0; k < tries; k++) {
      List<RunAnalysis> before = new ArrayList<>();
      List<RunAnalysis> after = new ArrayList<>();
      for (int m = 0; m < 3; m++) {
        before.add(made(50 + 0.5 * random.nextGaussian()).run("b", 9000 + 10 * k + m));
        after.add(made(45 + 0.5 * random.nextGaussian()).run("a", 20000 + 10 * k + m));
      }
      hits += remounted(before, after, 1).interval().orElseThrow().contains(-5) ? 1 : 0;
    }
    // 95 % of 150 is 142.5 with a deviation of 2.7.
    assertThat(hits).isBetween(134, 150);
  }
}
