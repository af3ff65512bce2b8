package dev.ambershim.desktop.widget;

import javafx.scene.Node;
import javafx.scene.control.ScrollPane;

/**
 * Scrolls what is larger than its room. While it moves, all of it is kept as one image, which is
 * quick to shift; at rest it is not, as the toolkit would make the whole image anew for each word
 * that changes in it.
 */
public final class Scroll extends ScrollPane {
  private static final int REST_MILLISECONDS = 300;

  private final Pause rest = new Pause(REST_MILLISECONDS, () -> image(false));

  /** A pane that scrolls nothing yet. */
  public Scroll() {
    skinProperty().addListener((o, was, is) -> image(false));
    vvalueProperty()
        .addListener(
            (o, was, is) -> {
              image(true);
              rest.begin();
            });
  }

  /** A pane that scrolls a node. */
  public Scroll(Node content) {
    this();
    setContent(content);
  }

  private void image(boolean kept) {
    Node view = lookup(".viewport");
    if (view != null) {
      view.setCache(kept);
    }
  }
}
