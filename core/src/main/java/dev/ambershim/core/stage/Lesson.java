package dev.ambershim.core.stage;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.Mishap;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.StepEntry;
import java.util.ArrayList;
import java.util.List;

/**
 * A mishap of one of the person's jobs, to be told where the same step comes again.
 *
 * @param job the job's title
 * @param step the step, by id
 * @param title the step's title
 * @param mishap what happened
 */
public record Lesson(String job, String step, String title, Mishap mishap) {
  /** All lessons of some jobs. */
  public static List<Lesson> of(Iterable<Job> jobs) {
    List<Lesson> lessons = new ArrayList<>();
    for (Job job : jobs) {
      Plan plan = null;
      for (StepEntry entry : job.work().entries()) {
        if (entry.mishap() != null) {
          plan = plan == null ? Plan.of(job.workCase()) : plan;
          String title = plan.step(entry.id()).map(PlanStep::title).orElse(entry.id());
          lessons.add(new Lesson(job.title(), entry.id(), title, entry.mishap()));
        }
      }
    }
    return lessons;
  }

  /** The lesson in a line. */
  public String words() {
    String told = mishap.what().replaceAll("[.\\s]+$", "");
    return told
        + " ("
        + mishap.harm().words()
        + ", "
        + job
        + ")."
        + (mishap.lesson().isEmpty() ? "" : " Next time: " + mishap.lesson());
  }
}
