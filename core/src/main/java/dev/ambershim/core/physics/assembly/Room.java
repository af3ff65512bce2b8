package dev.ambershim.core.physics.assembly;

/** The air around the bench, where nobody measured it. */
public final class Room {
  /** A heated room, °C; common practice. */
  public static final double USUAL_CELSIUS = 22;

  private Room() {}
}
