package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Later;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableBooleanValue;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;

/** The job's title, and what is asked for from everywhere. */
final class TopBar extends HBox {
  private final Label mark = Labels.line("Amber Shim", "mark");
  private final Label title = Labels.line("", "job-title");
  private boolean tight;

  TopBar(FrameView view) {
    JobModel model = view.model();
    getStyleClass().add("top-bar");
    title.setId("job-title");
    Runnable follow =
        () ->
            title.setText(
                model.jobProperty().get() == null ? "" : model.jobProperty().get().title());
    model.jobProperty().addListener((o, was, is) -> follow.run());
    follow.run();
    getChildren().addAll(mark, title, Labels.spring());
    setMinHeight(52);
    Later.afterOpening(model, () -> addButtons(view, model));
  }

  private void addButtons(FrameView view, JobModel model) {
    getChildren()
        .addAll(
            button("Logbook", "Ctrl+L", "logbook", view.own()::showLogbook),
            undo(view, model, true),
            undo(view, model, false),
            button("Report", "Ctrl+P", "report", view.files()::writeReport),
            button("Units", "Ctrl+U", "settings", view.own()::showSettings),
            button("Help", "F1", "help", view.own()::toggleHelp));
  }

  /** Leaves the keys and the name away, where there is little room. */
  void fold(boolean fold) {
    tight = fold;
    mark.setVisible(!fold);
    mark.setManaged(!fold);
    title.setWrapText(fold);
    getChildren().forEach(n -> n.lookupAll(".button").forEach(b -> name((Button) b)));
  }

  /** What a button is called: with its key, or in short. */
  private void name(Button button) {
    String[] names = (String[]) button.getUserData();
    button.setText(tight ? names[1] : names[0]);
  }

  private Button button(String words, String key, String id, Runnable action) {
    return button(words, words, key, id, action);
  }

  private Button button(String words, String brief, String key, String id, Runnable action) {
    Button button = new Button();
    button.setUserData(new String[] {words + "  " + key, brief});
    button.setAccessibleText(words + "  " + key);
    button.setMinWidth(USE_PREF_SIZE);
    name(button);
    button.setId(id);
    button.setFocusTraversable(false);
    button.setOnAction(e -> action.run());
    return button;
  }

  private Button undo(FrameView view, JobModel model, boolean back) {
    Button button =
        back
            ? button("Undo", "↶", "Ctrl+Z", "undo", () -> view.undo(true))
            : button("Redo", "↷", "Ctrl+Shift+Z", "redo", () -> view.undo(false));
    Runnable follow =
        () -> {
          var stored = model.storedProperty().get();
          String what = stored == null ? "" : (back ? stored.undo() : stored.redo()).orElse("");
          boolean can =
              view.inquiries()
                  .shown()
                  .flatMap(i -> i.undoable(back))
                  .map(ObservableBooleanValue::get)
                  .orElse(!what.isEmpty());
          button.setDisable(!can || model.readOnly());
          button.setAccessibleHelp(what);
        };
    ChangeListener<Boolean> own = (o, was, is) -> follow.run();
    view.inquiries()
        .shownProperty()
        .addListener(
            (o, was, is) -> {
              if (was != null) {
                was.undoable(back).ifPresent(v -> v.removeListener(own));
              }
              if (is != null) {
                is.undoable(back).ifPresent(v -> v.addListener(own));
              }
              follow.run();
            });
    model.storedProperty().addListener((o, was, is) -> follow.run());
    follow.run();
    return button;
  }
}
