package dev.ambershim.core.runs.protocol;

import java.util.List;
import java.util.Optional;

/**
 * Where a conducted run stands.
 *
 * @param seconds time since it began
 * @param phase the phase it is in; the last one once it has ended
 * @param leftInPhaseSeconds what is left of the phase
 * @param leftSeconds what is left of the run
 * @param settled whether the plateau has settled so far; empty outside of plateaus and before it
 *     can be told
 * @param driftKelvin change between the halves of the settled part so far; not a number if unknown
 * @param conditions what should hold, and whether it does
 * @param coreCelsius each core now; not a number where it gave none
 * @param hottestCelsius hottest core or package now
 * @param riseKelvin mean of the cores over room air; not a number without a room
 * @param watts chip power; not a number if unknown
 * @param stop why it has ended, once it has
 */
public record Status(
    double seconds,
    Phase phase,
    double leftInPhaseSeconds,
    double leftSeconds,
    Optional<Boolean> settled,
    double driftKelvin,
    List<Condition> conditions,
    List<Double> coreCelsius,
    double hottestCelsius,
    double riseKelvin,
    double watts,
    Optional<Stop> stop) {
  /**
   * One thing that should stay as it is.
   *
   * @param name what it is
   * @param holds whether it does
   * @param words how it stands, such as "within 0.3 K"
   */
  public record Condition(String name, boolean holds, String words) {}

  /** Copies its lists. */
  public Status {
    conditions = List.copyOf(conditions);
    coreCelsius = List.copyOf(coreCelsius);
  }

  /** Whether the load should be on. */
  public boolean load() {
    return stop.isEmpty() && phase.kind().load();
  }
}
