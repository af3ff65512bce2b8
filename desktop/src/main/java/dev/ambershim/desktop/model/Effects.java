package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.stage.FigureEffect;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;

/** What a figure changes at the stage that is looked at; worked out when somebody asks. */
public final class Effects {
  /** How a stage answers for a job, off the JavaFX thread; the same each time. */
  @FunctionalInterface
  public interface Asked {
    /** The answer. */
    StageAnswer of(Job job, Notation notation, SolveWatch watch);
  }

  private final JobModel shell;

  /** Counts edits, so that what an edit has overtaken does not keep its own answer waiting. */
  private final AtomicInteger edits = new AtomicInteger();

  private final Map<Stage, Asked> answers = new EnumMap<>(Stage.class);

  Effects(JobModel shell) {
    this.shell = shell;
    shell.jobProperty().addListener((o, was, is) -> edits.incrementAndGet());
  }

  /** Says how a stage answers. */
  public void answering(Stage stage, Asked answer) {
    answers.put(stage, answer);
  }

  /**
   * Works out what a figure changes.
   *
   * @param told hears it on the JavaFX thread; not called where there is nothing to say
   */
  public void of(Figure figure, Consumer<String> told) {
    Job job = shell.jobProperty().get();
    Asked answer = answers.get(shell.stageProperty().get());
    if (job == null || answer == null) {
      return;
    }
    Notation notation = shell.notationProperty().get();
    int mine = edits.get();
    shell
        .reckoning()
        .submit(
            "",
            progress -> {
              SolveWatch watch = new SolveWatch(progress, () -> mine != edits.get());
              try {
                return FigureEffect.words(
                    job, figure, j -> answer.of(j, notation, watch), notation);
              } catch (CancellationException e) {
                return Optional.<String>empty();
              }
            },
            words -> {
              if (mine == edits.get()) {
                words.ifPresent(told);
              }
            });
  }
}
