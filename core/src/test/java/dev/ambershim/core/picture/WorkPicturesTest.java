package dev.ambershim.core.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.WorkWays;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.Flaw;
import dev.ambershim.core.plan.Flaw.Face;
import dev.ambershim.core.plan.Flaw.Kind;
import dev.ambershim.core.plan.Phase;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.Sketch;
import dev.ambershim.core.plan.Way;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.stage.clean.CleanAnswer;
import dev.ambershim.core.stage.clean.FacesPicture;
import dev.ambershim.core.stage.open.SchedulePicture;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The section on the bench, the pictures at a step, the course of the hours. */
class WorkPicturesTest {
  private static final Job JOB = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sedge Q4");
  private static final Plan PLAN = Plan.of(JOB.workCase());

  private static List<Mark.Box> boxes(Picture picture, Tone tone) {
    return picture.marks().stream()
        .filter(m -> m instanceof Mark.Box b && b.fill() == tone)
        .map(m -> (Mark.Box) m)
        .toList();
  }

  /** The section once all steps up to one are done. */
  private static Picture after(String id) {
    Set<String> done = new HashSet<>();
    for (PlanStep step : PLAN.steps()) {
      done.add(step.id());
      if (step.id().equals(id)) {
        break;
      }
    }
    return SectionPicture.onBench(
        JOB.chip(), JOB.cooler(), JOB.before(), PLAN.state(done), Notation.METRIC, 380, 320);
  }

  private static boolean lid(Picture picture) {
    return picture.marks().stream()
        .anyMatch(m -> m instanceof Mark.Box b && b.part().equals(Part.LID) && b.height() > 8);
  }

  @Test
  void theSectionShowsWhatLiesOnTheBench() {
    Picture closed = after("top-clean");
    assertThat(lid(closed)).isTrue();
    assertThat(closed.marks())
        .noneMatch(m -> m instanceof Mark.Box b && b.part().equals(Part.PLATE));
    Picture open = after("open-look");
    assertThat(lid(open)).isFalse();
    assertThat(boxes(open, Tone.GLUE)).as("sealant where the rim stood").hasSize(2);
    assertThat(boxes(open, Tone.PASTE)).as("paste on the die").hasSize(1);
    assertThat(open.description()).contains("lid off, old filling still on, sealant still on");
    Picture clean = after("look-chip");
    assertThat(boxes(clean, Tone.GLUE)).isEmpty();
    assertThat(boxes(clean, Tone.PASTE)).isEmpty();
    assertThat(boxes(after("mask"), Tone.COVER)).hasSize(1);
    assertThat(boxes(after("cover-again"), Tone.COVER)).as("mask and two sides").hasSize(3);
    assertThat(boxes(after("cover-look"), Tone.COVER)).hasSize(2);
    assertThat(boxes(after("film-look"), Tone.GALLIUM)).hasSize(1);
    // The die stays where it is through all of it.
    assertThat(boxes(open, Tone.SILICON).get(0).y())
        .isCloseTo(boxes(closed, Tone.SILICON).get(0).y(), within(1e-9));
  }

  @Test
  void everySketchIsDrawnInsideItsFrameWithItsWords() {
    for (Sketch sketch : Sketch.values()) {
      for (Way way : List.of(Way.SEAL_AROUND, Way.SEAL_CORNERS, Way.CROSS, Way.FIVE_DOTS)) {
        for (StartingPoint point : StartingPoint.values()) {
          Job job = WorkWays.take(Job.from(point, "x"), way);
          Picture picture = StepPicture.of(sketch, job.workCase(), 420, 380);
          assertThat(picture.description()).as(sketch.name()).isNotBlank();
          for (Mark mark : picture.marks()) {
            if (mark instanceof Mark.Box b) {
              assertThat(b.x()).as(sketch.name()).isBetween(0.0, 420.0);
              assertThat(b.y()).isBetween(-0.01, 380.0);
              assertThat(b.x() + b.width()).isLessThanOrEqualTo(420.01);
              assertThat(b.y() + b.height()).isLessThanOrEqualTo(380.01);
            }
          }
        }
      }
    }
  }

  @Test
  void theFilmStaysHalfAMillimetreOffTheEdge() {
    Picture film = StepPicture.of(Sketch.FILM, JOB.workCase(), 420, 380);
    Mark.Box die = boxes(film, Tone.SILICON).get(0);
    Mark.Box metal = boxes(film, Tone.GALLIUM).get(0);
    double perMillimetre = die.width() / JOB.chip().dies().get(0).widthMillimetres();
    assertThat((metal.x() - die.x()) / perMillimetre).isCloseTo(0.5, within(1e-9));
    assertThat((metal.y() - die.y()) / perMillimetre).isCloseTo(0.5, within(1e-9));
  }

  @Test
  void theHoursHaveABarForEveryStepInOrder() {
    Schedule schedule =
        Schedule.of(PLAN, JOB.work(), Instant.parse("2026-06-15T12:00:00Z"), ZoneOffset.UTC)
            .orElseThrow();
    double height = SchedulePicture.height(schedule);
    Picture picture = SchedulePicture.of(schedule, Notation.METRIC, ZoneOffset.UTC, 700, height);
    double last = 0;
    for (Schedule.Slot slot : schedule.slots()) {
      Mark.Box bar =
          picture.marks().stream()
              .filter(
                  m ->
                      m instanceof Mark.Box b
                          && b.part().equals(slot.step().id())
                          && (b.fill() == Tone.AMBER || b.fill() == Tone.AFTER))
              .map(m -> (Mark.Box) m)
              .findFirst()
              .orElseThrow();
      assertThat(bar.x()).as(slot.step().id()).isGreaterThanOrEqualTo(last - 2.01);
      assertThat(bar.x() + bar.width()).isLessThanOrEqualTo(700);
      last = bar.x() + bar.width();
    }
    // The night's cure is cut out, and the cut says how long it is.
    assertThat(boxes(picture, Tone.GAP)).isNotEmpty();
    assertThat(picture.marks())
        .anyMatch(m -> m instanceof Mark.Words w && w.text().matches("\\d+ h( \\d+ min)?"))
        .anyMatch(m -> m instanceof Mark.Words w && w.text().equals("12:00"))
        .anyMatch(
            m -> m instanceof Mark.Words w && w.text().startsWith("by likely times Tue 16 June"));
    assertThat(picture.description())
        .startsWith("Schedule of " + PLAN.steps().size() + " steps")
        .contains("Clean " + PLAN.steps(Phase.CLEAN).size() + ",");
  }

  @Test
  void everyFaceHasItsWorstInWordsAndLength() {
    CleanAnswer verdict =
        CleanAnswer.of(
            List.of(
                new Flaw(Face.DIE, Kind.SCRATCH, false, ""),
                new Flaw(Face.DIE, Kind.CRACK, false, ""),
                new Flaw(Face.PLATE, Kind.CRUST, false, ""),
                new Flaw(Face.LID_TOP, Kind.STAIN, false, "")),
            true,
            false);
    Picture picture = FacesPicture.of(verdict, 640, FacesPicture.HEIGHT);
    assertThat(picture.description())
        .isEqualTo("Faces: die: do not use it, lid, top: use it, cold plate: mend it first.");
    List<Mark.Box> no = boxes(picture, Tone.ALARM);
    List<Mark.Box> mend = boxes(picture, Tone.AMBER);
    List<Mark.Box> yes = boxes(picture, Tone.AFTER);
    assertThat(no).hasSize(1);
    assertThat(no.get(0).width()).isGreaterThan(mend.get(0).width());
    assertThat(mend.get(0).width()).isGreaterThan(yes.get(0).width());
    assertThat(picture.marks())
        .filteredOn(m -> m instanceof Mark.Words w && w.text().equals("nothing noted"))
        .hasSize(Face.values().length - 3);
    assertThat(FacesPicture.of(CleanAnswer.of(List.of(), true, false), 640, 200).description())
        .isEqualTo("No flaw noted on any face.");
  }

  @Test
  void aScheduleOfOneStepIsDrawnToo() {
    Set<String> done = new HashSet<>();
    PLAN.steps().stream().skip(1).forEach(s -> done.add(s.id()));
    Instant now = Instant.parse("2026-06-15T12:00:00Z");
    WorkLog log = WorkLog.EMPTY;
    for (String id : done) {
      log = log.done(id, now, List.of());
    }
    Schedule schedule = Schedule.of(PLAN, log, now, ZoneOffset.UTC).orElseThrow();
    Picture picture =
        SchedulePicture.of(
            schedule, Notation.METRIC, ZoneOffset.UTC, 600, SchedulePicture.height(schedule));
    assertThat(picture.description()).startsWith("Schedule of 1 steps");
    for (Mark mark : picture.marks()) {
      if (mark instanceof Mark.Box b) {
        assertThat(b.width()).isPositive();
        assertThat(Double.isFinite(b.x() + b.width())).isTrue();
      }
    }
  }
}
