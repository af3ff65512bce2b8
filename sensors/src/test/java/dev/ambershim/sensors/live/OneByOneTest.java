package dev.ambershim.sensors.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.causes.CoreState;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.sensors.Load;
import dev.ambershim.sensors.Source;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** One core after another, on a machine of two cores that follows at once. */
@Tag("slow")
class OneByOneTest {
  private static final OneByOne.Times SHORT = new OneByOne.Times(6, 4, 2);

  @TempDir Path folder;

  /** A loaded core stands at 60 °C, the other at 40, both at 30 at idle. */
  private static final class Twin implements Source, Load {
    private final double hottest;
    private final boolean room;
    private int alone = -1;
    private int second;

    Twin(double hottest) {
      this(hottest, true);
    }

    Twin(double hottest, boolean room) {
      this.hottest = hottest;
      this.room = room;
    }

    @Override
    public String name() {
      return "a twin";
    }

    @Override
    public List<Sensor> sensors() {
      return List.of(
          new Sensor("core 0", "°C", Role.CORE),
          new Sensor("core 1", "°C", Role.CORE),
          new Sensor("room", "°C", room ? Role.ROOM : Role.UNUSED),
          new Sensor("power", "W", Role.POWER));
    }

    @Override
    public Optional<Sample> next() {
      double[] figures = {30, 30, 22, 5};
      if (alone >= 0) {
        figures[0] = alone == 0 ? hottest : 40;
        figures[1] = alone == 1 ? hottest : 40;
        figures[3] = 25;
      }
      return Optional.of(new Sample(second++, figures));
    }

    @Override
    public void set(boolean on) {
      throw new IllegalStateException("all cores were loaded");
    }

    @Override
    public boolean alone(int core) {
      alone = core;
      return true;
    }

    @Override
    public void close() {
      alone = -1;
    }
  }

  @Test
  void everyCoreIsLoadedAloneAndItsEndIsRead() throws Exception {
    Twin twin = new Twin(60);
    List<Integer> told = new ArrayList<>();
    Path log = folder.resolve("a.csv");
    List<CoreState> states =
        new OneByOne(twin, twin, SHORT, 95, OptionalDouble.empty())
            .conduct(Optional.of(log), s -> told.add(s.core()), () -> false);
    assertThat(states).extracting(CoreState::core).containsExactly(-1, 0, 1);
    assertThat(states.get(1).celsius()).containsExactly(60.0, 40.0);
    assertThat(states.get(2).celsius()).containsExactly(40.0, 60.0);
    assertThat(states.get(0).watts()).isEqualTo(5);
    assertThat(states.get(2).room()).hasValue(22);
    assertThat(states.get(2).coolant()).isEmpty();
    assertThat(told).hasSize(6 + 4 + 4);
    assertThat(twin.alone).isEqualTo(-1);
    List<String> lines = Files.readAllLines(log, StandardCharsets.UTF_8);
    assertThat(lines).filteredOn(l -> !l.startsWith("#")).hasSize(1 + 14);
    assertThat(lines.get(lines.size() - 1)).endsWith(",1");
  }

  @Test
  void itStopsWhenAskedToAndKeepsWhatIsWhole() throws Exception {
    Twin twin = new Twin(60);
    int[] seconds = {0};
    List<CoreState> states =
        new OneByOne(twin, twin, SHORT, 95, OptionalDouble.empty())
            .conduct(Optional.empty(), s -> seconds[0]++, () -> seconds[0] >= 8);
    assertThat(states).extracting(CoreState::core).containsExactly(-1);
    assertThat(twin.alone).isEqualTo(-1);
  }

  @Test
  void itEndsTheLoadAtTheLimit() {
    Twin twin = new Twin(97);
    OneByOne run = new OneByOne(twin, twin, SHORT, 95, OptionalDouble.empty());
    assertThatThrownBy(() -> run.conduct(Optional.empty(), s -> {}, () -> false))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("97");
    assertThat(twin.alone).isEqualTo(-1);
  }

  @Test
  void aLoadThatCannotBeHeldToACoreIsRefused() {
    Twin twin = new Twin(60);
    assertThatThrownBy(() -> new OneByOne(twin, Load.BY_PERSON, SHORT, 95, OptionalDouble.empty()))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("cannot be held to one core");
  }

  @Test
  void aTypedRoomCountsWhereNoSensorTellsIt() throws Exception {
    Twin twin = new Twin(60, false);
    assertThatThrownBy(() -> new OneByOne(twin, twin, SHORT, 95, OptionalDouble.empty()))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("No sensor tells the room");
    List<CoreState> states =
        new OneByOne(twin, twin, SHORT, 95, OptionalDouble.of(23.5))
            .conduct(Optional.empty(), s -> {}, () -> false);
    assertThat(states).allMatch(s -> s.room().getAsDouble() == 23.5);
  }
}
