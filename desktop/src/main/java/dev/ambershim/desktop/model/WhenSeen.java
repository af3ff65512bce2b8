package dev.ambershim.desktop.model;

import dev.ambershim.core.stage.Stage;

/**
 * What a stage's screen does when something changes: at once while the stage is on screen, else
 * when somebody goes there. A figure typed in one stage then costs nothing in the nine others.
 */
public final class WhenSeen {
  private final JobModel model;
  private final Stage stage;
  private final Runnable refresh;
  private boolean stale;

  /**
   * A screen's work.
   *
   * @param refresh runs on the JavaFX thread, after the stage has become the one on screen
   */
  public WhenSeen(JobModel model, Stage stage, Runnable refresh) {
    this.model = model;
    this.stage = stage;
    this.refresh = refresh;
    model.stageProperty().addListener((o, was, is) -> look());
  }

  /** Something changed. */
  public void changed() {
    stale = true;
    look();
  }

  private void look() {
    if (stale && model.stageProperty().get() == stage) {
      stale = false;
      refresh.run();
    }
  }
}
