package dev.ambershim.core.runs.judging;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.ReadNotes;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The split of a step in quick and slow, on made runs whose parts are known. */
class StepResponseTest {
  private static final int REST = 120;
  private static final int LOAD = 1500;
  private static final int AFTER = 900;

  private double quick = 26;
  private double slow = 18;
  private double quickSeconds = 4;
  private double slowSeconds = 170;
  private boolean whole = true;

  private RunLog log(long seed) {
    Random random = new Random(seed);
    int n = REST + LOAD + AFTER;
    double[] t = new double[n];
    double[] core = new double[n];
    double[] room = new double[n];
    double[] power = new double[n];
    for (int i = 0; i < n; i++) {
      t[i] = i;
      room[i] = 22;
      boolean load = i >= REST && i < REST + LOAD;
      power[i] = load ? 150 : 10;
      // The rise goes with what the power was before the sample.
      double up = i >= REST ? i - REST + 0.5 : 0;
      double down = i >= REST + LOAD ? i - REST - LOAD + 0.5 : 0;
      double rise = 5 + part(quick, quickSeconds, up, down) + part(slow, slowSeconds, up, down);
      double felt = room[i] + rise + 0.4 * random.nextGaussian();
      core[i] = whole ? Math.round(felt) : felt;
    }
    List<Channel> channels = new ArrayList<>();
    channels.add(new Channel("core 0", "°C", Role.CORE, 1, core));
    channels.add(new Channel("room", "°C", Role.ROOM, 1, room));
    channels.add(new Channel("power", "W", Role.POWER, 1, power));
    ReadNotes notes = new ReadNotes("made", "none", false, n, 0, 0, List.of());
    return new RunLog("made.csv", t, channels, notes);
  }

  private static double part(double kelvin, double seconds, double up, double down) {
    return kelvin * (Math.exp(-down / seconds) - Math.exp(-up / seconds));
  }

  private Optional<StepResponse> split(long seed) {
    return RunAnalyser.step(log(seed), OptionalDouble.empty());
  }

  @Test
  void partsAndTimesComeBack() {
    StepResponse step = split(1).orElseThrow();
    assertThat(step.quickKelvin()).isCloseTo(26, within(0.8));
    assertThat(step.slowKelvin()).isCloseTo(18, within(0.8));
    assertThat(step.quickSeconds()).isCloseTo(4, within(0.8));
    assertThat(step.slowSeconds()).isCloseTo(170.0, within(15.0));
    assertThat(step.powerStepWatts()).isCloseTo(140, within(0.01));
    assertThat(step.quickKelvinPerWatt()).isCloseTo(26 / 140.0, within(0.006));
    // A tenth of 44 K is left when 18·exp(−t/170) = 4.4.
    assertThat(step.recoverySeconds()).isCloseTo(170 * Math.log(18 / 4.4), within(20.0));
  }

  @Test
  void aBadJointShowsInTheQuickPartOnly() {
    StepResponse good = split(2).orElseThrow();
    quick = 38;
    StepResponse dry = split(3).orElseThrow();
    assertThat(dry.quickInterval().low()).isGreaterThan(good.quickInterval().high() + 9);
    assertThat(dry.slowInterval().contains(good.slowKelvin())).isTrue();
  }

  @Test
  void aWeakCoolerShowsInTheSlowPartOnly() {
    StepResponse good = split(4).orElseThrow();
    slow = 30;
    StepResponse weak = split(5).orElseThrow();
    assertThat(weak.slowInterval().low()).isGreaterThan(good.slowInterval().high() + 9);
    assertThat(weak.quickInterval().contains(good.quickKelvin())).isTrue();
  }

  /** What is over before the second sample counts as quick. */
  @Test
  void quickerThanTheLogShows() {
    quickSeconds = 0.25;
    for (int seed = 6; seed < 12; seed++) {
      StepResponse step = split(seed).orElseThrow();
      assertThat(step.quickKelvin()).isCloseTo(26, within(1.0));
      assertThat(step.slowKelvin()).isCloseTo(18, within(1.0));
    }
  }

  @Test
  void theIntervalsHoldTheTruth() {
    whole = false;
    int quickHits = 0;
    int slowHits = 0;
    int told = 0;
    for (int i = 0; i < 60; i++) {
      Optional<StepResponse> step = split(100 + i);
      if (step.isPresent()) {
        told++;
        quickHits += step.get().quickInterval().contains(26) ? 1 : 0;
        slowHits += step.get().slowInterval().contains(18) ? 1 : 0;
      }
    }
    assertThat(told).isGreaterThan(57);
    // 95 % of 60 is 57; fewer than 51 would come about once in two hundred.
    assertThat(quickHits).isGreaterThanOrEqualTo(51);
    assertThat(slowHits).isGreaterThanOrEqualTo(51);
  }

  @Test
  void aLogThatBeginsUnderLoadTellsNothing() {
    RunLog log = log(7);
    double[] t = Arrays.copyOfRange(log.seconds(), REST, LOAD);
    List<Channel> cut =
        log.channels().stream()
            .map(
                c ->
                    new Channel(
                        c.name(),
                        c.unit(),
                        c.role(),
                        1,
                        Arrays.copyOfRange(c.values(), REST, LOAD)))
            .toList();
    RunLog late = new RunLog("late.csv", t, cut, log.notes());
    assertThat(RunAnalyser.step(late, OptionalDouble.empty())).isEmpty();
  }
}
