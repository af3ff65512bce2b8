package dev.ambershim.core.job;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.runs.reading.Role;

/**
 * One settled state of the chip as it is now.
 *
 * @param name what the person calls it, such as the log's name
 * @param watts chip power
 * @param coreCelsius mean over the cores
 * @param roomCelsius room air
 * @param coolantCelsius coolant, or null
 * @param lidCelsius the middle of the lid's top, or null
 * @param mount readings of one number were taken without the cooler coming off; null for the first
 */
public record Reading(
    String name,
    double watts,
    double coreCelsius,
    double roomCelsius,
    Double coolantCelsius,
    Double lidCelsius,
    Integer mount) {
  /** Less heat tells nothing of a joint. */
  private static final double LEAST_WATTS = 1;

  /** Fills in what an older job does not say. */
  public Reading {
    mount = mount == null ? 1 : mount;
  }

  /** A reading of the first mount. */
  public Reading(
      String name,
      double watts,
      double coreCelsius,
      double roomCelsius,
      Double coolantCelsius,
      Double lidCelsius) {
    this(name, watts, coreCelsius, roomCelsius, coolantCelsius, lidCelsius, null);
  }

  /**
   * A reading that a person typed.
   *
   * @throws Problem {@code reading.…} if it cannot be
   */
  public static Reading checked(
      String name, double watts, double core, double room, Double coolant, Double lid) {
    if (!(watts >= LEAST_WATTS && Role.POWER.canBe(watts))) {
      throw problem("watts", "heat", watts + " W cannot be.", "Give the chip's power in W.");
    }
    if (!Room.canBe(room)) {
      throw problem(
          "room", "room", room + " °C is no room.", "Give the air at the cooler's intake.");
    }
    if (!(core > room && Role.CORE.canBe(core))) {
      throw problem(
          "core",
          "mean of cores",
          core + " °C does not fit a room of " + room + " °C.",
          "Under load the cores are hotter than the room; give both in the same unit.");
    }
    if (coolant != null && !(coolant >= room - 1 && coolant <= core)) {
      throw problem(
          "coolant",
          "coolant",
          coolant + " °C does not lie between room and cores.",
          "Leave it empty if you do not know it.");
    }
    if (lid != null && !(lid >= room && lid <= core)) {
      throw problem(
          "lid",
          "lid's middle",
          lid + " °C does not lie between room and cores.",
          "Leave it empty if you do not know it.");
    }
    return new Reading(name, watts, core, room, coolant, lid);
  }

  private static Problem problem(String key, String field, String what, String remedy) {
    return new Problem("reading." + key, Place.field(field), what, remedy);
  }

  /** The same with cores that are so much cooler, but no cooler than the room. */
  public Reading cooler(double kelvin) {
    return new Reading(
        name,
        watts,
        Math.max(roomCelsius, coreCelsius - kelvin),
        roomCelsius,
        coolantCelsius,
        lidCelsius,
        mount);
  }

  /** A reading of cores and room alone. */
  public static Reading plain(String name, double watts, double coreCelsius, double roomCelsius) {
    return new Reading(name, watts, coreCelsius, roomCelsius, null, null);
  }
}
