package dev.ambershim.core.runs.judging;

import dev.ambershim.core.base.Unit;

/** A settled figure by which two states of a chip can be compared. */
public enum Figure {
  RISE("mean of the cores", Unit.KELVIN),
  HOTTEST("hottest core", Unit.KELVIN),
  PACKAGE("package", Unit.KELVIN),
  SPREAD("spread between cores", Unit.KELVIN),
  RESISTANCE("rise by power", Unit.KELVIN_PER_WATT);

  private final String words;
  private final Unit unit;

  Figure(String words, Unit unit) {
    this.words = words;
    this.unit = unit;
  }

  /** The figure in words. */
  public String words() {
    return words;
  }

  /** The unit of its change. */
  public Unit unit() {
    return unit;
  }
}
