package dev.ambershim.core.base;

import java.util.Optional;

/**
 * An answer that a person may act on.
 *
 * @param key stable name, such as {@code "prove.change"}
 * @param sentence the answer in one sentence
 * @param value the figure
 * @param unit its unit
 * @param interval where the true value lies, when that can be said
 * @param working how it was worked out
 */
public record Finding(
    String key,
    String sentence,
    double value,
    Unit unit,
    Optional<Interval> interval,
    Working working) {
  /** The same finding in other words. */
  public Finding saying(String other) {
    return new Finding(key, other, value, unit, interval, working);
  }
}
