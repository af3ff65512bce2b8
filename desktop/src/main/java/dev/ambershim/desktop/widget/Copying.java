package dev.ambershim.desktop.widget;

import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;

/** Sentences and pictures for the clipboard, by a menu on each. */
public final class Copying {
  private static final double SHARP = 2;

  private Copying() {}

  /** Copies a sentence. */
  public static void sentence(String words) {
    ClipboardContent content = new ClipboardContent();
    content.putString(Labels.plain(words));
    Clipboard.getSystemClipboard().setContent(content);
  }

  /** Copies a picture, with what it shows as words. */
  static void picture(PictureView view) {
    ClipboardContent content = new ClipboardContent();
    content.putImage(view.image(SHARP));
    content.putString(view.picture().description());
    Clipboard.getSystemClipboard().setContent(content);
  }

  /** Offers a label's words by a menu on it. */
  static void offer(Label label) {
    label.setOnContextMenuRequested(
        e -> {
          ContextMenu menu =
              new ContextMenu(item("Copy this sentence", () -> sentence(label.getText())));
          menu.show(label, e.getScreenX(), e.getScreenY());
          e.consume();
        });
  }

  /** Offers a picture by a menu on it. */
  static void offer(PictureView view) {
    view.setOnContextMenuRequested(
        e -> {
          if (view.picture() != null) {
            ContextMenu menu = new ContextMenu(item("Copy this picture", () -> picture(view)));
            menu.show(view, e.getScreenX(), e.getScreenY());
            e.consume();
          }
        });
  }

  private static MenuItem item(String words, Runnable action) {
    MenuItem item = new MenuItem(words);
    item.setOnAction(e -> action.run());
    return item;
  }
}
