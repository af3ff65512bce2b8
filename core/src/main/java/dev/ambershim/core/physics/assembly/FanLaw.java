package dev.ambershim.core.physics.assembly;

/**
 * What a fan's speed does: its sound goes with the fifth power, 50·lg (fan laws; Bies &amp; Hansen,
 * <i>Engineering Noise Control</i>, from memory), and what it cools with the flow to the power of
 * 0.6 (forced flow over fins lies between 0.5 and 0.8; Incropera &amp; DeWitt, 7, from memory).
 */
public final class FanLaw {
  private static final double BY_FLOW = 0.6;
  private static final double DECIBELS = 50;

  private FanLaw() {}

  /** The cooler's resistance by what it is, at a fan speed by what that is. */
  public static double resistance(double speed) {
    return Math.pow(speed, -BY_FLOW);
  }

  /** The fan speed at which the cooler's resistance is so many times what it is. */
  public static double speedFor(double resistance) {
    return Math.pow(resistance, -1 / BY_FLOW);
  }

  /** How much louder a fan speed is than the one that it is told by, dB. */
  public static double louderDecibels(double speed) {
    return DECIBELS * Math.log10(speed);
  }

  /** The fan speed that is so much louder, by what it is. */
  public static double speedAt(double louderDecibels) {
    return Math.pow(10, louderDecibels / DECIBELS);
  }
}
