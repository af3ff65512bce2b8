package dev.ambershim.sensors;

import dev.ambershim.core.runs.reading.Role;
import java.util.List;
import java.util.Optional;

/** Something that gives samples, one after the other. */
public interface Source extends AutoCloseable {
  /**
   * One channel of a source.
   *
   * @param name what it is called
   * @param unit the unit of its figures, such as "°C"
   * @param role what it stands for
   */
  record Sensor(String name, String unit, Role role) {}

  /**
   * What all sensors say at one moment.
   *
   * @param seconds time since the source's first sample
   * @param figures in the order of the sensors; not a number where one is silent; not to be written
   */
  record Sample(double seconds, double[] figures) {}

  /** What the source is, in words. */
  String name();

  /** Its sensors, in the order of the figures. */
  List<Sensor> sensors();

  /**
   * Waits for the next sample, for about a second at most.
   *
   * @return empty if none came
   * @throws InterruptedException if the thread is told to stop waiting
   */
  Optional<Sample> next() throws InterruptedException;

  /** How long there may be no sample before the source counts as lost, s. */
  default double patienceSeconds() {
    return 0;
  }

  @Override
  void close();
}
