package dev.ambershim.core.stage.lap;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.Grit;
import dev.ambershim.core.physics.surface.LapPass;
import dev.ambershim.core.physics.surface.LapTerms;
import dev.ambershim.core.physics.surface.ProbedPoint;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.physics.surface.Surfaces;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;

/**
 * A job's faces as questions: which joint, which partner, turned over or not, and what it gains.
 */
class LappingQuestionTest {
  private static List<ProbedPoint> hollow(Patch on, double micrometres, double slope) {
    List<ProbedPoint> points = new ArrayList<>();
    for (int j = 0; j < 7; j++) {
      for (int i = 0; i < 7; i++) {
        double u = i / 3.0 - 1;
        double v = j / 3.0 - 1;
        points.add(
            new ProbedPoint(
                on.xMillimetres() + u * on.widthMillimetres() / 2,
                on.yMillimetres() + v * on.depthMillimetres() / 2,
                micrometres * (u * u + v * v) / 2 + (u > 0 ? slope * u : 0)));
      }
    }
    return points;
  }

  private static Job job(StartingPoint point, boolean lidOn) {
    Job job = Job.from(point, "x");
    Build after =
        lidOn
            ? job.after()
            : new Build(false, 0, job.after().inner(), Joint.usual(Filling.LIQUID_METAL));
    return job.with(job.title(), "", job.cooler(), job.before(), after);
  }

  private static Job probed(Job job, Face face, double micrometres) {
    Surfaces surfaces =
        job.surfaces()
            .with(
                new Relief(face, "", hollow(LappingQuestion.outline(job, face), micrometres, 0), 0))
            .withTerms(LapTerms.USUAL.withFace(face));
    return job.withSurfaces(surfaces);
  }

  private static LappingGain gain(Job job) {
    return LappingQuestion.gain(job, SolveWatch.NONE).orElseThrow();
  }

  @Test
  void partnersFollowTheBuild() {
    Job lidded = job(StartingPoint.DESKTOP_ONE_DIE_PASTE, true);
    Job bare = job(StartingPoint.DESKTOP_ONE_DIE_PASTE, false);
    assertThat(LappingQuestion.partner(lidded, Face.PLATE)).contains(Face.LID_TOP);
    assertThat(LappingQuestion.partner(bare, Face.PLATE)).contains(Face.DIE);
    assertThat(LappingQuestion.partner(bare, Face.DIE)).contains(Face.PLATE);
    assertThat(LappingQuestion.partner(lidded, Face.LID_UNDERSIDE)).contains(Face.DIE);
    assertThat(LappingQuestion.partner(bare, Face.LID_TOP)).isEmpty();
    assertThat(LappingQuestion.partner(bare, Face.LID_UNDERSIDE)).isEmpty();
    assertThat(LappingQuestion.gain(probed(bare, Face.LID_TOP, 30), SolveWatch.NONE)).isEmpty();
    assertThat(LappingQuestion.gain(lidded, SolveWatch.NONE)).isEmpty();
    assertThat(LappingQuestion.plan(lidded)).isEmpty();
  }

  @Test
  void aDeeperHollowGainsMoreOnEveryFace() {
    for (Face face : List.of(Face.LID_TOP, Face.PLATE, Face.LID_UNDERSIDE)) {
      Job lidded = job(StartingPoint.DESKTOP_ONE_DIE_PASTE, true);
      double little = gain(probed(lidded, face, 25)).gain();
      double much = gain(probed(lidded, face, 70)).gain();
      assertThat(much).as(face.words()).isGreaterThan(little);
      assertThat(little).as(face.words()).isGreaterThan(-0.05);
    }
    Job bare = job(StartingPoint.DESKTOP_ONE_DIE_PASTE, false);
    double die = gain(probed(bare, Face.DIE, 60)).gain();
    assertThat(die).isGreaterThan(gain(probed(bare, Face.DIE, 20)).gain());
    assertThat(LappingQuestion.plan(probed(bare, Face.DIE, 60)).orElseThrow().terms().plating())
        .isZero();
  }

  /** More heat, more gain, in proportion: conduction is linear. */
  @Test
  void theGainGoesWithTheHeat() {
    Job job = probed(job(StartingPoint.DESKTOP_ONE_DIE_PASTE, true), Face.LID_TOP, 60);
    double gain = gain(job).gain();
    Job hotter = job.withHeatWatts(2 * job.heatWatts());
    assertThat(gain(hotter).gain()).isCloseTo(2 * gain, within(0.01 * gain));
    LappingGain known = gain(job);
    assertThat(known.interval().low()).isLessThan(known.gain());
    assertThat(known.interval().high()).isGreaterThan(known.gain());
    assertThat(LapWords.spread(known, Notation.METRIC)).startsWith("Core spread");
  }

  /**
   * A ridge right of the middle of the plate's face lies left once it is mounted: with one right of
   * the lid's middle it bears the plate level; on the same side both make one high ridge.
   */
  @Test
  void thePlateIsTurnedOverBeforeItMeetsTheLid() {
    Job job = job(StartingPoint.DESKTOP_ONE_DIE_PASTE, true);
    Relief lid = new Relief(Face.LID_TOP, "", ridge(), 0);
    Job apart =
        job.withSurfaces(Surfaces.NONE.with(lid).with(new Relief(Face.PLATE, "", ridge(), 0)));
    Job together =
        job.withSurfaces(
            Surfaces.NONE.with(lid).with(new Relief(Face.PLATE, "", turned(ridge()), 0)));
    double level = gain(apart).pair().widestMicrometres();
    assertThat(gain(together).pair().widestMicrometres()).isGreaterThan(1.4 * level);
  }

  private static List<ProbedPoint> ridge() {
    List<ProbedPoint> points = new ArrayList<>();
    for (double x = -22; x <= 22; x += 2) {
      for (double y = -22; y <= 22; y += 11) {
        points.add(new ProbedPoint(x, y, 25 * Math.exp(-(x - 10) * (x - 10) / 8)));
      }
    }
    return points;
  }

  private static List<ProbedPoint> turned(List<ProbedPoint> points) {
    return points.stream()
        .map(p -> new ProbedPoint(-p.xMillimetres(), p.yMillimetres(), p.micrometres()))
        .toList();
  }

  /** Dies of different height keep their difference under the joint's shape. */
  @Test
  void unequalDiesStayUnequal() {
    Job level = job(StartingPoint.DESKTOP_CHIPLETS_SOLDER, false);
    Chip chip = level.chip();
    Die first = chip.dies().get(0);
    Job unequal =
        level.withChip(
            chip.withDie(0, first.withHeightMicrometres(first.heightMicrometres() - 60)));
    double even = gain(probed(level, Face.PLATE, 20)).asItIs().meanCelsius();
    double odd = gain(probed(unequal, Face.PLATE, 20)).asItIs().meanCelsius();
    assertThat(odd).isGreaterThan(even + 0.5);
  }

  @Test
  void facesThatWereProbedTooNarrowlyAreRefused() {
    Job job = job(StartingPoint.DESKTOP_ONE_DIE_PASTE, true);
    Job narrow =
        job.withSurfaces(
            Surfaces.NONE.with(
                new Relief(Face.LID_TOP, "", hollow(new Patch(-8, 0, 8, 8), 30, 0), 0)));
    assertThatThrownBy(() -> gain(narrow))
        .isInstanceOfSatisfying(
            Problem.class,
            p -> {
              assertThat(p.key()).isEqualTo("surface.overlap");
              assertThat(p.remedy()).contains("near their edges");
            });
  }

  /** A pass without a micrometer reading is told from the faces probed before and after it. */
  @Test
  void aPassIsMeasuredByTheReliefsAroundIt() {
    Job job = job(StartingPoint.DESKTOP_ONE_DIE_PASTE, true);
    Patch lid = LappingQuestion.outline(job, Face.LID_TOP);
    List<ProbedPoint> before = hollow(lid, 60, 0);
    List<ProbedPoint> after =
        before.stream()
            .map(
                p ->
                    new ProbedPoint(
                        p.xMillimetres(), p.yMillimetres(), Math.min(35, p.micrometres())))
            .toList();
    LapPass pass = new LapPass(Face.LID_TOP, Grit.P400, 300, 10, 100, null, "");
    Surfaces one = Surfaces.NONE.with(new Relief(Face.LID_TOP, "", before, 0)).with(pass);
    Job unmeasured = job.withSurfaces(one);
    assertThat(LappingQuestion.measured(unmeasured, Face.LID_TOP)).containsExactly(pass);
    assertThat(LappingQuestion.plan(unmeasured).orElseThrow().measured()).isZero();
    Job probedAgain = job.withSurfaces(one.with(new Relief(Face.LID_TOP, "", after, 1)));
    LapPass told = LappingQuestion.measured(probedAgain, Face.LID_TOP).get(0);
    // Mean of what stood above 35 µm, by midpoints of 200 by 200 cells of the bowl itself.
    double sum = 0;
    for (int i = 0; i < 200; i++) {
      for (int j = 0; j < 200; j++) {
        double u = (i + 0.5) / 100 - 1;
        double v = (j + 0.5) / 100 - 1;
        sum += Math.max(0, 30 * (u * u + v * v) - 35);
      }
    }
    double mean = sum / 40_000;
    assertThat(told.removedMicrometres()).isCloseTo(mean, within(0.2 * mean));
    assertThat(LappingQuestion.plan(probedAgain).orElseThrow().measured()).isEqualTo(1);
    // A micrometer's reading goes before it.
    Job both =
        job.withSurfaces(
            Surfaces.NONE
                .with(new Relief(Face.LID_TOP, "", before, 0))
                .with(pass.removing(7))
                .with(new Relief(Face.LID_TOP, "", after, 1)));
    assertThat(LappingQuestion.measured(both, Face.LID_TOP).get(0).removedMicrometres())
        .isEqualTo(7);
    assertThat(LappingQuestion.measured(both, Face.PLATE)).isEmpty();
  }

  @Test
  void itStopsWhenAsked() {
    Job job = probed(job(StartingPoint.DESKTOP_ONE_DIE_PASTE, true), Face.LID_TOP, 60);
    assertThatThrownBy(() -> LappingQuestion.gain(job, new SolveWatch(s -> {}, () -> true)))
        .isInstanceOf(CancellationException.class);
  }
}
