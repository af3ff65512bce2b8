package dev.ambershim.core.stage.keep;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.FanLaw;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.runs.clocking.HeatByClock;
import dev.ambershim.core.runs.reading.Role;
import java.util.Optional;

/**
 * What a person does not want to see the cores at, and what they would give up before: a chip that
 * is too hot can run slower, or its fans faster.
 *
 * @param celsius mean of the cores, °C
 * @param roomCelsius in such a room, °C
 * @param clockLossPercent how far the clock may fall before, %
 * @param louderDecibels how much louder the fans may get before, dB over those of the checks
 * @param coolerKelvin what lies between coolant or fins and the room at the reference power, K; it
 *     shrinks with the fans' speed
 */
public record Limit(
    double celsius,
    double roomCelsius,
    double clockLossPercent,
    double louderDecibels,
    double coolerKelvin) {
  /** A limit nearer to the room than this is none, K. */
  private static final double LEAST_RISE = 1;

  private static final double MOST_CLOCK_PERCENT = 60;
  private static final double MOST_DECIBELS = 30;

  /**
   * Checks it.
   *
   * @throws Problem {@code limit.range}
   */
  public Limit {
    if (!(Room.canBe(roomCelsius)
        && Role.CORE.canBe(celsius)
        && celsius >= roomCelsius + LEAST_RISE)) {
      throw problem(
          celsius + " °C in a room of " + roomCelsius + " °C is no limit for cores.",
          "Give a temperature well over the room, such as 90.");
    }
    if (!(clockLossPercent >= 0
        && clockLossPercent <= MOST_CLOCK_PERCENT
        && louderDecibels >= 0
        && louderDecibels <= MOST_DECIBELS
        && coolerKelvin >= 0
        && coolerKelvin <= 500)) {
      throw problem(
          "So much clock or noise cannot be given up.",
          "Give 0 to 60 % of the clock and 0 to 30 dB.");
    }
  }

  /** A limit before which nothing is given up. */
  public Limit(double celsius, double roomCelsius) {
    this(celsius, roomCelsius, 0, 0, 0);
  }

  private static Problem problem(String what, String remedy) {
    return new Problem("limit.range", Place.field("limit"), what, remedy);
  }

  /**
   * The rise of the checks, at the reference power and today's fans, at which it is met, K: heat
   * falls with the clock, and the cooler's part with the fans' speed.
   */
  public double riseKelvin() {
    return riseKelvin(HeatByClock.LIKELY);
  }

  private double riseKelvin(double power) {
    double fans = FanLaw.resistance(FanLaw.speedAt(louderDecibels));
    return (celsius - roomCelsius) / HeatByClock.heat(1 - clockLossPercent / 100, power)
        + coolerKelvin * (1 - fans);
  }

  /**
   * What the date leaves out where clock is given up: how heat goes with it is known from chip to
   * chip only within a range.
   */
  public Optional<String> doubt(Notation notation) {
    return clockLossPercent == 0
        ? Optional.empty()
        : Optional.of(
            "How much heat goes with that clock differs between chips: the limit is a rise of "
                + notation.text(riseKelvin(HeatByClock.LOW), Unit.KELVIN)
                + " to "
                + notation.text(riseKelvin(HeatByClock.HIGH), Unit.KELVIN)
                + ". The dates take the likely one.");
  }

  /** It in words, such as "95 °C at 5 % less clock". */
  public String words(Notation notation) {
    return notation.text(celsius, Unit.CELSIUS)
        + (clockLossPercent > 0
            ? " at " + notation.text(clockLossPercent, Unit.PERCENT) + " less clock"
            : "")
        + (louderDecibels > 0
            ? (clockLossPercent > 0 ? " and" : "")
                + " with fans "
                + notation.text(louderDecibels, Unit.DECIBEL)
                + " louder"
            : "");
  }
}
