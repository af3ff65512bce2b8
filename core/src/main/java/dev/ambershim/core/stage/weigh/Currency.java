package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.plan.Wish;
import java.util.Optional;

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
  private static final double ZERO_CELSIUS = 273.15;
  private static final double BY_FLOW = 1 / 0.6;
  private static final double DECIBELS = 50;

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
    double left = Math.max(0.2 * riseNow, riseNow - gainKelvin);
    return Math.pow(riseNow / left, 1 / PriorTable.BY_CLOCK.likely()) - 1;
  }

  /** The fan's speed at the same temperature, as a share of what it is. */
  double fan(double gainKelvin) {
    double cooler = watts * question.now().cooler().resistanceKelvinPerWatt();
    return Math.max(SLOWEST, Math.pow(1 + Math.max(-0.5, gainKelvin / cooler), -BY_FLOW));
  }

  /** How much quieter that is, dB. */
  static double decibels(double fan) {
    return -DECIBELS * Math.log10(fan);
  }

  /** How much longer it lasts by heat alone, as a factor. */
  double life(double gainKelvin) {
    double hot = room + riseNow + ZERO_CELSIUS;
    double cool = Math.max(1, hot - gainKelvin);
    return Math.exp(ACTIVATION / BOLTZMANN * (1 / cool - 1 / hot));
  }

  /**
   * What a gain is worth in the person's wish, such as "4.1 % more clock"; empty where kelvin say
   * it.
   */
  Optional<String> words(double gainKelvin, Notation notation) {
    return switch (wish) {
      case COOLER, LEAST_RISK -> Optional.empty();
      case MORE_CLOCK -> {
        double more = clock(gainKelvin);
        String share = notation.fixed(100 * Math.abs(more), 1) + " %";
        String megahertz =
            question.clockMegahertz() > 0
                ? " ("
                    + notation.text(
                        10 * Math.rint(Math.abs(more) * question.clockMegahertz() / 10),
                        Unit.MEGAHERTZ)
                    + ")"
                : "";
        yield Optional.of(
            "about " + share + megahertz + (more < 0 ? " less" : " more") + " clock as hot as now");
      }
      case QUIETER -> {
        double fan = fan(gainKelvin);
        yield question.now().cooler().kind() == CoolerClass.COLD_POT
            ? Optional.empty()
            : Optional.of(
                "the fan at "
                    + notation.fixed(100 * fan, 0)
                    + " % as hot as now, about "
                    + notation.fixed(Math.abs(decibels(fan)), 0)
                    + (fan > 1 ? " dB louder" : " dB quieter"));
      }
      case LONGER_LIFE ->
          Optional.of(
              "by heat alone it lasts about "
                  + notation.fixed(life(gainKelvin), 1)
                  + " times as long");
    };
  }
}
