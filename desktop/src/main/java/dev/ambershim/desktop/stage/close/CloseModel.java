package dev.ambershim.desktop.stage.close;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.close.FirstStart;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.StageWork;
import javafx.beans.property.ReadOnlyObjectProperty;

/** What Close and mount shows, worked out behind the window; a newer edit stops an older one. */
public final class CloseModel {
  private final StageWork<CloseAnswer> work;
  private final StageWork<FirstStart> start;
  private Asked asked;
  private FirstStart last;

  /** A model over the open job. */
  public CloseModel(JobModel shell) {
    work =
        new StageWork<>(
            shell,
            Stage.CLOSE,
            "turning the screws",
            job -> {
              Notation notation = shell.notationProperty().get();
              return watch -> CloseAnswer.of(job, notation, watch);
            });
    start =
        new StageWork<>(shell, Stage.CLOSE, "the first minute", job -> watch -> again(job, watch));
    shell.effects().answering(Stage.CLOSE, CloseAnswer::of);
    work.outdated();
    start.outdated();
  }

  /** What the first minute hangs on. */
  private record Asked(Chip chip, Cooler cooler, Build build, double watts) {}

  /** Only ever on the line of reckoning; an edit of anything else does not solve it again. */
  private FirstStart again(Job job, SolveWatch watch) {
    Asked now = new Asked(job.chip(), job.cooler(), job.after(), job.heatWatts());
    if (!now.equals(asked)) {
      last = FirstStart.of(job, watch);
      asked = now;
    }
    return last;
  }

  /** What is on screen; null until it is first worked out. */
  public ReadOnlyObjectProperty<CloseAnswer> shownProperty() {
    return work.shownProperty();
  }

  /** The first minute; null until it is first worked out. */
  public ReadOnlyObjectProperty<FirstStart> startProperty() {
    return start.shownProperty();
  }
}
