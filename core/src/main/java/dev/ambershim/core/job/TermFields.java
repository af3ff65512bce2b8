package dev.ambershim.core.job;

import dev.ambershim.core.base.Unit;
import java.util.ArrayList;
import java.util.List;

/** Prices, worth and odds of a job that a person may edit. Usual ranges are common practice. */
public final class TermFields {
  /** The part name for prices and ways of working. */
  public static final String WORTH = "worth";

  /** The part name for the chances of ruin. */
  public static final String ODDS = "odds";

  private TermFields() {}

  static List<Field> all() {
    List<Field> fields = new ArrayList<>();
    coins(fields, "coinsPerKelvin", "worth of each kelvin less", 1, 50, "Your own choice.");
    coins(fields, "coinsPerHour", "an hour at the bench", 0, 100, "Your own choice.");
    coins(
        fields,
        "coinsPerClockPercent",
        "a percent of clock is worth",
        0,
        50,
        "Your own choice; it weighs a lower clock against cooling.");
    coins(fields, "chipCoins", "another chip", 50, 1500, "What another one would cost you.");
    coins(fields, "pasteCoins", "paste", 3, 30, "Price of what one job uses up.");
    coins(fields, "metalCoins", "liquid metal", 5, 40, "Price of what one job uses up.");
    coins(
        fields,
        "sundryCoins",
        "cleaner, glue, cover",
        5,
        40,
        "Solvent, wipes, sealant, varnish or tape.");
    coins(fields, "toolCoins", "tool to open it", 0, 100, "Nothing if you have one.");
    coins(fields, "lidCoins", "flat copper lid", 20, 100, "Made to the chip's measures.");
    coins(fields, "frameCoins", "frame for the bare die", 10, 60, "Nothing if you have one.");
    coins(fields, "coolerCoins", "better cooler", 40, 400, "The next kind up.");
    coins(fields, "paperCoins", "lapping paper and plate", 3, 40, "Nothing if you have it.");
    percent(fields, "terms.voltagePercent", WORTH, "voltage lower by", 20, 2, 8);
    percent(fields, "terms.clockPercent", WORTH, "clock lower by", 50, 2, 10);
    odds(fields, "openTool", "opening with a tool");
    odds(fields, "openBlade", "opening with a blade");
    odds(fields, "openSolder", "opening a soldered lid");
    odds(fields, "openSeveral", "more with several dies");
    odds(fields, "cleanSolder", "taking solder off");
    odds(fields, "metalGuarded", "liquid metal, parts covered");
    odds(fields, "metalBare", "liquid metal, parts bare");
    odds(fields, "mountFrame", "bare die with a frame");
    odds(fields, "mountBare", "bare die without a frame");
    odds(fields, "lapDie", "lapping a die");
    return fields;
  }

  private static void coins(
      List<Field> fields, String name, String label, double low, double high, String how) {
    fields.add(new Field("terms." + name, WORTH, label, Unit.COIN, 0, 100_000, low, high, how));
  }

  private static void percent(
      List<Field> fields,
      String path,
      String part,
      String label,
      double most,
      double low,
      double high) {
    fields.add(
        new Field(
            path, part, label, Unit.PERCENT, 0, most, low, high, "What your chip still runs at."));
  }

  private static void odds(List<Field> fields, String name, String label) {
    fields.add(
        new Field(
            "terms.odds." + name,
            ODDS,
            label,
            Unit.PERCENT,
            0,
            100,
            0,
            10,
            "Of a hundred tries so many end in ruin; your own tries are counted on top."));
  }
}
