package dev.ambershim.sensors.kernel;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.sensors.Source;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.DoubleSupplier;
import java.util.function.LongSupplier;

/**
 * Linux sensor files, read once a second. Sources: the kernel's documentation of the hwmon sysfs
 * interface (temperatures in milli-degrees, voltages in millivolts, fans in turns a minute, power
 * in microwatts), of powercap (energy in microjoules that wraps around at {@code
 * max_energy_range_uj}), of cpufreq (kilohertz), and of the processor's {@code thermal_throttle}
 * counters.
 */
public final class KernelSource implements Source {
  private static final long PERIOD = TimeUnit.SECONDS.toNanos(1);

  /** Drivers whose temperatures are the processor's own, as the kernel names them. */
  private static final List<String> PROCESSOR_DRIVERS =
      List.of("coretemp", "k10temp", "cpu_thermal");

  private record Probe(Sensor sensor, DoubleSupplier read) {}

  private final List<Probe> probes = new ArrayList<>();
  private final LongSupplier nanoseconds;
  private long begin;
  private long count;

  /**
   * The sensors under a file tree.
   *
   * @param root the tree's root, {@code /} on a real machine
   * @throws Problem {@code sensors.none} if it has no processor temperature
   */
  public KernelSource(Path root) {
    this(root, System::nanoTime);
  }

  KernelSource(Path root, LongSupplier nanoseconds) {
    this.nanoseconds = nanoseconds;
    Path chips = root.resolve("sys/class/hwmon");
    for (Path chip : KernelFile.inside(chips, "hwmon\\d+")) {
      addChip(chip);
    }
    for (Path zone : KernelFile.inside(root.resolve("sys/class/powercap"), "[a-z-]+:\\d+")) {
      addEnergy(zone);
    }
    addClocks(root.resolve("sys/devices/system/cpu"));
    boolean any =
        probes.stream()
            .anyMatch(p -> p.sensor().role() == Role.CORE || p.sensor().role() == Role.PACKAGE);
    if (!any) {
      throw new Problem(
          "sensors.none",
          Place.file(chips.toString()),
          "The kernel shows no processor temperature.",
          "Load the processor's sensor driver, or record with any logger and follow its log.");
    }
  }

  private void addChip(Path chip) {
    String driver = KernelFile.text(chip.resolve("name")).orElse("");
    boolean processor = PROCESSOR_DRIVERS.contains(driver);
    for (Path file : KernelFile.inside(chip, "temp\\d+_input")) {
      String label = label(chip, file, "temp");
      add(driver, label, "°C", processor ? temperature(label) : Role.UNUSED, file, 1e-3);
    }
    for (Path file : KernelFile.inside(chip, "fan\\d+_input")) {
      String label = label(chip, file, "fan");
      Role role = label.toLowerCase(Locale.ROOT).contains("pump") ? Role.PUMP : Role.FAN;
      add(driver, label, "rpm", role, file, 1);
    }
    for (Path file : KernelFile.inside(chip, "in\\d+_input")) {
      String label = label(chip, file, "in");
      boolean core = label.toLowerCase(Locale.ROOT).matches(".*(vcore|cpu).*");
      add(driver, label, "V", core ? Role.VOLTAGE : Role.UNUSED, file, 1e-3);
    }
    for (Path file : KernelFile.inside(chip, "power\\d+_(input|average)")) {
      add(
          driver,
          label(chip, file, "power"),
          "W",
          processor ? Role.POWER : Role.UNUSED,
          file,
          1e-6);
    }
  }

  private static Role temperature(String label) {
    String l = label.toLowerCase(Locale.ROOT);
    if (l.matches("core \\d+")) {
      return Role.CORE;
    }
    return l.matches("package.*|tdie|tctl|temp1") ? Role.PACKAGE : Role.UNUSED;
  }

  private static String label(Path chip, Path file, String kind) {
    String stem = kind + KernelFile.number(file);
    return KernelFile.text(chip.resolve(stem + "_label")).filter(t -> !t.isEmpty()).orElse(stem);
  }

  private void add(String driver, String label, String unit, Role role, Path file, double factor) {
    // A role that can stand only once goes to the first that has it.
    Role free =
        role.single() && probes.stream().anyMatch(p -> p.sensor().role() == role)
            ? Role.UNUSED
            : role;
    String plain = plainName(free, label, driver, file);
    String name = plain;
    for (int i = 2; taken(name); i++) {
      name = plain + " (" + i + ")";
    }
    probes.add(new Probe(new Sensor(name, unit, free), () -> KernelFile.figure(file) * factor));
  }

  /** Such as any log calls it, so that a recorded log is understood without the driver's names. */
  private static String plainName(Role role, String label, String driver, Path file) {
    return switch (role) {
      case CORE -> label.toLowerCase(Locale.ROOT);
      case PACKAGE -> "package";
      case POWER -> "chip power";
      case VOLTAGE -> "core voltage";
      case FAN -> "fan " + KernelFile.number(file);
      case PUMP -> "pump";
      default -> driver + " " + label;
    };
  }

  private boolean taken(String name) {
    return probes.stream().anyMatch(p -> p.sensor().name().equals(name));
  }

  private void addEnergy(Path zone) {
    Path energy = zone.resolve("energy_uj");
    if (!Files.exists(energy)) {
      return;
    }
    String zoneName = KernelFile.text(zone.resolve("name")).orElse("package");
    double range = KernelFile.figure(zone.resolve("max_energy_range_uj"));
    EnergyCounter counter = new EnergyCounter(() -> KernelFile.figure(energy), range, nanoseconds);
    boolean first = probes.stream().noneMatch(p -> p.sensor().role() == Role.POWER);
    Role role = zoneName.startsWith("package") && first ? Role.POWER : Role.UNUSED;
    probes.add(
        new Probe(
            new Sensor(first ? "chip power" : zoneName + " power", "W", role), counter::watts));
  }

  private void addClocks(Path processors) {
    for (Path cpu : KernelFile.inside(processors, "cpu\\d+")) {
      long n = KernelFile.number(cpu);
      Path clock = cpu.resolve("cpufreq/scaling_cur_freq");
      if (Files.exists(clock)) {
        Sensor sensor = new Sensor("clock " + n, "MHz", Role.CLOCK);
        probes.add(new Probe(sensor, () -> KernelFile.figure(clock) * 1e-3));
      }
      Path throttled = cpu.resolve("thermal_throttle/core_throttle_count");
      if (Files.exists(throttled)) {
        Sensor sensor = new Sensor("throttling " + n, "", Role.THROTTLE);
        probes.add(new Probe(sensor, new Counted(throttled)::rose));
      }
    }
  }

  /** A counter as a flag: whether it rose since the last look. */
  private static final class Counted {
    private final Path file;
    private double last;

    Counted(Path file) {
      this.file = file;
      last = KernelFile.figure(file);
    }

    double rose() {
      double now = KernelFile.figure(file);
      double flag = Double.isNaN(now) || Double.isNaN(last) ? Double.NaN : now > last ? 1 : 0;
      last = now;
      return flag;
    }
  }

  @Override
  public String name() {
    return "this machine's sensors";
  }

  @Override
  public List<Sensor> sensors() {
    return probes.stream().map(Probe::sensor).toList();
  }

  @Override
  public Optional<Sample> next() throws InterruptedException {
    if (count == 0) {
      begin = nanoseconds.getAsLong();
    }
    // Whole periods from the start, so that a late sample does not shift the later ones.
    long wait = begin + count * PERIOD - nanoseconds.getAsLong();
    if (wait > 0) {
      TimeUnit.NANOSECONDS.sleep(wait);
    }
    double seconds = Math.max(0, (nanoseconds.getAsLong() - begin) / 1e9);
    count = (long) Math.floor(seconds + 1e-6) + 1;
    double[] figures = new double[probes.size()];
    for (int i = 0; i < figures.length; i++) {
      figures[i] = probes.get(i).read().getAsDouble();
    }
    return Optional.of(new Sample(seconds, figures));
  }

  @Override
  public void close() {
    // Files are opened and closed at each reading.
  }
}
