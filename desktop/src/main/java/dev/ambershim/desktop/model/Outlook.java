package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.Kit;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.plan.Use;
import dev.ambershim.core.stage.Lesson;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Shelf;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A job's plan in time, with the kit and the lessons of earlier jobs.
 *
 * @param job the job
 * @param plan its plan
 * @param schedule what is left of it in time; empty if nothing is left, or it cannot be
 * @param problem why it cannot be set in time, if so
 * @param shelf the packs on the shelf
 * @param used what all jobs have used
 * @param users the titles of the jobs that used a pack, by its name
 * @param kit what the plan needs against the shelf
 * @param lessons mishaps of all jobs
 */
public record Outlook(
    Job job,
    Plan plan,
    Optional<Schedule> schedule,
    Optional<Problem> problem,
    List<ShelfItem> shelf,
    List<Use> used,
    Map<String, List<String>> users,
    Kit kit,
    List<Lesson> lessons) {
  /** Copies its lists. */
  public Outlook {
    shelf = List.copyOf(shelf);
    used = List.copyOf(used);
    users = Map.copyOf(users);
    lessons = List.copyOf(lessons);
  }

  /** Works it out; not for the JavaFX thread. */
  static Outlook of(
      Job job, String id, Logbook logbook, Notation notation, Instant now, ZoneId zone) {
    List<Job> jobs = new ArrayList<>();
    logbook
        .jobs()
        .forEach((key, other) -> jobs.addAll(key.equals(id) ? List.of() : List.of(other)));
    jobs.add(job);
    List<ShelfItem> shelf = Shelf.of(logbook);
    List<Use> used = Shelf.used(jobs);
    Plan plan = Plan.of(job.workCase(), notation);
    Optional<Schedule> schedule = Optional.empty();
    Optional<Problem> problem = Optional.empty();
    try {
      schedule = Schedule.of(plan, job.work(), now, zone);
    } catch (Problem p) {
      problem = Optional.of(p);
    }
    Kit kit = Kit.of(plan, job.work(), shelf, used, job.terms(), now.atZone(zone).toLocalDate());
    return new Outlook(
        job, plan, schedule, problem, shelf, used, Shelf.users(jobs), kit, Lesson.of(jobs));
  }

  /** The jobs that used a pack, by their titles. */
  public List<String> users(ShelfItem item) {
    return users.getOrDefault(item.name(), List.of());
  }

  /** What was learnt at a step. */
  public List<Lesson> lessons(String step) {
    return lessons.stream().filter(l -> l.step().equals(step)).toList();
  }
}
