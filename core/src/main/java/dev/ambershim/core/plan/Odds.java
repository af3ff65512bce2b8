package dev.ambershim.core.plan;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * Chance of ruin at each step, in percent, as the person believes it before counting their own
 * tries. The usual figures are common practice.
 *
 * @param openTool shearing a lid that was glued and pasted, with a vice tool
 * @param openBlade cutting it with a blade
 * @param openSolder shearing a soldered lid
 * @param openSeveral in addition, when several dies or parts lie under the lid
 * @param cleanSolder scraping or dissolving solder
 * @param metalGuarded liquid metal with the parts around the die covered
 * @param metalBare liquid metal without that
 * @param mountFrame mounting on a bare die with a frame or shim
 * @param mountBare mounting on a bare die without
 * @param lapDie lapping a die
 */
@RecordBuilder
public record Odds(
    double openTool,
    double openBlade,
    double openSolder,
    double openSeveral,
    double cleanSolder,
    double metalGuarded,
    double metalBare,
    double mountFrame,
    double mountBare,
    double lapDie)
    implements OddsBuilder.With {
  /** Usual figures, common practice. */
  public static final Odds USUAL = new Odds(1, 4, 3, 1.5, 1, 0.3, 1.5, 0.7, 2.5, 4);
}
