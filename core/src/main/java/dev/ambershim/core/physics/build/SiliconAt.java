package dev.ambershim.core.physics.build;

import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.conduction.StackLayer.Fall;
import dev.ambershim.core.physics.material.Material;

/**
 * How well silicon conducts where a cooler leaves it: about as tabled between 300 and 400 K under
 * usual coolers, and far better under an extreme-cold pot, by the law that fits the table
 * (Incropera &amp; DeWitt, Table A.1, which has 264 W/m·K at 200 K and 884 at 100 K; from memory).
 */
public final class SiliconAt {
  /** Dies that run under such a pot lie about there, °C; common practice. */
  private static final double COLD_DIE_CELSIUS = -100;

  /** Dies are reckoned with no hotter, °C: a chip protects itself before. */
  private static final double HOTTEST_CELSIUS = 150;

  private static final double COLDEST_CELSIUS = -170;

  /** Conductivities, W/m·K: where the law begins, in a cold die, and in a usual one. */
  private static final double AT_REFERENCE = Material.SILICON.highWattsPerMetreKelvin();

  private static final double COLD = AT_REFERENCE * Fall.SILICON.factor(COLD_DIE_CELSIUS);

  private static final double USUAL = Material.SILICON.likelyWattsPerMetreKelvin();

  /** How these stand to the first, as the logarithm: draws ask many thousand times. */
  private static final double COLD_LOGARITHM = Math.log(COLD / AT_REFERENCE);

  private static final double USUAL_LOGARITHM = Math.log(USUAL / AT_REFERENCE);

  private SiliconAt() {}

  /**
   * Logarithm of silicon's conductivity at a die's temperature by the one that {@link
   * #likelyWattsPerMetreKelvin} has.
   */
  public static double logarithm(Cooler cooler, double celsius) {
    double at = Math.max(COLDEST_CELSIUS, Math.min(HOTTEST_CELSIUS, celsius));
    return Fall.SILICON.logarithm(at) - (isCold(cooler) ? COLD_LOGARITHM : USUAL_LOGARITHM);
  }

  /** Likely conductivity, W/m·K. */
  static double likelyWattsPerMetreKelvin(Cooler cooler) {
    return isCold(cooler) ? COLD : USUAL;
  }

  private static boolean isCold(Cooler cooler) {
    return cooler.kind() == CoolerClass.COLD_POT;
  }
}
