package dev.ambershim.core.runs.drift;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a history says.
 *
 * @param trend what it does over time
 * @param watts the power that its rises were brought to
 * @param line the drift from the last check on; empty while all checks are of one day
 * @param jumps sudden changes, the oldest first
 * @param used the checks that count, the oldest first
 * @param apart checks that do not, each with its reason
 * @param states the states that count; more than one where the last has too few checks
 * @param chance of a history as odd as this where nothing happens; 1 while there are too few checks
 * @param remounts mounts that read much more or less than the one before, the oldest first
 * @param robust what asks for no distribution, beside it; empty while there are too few checks
 */
public record Drift(
    Trend trend,
    double watts,
    Optional<Line> line,
    List<Jump> jumps,
    List<Check> used,
    List<Apart> apart,
    List<String> states,
    double chance,
    List<Remount> remounts,
    Optional<Robust> robust) {
  /** Why a check does not count. */
  public enum Reason {
    /** Another state has another joint. */
    OTHER_STATE,
    /** Its power is too far off to be brought over. */
    OTHER_POWER,

    /** Its fan or pump ran at another speed than of late: what that does is not in the figures. */
    OTHER_COOLING,
    /** It stands far from all others. */
    OUTLIER
  }

  /**
   * A check that does not count.
   *
   * @param check the check
   * @param reason why
   * @param kelvin how far off it stands, K at the reference power; 0 where that is not the reason
   */
  public record Apart(Check check, Reason reason, double kelvin) {}

  /**
   * A mount that reads otherwise than the one before by more than mounts do.
   *
   * @param date its first check
   * @param kelvin by how much, K at the reference power; positive where it is hotter
   */
  public record Remount(LocalDate date, double kelvin) {}

  /**
   * The median of the slopes, and the test of ranks.
   *
   * @param perYear Theil and Sen's slope, K a year at the reference power
   * @param chance Mann and Kendall's chance of such an order where there is no trend
   */
  public record Robust(double perYear, double chance) {}

  /** Copies its lists. */
  public Drift {
    jumps = List.copyOf(jumps);
    used = List.copyOf(used);
    apart = List.copyOf(apart);
    remounts = List.copyOf(remounts);
    states = List.copyOf(states);
  }

  /** The day of the first check that counts. */
  public LocalDate first() {
    return used.get(0).date();
  }

  /** The day of the last check that counts. */
  public LocalDate last() {
    return used.get(used.size() - 1).date();
  }

  /** The checks that do not count for a reason. */
  public List<Apart> apart(Reason reason) {
    return apart.stream().filter(a -> a.reason() == reason).toList();
  }

  /** How much the rise grew from the first check to the last, K: the drift and all jumps. */
  public double grown() {
    double years = ChronoUnit.DAYS.between(first(), last()) / Course.DAYS_A_YEAR;
    return line.map(l -> l.perYear() * years).orElse(0.0)
        + jumps.stream().mapToDouble(Jump::kelvin).sum();
  }

  /** The jump that changed most; empty where there is none. */
  public Optional<Jump> largestJump() {
    return jumps.stream().max(Comparator.comparingDouble(j -> Math.abs(j.kelvin())));
  }

  /**
   * The newest check, if it stands apart: a jump or a bad reading, which only another one tells.
   */
  public Optional<Apart> newestApart() {
    return apart(Reason.OUTLIER).stream().filter(a -> a.check().date().isAfter(last())).findFirst();
  }
}
