package dev.ambershim.core.stage.keep;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Care;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Tone;
import dev.ambershim.core.runs.drift.Drift;
import dev.ambershim.core.runs.drift.Trend;
import dev.ambershim.core.stage.Assessment;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * One chip among all of a logbook: what it does, its course as a small line, when a check is due.
 *
 * @param sentence what Keep says; empty while there is no check
 * @param care its checks
 * @param due the next check, if there is one to count from
 * @param aged how its joints aged, where its checks tell
 * @param gain what the work gained, and what is left of it; empty where the runs tell none
 */
public record ChipLine(
    Optional<String> sentence,
    Care care,
    Optional<LocalDate> due,
    List<OwnAgeing.Seen> aged,
    Optional<String> gain) {
  private static final double EDGE = 3;

  /** Copies its list. */
  public ChipLine {
    aged = List.copyOf(aged);
  }

  /** A job's line. */
  public static ChipLine of(Assessment assessment, Notation notation) {
    Job job = assessment.job();
    KeepAnswer kept = KeepAnswer.of(job, notation);
    return new ChipLine(
        kept.course().map(CourseAnswer::sentence),
        job.care(),
        KeepAnswer.due(job.care()),
        OwnAgeing.of(job),
        gain(assessment, kept.course().map(CourseAnswer::drift), notation));
  }

  private static Optional<String> gain(
      Assessment assessment, Optional<Drift> drift, Notation notation) {
    return assessment
        .comparison()
        .filter(c -> c.inRise() && c.interval().filter(i -> i.high() < 0).isPresent())
        .map(
            c -> {
              String then = notation.text(-c.changeKelvin(), Unit.KELVIN) + " gained";
              return switch (drift.map(Drift::trend).orElse(Trend.CANNOT_TELL)) {
                case STEADY -> then + ", and kept";
                case CREEPING, JUMPED ->
                    then
                        + "; now "
                        + notation.text(
                            -c.changeKelvin() - drift.orElseThrow().grown(), Unit.KELVIN);
                case CANNOT_TELL -> then;
              };
            });
  }

  /** When its check is due, in words for a day; empty while there is none to count from. */
  public String dueOn(LocalDate today) {
    return due.map(d -> (late(today) ? "check due since " : "next check ") + Notation.date(d))
        .orElse("");
  }

  /** Whether its check is late on a day. */
  public boolean late(LocalDate today) {
    return due.filter(d -> d.isBefore(today)).isPresent();
  }

  /** Its resistance, check by check, from the first to the last. */
  public Picture course(double width, double height) {
    Picture.Pen pen = new Picture.Pen();
    List<KeptCheck> checks = care.checks();
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (KeptCheck c : checks) {
      least = Math.min(least, c.riseKelvin() / c.watts());
      most = Math.max(most, c.riseKelvin() / c.watts());
    }
    // A course that moves by less than this share is drawn as flat as it is.
    double span = Math.max(most - least, 0.1 * most);
    double middle = (most + least) / 2;
    double[] xs = new double[checks.size()];
    double[] ys = new double[checks.size()];
    for (int i = 0; i < xs.length; i++) {
      KeptCheck c = checks.get(i);
      double first = checks.get(0).date().toEpochDay();
      double last = checks.get(xs.length - 1).date().toEpochDay();
      double along = last > first ? (c.date().toEpochDay() - first) / (last - first) : 0.5;
      xs[i] = EDGE + along * (width - 2 * EDGE);
      ys[i] = height / 2 - (c.riseKelvin() / c.watts() - middle) / span * (height - 2 * EDGE);
    }
    if (xs.length > 1) {
      pen.trace(xs, ys, Tone.AFTER, 1.5);
    }
    if (xs.length > 0) {
      int last = xs.length - 1;
      pen.box(xs[last] - 2, ys[last] - 2, 4, 4, Tone.AMBER, "");
    }
    return pen.picture(width, height, sentence.orElse("No check yet."));
  }
}
