package dev.ambershim.sensors.kernel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.sensors.Source.Sample;
import dev.ambershim.sensors.Source.Sensor;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * Against the kernel's documentation (Documentation/hwmon/sysfs-interface.rst, power/powercap):
 * temp*_input in millidegrees, in*_input in millivolts, fan*_input in turns a minute, energy_uj in
 * microjoules with its wrap at max_energy_range_uj, scaling_cur_freq in kilohertz.
 */
class KernelSourceTest {
  @TempDir Path root;

  /** Moves on by one second at each look, so that no test waits. */
  private final AtomicLong clock = new AtomicLong();

  private void file(String name, String text) {
    try {
      Path path = root.resolve(name);
      Files.createDirectories(path.getParent());
      Files.writeString(path, text + "\n");
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @BeforeEach
  void machine() {
    file("sys/class/hwmon/hwmon0/name", "nvme");
    file("sys/class/hwmon/hwmon0/temp1_input", "38850");
    file("sys/class/hwmon/hwmon1/name", "coretemp");
    file("sys/class/hwmon/hwmon1/temp1_input", "71000");
    file("sys/class/hwmon/hwmon1/temp1_label", "Package id 0");
    file("sys/class/hwmon/hwmon1/temp2_input", "68000");
    file("sys/class/hwmon/hwmon1/temp2_label", "Core 0");
    file("sys/class/hwmon/hwmon1/temp10_input", "66500");
    file("sys/class/hwmon/hwmon1/temp10_label", "Core 8");
    file("sys/class/hwmon/hwmon2/name", "board");
    file("sys/class/hwmon/hwmon2/fan1_input", "1180");
    file("sys/class/hwmon/hwmon2/fan2_input", "2600");
    file("sys/class/hwmon/hwmon2/fan2_label", "Pump");
    file("sys/class/hwmon/hwmon2/in0_input", "1184");
    file("sys/class/hwmon/hwmon2/in0_label", "Vcore");
    file("sys/class/powercap/made-rapl:0/name", "package-0");
    file("sys/class/powercap/made-rapl:0/energy_uj", "262140000000");
    file("sys/class/powercap/made-rapl:0/max_energy_range_uj", "262143328850");
    file("sys/devices/system/cpu/cpu0/cpufreq/scaling_cur_freq", "4650000");
    file("sys/devices/system/cpu/cpu0/thermal_throttle/core_throttle_count", "3");
  }

  private KernelSource source() {
    return new KernelSource(root, () -> clock.getAndAdd(1_000_000_000L));
  }

  private static double figure(KernelSource source, Sample sample, String name) {
    List<String> names = source.sensors().stream().map(Sensor::name).toList();
    return sample.figures()[names.indexOf(name)];
  }

  @Test
  void unitsAreTheKernels() throws InterruptedException {
    try (KernelSource source = source()) {
      Sample s = source.next().orElseThrow();
      assertThat(figure(source, s, "core 0")).isEqualTo(68);
      assertThat(figure(source, s, "core 8")).isEqualTo(66.5);
      assertThat(figure(source, s, "package")).isEqualTo(71);
      assertThat(figure(source, s, "core voltage")).isCloseTo(1.184, within(1e-12));
      assertThat(figure(source, s, "fan 1")).isEqualTo(1180);
      assertThat(figure(source, s, "clock 0")).isEqualTo(4650);
    }
  }

  @Test
  void rolesFollowDriversAndLabels() {
    try (KernelSource source = source()) {
      assertThat(source.sensors())
          .filteredOn(s -> s.role() == Role.CORE)
          .extracting(Sensor::name)
          .containsExactly("core 0", "core 8");
      assertThat(source.sensors())
          .filteredOn(s -> s.role() == Role.PUMP)
          .extracting(Sensor::name)
          .containsExactly("pump");
      assertThat(source.sensors())
          .filteredOn(s -> s.name().startsWith("nvme"))
          .allMatch(s -> s.role() == Role.UNUSED);
    }
  }

  /** A recorded log knows its columns again by their names and units. */
  @Test
  void namesTellTheRoles() throws IOException {
    StringBuilder log = new StringBuilder("elapsed [s]");
    List<Sensor> sensors;
    try (KernelSource source = source()) {
      sensors = source.sensors();
    }
    sensors.forEach(s -> log.append(',').append(s.name()).append(" [" + s.unit() + "]"));
    for (int i = 0; i < 3; i++) {
      log.append('\n').append(i);
      sensors.forEach(s -> log.append(',').append(s.role() == Role.THROTTLE ? "0" : "61.5"));
    }
    RunLog read = LogReader.read("own.csv", log.toString().getBytes(StandardCharsets.UTF_8));
    for (int i = 0; i < sensors.size(); i++) {
      Role role = read.channels().get(i).role();
      assertThat(role).as(sensors.get(i).name()).isEqualTo(sensors.get(i).role());
    }
  }

  /** 3 328 850 µJ up to the wrap and 146 671 150 after it make 150 J. */
  @Test
  void energyWrapsAround() {
    double[] energy = {262140000000.0};
    AtomicLong time = new AtomicLong();
    EnergyCounter counter =
        new EnergyCounter(() -> energy[0], 262143328850.0, () -> time.getAndAdd(1_000_000_000L));
    energy[0] = 146671150;
    assertThat(counter.watts()).isCloseTo(150, within(1e-9));
    energy[0] = 146671150 + 75e6;
    assertThat(counter.watts()).isCloseTo(75, within(1e-9));
    energy[0] = Double.NaN;
    assertThat(counter.watts()).isNaN();
    energy[0] = 5e8;
    assertThat(counter.watts()).isNaN();
  }

  @Test
  void throttlingIsACounterThatRises() throws InterruptedException {
    try (KernelSource source = source()) {
      assertThat(figure(source, source.next().orElseThrow(), "throttling 0")).isZero();
      file("sys/devices/system/cpu/cpu0/thermal_throttle/core_throttle_count", "4");
      assertThat(figure(source, source.next().orElseThrow(), "throttling 0")).isEqualTo(1);
      assertThat(figure(source, source.next().orElseThrow(), "throttling 0")).isZero();
    }
  }

  @Test
  void aSensorThatIsGoneIsSilentAndNoFailure() throws InterruptedException, IOException {
    try (KernelSource source = source()) {
      Files.delete(root.resolve("sys/class/hwmon/hwmon1/temp2_input"));
      file("sys/class/hwmon/hwmon1/temp10_input", "rubbish");
      Sample s = source.next().orElseThrow();
      assertThat(figure(source, s, "core 0")).isNaN();
      assertThat(figure(source, s, "core 8")).isNaN();
      assertThat(figure(source, s, "package")).isEqualTo(71);
    }
  }

  @Test
  void aMachineWithoutTemperaturesSaysSo() {
    assertThatThrownBy(() -> new KernelSource(root.resolve("nowhere")))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("no processor temperature")
        .hasMessageContaining("sys/class/hwmon");
  }
}
