package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.stage.Assessment;
import dev.ambershim.core.stage.diagnosis.JobCase;
import dev.ambershim.core.stage.diagnosis.Ranking;
import dev.ambershim.logbook.report.Solved;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Looks for causes once a stage's own answer is on screen, and says when they are known. A chip of
 * an unusual form has none.
 */
public final class CauseWatch {
  private static final int QUIET_MILLISECONDS = 800;
  private static final int LOOK_MILLISECONDS = 40;

  private final JobModel shell;
  private final Side side;
  private final Runnable found;
  private final AtomicInteger newest = new AtomicInteger();

  /**
   * A watch over the shell's job.
   *
   * @param found runs on the JavaFX thread when causes came to be known
   */
  public CauseWatch(JobModel shell, Side side, Runnable found) {
    this.shell = shell;
    this.side = side;
    this.found = found;
    // Whoever goes on typing needs the machine for the answer.
    shell.assessmentProperty().addListener((o, was, is) -> newest.incrementAndGet());
  }

  /** A side's case with its causes. */
  public record Known(JobCase given, Ranking ranking) {}

  /** What is known of a job's causes, without looking for any. */
  public Optional<Known> known(Assessment assessment) {
    return JobCase.of(assessment, side)
        .flatMap(c -> Solved.CAUSES.known(c).map(r -> new Known(c, r)));
  }

  /** Looks for the causes of the job on screen, unless they are known. */
  public void look() {
    Assessment assessment = shell.assessmentProperty().get();
    if (assessment == null) {
      return;
    }
    Optional<JobCase> given = JobCase.of(assessment, side);
    if (given.isEmpty() || Solved.CAUSES.known(given.get()).isPresent()) {
      return;
    }
    int mine = newest.incrementAndGet();
    shell
        .inquiry()
        .submit(
            "",
            progress -> {
              try {
                if (!quiet(mine)) {
                  return false;
                }
                Solved.CAUSES.of(given.get(), new SolveWatch(progress, () -> mine != newest.get()));
                return true;
              } catch (CancellationException | Problem e) {
                return false;
              }
            },
            ready -> {
              if (ready && mine == newest.get()) {
                found.run();
              }
            });
  }

  /** Waits until nobody has typed for a while and all answers stand; false if somebody has. */
  private boolean quiet(int mine) throws InterruptedException {
    int waited = 0;
    while (waited < QUIET_MILLISECONDS) {
      if (mine != newest.get()) {
        return false;
      }
      TimeUnit.MILLISECONDS.sleep(LOOK_MILLISECONDS);
      waited = shell.reckoning().working() ? 0 : waited + LOOK_MILLISECONDS;
    }
    return mine == newest.get();
  }
}
