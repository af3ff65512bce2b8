package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Settled part, room, power, throttling of one run. */
class RunAnalyserTest {
  @Test
  void settledFiguresOfACleanRun() {
    Synthetic made = new Synthetic();
    made.slowSeconds = 60;
    RunAnalysis a = made.run("clean", 1);
    assertThat(a.unfit()).isEmpty();
    assertThat(a.riseKelvin()).isCloseTo(50, within(0.3));
    assertThat(a.spreadKelvin()).isCloseTo(3, within(0.1));
    assertThat(a.hottestCoreCelsius() - a.meanCoreCelsius()).isCloseTo(1.5, within(0.1));
    assertThat(a.powerWatts()).isCloseTo(160, within(0.5));
    assertThat(a.resistanceKelvinPerWatt()).isCloseTo(50 / 160.0, within(0.003));
    assertThat(a.loadFromSeconds()).isEqualTo(30);
    assertThat(a.settledFromSeconds()).isBetween(60.0, 1000.0);
    assertThat(a.plateauSeconds()).isGreaterThan(800);
    assertThat(a.throttledSamples()).isZero();
  }

  @Test
  void withoutPowerTheLoadIsToldByTemperature() {
    Synthetic made = new Synthetic();
    made.withPower = false;
    made.slowSeconds = 60;
    RunAnalysis a = made.run("no power", 2);
    assertThat(a.loadFromSeconds()).isBetween(30.0, 40.0);
    assertThat(a.riseKelvin()).isCloseTo(50, within(0.3));
    assertThat(a.powerWatts()).isNaN();
    assertThat(a.resistanceKelvinPerWatt()).isNaN();
  }

  @Test
  void coolingDownAtTheEndDoesNotCount() {
    Synthetic made = new Synthetic();
    made.slowSeconds = 60;
    RunLog log = made.log("tail", 3);
    RunLog longer = withCooling(log, 300);
    RunAnalysis plain = RunAnalyser.analyse(log, OptionalDouble.empty());
    RunAnalysis tail = RunAnalyser.analyse(longer, OptionalDouble.empty());
    assertThat(tail.riseKelvin()).isCloseTo(plain.riseKelvin(), within(0.2));
    assertThat(tail.loadToSeconds()).isLessThanOrEqualTo(log.seconds()[log.size() - 1]);
  }

  private static RunLog withCooling(RunLog log, int seconds) {
    int n = log.size();
    double[] t = new double[n + seconds];
    for (int i = 0; i < t.length; i++) {
      t[i] = i;
    }
    List<Channel> channels = new ArrayList<>();
    for (Channel c : log.channels()) {
      double[] v = Arrays.copyOf(c.values(), t.length);
      for (int i = n; i < v.length; i++) {
        double fall = Math.exp(-(i - n) / 20.0);
        v[i] =
            switch (c.role()) {
              case CORE -> 30 + (c.values()[n - 1] - 30) * fall;
              case POWER -> 20;
              case CLOCK -> 1200;
              default -> c.values()[n - 1];
            };
      }
      channels.add(new Channel(c.name(), c.unit(), c.role(), 1, v));
    }
    return new RunLog(log.fileName(), t, channels, log.notes());
  }

  @Test
  void theRoomMayBeTyped() {
    Synthetic made = new Synthetic();
    made.withRoom = false;
    made.roomDrift = 0;
    RunLog log = made.log("typed", 4);
    assertThat(RunAnalyser.analyse(log, OptionalDouble.empty()).riseKelvin()).isNaN();
    RunAnalysis typed = RunAnalyser.analyse(log, OptionalDouble.of(23));
    assertThat(typed.riseKelvin()).isCloseTo(50, within(0.5));
    assertThat(typed.hasRoom()).isTrue();
  }

  @Test
  void aRoomThatWandersIsSaid() {
    Synthetic made = new Synthetic();
    made.roomDrift = 3;
    RunAnalysis a = made.run("drift", 5);
    assertThat(a.remarks()).anyMatch(r -> r.contains("room changed by"));
    assertThat(a.riseKelvin()).isCloseTo(50, within(0.5));
  }

  @Test
  void aRunThatNeverSettlesSaysSo() {
    Synthetic made = new Synthetic();
    made.slowShare = 0.7;
    made.slowSeconds = 3000;
    RunAnalysis a = made.run("creeping", 6);
    assertThat(a.unfit()).isPresent();
    assertThat(a.unfit().get()).contains("still warming").contains("minutes of load would do");
  }

  @Test
  void whatMayHaveBeenWarmIsNotToldToLastMinutesThatAreOver() {
    Synthetic made = new Synthetic();
    made.seconds = 480;
    made.slowSeconds = 60;
    made.phi = 0.97;
    Pattern minutes = Pattern.compile("about (\\d+) minutes of load would do");
    int open = 0;
    for (int seed = 0; seed < 150; seed++) {
      String why = made.run("noisy", seed).unfit().orElse("");
      open += why.contains("may have been still warming") ? 1 : 0;
      Matcher found = minutes.matcher(why);
      if (found.find()) {
        assertThat(Integer.parseInt(found.group(1))).as(why).isGreaterThan(480 / 60);
      }
    }
    assertThat(open).isPositive();
  }

  @Test
  void aShortRunSaysSo() {
    Synthetic made = new Synthetic();
    made.seconds = 25;
    RunAnalysis a = made.run("short", 7);
    assertThat(a.unfit().orElseThrow()).contains("25 samples under load");
    assertThat(a.error()).isEmpty();
    made.seconds = 45;
    assertThat(made.run("longer", 7).unfit().orElseThrow())
        .contains("45 samples under load, too few to tell");
  }

  @Test
  void flaggedSamplesAreLeftOutAndCounted() {
    Synthetic made = new Synthetic();
    made.slowSeconds = 60;
    RunLog log = made.log("flagged", 8);
    double[] flags = new double[log.size()];
    for (int i = 1500; i < 1560; i++) {
      flags[i] = 1;
      for (Channel c : log.with(Role.CORE)) {
        c.values()[i] += 30;
      }
    }
    List<Channel> channels = new ArrayList<>(log.channels());
    channels.add(new Channel("throttling", "", Role.THROTTLE, 1, flags));
    RunAnalysis a =
        RunAnalyser.analyse(
            new RunLog("flagged", log.seconds(), channels, log.notes()), OptionalDouble.empty());
    assertThat(a.throttledSamples()).isEqualTo(60);
    assertThat(a.throttledSeconds()).isCloseTo(60, within(1.0));
    assertThat(a.riseKelvin()).isCloseTo(50, within(0.4));
    assertThat(a.remarks()).anyMatch(r -> r.startsWith("60 throttled samples"));
  }

  @Test
  void throttlingIsToldFromClockAndTemperatureTogether() {
    RunLog log = throttling(95);
    RunAnalysis a = RunAnalyser.analyse(log, OptionalDouble.empty());
    assertThat(a.throttledSamples()).isGreaterThan(1000);
    assertThat(a.unfit().orElseThrow()).contains("throttled for most");
  }

  @Test
  void aFallingClockOnACoolChipIsNoThrottling() {
    RunAnalysis a = RunAnalyser.analyse(throttling(70), OptionalDouble.empty());
    assertThat(a.throttledSamples()).isZero();
  }

  /** Full clock for a minute, then 8 % less, at a held temperature. */
  private static RunLog throttling(double ceiling) {
    Synthetic made = new Synthetic();
    RunLog log = made.log("held", 9);
    Random random = new Random(1);
    for (Channel c : log.channels()) {
      for (int i = 30; i < log.size(); i++) {
        if (c.role() == Role.CORE) {
          c.values()[i] = ceiling - 1 + random.nextInt(2);
        } else if (c.role() == Role.CLOCK && i > 90) {
          c.values()[i] = 4324;
        }
      }
    }
    return log;
  }

  @Test
  void thePackageStandsInForMissingCores() {
    Synthetic made = new Synthetic();
    made.cores = 1;
    RunLog log = made.log("package", 10).withRoles(Map.of("core 0", Role.PACKAGE));
    RunAnalysis a = RunAnalyser.analyse(log, OptionalDouble.empty());
    assertThat(a.spreadKelvin()).isNaN();
    assertThat(a.remarks()).anyMatch(r -> r.contains("package temperature stands in"));
  }

  @Test
  void withoutAnyTemperatureTheColumnsAreNamed() {
    Synthetic made = new Synthetic();
    made.cores = 1;
    RunLog log = made.log("none", 11).withRoles(Map.of("core 0", Role.UNUSED));
    assertThatThrownBy(() -> RunAnalyser.analyse(log, OptionalDouble.empty()))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("none: No column is known")
        .hasMessageContaining("\"core 0\"");
  }

  @Test
  void aSaidRoleTakesTheOnlyPlace() {
    RunLog log = new Synthetic().log("roles", 12).withRoles(Map.of("clock", Role.POWER));
    assertThat(log.with(Role.POWER)).extracting(Channel::name).containsExactly("clock");
    assertThat(log.with(Role.POWER).get(0).confidence()).isEqualTo(1);
  }

  @Test
  void missingSamplesOfOneCoreDoNotShiftTheMean() {
    Synthetic made = new Synthetic();
    made.slowSeconds = 60;
    RunLog log = made.log("holes", 13);
    double[] coolest = log.with(Role.CORE).get(0).values();
    for (int i = 900; i < 1700; i += 3) {
      coolest[i] = Double.NaN;
    }
    RunAnalysis a = RunAnalyser.analyse(log, OptionalDouble.empty());
    assertThat(a.riseKelvin()).isCloseTo(50, within(0.3));
  }
}
