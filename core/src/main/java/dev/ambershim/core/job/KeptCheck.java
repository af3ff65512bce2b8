package dev.ambershim.core.job;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.drift.Check;
import java.time.LocalDate;
import java.util.OptionalDouble;

/**
 * A dated reading of a chip in use. Its figures stand here, so that it is told even when its log is
 * gone.
 *
 * @param date the day
 * @param from what it was read from
 * @param source the log's name, or what the person calls it
 * @param riseKelvin mean of the cores over the room, K
 * @param watts chip power
 * @param errorKelvin standard error of the rise, or null
 * @param coolantKelvin the coolant over the room, or null
 * @param state the chip's state; empty for that after the work
 * @param mount from 1
 * @param fanTurns fan speed, turns a minute, or null
 * @param pumpTurns pump speed, turns a minute, or null
 */
public record KeptCheck(
    LocalDate date,
    From from,
    String source,
    double riseKelvin,
    double watts,
    Double errorKelvin,
    Double coolantKelvin,
    String state,
    Integer mount,
    Double fanTurns,
    Double pumpTurns) {
  /** What a check was read from. */
  public enum From {
    RUN("a steady run"),
    EVERYDAY("ordinary use"),
    TYPED("written down");

    private final String words;

    From(String words) {
      this.words = words;
    }

    /** It in words. */
    public String words() {
      return words;
    }
  }

  /** A check whose fan and pump are not known. */
  public KeptCheck(
      LocalDate date,
      From from,
      String source,
      double riseKelvin,
      double watts,
      Double errorKelvin,
      Double coolantKelvin,
      String state,
      Integer mount) {
    this(
        date,
        from,
        source,
        riseKelvin,
        watts,
        errorKelvin,
        coolantKelvin,
        state,
        mount,
        null,
        null);
  }

  /** Fills in what was not said. */
  public KeptCheck {
    from = from == null ? From.TYPED : from;
    source = source == null ? "" : source.strip();
    state = state == null ? "" : state.strip();
    mount = mount == null ? 1 : Math.max(1, mount);
  }

  /**
   * Refuses what cannot be.
   *
   * @throws Problem {@code check.…} naming the figure
   */
  public KeptCheck checked() {
    if (date == null) {
      throw problem("date", "date", "A check has no day.", "Write it as 2027-02-01.");
    }
    if (!Check.canRise(riseKelvin)) {
      throw problem(
          "rise",
          "rise",
          "A rise of " + riseKelvin + " K cannot be.",
          "Give the mean of the cores less the room.");
    }
    if (!Check.canDraw(watts)) {
      throw problem(
          "watts", "power", "A power of " + watts + " W cannot be.", "Give the chip's power.");
    }
    if (errorKelvin != null && !Check.canErr(errorKelvin)) {
      throw problem(
          "error", "error", "Such an error cannot be.", "Leave it empty if you do not know it.");
    }
    if (coolantKelvin != null && !(coolantKelvin >= -5 && coolantKelvin <= riseKelvin)) {
      throw problem(
          "coolant",
          "coolant",
          "The coolant cannot stand " + coolantKelvin + " K over the room.",
          "It lies between room and cores; leave it empty if you do not know it.");
    }
    return this;
  }

  private static Problem problem(String key, String field, String what, String remedy) {
    return new Problem("check." + key, Place.field(field), what, remedy);
  }

  /** The check for the course of the whole rise. */
  public Check whole() {
    return of(riseKelvin);
  }

  /** The check for the course of the coolant over the room, if that is known. */
  public Check coolant() {
    return of(coolantKelvin);
  }

  /** The check for the course of the cores over the coolant, if that is known. */
  public Check overCoolant() {
    return of(riseKelvin - coolantKelvin);
  }

  private Check of(double kelvin) {
    return new Check(
        date,
        kelvin,
        watts,
        state,
        String.valueOf(mount),
        optional(errorKelvin),
        optional(fanTurns),
        optional(pumpTurns));
  }

  private static OptionalDouble optional(Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }
}
