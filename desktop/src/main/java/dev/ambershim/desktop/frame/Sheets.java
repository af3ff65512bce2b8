package dev.ambershim.desktop.frame;

import java.util.function.Supplier;
import javafx.collections.ObservableList;
import javafx.scene.Node;

/** The sheet that lies over the window, one at a time. */
final class Sheets {
  private final ObservableList<Node> layers;
  private final Supplier<Node> below;
  private Sheet sheet;

  /**
   * None yet.
   *
   * @param layers what lies over one another in the window
   * @param below tells what is worked on below the sheet
   */
  Sheets(ObservableList<Node> layers, Supplier<Node> below) {
    this.layers = layers;
    this.below = below;
  }

  /** Whether there is one. */
  boolean any() {
    return sheet != null;
  }

  /** Whether the one that is there holds a node. */
  boolean holds(String selector) {
    return sheet != null && sheet.lookup(selector) != null;
  }

  /** Lays a sheet over the window in place of any other, with the caret in its first box. */
  void show(String title, Node content) {
    close();
    lay(new Sheet(title, this::close, content));
    sheet.lookupAll(".text-field").stream().findFirst().ifPresent(Node::requestFocus);
  }

  /** Lays a sheet over the window that only its own buttons put away. */
  void ask(String title, Node content) {
    close();
    lay(new Sheet(title, () -> {}, content));
    sheet.lookup("#close-sheet").setVisible(false);
  }

  /** What scrolls in a sheet can be found and focused at once. */
  private void lay(Sheet over) {
    sheet = over;
    layers.add(over);
    over.applyCss();
  }

  /** Puts the sheet away. */
  void close() {
    if (sheet != null) {
      // What has the keyboard on the sheet is left first, so that it keeps what was picked in it.
      below.get().requestFocus();
      layers.remove(sheet);
      sheet = null;
    }
  }
}
