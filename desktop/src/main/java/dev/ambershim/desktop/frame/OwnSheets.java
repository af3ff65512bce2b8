package dev.ambershim.desktop.frame;

import dev.ambershim.core.job.RunResult;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.FileDialogs;

/** The sheets that the window itself has: keys, handbook, logbook and the like. */
final class OwnSheets {
  private final FrameView view;
  private final Sheets sheets;
  private final JobModel model;
  private final FileDialogs files;

  OwnSheets(FrameView view, Sheets sheets) {
    this.view = view;
    this.sheets = sheets;
    this.model = view.model();
    this.files = view.files();
  }

  /** Shows the key map, or puts it away. */
  void toggleKeys() {
    if (sheets.holds("#key-map")) {
      sheets.close();
    } else {
      showKeys();
    }
  }

  private void showKeys() {
    sheets.show("Keys", KeysSheet.content());
  }

  /** Shows what each stage of the open job has and asks for. */
  void showWhere() {
    if (view.jobAsked()) {
      sheets.show(
          "Where you stand",
          WhereSheet.content(
              model,
              stage -> {
                sheets.close();
                view.goTo(stage);
              }));
    }
  }

  /** Prints the report or the certificate of the open job. */
  void showPrint() {
    if (view.jobAsked()) {
      sheets.show("Print", PrintSheet.content(model, sheets::close, files::writeReport));
    }
  }

  /** Shows the handbook's page for the place one is in, or puts it away. */
  void toggleHelp() {
    if (sheets.holds("#help-list")) {
      sheets.close();
    } else {
      showHelp(sheets.holds("#jobs") ? "logbook" : view.page());
    }
  }

  /** Shows the handbook at a page. */
  void showHelp(String page) {
    sheets.show(
        "Handbook",
        HelpSheet.content(
            page,
            this::showKeys,
            () -> files.wrongTarget().ifPresent(to -> model.traffic().writeWrong(version(), to)),
            "Amber Shim " + version()));
  }

  private static String version() {
    String version = OwnSheets.class.getPackage().getImplementationVersion();
    return version == null ? "(unpacked)" : version;
  }

  /** Shows all jobs. */
  void showLogbook() {
    sheets.show(
        "Logbook",
        LogbookSheet.content(
            model, sheets::close, view::beginJob, view::togglePractise, view::toggleSeries));
  }

  /** Shows units, look and text size. */
  void showSettings() {
    sheets.show("Units and look", SettingsSheet.content(model));
  }

  /** Shows what a run's columns were taken for. */
  void showColumns(RunResult run) {
    sheets.show("Columns of " + run.entry().fileName(), ColumnsSheet.content(model, run));
  }

  /** Says that the logbook is empty though it should not be, and shows its copies. */
  void showCopies() {
    sheets.show("Where are the jobs?", CopiesPane.afterLoss(model, sheets::close));
  }
}
