package dev.ambershim.desktop.stage.series;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.stage.series.Series;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.logbook.formats.ScheduleCalendar;
import dev.ambershim.logbook.report.Report;
import dev.ambershim.logbook.report.ReportFiles;
import dev.ambershim.logbook.report.SeriesReport;
import dev.ambershim.logbook.store.WholeFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;

/** What is written of the series that is shown: its answer, its order, its times, its mounts. */
final class SeriesFiles {
  private final JobModel shell;
  private final SeriesModel series;

  SeriesFiles(JobModel shell, SeriesModel series) {
    this.shell = shell;
    this.series = series;
  }

  /** Writes the answer with its pictures. */
  void report(Path target) {
    series
        .answerProperty()
        .get()
        .ifPresent(
            told -> {
              Series now = series.shownProperty().get();
              Notation writing = shell.notationProperty().get();
              shell
                  .traffic()
                  .write(
                      "series",
                      target,
                      () ->
                          ReportFiles.write(
                              SeriesReport.of(told, writing, now, shell.traffic()::photo), target));
            });
  }

  /** Writes the order as a card for the bench. */
  void card(Path target) {
    Series now = series.shownProperty().get();
    shell
        .traffic()
        .write(
            "card",
            target,
            () ->
                ReportFiles.write(
                    SeriesReport.card(now.name(), now.blocks(), now.watch()), target));
  }

  /** Writes the mounts that are left as a calendar with reminders. */
  void calendar(Path target) {
    Series now = series.shownProperty().get();
    series
        .timesProperty()
        .get()
        .ifPresent(
            t ->
                shell
                    .traffic()
                    .write(
                        "calendar",
                        target,
                        () ->
                            WholeFile.write(
                                target,
                                ScheduleCalendar.of(
                                    t.schedule(),
                                    "series-" + Report.fileName(now.name()),
                                    now.name(),
                                    shell.workbench().now()))));
  }

  /** Writes the mounts as a table. */
  void table(Path target) {
    byte[] csv = series.shownProperty().get().csv().getBytes(StandardCharsets.UTF_8);
    shell.traffic().write("mounts", target, () -> WholeFile.write(target, csv));
  }
}
