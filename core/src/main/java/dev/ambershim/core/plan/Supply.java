package dev.ambershim.core.plan;

/**
 * What is used up, or bought for a job. Pack, price and shelf life are common practice and meant to
 * be replaced by what stands on the pack.
 */
public enum Supply {
  ALCOHOL("isopropyl alcohol, 90 % or more", "ml", 250, 6, 36),
  WIPES("lint-free wipes", "pieces", 100, 6, 0),
  SWABS("lint-free swabs", "pieces", 50, 4, 0),
  GLOVES("nitrile gloves", "pairs", 50, 8, 60),
  METAL("liquid metal", "g", 1, 14, 24),
  PASTE("thermal paste", "g", 4, 8, 24),
  VARNISH("insulating varnish", "ml", 10, 7, 18),
  POLYIMIDE_TAPE("polyimide tape", "cm", 3000, 6, 0),
  VINYL_TAPE("vinyl tape", "cm", 1000, 2, 60),
  SILICONE("neutral-curing silicone", "g", 80, 6, 12),
  FOIL("insulating foil", "pieces", 2, 8, 0),
  MASKING_TAPE("masking tape", "cm", 3000, 3, 36),
  POLISH("metal polish without ammonia", "g", 50, 6, 60),
  PAPER("wet lapping paper, set of grits", "sets", 1, 9, 0),
  CRAYON("marker", "pieces", 1, 2, 24),
  BAG("sealable waste bag", "pieces", 20, 3, 0),
  TOOL("tool to shear the lid off", "pieces", 1, 30, 0),
  LID("flat copper lid", "pieces", 1, 40, 0),
  FRAME("frame for the bare die", "pieces", 1, 25, 0),
  SHIM("shim for the bare die", "pieces", 1, 6, 0),
  COOLER("better cooler", "pieces", 1, 110, 0),
  WATER("deionised water", "ml", 1000, 4, 0),
  PADS("thermal pads", "sheets", 1, 12, 0),
  INSULATION("closed-cell foam for the board", "sets", 1, 15, 0);

  private final String words;
  private final String unit;
  private final double pack;
  private final double price;
  private final int months;

  Supply(String words, String unit, double pack, double price, int months) {
    this.words = words;
    this.unit = unit;
    this.pack = pack;
    this.price = price;
    this.months = months;
  }

  /** The supply in words. */
  public String words() {
    return words;
  }

  /** What its amounts are counted in. */
  public String unit() {
    return unit;
  }

  /** How much a usual pack holds. */
  public double pack() {
    return pack;
  }

  /** What a usual pack costs, coins. */
  public double packCoins() {
    return price;
  }

  /** How many months a pack keeps once it is open; 0 if it does not go off. */
  public int months() {
    return months;
  }

  /** Whether it is used again and not used up. */
  public boolean lasts() {
    return this == TOOL || this == FRAME || this == COOLER || this == LID || this == SHIM;
  }
}
