package dev.ambershim.core.physics.assembly;

/**
 * What a loop's coolant carries, by its flow and by how much it warms in the block: Q = ṁ·c·ΔT
 * (Incropera &amp; DeWitt, 1.3). Water at 30 °C: 995.7 kg/m³, 4178 J/kg·K (Table A.6, from memory);
 * with glycol it carries up to a tenth less.
 */
public final class CoolantBalance {
  private static final double DENSITY = 995.7;
  private static final double HEAT = 4178;

  /** Flow meters and pairs of probes are seldom better than so much, as a share. */
  private static final double DOUBT = 0.2;

  private CoolantBalance() {}

  /**
   * Heat that the coolant carries, W.
   *
   * @param litresPerHour flow
   * @param warmsKelvin outlet less inlet of the block
   */
  public static double watts(double litresPerHour, double warmsKelvin) {
    return litresPerHour / 3.6e6 * DENSITY * HEAT * warmsKelvin;
  }

  /** Whether a power reading fits what the coolant carries, meters' doubt allowed for. */
  public static boolean agrees(double carriedWatts, double chipWatts) {
    return Math.abs(carriedWatts - chipWatts) <= DOUBT * Math.max(carriedWatts, chipWatts);
  }
}
