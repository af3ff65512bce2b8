package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.model.Looks;
import dev.ambershim.desktop.widget.Dress;
import javafx.scene.Scene;
import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;

/**
 * Enlarges all of the window, pictures too: it is laid out in less room and drawn larger, so that
 * no word is cut that would not be cut in a smaller window. What opens beside it, such as lists and
 * tips, gets larger letters.
 */
final class Zoom {
  private final Region content;
  private final Looks looks;
  private final Scale scale = new Scale(1, 1, 0, 0);
  private boolean still;

  Zoom(Region content, Looks looks) {
    this.content = content;
    this.looks = looks;
    content.getTransforms().add(scale);
    looks.textPercentProperty().addListener((o, was, is) -> follow());
    content.sceneProperty().addListener((o, was, is) -> follow());
    looks.themeProperty().addListener((o, was, is) -> follow());
  }

  /**
   * Leaves all at its own size, as at the bench, whose letters are twice as large by themselves.
   */
  void still(boolean on) {
    still = on;
    follow();
  }

  double factor() {
    return scale.getX();
  }

  private void follow() {
    Scene scene = content.getScene();
    if (scene == null) {
      return;
    }
    double factor = still ? 1 : looks.textPercentProperty().get() / 100.0;
    scale.setX(factor);
    scale.setY(factor);
    Dress.popups(scene, factor);
    content.resize(scene.getWidth(), scene.getHeight());
    content.requestLayout();
  }
}
