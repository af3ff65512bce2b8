package dev.ambershim.desktop.widget;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;

/** A few things side by side, of which always one is picked. */
public final class PickBar<T> extends FlowPane {
  private final Map<T, ToggleButton> buttons = new LinkedHashMap<>();

  /**
   * A bar.
   *
   * @param words what stands on each
   * @param id each button's id
   * @param picked told when the person picks one
   */
  public PickBar(
      List<T> things, Function<T, String> words, Function<T, String> id, Consumer<T> picked) {
    super(6, 6);
    ToggleGroup group = new ToggleGroup();
    for (T thing : things) {
      ToggleButton button = new ToggleButton(words.apply(thing));
      button.setId(id.apply(thing));
      button.getStyleClass().add("part-button");
      button.setToggleGroup(group);
      button.setOnAction(
          e -> {
            button.setSelected(true);
            picked.accept(thing);
          });
      buttons.put(thing, button);
      getChildren().add(button);
    }
  }

  /** Shows which is picked. */
  public void show(T thing) {
    buttons.get(thing).setSelected(true);
  }
}
