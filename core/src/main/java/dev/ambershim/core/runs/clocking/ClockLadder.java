package dev.ambershim.core.runs.clocking;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/**
 * The rungs of one state of a chip and where they leave it. The highest clock lies between the
 * highest rung that passed under the limit and the lowest above it that did not; where in between,
 * the ladder does not tell. A clock passes if one voltage passed there, and every try at that
 * voltage; a rung that passed above the limit counts as too hot. A rung that was stopped before it
 * told anything bounds nothing.
 */
public final class ClockLadder {
  private final List<Rung> rungs;
  private final LadderTerms terms;
  private final double room;
  private final OptionalDouble pass;
  private final OptionalDouble block;

  /**
   * A ladder.
   *
   * @param room room that the limit is judged in, °C; not a number judges temperatures as read
   */
  public ClockLadder(List<Rung> rungs, LadderTerms terms, double room) {
    this.rungs =
        rungs.stream()
            .sorted(
                Comparator.comparingDouble(Rung::clockMegahertz)
                    .thenComparing(r -> r.voltageVolts() == null ? 0 : r.voltageVolts()))
            .toList();
    this.terms = terms;
    this.room = room;
    pass = this.rungs.stream().mapToDouble(Rung::clockMegahertz).filter(this::passes).max();
    block =
        this.rungs.stream()
            .filter(r -> r.outcome() != Outcome.STOPPED)
            .mapToDouble(Rung::clockMegahertz)
            .filter(c -> pass.isEmpty() || c >= pass.getAsDouble() + Rung.SAME_MEGAHERTZ)
            .min();
  }

  /** The rungs from the lowest clock up. */
  public List<Rung> rungs() {
    return rungs;
  }

  /** What it is climbed under. */
  public LadderTerms terms() {
    return terms;
  }

  /** Room that temperatures are told for; not a number if no rung has one. */
  public double roomCelsius() {
    return room;
  }

  /** How a rung counts: one that passed above the limit was too hot. */
  public Outcome counts(Rung rung) {
    boolean hot = rung.hottestIn(room) > terms.limitCelsius();
    return rung.outcome() == Outcome.PASSED && hot ? Outcome.TOO_HOT : rung.outcome();
  }

  private boolean passes(double clock) {
    List<Rung> here = rungs.stream().filter(r -> r.atClock(clock)).toList();
    return here.stream()
        .filter(r -> counts(r) == Outcome.PASSED)
        .anyMatch(
            r ->
                here.stream()
                    .filter(r::sameVoltage)
                    .filter(other -> other.outcome() != Outcome.STOPPED)
                    .allMatch(other -> counts(other) == Outcome.PASSED));
  }

  /** The highest clock that passed under the limit, MHz. */
  public OptionalDouble highestPass() {
    return pass;
  }

  /** The lowest clock above it that was tried and did not pass, MHz. */
  public OptionalDouble lowestBlock() {
    return block;
  }

  /** Whether the highest clock is bounded from both sides. */
  public boolean bracketed() {
    return pass.isPresent() && block.isPresent();
  }

  /** What stopped the climb: the tries at the lowest clock that did not pass. */
  public List<Rung> blockers() {
    List<Rung> found = new ArrayList<>();
    block.ifPresent(
        b ->
            rungs.stream()
                .filter(r -> r.atClock(b) && r.outcome() != Outcome.STOPPED)
                .forEach(found::add));
    return found;
  }

  /** Tries that failed at a lower clock than one that passed, and at no lower voltage. */
  public List<Rung> failedBelow() {
    if (pass.isEmpty()) {
      return List.of();
    }
    Rung top = passedAt(pass.getAsDouble());
    return rungs.stream()
        .filter(r -> r.outcome() == Outcome.FAILED)
        .filter(r -> r.clockMegahertz() < pass.getAsDouble() - Rung.SAME_MEGAHERTZ)
        .filter(r -> r.sameVoltage(top) || r.voltageVolts() > top.voltageVolts())
        .toList();
  }

  /** Whether heat is what stopped the climb, and not the chip's stability. */
  public boolean stoppedByHeat() {
    return !blockers().isEmpty()
        && blockers().stream()
            .map(this::counts)
            .allMatch(o -> o == Outcome.TOO_HOT || o == Outcome.THROTTLED);
  }

  /** The rung at a clock that passed, with the lowest voltage; null if none did. */
  public Rung passedAt(double clock) {
    return rungs.stream()
        .filter(r -> r.atClock(clock) && counts(r) == Outcome.PASSED)
        .findFirst()
        .orElse(null);
  }
}
