package dev.ambershim.core.runs.clocking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.stage.prove.Headroom;
import dev.ambershim.core.stage.prove.NextRung;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.distribution.continuous.TriangularDistribution;
import org.junit.jupiter.api.Test;

class ClockLadderTest {
  private static final LadderTerms TERMS = LadderTerms.USUAL;

  static Rung passed(double clock, double celsius) {
    return Rung.typed(clock, null, Outcome.PASSED, "", celsius, 22.0);
  }

  static Rung ended(double clock, Outcome outcome) {
    return Rung.typed(clock, null, outcome, "", null, null);
  }

  private static Headroom headroom(List<Rung> before, List<Rung> after) {
    return Headroom.of(before, after, TERMS, 0.3, Notation.METRIC);
  }

  @Test
  void theHighestClockLiesBetweenTheHighestPassAndTheNextThatDidNot() {
    ClockLadder ladder =
        new ClockLadder(
            List.of(
                ended(4900, Outcome.FAILED),
                passed(4600, 70),
                passed(4800, 80),
                passed(4700, 75),
                ended(5000, Outcome.FAILED)),
            TERMS,
            22);
    assertThat(ladder.highestPass()).hasValue(4800);
    assertThat(ladder.lowestBlock()).hasValue(4900);
    assertThat(ladder.stoppedByHeat()).isFalse();
  }

  @Test
  void aPassAboveTheLimitInTheCommonRoomIsTooHot() {
    // 88 °C in a cold room of 15 °C would be 95 °C in one of 22 °C.
    Rung cold = Rung.typed(4900, null, Outcome.PASSED, "", 88.0, 15.0);
    ClockLadder ladder = new ClockLadder(List.of(passed(4800, 84), cold), TERMS, 22);
    assertThat(ladder.counts(cold)).isEqualTo(Outcome.TOO_HOT);
    assertThat(ladder.highestPass()).hasValue(4800);
    assertThat(ladder.stoppedByHeat()).isTrue();
    assertThat(new ClockLadder(List.of(cold), TERMS, 15).highestPass()).hasValue(4900);
  }

  @Test
  void aClockThatFailedOnceAtItsVoltageDoesNotPassButMoreVoltageMay() {
    Rung good = Rung.typed(4900, 1.25, Outcome.PASSED, "", 80.0, 22.0);
    Rung bad = Rung.typed(4900, 1.25, Outcome.FAILED, "froze", 80.0, 22.0);
    Rung more = Rung.typed(4900, 1.28, Outcome.PASSED, "", 84.0, 22.0);
    assertThat(new ClockLadder(List.of(good, bad), TERMS, 22).highestPass()).isEmpty();
    assertThat(new ClockLadder(List.of(bad, more), TERMS, 22).highestPass()).hasValue(4900);
  }

  /**
   * Where the edges are hard and far from each other's readings, what is left is the gap: two
   * rectangles of 400 MHz, whose difference is triangular (Hipparchus).
   */
  @Test
  void wideGapsTellWhatRectanglesTell() {
    ClockGain gain =
        headroom(
                List.of(unread(4000, Outcome.PASSED), unread(4400, Outcome.FAILED)),
                List.of(unread(4400, Outcome.PASSED), unread(4800, Outcome.FAILED)))
            .gain()
            .orElseThrow();
    TriangularDistribution triangle = new TriangularDistribution(0, 400, 800);
    assertThat(gain.megahertz()).isCloseTo(400, within(20.0));
    assertThat(gain.interval().low())
        .isCloseTo(triangle.inverseCumulativeProbability(0.025), within(35.0));
    assertThat(gain.interval().high())
        .isCloseTo(triangle.inverseCumulativeProbability(0.975), within(35.0));
  }

  private static Rung unread(double clock, Outcome outcome) {
    return Rung.typed(clock, null, outcome, "", null, null);
  }

  /** A rung seen once is no certain bound; seen three times it is a better one. */
  @Test
  void repeatsCount() {
    List<Rung> once = List.of(unread(4700, Outcome.PASSED), unread(4725, Outcome.FAILED));
    List<Rung> often = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      often.addAll(once);
    }
    double single = headroom(once, once).gain().orElseThrow().interval().width();
    double repeated = headroom(often, often).gain().orElseThrow().interval().width();
    assertThat(single).isGreaterThan(100);
    assertThat(repeated).isLessThan(0.85 * single);
  }

  @Test
  void theGainIsSaidWithItsInterval() {
    Headroom headroom =
        headroom(
            List.of(passed(4700, 82), ended(4800, Outcome.TOO_HOT)),
            List.of(passed(4700, 70), passed(4900, 80), ended(5000, Outcome.FAILED)));
    ClockGain gain = headroom.gain().orElseThrow();
    // By the rungs alone 200 MHz, 122 to 278; what is soft and what was read make it wider.
    assertThat(gain.megahertz()).isBetween(120.0, 260.0);
    assertThat(gain.interval().width()).isBetween(120.0, 330.0);
    String more = Notation.METRIC.text(gain.megahertz(), Unit.MEGAHERTZ) + " more";
    assertThat(headroom.headline().map(Headroom.Headline::underLimit))
        .hasValue(more + " under your limit");
    assertThat(headroom.finding().sentence())
        .startsWith(
            "It holds 4900 to 5000 MHz after and 4700 to 4800 MHz before the work under"
                + " 90.0 °C in a room of 22.0 °C: "
                + more
                + " (");
    assertThat(headroom.reasons())
        .contains("Before, 4800 MHz was too hot.", "After, 5000 MHz failed.");
  }

  @Test
  void coarseRungsDoNotTellAGain() {
    Headroom headroom =
        headroom(
            List.of(passed(4700, 82), ended(4800, Outcome.FAILED)),
            List.of(passed(4700, 70), ended(4800, Outcome.FAILED)));
    assertThat(headroom.headline()).isEmpty();
    assertThat(headroom.finding().sentence()).contains("That does not tell a gain (−");
  }

  @Test
  void anOpenLadderGivesALeastGain() {
    Headroom headroom =
        headroom(
            List.of(passed(4700, 82), ended(4800, Outcome.FAILED)),
            List.of(passed(4700, 70), passed(5000, 80)));
    assertThat(headroom.headline().map(Headroom.Headline::underLimit))
        .hasValue("at least 200 MHz more under your limit");
    assertThat(headroom.finding().interval()).isEmpty();
    assertThat(
            headroom(
                    List.of(passed(5000, 82)),
                    List.of(passed(4700, 70), ended(4800, Outcome.FAILED)))
                .headline()
                .map(Headroom.Headline::underLimit))
        .hasValue("at least 200 MHz less under your limit");
  }

  @Test
  void kelvinAtEqualClockComeFromPairsOfRungs() {
    Headroom headroom =
        headroom(
            List.of(passed(4600, 80), passed(4700, 84)),
            List.of(passed(4600, 70), passed(4700, 73), passed(4800, 77)));
    var finding = headroom.kelvinAtEqualClock().orElseThrow();
    assertThat(finding.value()).isCloseTo(-10.5, within(1e-9));
    // Four readings of 0.6 K in two pairs, and two mounts of 0.3 K, in squares (JCGM 100, 5.1.2).
    assertThat(finding.interval().orElseThrow().width() / 2)
        .isCloseTo(1.959964 * Math.sqrt(0.6 * 0.6 + 2 * 0.09), within(1e-6));
    assertThat(finding.sentence())
        .startsWith("At 4600 to 4700 MHz, rung against rung, the hottest");
  }

  /**
   * A voltage that goes up in jumps: both sides were too hot where a smooth course would have
   * passed. What the rungs bound counts then: two edges, each anywhere between its two rungs, lie
   * 200 MHz apart in the middle, and 300 at most.
   */
  @Test
  void rungsThatSpeakAgainstTheModelOfHeatOutdoIt() {
    Headroom headroom =
        headroom(
            List.of(passed(4600, 78), passed(4700, 82), ended(4800, Outcome.TOO_HOT)),
            List.of(passed(4800, 74), passed(4900, 78), ended(5000, Outcome.TOO_HOT)));
    ClockGain gain = headroom.gain().orElseThrow();
    assertThat(gain.megahertz()).isCloseTo(200, within(20.0));
    assertThat(gain.interval().low()).isBetween(80.0, 145.0);
    assertThat(gain.interval().high()).isBetween(255.0, 320.0);
    assertThat(gain.heatLeftOut()).isTrue();
    // Nor does that model advise what to try next, and the answer says so.
    assertThat(headroom.next(true).hottest()).isEmpty();
    assertThat(headroom.heatLimit(true)).isEmpty();
    assertThat(headroom.reasons()).anyMatch(r -> r.contains("temperatures are left out"));
    assertThat(headroom.finding().working().limits())
        .anyMatch(l -> l.contains("temperatures are left out"));
  }

  @Test
  void rungsThatFitTheModelOfHeatAreToldWithIt() {
    Headroom headroom =
        headroom(
            List.of(passed(4600, 76), passed(4700, 81), ended(4900, Outcome.TOO_HOT)),
            List.of(passed(4800, 76), passed(4900, 81), ended(5100, Outcome.TOO_HOT)));
    assertThat(headroom.gain().orElseThrow().heatLeftOut()).isFalse();
    assertThat(headroom.next(true).hottest()).isPresent();
    assertThat(headroom.heatLimit(true)).isPresent();
  }

  @Test
  void aStoppedTryBoundsNothing() {
    ClockLadder ladder =
        new ClockLadder(
            List.of(
                passed(4700, 75),
                ended(4700, Outcome.STOPPED),
                ended(4800, Outcome.STOPPED),
                ended(4900, Outcome.FAILED)),
            TERMS,
            22);
    assertThat(ladder.highestPass()).hasValue(4700);
    assertThat(ladder.lowestBlock()).hasValue(4900);
  }

  @Test
  void severalTriesAtOneClockAreOnePair() {
    Headroom once = headroom(List.of(passed(4700, 84)), List.of(passed(4700, 73)));
    Headroom twice =
        headroom(
            List.of(passed(4700, 84), passed(4700, 84)),
            List.of(passed(4700, 73), passed(4700, 73)));
    var one = once.kelvinAtEqualClock().orElseThrow();
    var two = twice.kelvinAtEqualClock().orElseThrow();
    assertThat(two.value()).isEqualTo(one.value());
    // Reading errors halve as squares, two mounts do not (JCGM 100:2008, 5.1.2).
    assertThat(one.interval().orElseThrow().width() / 2)
        .isCloseTo(1.959964 * Math.sqrt(2 * 0.36 + 2 * 0.09), within(1e-6));
    assertThat(two.interval().orElseThrow().width() / 2)
        .isCloseTo(1.959964 * Math.sqrt(0.36 + 2 * 0.09), within(1e-6));
  }

  @Test
  void aFailureBelowAPassIsSaid() {
    Headroom headroom = headroom(List.of(ended(4600, Outcome.FAILED), passed(4700, 75)), List.of());
    assertThat(headroom.reasons())
        .contains(
            "Before, 4600 MHz failed although a higher clock passed; try both again, and longer.");
  }

  @Test
  void whereAllIsTooHotTheNextTryIsOneThatFits() {
    List<Rung> hot = List.of(passed(4600, 96), passed(4700, 100));
    NextRung next = headroom(hot, List.of()).next(false);
    assertThat(next.clockMegahertz().getAsDouble()).isLessThan(4500);
    assertThat(next.hottest().orElseThrow().value()).isLessThanOrEqualTo(90);
    LadderTerms cold = new LadderTerms(22, 100, 22.0, "");
    NextRung none = Headroom.of(hot, List.of(), cold, 0.3, Notation.METRIC).next(false);
    assertThat(none.clockMegahertz()).isEmpty();
    assertThat(none.sentence()).contains("Better cooling comes first");
  }

  @Test
  void otherVoltagesAreNoPairAndAreNamed() {
    Rung before = Rung.typed(4700, 1.20, Outcome.PASSED, "", 84.0, 22.0);
    Rung after = Rung.typed(4700, 1.30, Outcome.PASSED, "", 84.0, 22.0);
    Headroom headroom = headroom(List.of(before), List.of(after));
    assertThat(headroom.kelvinAtEqualClock().orElseThrow().sentence())
        .startsWith("No rung stands on both sides");
    assertThat(headroom.reasons())
        .contains(
            "The highest rungs stand at 1.300 V after and 1.200 V before; part of the change is"
                + " the voltage.");
  }

  @Test
  void aRungThatCannotBeIsRefusedByName() {
    assertThatThrownBy(() -> passed(47, 80))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("clock")
        .hasMessageContaining("100 to 12000 MHz");
    assertThatThrownBy(() -> passed(4.7, 80)).hasMessageContaining("4.7 looks like GHz");
    assertThatThrownBy(() -> Rung.typed(4700, 12.0, Outcome.PASSED, "", 80.0, 22.0))
        .hasMessageContaining("voltage");
    assertThatThrownBy(() -> ended(4700, null)).hasMessageContaining("how it ended");
  }

  @Test
  void theNextRungGoesUpThenHalvesThenEnds() {
    List<Rung> open = List.of(passed(4700, 60));
    assertThat(headroom(open, List.of()).next(false).clockMegahertz()).hasValue(4800);
    List<Rung> wide = List.of(passed(4700, 60), ended(5000, Outcome.FAILED));
    assertThat(headroom(wide, List.of()).next(false).clockMegahertz()).hasValue(4900);
    List<Rung> narrow = List.of(passed(4700, 60), ended(4800, Outcome.FAILED));
    NextRung half = headroom(narrow, List.of()).next(false);
    assertThat(half.clockMegahertz()).hasValue(4750);
    assertThat(half.sentence()).contains("wears the chip");
    List<Rung> done = List.of(passed(4700, 60), ended(4725, Outcome.FAILED));
    assertThat(headroom(done, List.of()).next(false).clockMegahertz()).isEmpty();
    assertThat(headroom(done, List.of()).next(false).sentence()).contains("4700 passed");
    List<Rung> none = List.of(ended(4700, Outcome.FAILED));
    assertThat(headroom(none, List.of()).next(false).clockMegahertz()).hasValue(4600);
    assertThat(headroom(none, List.of()).next(true).sentence()).startsWith("Begin at factory");
  }

  @Test
  void heatShortensTheNextStepOrEndsTheClimb() {
    NextRung less = headroom(List.of(passed(4700, 88)), List.of()).next(false);
    assertThat(less.clockMegahertz().getAsDouble()).isBetween(4725.0, 4750.0);
    assertThat(less.sentence()).contains("whole step would pass your limit");
    NextRung none = headroom(List.of(passed(4700, 89.9)), List.of()).next(false);
    assertThat(none.clockMegahertz()).isEmpty();
    assertThat(none.sentence()).startsWith("Heat stops it here: even 4725 MHz would reach");
  }
}
