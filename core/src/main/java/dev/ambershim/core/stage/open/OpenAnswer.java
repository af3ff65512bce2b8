package dev.ambershim.core.stage.open;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * When the work is done, and when it has to begin.
 *
 * @param sentence the answer
 * @param reasons what is planned, and what holds the end up
 * @param pictures the schedule
 */
public record OpenAnswer(String sentence, List<String> reasons, List<Drawing> pictures)
    implements StageAnswer {
  /** Copies its lists. */
  public OpenAnswer {
    reasons = List.copyOf(reasons);
    pictures = List.copyOf(pictures);
  }

  /**
   * The answer of a plan that was set in time.
   *
   * @param schedule what is left of it in time; empty if nothing is left, or it cannot be
   * @param problem why it cannot be set in time, if so
   */
  public static OpenAnswer of(
      Plan plan,
      WorkLog log,
      Optional<Schedule> schedule,
      Optional<Problem> problem,
      Notation notation,
      ZoneId zone) {
    String option = plan.work().words();
    if (schedule.isEmpty()) {
      return new OpenAnswer(
          problem
              .map(Problem::getMessage)
              .orElse("All steps are done: " + option + ". Prove is next."),
          List.of(),
          List.of());
    }
    Schedule due = schedule.get();
    ScheduleWords words = new ScheduleWords(notation, zone);
    List<String> reasons = new ArrayList<>();
    reasons.add("Planned: " + option + ". Weigh is where you plan another option.");
    reasons.addAll(words.reasons(due));
    return new OpenAnswer(
        words.sentence(plan, log, due),
        reasons,
        List.of(
            new Drawing(
                "schedule",
                "At the bench, and what passes by itself.",
                SchedulePicture.height(due),
                (w, h) -> SchedulePicture.of(due, notation, zone, w, h))));
  }

  @Override
  public Stage stage() {
    return Stage.OPEN;
  }

  @Override
  public Optional<Finding> finding() {
    return Optional.empty();
  }
}
