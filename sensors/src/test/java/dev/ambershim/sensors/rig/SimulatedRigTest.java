package dev.ambershim.sensors.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.runlog.LogReader;
import dev.ambershim.core.runlog.Role;
import dev.ambershim.core.runlog.RunAnalyser;
import dev.ambershim.core.runlog.RunAnalysis;
import dev.ambershim.core.runlog.RunLog;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** The rig against its own settings, through the whole chain of writing and reading a log. */
class SimulatedRigTest {
  private static RigSettings settings(double limit, long seed) {
    return new RigSettings(
        List.of(-3.0, 1.0, 4.0, -2.0),
        150,
        20,
        4500,
        0.25,
        0.1,
        4,
        60,
        22,
        0.4,
        limit,
        0.6,
        40,
        1200,
        60,
        seed);
  }

  private static RunLog log(RigSettings settings, RigLog.Habit habit) {
    String text =
        RigLog.write(new SimulatedRig(settings).run(), habit, LocalDateTime.of(2026, 6, 1, 23, 50));
    return LogReader.read("rig.csv", text.getBytes(StandardCharsets.UTF_8));
  }

  @Test
  void theSameSeedGivesTheSameSamples() {
    assertThat(new SimulatedRig(settings(110, 5)).run())
        .isEqualTo(new SimulatedRig(settings(110, 5)).run());
    assertThat(new SimulatedRig(settings(110, 5)).run())
        .isNotEqualTo(new SimulatedRig(settings(110, 6)).run());
  }

  @ParameterizedTest
  @EnumSource(RigLog.Habit.class)
  void theSettledRiseIsHeatTimesResistance(RigLog.Habit habit) {
    RunLog log = log(settings(110, 1), habit);
    assertThat(log.size()).isEqualTo(1300);
    assertThat(log.with(Role.CORE)).hasSize(4);
    assertThat(log.notes().decimalComma()).isEqualTo(habit == RigLog.Habit.COMMA);
    for (Role role :
        List.of(Role.PACKAGE, Role.COOLANT, Role.ROOM, Role.POWER, Role.CLOCK, Role.THROTTLE)) {
      assertThat(log.with(role)).as(role.words()).hasSize(1);
    }
    RunAnalysis a = RunAnalyser.analyse(log, OptionalDouble.empty());
    assertThat(a.unfit()).isEmpty();
    assertThat(a.riseKelvin()).isCloseTo(150 * 0.35, within(0.5));
    assertThat(a.spreadKelvin()).isCloseTo(7, within(0.4));
    assertThat(a.throttledSamples()).isZero();
  }

  @Test
  void atItsLimitItHoldsBack() {
    RunLog log = log(settings(72, 2), RigLog.Habit.POINT);
    RunAnalysis a = RunAnalyser.analyse(log, OptionalDouble.empty());
    assertThat(a.throttledSamples()).isGreaterThan(600);
    double[] clock = log.with(Role.CLOCK).get(0).values();
    assertThat(clock[1000]).isBetween(0.6 * 4500, 0.985 * 4500);
    assertThat(a.unfit().orElseThrow()).contains("throttled");
  }

  @Test
  void restIsCoolAndLoadIsWarm() {
    List<RigSample> samples = new SimulatedRig(settings(110, 3)).run();
    assertThat(samples.get(10).watts()).isLessThan(30);
    assertThat(samples.get(1000).watts()).isGreaterThan(140);
    assertThat(samples.get(1000).packageCelsius())
        .isGreaterThan(samples.get(10).packageCelsius() + 30);
    assertThat(samples.get(1299).coolantCelsius()).isLessThan(samples.get(1200).coolantCelsius());
  }
}
