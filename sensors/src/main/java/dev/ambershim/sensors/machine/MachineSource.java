package dev.ambershim.sensors.machine;

import dev.ambershim.core.base.Problem;
import dev.ambershim.sensors.Source;
import dev.ambershim.sensors.kernel.KernelSource;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.IntStream;
import oshi.SystemInfo;

/**
 * This machine: the kernel's sensors with what OSHI tells beyond them, or OSHI alone where the
 * kernel shows no temperature.
 */
public final class MachineSource implements Source {
  private final Source first;
  private final OshiSource further;
  private final int[] taken;
  private final List<Sensor> sensors;

  MachineSource(Source first, OshiSource further) {
    this.first = first;
    this.further = further;
    List<Sensor> more = further.sensors();
    taken =
        IntStream.range(0, more.size())
            .filter(i -> first.sensors().stream().noneMatch(s -> s.role() == more.get(i).role()))
            .toArray();
    List<Sensor> all = new ArrayList<>(first.sensors());
    Arrays.stream(taken).forEach(i -> all.add(more.get(i)));
    sensors = List.copyOf(all);
  }

  /**
   * The sensors of the machine that this runs on.
   *
   * @param root root of the kernel's files, {@code /}
   * @throws Problem {@code sensors.none} if nothing tells a processor temperature
   */
  public static Source of(Path root) {
    return of(() -> new KernelSource(root), () -> new OshiSource(new SystemInfo().getHardware()));
  }

  static Source of(Supplier<Source> kernel, Supplier<OshiSource> oshi) {
    Source first;
    try {
      first = kernel.get();
    } catch (Problem noTemperature) {
      return oshi.get().withTemperature();
    }
    try {
      return new MachineSource(first, oshi.get());
    } catch (RuntimeException | LinkageError noLibrary) {
      // Its native part may lack on this system; the kernel's own figures are enough.
      return first;
    }
  }

  @Override
  public String name() {
    return first.name();
  }

  @Override
  public List<Sensor> sensors() {
    return sensors;
  }

  @Override
  public Optional<Sample> next() throws InterruptedException {
    Optional<Sample> sample = first.next();
    if (sample.isEmpty() || taken.length == 0) {
      return sample;
    }
    double[] more = further.read(sample.get().seconds()).figures();
    int told = sample.get().figures().length;
    double[] all = Arrays.copyOf(sample.get().figures(), told + taken.length);
    for (int i = 0; i < taken.length; i++) {
      all[told + i] = more[taken[i]];
    }
    return Optional.of(new Sample(sample.get().seconds(), all));
  }

  @Override
  public double patienceSeconds() {
    return first.patienceSeconds();
  }

  @Override
  public void close() {
    first.close();
    further.close();
  }
}
