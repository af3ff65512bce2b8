package dev.ambershim.core.stage;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.plan.Phase;
import dev.ambershim.core.plan.Plan;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** Where a job stands: what each stage has, and what it still asks for. */
public final class Checklist {
  private static final String PROVED = "A run from after the work shows that it was done.";

  private Checklist() {}

  /**
   * A stage of a job.
   *
   * @param stage which
   * @param has whether it has what its answer needs from the person
   * @param words what it has, or what it asks for
   */
  public record Item(Stage stage, boolean has, String words) {}

  /**
   * All stages of a job, in their order.
   *
   * @param plan the job's own
   */
  public static List<Item> of(Job job, Plan plan) {
    long before = runs(job, Side.BEFORE);
    long after = runs(job, Side.AFTER);
    long readings = before + job.readings().size();
    Set<String> done = job.work().done();
    long steps = plan.steps().stream().filter(s -> done.contains(s.id())).count();
    List<Item> items = new ArrayList<>();
    items.add(
        item(
            Stage.WEIGH,
            readings > 0,
            "It weighs by " + counted(readings, "reading") + " of this chip.",
            "Take a run or a reading of this chip; until then it forecasts by what is usual."));
    items.add(
        item(
            Stage.BASELINE,
            before > 0,
            counted(before, "run") + " from before the work.",
            "Conduct a run (Ctrl+J) or drop a log from before the work."));
    items.add(
        item(
            Stage.OPEN,
            steps > 0 || after > 0,
            steps > 0 ? steps + " of " + plan.steps().size() + " steps are done." : PROVED,
            "Work the planned steps at the bench (F2)."));
    items.add(
        item(
            Stage.CLEAN,
            after > 0 || all(plan.steps(Phase.CLEAN).stream().map(s -> s.id()).toList(), done),
            after > 0 ? PROVED : "The faces are clean.",
            "Clean the faces, and note what you find on them."));
    items.add(
        item(
            Stage.MEASURE,
            !job.heights().equals(Heights.NONE),
            "Heights of this chip are measured.",
            "Measure the heights of this chip; until then it takes usual ones."));
    items.add(
        item(
            Stage.LAP,
            !job.surfaces().reliefs().isEmpty(),
            counted(job.surfaces().reliefs().size(), "face") + " probed.",
            "Probe a face, and it says whether lapping is worth it."));
    items.add(
        item(
            Stage.COAT,
            !job.coat().equals(CoatTerms.USUAL),
            "You said what the metal meets.",
            "Say what the liquid metal meets; some metals it must never."));
    items.add(
        item(
            Stage.CLOSE,
            after > 0 || all(plan.steps(Phase.MOUNT).stream().map(s -> s.id()).toList(), done),
            after > 0 ? PROVED : "The cooler is mounted.",
            "Mount the cooler; this says how far each screw turns."));
    items.add(
        item(
            Stage.PROVE,
            before > 0 && after > 0,
            counted(after, "run") + " from after the work, to compare with those before.",
            after > 0
                ? "Add a run from before the work; there is none to compare with."
                : "Conduct the same run after the work, or drop its log."));
    int checks = job.care().checks().size();
    items.add(
        item(
            Stage.KEEP,
            checks > 0,
            counted(checks, "check") + " in use.",
            "Add a log of ordinary use now and then; it shows whether it ages."));
    return items;
  }

  private static Item item(Stage stage, boolean has, String there, String missing) {
    return new Item(stage, has, has ? there : missing);
  }

  private static boolean all(List<String> steps, Set<String> done) {
    return !steps.isEmpty() && done.containsAll(steps);
  }

  private static long runs(Job job, Side side) {
    return job.runs().stream().filter(r -> r.side() == side && r.state().isEmpty()).count();
  }

  private static String counted(long count, String what) {
    return count == 1 ? "1 " + what : count + " " + what + "s";
  }
}
