package dev.ambershim.core.plan;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.dosing.Bar;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * The whole job as steps, in an order that can be worked through from first to last.
 *
 * @param work what it was made for
 * @param steps the steps
 * @param doses how much it takes, and what bars it
 * @param notation how its steps write figures
 */
public record Plan(WorkCase work, List<PlanStep> steps, Doses doses, Notation notation) {
  /** Copies its list. */
  public Plan {
    steps = List.copyOf(steps);
  }

  /** The plan for a case, its figures metric. */
  public static Plan of(WorkCase work) {
    return of(work, Notation.METRIC);
  }

  /**
   * The plan for a case.
   *
   * @param notation how its steps write figures
   */
  public static Plan of(WorkCase work, Notation notation) {
    List<StepDraft> drafts = new ArrayList<>();
    Doses doses = Doses.of(work);
    ReadySteps.add(drafts, work);
    if (!work.settingsOnly()) {
      OpeningSteps.add(drafts, work);
      CleaningSteps.add(drafts, work);
      FittingSteps.add(drafts, work, notation);
      CoatingSteps.add(drafts, work, doses, notation);
      ClosingSteps.add(drafts, work, doses, notation);
    }
    ProvingSteps.add(drafts, work, notation);
    List<String> tools =
        drafts.stream().flatMap(d -> d.gearAndTools().stream()).distinct().toList();
    drafts.stream()
        .filter(d -> d.id().equals(ReadySteps.KIT))
        .forEach(d -> d.tools(tools.toArray(new String[0])));
    // A step follows the last one on each thing that it is done on.
    Map<Thing, String> last = new EnumMap<>(Thing.class);
    List<PlanStep> steps = new ArrayList<>();
    for (StepDraft draft : drafts) {
      Set<String> before = new HashSet<>();
      draft.things().stream().map(last::get).filter(id -> id != null).forEach(before::add);
      draft.things().forEach(thing -> last.put(thing, draft.id()));
      steps.add(draft.after(before));
    }
    return new Plan(work, steps, doses, notation);
  }

  /**
   * Why a step must not be called done, whatever else holds: from the first coat on, nothing goes
   * on over a forbidden pair, a stacked cover or a gap that no film bridges.
   */
  public Optional<Bar> bar(PlanStep step) {
    boolean later = step.phase().compareTo(Phase.COAT) >= 0 && step.phase() != Phase.TIDY;
    return later ? doses.bars().stream().findFirst() : Optional.empty();
  }

  /** The step of a name. */
  public Optional<PlanStep> step(String id) {
    return steps.stream().filter(s -> s.id().equals(id)).findFirst();
  }

  /** The place of a step, or −1. */
  public int indexOf(String id) {
    for (int i = 0; i < steps.size(); i++) {
      if (steps.get(i).id().equals(id)) {
        return i;
      }
    }
    return -1;
  }

  /** The steps of a phase. */
  public List<PlanStep> steps(Phase phase) {
    return steps.stream().filter(s -> s.phase() == phase).toList();
  }

  /** A step and all that follow it on the same things, in order: what is done again with it. */
  public List<String> from(String id) {
    Set<String> all = new LinkedHashSet<>(List.of(id));
    for (PlanStep step : steps) {
      if (step.after().stream().anyMatch(all::contains)) {
        all.add(step.id());
      }
    }
    return List.copyOf(all);
  }

  /** How the chip lies on the bench when some steps are done. */
  public ChipState state(Set<String> done) {
    ChipState state = work.arrival();
    for (PlanStep step : steps) {
      if (done.contains(step.id())) {
        state = state.after(step.change());
      }
    }
    return state;
  }

  /** What all steps use, by supply. What lasts is needed once. */
  public Map<Supply, Double> needs() {
    Map<Supply, Double> all = new LinkedHashMap<>();
    for (PlanStep step : steps) {
      for (Need need : step.needs()) {
        all.merge(need.supply(), need.amount(), need.supply().lasts() ? Math::max : Double::sum);
      }
    }
    return all;
  }

  /** Tools and protective gear of all steps: what lies on the bench beside the supplies. */
  public List<String> tools() {
    return step(ReadySteps.KIT).map(PlanStep::tools).orElse(List.of());
  }

  /** Time at the bench for all steps, minutes. */
  public Span hands() {
    return steps.stream().map(PlanStep::hands).reduce(Span.NONE, Span::plus);
  }
}
