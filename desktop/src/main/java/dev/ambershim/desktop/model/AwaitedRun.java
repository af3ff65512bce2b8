package dev.ambershim.desktop.model;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.stage.Assessment;
import java.util.HashSet;
import java.util.Set;
import java.util.function.Consumer;
import java.util.regex.Pattern;

/** Waits for runs that were just conducted, for what wants them apart from the job's proof. */
public final class AwaitedRun {
  /** How the log of a conducted run after the work is called. */
  private static final Pattern CONDUCTED = Pattern.compile("after-\\d{8}-\\d{6}.*");

  private final JobModel model;
  private final Consumer<RunResult> came;
  private int left;
  private int runsBefore;
  private String jobBefore = "";

  /** Runs that were given already, and may not have been moved yet. */
  private final Set<Integer> given = new HashSet<>();

  /**
   * Waits for nothing yet.
   *
   * @param came is given each run once, and moves it out of the state after the work
   */
  public AwaitedRun(JobModel model, Consumer<RunResult> came) {
    this.model = model;
    this.came = came;
    model.assessmentProperty().addListener((o, was, is) -> conducted(is));
  }

  /** Waits for so many runs, which the open job is about to take in. */
  public void coming(int count) {
    Job job = model.jobProperty().get();
    given.clear();
    left = job == null ? 0 : count;
    runsBefore = job == null ? 0 : job.runs().size();
    jobBefore = job == null ? "" : model.storedProperty().get().id();
  }

  private void conducted(Assessment now) {
    if (now == null
        || left == 0
        || model.storedProperty().get() == null
        || !model.storedProperty().get().id().equals(jobBefore)) {
      return;
    }
    now.runs().stream()
        .filter(r -> r.index() >= runsBefore && r.entry().side() == Side.AFTER)
        .filter(r -> r.entry().state().isEmpty() && !given.contains(r.index()))
        .filter(r -> CONDUCTED.matcher(r.entry().fileName()).matches())
        .findFirst()
        .ifPresent(
            run -> {
              left--;
              given.add(run.index());
              came.accept(run);
            });
  }
}
