package dev.ambershim.core.runs.reading;

/**
 * One column of a log.
 *
 * @param name the name as the file has it
 * @param unit the unit as the file states it, or empty
 * @param role what it stands for
 * @param confidence how sure the guess is, 0 to 1; 1 when a person said so
 * @param values one figure a sample, not a number where there is none; shared, not to be written
 */
public record Channel(String name, String unit, Role role, double confidence, double[] values) {
  /** The same channel in another role, as a person said. */
  public Channel as(Role other) {
    return new Channel(name, unit, other, 1, values);
  }
}
