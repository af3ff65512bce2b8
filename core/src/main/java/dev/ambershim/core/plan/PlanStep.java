package dev.ambershim.core.plan;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * One step of a plan.
 *
 * @param id stable name, kept with what was done
 * @param phase the part of the work
 * @param things what it is done on
 * @param title what it is called
 * @param action what to do
 * @param reason why
 * @param look what to look for
 * @param wrong what goes wrong, and how you notice
 * @param tools what to have at hand
 * @param needs what it uses up
 * @param hands time at the bench, minutes
 * @param passes time that passes by itself afterwards
 * @param caution the usual caution, where one belongs
 * @param record what to write down, or empty
 * @param hold the check before the next step, where there is one
 * @param sketch the picture that helps, where there is one
 * @param risk the risk that it belongs to, where a chip can be lost
 * @param change what it does to the chip
 * @param atOnce whether it must follow the step before without a pause
 * @param after the steps that must be done before, by id
 */
public record PlanStep(
    String id,
    Phase phase,
    Set<Thing> things,
    String title,
    String action,
    String reason,
    String look,
    List<Trouble> wrong,
    List<String> tools,
    List<Need> needs,
    Span hands,
    Optional<Wait> passes,
    Optional<Caution> caution,
    String record,
    Optional<Hold> hold,
    Optional<Sketch> sketch,
    Optional<Step> risk,
    ChipState.Change change,
    boolean atOnce,
    Set<String> after) {
  /** Copies its collections. */
  public PlanStep {
    things = Set.copyOf(things);
    wrong = List.copyOf(wrong);
    tools = List.copyOf(tools);
    needs = List.copyOf(needs);
    after = Set.copyOf(after);
  }
}
