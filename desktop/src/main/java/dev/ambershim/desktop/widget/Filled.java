package dev.ambershim.desktop.widget;

import javafx.scene.control.TextInputControl;

/**
 * Fills boxes. One that is filled with the words it holds works out its caret and its line again,
 * and a screen has dozens of them for each figure that is typed; so those are left alone.
 */
public final class Filled {
  private Filled() {}

  /** Shows words in a box. */
  public static void with(TextInputControl box, String words) {
    if (!words.equals(box.getText())) {
      box.setText(words);
    }
  }
}
