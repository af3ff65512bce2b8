package dev.ambershim.core.job;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.reading.Role;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What speaks for or against a cause besides the runs.
 *
 * @param seen what the person saw, felt or heard
 * @param readings settled states core by core, such as one core after another
 * @param turned mounts at which the cooler was turned
 */
public record CauseEvidence(List<Seen> seen, List<CoreReading> readings, List<Turned> turned) {
  /** Nothing yet. */
  public static final CauseEvidence NONE = new CauseEvidence(List.of(), List.of(), List.of());

  /**
   * A sign on one side of the work.
   *
   * @param side before or after the work
   * @param sign what was noticed
   */
  public record Seen(Side side, Sign sign) {}

  /**
   * A mount whose cooler was turned.
   *
   * @param side before or after the work
   * @param mount from 1
   * @param degrees anticlockwise from above
   */
  public record Turned(Side side, int mount, double degrees) {}

  /**
   * One settled state, core by core.
   *
   * @param name what it is called
   * @param side before or after the work
   * @param mount from 1
   * @param roomCelsius the air, or null
   * @param coolantCelsius the coolant, or null
   * @param lidCelsius the lid, or null
   * @param watts by heat, as the chip's layout names them; what is not named draws nothing
   * @param celsius by core
   */
  public record CoreReading(
      String name,
      Side side,
      int mount,
      Double roomCelsius,
      Double coolantCelsius,
      Double lidCelsius,
      Map<String, Double> watts,
      Map<String, Double> celsius) {
    /** Copies its maps. */
    public CoreReading {
      mount = Math.max(1, mount);
      watts = Map.copyOf(watts == null ? Map.of() : watts);
      celsius = Map.copyOf(celsius == null ? Map.of() : celsius);
    }

    /**
     * Refuses what cannot be.
     *
     * @throws Problem {@code reading.…} naming the figure
     */
    public void check() {
      if (side == null || celsius.isEmpty()) {
        throw problem("cores", "cores", "No core has a temperature.", "Give one for each core.");
      }
      if (roomCelsius == null && coolantCelsius == null) {
        throw problem(
            "room", "room", "Neither room nor coolant is given.", "Give one of them, or both.");
      }
      within("room", Role.ROOM, roomCelsius);
      within("coolant", Role.COOLANT, coolantCelsius);
      within("lid", Role.CORE, lidCelsius);
      celsius.forEach((core, c) -> within(core, Role.CORE, c));
      watts.forEach((heat, w) -> within("heat", Role.POWER, w));
    }

    private static void within(String field, Role role, Double value) {
      if (value != null && !role.canBe(value)) {
        String unit = role.unit().symbol();
        throw problem(
            field,
            field,
            Double.isNaN(value)
                ? "The " + field + " is not given."
                : value + " " + unit + " cannot be.",
            "Give " + unit + " from " + role.lowest() + " to " + role.highest() + ".");
      }
    }

    private static Problem problem(String key, String field, String what, String remedy) {
      return new Problem("reading." + key, Place.field(field), what, remedy);
    }

    /** Whether it can be. */
    public boolean sound() {
      try {
        check();
        return true;
      } catch (Problem e) {
        return false;
      }
    }
  }

  /** Copies its lists, and fills in what is not said. */
  public CauseEvidence {
    seen = seen == null ? List.of() : List.copyOf(seen);
    readings = readings == null ? List.of() : List.copyOf(readings);
    turned = turned == null ? List.of() : List.copyOf(turned);
  }

  /** The signs of a side. */
  public Set<Sign> signs(Side side) {
    Set<Sign> all = EnumSet.noneOf(Sign.class);
    seen.stream().filter(s -> s.side() == side).forEach(s -> all.add(s.sign()));
    return all;
  }

  /** How far the cooler was turned at a mount, degrees. */
  public double degrees(Side side, int mount) {
    return turned.stream()
        .filter(t -> t.side() == side && t.mount() == mount)
        .mapToDouble(Turned::degrees)
        .findFirst()
        .orElse(0);
  }

  /** The same with a sign noticed, or not. */
  public CauseEvidence noticing(Side side, Sign sign, boolean noticed) {
    List<Seen> all = new ArrayList<>(seen);
    all.removeIf(s -> s.side() == side && s.sign() == sign);
    if (noticed) {
      all.add(new Seen(side, sign));
    }
    return new CauseEvidence(all, readings, turned);
  }

  /** The same with a mount's cooler turned; 0 is its usual place. */
  public CauseEvidence turning(Side side, int mount, double degrees) {
    List<Turned> all = new ArrayList<>(turned);
    all.removeIf(t -> t.side() == side && t.mount() == mount);
    if (degrees != 0) {
      all.add(new Turned(side, mount, degrees));
    }
    return new CauseEvidence(seen, readings, all);
  }

  /** The same with further readings. */
  public CauseEvidence reading(List<CoreReading> more) {
    List<CoreReading> all = new ArrayList<>(readings);
    all.addAll(more);
    return new CauseEvidence(seen, all, turned);
  }
}
