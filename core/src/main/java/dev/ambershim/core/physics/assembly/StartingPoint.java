package dev.ambershim.core.physics.assembly;

import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import java.util.List;

/**
 * Sensible figures to begin with, by kind of chip. They are common practice and meant to be
 * replaced by the person's own readings.
 */
public enum StartingPoint {
  DESKTOP_ONE_DIE_PASTE(
      "desktop, one die, paste under the lid",
      new Chip(
          "",
          "desktop, one die, paste under the lid",
          37.5,
          37.5,
          1.17,
          8,
          List.of(new Die("die", 0, 0, 9.2, 19.0, 780, 1)),
          new Lid(30.5, 30.5, 2.3, 0.75, 3.2, Material.COPPER)),
      Filling.FACTORY_PASTE,
      CoolerClass.OTHER,
      150),
  DESKTOP_ONE_DIE_SOLDER(
      "desktop, one die, soldered lid",
      new Chip(
          "",
          "desktop, one die, soldered lid",
          37.5,
          37.5,
          1.17,
          8,
          List.of(new Die("die", 0, 0, 10.5, 20.5, 550, 1)),
          new Lid(30.5, 30.5, 2.3, 0.65, 3.2, Material.COPPER)),
      Filling.SOLDER,
      CoolerClass.OTHER,
      150),
  DESKTOP_CHIPLETS_SOLDER(
      "desktop, two chiplets and a hub die, soldered lid",
      new Chip(
          "",
          "desktop, two chiplets and a hub die, soldered lid",
          40,
          40,
          1.3,
          16,
          List.of(
              new Die("chiplet 1", -6.6, 7.5, 10.4, 7.2, 620, 0.42),
              new Die("chiplet 2", 6.6, 7.5, 10.4, 7.2, 620, 0.42),
              new Die("hub die", 0, -5.5, 12.8, 9.6, 620, 0.16)),
          new Lid(36, 36, 2.6, 0.64, 4.0, Material.COPPER)),
      Filling.SOLDER,
      CoolerClass.OTHER,
      150),
  DESKTOP_PINS_SOLDER(
      "desktop, lever and pins, soldered lid",
      new Chip(
          "",
          "desktop, lever and pins, soldered lid",
          40,
          40,
          1.1,
          8,
          List.of(
              new Die("chiplet", -5.5, 6.5, 10.2, 7.4, 620, 0.8),
              new Die("hub die", 3.5, -5, 12.8, 9.6, 620, 0.2)),
          new Lid(37, 37, 2.6, 0.64, 4.0, Material.COPPER),
          Seat.LEVER),
      Filling.SOLDER,
      CoolerClass.BOXED,
      90),
  WORKSTATION_CHIPLETS_SOLDER(
      "workstation, four chiplets and a hub die, soldered lid",
      new Chip(
          "",
          "workstation, four chiplets and a hub die, soldered lid",
          72,
          58,
          1.6,
          32,
          List.of(
              new Die("chiplet 1", -21, 10, 10.4, 7.2, 620, 0.21),
              new Die("chiplet 2", 21, 10, 10.4, 7.2, 620, 0.21),
              new Die("chiplet 3", -21, -10, 10.4, 7.2, 620, 0.21),
              new Die("chiplet 4", 21, -10, 10.4, 7.2, 620, 0.21),
              new Die("hub die", 0, 0, 24, 16, 620, 0.16)),
          new Lid(66, 51, 2.8, 0.64, 4.5, Material.COPPER),
          Seat.CLAMP),
      Filling.SOLDER,
      CoolerClass.OWN_LOOP_THICK,
      280),
  LAPTOP_BARE_DIE(
      "laptop, bare die soldered to its board",
      new Chip(
          "",
          "laptop, bare die soldered to its board",
          50,
          25,
          0.9,
          6,
          List.of(new Die("die", 4, 0, 20, 10, 740, 1)),
          Bare.LID,
          Seat.BOARD),
      Filling.FACTORY_PASTE,
      CoolerClass.HEAT_PIPES,
      55),
  CONSOLE_BARE_DIE(
      "console, large bare die soldered to its board",
      new Chip(
          "",
          "console, large bare die soldered to its board",
          45,
          45,
          1.1,
          8,
          List.of(new Die("die", 0, 0, 19, 17, 780, 1)),
          Bare.LID,
          Seat.BOARD),
      Filling.FACTORY_PASTE,
      CoolerClass.VAPOUR_CHAMBER,
      170),
  CARD_BARE_DIE(
      "card, large bare die with memory around it",
      new Chip(
          "",
          "card, large bare die with memory around it",
          42,
          42,
          1.2,
          1,
          List.of(new Die("die", 0, 0, 25, 21, 760, 1)),
          Bare.LID,
          Seat.CARD),
      Filling.FACTORY_PASTE,
      CoolerClass.VAPOUR_CHAMBER,
      280),
  EXTREME_COLD_SOLDER(
      "desktop, one die, soldered lid, under an extreme-cold pot",
      new Chip(
          "",
          "desktop, one die, soldered lid, under an extreme-cold pot",
          37.5,
          37.5,
          1.17,
          8,
          List.of(new Die("die", 0, 0, 10.5, 20.5, 550, 1)),
          new Lid(30.5, 30.5, 2.3, 0.65, 3.2, Material.COPPER)),
      Filling.SOLDER,
      CoolerClass.COLD_POT,
      220);

  /** What stands in for a lid where a chip never had one; nothing shows it. */
  private static final class Bare {
    private static final Lid LID = new Lid(30, 30, 2, 0.8, 3, Material.COPPER);
  }

  private final String words;
  private final Chip chip;
  private final Filling filling;
  private final CoolerClass cooler;
  private final double heat;

  StartingPoint(String words, Chip chip, Filling filling, CoolerClass cooler, double heat) {
    this.words = words;
    this.chip = chip;
    this.filling = filling;
    this.cooler = cooler;
    this.heat = heat;
  }

  /** The kind in words. */
  public String words() {
    return words;
  }

  /** A chip of this kind with a name. */
  public Chip chip(String name) {
    return chip.withName(name);
  }

  /** Whether it is sold with a lid. */
  public boolean lidded() {
    return !chip.seat().soldered();
  }

  /** Heat of a heavy load, W. */
  public double heatWatts() {
    return heat;
  }

  /** The cooler that is usual on it. */
  public Cooler usualCooler() {
    return cooler == CoolerClass.OTHER
        ? cooler()
        : cooler.usual("", lidded() ? Cooler.USUAL_REACH : 0.5);
  }

  /** The state it comes in: factory filling on the die, paste outside where there is a lid. */
  public Build asBought() {
    return lidded()
        ? closedWith(filling)
        : new Build(false, 0, Joint.usual(filling), Joint.usual(filling));
  }

  /**
   * The usual aim: liquid metal inside and the lid back on; fresh paste on a bare die, and under an
   * extreme-cold pot, where liquid metal would freeze.
   */
  public Build afterwards() {
    if (cooler == CoolerClass.COLD_POT) {
      return asBought();
    }
    return lidded()
        ? closedWith(Filling.LIQUID_METAL)
        : new Build(false, 0, Joint.usual(filling), Joint.usual(Filling.PASTE));
  }

  private Build closedWith(Filling filling) {
    Joint joint = Joint.usual(filling);
    // The inner bond line is what cavity and glue leave, so the glue line follows from it.
    double glue =
        joint.bondLineMicrometres()
            + chip.highestDieMicrometres()
            - chip.lid().cavityMillimetres() * 1000;
    return new Build(true, Math.max(0, glue), joint, Joint.usual(Filling.PASTE));
  }

  /** A middling cooler. */
  public static Cooler cooler() {
    return Cooler.plain("", 44, 44, 3, Material.COPPER, 0.11);
  }
}
