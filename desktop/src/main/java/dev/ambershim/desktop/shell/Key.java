package dev.ambershim.desktop.shell;

import java.util.function.Consumer;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;

/** Every action of the shell with its key. The key map and the window are made from this list. */
enum Key {
  KEYS("F1", "show or hide this key map", ShellView::toggleKeys),
  NEW_JOB("Ctrl+N", "begin a new job", ShellView::showNewJob),
  LOGBOOK("Ctrl+L", "all jobs: open, search, begin", ShellView::showLogbook),
  BEFORE_LOGS("Ctrl+O", "add logs from before the work", ShellView::pickBefore),
  AFTER_LOGS("Ctrl+Shift+O", "add logs from after the work", ShellView::pickAfter),
  CONDUCT("Ctrl+J", "conduct a stress run", ShellView::conduct),
  BENCH("F2", "go to the bench, and back", ShellView::toggleBench),
  RUNG("Ctrl+G", "write down a rung of the clock ladder", ShellView::writeRung),
  UNDO("Ctrl+Z", "undo", v -> v.model().undo()),
  REDO("Ctrl+Shift+Z", "redo", v -> v.model().redo()),
  WORKING(
      "Ctrl+W",
      "show or hide how the answer was worked out",
      v -> v.onStage(StageView::toggleWorking)),
  NEXT(
      "Alt+Down",
      "next option in Weigh, next face in Measure and Lap",
      v -> v.onStage(s -> s.nudge(1))),
  PREVIOUS("Alt+Up", "option or face before", v -> v.onStage(s -> s.nudge(-1))),
  ACCEPT(
      "Alt+Enter",
      "plan the picked option; in Measure: touch down",
      v -> v.onStage(StageView::accept)),
  SIDE("Ctrl+B", "section before or after", ShellView::toggleSide),
  REPORT("Ctrl+P", "write the report (PDF or HTML)", ShellView::pickReport),
  RESULTS("Ctrl+R", "write the results (JSON or CSV)", ShellView::pickResults),
  EXPORT("Ctrl+E", "write the job as a bundle", ShellView::pickBundle),
  IMPORT("Ctrl+I", "take in a job bundle", ShellView::pickImport),
  THEME(
      "Ctrl+T",
      "paper or graphite",
      v -> v.model().setTheme(v.model().themeProperty().get().other())),
  SETTINGS("Ctrl+U", "units and numbers", ShellView::showSettings);

  private final String keys;
  private final String words;
  private final KeyCombination combination;
  private final Consumer<ShellView> action;

  Key(String keys, String words, Consumer<ShellView> action) {
    this.keys = keys;
    this.words = words;
    this.combination = KeyCombination.valueOf(keys);
    this.action = action;
  }

  String keys() {
    return keys;
  }

  String words() {
    return words;
  }

  /** Does what a key event asks for, if it is one of these. */
  static boolean act(KeyEvent event, ShellView view) {
    for (Key key : values()) {
      if (key.combination.match(event)) {
        key.action.accept(view);
        return true;
      }
    }
    return false;
  }
}
