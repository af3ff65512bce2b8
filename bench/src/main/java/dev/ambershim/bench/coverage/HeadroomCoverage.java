package dev.ambershim.bench.coverage;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.clocking.LadderTerms;
import dev.ambershim.core.runs.clocking.Outcome;
import dev.ambershim.core.runs.clocking.Rung;
import dev.ambershim.core.stage.prove.Headroom;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * How often the told gain of clock holds the true one. A chip here has a resistance that its mount
 * shifts, heat that goes with clock, voltage and leakage of its own, as far apart as chips are held
 * to be (leakage of 15 % by a factor of 1.8, doubling in 30 K by 1.35, voltage by the clock's power
 * 0.8 &plusmn; 0.5, standard deviations), and an edge of stability that is soft: close to it a try
 * passes or fails by chance. A person climbs until a rung does not pass, and reads whole degrees.
 */
public final class HeadroomCoverage {
  private static final double LIMIT = 90;
  private static final double THROTTLES = 100;
  private static final double REMOUNT_KELVIN = 0.5;

  private HeadroomCoverage() {}

  /** One state of a chip. */
  private record Chip(
      double kelvinPerWatt,
      double wattsAtFive,
      double leakingShare,
      double leakingKelvin,
      double voltagePower,
      double stableMegahertz,
      double softMegahertz) {
    double celsius(double megahertz, double room, double remount) {
      double clock = megahertz / 5000;
      double volts = Math.pow(clock, voltagePower);
      double celsius = room;
      for (int i = 0; i < 100; i++) {
        double leak = leakingShare * volts * Math.exp((celsius - 60) / leakingKelvin);
        double watts = wattsAtFive * ((1 - leakingShare) * clock * volts * volts + leak);
        celsius = room + kelvinPerWatt * watts + remount;
        if (celsius > 300) {
          return 300;
        }
      }
      return celsius;
    }

    /** The true highest clock on a mount like any other. */
    double top(double room) {
      double low = 2000;
      double high = 9000;
      for (int i = 0; i < 50; i++) {
        double middle = (low + high) / 2;
        if (celsius(middle, room, 0) < LIMIT) {
          low = middle;
        } else {
          high = middle;
        }
      }
      return Math.min(low, stableMegahertz);
    }
  }

  private static List<Rung> climb(
      Chip chip, double step, int tries, boolean temperatures, Random random) {
    double remount = REMOUNT_KELVIN * random.nextGaussian();
    double start = Math.floor(chip.top(22) / step - 3 - random.nextInt(2)) * step;
    List<Rung> rungs = new ArrayList<>();
    for (double clock = start; clock < 9000; clock += step) {
      boolean passed = true;
      for (int t = 0; t < tries && passed; t++) {
        double room = 21 + 2 * random.nextDouble();
        double hot = chip.celsius(clock, room, remount);
        double edge = chip.stableMegahertz() + chip.softMegahertz() * random.nextGaussian();
        // A chip that gets hotter than this holds itself back.
        double read = Math.rint(Math.min(hot, THROTTLES) + 0.4 * random.nextGaussian());
        double roomRead = Math.rint(2 * (room + 0.3 * random.nextGaussian())) / 2;
        Outcome outcome =
            clock > edge ? Outcome.FAILED : hot > THROTTLES ? Outcome.THROTTLED : Outcome.PASSED;
        if (outcome == Outcome.PASSED && !temperatures && read > LIMIT) {
          outcome = Outcome.TOO_HOT;
        }
        rungs.add(
            Rung.typed(
                clock,
                null,
                outcome,
                "",
                temperatures ? read : null,
                temperatures ? roomRead : null));
        passed = outcome == Outcome.PASSED && !(temperatures && read + 22 - roomRead > LIMIT);
      }
      if (!passed) {
        break;
      }
    }
    return rungs;
  }

  /**
   * One set.
   *
   * @param heatStops whether heat stops the climb; else stability does
   * @param gains whether the work brings anything
   */
  static Coverage set(
      String name,
      boolean heatStops,
      boolean gains,
      double step,
      int tries,
      boolean temperatures,
      int repeats) {
    int told = 0;
    int held = 0;
    int claimed = 0;
    double width = 0;
    for (int r = 0; r < repeats; r++) {
      Random random = Chance.of(name, r);
      Chip before =
          new Chip(
              0.36 + 0.08 * random.nextDouble(),
              150 + 40 * random.nextDouble(),
              Math.min(0.5, 0.15 * Math.exp(0.6 * random.nextGaussian())),
              30 / Math.log(2) * Math.exp(0.3 * random.nextGaussian()),
              Math.max(0, 0.8 + 0.5 * random.nextGaussian()),
              heatStops ? 8000 : 4700 + 600 * random.nextDouble(),
              8 + 30 * random.nextDouble());
      if (!heatStops) {
        before =
            new Chip(
                0.25,
                before.wattsAtFive(),
                before.leakingShare(),
                before.leakingKelvin(),
                before.voltagePower(),
                before.stableMegahertz(),
                before.softMegahertz());
      }
      Chip after =
          gains
              ? new Chip(
                  before.kelvinPerWatt() * (0.8 + 0.2 * random.nextDouble()),
                  before.wattsAtFive(),
                  before.leakingShare(),
                  before.leakingKelvin(),
                  before.voltagePower(),
                  before.stableMegahertz() + 60 * random.nextDouble(),
                  before.softMegahertz())
              : before;
      List<Rung> first = climb(before, step, tries, temperatures, random);
      List<Rung> second = climb(after, step, tries, temperatures, random);
      LadderTerms terms = new LadderTerms(LIMIT, step, 22.0, "");
      Headroom headroom = Headroom.of(first, second, terms, 0.5, Notation.METRIC);
      if (headroom.gain().isEmpty()) {
        continue;
      }
      Interval interval = headroom.gain().get().interval();
      told++;
      held += interval.contains(after.top(22) - before.top(22)) ? 1 : 0;
      claimed += !gains && !interval.contains(0) ? 1 : 0;
      width += (interval.high() - interval.low()) / 2;
    }
    return new Coverage(name, repeats, told, held, claimed, told == 0 ? 0 : width / told);
  }

  /** All sets. */
  public static List<Coverage> all(int repeats) {
    List<Coverage> all = new ArrayList<>();
    for (double step : new double[] {25, 50, 100}) {
      String at = "." + (int) step;
      all.add(set("headroom.heat.nothing" + at, true, false, step, 1, true, repeats));
      all.add(set("headroom.heat.gain" + at, true, true, step, 1, true, repeats));
      all.add(set("headroom.heat.noTemperatures" + at, true, true, step, 1, false, repeats));
      all.add(set("headroom.stable.nothing" + at, false, false, step, 1, true, repeats));
      all.add(set("headroom.stable.repeats" + at, false, true, step, 3, true, repeats));
    }
    return all;
  }
}
