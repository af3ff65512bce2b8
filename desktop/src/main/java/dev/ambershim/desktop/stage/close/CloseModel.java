package dev.ambershim.desktop.stage.close;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.close.FirstStart;
import dev.ambershim.core.stage.close.MountQuestion;
import dev.ambershim.core.stage.measure.FitQuestion;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.StageWork;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;

/** What Close and mount shows, worked out behind the window; a newer edit stops an older one. */
public final class CloseModel {
  /**
   * What is on screen, all of one piece.
   *
   * @param job what it was worked out for
   * @param close how the lid lies; empty when none is put on
   * @param mount how the cooler presses
   * @param checks limits, and what the wedge costs, a sentence each
   */
  public record Shown(
      Job job, Optional<CloseAnswer> close, MountQuestion mount, List<String> checks) {}

  private final StageWork<Shown> work;
  private final StageWork<FirstStart> start;
  private Asked asked;
  private FirstStart last;

  /** A model over the shell's job. */
  public CloseModel(JobModel shell) {
    work =
        new StageWork<>(
            shell,
            Stage.CLOSE,
            "turning the screws",
            job -> {
              Notation notation = shell.notationProperty().get();
              return watch -> worked(job, notation, watch);
            });
    start =
        new StageWork<>(shell, Stage.CLOSE, "the first minute", job -> watch -> again(job, watch));
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

  private static Shown worked(Job job, Notation notation, SolveWatch watch) {
    MountQuestion mount = MountQuestion.of(job, notation);
    List<String> checks = new ArrayList<>(mount.checks());
    Optional<FitQuestion.Tilted> cost = mount.cost(job, watch);
    cost.ifPresent(
        c ->
            checks.add(
                "The paste ends between "
                    + notation.fixed(notation.shown(c.thinMicrometres(), Unit.MICROMETRE), 1)
                    + " and "
                    + notation.fixed(notation.shown(c.thickMicrometres(), Unit.MICROMETRE), 1)
                    + " "
                    + notation.symbol(Unit.MICROMETRE)
                    + ": "
                    + notation.text(c.meanKelvin(), Unit.KELVIN)
                    + " in the mean of the cores, "
                    + notation.text(c.spreadKelvin(), Unit.KELVIN)
                    + " in their spread."));
    cost.filter(c -> !c.coresKelvin().isEmpty())
        .ifPresent(
            c -> {
              List<String> each = new ArrayList<>();
              for (int i = 0; i < c.coresKelvin().size(); i++) {
                each.add(
                    i
                        + ": "
                        + notation.fixed(notation.shown(c.coresKelvin().get(i), Unit.KELVIN), 2));
              }
              checks.add(
                  "Core by core, warmer by "
                      + notation.symbol(Unit.KELVIN)
                      + ": "
                      + String.join(", ", each)
                      + ".");
            });
    if (mount.wedge().isEmpty()) {
      checks.add(
          "Liquid metal carries nothing: the plate lies on what it touches, and uneven screws do not"
              + " tilt it as long as their force acts within that.");
    }
    return new Shown(job, CloseAnswer.of(job, notation), mount, checks);
  }

  /** What is on screen; null until it is first worked out. */
  public ReadOnlyObjectProperty<Shown> shownProperty() {
    return work.shownProperty();
  }

  /** The first minute; null until it is first worked out. */
  public ReadOnlyObjectProperty<FirstStart> startProperty() {
    return start.shownProperty();
  }
}
