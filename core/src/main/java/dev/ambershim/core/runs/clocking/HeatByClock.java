package dev.ambershim.core.runs.clocking;

/** How a chip's heat goes with its clock, the voltage following: as a power of it. */
public final class HeatByClock {
  /** Likely power; common practice. */
  public static final double LIKELY = 2;

  /** One chip in twenty lies below. */
  public static final double LOW = 1.2;

  /** One chip in twenty lies above. */
  public static final double HIGH = 2.8;

  private HeatByClock() {}

  /** Heat at a clock, both by what they are. */
  public static double heat(double clock) {
    return heat(clock, LIKELY);
  }

  /** The same by another power. */
  public static double heat(double clock, double power) {
    return Math.pow(clock, power);
  }
}
