package dev.ambershim.core.plan;

import dev.ambershim.core.base.Notation;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * What holds a step up: a step before it, a wait that is not over, its own check. What must never
 * meet cannot be passed by; the rest can, with a reason that is kept.
 *
 * @param plan the plan
 * @param log what was done
 * @param step the step
 * @param now the moment
 */
public record Barrier(Plan plan, WorkLog log, PlanStep step, Moment now) {
  /** Why the step cannot be called done yet, if so. */
  public Optional<String> why() {
    if (entry().done()) {
      return Optional.empty();
    }
    Optional<String> never = plan.bar(step).map(bar -> "Stop. " + bar.sentence());
    if (never.isPresent() || passedBy()) {
      return never;
    }
    return before()
        .filter(s -> !log.entry(s.id()).done())
        .findFirst()
        .map(s -> "First comes \"" + s.title() + "\".")
        .or(this::stillWaiting)
        .or(() -> missing().map(h -> "Hold point: it asks for " + h.evidence().words() + "."));
  }

  /** What the step waits for, once all steps before it are done. */
  public Optional<String> waiting() {
    return entry().done() || !ready() ? Optional.empty() : stillWaiting();
  }

  /** What its check still asks for, if nothing else holds it up. */
  public Optional<Evidence> asksFor() {
    boolean otherwise = plan.bar(step).isPresent() || !ready() || stillWaiting().isPresent();
    return entry().done() || passedBy() || otherwise
        ? Optional.empty()
        : missing().map(Hold::evidence);
  }

  private boolean ready() {
    return log.done().containsAll(step.after());
  }

  private StepEntry entry() {
    return log.entry(step.id());
  }

  private boolean passedBy() {
    return !entry().overridden().isEmpty();
  }

  private Optional<Hold> missing() {
    return step.hold().filter(hold -> !entry().passes(hold));
  }

  /** The steps that have to be done before it, as the plan has them. */
  private Stream<PlanStep> before() {
    return plan.steps().stream().filter(s -> step.after().contains(s.id()));
  }

  private Optional<String> stillWaiting() {
    return before()
        .filter(s -> s.passes().isPresent() && log.entry(s.id()).done())
        .flatMap(s -> left(s.id(), s.passes().orElseThrow()).stream())
        .findFirst();
  }

  private Optional<String> left(String id, Wait wait) {
    double left = wait.span().low() - minutesSince(id);
    return left > 0
        ? Optional.of(
            "Not yet: "
                + wait.what()
                + ", "
                + Notation.minutes(Math.ceil(left))
                + " more at least.")
        : Optional.empty();
  }

  /** Minutes that a step's wait has had; without end once its timer was put away. */
  private double minutesSince(String id) {
    Optional<StepTimer> timer = log.timer(id);
    if (timer.isPresent()) {
      return timer.get().endedAt() != null
          ? Double.POSITIVE_INFINITY
          : now.since(timer.get().begun()).seconds() / 60;
    }
    return (now.wall().toEpochMilli() - log.entry(id).doneAt().toEpochMilli()) / 60_000.0;
  }
}
