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
      Filling.FACTORY_PASTE),
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
          new Lid(30.5, 30.5, 2.3, 0.75, 3.2, Material.COPPER)),
      Filling.SOLDER),
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
      Filling.SOLDER);

  private final String words;
  private final Chip chip;
  private final Filling inner;

  StartingPoint(String words, Chip chip, Filling inner) {
    this.words = words;
    this.chip = chip;
    this.inner = inner;
  }

  /** The kind in words. */
  public String words() {
    return words;
  }

  /** A chip of this kind with a name. */
  public Chip chip(String name) {
    return new Chip(
        name,
        chip.kind(),
        chip.widthMillimetres(),
        chip.depthMillimetres(),
        chip.substrateMillimetres(),
        chip.cores(),
        chip.dies(),
        chip.lid());
  }

  /** The state it comes in: lid on, factory filling inside, paste outside. */
  public Build asBought() {
    return closedWith(inner);
  }

  /** The usual aim: liquid metal inside, lid back on, fresh paste outside. */
  public Build afterwards() {
    return closedWith(Filling.LIQUID_METAL);
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
