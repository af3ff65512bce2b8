package dev.ambershim.core.runs.protocol;

/**
 * Why a run ended.
 *
 * @param kind the reason
 * @param words the reason in a sentence
 */
public record Stop(Kind kind, String words) {
  /** Reasons. */
  public enum Kind {
    DONE,
    BY_PERSON,
    TOO_HOT,
    LOST_SENSOR,
    RUNAWAY
  }

  /** Whether the run went through to its end. */
  public boolean done() {
    return kind == Kind.DONE;
  }
}
