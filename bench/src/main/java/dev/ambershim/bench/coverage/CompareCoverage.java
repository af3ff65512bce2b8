package dev.ambershim.bench.coverage;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.judging.Comparison;
import dev.ambershim.core.runs.judging.Judging;
import dev.ambershim.core.runs.judging.MountedRun;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;

/**
 * How often the interval of a comparison holds the true change. Nothing was changed between the
 * sides but what each set says, so the truth of most sets is zero.
 */
public final class CompareCoverage {
  /**
   * Between several mounts, K; with one each side nothing scatters, and nothing is assumed, but in
   * the sets that say so.
   */
  private static final double REMOUNT_KELVIN = 0.4;

  /**
   * How far the exponent of the rise may lie above one: chips of one die at 80 to 200 W, solved in
   * full, have up to 0.07 by silicon that conducts worse and 0.02 by power that is missing in the
   * cores alone.
   */
  private static final double MOST_BENT = 0.09;

  /** How a set makes a side: the run as it would be, and chance; the second side is side 1. */
  @FunctionalInterface
  public interface Side {
    /** Sets up one run of a side. */
    void set(TrueRun run, Random random, int side);
  }

  private CompareCoverage() {}

  /** One side has three mounts here; elsewhere one. */
  static Coverage powers(double less, int mounts, int repeats) {
    return nulls(
        "compare.power." + Math.round(less * 1000) / 10.0 + (mounts > 1 ? ".mounts" : ""),
        (run, random, side) -> run.watts *= side == 1 ? 1 - less : 1,
        mounts,
        repeats,
        0);
  }

  /**
   * The same with what the correction leaves open: silicon conducts worse as it gets hotter, and
   * less power may be less in the cores alone, so a rise goes with a power of the power. It is
   * drawn anew for each case; the set before has it at one.
   */
  static Coverage bentPowers(double less, int mounts, int repeats) {
    double[] bend = new double[1];
    return nulls(
        "compare.powerBent." + Math.round(less * 1000) / 10.0 + (mounts > 1 ? ".mounts" : ""),
        (run, random, side) -> {
          if (side == 0) {
            bend[0] = MOST_BENT * random.nextDouble();
            return;
          }
          run.watts *= 1 - less;
          double factor = Math.pow(1 - less, bend[0]);
          run.quickKelvinPerWatt *= factor;
          run.slowKelvinPerWatt *= factor;
        },
        mounts,
        repeats,
        0);
  }

  /**
   * One mount each side that scatters as is usual, and that is judged as is usual: as a person who
   * has told nothing gets it.
   */
  static Coverage usualPowers(double less, int repeats) {
    return nulls(
        "compare.power." + Math.round(less * 1000) / 10.0 + ".usual",
        (run, random, side) -> {
          run.quickKelvinPerWatt +=
              Judging.USUAL_REMOUNT_KELVIN / run.watts * random.nextGaussian();
          run.watts *= side == 1 ? 1 - less : 1;
        },
        1,
        repeats,
        0,
        Judging.of(0));
  }

  /** Sets whose true change at equal power is nothing, judged without any assumption. */
  static Coverage nulls(String name, Side side, int mounts, int repeats, double typedError) {
    return nulls(name, side, mounts, repeats, typedError, new Judging(0, 0));
  }

  private static Coverage nulls(
      String name, Side side, int mounts, int repeats, double typedError, Judging judging) {
    int told = 0;
    int held = 0;
    int claimed = 0;
    double width = 0;
    for (int r = 0; r < repeats; r++) {
      Random random = Chance.of(name, r);
      List<List<MountedRun>> sides = List.of(new ArrayList<>(), new ArrayList<>());
      for (int s = 0; s < 2; s++) {
        for (int mount = 0; mount < mounts; mount++) {
          TrueRun run = new TrueRun();
          double scatter = mounts > 1 ? REMOUNT_KELVIN : 0;
          run.quickKelvinPerWatt += scatter / run.watts * random.nextGaussian();
          side.set(run, random, s);
          OptionalDouble typed = OptionalDouble.empty();
          if (!run.roomLogged && typedError >= 0) {
            // Read off at some time of the run, or before it, by a thermometer of its own error.
            double when = random.nextDouble() * run.seconds;
            typed = OptionalDouble.of(run.room(when) + typedError * random.nextGaussian());
          }
          RunAnalysis analysis = RunAnalyser.analyse(run.log("run", random.nextLong()), typed);
          sides.get(s).add(new MountedRun(analysis, mount + 1));
        }
      }
      Comparison c = Comparison.of(sides.get(0), sides.get(1), judging, Notation.METRIC);
      if (c.interval().isEmpty()) {
        continue;
      }
      told++;
      held += c.interval().get().contains(0) ? 1 : 0;
      claimed += c.verdict() == Verdict.HELPED || c.verdict() == Verdict.HURT ? 1 : 0;
      width += (c.interval().get().high() - c.interval().get().low()) / 2;
    }
    return new Coverage(name, repeats, told, held, claimed, told == 0 ? 0 : width / told);
  }

  /** All sets. */
  public static List<Coverage> all(int repeats) {
    List<Coverage> all = new ArrayList<>();
    for (int mounts : new int[] {1, 3}) {
      for (double less : new double[] {0, 0.01, 0.02, 0.028, 0.05, 0.09}) {
        all.add(powers(less, mounts, repeats));
      }
    }
    for (double less : new double[] {0, 0.02, 0.05, 0.09}) {
      all.add(usualPowers(less, repeats));
    }
    for (double less : new double[] {0.05, 0.09}) {
      all.add(bentPowers(less, 1, repeats));
      all.add(bentPowers(less, 3, repeats));
    }
    all.add(typed(repeats));
    all.add(typedAndMoving(repeats));
    all.add(lagging(repeats));
    all.add(swinging(repeats));
    all.add(noRoom(0.05, repeats));
    all.add(wholeDegrees(repeats));
    all.add(shortRuns(240, 600, repeats));
    all.add(shortRuns(300, 600, repeats));
    all.add(shortRuns(900, 600, repeats));
    all.add(shortRuns(1500, 600, repeats));
    all.add(shortRuns(2100, 600, repeats));
    all.add(shortRuns(900, 200, repeats));
    all.add(throttled(0.115, repeats));
    all.add(throttled(0.13, repeats));
    return all;
  }

  /** Rooms typed with errors of 0.3 K a side. */
  static Coverage typed(int repeats) {
    return nulls(
        "compare.roomTyped", (run, random, side) -> run.roomLogged = false, 1, repeats, 0.3);
  }

  /** The same in a room that moves by 1.5 K during the run, up or down. */
  static Coverage typedAndMoving(int repeats) {
    return nulls(
        "compare.roomTypedMoving",
        (run, random, side) -> {
          run.roomLogged = false;
          run.roomMovesKelvin = random.nextBoolean() ? 1.5 : -1.5;
        },
        1,
        repeats,
        0.1);
  }

  /** A logged room that moves by 1.5 K, and a loop that lags behind it by 200 s. */
  static Coverage lagging(int repeats) {
    return nulls(
        "compare.roomLag",
        (run, random, side) -> {
          run.loopSeconds = 200;
          run.roomMovesKelvin = random.nextBoolean() ? 1.5 : -1.5;
        },
        3,
        repeats,
        0);
  }

  /** A heater that comes and goes. */
  static Coverage swinging(int repeats) {
    return nulls(
        "compare.roomSwing",
        (run, random, side) -> {
          run.loopSeconds = 200;
          run.roomSwingKelvin = 0.7;
          run.roomPeriodSeconds = 900 + 1200 * random.nextDouble();
        },
        1,
        repeats,
        0);
  }

  /** No room at all, and other power: nothing may be claimed. */
  static Coverage noRoom(double less, int repeats) {
    return nulls(
        "compare.noRoom",
        (run, random, side) -> {
          run.roomLogged = false;
          run.watts *= side == 1 ? 1 - less : 1;
        },
        1,
        repeats,
        -1);
  }

  /** One sensor that shows whole degrees, and little noise. */
  static Coverage wholeDegrees(int repeats) {
    return nulls(
        "compare.wholeDegrees",
        (run, random, side) -> {
          run.cores = 1;
          run.coreStep = 1;
          run.noiseKelvin = 0.15;
          run.roomCelsius += random.nextDouble();
        },
        1,
        repeats,
        0);
  }

  /** Runs that are short for their loop, of another length before than after. */
  static Coverage shortRuns(int seconds, double loopSeconds, int repeats) {
    return nulls(
        "compare.short." + seconds + "." + (int) loopSeconds,
        (run, random, side) -> {
          run.seconds = side == 0 ? 3600 : seconds;
          run.loopSeconds = loopSeconds;
        },
        1,
        repeats,
        0);
  }

  /** A chip that is held at 92 °C for a part of one run. */
  static Coverage throttled(double more, int repeats) {
    return nulls(
        "compare.throttled." + more,
        (run, random, side) -> {
          run.quickKelvinPerWatt += more;
          if (side == 1) {
            run.limitCelsius = 92;
          }
        },
        1,
        repeats,
        0);
  }
}
