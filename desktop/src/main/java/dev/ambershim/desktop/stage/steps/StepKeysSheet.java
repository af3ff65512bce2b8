package dev.ambershim.desktop.stage.steps;

import dev.ambershim.desktop.stage.steps.StepKeys.Action;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The sheet on which any key, or a pedal, is picked for what the bench can do. */
final class StepKeysSheet {
  private final Map<Action, Button> buttons = new EnumMap<>(Action.class);
  private final Consumer<StepKeys> changed;
  private StepKeys keys;
  private Action waiting;

  private StepKeysSheet(StepKeys keys, Consumer<StepKeys> changed) {
    this.keys = keys;
    this.changed = changed;
  }

  static void open(Desk window, StepKeys keys, Consumer<StepKeys> changed) {
    window.showSheet("Keys at the bench", new StepKeysSheet(keys, changed).content());
  }

  private Node content() {
    VBox rows = new VBox(8);
    rows.setId("bench-keys");
    rows.getChildren()
        .add(
            Labels.wrapped(
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
      HBox row = new HBox(12, button, Labels.line(action.words()));
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
