package dev.ambershim.desktop.widget;

import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;

/**
 * Lines of words, one below the other. Labels stay when other words come: to style new ones takes
 * longer than all else that follows a typed figure.
 */
public final class Lines extends Column {
  private final String[] styles;

  /** No lines yet. */
  public Lines(double spacing, String... styles) {
    super(spacing);
    this.styles = styles;
  }

  /** Shows these lines, and no others. */
  public void show(List<String> lines) {
    List<Node> labels = getChildren();
    if (labels.size() > lines.size()) {
      labels.subList(lines.size(), labels.size()).clear();
    }
    for (int i = 0; i < lines.size(); i++) {
      if (i < labels.size()) {
        ((Label) labels.get(i)).setText(lines.get(i));
      } else {
        labels.add(Labels.line(lines.get(i), styles));
      }
    }
  }

  /** How many lines there are. */
  public int count() {
    return getChildren().size();
  }
}
