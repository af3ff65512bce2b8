package dev.ambershim.core.stage.practise;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;

/**
 * Which step next: what was just done, and three steps of which only one can follow.
 *
 * @param done the step that was done last
 * @param choices steps in any order
 * @param next the one that follows
 * @param chip what the plan is for
 */
public record StepRound(PlanStep done, List<PlanStep> choices, PlanStep next, String chip) {
  private static final int CHOICES = 3;

  private static final List<StartingPoint> CHIPS =
      List.of(
          StartingPoint.DESKTOP_ONE_DIE_PASTE,
          StartingPoint.DESKTOP_ONE_DIE_SOLDER,
          StartingPoint.DESKTOP_CHIPLETS_SOLDER,
          StartingPoint.LAPTOP_BARE_DIE);

  /** Copies its list. */
  public StepRound {
    choices = List.copyOf(choices);
  }

  /** A question by its seed. */
  public static StepRound of(long seed) {
    Random random = new Random(seed);
    while (true) {
      StartingPoint point = CHIPS.get(random.nextInt(CHIPS.size()));
      List<PlanStep> steps = Plan.of(Job.from(point, "practice").workCase()).steps();
      int at = random.nextInt(Math.max(1, steps.size() - 1));
      Set<String> done = new HashSet<>();
      steps.subList(0, at + 1).forEach(s -> done.add(s.id()));
      // A step that nothing holds back could be next as well, and would make no fair question.
      List<PlanStep> held = new ArrayList<>();
      for (PlanStep step : steps.subList(Math.min(at + 2, steps.size()), steps.size())) {
        boolean free = done.containsAll(step.after());
        boolean named = held.stream().anyMatch(h -> h.title().equals(step.title()));
        if (!free && !named && !step.title().equals(steps.get(at + 1).title())) {
          held.add(step);
        }
      }
      if (held.size() < CHOICES - 1) {
        continue;
      }
      Collections.shuffle(held, random);
      List<PlanStep> choices = new ArrayList<>(held.subList(0, CHOICES - 1));
      choices.add(steps.get(at + 1));
      Collections.shuffle(choices, random);
      return new StepRound(steps.get(at), choices, steps.get(at + 1), point.words());
    }
  }
}
