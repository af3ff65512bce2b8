package dev.ambershim.core.physics.assembly;

/** The air around the bench, where nobody measured it. */
public final class Room {
  /** A heated room, °C; common practice. */
  public static final double USUAL_CELSIUS = 22;

  /** Under an extreme-cold pot the place where the heat goes is the pot, °C. */
  private static final double COLDEST_CELSIUS = -200;

  /** An oven of an attic, °C. */
  private static final double WARMEST_CELSIUS = 60;

  private Room() {}

  /** Whether a typed temperature can be where a cooler's heat goes: the room, or a cold pot. */
  public static boolean canBe(double celsius) {
    return celsius >= COLDEST_CELSIUS && celsius <= WARMEST_CELSIUS;
  }
}
