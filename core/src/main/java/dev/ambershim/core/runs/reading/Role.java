package dev.ambershim.core.runs.reading;

import dev.ambershim.core.base.Unit;

/**
 * What a channel of a log stands for, and between which readings it can be: the one place that says
 * so, for logs and for what is typed. Several channels may be cores or clocks. The ranges are
 * common practice.
 */
public enum Role {
  /**
   * Down to where extreme cold takes a chip, up to where every chip has long switched itself off.
   */
  CORE("core temperature", Unit.CELSIUS, -200, 150),
  PACKAGE("package temperature", Unit.CELSIUS, -200, 150),
  /** From liquid nitrogen to boiling with a margin for glycol. */
  COOLANT("coolant temperature", Unit.CELSIUS, -200, 120),
  /** Where people work, with a shed in winter and an oven of an attic. */
  ROOM("room air", Unit.CELSIUS, -40, 60),
  /** Several times what a desktop chip takes under extreme cold. */
  POWER("chip power", Unit.WATT, 0, 2000),
  /** Half as much again as the fastest chip ever ran. */
  CLOCK("core clock", Unit.MEGAHERTZ, 0, 12_000),
  /** A core has about one volt; at three it is gone. */
  VOLTAGE("core voltage", Unit.VOLT, 0, 3),
  /** Small server fans come near it. */
  FAN("fan speed", Unit.TURNS_PER_MINUTE, 0, 40_000),
  PUMP("pump speed", Unit.TURNS_PER_MINUTE, 0, 40_000),
  /** Some loggers count a hundred for each thread. */
  LOAD("load", Unit.PERCENT, 0, 51_200),
  THROTTLE("throttle flag", Unit.COUNT, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY),
  UNUSED("not used", Unit.COUNT, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY);

  private final String words;
  private final Unit unit;
  private final double lowest;
  private final double highest;

  Role(String words, Unit unit, double lowest, double highest) {
    this.words = words;
    this.unit = unit;
    this.lowest = lowest;
    this.highest = highest;
  }

  /** The lowest reading that can be, in the role's unit; what is lower is no reading. */
  public double lowest() {
    return lowest;
  }

  /** The highest reading that can be, in the role's unit. */
  public double highest() {
    return highest;
  }

  /** Whether a reading can be; not a number cannot. */
  public boolean canBe(double reading) {
    return reading >= lowest && reading <= highest;
  }

  /** Whether it is a temperature. */
  public boolean temperature() {
    return unit == Unit.CELSIUS;
  }

  /** The role in words. */
  public String words() {
    return words;
  }

  /** The unit that the channel's figures are in once it has this role. */
  public Unit unit() {
    return unit;
  }

  /** Whether only one channel of a log can have this role. */
  public boolean single() {
    return this == PACKAGE || this == COOLANT || this == ROOM || this == POWER;
  }
}
