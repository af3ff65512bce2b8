package dev.ambershim.desktop.widget;

import javafx.geometry.HPos;
import javafx.scene.control.SkinBase;
import javafx.scene.control.TextField;
import javafx.scene.shape.Rectangle;
import javafx.scene.text.Text;

/**
 * A box's words, or what to type while it is empty, where the toolkit's own skin puts them, and
 * nothing else of it.
 */
final class RestingSkin extends SkinBase<TextField> {
  /** Room for the caret that the toolkit leaves on either side. */
  private static final double HALF_CARET = 1;

  private final Text words = new Text();
  private final Text widest = new Text("W");

  RestingSkin(TextField box) {
    super(box);
    words.setManaged(false);
    words.fontProperty().bind(box.fontProperty());
    widest.fontProperty().bind(box.fontProperty());
    getChildren().add(words);
    registerInvalidationListener(box.textProperty(), e -> fill());
    registerInvalidationListener(box.promptTextProperty(), e -> fill());
    registerInvalidationListener(box.alignmentProperty(), e -> box.requestLayout());
    registerInvalidationListener(box.fontProperty(), e -> box.requestLayout());
    registerInvalidationListener(box.prefColumnCountProperty(), e -> box.requestLayout());
    fill();
  }

  @Override
  public void dispose() {
    words.fontProperty().unbind();
    widest.fontProperty().unbind();
    getChildren().remove(words);
    super.dispose();
  }

  private void fill() {
    TextField box = getSkinnable();
    String typed = box.getText();
    boolean empty = typed == null || typed.isEmpty();
    String prompt = box.getPromptText();
    words.setText(!empty ? typed : prompt == null ? "" : prompt);
    String style = empty ? "resting-prompt" : "resting-words";
    if (!words.getStyleClass().contains(style)) {
      words.getStyleClass().setAll("text", style);
    }
    box.requestLayout();
  }

  @Override
  protected double computePrefWidth(
      double h, double top, double right, double bottom, double left) {
    return left + getSkinnable().getPrefColumnCount() * widest.getLayoutBounds().getWidth() + right;
  }

  @Override
  protected double computeMinHeight(
      double w, double top, double right, double bottom, double left) {
    return computePrefHeight(w, top, right, bottom, left);
  }

  @Override
  protected double computePrefHeight(
      double w, double top, double right, double bottom, double left) {
    return top + words.getLayoutBounds().getHeight() + bottom;
  }

  @Override
  protected double computeMaxHeight(
      double w, double top, double right, double bottom, double left) {
    return getSkinnable().prefHeight(w);
  }

  @Override
  protected double computeBaselineOffset(double top, double right, double bottom, double left) {
    return top + words.getBaselineOffset();
  }

  @Override
  protected void layoutChildren(double x, double y, double w, double h) {
    double wide = words.getLayoutBounds().getWidth();
    double ascent = words.getBaselineOffset();
    double descent = words.getLayoutBounds().getHeight() - ascent;
    boolean right = getSkinnable().getAlignment().getHpos() == HPos.RIGHT;
    double begins = right ? w - wide - HALF_CARET : HALF_CARET;
    words.setX(x + (begins > 0 ? begins : HALF_CARET));
    words.setY(y + (ascent + h - descent) / 2);
    // Words that are too long end where the box ends.
    words.setClip(wide + HALF_CARET > w ? new Rectangle(x, y, w, h) : null);
  }
}
