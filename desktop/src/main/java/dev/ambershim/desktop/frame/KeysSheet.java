package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.widget.Labels;
import javafx.scene.Node;
import javafx.scene.layout.GridPane;

/** The key map. */
final class KeysSheet {
  private KeysSheet() {}

  static Node content() {
    GridPane grid = new GridPane();
    grid.setHgap(12);
    grid.setVgap(6);
    grid.setId("key-map");
    int row = 0;
    grid.addRow(row++, Labels.line("Ctrl+1 … Ctrl+0", "key"), Labels.line("go to a stage"));
    grid.addRow(
        row++, Labels.line("Alt+1 … Alt+9", "key"), Labels.line("go to a part of a long stage"));
    for (Key key : Key.values()) {
      grid.addRow(row++, Labels.line(key.keys(), "key"), Labels.line(key.words()));
    }
    grid.addRow(row++, Labels.line("Tab, Space, Enter", "key"), Labels.line("move, pick, keep"));
    grid.addRow(
        row, Labels.line("Esc", "key"), Labels.line("put a sheet away, drop what was typed"));
    return grid;
  }
}
