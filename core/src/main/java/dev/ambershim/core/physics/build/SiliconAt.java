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

  private static final double COLD_LOGARITHM = Fall.SILICON.logarithm(COLD_DIE_CELSIUS);

  private static final double USUAL_LOGARITHM =
      Math.log(
          Material.SILICON.likelyWattsPerMetreKelvin()
              / Material.SILICON.highWattsPerMetreKelvin());

  private SiliconAt() {}

  /**
   * Logarithm of silicon's conductivity at a die's temperature by the one that {@link
   * #likelyWattsPerMetreKelvin} has.
   */
  public static double logarithm(Cooler cooler, double celsius) {
    double at = Math.max(COLDEST_CELSIUS, Math.min(HOTTEST_CELSIUS, celsius));
    double likely = cooler.kind() == CoolerClass.COLD_POT ? COLD_LOGARITHM : USUAL_LOGARITHM;
    return Fall.SILICON.logarithm(at) - likely;
  }

  /** Likely conductivity, W/m·K. */
  static double likelyWattsPerMetreKelvin(Cooler cooler) {
    return cooler.kind() == CoolerClass.COLD_POT
        ? Material.SILICON.highWattsPerMetreKelvin() * Fall.SILICON.factor(COLD_DIE_CELSIUS)
        : Material.SILICON.likelyWattsPerMetreKelvin();
  }
}
