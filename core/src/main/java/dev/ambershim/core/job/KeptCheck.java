package dev.ambershim.core.job;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.drift.Check;
import io.soabase.recordbuilder.core.RecordBuilder;
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
 * @param quickKelvin what of the rise follows a step of the power within seconds, K, or null
 * @param quickErrorKelvin its standard error, K, or null
 */
@RecordBuilder
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
    Double pumpTurns,
    Double quickKelvin,
    Double quickErrorKelvin)
    implements KeptCheckBuilder.With {
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

  /** A check whose fan, pump and quick part are not known. */
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
        null,
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
    if (quickKelvin != null && !(quickKelvin > 0 && quickKelvin <= 1.2 * riseKelvin)) {
      throw problem(
          "quick",
          "quick part",
          "The quick part of the rise cannot be " + quickKelvin + " K.",
          "It is a part of the rise; leave it empty if you do not know it.");
    }
    if (quickErrorKelvin != null && !Check.canErr(quickErrorKelvin)) {
      throw problem(
          "quick",
          "quick part",
          "Such an error of the quick part cannot be.",
          "Leave it empty if you do not know it.");
    }
    return this;
  }

  private static Problem problem(String key, String field, String what, String remedy) {
    return new Problem("check." + key, Place.field(field), what, remedy);
  }

  /** The check for the course of the whole rise. */
  public Check whole() {
    return of(riseKelvin, errorKelvin);
  }

  /** The check for the course of the coolant over the room, if that is known. */
  public Check coolant() {
    return of(coolantKelvin, errorKelvin);
  }

  /** The check for the course of the cores over the coolant, if that is known. */
  public Check overCoolant() {
    return of(riseKelvin - coolantKelvin, errorKelvin);
  }

  /** The check for the course of what shows within seconds, if that is known: die and joints. */
  public Check quick() {
    return of(quickKelvin, quickErrorKelvin);
  }

  /** The check for the course of what comes later, if that is known: cooler and coolant. */
  public Check slow() {
    Double error =
        errorKelvin == null || quickErrorKelvin == null
            ? null
            : (Double) Math.hypot(errorKelvin, quickErrorKelvin);
    return of(riseKelvin - quickKelvin, error);
  }

  private Check of(double kelvin, Double error) {
    return new Check(
        date,
        kelvin,
        watts,
        state,
        String.valueOf(mount),
        optional(error),
        optional(fanTurns),
        optional(pumpTurns));
  }

  private static OptionalDouble optional(Double value) {
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }
}
