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
   * Runs something that nobody sees at first, because it lies below what fits into the window: when
   * all that is in sight has long been painted; soon, if the logbook already is open.
   */
  public static void belowTheFold(JobModel model, Runnable then) {
    if (model.openedProperty().get()) {
      afterThePicture(then);
    } else {
      afterOpening(model, () -> Frames.later(FOLD, then));
    }
  }

  /** Runs something a few frames from now. */
  public static void afterThePicture(Runnable then) {
    Frames.later(FRAME, then);
  }
}
