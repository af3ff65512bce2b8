package dev.ambershim.core.runs.clocking;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.util.List;

/**
 * One try on the clock ladder: a clock and a voltage under the ladder's load. A figure that nobody
 * read is null.
 *
 * @param clockMegahertz the clock that was set or held
 * @param voltageVolts core voltage under load
 * @param outcome how it ended
 * @param how how it failed, or why it was stopped, in a few words; else empty
 * @param hottestCelsius settled temperature of the hottest core
 * @param roomCelsius room air
 * @param watts chip power
 * @param minutes how long the load was held
 * @param from the log it comes from; empty if it was typed
 * @param errorKelvin standard error of the rise, for a rung from a log
 */
public record Rung(
    double clockMegahertz,
    Double voltageVolts,
    Outcome outcome,
    String how,
    Double hottestCelsius,
    Double roomCelsius,
    Double watts,
    Double minutes,
    String from,
    Double errorKelvin) {
  /** Ways to fail that people tell apart; common practice. */
  public static final List<String> FAILURES =
      List.of("wrong result", "froze", "restarted", "did not start");

  private static final String CLOCK = "clock";

  /** Clocks that differ by less are one: a clock that is read wanders by as much. */
  public static final double SAME_MEGAHERTZ = 10;

  /** Voltages that differ by less are one. */
  static final double SAME_VOLTS = 0.0075;

  /**
   * Standard error of a rise that was read off a display by hand: a sensor in whole kelvin (0.29),
   * a figure that moves while one reads it (0.4), a room thermometer in half kelvins (0.14) that is
   * right to 0.3; common practice, added in squares.
   */
  public static final double BY_HAND_KELVIN = 0.6;

  /**
   * Checks its figures, and fills in what an older record does not say.
   *
   * @throws Problem {@code rung.range}, naming the figure
   */
  public Rung {
    within(CLOCK, clockMegahertz, 100, 12_000, "MHz");
    within("voltage", voltageVolts, 0.3, 2.5, "V");
    within("hottest core", hottestCelsius, -200, 150, "°C");
    within("room air", roomCelsius, -200, 60, "°C");
    within("power", watts, 0.5, 2000, "W");
    within("minutes", minutes, 0, 100_000, "min");
    if (outcome == null) {
      throw new Problem(
          "rung.outcome",
          Place.field("outcome"),
          "The rung does not say how it ended.",
          "Say passed, failed, throttled, too hot or stopped.");
    }
    how = how == null ? "" : how.strip();
    from = from == null ? "" : from;
  }

  private static void within(String name, Double value, double low, double high, String unit) {
    if (value != null && !(value >= low && value <= high)) {
      throw new Problem(
          "rung.range",
          Place.field(name),
          "A " + name + " of " + value + " " + unit + " is out of range.",
          "Give "
              + plain(low)
              + " to "
              + plain(high)
              + " "
              + unit
              + (name.equals(CLOCK) ? slip(value) : ", or leave it out where it was not read."));
    }
  }

  /** A clock that can only be in gigahertz. */
  private static String slip(double value) {
    return value >= 0.3 && value <= 12 ? "; " + plain(value) + " looks like GHz." : ".";
  }

  private static String plain(double value) {
    return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
  }

  /** A rung that was typed, without power or time. */
  public static Rung typed(
      double megahertz, Double volts, Outcome outcome, String how, Double hottest, Double room) {
    return new Rung(megahertz, volts, outcome, how, hottest, room, null, null, "", null);
  }

  /** Whether it tells a rise over room air. */
  public boolean hasRise() {
    return hottestCelsius != null && roomCelsius != null;
  }

  /** Rise of the hottest core over room air, K; not a number where it is not known. */
  public double riseKelvin() {
    return hasRise() ? hottestCelsius - roomCelsius : Double.NaN;
  }

  /** Standard error of its rise, K. */
  public double sigmaKelvin() {
    return errorKelvin == null ? BY_HAND_KELVIN : Math.max(errorKelvin, 0.1);
  }

  /** The hottest core as it would be in a room; as it was read where the rung's room is unknown. */
  public double hottestIn(double room) {
    if (hottestCelsius == null) {
      return Double.NaN;
    }
    return hasRise() && !Double.isNaN(room) ? room + riseKelvin() : hottestCelsius;
  }

  /** Whether two rungs are at one clock. */
  public boolean atClock(double megahertz) {
    return Math.abs(clockMegahertz - megahertz) < SAME_MEGAHERTZ;
  }

  /** Whether two rungs are at one voltage, as far as is known. */
  public boolean sameVoltage(Rung other) {
    return voltageVolts == null
        || other.voltageVolts == null
        || Math.abs(voltageVolts - other.voltageVolts) < SAME_VOLTS;
  }
}
