package dev.ambershim.core.runs.reading;

import java.util.List;

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
  /**
   * The mean of channels at each sample, over those that have a reading there.
   *
   * @param size samples
   * @return not a number where none has one
   */
  public static double[] mean(List<Channel> channels, int size) {
    double[] mean = new double[size];
    int[] counts = new int[size];
    for (Channel c : channels) {
      for (int i = 0; i < size; i++) {
        if (!Double.isNaN(c.values[i])) {
          mean[i] += c.values[i];
          counts[i]++;
        }
      }
    }
    for (int i = 0; i < size; i++) {
      mean[i] = counts[i] == 0 ? Double.NaN : mean[i] / counts[i];
    }
    return mean;
  }

  /** The same channel in another role, as a person said. */
  public Channel as(Role other) {
    return new Channel(name, unit, other, 1, values);
  }
}
