package dev.ambershim.desktop.stage.keep;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.CareEvent;
import dev.ambershim.core.job.Found;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.job.OwnJoint;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.keep.CheckReading;
import dev.ambershim.core.stage.keep.KeepAnswer;
import dev.ambershim.core.stage.keep.OwnAgeing;
import dev.ambershim.desktop.model.AwaitedRun;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.StageWork;
import dev.ambershim.logbook.formats.KeepCalendar;
import dev.ambershim.logbook.report.Certificate;
import dev.ambershim.logbook.report.ReportFiles;
import dev.ambershim.logbook.store.LogFiles;
import dev.ambershim.logbook.store.WholeFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import javafx.beans.property.ReadOnlyObjectProperty;

/** What Keep says, and how checks come into the job. */
final class KeepModel {
  private final JobModel shell;
  private final StageWork<KeepAnswer> work;
  private final AwaitedRun awaited;

  /** A model over the shell's job. */
  KeepModel(JobModel shell) {
    this.shell = shell;
    work =
        new StageWork<>(
            shell,
            Stage.KEEP,
            "the course",
            job -> {
              Notation notation = shell.notationProperty().get();
              return watch -> KeepAnswer.of(job, notation);
            });
    awaited = new AwaitedRun(shell, this::takeRun);
    shell.effects().answering(Stage.KEEP, (job, notation, watch) -> KeepAnswer.of(job, notation));
    work.outdated();
  }

  /** The newest answer; null until there is one. */
  ReadOnlyObjectProperty<KeepAnswer> shownProperty() {
    return work.shownProperty();
  }

  /** Runs that were just conducted become checks, apart from the proof of the work. */
  void coming(int runs) {
    awaited.coming(runs);
  }

  /**
   * Reads a run as a check, which takes a second where it fits the chip's response, and keeps it.
   */
  private void takeRun(RunResult run) {
    LocalDate today = today();
    String id = shell.storedProperty().get().id();
    double typed = shell.jobProperty().get().typedRoomKelvin();
    shell
        .work()
        .submit(
            "reading the check",
            progress ->
                run.analysis()
                    .filter(a -> a.unfit().isEmpty() && a.hasRoom() && a.powerWatts() > 0)
                    .map(a -> CheckReading.of(run.log(), a, typed, today)),
            check -> {
              if (shell.storedProperty().get() != null
                  && shell.storedProperty().get().id().equals(id)) {
                keep(run, check, today);
              }
            });
  }

  private void keep(RunResult run, Optional<KeptCheck> check, LocalDate today) {
    shell.edit(
        "check of " + today,
        job -> {
          Job apart = job.withRun(run.index(), run.entry().inState("check of " + today));
          return check.map(c -> apart.withCare(apart.care().with(c))).orElse(apart);
        });
    shell.stageProperty().set(Stage.KEEP);
  }

  /** Takes logs as checks, each with its own day. */
  void take(Path file, OptionalDouble room) {
    Job job = shell.jobProperty().get();
    if (job == null || shell.readOnly()) {
      return;
    }
    String name = file.getFileName().toString();
    String id = shell.storedProperty().get().id();
    double typed = job.typedRoomKelvin();
    shell
        .work()
        .submit(
            "reading " + name,
            progress ->
                CheckReading.of(shell.traffic().log(file, progress), room, typed, day(file)),
            check -> {
              if (shell.storedProperty().get() != null
                  && shell.storedProperty().get().id().equals(id)) {
                add(check);
                shell.say(
                    name
                        + ": a check of "
                        + Notation.date(check.date())
                        + " from "
                        + check.from().words()
                        + ".");
              }
            });
  }

  /** The day in the log's first lines, else the file's own. */
  private static LocalDate day(Path file) throws IOException {
    return CheckReading.day(LogFiles.head(file))
        .orElse(
            LocalDate.ofInstant(
                Files.getLastModifiedTime(file).toInstant(), ZoneId.systemDefault()));
  }

  /** Writes the next check and the next opening as a calendar. */
  void writeReminders(Path target) {
    KeepAnswer now = shownProperty().get();
    String id = shell.storedProperty().get().id();
    String title = shell.jobProperty().get().title();
    Instant written = shell.workbench().now();
    shell
        .traffic()
        .write(
            "reminders",
            target,
            () -> WholeFile.write(target, KeepCalendar.of(now, id, title, written)));
  }

  /** Writes the certificate for a sale, as PDF or HTML by the file's ending. */
  void writeCertificate(Path target) {
    Assessment now = shell.assessmentProperty().get();
    Notation writing = shell.notationProperty().get();
    String day = Notation.date(today());
    shell
        .traffic()
        .write(
            "certificate",
            target,
            () ->
                ReportFiles.write(
                    Certificate.of(now, shell.traffic()::photo, writing, day), target));
  }

  LocalDate today() {
    return LocalDate.ofInstant(shell.workbench().now(), ZoneId.systemDefault());
  }

  void add(KeptCheck check) {
    KeptCheck sound = check.checked();
    shell.edit("check of " + sound.date(), job -> job.withCare(job.care().with(sound)));
  }

  /** The person's own joints of this job's filling on other chips. */
  List<OwnJoint> ownJoints() {
    Job job = shell.jobProperty().get();
    return job == null || shell.storedProperty().get() == null
        ? List.of()
        : OwnAgeing.like(job, shell.chips().agedBut(shell.storedProperty().get().id()));
  }

  /** Reckons with own joints from here on, or without them. */
  void reckonWith(List<OwnJoint> own) {
    shell.edit(
        own.isEmpty() ? "without own joints" : "with own joints: " + own.size(),
        job -> job.withCare(job.care().withOwnJoints(own)));
  }

  void removeCheck(int index) {
    shell.edit("check taken out", job -> job.withCare(job.care().withoutCheck(index)));
  }

  void add(CareEvent event) {
    shell.edit(event.kind().words(), job -> job.withCare(job.care().with(event)));
  }

  void add(Found found) {
    shell.edit("opening of " + found.date(), job -> job.withCare(job.care().with(found)));
  }

  void removeFound(int index) {
    shell.edit("opening taken out", job -> job.withCare(job.care().withoutFound(index)));
  }

  void removeEvent(int index) {
    shell.edit("event taken out", job -> job.withCare(job.care().withoutEvent(index)));
  }
}
