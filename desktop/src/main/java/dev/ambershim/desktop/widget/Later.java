package dev.ambershim.desktop.widget;

import dev.ambershim.desktop.model.JobModel;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.ObservableValue;

/**
 * What follows once the first answer and its pictures have been painted: boxes and buttons. Styling
 * them takes as long as all the rest, and nobody presses a button before the answer is there.
 */
public final class Later {
  /** The frame in which they follow. */
  private static final int FRAME = 3;

  /** How many frames after those what lies below the fold follows. */
  private static final int FOLD = 8;

  /** The frame in which the next of several follows. */
  private static final int NEXT = 2;

  private Later() {}

  /** Runs something a few frames after the logbook was opened; soon, if it already is. */
  public static void afterOpening(JobModel model, Runnable then) {
    if (model.openedProperty().get()) {
      afterThePicture(then);
      return;
    }
    model
        .openedProperty()
        .addListener(
            new ChangeListener<Boolean>() {
              @Override
              public void changed(
                  ObservableValue<? extends Boolean> opened, Boolean was, Boolean is) {
                opened.removeListener(this);
                afterThePicture(then);
              }
            });
  }

  /**
   * Runs what nobody sees at first, because it lies below what fits into the window: when all that
   * is in sight has long been painted; soon, if the logbook already is open. One after the other,
   * so that no frame waits for all of them.
   */
  public static void belowTheFold(JobModel model, Runnable... steps) {
    Runnable all = () -> oneByOne(steps, 0);
    if (model.openedProperty().get()) {
      afterThePicture(all);
    } else {
      afterOpening(model, () -> Frames.later(FOLD, all));
    }
  }

  private static void oneByOne(Runnable[] steps, int at) {
    steps[at].run();
    if (at + 1 < steps.length) {
      Frames.later(NEXT, () -> oneByOne(steps, at + 1));
    }
  }

  /** Runs something a few frames from now. */
  public static void afterThePicture(Runnable then) {
    Frames.later(FRAME, then);
  }
}
