package dev.ambershim.logbook.report;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.Flaw;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.StepEntry;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.stage.clean.CleanAnswer;
import dev.ambershim.logbook.photo.Photos;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;

/** What was done at the bench, as a part of the report: steps, times, evidence, mishaps, photos. */
final class Diary {
  private static final int PHOTO_PIXELS = 900;
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm", Locale.ROOT);

  private Diary() {}

  /**
   * The diary of a job.
   *
   * @param photos gives a photo's bytes, if it is there
   */
  static List<Block> of(
      Job job, Notation notation, ZoneId zone, Function<Photo, Optional<byte[]>> photos) {
    WorkLog log = job.work();
    List<StepEntry> entries =
        log.entries().stream()
            .filter(e -> e.begunAt() != null)
            .sorted(Comparator.comparing(StepEntry::begunAt))
            .toList();
    List<Block> blocks = new ArrayList<>();
    if (entries.isEmpty()) {
      return blocks;
    }
    Plan plan = Plan.of(job.workCase(), notation);
    blocks.add(new Block.Heading("Diary of the work"));
    blocks.add(
        new Block.Paragraph(
            log.done().size()
                + " of "
                + plan.steps().size()
                + " steps done, as planned: "
                + plan.work().words()
                + "."));
    List<List<String>> rows = new ArrayList<>();
    rows.add(List.of("Step", "Begun", "Minutes", "Check"));
    List<String> remarks = new ArrayList<>();
    for (StepEntry entry : entries) {
      String title = plan.step(entry.id()).map(PlanStep::title).orElse(entry.id());
      rows.add(List.of(title, at(entry.begunAt(), zone), minutes(entry), check(entry)));
      remarks(remarks, entry, title);
    }
    blocks.add(new Block.Table(rows));
    if (!remarks.isEmpty()) {
      blocks.add(new Block.Points(remarks));
    }
    flaws(blocks, job);
    for (StepEntry entry : entries) {
      String title = plan.step(entry.id()).map(PlanStep::title).orElse(entry.id());
      for (Photo photo : entry.photos()) {
        photos
            .apply(photo)
            .flatMap(bytes -> small(photo, bytes))
            .ifPresent(png -> blocks.add(new Block.Photo(png, title + ": " + photo.name() + ".")));
      }
    }
    return blocks;
  }

  /** A photo small enough for a page; empty if it cannot be drawn. */
  static Optional<byte[]> small(Photo photo, byte[] bytes) {
    try {
      return Optional.of(Photos.scaled(photo.name(), bytes, PHOTO_PIXELS));
    } catch (Problem unreadable) {
      return Optional.empty(); // the report goes without a photo that cannot be drawn
    }
  }

  private static void remarks(List<String> remarks, StepEntry entry, String title) {
    if (!entry.overridden().isEmpty()) {
      remarks.add(title + ": passed without its check, because: " + entry.overridden());
    }
    if (!entry.note().isEmpty()) {
      remarks.add(title + ": " + entry.note());
    }
    if (entry.mishap() != null) {
      remarks.add(
          title
              + ", mishap ("
              + entry.mishap().harm().words()
              + "): "
              + entry.mishap().what()
              + (entry.mishap().lesson().isEmpty() ? "" : " Lesson: " + entry.mishap().lesson()));
    }
  }

  private static void flaws(List<Block> blocks, Job job) {
    List<Flaw> flaws = job.work().flaws();
    if (flaws.isEmpty()) {
      return;
    }
    blocks.addAll(Chapter.of(CleanAnswer.of(job)));
  }

  private static String check(StepEntry entry) {
    if (!entry.overridden().isEmpty()) {
      return "passed without";
    }
    List<String> all = new ArrayList<>();
    if (!entry.reading().isEmpty()) {
      all.add(entry.reading());
    }
    if (!entry.initials().isEmpty()) {
      all.add(entry.initials());
    }
    if (!entry.photos().isEmpty()) {
      all.add(entry.photos().size() == 1 ? "1 photo" : entry.photos().size() + " photos");
    }
    return all.isEmpty() ? (entry.done() ? "done" : "open") : String.join(", ", all);
  }

  private static String at(Instant when, ZoneId zone) {
    return TIME.format(when.atZone(zone));
  }

  private static String minutes(StepEntry entry) {
    return entry.done()
        ? String.valueOf(
            Math.max(
                1,
                Math.round(Duration.between(entry.begunAt(), entry.doneAt()).toSeconds() / 60.0)))
        : "–";
  }
}
