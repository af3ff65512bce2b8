package dev.ambershim.core.stage.keep;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.runs.reading.Role;

/**
 * What a person does not want to see the cores at.
 *
 * @param celsius mean of the cores, °C
 * @param roomCelsius in such a room, °C
 */
public record Limit(double celsius, double roomCelsius) {
  /** A limit nearer to the room than this is none, K. */
  private static final double LEAST_RISE = 1;

  /**
   * Checks it.
   *
   * @throws Problem {@code limit.range}
   */
  public Limit {
    if (!(Room.canBe(roomCelsius)
        && Role.CORE.canBe(celsius)
        && celsius >= roomCelsius + LEAST_RISE)) {
      throw new Problem(
          "limit.range",
          Place.field("limit"),
          celsius + " °C in a room of " + roomCelsius + " °C is no limit for cores.",
          "Give a temperature well over the room, such as 90.");
    }
  }

  /** The rise at which it is met, K. */
  public double riseKelvin() {
    return celsius - roomCelsius;
  }
}
