package dev.ambershim.core.job;

import dev.ambershim.core.assembly.Build;
import dev.ambershim.core.forecast.OwnRecord;
import dev.ambershim.core.forecast.Step;
import dev.ambershim.core.material.Filling;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * What a logbook's jobs say of the person's own tries. A job counts when it has a run after the
 * work (all its steps went well) or says at which step the chip was lost (those before it went
 * well).
 */
public final class Tries {
  private Tries() {}

  /** The record of some jobs. */
  public static OwnRecord of(Iterable<Job> jobs) {
    Map<Step, Integer> tries = new EnumMap<>(Step.class);
    Map<Step, Integer> ruins = new EnumMap<>(Step.class);
    for (Job job : jobs) {
      boolean done = !job.runs(Side.AFTER).isEmpty();
      if (!done && job.ruinedAt() == null) {
        continue;
      }
      List<Step> steps = steps(job);
      if (job.ruinedAt() != null) {
        ruins.merge(job.ruinedAt(), 1, Integer::sum);
        int at = steps.indexOf(job.ruinedAt());
        // A step that the builds do not tell of, such as lapping, counts by itself.
        steps = at < 0 ? List.of(job.ruinedAt()) : steps.subList(0, at + 1);
      }
      steps.forEach(s -> tries.merge(s, 1, Integer::sum));
    }
    return new OwnRecord(tries, ruins);
  }

  /** The risky steps between a job's builds, in the order of the work. */
  static List<Step> steps(Job job) {
    Build from = job.before();
    Build to = job.after();
    List<Step> steps = new ArrayList<>();
    boolean opened = from.lidOn() && (!to.lidOn() || !to.inner().equals(from.inner()));
    boolean solder = from.inner().filling() == Filling.SOLDER;
    if (opened) {
      if (solder) {
        steps.add(Step.OPEN_SOLDER);
      } else {
        steps.add(job.terms().blade() ? Step.OPEN_BLADE : Step.OPEN_TOOL);
      }
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
      steps.add(job.terms().frame() ? Step.MOUNT_FRAME : Step.MOUNT_BARE);
    }
    return steps;
  }
}
