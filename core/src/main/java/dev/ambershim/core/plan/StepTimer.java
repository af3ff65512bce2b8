package dev.ambershim.core.plan;

import java.time.Instant;
import java.util.Objects;

/**
 * A wait that is being timed.
 *
 * @param step the step it belongs to
 * @param what what goes on meanwhile
 * @param begun when it began
 * @param spanMinutes at least, as a rule, and to be on the safe side, minutes
 * @param endedAt when the person put it away, or null while it counts
 */
public record StepTimer(String step, String what, Moment begun, Span spanMinutes, Instant endedAt) {
  /** Checks that it says what it times. */
  public StepTimer {
    Objects.requireNonNull(step, "step");
    Objects.requireNonNull(what, "what");
    Objects.requireNonNull(begun, "begun");
    Objects.requireNonNull(spanMinutes, "spanMinutes");
  }

  /** How far a timer is. */
  public enum State {
    /** Not even the least time has passed. */
    RUNNING,
    /** The least time has passed. */
    LEAST,
    /** The usual time has passed. */
    DUE,
    /** The safe time has passed. */
    SAFE
  }

  /** How far it is after some seconds. */
  public State state(double seconds) {
    double minutes = seconds / 60;
    if (minutes >= spanMinutes.high()) {
      return State.SAFE;
    }
    if (minutes >= spanMinutes.likely()) {
      return State.DUE;
    }
    return minutes >= spanMinutes.low() ? State.LEAST : State.RUNNING;
  }

  /** Seconds until the next of its times; negative once the safe one has passed. */
  public double secondsToNext(double seconds) {
    return switch (state(seconds)) {
      case RUNNING -> spanMinutes.low() * 60 - seconds;
      case LEAST -> spanMinutes.likely() * 60 - seconds;
      case DUE, SAFE -> spanMinutes.high() * 60 - seconds;
    };
  }

  /** The same put away. */
  public StepTimer ended(Instant at) {
    return new StepTimer(step, what, begun, spanMinutes, at);
  }
}
