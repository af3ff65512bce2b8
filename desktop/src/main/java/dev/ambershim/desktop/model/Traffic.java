package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.JobMerge;
import dev.ambershim.core.job.RungEntry;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.keep.OwnAgeing;
import dev.ambershim.core.stage.series.Series;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.logbook.bundle.JobBundle;
import dev.ambershim.logbook.formats.RungCsv;
import dev.ambershim.logbook.report.Certificate;
import dev.ambershim.logbook.report.Printers;
import dev.ambershim.logbook.report.ReportFiles;
import dev.ambershim.logbook.store.LeftRuns;
import dev.ambershim.logbook.store.LogFiles;
import dev.ambershim.logbook.store.SeriesBook;
import dev.ambershim.logbook.store.ShapeRoles;
import dev.ambershim.logbook.store.Shelf;
import dev.ambershim.logbook.store.StoredJob;
import dev.ambershim.logbook.store.WholeFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.DoubleConsumer;

/** What goes out of the logbook as files, and what comes in as bundles; all on the line of work. */
public final class Traffic {
  private final JobModel model;

  Traffic(JobModel model) {
    this.model = model;
  }

  /** Writes the report, as PDF or HTML by the file's ending. */
  public void writeReport(Path target) {
    Assessment now = model.assessmentProperty().get();
    Notation writing = model.notationProperty().get();
    String today = LocalDate.now(ZoneId.systemDefault()).toString();
    Optional<Weighing> weighed = Optional.ofNullable(model.weighingProperty().get());
    write(
        "report",
        target,
        () -> ReportFiles.write(now, weighed, this::photo, writing, today, target));
  }

  /** What can be printed of a job. */
  public enum Paper {
    REPORT("the report"),
    CERTIFICATE("the certificate");

    private final String words;

    Paper(String words) {
      this.words = words;
    }

    /** It in words. */
    public String words() {
      return words;
    }
  }

  /** Finds the printers of this machine. */
  public void printers(Consumer<List<String>> found) {
    model.work().submit("looking for printers", progress -> Printers.names(), found);
  }

  /** Prints a paper of the open job. */
  public void print(Paper paper, String printer) {
    Assessment now = model.assessmentProperty().get();
    Notation writing = model.notationProperty().get();
    LocalDate today = LocalDate.now(ZoneId.systemDefault());
    Optional<Weighing> weighed = Optional.ofNullable(model.weighingProperty().get());
    model
        .work()
        .submit(
            "printing " + paper.words(),
            progress -> {
              Printers.print(
                  paper == Paper.REPORT
                      ? ReportFiles.whole(now, weighed, this::photo, writing, today.toString())
                      : Certificate.of(now, this::photo, writing, Notation.date(today)),
                  printer);
              return printer;
            },
            done -> model.say("On its way to " + done + ": " + paper.words() + "."));
  }

  /** A photo's bytes, if it is there. Call on a line of work. */
  public Optional<byte[]> photo(Photo photo) {
    return model.logbook().files().holds(photo.sha256())
        ? Optional.of(model.logbook().files().attachment(photo.sha256()).bytes())
        : Optional.empty();
  }

  /** Writes the results, as JSON or CSV by the file's ending. */
  public void writeResults(Path target) {
    Assessment now = model.assessmentProperty().get();
    Optional<Weighing> weighed = Optional.ofNullable(model.weighingProperty().get());
    write("results", target, () -> ReportFiles.writeResults(now, weighed, target));
  }

  /** Writes the job as a bundle. */
  public void writeBundle(Path target) {
    StoredJob now = model.storedProperty().get();
    write("bundle", target, () -> JobBundle.write(model.logbook(), now, target));
  }

  /** Writes a job out as it is kept, whether it can be read or not. */
  public void writeAsItIs(String id, Path target) {
    write("job", target, () -> JobBundle.writeAsItIs(model.logbook(), id, target));
  }

  /** Writes a chart, or what else a task writes, into a file. */
  public void writeChart(Path target, Runnable task) {
    write("chart", target, task);
  }

  /** Writes the rungs that were written down by hand. */
  public void writeRungs(Path target) {
    String text = RungCsv.write(model.jobProperty().get().rungs());
    write("rungs", target, () -> WholeFile.write(target, text.getBytes(StandardCharsets.UTF_8)));
  }

  /** Takes rungs from a table, as one edit. */
  public void readRungs(Path source) {
    model
        .work()
        .submit(
            "reading " + source.getFileName(),
            progress ->
                RungCsv.read(
                    source.getFileName().toString(),
                    new String(LogFiles.read(source), StandardCharsets.UTF_8)),
            rungs -> {
              model.edit(
                  "rungs from " + source.getFileName(),
                  job -> {
                    List<RungEntry> all = new ArrayList<>(job.rungs());
                    rungs.stream().filter(r -> !all.contains(r)).forEach(all::add);
                    return job.withRungs(all);
                  });
              model.say("Rungs taken in: " + rungs.size() + ".");
            });
  }

  /** Remembers a role for all logs of the same shape. */
  void remember(RunLog log, String channel, Role role) {
    model
        .work()
        .submit(
            "",
            progress -> {
              ShapeRoles.remember(model.logbook(), log, channel, role);
              return log;
            },
            done -> {});
  }

  /**
   * A log that is kept with no job as a run, with the roles that were said for logs of its shape.
   * Call on a line of work.
   *
   * @throws dev.ambershim.core.base.Problem if it cannot be read
   */
  public RunLog log(Path file, DoubleConsumer progress) throws IOException {
    RunLog log = LogReader.read(file.getFileName().toString(), LogFiles.read(file), progress);
    return log.withRoles(ShapeRoles.recall(model.logbook(), log));
  }

  /** The person's series. Call on a line of work. */
  public List<Series> series() {
    return SeriesBook.of(model.logbook());
  }

  /** What lies on the person's shelf. Call on a line of work. */
  public List<ShelfItem> shelf() {
    return Shelf.of(model.logbook());
  }

  /** How joints aged that were made with a pack, by its name. Call on a line of work. */
  public Map<String, List<OwnAgeing.Seen>> agedByPack() {
    return OwnAgeing.byPack(model.logbook().jobs().values(), shelf());
  }

  /** Keeps the person's series. Call on a line of work. */
  public void keepSeries(List<Series> series) {
    SeriesBook.keep(model.logbook(), series);
  }

  /** Where the logs of conducted runs are kept, besides being taken into their jobs. */
  public Path runsFolder() {
    return LeftRuns.folder(model.logbook());
  }

  /** Finds runs that were cut off and are in no job, and hands them on if there are any. */
  public void leftRuns(Consumer<List<Path>> found) {
    model
        .work()
        .submit(
            "",
            progress -> LeftRuns.of(model.logbook()),
            left -> {
              if (!left.isEmpty()) {
                found.accept(left);
              }
            });
  }

  /** Writes a file on the line of work, and says so. */
  public void write(String what, Path target, Runnable action) {
    model
        .work()
        .submit(
            "writing the " + what,
            progress -> {
              action.run();
              return target;
            },
            done -> model.say("Written, " + what + ": " + done + "."));
  }

  /**
   * Writes a report of what went wrong.
   *
   * @param version of the application
   */
  public void writeWrong(String version, Path target) {
    Map<String, String> system = new HashMap<>();
    System.getProperties().forEach((k, v) -> system.put(k.toString(), v.toString()));
    system.put("host.name", System.getenv().getOrDefault("HOSTNAME", ""));
    write(
        "report of what went wrong",
        target,
        () ->
            WholeFile.write(
                target,
                WrongReport.of(version, Path.of(Failures.logFile()), system)
                    .getBytes(StandardCharsets.UTF_8)));
  }

  private record Newcomer(JobEdits.Step step, Optional<JobMerge> joined) {}

  /** Takes a bundle in, as a new job or into the copy of it that is here, and opens it. */
  public void readBundle(Path source) {
    if (!model.openedProperty().get()) {
      return;
    }
    model
        .work()
        .submit(
            "taking in the bundle",
            progress -> {
              JobBundle.Taken taken = JobBundle.read(model.logbook(), source);
              return new Newcomer(model.edits().newcomer(taken.stored()), taken.joined());
            },
            came -> {
              model.edits().show(came.step());
              String title = "\"" + came.step().stored().job().title() + "\"";
              model.say(
                  came.joined()
                      .map(
                          j ->
                              title
                                  + " was here already; "
                                  + (j.added().isEmpty()
                                      ? "nothing in the bundle is new."
                                      : "added: " + j.words() + ". The rest stays as it was."))
                      .orElse("Taken in: " + title + "."));
            });
  }
}
