package dev.ambershim.desktop.frame;

import dev.ambershim.core.job.Side;
import dev.ambershim.desktop.model.Looks;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.StageView;
import java.util.List;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;

/** Every action of the shell with its key. The key map and the window are made from this list. */
enum Key {
  HELP("F1", "the handbook's page for this place", v -> v.own().toggleHelp()),
  KEYS("Shift+F1", "show or hide this key map", v -> v.own().toggleKeys()),
  TOUR("Ctrl+F1", "a tour of one minute", FrameView::beginTour),
  NEW_JOB("Ctrl+N", "begin a new job", FrameView::beginJob),
  LOGBOOK("Ctrl+L", "all jobs: open, search, begin", v -> v.own().showLogbook()),
  BEFORE_LOGS("Ctrl+O", "add logs from before the work", v -> v.files().takeLogs(Side.BEFORE)),
  AFTER_LOGS("Ctrl+Shift+O", "add logs from after the work", v -> v.files().takeLogs(Side.AFTER)),
  CONDUCT("Ctrl+J", "conduct a stress run", FrameView::conduct),
  DIAGNOSIS("Ctrl+D", "why is it hot? and back", FrameView::toggleDiagnosis),
  PRACTISE("Ctrl+Shift+D", "practise: hidden faults, drops, steps", FrameView::togglePractise),
  SERIES("Ctrl+Shift+S", "which is best? a series, and back", FrameView::toggleSeries),
  WHERE("Ctrl+K", "where you stand: what each stage has and asks for", v -> v.own().showWhere()),
  BENCH("F2", "go to the bench, and back", FrameView::toggleBench),
  RUNG("Ctrl+G", "write down a rung of the clock ladder", FrameView::writeRung),
  UNDO("Ctrl+Z", "undo", v -> v.undo(true)),
  REDO("Ctrl+Shift+Z", "redo", v -> v.undo(false)),
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
  ABOUT(
      "Shift+F2",
      "what the box you are in means, and what it changes",
      v -> {
        if (v.getScene().getFocusOwner() instanceof FigureBox box) {
          box.explain();
        }
      }),
  SIDE("Ctrl+B", "section before or after", FrameView::toggleSide),
  REPORT("Ctrl+P", "write the report (PDF or HTML)", v -> v.files().writeReport()),
  PRINT("Ctrl+Shift+P", "print the report or the certificate", v -> v.own().showPrint()),
  COPY("Ctrl+Shift+C", "copy the answer as a sentence", FrameView::copyAnswer),
  RESULTS("Ctrl+R", "write the results (JSON or CSV)", v -> v.files().writeResults()),
  EXPORT("Ctrl+E", "write the job as a bundle", v -> v.files().writeBundle()),
  IMPORT("Ctrl+I", "take in a job bundle", v -> v.files().takeBundle()),
  THEME(
      "Ctrl+T",
      "paper or graphite",
      v -> v.model().looks().wish(Looks.Wish.of(v.model().themeProperty().get().other()))),
  LARGER("Ctrl+Plus", "larger text", v -> v.model().looks().larger(1), "Ctrl+Equals", "Ctrl+Add"),
  SMALLER("Ctrl+Minus", "smaller text", v -> v.model().looks().larger(-1), "Ctrl+Subtract"),
  SETTINGS("Ctrl+U", "units, numbers, look and text size", v -> v.own().showSettings());

  /** Keys to the parts of a stage, as its buttons show them. */
  private static final List<KeyCombination> PARTS =
      IntStream.rangeClosed(1, 9).mapToObj(n -> KeyCombination.valueOf("Alt+" + n)).toList();

  private final String keys;
  private final String words;
  private final List<KeyCombination> combinations;
  private final Consumer<FrameView> action;

  /** A key, and others that do the same on other keyboards. */
  Key(String keys, String words, Consumer<FrameView> action, String... also) {
    this.keys = keys;
    this.words = words;
    this.combinations =
        Stream.concat(Stream.of(keys), Stream.of(also)).map(KeyCombination::valueOf).toList();
    this.action = action;
  }

  String keys() {
    return keys;
  }

  String words() {
    return words;
  }

  /** Does what a key event asks for, if it is one of these. */
  static boolean act(KeyEvent event, FrameView view) {
    for (int part = 1; part <= PARTS.size(); part++) {
      int number = part;
      if (PARTS.get(part - 1).match(event)) {
        view.onStage(s -> s.part(number));
        return true;
      }
    }
    for (Key key : values()) {
      if (key.combinations.stream().anyMatch(c -> c.match(event))) {
        key.action.accept(view);
        return true;
      }
    }
    return false;
  }
}
