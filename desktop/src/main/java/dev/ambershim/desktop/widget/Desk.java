package dev.ambershim.desktop.widget;

import dev.ambershim.core.job.RunResult;
import javafx.scene.Node;

/** What a stage's view may ask of the window that it stands in. */
public interface Desk {
  /** Asks the person for files. */
  FileDialogs files();

  /** Lays a sheet over the window in place of any other. */
  void showSheet(String title, Node content);

  /** Lays a sheet over the window that only its own buttons put away. */
  void showQuestion(String title, Node content);

  /** Puts the sheet away. */
  void closeSheet();

  /** Shows what a run's columns were taken for. */
  void showColumns(RunResult run);

  /** Goes to the bench, where the steps are worked through, or leaves it. */
  void toggleBench();

  /** Sets up a conducted run, in Prove for after the work and in Baseline for before it. */
  void conduct();
}
