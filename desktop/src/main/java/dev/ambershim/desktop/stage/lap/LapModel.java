package dev.ambershim.desktop.stage.lap;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.lap.LapAnswer;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.StageWork;
import javafx.beans.property.ReadOnlyObjectProperty;

/** What Lap shows, worked out behind the window after each edit; a newer one stops an older. */
public final class LapModel {
  private final StageWork<LapAnswer> work;

  /** A model over the open job. */
  public LapModel(JobModel shell) {
    work =
        new StageWork<>(
            shell,
            Stage.LAP,
            "weighing the lapping",
            job -> {
              Notation notation = shell.notationProperty().get();
              return watch -> LapAnswer.of(job, notation, watch);
            });
    shell.effects().answering(Stage.LAP, LapAnswer::of);
    work.outdated();
  }

  /** What is on screen; null until it is first worked out. */
  public ReadOnlyObjectProperty<LapAnswer> shownProperty() {
    return work.shownProperty();
  }
}
