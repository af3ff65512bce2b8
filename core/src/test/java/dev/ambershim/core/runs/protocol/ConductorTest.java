package dev.ambershim.core.runs.protocol;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.protocol.Protocol.Settings;
import dev.ambershim.core.runs.reading.Role;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A run is led from sample to sample, and ended when it must be. */
class ConductorTest {
  private static final List<Role> ROLES =
      List.of(Role.CORE, Role.CORE, Role.ROOM, Role.POWER, Role.CLOCK);
  private static final List<String> NAMES = List.of("core 0", "core 1", "room", "power", "clock");

  private final Random random = new Random(4);
  private Protocol protocol = new Protocol("short", 30, 60, 2, 240, 40, 95, Settings.UNSAID);
  private Conductor conductor = conductor();

  private Conductor conductor() {
    return new Conductor(protocol, ROLES, NAMES, Notation.METRIC);
  }

  private Status sample(double t, double core, double room, double watts) {
    double[] figures = {
      core + 0.2 * random.nextGaussian(), core - 2, room, watts, 4700 + random.nextGaussian()
    };
    return conductor.accept(t, figures);
  }

  /** Samples from one second up to another; temperature steps with the load and settles. */
  private Status go(int from, int to) {
    Status status = null;
    for (int t = from; t < to; t++) {
      boolean load = status == null ? t > 30 : status.load();
      status = sample(t, load ? 70 : 35, 22, load ? 150 : 12);
    }
    return status;
  }

  @Test
  void aMachineThatDoesNotDoWhatWasSetIsNamed() {
    Protocol set =
        new Protocol("p", 0, 0, 1, 600, 0, 95, new Protocol.Settings(4700.0, 1.25, 1200.0, null));
    Conductor conductor =
        new Conductor(
            set,
            List.of(Role.CORE, Role.CLOCK, Role.VOLTAGE, Role.FAN),
            List.of("core 0", "clock", "voltage", "fan"),
            Notation.METRIC);
    Status now = null;
    for (int i = 0; i < 60; i++) {
      now = conductor.accept(i, new double[] {60, 4500, 1.26, 1250});
    }
    assertThat(now.conditions())
        .filteredOn(c -> !c.holds())
        .extracting(Status.Condition::name)
        .containsExactly("clock as set");
    assertThatThrownBy(() -> new Protocol.Settings(47.0, null, null, null))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("clock");
  }

  @Test
  void phasesFollowEachOther() {
    assertThat(protocol.phases())
        .extracting(Phase::words)
        .containsExactly(
            "rest before the load", "warm-up", "plateau 1", "cool-down", "plateau 2", "cool-down");
    assertThat(protocol.lengthSeconds()).isEqualTo(30 + 60 + 2 * 280);
    List<String> seen = new ArrayList<>();
    List<Boolean> loads = new ArrayList<>();
    for (int t = 0; t <= protocol.lengthSeconds(); t++) {
      Status s = sample(t, 50, 22, 100);
      if (seen.isEmpty() || !seen.get(seen.size() - 1).equals(s.phase().words())) {
        seen.add(s.phase().words());
        loads.add(s.load());
      }
      if (t == 100) {
        assertThat(s.leftInPhaseSeconds()).isEqualTo(230);
        assertThat(s.leftSeconds()).isEqualTo(550);
      }
    }
    assertThat(seen).hasSize(6);
    assertThat(loads).containsExactly(false, true, true, false, true, false);
    assertThat(conductor.stopped().orElseThrow().kind()).isEqualTo(Stop.Kind.DONE);
  }

  @Test
  void settledIsSaidWhenItIs() {
    Status s = null;
    for (int t = 0; t < 320; t++) {
      boolean load = t >= 30;
      double creep = 20 * (1 - Math.exp(-(t - 90) / 40.0));
      s = sample(t, load ? 60 + (t > 90 ? creep : 0) : 35, 22, load ? 150 : 12);
      if (t == 175) {
        assertThat(s.settled()).contains(false);
      }
    }
    assertThat(s.settled()).contains(true);
    assertThat(Math.abs(s.driftKelvin())).isLessThan(0.5);
    assertThat(s.riseKelvin()).isCloseTo(57, within(1.0));
  }

  @Test
  void conditionsAreWatchedInPlateaus() {
    assertThat(go(0, 60).conditions()).isEmpty();
    Status good = go(60, 200);
    assertThat(good.conditions())
        .extracting(Status.Condition::name)
        .containsExactly("room air", "clock", "power");
    assertThat(good.conditions()).allMatch(Status.Condition::holds);
    Status bad = null;
    for (int t = 200; t < 260; t++) {
      bad = sample(t, 70, 22 + (t - 200) * 0.02, 130);
    }
    assertThat(bad.conditions().get(0).holds()).isFalse();
    assertThat(bad.conditions().get(1).holds()).isTrue();
    assertThat(bad.conditions().get(2).holds()).isFalse();
  }

  @Test
  void itStopsAtTheLimit() {
    go(0, 100);
    Status s = sample(100, 96.5, 22, 150);
    assertThat(s.stop().orElseThrow().kind()).isEqualTo(Stop.Kind.TOO_HOT);
    assertThat(s.stop().get().words()).contains("your limit is 95.0 °C");
    assertThat(s.load()).isFalse();
    // What comes later changes nothing.
    assertThat(sample(101, 40, 22, 10).stop()).isEqualTo(s.stop());
  }

  @Test
  void aSlipOfASensorIsNoHeat() {
    go(0, 100);
    double[] slip = {255, 68, 22, 150, 4700};
    assertThat(conductor.accept(100, slip).stop()).isEmpty();
    assertThat(go(101, 110).stop()).isEmpty();
  }

  @Test
  void itStopsOnALostSensor() {
    go(0, 100);
    Status s = null;
    for (int t = 100; t < 108; t++) {
      s = conductor.accept(t, new double[] {70, Double.NaN, 22, 150, 4700});
      assertThat(s.stop().isPresent()).isEqualTo(t >= 104);
    }
    assertThat(s.stop().orElseThrow().words()).contains("\"core 1\" gave no figure");
  }

  @Test
  void aSilentRoomOrClockDoesNotStopIt() {
    go(0, 100);
    Status s = null;
    for (int t = 100; t < 140; t++) {
      s = conductor.accept(t, new double[] {70, 68, Double.NaN, 150, Double.NaN});
    }
    assertThat(s.stop()).isEmpty();
  }

  @Test
  void itStopsWhenSamplesStall() {
    go(0, 100);
    assertThat(sample(120, 70, 22, 150).stop().orElseThrow().kind())
        .isEqualTo(Stop.Kind.LOST_SENSOR);
  }

  @Test
  void itStopsAtARunaway() {
    go(0, 200);
    Status s = null;
    int t = 200;
    while (t < 230 && (s == null || s.stop().isEmpty())) {
      s = sample(t, 55 + 0.8 * (t - 200) + 8, 22, 150);
      t++;
    }
    assertThat(s.stop().orElseThrow().kind()).isEqualTo(Stop.Kind.RUNAWAY);
    assertThat(s.hottestCelsius()).isLessThan(95);
  }

  /** The quick part of a load's beginning is steep too, but it slows down. */
  @Test
  void aLoadsBeginningIsNoRunaway() {
    protocol = new Protocol("long", 30, 0, 1, 900, 0, 95, Settings.UNSAID);
    conductor = conductor();
    for (int t = 0; t < 900; t++) {
      double since = Math.max(0, t - 30);
      double core = 35 + 30 * (1 - Math.exp(-since / 5)) + 25 * (1 - Math.exp(-since / 60));
      assertThat(sample(t, core, 22, t >= 30 ? 150 : 12).stop()).isEmpty();
    }
  }

  @Test
  void thePersonMayStopIt() {
    go(0, 50);
    conductor.stop();
    assertThat(sample(50, 70, 22, 150).load()).isFalse();
    assertThat(conductor.stopped().orElseThrow().kind()).isEqualTo(Stop.Kind.BY_PERSON);
  }

  @Test
  void protocolsOutOfRangeNameTheirFigure() {
    assertThatThrownBy(() -> new Protocol("x", 30, 0, 0, 600, 0, 95, null))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("plateaus");
    assertThatThrownBy(() -> Protocol.SCHOOLS.get(0).stoppingAt(500))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("500");
    assertThat(Protocol.SCHOOLS).hasSize(4);
  }
}
