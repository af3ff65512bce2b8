package dev.ambershim.core.runlog;

import dev.ambershim.core.notation.Unit;

/** What a channel of a log stands for. Several channels may be cores or clocks. */
public enum Role {
  CORE("core temperature", Unit.CELSIUS),
  PACKAGE("package temperature", Unit.CELSIUS),
  COOLANT("coolant temperature", Unit.CELSIUS),
  ROOM("room air", Unit.CELSIUS),
  POWER("chip power", Unit.WATT),
  CLOCK("core clock", Unit.MEGAHERTZ),
  VOLTAGE("core voltage", Unit.VOLT),
  FAN("fan speed", Unit.TURNS_PER_MINUTE),
  PUMP("pump speed", Unit.TURNS_PER_MINUTE),
  LOAD("load", Unit.PERCENT),
  THROTTLE("throttle flag", Unit.COUNT),
  UNUSED("not used", Unit.COUNT);

  private final String words;
  private final Unit unit;

  Role(String words, Unit unit) {
    this.words = words;
    this.unit = unit;
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
