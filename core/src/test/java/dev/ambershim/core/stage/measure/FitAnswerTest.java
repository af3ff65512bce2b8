package dev.ambershim.core.stage.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.fit.Budget;
import dev.ambershim.core.physics.fit.Chain;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.fit.InnerGap;
import dev.ambershim.core.physics.fit.Instrument;
import dev.ambershim.core.physics.fit.Mount;
import dev.ambershim.core.physics.fit.Reading;
import dev.ambershim.core.physics.fit.Source;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Readings of a chip, and what follows for cooler, lid and screws; figures by hand. */
class FitAnswerTest {
  private static final Chip CHIP = StartingPoint.DESKTOP_ONE_DIE_PASTE.chip("Sorrel S8");
  private static final Cooler COOLER = StartingPoint.cooler();

  private static Top top(String name, TopKind kind, double w, double d, double... millimetres) {
    return new Top(name, kind, 0, 0, w, d, false, Reading.of(Instrument.INDICATOR, millimetres));
  }

  private static Heights heights(double die, double shim) {
    return Heights.NONE.withTops(
        List.of(
            top("die", TopKind.DIE, 9.2, 19, die, die + 0.001, die - 0.001),
            top("shim", TopKind.SHIM, 31, 31, shim, shim + 0.002, shim - 0.002)));
  }

  private static FitAnswer fit(Heights heights) {
    return FitAnswer.of(heights, COOLER, Notation.METRIC, 40_000, Runnable::run);
  }

  @Test
  void aProudDieTouchesFirst() {
    FitAnswer fit = fit(heights(0.78, 0.73));
    assertThat(fit.dieFirst()).isGreaterThan(0.999);
    assertThat(fit.rest().orElseThrow().touching()).containsExactly("die");
    assertThat(fit.rows().get(1).clearance()).isCloseTo(0.05, within(1e-9));
    assertThat(fit.rows().get(1).clear().orElseThrow().contains(0.05)).isTrue();
    assertThat(FitWords.first(fit, Notation.METRIC).sentence())
        .startsWith("The die touches first (over 99.9 % by the readings): it stands 50 µm")
        .contains("proud of the shim");
    assertThat(FitWords.notes(fit, Notation.METRIC).get(0)).contains("right by common practice");
  }

  @Test
  void aShimThatIsTooProudIsSanded() {
    FitAnswer fit = fit(heights(0.78, 0.81));
    assertThat(fit.dieFirst()).isLessThan(0.01);
    assertThat(FitWords.first(fit, Notation.METRIC).sentence())
        .startsWith("The shim touches before the die: the die stands 30 µm")
        .contains("Take 80 µm off it");
  }

  @Test
  void whatIsWithinReachCannotBeTold() {
    FitAnswer fit = fit(heights(0.78, 0.778));
    assertThat(fit.dieFirst()).isBetween(0.4, 0.9);
    assertThat(FitWords.first(fit, Notation.METRIC).sentence())
        .startsWith("Cannot tell from these readings")
        .contains("again: it makes");
  }

  @Test
  void heightsOverTheBoardAreBroughtToTheSubstrate() {
    List<Top> tops = new ArrayList<>(heights(0.78, 0.73).tops());
    tops.add(
        new Top("socket", TopKind.SOCKET, 20, 20, 0, 0, true, Reading.of(Instrument.CALIPER, 6.9)));
    tops.add(
        new Top("coil", TopKind.BRACKET, 60, 0, 0, 0, true, Reading.of(Instrument.CALIPER, 9.0)));
    Heights before = Heights.NONE.withTops(tops);
    assertThat(fit(before).unread()).containsExactly("socket", "coil");
    Heights all =
        new Heights(
            tops,
            Reading.of(Instrument.CALIPER, 6.5),
            Reading.of(Instrument.DEPTH_ROD, 3),
            null,
            null,
            null,
            null,
            0,
            0,
            null);
    FitAnswer fit = fit(all);
    assertThat(fit.unread()).isEmpty();
    assertThat(fit.rows().get(2).height().nominal()).isCloseTo(0.4, within(1e-12));
    assertThat(fit.rows().get(2).working()).isEqualTo("6.9 − 6.5 to the substrate");
    // The coil lies under the bracket, 3 mm above the plate: 9.0 − 6.5 − 3 = −0.5.
    assertThat(fit.rows().get(3).height().nominal()).isCloseTo(-0.5, within(1e-12));
    assertThat(fit.prouds()).hasSize(3);
    // Socket and coil share the reading of the substrate; between them it falls out.
    Chain apart = fit.rows().get(2).height().minus(fit.rows().get(3).height());
    assertThat(apart.links().stream().map(l -> l.source().name()))
        .doesNotContain("substrate over the board");
    assertThat(FitWords.notes(fit, Notation.METRIC)).noneMatch(n -> n.contains("not reach"));
  }

  @Test
  void withoutADieOrWithTooLittleItCannotTell() {
    FitAnswer none = fit(Heights.NONE.withTops(Heights.usual(CHIP)));
    assertThat(none.unread()).hasSize(6);
    assertThat(FitWords.first(none, Notation.METRIC).sentence()).contains("no die is read");
    FitAnswer off =
        fit(
            new Heights(
                heights(0.78, 0.73).tops(), null, null, null, null, null, null, 40, 0, null));
    assertThat(FitWords.first(off, Notation.METRIC).sentence())
        .contains("Cannot tell yet")
        .contains("unstable");
  }

  /** Pooled scatter: (4 · 3² + 2² + 2²) / (4 + 1 + 1) for two pairs 2·√2 µm apart, by hand. */
  @Test
  void scatterIsPooledOverAnInstrument() {
    double d = 0.001 * Math.sqrt(2);
    Budget budget =
        new Budget(
            List.of(
                Reading.of(Instrument.INDICATOR, 1 - d, 1 + d),
                Reading.of(Instrument.INDICATOR, 2 - d, 2 + d),
                Reading.of(Instrument.CALIPER, 1, 1.5)));
    Source source =
        budget.chain("x", Reading.of(Instrument.INDICATOR, 3, 3, 3, 3)).links().get(0).source();
    double pooled = Math.sqrt((4 * 9 + 4 + 4) / 6.0) * 1e-3;
    assertThat(source.standardMillimetres())
        .isCloseTo(Math.sqrt(0.005 * 0.005 / 3 + pooled * pooled / 4), within(1e-12));
  }

  @ParameterizedTest
  @CsvSource({
    "0.83, BRUSHED",
    "0.91, FILLED",
    "1.15, TOO_WIDE",
    "0.70, RESTS",
    "0.88, CANNOT_TELL"
  })
  void aLidLeavesAGap(double cavity, InnerGap.Kind kind) {
    Heights h =
        new Heights(
            heights(0.78, 0.73).tops(),
            null,
            null,
            null,
            Reading.of(Instrument.INDICATOR, cavity),
            Reading.of(Instrument.INDICATOR, 0.0),
            Reading.of(Instrument.INDICATOR, 0.75),
            0,
            0,
            null);
    InnerGap gap = FitAnswer.innerGaps(h, CHIP, false).get(0);
    assertThat(gap.gap().nominal()).isCloseTo(cavity - 0.78, within(1e-9));
    assertThat(gap.kind()).isEqualTo(kind);
    assertThat(gap.finding("the lid", Notation.METRIC).sentence())
        .contains(cavity < 0.78 ? "no room" : "over die");
    assertThat(FitAnswer.innerGaps(h, CHIP, true).get(0).gap().nominal())
        .isCloseTo(-0.03, within(1e-9));
  }

  @Test
  void withoutTheLidTheCoolerComesDown() {
    Heights h =
        new Heights(
            heights(0.78, 0.73).tops(),
            null,
            null,
            Reading.of(Instrument.CALIPER, 3.30),
            null,
            null,
            null,
            0,
            0,
            new Mount(1.5, 4, 20.0, 3.0, 3.0, 2.5, false));
    CoolerDrop drop = fit(h).drop(h, Notation.METRIC).orElseThrow();
    assertThat(drop.drop().nominal()).isCloseTo(2.52, within(1e-9));
    assertThat(drop.finding().sentence()).contains("stops 1.02 mm too high");
    // Springs of 20 N/mm: 0.48 of 3.0 mm left, 38 N of 240 N.
    assertThat(drop.notes().get(0)).contains("16 %").contains("38 N of 240 N");
    assertThat(drop.notes().get(1)).contains("screws longer by 0.5 mm");
  }

  /** A level plate on the die costs nothing; one that hangs on a proud corner does. */
  @Test
  void aTiltedPlateCostsKelvin() {
    Job job = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8");
    FitQuestion.Tilted level =
        FitQuestion.tilted(job, fit(heights(0.78, 0.73)), SolveWatch.NONE).orElseThrow();
    assertThat(level.meanKelvin()).isCloseTo(0, within(0.01));
    assertThat(level.thickMicrometres()).isCloseTo(40, within(0.01));
    assertThat(FitQuestion.disagreements(job, fit(heights(0.78, 0.73)), Notation.METRIC)).isEmpty();
    assertThat(FitQuestion.disagreements(job, fit(heights(0.81, 0.73)), Notation.METRIC).get(0))
        .contains("says 780 µm for the die, and you read 810 µm");
    List<Top> tops = new ArrayList<>(heights(0.78, 0.73).tops());
    tops.add(
        new Top(
            "socket", TopKind.SOCKET, 18, 18, 0, 0, false, Reading.of(Instrument.INDICATOR, 0.9)));
    FitAnswer fit = fit(Heights.NONE.withTops(tops));
    FitQuestion.Tilted tilted = FitQuestion.tilted(job, fit, SolveWatch.NONE).orElseThrow();
    assertThat(fit.rest().orElseThrow().touching()).contains("socket", "shim");
    assertThat(tilted.thickMicrometres()).isGreaterThan(80);
    assertThat(tilted.meanKelvin()).isBetween(1.0, 15.0);
    assertThat(tilted.spreadKelvin()).isPositive();
    assertThat(FitQuestion.tilted(job, fit(Heights.NONE), SolveWatch.NONE))
        .isEqualTo(Optional.empty());
  }
}
