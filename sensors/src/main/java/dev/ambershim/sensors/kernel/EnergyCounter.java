package dev.ambershim.sensors.kernel;

import java.util.function.DoubleSupplier;
import java.util.function.LongSupplier;

/**
 * Power from an energy counter in microjoules that starts again at zero when it is full (the
 * kernel's powercap documentation: {@code energy_uj}, {@code max_energy_range_uj}).
 */
final class EnergyCounter {
  private final DoubleSupplier microjoules;
  private final double range;
  private final LongSupplier nanoseconds;
  private double last = Double.NaN;
  private long lastTime;

  /**
   * A counter not looked at yet.
   *
   * @param range its largest figure, µJ; not a number if it is not stated
   */
  EnergyCounter(DoubleSupplier microjoules, double range, LongSupplier nanoseconds) {
    this.microjoules = microjoules;
    this.range = range;
    this.nanoseconds = nanoseconds;
    look();
  }

  /** Mean power since the last look; not a number if it cannot be told. */
  double watts() {
    double before = last;
    long then = lastTime;
    look();
    double used = last - before;
    if (used < 0) {
      used += range;
    }
    double seconds = (lastTime - then) / 1e9;
    return seconds > 0 && used >= 0 ? used * 1e-6 / seconds : Double.NaN;
  }

  private void look() {
    last = microjoules.getAsDouble();
    lastTime = nanoseconds.getAsLong();
  }
}
