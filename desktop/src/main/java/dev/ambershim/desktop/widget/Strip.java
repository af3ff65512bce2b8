package dev.ambershim.desktop.widget;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Insets;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;

/**
 * A row that breaks into lines where it has too little room, so that large text and narrow windows
 * cut nothing. While all fits it is a plain row.
 */
public final class Strip extends HBox {
  /** Words that may wrap are not pressed narrower than this, pixels. */
  private static final double LEAST_WORDS = 170;

  private final Heights heights = new Heights();

  /** An empty row without gaps. */
  public Strip() {}

  /** An empty row. */
  public Strip(double spacing) {
    super(spacing);
  }

  /** A row of nodes. */
  public Strip(double spacing, Node... nodes) {
    super(spacing, nodes);
  }

  /** A row of nodes without gaps. */
  public Strip(Node... nodes) {
    super(nodes);
  }

  private record Line(List<Node> nodes, double width) {}

  /** What a node needs to show all it says. */
  private static double need(Node node) {
    double most = node.prefWidth(-1);
    if (getHgrow(node) == Priority.ALWAYS) {
      return Math.min(most, node.minWidth(-1));
    }
    return node instanceof Label words && words.isWrapText() && words.getText().length() > 24
        ? Math.min(most, LEAST_WORDS)
        : most;
  }

  private double inner(double width) {
    Insets in = getInsets();
    return width - in.getLeft() - in.getRight();
  }

  /** Whether all stand side by side as wide as they like. */
  private boolean fits(double width) {
    if (width < 0) {
      return true;
    }
    double sum = 0;
    List<Node> all = getManagedChildren();
    for (Node node : all) {
      sum += node.prefWidth(-1);
    }
    return sum + getSpacing() * Math.max(0, all.size() - 1) <= inner(width) + 0.5;
  }

  private List<Line> lines(double width) {
    double room = inner(width);
    List<Line> lines = new ArrayList<>();
    List<Node> now = new ArrayList<>();
    double used = 0;
    for (Node node : getManagedChildren()) {
      double need = Math.min(room, need(node));
      if (!now.isEmpty() && used + getSpacing() + need > room + 0.5) {
        lines.add(new Line(now, used));
        now = new ArrayList<>();
        used = 0;
      }
      used += need + (now.isEmpty() ? 0 : getSpacing());
      now.add(node);
    }
    if (!now.isEmpty()) {
      lines.add(new Line(now, used));
    }
    return lines;
  }

  /** Widths of a line's nodes: what is left over goes to those that like more, then to springs. */
  private double[] widths(Line line, double room) {
    double[] widths = new double[line.nodes.size()];
    double left = room - line.width;
    for (int i = 0; i < widths.length; i++) {
      Node node = line.nodes.get(i);
      double need = Math.min(room, need(node));
      double more = Math.max(0, Math.min(left, node.prefWidth(-1) - need));
      widths[i] = need + more;
      left -= more;
    }
    for (int i = 0; i < widths.length && left > 0; i++) {
      if (getHgrow(line.nodes.get(i)) == Priority.ALWAYS) {
        widths[i] += left;
        left = 0;
      }
    }
    return widths;
  }

  private static double height(Line line, double[] widths) {
    double most = 0;
    for (int i = 0; i < widths.length; i++) {
      most = Math.max(most, line.nodes.get(i).prefHeight(widths[i]));
    }
    return most;
  }

  @Override
  public Orientation getContentBias() {
    return Orientation.HORIZONTAL;
  }

  @Override
  protected double computeMinWidth(double height) {
    return leastWidth(this, getManagedChildren());
  }

  /** How narrow a pane may get whose nodes go to lines of their own. */
  static double leastWidth(Region pane, List<Node> nodes) {
    double most = nodes.stream().mapToDouble(node -> node.minWidth(-1)).max().orElse(0);
    return most + pane.getInsets().getLeft() + pane.getInsets().getRight();
  }

  @Override
  public void requestLayout() {
    Heights.forget(heights);
    super.requestLayout();
  }

  @Override
  protected double computePrefHeight(double width) {
    return heights.best(width, w -> fits(w) ? super.computePrefHeight(w) : broken(w));
  }

  @Override
  protected double computeMinHeight(double width) {
    return heights.least(width, w -> fits(w) ? super.computeMinHeight(w) : broken(w));
  }

  private double broken(double width) {
    double sum = getInsets().getTop() + getInsets().getBottom();
    List<Line> lines = lines(width);
    for (Line line : lines) {
      sum += height(line, widths(line, inner(width)));
    }
    return sum + gap() * Math.max(0, lines.size() - 1);
  }

  private double gap() {
    return Math.min(6, getSpacing());
  }

  @Override
  protected void layoutChildren() {
    if (fits(getWidth())) {
      super.layoutChildren();
      return;
    }
    double y = getInsets().getTop();
    for (Line line : lines(getWidth())) {
      double[] widths = widths(line, inner(getWidth()));
      double high = height(line, widths);
      double x = getInsets().getLeft();
      for (int i = 0; i < widths.length; i++) {
        Node node = line.nodes.get(i);
        layoutInArea(
            node,
            x,
            y,
            widths[i],
            high,
            -1,
            Insets.EMPTY,
            true,
            false,
            getAlignment().getHpos(),
            getAlignment().getVpos());
        x += widths[i] + getSpacing();
      }
      y += high + gap();
    }
  }
}
