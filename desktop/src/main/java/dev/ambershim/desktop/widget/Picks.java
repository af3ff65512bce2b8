package dev.ambershim.desktop.widget;

import java.util.Objects;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/**
 * When a pick counts: once the list closes, at Enter, or when the box is left. Stepping through
 * with the arrow keys only shows what there is, so that it leaves no trail of edits to undo.
 */
public final class Picks {
  private Picks() {}

  /**
   * A button that turns into a box to pick from when it is pressed. Boxes take long to make, and
   * few are ever opened.
   *
   * @param id of the button; the box has one of its own
   */
  public static Node onDemand(
      String words, String id, boolean disabled, Supplier<? extends ComboBox<?>> box) {
    Button button = new Button(words);
    button.setId("pick-" + id);
    button.getStyleClass().add("small");
    button.setMinWidth(Region.USE_PREF_SIZE);
    button.setDisable(disabled);
    StackPane place = new StackPane(button);
    place.setMinWidth(Region.USE_PREF_SIZE);
    button.setOnAction(
        e -> {
          ComboBox<?> made = box.get();
          place.getChildren().setAll(made);
          made.requestFocus();
        });
    return place;
  }

  /**
   * Tells of each pick that counts and differs from the last.
   *
   * @return shows what was picked elsewhere, unless somebody is picking here
   */
  public static <T> Consumer<T> follow(ComboBox<T> box, Consumer<T> picked) {
    @SuppressWarnings("unchecked")
    T[] last = (T[]) new Object[] {box.getValue()};
    Runnable settle =
        () -> {
          if (!box.isShowing() && box.getValue() != null && !box.getValue().equals(last[0])) {
            last[0] = box.getValue();
            picked.accept(box.getValue());
          }
        };
    box.setOnHidden(e -> settle.run());
    box.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (!is) {
                settle.run();
              }
            });
    box.sceneProperty()
        .addListener(
            (o, was, is) -> {
              if (is == null) {
                settle.run();
              }
            });
    box.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            settle.run();
          }
        });
    return value -> {
      boolean picking = box.isShowing() || !Objects.equals(box.getValue(), last[0]);
      if (!picking && !Objects.equals(value, last[0])) {
        last[0] = value;
        box.setValue(value);
      }
    };
  }
}
