package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.Mishap;
import dev.ambershim.core.plan.Mishap.Harm;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import dev.ambershim.core.plan.Step;
import dev.ambershim.core.plan.StepEntry;
import dev.ambershim.core.plan.WorkCase;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a logbook's jobs say of the person's own tries. A job counts when it has a run after the
 * work (all its steps went well) or says at which step the chip was lost (those before it went
 * well). Of a job that is still under way, and of what the builds do not tell, such as lapping, the
 * steps count that were done at the bench.
 */
public final class Tries {
  private Tries() {}

  /** The record of some jobs. */
  public static OwnRecord of(Iterable<Job> jobs) {
    Map<Step, Integer> tries = new EnumMap<>(Step.class);
    Map<Step, Integer> ruins = new EnumMap<>(Step.class);
    for (Job job : jobs) {
      Optional<Step> ruin = ruin(job);
      Set<Step> counted = EnumSet.noneOf(Step.class);
      if (ruin.isPresent()) {
        List<Step> steps = steps(job);
        int at = steps.indexOf(ruin.get());
        counted.addAll(at < 0 ? List.of() : steps.subList(0, at));
        counted.add(ruin.get());
        ruins.merge(ruin.get(), 1, Integer::sum);
      } else {
        if (!job.runs(Side.AFTER).isEmpty()) {
          counted.addAll(steps(job));
        }
        counted.addAll(worked(job));
      }
      counted.forEach(s -> tries.merge(s, 1, Integer::sum));
    }
    return new OwnRecord(tries, ruins);
  }

  /** Where the chip was lost, if it was. */
  private static Optional<Step> ruin(Job job) {
    if (job.ruinedAt() != null) {
      return Optional.of(job.ruinedAt());
    }
    return job.work().entries().stream()
        .map(StepEntry::mishap)
        .filter(m -> m != null && m.harm() == Harm.LOST && m.risk() != null)
        .map(Mishap::risk)
        .findFirst();
  }

  /** The risks all of whose steps were done at the bench. */
  private static Set<Step> worked(Job job) {
    if (job.work().entries().isEmpty()) {
      return Set.of();
    }
    Set<String> done = job.work().done();
    Set<Step> through = EnumSet.noneOf(Step.class);
    Set<Step> open = EnumSet.noneOf(Step.class);
    for (PlanStep step : Plan.of(job.workCase()).steps()) {
      step.risk().ifPresent(r -> (done.contains(step.id()) ? through : open).add(r));
    }
    through.removeAll(open);
    return through;
  }

  /** The risky steps between a job's builds, in the order of the work. */
  static List<Step> steps(Job job) {
    Build from = job.before();
    Build to = job.after();
    WorkCase work = job.workCase();
    List<Step> steps = new ArrayList<>();
    boolean opened = from.lidOn() && (!to.lidOn() || !to.inner().equals(from.inner()));
    boolean solder = from.inner().filling() == Filling.SOLDER;
    if (opened) {
      steps.add(work.openRisk());
      if (job.chip().dies().size() > 1) {
        steps.add(Step.OPEN_SEVERAL);
      }
      if (solder) {
        steps.add(Step.CLEAN_SOLDER);
      }
    }
    boolean inside = to.lidOn() && opened && to.inner().filling() == Filling.LIQUID_METAL;
    boolean outside =
        to.outer().filling() == Filling.LIQUID_METAL && !to.outer().equals(from.outer());
    if (inside || outside) {
      steps.add(job.terms().guard() ? Step.METAL_GUARDED : Step.METAL_BARE);
    }
    if (!to.lidOn() && !to.equals(from)) {
      steps.add(work.mountRisk());
    }
    return steps;
  }
}
