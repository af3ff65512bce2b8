package dev.ambershim.core.plan;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.Seat;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.material.Filling;

/** Cases to plan for: every option on the usual kinds of chip. */
public final class Cases {
  private static final Joint FILM = new Joint(Filling.LIQUID_METAL, 25, 20);
  private static final Joint PASTE = Joint.usual(Filling.PASTE);

  private Cases() {}

  /** How the chip comes to the bench. */
  public enum Arrival {
    PASTED(StartingPoint.DESKTOP_ONE_DIE_PASTE, "desktop, lid on paste"),
    SOLDERED(StartingPoint.DESKTOP_ONE_DIE_SOLDER, "desktop, soldered lid"),
    CHIPLETS(StartingPoint.DESKTOP_CHIPLETS_SOLDER, "desktop, chiplets under a soldered lid"),
    METAL_INSIDE(StartingPoint.DESKTOP_ONE_DIE_PASTE, "desktop, liquid metal under its lid"),
    BARE_PASTED(StartingPoint.DESKTOP_ONE_DIE_PASTE, "desktop, lid off, paste"),
    BARE_METAL(StartingPoint.DESKTOP_ONE_DIE_PASTE, "desktop, lid off, liquid metal"),
    PINS_SOLDERED(StartingPoint.DESKTOP_PINS_SOLDER, "lever and pins, soldered lid"),
    PINS_BARE(StartingPoint.DESKTOP_PINS_SOLDER, "lever and pins, lid off"),
    WORKSTATION(StartingPoint.WORKSTATION_CHIPLETS_SOLDER, "workstation under its own loop"),
    LAPTOP(StartingPoint.LAPTOP_BARE_DIE, "laptop, paste"),
    LAPTOP_METAL(StartingPoint.LAPTOP_BARE_DIE, "laptop, liquid metal"),
    CONSOLE_METAL(StartingPoint.CONSOLE_BARE_DIE, "console, liquid metal"),
    CARD(StartingPoint.CARD_BARE_DIE, "card, paste"),
    CARD_METAL(StartingPoint.CARD_BARE_DIE, "card, liquid metal"),
    LID_ON_BOARD(StartingPoint.DESKTOP_ONE_DIE_PASTE, "console, lid on paste"),
    COLD(StartingPoint.EXTREME_COLD_SOLDER, "desktop under an extreme-cold pot");

    private final StartingPoint point;
    private final String words;

    Arrival(StartingPoint point, String words) {
      this.point = point;
      this.words = words;
    }

    String words() {
      return words;
    }

    boolean lidOn() {
      return build().lidOn();
    }

    boolean metal() {
      return this == METAL_INSIDE || name().endsWith("_METAL");
    }

    boolean fixed() {
      return seat().soldered();
    }

    private Seat seat() {
      return this == LID_ON_BOARD ? Seat.BOARD : point.chip("x").seat();
    }

    private Build build() {
      Build bought = point.asBought();
      return switch (this) {
        case METAL_INSIDE -> new Build(true, 40, Joint.usual(Filling.LIQUID_METAL), PASTE);
        case BARE_PASTED, PINS_BARE -> new Build(false, 0, bought.inner(), PASTE);
        case BARE_METAL, LAPTOP_METAL, CONSOLE_METAL, CARD_METAL ->
            new Build(false, 0, bought.inner(), Joint.usual(Filling.LIQUID_METAL));
        default -> bought;
      };
    }
  }

  /** A case; the ways come on top of the option. */
  public static WorkCase of(Arrival arrival, OptionKind kind, Way... ways) {
    Build before = arrival.build();
    Build after =
        switch (kind) {
          case LOWER_VOLTAGE, LOWER_CLOCK -> before;
          case FRESH_PASTE, BETTER_COOLER, LAP_TOP, LAP_PLATE ->
              new Build(before.lidOn(), before.glueMicrometres(), before.inner(), PASTE);
          case METAL_ON_LID -> new Build(true, before.glueMicrometres(), before.inner(), FILM);
          case METAL_UNGLUED, METAL_GLUED, METAL_LAPPED, COPPER_LID ->
              new Build(true, 40, FILM, PASTE);
          case PASTE_INSIDE -> new Build(true, 40, PASTE, PASTE);
          case METAL_RENEWED ->
              before.lidOn()
                  ? new Build(true, 40, FILM, PASTE)
                  : new Build(false, 0, before.inner(), FILM);
          case METAL_ON_DIE, BARE, BARE_LAPPED -> new Build(false, 0, before.inner(), FILM);
        };
    Ways picks = Ways.USUAL.with(kind);
    for (Way way : ways) {
      picks = picks.with(way);
    }
    return new WorkCase(
        arrival.point.chip("Sedge Q4").withSeat(arrival.seat()),
        arrival.point.usualCooler().kind() == CoolerClass.OTHER
            ? CoolerClass.LARGE_LOOP.usual("loop", 3.5)
            : arrival.point.usualCooler(),
        before,
        after,
        picks);
  }

  /** Whether an option can be done at all on a chip that comes so. */
  public static boolean possible(Arrival arrival, OptionKind kind) {
    return switch (kind) {
      case METAL_ON_LID, METAL_UNGLUED, METAL_GLUED, METAL_LAPPED, COPPER_LID -> arrival.lidOn();
      case LAP_TOP, PASTE_INSIDE, BARE -> arrival.lidOn();
      case METAL_RENEWED -> arrival.metal();
      case METAL_ON_DIE -> !arrival.lidOn() && !arrival.metal();
      case BARE_LAPPED -> !arrival.fixed();
      default -> true;
    };
  }
}
