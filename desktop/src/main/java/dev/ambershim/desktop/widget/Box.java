package dev.ambershim.desktop.widget;

import javafx.geometry.Point2D;
import javafx.scene.control.Skin;
import javafx.scene.control.TextField;
import javafx.scene.control.skin.TextFieldSkin;
import javafx.scene.input.InputMethodRequests;
import javafx.scene.input.MouseEvent;

/**
 * A line to type in. A stage has dozens, and what makes one ready for typing (caret, selection, a
 * menu, a hundred keys) takes ten times what its words take. So a box rests, as words in a frame,
 * until the mouse or the focus comes to it.
 */
public class Box extends TextField {
  /** An empty box. */
  public Box() {
    addEventHandler(MouseEvent.MOUSE_ENTERED, e -> wake());
    addEventFilter(MouseEvent.MOUSE_PRESSED, e -> wake());
    focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (is && wake()) {
                // As a box that was awake does it: what is typed next takes the old words' place.
                selectRange(getLength(), 0);
              }
            });
  }

  /** A box that holds words. */
  public Box(String words) {
    this();
    setText(words);
  }

  @Override
  protected Skin<?> createDefaultSkin() {
    if (isFocused() || isHover()) {
      return new TextFieldSkin(this);
    }
    // The scene asks whether input methods are wanted before it tells of the focus.
    setInputMethodRequests(new Wanted());
    setOnInputMethodTextChanged(e -> {});
    return new RestingSkin(this);
  }

  private boolean wake() {
    if (!(getSkin() instanceof RestingSkin)) {
      return false;
    }
    setInputMethodRequests(null);
    setOnInputMethodTextChanged(null);
    setSkin(new TextFieldSkin(this));
    return true;
  }

  /** Says that input methods are wanted; nobody asks it more, as the box is awake by then. */
  private static final class Wanted implements InputMethodRequests {
    @Override
    public Point2D getTextLocation(int offset) {
      return Point2D.ZERO;
    }

    @Override
    public int getLocationOffset(int x, int y) {
      return 0;
    }

    @Override
    public void cancelLatestCommittedText() {
      // Nothing was typed.
    }

    @Override
    public String getSelectedText() {
      return "";
    }
  }
}
