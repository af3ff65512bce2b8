package dev.ambershim.sensors.live;

import dev.ambershim.core.runs.protocol.Protocol;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.sensors.Source;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * A source with what the person fixed as further channels, for each that no sensor tells: so the
 * log says at which clock and voltage it was made, and runs can be compared.
 */
final class WithSettings implements Source {
  private final Source source;
  private final List<Sensor> sensors;
  private final double[] fixed;

  WithSettings(Source source, Protocol.Settings settings) {
    this.source = source;
    List<Sensor> all = new ArrayList<>(source.sensors());
    List<Double> figures = new ArrayList<>();
    add(all, figures, "core clock as set", "MHz", Role.CLOCK, settings.clockMegahertz());
    add(all, figures, "core voltage as set", "V", Role.VOLTAGE, settings.volts());
    add(all, figures, "fan as set", "rpm", Role.FAN, settings.fanTurnsPerMinute());
    add(all, figures, "pump as set", "rpm", Role.PUMP, settings.pumpTurnsPerMinute());
    sensors = List.copyOf(all);
    fixed = figures.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private static void add(
      List<Sensor> all, List<Double> figures, String name, String unit, Role role, Double value) {
    if (value != null && all.stream().noneMatch(s -> s.role() == role)) {
      all.add(new Sensor(name, unit, role));
      figures.add(value);
    }
  }

  @Override
  public String name() {
    return source.name();
  }

  @Override
  public List<Sensor> sensors() {
    return sensors;
  }

  @Override
  public Optional<Sample> next() throws InterruptedException {
    return source
        .next()
        .map(
            sample -> {
              int told = sample.figures().length;
              double[] all = Arrays.copyOf(sample.figures(), told + fixed.length);
              System.arraycopy(fixed, 0, all, told, fixed.length);
              return new Sample(sample.seconds(), all);
            });
  }

  @Override
  public double patienceSeconds() {
    return source.patienceSeconds();
  }

  @Override
  public void close() {
    source.close();
  }
}
