package dev.ambershim.sensors.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.protocol.Protocol;
import dev.ambershim.core.runs.protocol.Status;
import dev.ambershim.core.runs.protocol.Stop;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.sensors.Load;
import dev.ambershim.sensors.Source;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.mockito.InOrder;

/** Samples go to disk, the load follows, and what was recorded is kept whatever happens. */
@Tag("slow")
class ConductedRunTest {
  @TempDir Path folder;

  /** Two cores that follow the load at once. */
  private static final class Steps implements Source, Load {
    private final Random random = new Random(8);
    private int second;
    private boolean on;
    private int until = Integer.MAX_VALUE;
    private double hot = 70;

    @Override
    public String name() {
      return "steps";
    }

    @Override
    public List<Sensor> sensors() {
      return List.of(
          new Sensor("core 0", "°C", Role.CORE),
          new Sensor("core 1", "°C", Role.CORE),
          new Sensor("room air", "°C", Role.ROOM),
          new Sensor("chip \"power\"", "W", Role.POWER));
    }

    @Override
    public Optional<Sample> next() {
      if (second >= until) {
        return Optional.empty();
      }
      double core = (on ? hot : 35) + random.nextGaussian();
      return Optional.of(
          new Sample(
              1000 + second++,
              new double[] {core, core - 2, second == 5 ? Double.NaN : 22, on ? 150 : 12}));
    }

    @Override
    public void set(boolean wanted) {
      on = wanted;
    }

    @Override
    public void close() {
      on = false;
    }
  }

  private ConductedRun run(Source source, Load load, Protocol protocol) {
    return new ConductedRun(source, load, protocol, folder, "run", List.of("note\nof two lines"));
  }

  private static RunLog read(Path file) throws IOException {
    return LogReader.read(file.toString(), Files.readAllBytes(file));
  }

  @Test
  void eachPlateauIsALogThatCanBeJudged() throws Exception {
    Steps steps = new Steps();
    Protocol protocol = new Protocol("p", 30, 60, 2, 300, 40, 95, null);
    ConductedRun.Outcome outcome = run(steps, steps, protocol).conduct(Notation.METRIC, s -> {});
    assertThat(outcome.stop().done()).isTrue();
    assertThat(outcome.warmUp()).isPresent();
    assertThat(outcome.plateaus())
        .extracting(p -> p.getFileName().toString())
        .containsExactly("run-plateau-1.csv", "run-plateau-2.csv");
    for (Path file : outcome.plateaus()) {
      RunAnalysis a = RunAnalyser.analyse(read(file), OptionalDouble.empty());
      assertThat(a.unfit()).isEmpty();
      assertThat(a.riseKelvin()).isBetween(46.5, 47.5);
    }
    RunLog warm = read(outcome.warmUp().orElseThrow());
    assertThat(warm.seconds()[warm.size() - 1]).isEqualTo(89);
    assertThat(warm.with(Role.CORE)).hasSize(2);
    assertThat(warm.with(Role.ROOM).get(0).values()[4]).isNaN();
  }

  @Test
  void theLoadIsTurnedOnAndOffAndEnded() throws Exception {
    Load load = mock(Load.class);
    run(new Steps(), load, new Protocol("p", 2, 0, 1, 60, 3, 95, null))
        .conduct(Notation.METRIC, s -> {});
    InOrder order = inOrder(load);
    order.verify(load, org.mockito.Mockito.times(2)).set(false);
    order.verify(load, org.mockito.Mockito.times(60)).set(true);
    order.verify(load, org.mockito.Mockito.atLeast(3)).set(false);
    order.verify(load).close();
  }

  @Test
  void whatWasRecordedStaysWhenItStops() throws Exception {
    Steps steps = new Steps();
    steps.hot = 99;
    ConductedRun.Outcome outcome =
        run(steps, steps, new Protocol("p", 20, 0, 1, 300, 0, 95, null))
            .conduct(Notation.METRIC, s -> {});
    assertThat(outcome.stop().kind()).isEqualTo(Stop.Kind.TOO_HOT);
    assertThat(read(outcome.plateaus().get(0)).size()).isBetween(20, 24);
    assertThat(steps.on).isFalse();
    Steps ends = new Steps();
    ends.until = 50;
    Protocol protocol = new Protocol("p", 20, 0, 1, 300, 0, 95, null);
    ConductedRun.Outcome lost =
        new ConductedRun(ends, ends, protocol, folder, "lost", List.of())
            .conduct(Notation.METRIC, s -> {});
    assertThat(lost.stop().kind()).isEqualTo(Stop.Kind.LOST_SENSOR);
    assertThat(read(lost.plateaus().get(0)).size()).isEqualTo(50);
  }

  @Test
  void whatThePersonFixedStandsInTheLogWhereNoSensorTellsIt() throws Exception {
    Steps steps = new Steps();
    Protocol protocol =
        new Protocol("p", 20, 0, 1, 60, 0, 95, null)
            .with(new Protocol.Settings(4700.0, 1.25, null, 2400.0));
    RunLog log =
        read(run(steps, steps, protocol).conduct(Notation.METRIC, s -> {}).plateaus().get(0));
    assertThat(log.with(Role.CLOCK)).hasSize(1);
    assertThat(log.with(Role.VOLTAGE).get(0).values()).containsOnly(1.25);
    assertThat(log.with(Role.PUMP).get(0).values()).containsOnly(2400);
    assertThat(log.with(Role.FAN)).isEmpty();
  }

  @Test
  void thePersonStopsItFromElsewhere() throws Exception {
    Steps steps = new Steps();
    ConductedRun run = run(steps, steps, new Protocol("p", 20, 0, 1, 300, 0, 95, null));
    ConductedRun.Outcome outcome =
        run.conduct(
            Notation.METRIC,
            (Status s) -> {
              if (s.seconds() >= 30) {
                run.stop();
              }
            });
    assertThat(outcome.stop().kind()).isEqualTo(Stop.Kind.BY_PERSON);
  }

  @Test
  void nothingIsWrittenOver() throws Exception {
    Files.writeString(folder.resolve("run.csv"), "kept");
    Steps steps = new Steps();
    assertThatThrownBy(
            () ->
                run(steps, steps, new Protocol("p", 2, 0, 1, 60, 0, 95, null))
                    .conduct(Notation.METRIC, s -> {}))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("cannot be written");
    assertThat(folder.resolve("run.csv")).hasContent("kept");
    assertThat(steps.on).isFalse();
  }

  /** A process that records a sample every 50 ms and is killed: at most 2 s are missing. */
  @Test
  void samplesAreSafeWithinTwoSecondsWhateverDies() throws Exception {
    for (int i = 0; i < 3; i++) {
      Path target = folder.resolve("killed" + i);
      Process process =
          new ProcessBuilder(
                  ProcessHandle.current().info().command().orElse("java"),
                  "-cp",
                  System.getProperty("java.class.path"),
                  RecordForever.class.getName(),
                  target.toString())
              .redirectError(ProcessBuilder.Redirect.DISCARD)
              .start();
      int told = 0;
      try (var out = process.inputReader()) {
        for (int n = 0; n < 20 + 9 * i; n++) {
          told = Integer.parseInt(out.readLine());
        }
      } finally {
        process.destroyForcibly();
      }
      assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
      RunLog log = read(target.resolve("forever.csv"));
      assertThat(log.size()).isGreaterThanOrEqualTo(told - 1);
    }
  }
}
