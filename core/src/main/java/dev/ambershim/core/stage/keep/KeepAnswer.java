package dev.ambershim.core.stage.keep;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Care;
import dev.ambershim.core.job.CareEvent;
import dev.ambershim.core.job.CareFigures;
import dev.ambershim.core.job.Found;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.physics.ageing.Ageing;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.runs.drift.Drift;
import dev.ambershim.core.runs.drift.Line;
import dev.ambershim.core.runs.drift.Scatter;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import dev.ambershim.core.stage.diagnosis.InUse;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * Whether a job's chip ages, and when it is opened again.
 *
 * @param care its checks and events
 * @param course what the checks say; empty while there is none
 * @param schools ways to decide, with what they cost and gain; none while there is no course
 * @param reasons why, and what to do
 * @param notes what else is to be known, the schools among it
 * @param notation how figures are written
 */
public record KeepAnswer(
    Care care,
    Optional<CourseAnswer> course,
    List<School> schools,
    List<String> reasons,
    List<String> notes,
    Notation notation)
    implements StageAnswer {
  private static final double PICTURE_HEIGHT = 300;

  /** Copies its lists. */
  public KeepAnswer {
    schools = List.copyOf(schools);
    reasons = List.copyOf(reasons);
    notes = List.copyOf(notes);
  }

  /** The answer of a job. */
  public static KeepAnswer of(Job job, Notation notation) {
    Care care = job.care();
    if (care.checks().isEmpty()) {
      return new KeepAnswer(care, Optional.empty(), List.of(), List.of(), found(job), notation);
    }
    CourseAnswer course = CourseAnswer.of(given(job), notation);
    List<String> reasons = new ArrayList<>();
    partThatCreeps(job, course.drift()).ifPresent(reasons::add);
    reasons.addAll(course.reasons());
    List<String> notes = new ArrayList<>(course.notes());
    LocalDate due = due(care).orElseThrow();
    notes.add("The next check is due on " + Notation.date(due) + ".");
    List<School> schools =
        course.ahead().isEmpty()
            ? List.of()
            : School.of(job, course.ahead().orElseThrow(), course.drift().last(), course.reopen());
    OwnAgeing.reckonedWith(job).ifPresent(notes::add);
    schools.forEach(s -> notes.add(s.sentence(notation)));
    notes.addAll(found(job));
    return new KeepAnswer(care, Optional.of(course), schools, reasons, notes, notation);
  }

  /** What openings found, the newest first, with what to do about the newest. */
  private static List<String> found(Job job) {
    Care care = job.care();
    List<String> notes = new ArrayList<>();
    for (int i = care.found().size() - 1; i >= 0; i--) {
      Found found = care.found().get(i);
      notes.add(KeepWords.found(found, care.madeBefore(found), OwnAgeing.joint(job, "")));
      if (notes.size() == 1) {
        KeepWords.verdict(found).ifPresent(notes::add);
      }
    }
    return notes;
  }

  /** When the next check is due; empty while there is none to count from. */
  public static Optional<LocalDate> due(Care care) {
    return care.checks().stream()
        .map(KeptCheck::date)
        .reduce((a, b) -> b)
        .map(d -> d.plusDays(Math.round(care.checkMonths() * 365.25 / 12)));
  }

  private static KeepCase given(Job job) {
    Ageing usual = OwnAgeing.expected(job);
    return new KeepCase(
        job.care().checks().stream().map(KeptCheck::whole).toList(),
        OptionalDouble.of(job.heatWatts()),
        Optional.of(limit(job)),
        new Scatter(Scatter.USUAL.checkKelvin(), job.remountKelvin()),
        Optional.of(new KeepCase.Expected(usual.sharePerYear(), usual.deviation())));
  }

  private static Limit limit(Job job) {
    Care care = job.care();
    Cooler cooler = job.cooler();
    // Fans blow over fins or a radiator; what lies between plate and coolant is not theirs.
    double fanned =
        cooler.kind() == CoolerClass.COLD_POT
            ? 0
            : cooler.coolantShare() > 0 ? cooler.coolantShare() : 1;
    return new Limit(
        CareFigures.limitCelsius(job),
        Room.USUAL_CELSIUS,
        care.clockLossPercent() == null ? 0 : care.clockLossPercent(),
        care.louderDecibels() == null ? 0 : care.louderDecibels(),
        job.heatWatts() * fanned * cooler.resistanceKelvinPerWatt());
  }

  /**
   * Whether the cooler or what lies under it creeps, where the coolant or the quick part was read.
   */
  private static Optional<String> partThatCreeps(Job job, Drift whole) {
    return InUse.of(job)
        .sign(whole)
        .map(
            sign ->
                switch (sign) {
                  case COOLANT_ROSE ->
                      "The coolant gets warmer over the room, not the cores over the coolant: look"
                          + " at fans and fins.";
                  case OVER_COOLANT_ROSE ->
                      "The cores get hotter over the coolant, not the coolant over the room: a joint"
                          + " or the pump.";
                  case SLOW_ROSE ->
                      "The slow part of the rise grows, not the part within seconds of the load: look"
                          + " at fans, fins and coolant.";
                  case QUICK_ROSE ->
                      "The part of the rise within seconds of the load grows, not the slow part: a"
                          + " joint, or the pump.";
                  default -> "";
                })
        .filter(words -> !words.isEmpty());
  }

  @Override
  public Stage stage() {
    return Stage.KEEP;
  }

  @Override
  public String sentence() {
    return course
        .map(CourseAnswer::sentence)
        .orElse(
            "There is no check yet. Add a log of ordinary use or of a steady load, and another every"
                + " few months.");
  }

  @Override
  public Optional<Finding> finding() {
    return course.map(CourseAnswer::told);
  }

  @Override
  public List<Drawing> pictures() {
    return course
        .map(
            c ->
                List.of(
                    new Drawing(
                        "course",
                        "Rise of the cores at your heaviest load, check by check",
                        PICTURE_HEIGHT,
                        (w, h) -> CoursePicture.of(c, care.events(), notation, w, h))))
        .orElse(List.of());
  }

  /** What happened, the newest first. */
  public List<CareEvent> events() {
    List<CareEvent> newest = new ArrayList<>(care.events());
    Collections.reverse(newest);
    return newest;
  }

  /** The drift ahead, if there is one. */
  public Optional<Line> ahead() {
    return course.flatMap(CourseAnswer::ahead);
  }
}
