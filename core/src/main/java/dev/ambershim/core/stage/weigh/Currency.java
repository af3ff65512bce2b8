package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.FanLaw;
import dev.ambershim.core.plan.Wish;
import java.util.Optional;
import java.util.function.DoubleBinaryOperator;

/**
 * What kelvin are worth in what a person wants. Clock: heat may grow until the chip is as hot as
 * before, and goes with the clock as a power. Fan: it may turn slower until the chip is as hot as
 * before; its sound goes with the fifth power of its speed, 50·lg (fan laws; Bies &amp; Hansen,
 * <i>Engineering Noise Control</i>, from memory). Life: rates of wear go with temperature by
 * Arrhenius' law with 0.7 eV, as JEDEC JEP122 has it for several mechanisms (from memory; 0.5 to
 * 0.9 eV occur).
 */
final class Currency {
  private static final double BOLTZMANN = 8.617_333e-5;
  private static final double ACTIVATION = 0.7;

  /** 0.5 to 0.9 eV in nine cases of ten, as the table of priors has its ends. */
  private static final double ACTIVATION_SIGMA = 0.2 / Prior.ENDS;

  /** Eight cases of ten lie within so many standard deviations. */
  private static final double EIGHT_OF_TEN = Interval.normalHalf(Weighing.LEVEL);

  private static final double ZERO_CELSIUS = 273.15;

  /** No fan is slowed further, as a share: it stops or sticks there. */
  private static final double SLOWEST = 0.25;

  private final Question question;
  private final Wish wish;
  private final double riseNow;
  private final double watts;
  private final double room;

  Currency(Question question, WhatIf whatIf, double riseNow) {
    this.question = question;
    this.wish = question.terms().wish();
    this.riseNow = riseNow;
    this.watts = question.heatWatts() * whatIf.heat();
    this.room = question.roomCelsius() + whatIf.roomKelvin();
  }

  /** By how much the clock may go up at the same temperature, as a share. */
  double clock(double gainKelvin) {
    return clock(gainKelvin, PriorTable.BY_CLOCK.likely());
  }

  private double clock(double gainKelvin, double exponent) {
    double left = Math.max(0.2 * riseNow, riseNow - gainKelvin);
    return Math.pow(riseNow / left, 1 / exponent) - 1;
  }

  /** The fan's speed at the same temperature, as a share of what it is. */
  double fan(double gainKelvin) {
    double cooler = watts * question.now().cooler().resistanceKelvinPerWatt();
    return Math.max(SLOWEST, FanLaw.speedFor(1 + Math.max(-0.5, gainKelvin / cooler)));
  }

  /** How much quieter that is, dB. */
  static double decibels(double fan) {
    return -FanLaw.louderDecibels(fan);
  }

  /** How much longer it lasts by heat alone, as a factor. */
  double life(double gainKelvin) {
    return life(gainKelvin, ACTIVATION);
  }

  private double life(double gainKelvin, double electronVolts) {
    double hot = room + riseNow + ZERO_CELSIUS;
    double cool = Math.max(1, hot - gainKelvin);
    return Math.exp(electronVolts / BOLTZMANN * (1 / cool - 1 / hot));
  }

  /**
   * A worth with the doubts of the gain and of the rule that turns it into a worth, which have
   * nothing to do with each other.
   *
   * @param worth of a gain in K and a standard normal number for the rule
   */
  private static Interval range(
      DoubleBinaryOperator worth, double gainKelvin, Interval gain, double atMost) {
    double likely = worth.applyAsDouble(gainKelvin, 0);
    double down = likely - worth.applyAsDouble(gain.low(), 0);
    double up = worth.applyAsDouble(gain.high(), 0) - likely;
    double one = worth.applyAsDouble(gainKelvin, EIGHT_OF_TEN) - likely;
    double other = worth.applyAsDouble(gainKelvin, -EIGHT_OF_TEN) - likely;
    double below = Math.hypot(down, Math.min(0, Math.min(one, other)));
    double above = Math.hypot(up, Math.max(0, Math.max(one, other)));
    return new Interval(likely - below, Math.min(atMost, likely + above), gain.level());
  }

  /** The clock's share more, in eight cases of ten. */
  Interval clock(double gainKelvin, Interval gain) {
    double sigma = PriorTable.BY_CLOCK.sigma();
    return range((k, z) -> clock(k, PriorTable.BY_CLOCK.likely() + sigma * z), gainKelvin, gain, 9);
  }

  /** How many times as long it lasts, in eight cases of ten. */
  Interval life(double gainKelvin, Interval gain) {
    return range((k, z) -> life(k, ACTIVATION + ACTIVATION_SIGMA * z), gainKelvin, gain, 99);
  }

  /**
   * What a gain is worth in the person's wish, such as "about 120 MHz (60 to 210) more"; empty
   * where kelvin say it.
   *
   * @param gain where it lies in eight cases of ten
   */
  Optional<String> words(double gainKelvin, Interval gain, Notation notation) {
    return switch (wish) {
      case COOLER, LEAST_RISK -> Optional.empty();
      case MORE_CLOCK -> Optional.of(clockWords(gainKelvin, gain, notation));
      case QUIETER ->
          question.now().cooler().kind() == CoolerClass.COLD_POT
              ? Optional.empty()
              : Optional.of(fanWords(gainKelvin, gain, notation));
      case LONGER_LIFE -> {
        Interval range = life(gainKelvin, gain);
        yield Optional.of(
            "by heat alone it lasts about "
                + notation.fixed(life(gainKelvin), 1)
                + " times as long "
                + between(range.low(), range.high(), 1, notation));
      }
    };
  }

  private String clockWords(double gainKelvin, Interval gain, Notation notation) {
    double more = clock(gainKelvin);
    int sign = more < 0 ? -1 : 1;
    Interval range = clock(gainKelvin, gain);
    double near = sign * (more < 0 ? range.high() : range.low());
    double far = sign * (more < 0 ? range.low() : range.high());
    String what = (more < 0 ? " less" : " more") + " at today's temperature";
    if (question.clockMegahertz() > 0) {
      double unit = question.clockMegahertz() / 10;
      return "about "
          + notation.text(10 * Math.rint(Math.abs(more) * unit), Unit.MEGAHERTZ)
          + " "
          + between(10 * Math.rint(near * unit), 10 * Math.rint(far * unit), 0, notation)
          + what;
    }
    return "about "
        + notation.fixed(100 * Math.abs(more), 1)
        + " % "
        + between(100 * near, 100 * far, 1, notation)
        + what;
  }

  private String fanWords(double gainKelvin, Interval gain, Notation notation) {
    double fan = fan(gainKelvin);
    double slow = fan(gain.high());
    double quick = fan(gain.low());
    int sign = fan > 1 ? -1 : 1;
    return "the fan at "
        + notation.fixed(100 * fan, 0)
        + " % "
        + between(100 * slow, 100 * quick, 0, notation)
        + " at today's temperature, about "
        + notation.fixed(sign * decibels(fan), 0)
        + " dB "
        + between(
            sign * decibels(sign > 0 ? quick : slow),
            sign * decibels(sign > 0 ? slow : quick),
            0,
            notation)
        + (fan > 1 ? " louder" : " quieter");
  }

  private static String between(double low, double high, int places, Notation notation) {
    return "(" + notation.fixed(low, places) + " to " + notation.fixed(high, places) + ")";
  }
}
