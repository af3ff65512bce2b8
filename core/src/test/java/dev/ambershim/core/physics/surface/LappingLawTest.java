package dev.ambershim.core.physics.surface;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.stage.lap.LapWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/**
 * The closed form of lapping against Preston's law taken stroke by stroke, and the update of a rate
 * against Bayes' rule on a grid, both worked out here independently.
 */
class LappingLawTest {
  private static final int N = 21;
  private static final double HALF = 15;

  private static List<ProbedPoint> probe(double[][] heights) {
    List<ProbedPoint> points = new ArrayList<>();
    for (int j = 0; j < N; j++) {
      for (int i = 0; i < N; i++) {
        points.add(new ProbedPoint(place(i), place(j), heights[j][i]));
      }
    }
    return points;
  }

  private static double place(int i) {
    return HALF * (2.0 * i / (N - 1) - 1);
  }

  private static double[][] bowl(double k) {
    double[][] h = new double[N][N];
    for (int j = 0; j < N; j++) {
      for (int i = 0; i < N; i++) {
        h[j][i] = k * (place(i) * place(i) + place(j) * place(j));
      }
    }
    return h;
  }

  private static LapTerms terms(double target, double plating, double press) {
    return new LapTerms(Face.LID_TOP, false, target, plating, 0.1, press, 100.0, null, Grit.P2000);
  }

  private static LappingPlan plan(double[][] heights, LapTerms terms) {
    return LappingPlan.of(
        FaceReport.of(probe(heights), Optional.empty()),
        new Patch(0, 0, 2 * HALF, 2 * HALF),
        Material.COPPER,
        2.3,
        terms,
        List.of());
  }

  /**
   * A level plate wears what touches it: each stroke takes rate · press · path off, shared over the
   * cells in contact, until the face is flat to the target. No closed form is used.
   */
  private static double strokes(double[][] start, double target, double rate, double press) {
    double[][] h = new double[N][];
    double low = Double.POSITIVE_INFINITY;
    for (int j = 0; j < N; j++) {
      h[j] = start[j].clone();
      for (double v : h[j]) {
        low = Math.min(low, v);
      }
    }
    double cell = Math.pow(2 * HALF / (N - 1), 2);
    double step = 0.25;
    double level = 0;
    for (double[] row : h) {
      for (double v : row) {
        level = Math.max(level, v);
      }
    }
    double strokes = 0;
    while (level - low > target) {
      level = Math.max(low + target, level - step);
      double off = 0;
      for (int j = 0; j < N; j++) {
        for (int i = 0; i < N; i++) {
          if (h[j][i] > level) {
            // Cells at the edge stand for half of their size, at the corner for a quarter.
            double share = (i % (N - 1) == 0 ? 0.5 : 1) * (j % (N - 1) == 0 ? 0.5 : 1);
            off += share * cell * (h[j][i] - level) / 1000;
            h[j][i] = level;
          }
        }
      }
      strokes += off / (rate * press * 0.1);
    }
    return strokes;
  }

  @ParameterizedTest
  @CsvSource({"0.10,10,10", "0.06,5,10", "0.15,20,4", "-0.08,10,10", "-0.12,6,20"})
  void strokesAreThoseOfPrestonStrokeByStroke(double k, double target, double press) {
    LappingPlan plan = plan(bowl(k), terms(target, 0, press));
    LappingPlan.Step first = plan.steps().get(0);
    double rate = 0.008 * first.grit().sizeMicrometres() / 35;
    assertThat(first.strokes())
        .isCloseTo(strokes(bowl(k), target, rate, press), within(0.06 * first.strokes()));
  }

  /** Twice the press is half the strokes; plating that is harder makes more of them. */
  @Test
  void pressAndPlatingChangeTheStrokesAsTheyShould() {
    double alone = plan(bowl(0.1), terms(10, 0, 10)).steps().get(0).strokes();
    assertThat(plan(bowl(0.1), terms(10, 0, 20)).steps().get(0).strokes())
        .isCloseTo(alone / 2, within(1e-6));
    double plated = plan(bowl(0.1), terms(10, 5, 10)).steps().get(0).strokes();
    assertThat(plated).isBetween(1.2 * alone, alone / 0.35);
    // Plating thicker than all that comes off: every stroke is in nickel.
    double thick = plan(bowl(0.1), terms(10, 100, 10)).steps().get(0).strokes();
    assertThat(thick).isCloseTo(alone / 0.35, within(1e-6 * thick));
    LappingPlan none = plan(bowl(0.1), terms(10, 100, 10));
    assertThat(none.breakThrough().happens()).isFalse();
    assertThat(none.bareShare()).isZero();
  }

  /** Plating is through when the highest place has lost all of it: found stroke by stroke. */
  @Test
  void platingIsThroughWhenTheHighestPlaceHasLostIt() {
    double[][] dome = bowl(-0.1);
    LappingPlan plan = plan(dome, terms(10, 5, 10));
    double rate = 0.35 * 0.008 * plan.steps().get(0).grit().sizeMicrometres() / 35;
    double depth = 45 - 5;
    assertThat(plan.breakThrough().strokes())
        .isCloseTo(strokes(dome, depth, rate, 10), within(0.15 * plan.breakThrough().strokes()));
    assertThat(plan.breakThrough().interval().contains(plan.breakThrough().strokes())).isTrue();
  }

  @ParameterizedTest
  @EnumSource(Grit.class)
  void everyPaperLeadsToTheLast(Grit first) {
    for (Grit last : Grit.values()) {
      if (last.sizeMicrometres() > first.sizeMicrometres()) {
        continue;
      }
      List<Grit> ladder = Grit.ladder(first, last);
      assertThat(ladder.get(0)).isEqualTo(first);
      assertThat(ladder.get(ladder.size() - 1)).isEqualTo(last);
      for (int i = 1; i < ladder.size(); i++) {
        assertThat(ladder.get(i).sizeMicrometres()).isLessThan(ladder.get(i - 1).sizeMicrometres());
      }
      assertThat(ladder).hasSizeLessThanOrEqualTo(8);
    }
  }

  /**
   * One measured pass: the posterior of the factor by Bayes' rule on a grid of logarithms, prior
   * N(0, s²) with s² of person and paper, likelihood N(y, r²).
   */
  @Test
  void theRateIsUpdatedByBayesRule() {
    double area = 900;
    LapPass pass = new LapPass(Face.LID_TOP, Grit.P800, 200, 10, 100, 6.0, "");
    RemovalRate rate = new RemovalRate(List.of(pass), area, LapMetal.COPPER);
    double usual = 0.008 * 21.8 / 35;
    double seen = Math.log(6e-3 * area / (10 * 200 * 0.1) / usual);
    double prior = Math.pow(Math.log(3) / 1.645, 2) + 0.25 * 0.25;
    double noise = Math.pow(1.5 / 6, 2);
    double weight = 0;
    double mean = 0;
    double square = 0;
    for (double a = -6; a <= 6; a += 1e-3) {
      double p = Math.exp(-a * a / (2 * prior) - (a - seen) * (a - seen) / (2 * noise));
      weight += p;
      mean += p * a;
      square += p * a * a;
    }
    mean /= weight;
    double deviation = Math.sqrt(square / weight - mean * mean);
    assertThat(rate.likely(Grit.P800, LapMetal.COPPER))
        .isCloseTo(usual * Math.exp(mean), within(1e-6));
    assertThat(rate.factor(Grit.P800)).isCloseTo(Math.exp(1.96 * deviation), within(1e-4));
    Interval interval = rate.interval(Grit.P800, LapMetal.COPPER);
    assertThat(interval.contains(rate.likely(Grit.P800, LapMetal.COPPER))).isTrue();
    // Another paper shares the person's factor alone.
    assertThat(rate.factor(Grit.P2000)).isGreaterThan(rate.factor(Grit.P800));
    assertThat(rate.likely(Grit.P2000, LapMetal.NICKEL))
        .isCloseTo(0.35 * rate.likely(Grit.P2000, LapMetal.COPPER), within(1e-12));
  }

  @Test
  void manyPassesLeaveLittleOfThePrior() {
    List<LapPass> passes = new ArrayList<>();
    for (int i = 0; i < 30; i++) {
      passes.add(new LapPass(Face.LID_TOP, Grit.P400, 100, 10, 100, 12.0, ""));
    }
    RemovalRate rate = new RemovalRate(passes, 900, LapMetal.COPPER);
    assertThat(rate.measured()).isEqualTo(30);
    assertThat(rate.likely(Grit.P400, LapMetal.COPPER))
        .isCloseTo(12e-3 * 900 / (10 * 100 * 0.1), within(0.002));
    assertThat(rate.factor(Grit.P400)).isLessThan(1.06);
    assertThat(new RemovalRate(List.of(), 900, LapMetal.COPPER).factor(Grit.P400))
        .isBetween(3.0, 4.5);
  }

  /** Volume, contact and bare share of a roof, by hand. */
  @Test
  void whatStandsAboveALevelIsMeasured() {
    double[][] roof = new double[N][N];
    for (int j = 0; j < N; j++) {
      for (int i = 0; i < N; i++) {
        roof[j][i] = 30 - 2 * Math.abs(place(i));
      }
    }
    Removal removal =
        new Removal(
            ReliefMap.of(FaceReport.of(probe(roof), Optional.empty())), new Patch(0, 0, 30, 30));
    assertThat(removal.area()).isCloseTo(900, within(1e-9));
    // The upper 10 µm of the roof: 10 mm wide, 30 mm long, half of 10 µm high.
    double level = removal.high() - 10;
    assertThat(removal.volumeAbove(level)).isCloseTo(0.5 * 10 * 10 * 30 / 1000, within(0.06));
    assertThat(removal.contact(level)).isCloseTo(1.0 / 3, within(0.03));
    assertThat(removal.bare(level, 5)).isCloseTo(1.0 / 6, within(0.03));
    assertThat(removal.platingAbove(level, 5))
        .isCloseTo((0.5 * 10 * 10 - 0.5 * 5 * 5) * 30 / 1000, within(0.06));
    assertThat(removal.leaving(12)).isCloseTo(removal.high() - 30 + 12, within(1e-9));
  }

  @Test
  void theLogTellsPassesAndProbingsInTheirOrder() {
    Surfaces surfaces =
        Surfaces.NONE
            .with(new Relief(Face.LID_TOP, "as it came", probe(bowl(0.1)), 0))
            .with(new LapPass(Face.LID_TOP, Grit.P400, 400, 10, 100, 8.0, ""))
            .with(new LapPass(Face.PLATE, Grit.P800, 10, 10, 100, null, ""))
            .with(new Relief(Face.LID_TOP, "", probe(bowl(0.05)), 1))
            .with(new LapPass(Face.LID_TOP, Grit.P800, 200, 10, 100, null, ""))
            .with(new Relief(Face.LID_TOP, "again", List.of(), 2));
    List<String> log = LapWords.log(surfaces, Face.LID_TOP, Notation.METRIC);
    assertThat(log).hasSize(5);
    assertThat(log.get(0)).startsWith("Probed as it came at 441 places: flat to 4");
    assertThat(log.get(1)).isEqualTo("Pass 1: P400, 400 strokes, 8.0 µm off");
    assertThat(log.get(2)).startsWith("Probed at 441 places: flat to 2");
    assertThat(log.get(3)).isEqualTo("Pass 2: P800, 200 strokes, not measured");
    assertThat(log.get(4)).contains("too few");
    assertThat(surfaces.passes(Face.LID_TOP)).isEqualTo(2);
    assertThat(surfaces.withoutLastPass().passes(Face.LID_TOP)).isEqualTo(1);
    assertThat(surfaces.without(Face.LID_TOP).latest(Face.LID_TOP).orElseThrow().stage())
        .isEqualTo(1);
    assertThat(surfaces.replacing(new Relief(Face.DIE, "", List.of(), 0)).reliefs()).hasSize(4);
    assertThat(Face.LAP.further(1)).isEqualTo(Face.LID_TOP);
    assertThat(Face.LID_TOP.further(-1)).isEqualTo(Face.LAP);
  }
}
