package dev.ambershim.core.plan.rescue;

import dev.ambershim.core.plan.Accident;
import dev.ambershim.core.plan.Caution;
import dev.ambershim.core.plan.Mishap;
import dev.ambershim.core.plan.Plan;
import dev.ambershim.core.plan.PlanStep;
import java.util.List;
import java.util.Optional;

/**
 * The way out of a mishap: what to stop at once, then checks with a yes or a no, down to an end
 * that says what to do and from which step the plan goes on. All of it is common practice.
 *
 * @param accident what happened
 * @param caution what can hurt on the way
 * @param stop what to do before anything else, a sentence each
 * @param first the first check, or the end
 */
public record Rescue(Accident accident, Optional<Caution> caution, List<String> stop, Node first) {
  /** Copies its list. */
  public Rescue {
    stop = List.copyOf(stop);
  }

  /** The way out of a mishap. */
  public static Rescue of(Accident accident) {
    return switch (accident) {
      case PART_OFF -> DamageRescues.partOff();
      case SUBSTRATE_CUT -> DamageRescues.substrateCut();
      case DIE_CHIPPED -> DamageRescues.dieChipped();
      case DIE_SCRATCHED -> DamageRescues.dieScratched();
      case METAL_SPILLED_OFF -> SpillRescues.spilledOff();
      case METAL_SPILLED_ON -> SpillRescues.spilledOn();
      case METAL_RAN -> SpillRescues.metalRan();
      case PINS_BENT -> DamageRescues.pinsBent();
      case PASTE_IN_SOCKET -> SpillRescues.pasteInSocket();
      case NO_START -> StartRescues.noStart();
      case MEMORY_CODE -> StartRescues.memoryCode();
      case CHIP_CODE -> StartRescues.chipCode();
      case HOT_AT_ONCE -> StartRescues.hotAtOnce();
      case CHIP_STUCK -> DamageRescues.chipStuck();
      case SCREW_STRIPPED -> DamageRescues.screwStripped();
      case LID_DROPPED -> DamageRescues.lidDropped();
    };
  }

  /** Where one stands after some answers, yes or no; answers beyond an end are not used. */
  public Node at(List<Boolean> answers) {
    Node node = first;
    for (boolean yes : answers) {
      if (node instanceof Node.Ask ask) {
        node = yes ? ask.yes() : ask.no();
      }
    }
    return node;
  }

  /**
   * The step from which a plan goes on after an end.
   *
   * @param here the step at which it happened
   */
  public static PlanStep goesOn(Plan plan, Node.End end, PlanStep here) {
    return end.from().stream()
        .flatMap(id -> plan.step(id).stream())
        .filter(step -> plan.indexOf(step.id()) <= plan.indexOf(here.id()))
        .findFirst()
        .orElse(here);
  }

  /** How such mishaps ended before, in a sentence. */
  public static String record(Accident accident, List<Mishap> before) {
    List<Mishap> same = before.stream().filter(m -> m.accident() == accident).toList();
    if (same.isEmpty()) {
      return "Your logbook has no such mishap yet.";
    }
    long lost = same.stream().filter(m -> m.harm() == Mishap.Harm.LOST).count();
    return "Your logbook has "
        + same.size()
        + " such "
        + (same.size() == 1 ? "mishap" : "mishaps")
        + "; "
        + (lost == 0 ? "no chip was lost." : lost + " of them lost the chip.");
  }
}
