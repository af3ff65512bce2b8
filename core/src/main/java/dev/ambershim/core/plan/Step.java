package dev.ambershim.core.plan;

import java.util.function.ToDoubleFunction;

/** Steps of the work at which a chip can be lost. */
public enum Step {
  OPEN_TOOL("opening with a vice tool", Odds::openTool),
  OPEN_BLADE("opening with a blade", Odds::openBlade),
  OPEN_SOLDER("opening a soldered lid", Odds::openSolder),
  OPEN_SEVERAL("opening over several dies", Odds::openSeveral),
  CLEAN_SOLDER("taking solder off a die", Odds::cleanSolder),
  METAL_GUARDED("liquid metal, parts around the die covered", Odds::metalGuarded),
  METAL_BARE("liquid metal, nothing covered", Odds::metalBare),
  MOUNT_FRAME("cold plate on a bare die, with a frame", Odds::mountFrame),
  MOUNT_BARE("cold plate on a bare die, without a frame", Odds::mountBare),
  MOUNT_MADE("cold plate on a bare die that it was made for", Odds::mountFrame),
  LAP_DIE("lapping a die", Odds::lapDie);

  private final String words;
  private final ToDoubleFunction<Odds> odds;

  Step(String words, ToDoubleFunction<Odds> odds) {
    this.words = words;
    this.odds = odds;
  }

  /** The step in words. */
  public String words() {
    return words;
  }

  /** Whether it is the opening of a lid. */
  public boolean opens() {
    return this == OPEN_TOOL || this == OPEN_BLADE || this == OPEN_SOLDER || this == OPEN_SEVERAL;
  }

  /** Whether a cold plate is set on bare silicon. */
  public boolean mountsOnDie() {
    return this == MOUNT_FRAME || this == MOUNT_BARE || this == MOUNT_MADE;
  }

  /** Chance of ruin by a table, in percent. */
  public double percent(Odds table) {
    return odds.applyAsDouble(table);
  }
}
