package dev.ambershim.core.physics.ageing;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.dosing.MetalFace;
import dev.ambershim.core.physics.dosing.MetalPlace;
import dev.ambershim.core.physics.material.Filling;

/**
 * How a joint's resistance usually grows, as a share of what it was, for each year of use. Common
 * practice, and wide: paste dries and is pumped out; liquid metal goes into bare copper by the root
 * of time, into nickel slowly, and fails over years on gold or indium that was left; solder and
 * sheets stay.
 *
 * @param sharePerYear growth a year, 0.05 for 5 %
 * @param deviation its standard deviation between joints
 */
public record Ageing(double sharePerYear, double deviation) {
  private static final Ageing STAYS = new Ageing(0, 0.01);
  private static final Ageing SLOW = new Ageing(0.01, 0.03);
  private static final Ageing PASTE = new Ageing(0.08, 0.10);
  private static final Ageing METAL_ON_COPPER = new Ageing(0.06, 0.12);
  private static final Ageing METAL_ON_GOLD = new Ageing(0.20, 0.25);

  /** Heat spreads in a lid to about so many times the die's area: common practice. */
  private static final double SPREADS = 4;

  /**
   * One joint's.
   *
   * @param filling what is in it
   * @param face the metal that a liquid metal meets; any for other fillings
   */
  public static Ageing of(Filling filling, MetalFace face) {
    return switch (filling) {
      case SOLDER, GRAPHITE_SHEET, PHASE_CHANGE -> STAYS;
      case PASTE, FACTORY_PASTE, DRIED_PASTE, PUTTY -> PASTE;
      case PAD -> SLOW;
      case LIQUID_METAL ->
          switch (face) {
            case COPPER, BRASS -> METAL_ON_COPPER;
            case GOLD, INDIUM, TIN, ALUMINIUM -> METAL_ON_GOLD;
            default -> SLOW;
          };
    };
  }

  /**
   * What such a chip's rise does in a year, K, with its standard deviation: each joint's share of
   * the rise times its ageing.
   *
   * @return this record's fields in kelvin a year
   */
  public static Ageing kelvinPerYear(Chip chip, Build build, CoatTerms coat, double watts) {
    double die = chip.dies().stream().mapToDouble(Die::areaSquareMillimetres).sum();
    double spread = Math.min(SPREADS * die, Math.max(die, chip.lid().areaSquareMillimetres()));
    MetalFace inside = coat.said(MetalPlace.LID_INSIDE).orElse(MetalFace.NICKEL);
    MetalFace plate = coat.said(MetalPlace.PLATE).orElse(MetalFace.NICKEL);
    Ageing outer = of(build.outer().filling(), plate);
    double outerKelvin = kelvin(build.outer(), watts, build.lidOn() ? spread : die);
    if (!build.lidOn()) {
      return new Ageing(outer.sharePerYear * outerKelvin, outer.deviation * outerKelvin);
    }
    Ageing inner = of(build.inner().filling(), inside);
    double innerKelvin = kelvin(build.inner(), watts, die);
    return new Ageing(
        inner.sharePerYear * innerKelvin + outer.sharePerYear * outerKelvin,
        Math.hypot(inner.deviation * innerKelvin, outer.deviation * outerKelvin));
  }

  /**
   * This, corrected by what joints of one's own did. Half of the usual variance is taken as that of
   * the person and the kit, which own joints tell, and half as that from joint to joint, which
   * stays (normal model of two levels; Gelman et al., <i>Bayesian Data Analysis</i>, section 5.4).
   *
   * @param grown what each own joint grew a year, in the unit of this
   * @param variances of these
   */
  public Ageing with(double[] grown, double[] variances) {
    double between = deviation * deviation / 2;
    double weight = 1 / between;
    double sum = sharePerYear * weight;
    for (int i = 0; i < grown.length; i++) {
      double own = 1 / (between + variances[i]);
      weight += own;
      sum += grown[i] * own;
    }
    return new Ageing(sum / weight, Math.sqrt(1 / weight + between));
  }

  private static double kelvin(Joint joint, double watts, double areaSquareMillimetres) {
    return watts * joint.resistanceSquareMillimetreKelvinPerWatt() / areaSquareMillimetres;
  }
}
