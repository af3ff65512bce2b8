package dev.ambershim.desktop.stage.coat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.spread.SpreadFlow;
import dev.ambershim.core.physics.spread.SpreadState;
import dev.ambershim.core.plan.Doses;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.core.stage.coat.PasteAnswer;
import dev.ambershim.core.stage.coat.PasteQuestion;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.StageWork;
import java.util.Optional;
import java.util.concurrent.ForkJoinPool;
import javafx.beans.property.ReadOnlyObjectProperty;

/** What Coat and dose shows, worked out behind the window; a newer edit stops an older one. */
public final class CoatModel {
  /**
   * Doses on screen, all of one piece.
   *
   * @param answer drops, meetings and cover
   * @param laid the paste before it is pressed
   */
  public record Shown(CoatAnswer answer, SpreadState laid) {}

  private static final int LAID_CELLS = 100;

  private final StageWork<Shown> doses;
  private final StageWork<Optional<PasteAnswer>> paste;
  private Asked laidFor;
  private SpreadState laid;
  private Asked asked;
  private Optional<PasteAnswer> last = Optional.empty();

  /** A model over the shell's job. */
  public CoatModel(JobModel shell) {
    doses =
        new StageWork<>(
            shell,
            Stage.COAT,
            "",
            job -> {
              Notation notation = shell.notationProperty().get();
              return watch -> new Shown(CoatAnswer.of(job, notation), laid(job, notation));
            });
    paste =
        new StageWork<>(
            shell,
            Stage.COAT,
            "pressing the paste flat",
            job -> {
              Notation notation = shell.notationProperty().get();
              return watch -> again(job, notation, watch);
            });
    shell.effects().answering(Stage.COAT, (job, notation, watch) -> CoatAnswer.of(job, notation));
    doses.outdated();
    paste.outdated();
  }

  /**
   * What a spread hangs on; an edit of anything else does not press the paste again.
   *
   * @param job a job of nothing but that
   * @param pasted whether paste is used
   * @param notation how it is written
   */
  private record Asked(Job job, boolean pasted, Notation notation) {
    static Asked of(Job job, Notation notation) {
      Job bare =
          Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "")
              .with("", "", job.cooler(), job.after(), job.after())
              .withSurfaces(job.surfaces())
              .withMounting(job.mounting())
              .withPaste(job.paste().with(Doses.pastePattern(job.workCase())));
      return new Asked(
          bare.withChip(job.chip()).withHeatWatts(job.heatWatts()),
          job.workCase().pasted(),
          notation);
    }
  }

  /** Only ever on the line of reckoning. */
  private SpreadState laid(Job job, Notation notation) {
    Asked now = Asked.of(job, notation);
    if (!now.equals(laidFor)) {
      laid = new SpreadFlow(PasteQuestion.of(job, LAID_CELLS)).state();
      laidFor = now;
    }
    return laid;
  }

  /** Only ever on the line of reckoning. */
  private Optional<PasteAnswer> again(Job job, Notation notation, SolveWatch watch) {
    Asked now = Asked.of(job, notation);
    if (!now.equals(asked)) {
      last = PasteAnswer.of(job, notation, watch, ForkJoinPool.commonPool());
      asked = now;
    }
    return last;
  }

  /** Doses on screen; null until they are first worked out. */
  public ReadOnlyObjectProperty<Shown> shownProperty() {
    return doses.shownProperty();
  }

  /** Paste on screen; null until it is first worked out, empty if the job uses none. */
  public ReadOnlyObjectProperty<Optional<PasteAnswer>> pastedProperty() {
    return paste.shownProperty();
  }
}
