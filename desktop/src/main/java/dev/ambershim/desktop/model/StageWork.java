package dev.ambershim.desktop.model;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.stage.Stage;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/**
 * What one stage shows, worked out behind the window after each edit while somebody looks at it; a
 * newer question stops an older one.
 */
public final class StageWork<T> {
  private final JobModel shell;
  private final Stage stage;
  private final String name;
  private final Optional<Function<Job, Question<T>>> first;
  private final Function<Job, Question<T>> asks;
  private final ReadOnlyObjectWrapper<T> shown = new ReadOnlyObjectWrapper<>();
  private final AtomicInteger newest = new AtomicInteger();
  private boolean stale = true;

  /** A question that was asked; answered on the line of reckoning. */
  public interface Question<T> {
    /**
     * Works it out.
     *
     * @throws CancellationException if the watch says so
     */
    T answer(SolveWatch watch);
  }

  /**
   * The work of a stage.
   *
   * @param name what is said while it goes on; empty for what takes no time
   * @param asks makes the question of a job, on the JavaFX thread
   */
  public StageWork(JobModel shell, Stage stage, String name, Function<Job, Question<T>> asks) {
    this(shell, stage, name, Optional.empty(), asks);
  }

  /**
   * Work in two parts: a first answer at once, and all of it when it is there.
   *
   * @param first makes the question of the first answer
   */
  public StageWork(
      JobModel shell,
      Stage stage,
      String name,
      Optional<Function<Job, Question<T>>> first,
      Function<Job, Question<T>> asks) {
    this.first = first;
    this.shell = shell;
    this.stage = stage;
    this.name = name;
    this.asks = asks;
    shell.jobProperty().addListener((o, was, is) -> outdated());
    shell.notationProperty().addListener((o, was, is) -> outdated());
    shell.stageProperty().addListener((o, was, is) -> catchUp());
  }

  /** Asks anew, now or when somebody looks. */
  public void outdated() {
    stale = true;
    catchUp();
  }

  private void catchUp() {
    Job job = shell.jobProperty().get();
    if (!stale || job == null || shell.stageProperty().get() != stage) {
      return;
    }
    stale = false;
    int mine = newest.incrementAndGet();
    first.ifPresent(quick -> ask("", quick.apply(job), mine));
    ask(name, asks.apply(job), mine);
  }

  private void ask(String what, Question<T> question, int mine) {
    shell
        .reckoning()
        .submit(
            what,
            progress -> {
              if (mine != newest.get()) {
                return null;
              }
              try {
                return question.answer(new SolveWatch(progress, () -> mine != newest.get()));
              } catch (CancellationException e) {
                return null;
              }
            },
            result -> {
              if (result != null && mine == newest.get()) {
                shown.set(result);
                shell.told();
              }
            });
  }

  /** What is on screen; null until it is first worked out. */
  public ReadOnlyObjectProperty<T> shownProperty() {
    return shown.getReadOnlyProperty();
  }
}
