package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.stage.FigureEffect;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Consumer;

/** What a figure changes at the stage that is looked at; worked out when somebody asks. */
public final class Effects {
  private final JobModel shell;
  private final Map<Stage, BiFunction<Job, Notation, StageAnswer>> answers =
      new EnumMap<>(Stage.class);

  Effects(JobModel shell) {
    this.shell = shell;
  }

  /** Says how a stage answers for a job; called off the JavaFX thread. */
  public void answering(Stage stage, BiFunction<Job, Notation, StageAnswer> answer) {
    answers.put(stage, answer);
  }

  /**
   * Works out what a figure changes.
   *
   * @param told hears it on the JavaFX thread; not called where there is nothing to say
   */
  public void of(Figure figure, Consumer<String> told) {
    Job job = shell.jobProperty().get();
    BiFunction<Job, Notation, StageAnswer> answer = answers.get(shell.stageProperty().get());
    if (job == null || answer == null) {
      return;
    }
    Notation notation = shell.notationProperty().get();
    shell
        .reckoning()
        .submit(
            "",
            progress -> FigureEffect.words(job, figure, j -> answer.apply(j, notation), notation),
            words -> words.ifPresent(told));
  }
}
