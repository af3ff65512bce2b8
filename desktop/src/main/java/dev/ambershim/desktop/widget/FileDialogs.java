package dev.ambershim.desktop.widget;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Side;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.logbook.report.Report;
import dev.ambershim.logbook.store.LogFiles;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/**
 * Every file that the window asks for, with the dialog's title, its kinds and the name it offers.
 */
public final class FileDialogs {
  private static final String[] LOGS = {"*.csv", "*.txt", "*.log", "*.tsv", "*.json", "*.jsonl"};

  private final JobModel model;
  private final FilePicker picker;

  /** Dialogs for the open job. */
  public FileDialogs(JobModel model, FilePicker picker) {
    this.model = model;
    this.picker = picker;
  }

  /** Asks for logs from one side of the work, and takes them in. */
  public void takeLogs(Side side) {
    takeLogs(picker.open("Logs from " + side.words() + " the work", "Logs", LOGS), side);
  }

  /** Takes files, and the logs inside folders. */
  public void takeLogs(List<Path> files, Side side) {
    try {
      List<Path> logs = files.stream().flatMap(f -> LogFiles.inside(f).stream()).toList();
      if (!logs.isEmpty()) {
        model.runs().add(logs, side);
      }
    } catch (Problem problem) {
      model.say(problem.getMessage());
    }
  }

  /** Asks for job bundles, and takes them in. */
  public void takeBundle() {
    picker
        .open("Take in a job bundle", "Job bundles", "*.shimjob")
        .forEach(model.traffic()::readBundle);
  }

  /** Asks for one log. */
  public Optional<Path> log() {
    return first(picker.open("The log to follow", "Logs", "*.csv", "*.txt", "*.log"));
  }

  /** Asks for photos. */
  public List<Path> photos() {
    return picker.open("Photos of this step", "Photos", "*.png", "*.jpg", "*.jpeg");
  }

  /** Asks for one photo of what was found. */
  public Optional<Path> photo() {
    return first(picker.open("What you found", "Photos", "*.png", "*.jpg", "*.jpeg"));
  }

  /** Asks for a table of rungs. */
  public Optional<Path> rungs() {
    return first(picker.open("Rungs of the clock ladder", "Tables", "*.csv"));
  }

  /** Asks for a table of probed heights. */
  public Optional<Path> probe() {
    return first(picker.open("Probed heights", "Tables", "*.csv"));
  }

  /** Asks where to write the report, and writes it. */
  public void writeReport() {
    target("Write the report (.pdf or .html)", ".pdf", "Report")
        .ifPresent(model.traffic()::writeReport);
  }

  /** Asks where to write the results, and writes them. */
  public void writeResults() {
    target("Write the results (.json or .csv)", ".json", "Results")
        .ifPresent(model.traffic()::writeResults);
  }

  /** Asks where to write the job as a bundle, and writes it. */
  public void writeBundle() {
    target("Write the job as a bundle", ".shimjob", "Job bundle")
        .ifPresent(model.traffic()::writeBundle);
  }

  /** Asks where to write a chart. */
  public Optional<Path> chartTarget() {
    return target("Write the chart (.png, .svg or .csv)", "-chart.png", "Chart");
  }

  /** Asks where to write the schedule as a calendar. */
  public Optional<Path> calendarTarget() {
    return target("Write the schedule as a calendar", "-work.ics", "Calendar");
  }

  /** Asks where to write the reminders of a chip in use as a calendar. */
  public Optional<Path> reminderTarget() {
    return target("Write the reminders as a calendar", "-keep.ics", "Calendar");
  }

  /** Asks where to write the certificate for a sale. */
  public Optional<Path> certificateTarget() {
    return target("Write the certificate (.pdf or .html)", "-certificate.pdf", "Certificate");
  }

  /** Asks where to write what a series says. */
  public Optional<Path> seriesTarget(String name) {
    return picker.save(
        "Write the series (.pdf or .html)", Report.fileName(name) + ".pdf", "Report", "*.pdf");
  }

  /** Asks where to write the mounts of a series. */
  public Optional<Path> mountsTarget(String name) {
    return picker.save("Write the mounts (.csv)", Report.fileName(name) + ".csv", "Table", "*.csv");
  }

  /** Asks where to save a report of what went wrong. */
  public Optional<Path> wrongTarget() {
    return picker.save(
        "Save a report of what went wrong", "amber-shim-report.txt", "Text", "*.txt");
  }

  /** Asks where to write the mounts of a series as a calendar. */
  public Optional<Path> mountTimesTarget(String name) {
    return picker.save(
        "Write the mounts as a calendar", Report.fileName(name) + ".ics", "Calendar", "*.ics");
  }

  /** Asks where to write the card for the bench. */
  public Optional<Path> cardTarget() {
    return target("Write the card for the bench (.pdf or .html)", "-card.pdf", "Card");
  }

  /** Asks where to write a table of probed heights. */
  public Optional<Path> probeTarget(String face) {
    return save(face, ".csv", "Write the probed heights", "Tables");
  }

  /** Asks where to write an outline for a cutter. */
  public Optional<Path> outlineTarget(String sheet) {
    return save(sheet, ".svg", "Write the outline (.svg, .dxf or .pdf)", "Outlines");
  }

  /** Asks where to write a table of rungs. */
  public Optional<Path> rungTarget() {
    String name = Report.fileName(model.jobProperty().get().title()) + "-rungs.csv";
    return picker.save("Write the rungs", name, "Tables", "*.csv");
  }

  /** The dialogs of the system, or what stands in for them. */
  public FilePicker picker() {
    return picker;
  }

  private Optional<Path> save(String what, String ending, String title, String kind) {
    String name = Report.fileName(model.jobProperty().get().title() + " " + what) + ending;
    return picker.save(title, name, kind, "*" + ending);
  }

  private Optional<Path> target(String title, String ending, String kind) {
    if (model.assessmentProperty().get() == null) {
      return Optional.empty();
    }
    String name = Report.fileName(model.jobProperty().get().title()) + ending;
    return picker.save(title, name, kind, "*" + ending);
  }

  private static Optional<Path> first(List<Path> files) {
    return files.stream().findFirst();
  }
}
