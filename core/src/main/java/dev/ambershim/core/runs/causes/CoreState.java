package dev.ambershim.core.runs.causes;

import java.util.List;
import java.util.OptionalDouble;

/**
 * A settled state with one core under load, or none.
 *
 * @param core that was loaded; −1 for none
 * @param watts of the whole chip
 * @param celsius of the cores
 * @param room the air
 * @param coolant the coolant
 */
public record CoreState(
    int core, double watts, List<Double> celsius, OptionalDouble room, OptionalDouble coolant) {
  /** Copies its list. */
  public CoreState {
    celsius = List.copyOf(celsius);
  }
}
