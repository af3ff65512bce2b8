package dev.ambershim.desktop.widget;

import javafx.scene.control.Label;
import javafx.scene.text.Font;
import javafx.scene.text.Text;

/** A label that wraps where there is little room, and never gets narrower than its longest word. */
final class Words extends Label {
  private String measured = "";
  private Font measuredIn;
  private double longest;
  private final Heights heights = new Heights();

  Words(String text) {
    super(text);
    setWrapText(true);
    setMinHeight(USE_PREF_SIZE);
  }

  @Override
  public void requestLayout() {
    Heights.forget(heights);
    super.requestLayout();
  }

  @Override
  protected double computePrefHeight(double width) {
    return heights.best(width, super::computePrefHeight);
  }

  @Override
  protected double computeMinWidth(double height) {
    String text = getText() == null ? "" : getText();
    if (text.isEmpty()) {
      return super.computeMinWidth(height);
    }
    if (text.indexOf(' ') < 0) {
      return prefWidth(-1);
    }
    if (!text.equals(measured) || !getFont().equals(measuredIn)) {
      longest = longest(text, getFont());
      measured = text;
      measuredIn = getFont();
    }
    return longest + getInsets().getLeft() + getInsets().getRight();
  }

  /** Width of the longest word of a text, pixels. */
  static double longest(String text, Font font) {
    String word = "";
    for (String one : text.split("\\s+", -1)) {
      word = one.length() > word.length() ? one : word;
    }
    Text ruler = new Text(word);
    ruler.setFont(font);
    return Math.ceil(ruler.getLayoutBounds().getWidth());
  }
}
