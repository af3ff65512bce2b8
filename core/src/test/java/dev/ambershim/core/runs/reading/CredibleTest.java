package dev.ambershim.core.runs.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.runs.judging.Comparison;
import dev.ambershim.core.runs.judging.Judging;
import dev.ambershim.core.runs.judging.MountedRun;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.Synthetic;
import dev.ambershim.core.runs.judging.Together;
import dev.ambershim.core.runs.judging.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What cannot be is not believed, and what can be is. Logs are made, with known slips in them. */
class CredibleTest {
  private static RunLog with(RunLog log, String channel, double[] values) {
    List<Channel> channels = new ArrayList<>(log.channels());
    channels.replaceAll(
        c ->
            c.name().equals(channel)
                ? new Channel(c.name(), c.unit(), c.role(), c.confidence(), values)
                : c);
    return new RunLog(log.fileName(), log.seconds(), channels, log.notes());
  }

  private static double[] of(RunLog log, String channel) {
    return log.channels().stream()
        .filter(c -> c.name().equals(channel))
        .findFirst()
        .orElseThrow()
        .values();
  }

  /** Puts a figure into a share of a channel's cells: by chance, or in one block in the middle. */
  private static RunLog spoilt(
      RunLog log, String channel, double figure, double share, boolean block) {
    double[] values = of(log, channel).clone();
    Random random = new Random(5);
    int length = (int) (share * values.length);
    for (int i = 0; i < values.length; i++) {
      boolean in = block ? i >= 900 && i < 900 + length : random.nextDouble() < share;
      values[i] = in ? figure : values[i];
    }
    return with(log, channel, values);
  }

  private static RunLog rounded(RunLog log) {
    RunLog result = log;
    for (Channel c : log.with(Role.CORE)) {
      double[] whole = c.values().clone();
      for (int i = 0; i < whole.length; i++) {
        whole[i] = Math.rint(whole[i]);
      }
      result = with(result, c.name(), whole);
    }
    return result;
  }

  private static Comparison compare(RunLog before, RunLog after) {
    OptionalDouble none = OptionalDouble.empty();
    List<RunAnalysis> runs =
        Together.analyse(List.of(new Together.Run(before, none), new Together.Run(after, none)));
    return Comparison.of(
        MountedRun.ofOneMount(runs.subList(0, 1)),
        MountedRun.ofOneMount(runs.subList(1, 2)),
        new Judging(1, 0.3),
        Notation.METRIC);
  }

  @ParameterizedTest
  @CsvSource({
    "0, 0.25, false", "0, 0.25, true", "-1, 0.25, false", "-1, 0.25, true", "255, 0.25, false",
    "255, 0.25, true", "127, 0.25, false", "0, 0.02, false", "10, 0.25, false", "125, 0.1, false",
    "-40, 0.25, false", "1e6, 0.25, false", "0, 0.4, false"
  })
  void aSensorThatDropsOutDoesNotMakeEqualRunsDiffer(double figure, double share, boolean block) {
    Synthetic synthetic = new Synthetic();
    for (boolean whole : new boolean[] {false, true}) {
      RunLog before = synthetic.log("before", 1);
      RunLog after = synthetic.log("after", 2);
      RunLog spoilt = spoilt(whole ? rounded(after) : after, "core 1", figure, share, block);
      Comparison told = compare(whole ? rounded(before) : before, spoilt);
      assertThat(told.verdict()).isNotIn(Verdict.HURT, Verdict.HELPED, Verdict.NOT_COMPARABLE);
      assertThat(told.changeKelvin()).isCloseTo(0, within(0.5));
      assertThat(told.reasons()).anyMatch(r -> r.startsWith("after: ") && r.contains("\"core 1\""));
      RunLog believed = spoilt.believed();
      assertThat(believed.disbelieved().orElseThrow())
          .extracting("channel")
          .containsExactly("core 1");
      double kept = 0;
      for (double v : of(believed, "core 1")) {
        kept += v == figure ? 1 : 0;
      }
      assertThat(kept).isLessThan(0.002 * believed.size());
    }
  }

  @Test
  void aCoreThatLostMostOfItsReadingsCountsInNoRun() {
    Synthetic synthetic = new Synthetic();
    RunLog after = spoilt(synthetic.log("after", 2), "core 3", 0, 0.7, false);
    Comparison told = compare(synthetic.log("before", 1), after);
    // Core 3 is the hottest by 1.5 K; without it in one run alone the mean would fall by 0.5 K.
    assertThat(told.changeKelvin()).isCloseTo(0, within(0.3));
    RunAnalysis run = RunAnalyser.analyse(after, OptionalDouble.empty());
    assertThat(run.leftOut()).containsExactly("core 3");
    assertThat(run.remarks())
        .anyMatch(r -> r.matches("\"core 3\" does not count: (69|70|71) % of .*"))
        .anyMatch(r -> r.contains("stand for a missing reading"));
  }

  @ParameterizedTest
  @ValueSource(doubles = {-300, 5000, Double.POSITIVE_INFINITY})
  void aRunOfImpossibleTemperaturesDoesNotCount(double figure) {
    Synthetic synthetic = new Synthetic();
    RunLog after = synthetic.log("after", 2);
    for (Channel c : after.with(Role.CORE)) {
      after = spoilt(after, c.name(), figure, 1, false);
    }
    Comparison told = compare(synthetic.log("before", 1), after);
    assertThat(told.verdict()).isEqualTo(Verdict.NOT_COMPARABLE);
    assertThat(told.sentence()).contains("cannot be");
  }

  @Test
  void impossiblePowerAndRoomAreNotBelieved() {
    Synthetic synthetic = new Synthetic();
    RunLog log = synthetic.log("run", 2);
    RunAnalysis power =
        RunAnalyser.analyse(spoilt(log, "power", 1e12, 1, false), OptionalDouble.empty());
    assertThat(power.powerWatts()).isNaN();
    assertThat(power.riseKelvin()).isCloseTo(50, within(1.0));
    RunAnalysis some =
        RunAnalyser.analyse(spoilt(log, "power", 1e12, 0.1, false), OptionalDouble.empty());
    assertThat(some.powerWatts()).isCloseTo(160, within(0.5));
    RunAnalysis nil =
        RunAnalyser.analyse(spoilt(log, "power", 0, 0.1, false), OptionalDouble.empty());
    assertThat(nil.powerWatts()).isCloseTo(160, within(0.5));
    RunAnalysis room =
        RunAnalyser.analyse(spoilt(log, "room", 0, 0.25, false), OptionalDouble.empty());
    assertThat(room.riseKelvin()).isCloseTo(50, within(1.0));
    RunAnalysis noRoom =
        RunAnalyser.analyse(spoilt(log, "room", 300, 1, false), OptionalDouble.empty());
    assertThat(noRoom.riseKelvin()).isNaN();
    assertThat(noRoom.unfit()).isEmpty();
  }

  @Test
  void allSensorsMayDropOutAtOnce() {
    RunLog log = new Synthetic().log("run", 3);
    for (Channel c : log.with(Role.CORE)) {
      log = spoilt(log, c.name(), 0, 0.1, false);
    }
    RunAnalysis run = RunAnalyser.analyse(log, OptionalDouble.empty());
    assertThat(run.unfit()).isEmpty();
    assertThat(run.riseKelvin()).isCloseTo(50, within(1.0));
  }

  @Test
  void whatHeatCanDoStays() {
    Synthetic hot = new Synthetic();
    hot.riseKelvin = 70;
    for (int seed = 0; seed < 20; seed++) {
      assertThat(hot.log("run", seed).believed().disbelieved().orElseThrow()).isEmpty();
      assertThat(rounded(hot.log("run", seed)).believed().disbelieved().orElseThrow()).isEmpty();
    }
    // Load on and off each minute, looked at each twenty seconds: 30 °C and 85 °C in turn.
    kept(200, 20, i -> ((int) i / 3) % 2 == 0 ? 30 : 85);
    // Extreme cold poured on: down to −150 °C and up again through zero.
    kept(400, 1, i -> -150 + 160 * Math.abs(Math.sin(i / 60.0)));
    // A rest in whole degrees, then the load, then the rest again.
    kept(600, 5, i -> i < 100 || i > 500 ? 35 : 80);
  }

  private static void kept(int n, double step, DoubleUnaryOperator celsius) {
    double[] seconds = new double[n];
    double[] core = new double[n];
    for (int i = 0; i < n; i++) {
      seconds[i] = i * step;
      core[i] = celsius.applyAsDouble(i);
    }
    RunLog log =
        new RunLog(
            "kept",
            seconds,
            List.of(new Channel("Package", "°C", Role.PACKAGE, 1, core)),
            new ReadNotes("made", "none", false, n, 0, 0, List.of()));
    assertThat(log.believed().disbelieved().orElseThrow()).isEmpty();
  }
}
