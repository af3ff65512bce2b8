package dev.ambershim.core.runs.clocking;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.modes.SteadySolver;
import dev.ambershim.core.stage.prove.Headroom;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

@Tag("slow")
class ClockModelTest {
  private static final double ROOM = 22;

  /**
   * A chip's truth, solved by itself: the rise at a clock is the fixed point of heat and leakage.
   */
  private record Truth(double a, double leak, double doubling, double power, double volts) {
    double celsius(double clock) {
      double f = clock / 4700;
      double v = Math.pow(f, power);
      // From the room up: the lowest of the balances, where there are several.
      double t = ROOM;
      for (int i = 0; i < 3000 && t < 300; i++) {
        double rise = a * ((1 - leak) * f * v * v + leak * v * Math.pow(2, (t - 60) / doubling));
        if (Math.abs(ROOM + rise - t) < 1e-9) {
          break;
        }
        t = ROOM + rise;
      }
      return Math.min(t, 300);
    }

    double clockAt(double celsius) {
      double low = 2000;
      double high = 9000;
      for (int i = 0; i < 60; i++) {
        double middle = (low + high) / 2;
        if (celsius(middle) < celsius) {
          low = middle;
        } else {
          high = middle;
        }
      }
      return low;
    }

    Rung rung(double clock, double error, boolean withVolts) {
      return new Rung(
          clock,
          withVolts ? volts * Math.pow(clock / 4700, power) : null,
          Outcome.PASSED,
          "",
          celsius(clock) + error,
          ROOM,
          null,
          null,
          "",
          0.5);
    }

    Truth cooled(double factor) {
      return new Truth(a * factor, leak, doubling, power, volts);
    }
  }

  private static ClockLadder ladder(List<Rung> rungs) {
    return new ClockLadder(rungs, LadderTerms.USUAL, ROOM);
  }

  @Test
  void exactRungsWithVoltagesGiveTheLimitBack() {
    Truth truth = new Truth(45, 0.15, 30, 0.9, 1.25);
    List<Rung> rungs = new ArrayList<>();
    for (double clock = 4300; clock <= 4900; clock += 100) {
      rungs.add(truth.rung(clock, 0, true));
    }
    ClockModel model = ClockModel.of(List.of(ladder(rungs)), 0.3).orElseThrow();
    double there = truth.clockAt(90);
    ClockModel.Estimate estimate = model.clockAt(0, 90, ROOM);
    assertThat(Math.abs(estimate.value() - there)).isLessThan(0.01 * there);
    assertThat(estimate.interval().contains(there)).isTrue();
    assertThat(model.celsiusAt(0, there, Double.NaN, ROOM).interval().contains(90)).isTrue();
  }

  @Test
  void agreesWithTheConductionEngineOnLeakage() {
    // The engine finds its own rest between heat and leakage on a real stack; nothing of the model
    // is used there. Three rungs are shown to the model, and a fourth is foretold.
    Patch die = new Patch(0, 0, 14, 10);
    List<Rung> shown = new ArrayList<>();
    double foretold = 0;
    for (double clock : new double[] {4200, 4500, 4800, 5100}) {
      double f = clock / 4700;
      double v = Math.pow(f, 0.8);
      StackCase stack =
          new StackCase(
              List.of(
                  StackLayer.solid("die", 120, die, 700),
                  StackLayer.solid("lid", 401, new Patch(0, 0, 30, 30), 2500)),
              List.of(
                  new HeatSource(
                      "core",
                      new Patch(0, 0, 10, 8),
                      110 * f * v * v,
                      Optional.of(new HeatSource.Leakage(18 * v, 60, 30)))),
              9000,
              ROOM);
      double celsius =
          SteadySolver.plain()
              .solve(stack, OptionalLong.empty(), 0.002)
              .sources()
              .get(0)
              .meanCelsius();
      if (clock < 5000) {
        shown.add(new Rung(clock, 1.2 * v, Outcome.PASSED, "", celsius, ROOM, null, null, "", 0.1));
      } else {
        foretold = celsius;
      }
    }
    ClockModel model = ClockModel.of(List.of(ladder(shown)), 0).orElseThrow();
    ClockModel.Estimate there = model.celsiusAt(0, 5100, 1.2 * Math.pow(5100 / 4700.0, 0.8), ROOM);
    assertThat(there.interval().contains(foretold)).isTrue();
    assertThat(Math.abs(there.value() - foretold)).isLessThan(1.0);
  }

  @Test
  void intervalsHoldTheTruthAboutAsOftenAsTheySay() {
    SplittableRandom random = new SplittableRandom(17);
    int held = 0;
    int gained = 0;
    int count = 120;
    for (int i = 0; i < count; ) {
      Truth truth =
          new Truth(
              35 + 12 * random.nextDouble(),
              0.15 * Math.exp(0.4 * random.nextGaussian()),
              30 * Math.exp(0.2 * random.nextGaussian()),
              Math.max(0, 0.8 + 0.4 * random.nextGaussian()),
              1.2);
      if (truth.celsius(4800) > 105 || truth.celsius(truth.clockAt(90) + 50) > 120) {
        // Nobody climbs such a chip: it throttles on its first rung, or runs away near the limit.
        continue;
      }
      i++;
      Truth better = truth.cooled(0.8);
      List<Rung> before = new ArrayList<>();
      List<Rung> after = new ArrayList<>();
      for (double clock = 4500; clock <= 4800; clock += 100) {
        before.add(truth.rung(clock, 0.5 * random.nextGaussian(), false));
        after.add(better.rung(clock, 0.5 * random.nextGaussian(), false));
      }
      ClockModel model = ClockModel.of(List.of(ladder(before), ladder(after)), 0).orElseThrow();
      held += model.clockAt(0, 90, ROOM).interval().contains(truth.clockAt(90)) ? 1 : 0;
      double gain = better.clockAt(90) - truth.clockAt(90);
      gained += model.clockGain(90, ROOM).interval().contains(gain) ? 1 : 0;
    }
    // 95 % of 120 is 114, with a standard deviation of 2.4.
    assertThat(held).isBetween(107, 120);
    assertThat(gained).isBetween(107, 120);
  }

  @Test
  void runawayIsForetoldAndNotAFigure() {
    Truth truth = new Truth(20, 0.25, 18, 0.9, 1.25);
    List<Rung> rungs = new ArrayList<>();
    for (double clock = 4300; clock <= 4700; clock += 100) {
      rungs.add(truth.rung(clock, 0, true));
    }
    ClockModel model = ClockModel.of(List.of(ladder(rungs)), 0).orElseThrow();
    assertThat(truth.celsius(8500)).isEqualTo(300);
    assertThat(model.celsiusAt(0, 8500, Double.NaN, ROOM).interval().high()).isInfinite();
  }

  @Test
  void withoutRisesThereIsNoModel() {
    Rung bare = Rung.typed(4700, null, Outcome.PASSED, "", null, null);
    assertThat(ClockModel.of(List.of(ladder(List.of(bare))), 0)).isEmpty();
    Headroom headroom =
        Headroom.of(List.of(bare), List.of(), LadderTerms.USUAL, 0.3, Notation.METRIC);
    assertThat(headroom.heatLimit(false)).isEmpty();
    assertThat(headroom.gainByHeat()).isEmpty();
    assertThat(headroom.kelvinAtEqualClock()).isEmpty();
  }

  @Test
  void powersHelpAndAreUsed() {
    Truth truth = new Truth(42, 0.12, 30, 0.7, 1.2);
    List<Rung> without = new ArrayList<>();
    List<Rung> with = new ArrayList<>();
    for (double clock = 4500; clock <= 4800; clock += 100) {
      Rung r = truth.rung(clock, 0, false);
      without.add(r);
      with.add(
          new Rung(
              clock,
              null,
              r.outcome(),
              "",
              r.hottestCelsius(),
              ROOM,
              r.riseKelvin() / 0.3,
              null,
              "",
              0.5));
    }
    double rough =
        ClockModel.of(List.of(ladder(without)), 0)
            .orElseThrow()
            .clockAt(0, 90, ROOM)
            .interval()
            .width();
    double fine =
        ClockModel.of(List.of(ladder(with)), 0)
            .orElseThrow()
            .clockAt(0, 90, ROOM)
            .interval()
            .width();
    assertThat(fine).isLessThan(rough);
  }

  @Test
  void theModelsGainIsSaidWithItsLimits() {
    Truth truth = new Truth(45, 0.15, 30, 0.9, 1.25);
    Headroom headroom =
        Headroom.of(
            List.of(truth.rung(4500, 0, false), truth.rung(4700, 0, false)),
            List.of(truth.cooled(0.8).rung(4600, 0, false), truth.cooled(0.8).rung(4800, 0, false)),
            LadderTerms.USUAL,
            0.3,
            Notation.METRIC);
    var gain = headroom.gainByHeat().orElseThrow();
    assertThat(gain.value())
        .isBetween(gain.interval().orElseThrow().low(), gain.interval().orElseThrow().high());
    assertThat(gain.sentence()).contains("MHz higher after the work (");
    assertThat(gain.working().limits()).contains("It knows nothing of stability.");
    assertThat(headroom.kelvinAtEqualClock().orElseThrow().sentence())
        .startsWith("No rung stands on both sides, so by the model: at 4650 MHz");
  }
}
