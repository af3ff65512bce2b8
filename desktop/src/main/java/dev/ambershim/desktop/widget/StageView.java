package dev.ambershim.desktop.widget;

import java.nio.file.Path;
import javafx.scene.Node;

/** What a stage puts into the middle of the shell. */
public interface StageView {
  /** Its node. */
  Node node();

  /** Opens or closes the working of its answer. */
  default void toggleWorking() {}

  /** Goes on to the next thing that can be picked, or back to the one before. */
  default void nudge(int by) {}

  /** Takes what is picked. */
  default void accept() {}

  /** Goes to a part of a long stage, the first is 1. */
  default void part(int number) {}

  /** Sets up a conducted run, where the stage has runs. */
  default void conduct() {}

  /** Takes a file that was dropped, if it is one that the stage can use. */
  default boolean takes(Path file) {
    return false;
  }

  /** Goes to where a rung of the clock ladder is written down, where the stage has one. */
  default void writeRung() {}
}
