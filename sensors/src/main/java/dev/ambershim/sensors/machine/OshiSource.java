package dev.ambershim.sensors.machine;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.sensors.Source;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.function.DoubleSupplier;
import java.util.function.LongSupplier;
import oshi.hardware.CentralProcessor;
import oshi.hardware.HardwareAbstractionLayer;
import oshi.hardware.Sensors;

/**
 * The processor as the OSHI library sees it, on any system: temperature, voltage, fan, mean clock
 * of the cores and load. A figure that it gives as zero, which is how it says that it has none, is
 * left out. Its temperature is one for the whole chip, in °C; it is not told how OSHI came by it.
 */
public final class OshiSource implements Source {
  private static final long PERIOD = TimeUnit.SECONDS.toNanos(1);
  private static final double HERTZ = 1e-6;

  private record Probe(Sensor sensor, DoubleSupplier read) {}

  private final List<Probe> probes = new ArrayList<>();
  private final LongSupplier nanoseconds;
  private final CentralProcessor processor;
  private long[] ticks;
  private long begin;
  private long count;

  /**
   * The sensors of a machine.
   *
   * @throws Problem {@code sensors.none} if it tells nothing at all
   */
  public OshiSource(HardwareAbstractionLayer machine) {
    this(machine, System::nanoTime);
  }

  OshiSource(HardwareAbstractionLayer machine, LongSupplier nanoseconds) {
    this.nanoseconds = nanoseconds;
    Sensors sensors = machine.getSensors();
    processor = machine.getProcessor();
    ticks = processor.getSystemCpuLoadTicks();
    add("package", "°C", Role.PACKAGE, sensors::getCpuTemperature);
    add("core voltage", "V", Role.VOLTAGE, sensors::getCpuVoltage);
    add(
        "fan 1",
        "rpm",
        Role.FAN,
        () -> Arrays.stream(sensors.getFanSpeeds()).findFirst().orElse(0));
    add("core clock", "MHz", Role.CLOCK, this::clock);
    probes.add(new Probe(new Sensor("cpu load", "%", Role.LOAD), this::load));
  }

  private void add(String name, String unit, Role role, DoubleSupplier read) {
    if (read.getAsDouble() > 0) {
      probes.add(new Probe(new Sensor(name, unit, role), read));
    }
  }

  private double clock() {
    return Arrays.stream(processor.getCurrentFreq()).filter(f -> f > 0).average().orElse(0) * HERTZ;
  }

  private double load() {
    double share = processor.getSystemCpuLoadBetweenTicks(ticks);
    ticks = processor.getSystemCpuLoadTicks();
    return 100 * share;
  }

  @Override
  public String name() {
    return "this machine, by OSHI";
  }

  @Override
  public List<Sensor> sensors() {
    return probes.stream().map(Probe::sensor).toList();
  }

  @Override
  public Optional<Sample> next() throws InterruptedException {
    long now = nanoseconds.getAsLong();
    begin = count == 0 ? now : begin;
    long wait = begin + count * PERIOD - now;
    if (wait > 0) {
      TimeUnit.NANOSECONDS.sleep(wait);
    }
    count++;
    return Optional.of(read((nanoseconds.getAsLong() - begin) / 1e9));
  }

  /** What all sensors say now. */
  Sample read(double seconds) {
    double[] figures = new double[probes.size()];
    for (int i = 0; i < figures.length; i++) {
      double figure = probes.get(i).read().getAsDouble();
      boolean zero = probes.get(i).sensor().role() != Role.LOAD && !(figure > 0);
      figures[i] = zero ? Double.NaN : figure;
    }
    return new Sample(seconds, figures);
  }

  /** Checks that a temperature is among them. */
  OshiSource withTemperature() {
    if (probes.stream().noneMatch(p -> p.sensor().role() == Role.PACKAGE)) {
      throw new Problem(
          "sensors.none",
          Place.NOWHERE,
          "There is no processor temperature here, neither from the kernel nor from OSHI.",
          "Load the processor's sensor driver, or record with any logger and follow its log.");
    }
    return this;
  }

  @Override
  public void close() {
    // Nothing is held open between samples.
  }
}
