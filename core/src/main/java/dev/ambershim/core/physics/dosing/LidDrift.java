package dev.ambershim.core.physics.dosing;

import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Lid;
import dev.ambershim.core.physics.conduction.Patch;
import java.util.List;
import java.util.Optional;

/**
 * How far a lid may slide before its rim touches something: a die or a part inside from within, a
 * part outside from without. The lid lies in the middle of the substrate before it slides.
 *
 * @param millimetres how far
 * @param what what it touches first
 */
public record LidDrift(double millimetres, String what) {
  /**
   * A thing on the substrate.
   *
   * @param name what it is called
   * @param outline where it lies
   */
  public record Thing(String name, Patch outline) {}

  /** The nearest thing along x or y; empty if the rim meets none. */
  public static Optional<LidDrift> of(Chip chip, List<Thing> parts) {
    Lid lid = chip.lid();
    double outerX = lid.widthMillimetres() / 2;
    double outerY = lid.depthMillimetres() / 2;
    double innerX = outerX - lid.rimMillimetres();
    double innerY = outerY - lid.rimMillimetres();
    LidDrift least = null;
    for (Die d : chip.dies()) {
      Patch outline =
          new Patch(d.xMillimetres(), d.yMillimetres(), d.widthMillimetres(), d.depthMillimetres());
      least = nearer(least, d.name(), inside(outline, innerX, innerY));
    }
    for (Thing part : parts) {
      Patch p = part.outline();
      boolean within = Math.abs(p.xMillimetres()) < innerX && Math.abs(p.yMillimetres()) < innerY;
      least =
          nearer(
              least, part.name(), within ? inside(p, innerX, innerY) : beyond(p, outerX, outerY));
    }
    return Optional.ofNullable(least);
  }

  private static LidDrift nearer(LidDrift least, String name, double away) {
    return Double.isFinite(away) && (least == null || away < least.millimetres())
        ? new LidDrift(away, name)
        : least;
  }

  private static double inside(Patch p, double x, double y) {
    double aside = Math.min(x - p.rightMillimetres(), p.leftMillimetres() + x);
    double along = Math.min(y - p.highMillimetres(), p.lowMillimetres() + y);
    return Math.max(0, Math.min(aside, along));
  }

  private static double beyond(Patch p, double x, double y) {
    double aside = Math.max(p.leftMillimetres() - x, -x - p.rightMillimetres());
    double along = Math.max(p.lowMillimetres() - y, -y - p.highMillimetres());
    // A part off one corner is met only when the lid slides both ways; it is taken as met soonest.
    return Math.max(0, Math.max(aside, along));
  }
}
