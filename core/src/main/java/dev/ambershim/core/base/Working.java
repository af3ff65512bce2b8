package dev.ambershim.core.base;

import java.util.List;

/**
 * How a finding was worked out, for the person who wants to check it.
 *
 * @param formula the method in a line or two
 * @param inputs what went in, by name
 * @param source the published source, or "common practice"
 * @param limits where the method stops being true
 */
public record Working(String formula, List<Input> inputs, String source, List<String> limits) {
  /**
   * One input.
   *
   * @param name what it is
   * @param value the figure as it was used
   * @param unit its unit
   */
  public record Input(String name, double value, Unit unit) {}

  /** Copies its lists. */
  public Working {
    inputs = List.copyOf(inputs);
    limits = List.copyOf(limits);
  }
}
