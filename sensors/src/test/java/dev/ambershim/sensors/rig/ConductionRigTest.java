package dev.ambershim.sensors.rig;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.runs.judging.HotSpots;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.StepResponse;
import dev.ambershim.core.runs.protocol.Protocol;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.sensors.Source.Sample;
import dev.ambershim.sensors.SteadyLoad;
import dev.ambershim.sensors.live.ConductedRun;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The rig behaves as physics has it, and each fault leaves its own mark in a conducted run. */
@Tag("slow")
class ConductionRigTest {
  private static final StartingPoint POINT = StartingPoint.DESKTOP_ONE_DIE_PASTE;

  /** The coolant over the room: fins, and half of what it warms on its way round, K/W. */
  private static final double LOOP = 0.45 * 0.11 + 0.007 / 2;

  @TempDir Path folder;

  private static RigSetup setup() {
    return setup(130);
  }

  private static RigSetup setup(double watts) {
    return RigSetup.of(
        new Situation(
            POINT.chip("rig"), CoolerClass.LARGE_LOOP.usual("rig loop", 3.5), POINT.asBought()),
        watts,
        5);
  }

  private record Told(RunAnalysis run, StepResponse step, List<HotSpots.Hint> hints) {}

  private Told conducted(RigSetup setup) throws InterruptedException, IOException {
    ConductionRig rig = new ConductionRig(setup);
    Protocol protocol = new Protocol("test", 40, 0, 1, 420, 0, 110, null);
    String stem = "r" + setup.faults().hashCode();
    Path file =
        new ConductedRun(rig, rig, protocol, folder, stem, List.of("made"))
            .conduct(Notation.METRIC, s -> {})
            .plateaus()
            .get(0);
    RunLog log = LogReader.read(file.toString(), Files.readAllBytes(file));
    RunAnalysis run = RunAnalyser.analyse(log, OptionalDouble.empty());
    double[] kelvin = run.coreCelsius().stream().mapToDouble(c -> c).toArray();
    List<HotSpots.Hint> hints = HotSpots.of(kelvin, PLACES[0], PLACES[1], Notation.METRIC);
    return new Told(run, RunAnalyser.step(log, OptionalDouble.empty()).orElseThrow(), hints);
  }

  private static final double[][] PLACES = places();

  private static double[][] places() {
    List<Patch> cores = CoreLayout.of(POINT.chip("rig")).cores();
    return new double[][] {
      cores.stream().mapToDouble(Patch::xMillimetres).toArray(),
      cores.stream().mapToDouble(Patch::yMillimetres).toArray()
    };
  }

  private static List<HotSpots.Hint> change(Told from, Told to) {
    double[] kelvin = new double[from.run().coreCelsius().size()];
    for (int i = 0; i < kelvin.length; i++) {
      kelvin[i] = to.run().coreCelsius().get(i) - from.run().coreCelsius().get(i);
    }
    return HotSpots.ofChange(kelvin, PLACES[0], PLACES[1], Notation.METRIC);
  }

  /** Settled, the loop's balance must hold: coolant over room is power times its resistance. */
  @Test
  void theLoopsBalanceHolds() throws Exception {
    ConductionRig rig = new ConductionRig(setup());
    rig.set(true);
    Sample s = null;
    for (int i = 0; i < 500; i++) {
      s = rig.next().orElseThrow();
    }
    double[] f = s.figures();
    double coolant = f[9];
    double room = f[10];
    double watts = f[11];
    assertThat(coolant - room).isCloseTo(watts * LOOP, within(0.25));
  }

  @Test
  void theSameSetupGivesTheSameSamples() throws Exception {
    ConductionRig a = new ConductionRig(setup());
    ConductionRig b = new ConductionRig(setup());
    for (int i = 0; i < 20; i++) {
      a.set(i > 5);
      b.set(i > 5);
      assertThat(a.next().orElseThrow().figures()).isEqualTo(b.next().orElseThrow().figures());
    }
  }

  @Test
  void aChipAtItsLimitLowersItsClock() throws Exception {
    ConductionRig rig = new ConductionRig(setup(170).with(Fault.DRY_PASTE, 1));
    rig.set(true);
    double[] f = null;
    for (int i = 0; i < 240; i++) {
      f = rig.next().orElseThrow().figures();
    }
    assertThat(f[12]).isLessThan(4700);
    assertThat(f[16]).isEqualTo(1);
    assertThat(f[8]).isBetween(95.0, 103.0);
  }

  @Test
  void eachFaultLeavesItsOwnMark() throws Exception {
    Told healthy = conducted(setup());
    assertThat(healthy.run().unfit()).isEmpty();
    assertThat(healthy.hints()).isEmpty();
    // The slow part is what the coolant stands over the room, of which the causes make use.
    assertThat(healthy.step().slowKelvinPerWatt()).isCloseTo(LOOP, within(0.15 * LOOP));

    Told dry = conducted(setup().with(Fault.DRY_PASTE, 0.5));
    assertThat(dry.step().quickInterval().low())
        .isGreaterThan(healthy.step().quickInterval().high() + 5);
    assertThat(dry.step().slowKelvinPerWatt())
        .isCloseTo(healthy.step().slowKelvinPerWatt(), within(0.012));
    assertThat(change(healthy, dry)).isEmpty();

    Told tilted = conducted(setup().with(Fault.TILTED_COOLER, 1));
    assertThat(change(healthy, tilted).get(0).kind()).isEqualTo(HotSpots.Kind.SIDE);
    assertThat(change(healthy, tilted).get(0).sentence()).contains("back");

    Told hole = conducted(setup().with(Fault.FILM_VOID, 0.3));
    assertThat(hole.hints())
        .anyMatch(
            h -> h.kind() == HotSpots.Kind.ONE_CORE && h.sentence().startsWith("Core 1 alone"));

    Told weak = conducted(setup().with(Fault.WEAK_PUMP, 0.9));
    assertThat(weak.step().slowInterval().low())
        .isGreaterThan(healthy.step().slowInterval().high());
    assertThat(change(healthy, weak)).isEmpty();
  }

  @Test
  void aFaultOutOfRangeIsRefused() {
    assertThatThrownBy(() -> setup().with(Fault.FILM_VOID, 2))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("film void");
    List<String> words = new ArrayList<>();
    for (Fault fault : Fault.values()) {
      words.add(fault.words() + fault.meaning());
    }
    assertThat(words).doesNotHaveDuplicates();
  }

  /** On a bare die hole and tilt would be in one joint, which can hold one shape only. */
  @Test
  void faultsThatCannotBePutInAreRefused() {
    Build closed = POINT.asBought();
    Build bare = new Build(false, 0, closed.inner(), closed.outer());
    RigSetup setup =
        RigSetup.of(
            new Situation(POINT.chip("rig"), CoolerClass.LARGE_LOOP.usual("rig loop", 3.5), bare),
            100,
            5);
    assertThatThrownBy(
            () ->
                new ConductionRig(setup.with(Fault.FILM_VOID, 0.5).with(Fault.TILTED_COOLER, 0.5)))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("tilted cooler");
  }

  @Test
  void theBuiltInLoadWorksAndEnds() throws InterruptedException {
    try (SteadyLoad load = new SteadyLoad(1)) {
      load.set(true);
      Thread.sleep(60);
      load.set(false);
      load.set(true);
    }
    assertThat(SteadyLoad.allThreads()).isPositive();
  }
}
