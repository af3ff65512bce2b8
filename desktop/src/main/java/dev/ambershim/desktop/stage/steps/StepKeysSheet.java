package dev.ambershim.desktop.stage.steps;

import dev.ambershim.desktop.stage.steps.StepKeys.Action;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/**
 * The sheet on which any key, or a pedal, is picked for what the bench can do, and the folder that
 * its photos come from.
 */
final class StepKeysSheet {
  private final Map<Action, Button> buttons = new EnumMap<>(Action.class);
  private final Consumer<StepKeys> changed;
  private StepKeys keys;
  private Action waiting;

  private StepKeysSheet(StepKeys keys, Consumer<StepKeys> changed) {
    this.keys = keys;
    this.changed = changed;
  }

  /**
   * Opens it.
   *
   * @param folder the folder of photos that is watched, or empty
   * @param watched hears of another, empty for none
   */
  static void open(
      Desk window,
      StepKeys keys,
      Consumer<StepKeys> changed,
      String folder,
      Consumer<String> watched) {
    window.showSheet(
        "Keys and photos at the bench",
        new Column(
            14, new StepKeysSheet(keys, changed).content(), photos(window, folder, watched)));
  }

  private static Node photos(Desk window, String folder, Consumer<String> watched) {
    Label where = Labels.line("");
    where.setId("photo-folder");
    Button stop = new Button("Stop");
    stop.setId("photo-folder-stop");
    Consumer<String> show =
        path -> {
          where.setText(path.isEmpty() ? "No folder is watched." : path);
          stop.setDisable(path.isEmpty());
        };
    Button choose = new Button("Choose a folder…");
    choose.setId("photo-folder-choose");
    choose.setOnAction(
        e ->
            window
                .files()
                .picker()
                .folder("Folder that your camera or phone writes to")
                .map(Path::toString)
                .ifPresent(
                    path -> {
                      watched.accept(path);
                      show.accept(path);
                    }));
    stop.setOnAction(
        e -> {
          watched.accept("");
          show.accept("");
        });
    show.accept(folder);
    HBox row = new Strip(10, choose, stop, where);
    row.setAlignment(Pos.CENTER_LEFT);
    return new Column(
        6,
        Labels.line("Photos from a folder", "strong"),
        Labels.line(
            "While you are at the bench, each new photo in this folder goes to the step that is on"
                + " the screen. Ctrl+Z takes it back."),
        row);
  }

  private Node content() {
    VBox rows = new Column(8);
    rows.setId("bench-keys");
    rows.getChildren()
        .add(
            Labels.line(
                "Press a button, then the key or pedal that shall do it. A pedal is a keyboard with"
                    + " one key, as a rule Page Down."));
    for (Action action : Action.values()) {
      Button button = new Button();
      button.setId("pick-" + action.name().toLowerCase(Locale.ROOT));
      button.setMinWidth(220);
      button.setOnAction(
          e -> {
            waiting = action;
            names();
          });
      buttons.put(action, button);
      HBox row = new Strip(12, button, Labels.line(action.words()));
      row.getStyleClass().add("field-row");
      rows.getChildren().add(row);
    }
    Button usual = new Button("As it was");
    usual.setId("pick-usual");
    usual.setOnAction(
        e -> {
          waiting = null;
          take(StepKeys.USUAL);
        });
    rows.getChildren().add(usual);
    rows.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
    names();
    return rows;
  }

  private void pressed(KeyEvent event) {
    if (waiting == null
        || event.getCode() == KeyCode.ESCAPE
        || event.getCode().isModifierKey()
        || event.isShortcutDown()) {
      return;
    }
    StepKeys with = keys.with(waiting, event.getCode());
    waiting = null;
    take(with);
    event.consume();
  }

  private void take(StepKeys other) {
    keys = other;
    changed.accept(other);
    names();
  }

  private void names() {
    buttons.forEach(
        (action, button) -> button.setText(action == waiting ? "press a key…" : keys.name(action)));
  }
}
