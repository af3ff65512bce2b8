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
final class SiliconAt {
  /** Dies that run under such a pot lie about there, °C; common practice. */
  private static final double COLD_DIE_CELSIUS = -100;

  private SiliconAt() {}

  /** Likely conductivity, W/m·K. */
  static double likelyWattsPerMetreKelvin(Cooler cooler) {
    return cooler.kind() == CoolerClass.COLD_POT
        ? Material.SILICON.highWattsPerMetreKelvin() * Fall.SILICON.factor(COLD_DIE_CELSIUS)
        : Material.SILICON.likelyWattsPerMetreKelvin();
  }
}
