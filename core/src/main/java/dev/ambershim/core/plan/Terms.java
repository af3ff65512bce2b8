package dev.ambershim.core.plan;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * What things cost the person, how they work, and what they believe of the odds. Prices are in
 * coins: whatever the person counts in. All usual figures are common practice.
 *
 * @param coinsPerKelvin what a kelvin less is worth
 * @param coinsPerHour what an hour at the bench is worth
 * @param coinsPerClockPercent what a percent of clock is worth
 * @param chipCoins what the chip would cost anew
 * @param pasteCoins a tube of paste
 * @param metalCoins a syringe of liquid metal
 * @param sundryCoins cleaner, glue, wipes and cover for the parts around the die
 * @param toolCoins tool to open the lid
 * @param lidCoins a flat copper lid
 * @param frameCoins a frame for the bare die
 * @param coolerCoins the better cooler
 * @param paperCoins lapping paper and plate
 * @param blade whether the lid is cut off with a blade rather than sheared with a tool
 * @param guard whether parts around the die get covered before liquid metal
 * @param frame whether a bare die gets a frame
 * @param advertised whether to reckon with liquid metal as advertised
 * @param voltagePercent how much lower the voltage would be set
 * @param clockPercent how much lower the clock would be set
 * @param odds chance of ruin by step
 * @param wish what the person wants; null for a cooler chip
 * @param targetKelvin how much cooler it should get at least; null for as it comes
 * @param ownPaste the fresh paste, where a series of the person's own tells of it; null for a usual
 *     one
 */
@RecordBuilder
public record Terms(
    double coinsPerKelvin,
    double coinsPerHour,
    double coinsPerClockPercent,
    double chipCoins,
    double pasteCoins,
    double metalCoins,
    double sundryCoins,
    double toolCoins,
    double lidCoins,
    double frameCoins,
    double coolerCoins,
    double paperCoins,
    boolean blade,
    boolean guard,
    boolean frame,
    boolean advertised,
    double voltagePercent,
    double clockPercent,
    Odds odds,
    Wish wish,
    Double targetKelvin,
    OwnPaste ownPaste)
    implements TermsBuilder.With {
  /** Usual figures. */
  public static final Terms USUAL =
      new Terms(
          12,
          12,
          8,
          300,
          8,
          14,
          12,
          30,
          40,
          25,
          110,
          9,
          false,
          true,
          true,
          false,
          5,
          5,
          Odds.USUAL,
          Wish.COOLER,
          null,
          null);

  /** Fills in what an older job does not say. */
  public Terms {
    wish = wish == null ? Wish.COOLER : wish;
    odds = odds == null ? Odds.USUAL : odds;
    ownPaste = ownPaste == null || !ownPaste.sound() ? null : ownPaste;
  }
}
