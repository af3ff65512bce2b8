package dev.ambershim.core.physics.surface;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.stage.lap.LappingGain;
import dev.ambershim.core.stage.lap.LappingQuestion;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Lapping: strokes from volumes by hand, plating, the person's own rate, and what it would gain.
 */
class LappingTest {
  private static final Patch FACE = new Patch(0, 0, 30, 30);

  private interface Height {
    double at(double x, double y);
  }

  private static List<ProbedPoint> probe(double half, int n, Height height) {
    List<ProbedPoint> points = new ArrayList<>();
    for (int j = 0; j < n; j++) {
      for (int i = 0; i < n; i++) {
        double x = half * (2.0 * i / (n - 1) - 1);
        double y = half * (2.0 * j / (n - 1) - 1);
        points.add(new ProbedPoint(x, y, height.at(x, y)));
      }
    }
    return points;
  }

  private static FaceReport face(Height height) {
    return FaceReport.of(probe(15, 13, height), Optional.empty());
  }

  private static LapTerms terms(double target, double plating) {
    return new LapTerms(Face.LID_TOP, false, target, plating, null, 10.0, 100.0, null, Grit.P2000);
  }

  private static LappingPlan plan(FaceReport report, LapTerms terms, List<LapPass> passes) {
    return LappingPlan.of(report, FACE, Material.COPPER, 2.3, terms, passes);
  }

  /** ISO 6344-3, table of d50 values (FEPA P-grits): quoted from memory. */
  @ParameterizedTest
  @CsvSource({
    "P240,58.5",
    "P400,35.0",
    "P600,25.8",
    "P800,21.8",
    "P1000,18.3",
    "P1200,15.3",
    "P1500,12.6",
    "P2000,10.3",
    "P2500,8.4"
  })
  void grainsAreAsTheStandardSays(Grit grit, double size) {
    assertThat(grit.sizeMicrometres()).isEqualTo(size);
  }

  @Test
  void papersFollowEachOtherUpToTheLast() {
    assertThat(Grit.ladder(Grit.P400, Grit.P2000))
        .containsExactly(Grit.P400, Grit.P800, Grit.P1200, Grit.P2000);
    assertThat(Grit.ladder(Grit.P2000, Grit.P2000)).containsExactly(Grit.P2000);
  }

  /**
   * A roof-shaped face, z = −|x| per mm, of 30 by 30: what stands above a level d under the ridge
   * is a prism of width 2d and height d. With the least-squares plane in between the level shifts
   * only.
   */
  @Test
  void strokesFollowFromTheVolumeAboveTheLevel() {
    FaceReport roof = face((x, y) -> -2 * Math.abs(x));
    double target = 10;
    LappingPlan plan = plan(roof, terms(target, 0), List.of());
    double depth = 30 - target;
    assertThat(plan.cutMicrometres()).isCloseTo(depth, within(0.8));
    // Prism: base 2 · depth / (2 µm per mm) mm, height depth µm, 30 mm long.
    double volume = 0.5 * depth * (depth / 1000) * 30;
    LappingPlan.Step first = plan.steps().get(0);
    assertThat(first.removedMicrometres()).isCloseTo(volume / 900 * 1000, within(0.5));
    double rate = 0.008 * first.grit().sizeMicrometres() / 35;
    assertThat(first.strokes())
        .isCloseTo(volume / (rate * 10 * 0.1), within(0.08 * first.strokes()));
    // Unmeasured, the rate is known within a factor of three, nine cases in ten.
    assertThat(first.interval().high() / first.strokes()).isBetween(3.0, 4.5);
    assertThat(plan.leftMillimetres())
        .isCloseTo(2.3 - plan.wholeMicrometres() / 1000, within(1e-12));
    assertThat(plan.breakThrough().happens()).isFalse();
    assertThat(plan.kernMillimetres()).isEqualTo(5);
    assertThat(plan.contactNow()).isLessThan(0.2);
    // Once all of it touches: 10 N over 900 mm².
    assertThat(plan.steps().get(1).kilopascals()).isCloseTo(10 / 0.9, within(0.01));
    assertThat(first.kilopascals()).isGreaterThan(5 * 10 / 0.9);
    // A wedge of 2 µm over 30 mm comes of a hand 2 mm off after 2 · 30 / (12 · 2) = 2.5 µm.
    assertThat(first.turnStrokes()).isCloseTo(2.5e-3 * 900 / (rate * 10 * 0.1), within(1.0));
  }

  /** Common practice: plating goes in the middle of a convex lid, at the rim of a concave one. */
  @Test
  void platingGoesWhereTheBowStands() {
    LappingPlan convex = plan(face((x, y) -> -0.06 * (x * x + y * y)), terms(8, 5), List.of());
    assertThat(convex.breakThrough().happens()).isTrue();
    assertThat(convex.breakThrough().where()).isEqualTo("in the middle");
    assertThat(convex.breakThrough().strokes()).isLessThan(convex.steps().get(0).strokes());
    assertThat(convex.bareShare()).isBetween(0.1, 1.0);
    LappingPlan concave = plan(face((x, y) -> 0.06 * (x * x + y * y)), terms(8, 5), List.of());
    assertThat(concave.breakThrough().where()).isEqualTo("at a corner");
    LappingPlan hollow = plan(face((x, y) -> 0.09 * x * x), terms(8, 5), List.of());
    assertThat(hollow.breakThrough().where()).isIn("at the rim", "at a corner");
    assertThat(plan(face((x, y) -> -0.002 * x * x), terms(8, 5), List.of()).steps()).isEmpty();
  }

  @Test
  void ownPassesReplaceTheDefaultRate() {
    FaceReport roof = face((x, y) -> -2 * Math.abs(x));
    LappingPlan before = plan(roof, terms(10, 0), List.of());
    Grit grit = before.steps().get(0).grit();
    // Ten micrometres off 900 mm² by 500 strokes of 0.1 m at 10 N: 0.018 mm³ per N·m.
    LapPass pass = new LapPass(Face.LID_TOP, grit, 500, 10, 100, 10.0, "");
    LappingPlan after = plan(roof, terms(10, 0), List.of(pass, pass, pass));
    double own = 0.010 * 900 / (500 * 10 * 0.1);
    double volume = before.steps().get(0).removedMicrometres() / 1000 * 900;
    assertThat(after.measured()).isEqualTo(3);
    assertThat(after.steps().get(0).strokes())
        .isCloseTo(volume / (own * 10 * 0.1), within(0.06 * after.steps().get(0).strokes()));
    Interval wide = before.steps().get(0).interval();
    Interval narrow = after.steps().get(0).interval();
    assertThat(narrow.high() / narrow.low()).isLessThan(wide.high() / wide.low() / 3);
    // The person's factor carries to the finer papers too, with less certainty.
    Interval fine = after.steps().get(1).interval();
    assertThat(fine.high() / fine.low()).isGreaterThan(narrow.high() / narrow.low());
    assertThat(after.steps().get(1).strokes()).isLessThan(before.steps().get(1).strokes());
    // A pass of another face, or one that was not measured, says nothing.
    LapPass other = new LapPass(Face.PLATE, grit, 500, 10, 100, 10.0, "");
    LapPass unmeasured = new LapPass(Face.LID_TOP, grit, 500, 10, 100, null, "");
    assertThat(plan(roof, terms(10, 0), List.of(other, unmeasured)).measured()).isZero();
  }

  @Test
  void aPassIsToldFromTheReliefsToo() {
    FaceReport before = face((x, y) -> -2 * Math.abs(x));
    FaceReport after = face((x, y) -> Math.max(-30, Math.min(-20, -2 * Math.abs(x))));
    double removed = LappingPlan.removedBetween(before, after, FACE);
    // The ridge is cut down by 20: a prism of 0.5 · 20 µm · 20 mm over 30 mm of the face.
    assertThat(removed).isCloseTo(0.5 * 20 * 20 / 30, within(0.6));
  }

  @Test
  void aGaugeThatScattersCannotShowTheTarget() {
    List<ProbedPoint> twice = new ArrayList<>(probe(15, 4, (x, y) -> -0.1 * x * x));
    twice.addAll(probe(15, 4, (x, y) -> -0.1 * x * x + (x > 0 ? 8 : -1)));
    LappingPlan plan = plan(FaceReport.of(twice, Optional.empty()), terms(5, 5), List.of());
    assertThat(plan.canBeShown()).isFalse();
    assertThat(plan.probingsNeeded()).isGreaterThan(2);
  }

  /** Two faces bowed alike meet everywhere once one is turned over; opposite bows do not. */
  @Test
  void aPairLeavesWhatBothFacesLeave() {
    double[] within = {-15, 15, -15, 15};
    ReliefMap bowed = ReliefMap.of(face((x, y) -> -0.04 * (x * x + y * y)));
    ReliefMap hollow = ReliefMap.of(face((x, y) -> 0.04 * (x * x + y * y)));
    // Three high places that stand apart bear it, as tops do.
    ReliefMap three =
        ReliefMap.of(
            FaceReport.of(
                probe(
                    15,
                    11,
                    (x, y) ->
                        (x == -12 && y == -12) || (x == 12 && y == -12) || (x == 0 && y == 12)
                            ? 30
                            : 0),
                Optional.empty()));
    MatingPair apart = MatingPair.of(three, ReliefMap.flat(within), within);
    // The upper place bears twice what each lower one does, so it goes in deeper, by δ · ln 2.
    assertThat(apart.gaps()[10][10]).isCloseTo(30, within(0.8));
    assertThat(MatingPair.of(bowed, hollow, within).widestMicrometres()).isLessThan(0.3);
    MatingPair both = MatingPair.of(bowed, bowed, within);
    assertThat(both.widestMicrometres()).isCloseTo(2 * 0.04 * 450, within(0.5));
    MatingPair flat = MatingPair.of(bowed, ReliefMap.flat(within), within);
    assertThat(flat.widestMicrometres()).isCloseTo(0.04 * 450, within(0.3));
    // Mean of k·r² over the square: k · 2 · 15²/3.
    assertThat(flat.meanMicrometres()).isCloseTo(0.04 * 150, within(0.8));
    ReliefMap wedge = ReliefMap.of(face((x, y) -> x > 0 ? 0.5 * x : 0));
    assertThat(wedge.turnedOver().at(-15, 0)).isCloseTo(wedge.at(15, 0), within(1e-9));
    double[] far = {40, 60, -15, 15};
    assertThatThrownBy(() -> MatingPair.of(bowed, hollow, far))
        .isInstanceOfSatisfying(
            Problem.class, p -> assertThat(p.key()).isEqualTo("surface.overlap"));
  }

  private static Job bowedLid(double micrometres) {
    double k = micrometres / (2 * 15 * 15);
    Job job = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8");
    return job.withSurfaces(
        Surfaces.NONE.with(
            new Relief(
                Face.LID_TOP, "as it came", probe(15, 9, (x, y) -> k * (x * x + y * y)), 0)));
  }

  /**
   * Plane wall (Incropera &amp; DeWitt, 3.1): 100 W through 100 mm² meet 20 µm more of a filling of
   * 5 W/m·K, so every core is 100 · 20e-6 / (5 · 1e-4) = 4 K warmer, and 8 K with twice its
   * resistance.
   */
  @Test
  void aThickerJointCostsWhatThePlaneWallSays() {
    Patch square = new Patch(0, 0, 10, 10);
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, square, 600),
                StackLayer.joint("joint", 5, square, 40),
                StackLayer.solid("plate", 400, square, 3000)),
            List.of(HeatSource.steady("core 0", square, 100)),
            50_000,
            20);
    JointCost cost = new JointCost(stack, "joint", 1);
    double[] ends = {-5, 5};
    double thin = cost.with(even(ends, 40), 1, SolveWatch.NONE).meanCelsius();
    assertThat(cost.with(even(ends, 60), 1, SolveWatch.NONE).meanCelsius() - thin)
        .isCloseTo(4, within(1e-3));
    double twice = cost.with(even(ends, 40), 2, SolveWatch.NONE).meanCelsius();
    assertThat(cost.with(even(ends, 60), 2, SolveWatch.NONE).meanCelsius() - twice)
        .isCloseTo(8, within(1e-3));
    assertThat(twice - thin).isCloseTo(8, within(1e-3));
  }

  private static ThicknessMap even(double[] ends, double micrometres) {
    double[] row = {micrometres, micrometres};
    return new ThicknessMap.Grid(ends, ends, new double[][] {row, row});
  }

  /** Common practice: a lapped lid gains 2 to 3 K in ambient cooling, a flat one nothing. */
  @Test
  void lappingABowedLidGainsAFewKelvin() {
    Job job = bowedLid(60);
    LappingGain gain = LappingQuestion.gain(job, SolveWatch.NONE).orElseThrow();
    assertThat(gain.gain()).isBetween(0.5, 5.0);
    assertThat(gain.interval().contains(gain.gain())).isTrue();
    assertThat(gain.interval().width()).isGreaterThan(0.3);
    LappingGain flat = LappingQuestion.gain(bowedLid(12), SolveWatch.NONE).orElseThrow();
    assertThat(flat.gain()).isBetween(-0.05, 0.4);
    assertThat(
            flat.finding("top of the lid", 1, new Interval(20, 60, 0.95), false, Notation.METRIC)
                .sentence())
        .contains("not worth an evening");
    assertThat(
            gain.finding("top of the lid", 0.1, new Interval(20, 60, 0.95), false, Notation.METRIC)
                .sentence())
        .contains("worth doing")
        .contains("20 min to 1 h of strokes");
    assertThat(
            gain.finding(
                    "top of the lid",
                    gain.gain(),
                    new Interval(20, 60, 0.95),
                    false,
                    Notation.METRIC)
                .sentence())
        .contains("cannot tell");
    assertThat(LappingQuestion.plan(job).orElseThrow().steps()).isNotEmpty();
    // A convex lid touches where the die is, so that lapping it gains far less.
    LappingGain convex = LappingQuestion.gain(bowedLid(-60), SolveWatch.NONE).orElseThrow();
    assertThat(convex.gain()).isLessThan(0.5 * gain.gain());
  }

  @Test
  void everyFaceMeetsItsPartner() {
    Job job = bowedLid(20);
    assertThat(LappingQuestion.partner(job, Face.LID_TOP)).contains(Face.PLATE);
    assertThat(LappingQuestion.partner(job, Face.DIE)).contains(Face.LID_UNDERSIDE);
    assertThat(LappingQuestion.partner(job, Face.LAP)).isEmpty();
    for (Face face : Face.values()) {
      assertThat(LappingQuestion.outline(job, face).widthMillimetres()).isPositive();
      assertThat(LappingQuestion.thickness(job, face))
          .isGreaterThan(
              LappingQuestion.floor(
                  job, new LapTerms(face, false, null, null, null, null, null, null, null)));
    }
    assertThat(LapTerms.USUAL.target()).isEqualTo(10);
    assertThat(new LapTerms(Face.DIE, true, null, null, null, null, null, null, null).target())
        .isEqualTo(5);
  }
}
