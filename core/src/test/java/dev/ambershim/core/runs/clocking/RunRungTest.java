package dev.ambershim.core.runs.clocking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.prove.Headroom;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.api.Test;

/** A run as a rung: at its clock, ended as its log says. */
class RunRungTest {
  private static RunLog log(int seconds, String head, IntToDoubleFunction clock) {
    StringBuilder text = new StringBuilder(head).append('\n');
    for (int i = 0; i < seconds; i++) {
      double t = 72 - 40 * Math.exp(-i / 25.0) + 0.4 * Math.sin(i * 1.7);
      text.append(
          String.format(
              Locale.ROOT,
              "%d,%.2f,%.2f,22.5,160,%.0f,1.20,%s%n",
              i,
              t - 2,
              t + 2,
              clock.applyAsDouble(i),
              clock.applyAsDouble(i) < 4500 ? "yes" : "no"));
    }
    return LogReader.read("run.csv", text.toString().getBytes(StandardCharsets.UTF_8));
  }

  private static Rung rung(RunLog log) {
    return RunRung.of(log, RunAnalyser.analyse(log, OptionalDouble.empty())).orElseThrow();
  }

  private static final String HEAD =
      "time [s],core 0 [°C],core 1 [°C],room [°C],power [W],clock [MHz],core voltage [V],throttling";

  @Test
  void aSettledRunPassesAtItsClockWithAllThatItsLogTells() {
    Rung rung = rung(log(900, HEAD, i -> 4699.6));
    assertThat(rung.clockMegahertz()).isEqualTo(4700);
    assertThat(rung.outcome()).isEqualTo(Outcome.PASSED);
    assertThat(rung.voltageVolts()).isCloseTo(1.2, within(1e-9));
    assertThat(rung.hottestCelsius()).isCloseTo(74, within(0.2));
    assertThat(rung.riseKelvin()).isCloseTo(51.5, within(0.2));
    assertThat(rung.watts()).isCloseTo(160, within(1e-6));
    assertThat(rung.minutes()).isCloseTo(15, within(0.1));
    assertThat(rung.from()).isEqualTo("run.csv");
    // A log tells its own error, and it is smaller than a look at a display.
    assertThat(rung.sigmaKelvin()).isLessThan(Rung.BY_HAND_KELVIN);
  }

  @Test
  void aRunThatLoweredItsClockIsThrottledAtTheClockBefore() {
    Rung rung = rung(log(900, HEAD, i -> i > 60 && i % 4 > 0 ? 4300 : 4700));
    assertThat(rung.clockMegahertz()).isEqualTo(4700);
    assertThat(rung.outcome()).isEqualTo(Outcome.THROTTLED);
  }

  @Test
  void aRunThatEndedTooSoonWasStopped() {
    Rung rung = rung(log(25, HEAD, i -> 4700));
    assertThat(rung.outcome()).isEqualTo(Outcome.STOPPED);
    assertThat(rung.how()).isNotEmpty();
    Headroom headroom =
        Headroom.of(List.of(rung), List.of(), LadderTerms.USUAL, 0.3, Notation.METRIC);
    // It tells nothing of whether the chip would have held that clock.
    assertThat(headroom.finding().sentence()).startsWith("It holds what no rung tells yet");
    assertThat(headroom.before().lowestBlock()).isEmpty();
    assertThat(headroom.reasons()).noneMatch(r -> r.contains("4700"));
  }

  @Test
  void aLogWithoutAClockIsNoRung() {
    RunLog log =
        log(900, HEAD.replace("clock [MHz]", "pressure [hPa]").replace("voltage", "x"), i -> 950);
    assertThat(RunRung.of(log, RunAnalyser.analyse(log, OptionalDouble.empty()))).isEmpty();
  }

  @Test
  void rungsHeldForOtherTimesAreNamed() {
    Rung brief = new Rung(4700, null, Outcome.PASSED, "", 80.0, 22.0, null, 10.0, "", null);
    Rung lasting = new Rung(4800, null, Outcome.PASSED, "", 80.0, 22.0, null, 60.0, "", null);
    Headroom headroom =
        Headroom.of(List.of(brief), List.of(lasting), LadderTerms.USUAL, 0.3, Notation.METRIC);
    assertThat(headroom.reasons())
        .contains("They were held for 60 and 10 minutes; hold both as long to be sure.");
    assertThat(headroom.headline()).isEmpty();
    assertThat(headroom.finding().sentence()).endsWith("That tells no gain yet.");
  }

  @Test
  void withoutRoomsTheLimitIsJudgedInTheRoomOfTheDay() {
    Rung hot = Rung.typed(4800, null, Outcome.PASSED, "", 91.0, null);
    Headroom headroom =
        Headroom.of(List.of(hot), List.of(), LadderTerms.USUAL, 0.3, Notation.METRIC);
    assertThat(headroom.before().counts(hot)).isEqualTo(Outcome.TOO_HOT);
    assertThat(headroom.reasons()).anyMatch(r -> r.startsWith("No rung has a room temperature"));
    assertThat(headroom.heatLimit(false)).isEmpty();
  }

  @Test
  void aRoomThatIsSaidIsTheRoomOfTheLimit() {
    LadderTerms warm = new LadderTerms(90, 100, 30.0, " heavy load ");
    assertThat(warm.load()).isEqualTo("heavy load");
    Rung fine = Rung.typed(4800, null, Outcome.PASSED, "", 84.0, 22.0);
    Headroom headroom = Headroom.of(List.of(fine), List.of(), warm, 0.3, Notation.METRIC);
    // 62 K over 30 °C is 92 °C.
    assertThat(headroom.before().counts(fine)).isEqualTo(Outcome.TOO_HOT);
    assertThat(headroom.finding().sentence()).contains("in a room of 30.0 °C");
  }
}
