package dev.ambershim.core.job;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure.Range;
import dev.ambershim.core.plan.Odds;
import dev.ambershim.core.plan.Terms;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.ToDoubleFunction;

/** Prices, worth and odds of a job. Usual ranges are common practice. */
public final class TermFigures {
  /** The part name for prices and ways of working. */
  public static final String WORTH = "worth";

  /** The part name for the chances of ruin. */
  public static final String ODDS = "odds";

  static final Section<Terms> TERMS = new Section<>(Job::terms, Job::withTerms);

  private static final Section<Odds> OF_RUIN = TERMS.in(Terms::odds, Terms::withOdds);

  private static final String CHOICE = "Your own choice.";

  private final List<Figure> figures = new ArrayList<>();

  private TermFigures() {}

  static List<Figure> all() {
    TermFigures all = new TermFigures();
    all.figures.add(
        new Figure(
            "terms.targetKelvin",
            WORTH,
            "at least",
            Unit.KELVIN,
            new Range(0, 100),
            new Range(2, 25),
            "Your own target. Empty if you take what comes.",
            TERMS.may(Terms::targetKelvin, Terms::withTargetKelvin, t -> 0.0)));
    all.prices();
    all.lower(
        "voltagePercent",
        "voltage lower by",
        new Range(0, 20),
        new Range(2, 8),
        Terms::voltagePercent,
        Terms::withVoltagePercent);
    all.lower(
        "clockPercent",
        "clock lower by",
        new Range(0, 50),
        new Range(2, 10),
        Terms::clockPercent,
        Terms::withClockPercent);
    all.odds();
    return all.figures;
  }

  private void prices() {
    String used = "Price of what one job uses up.";
    String had = "Nothing if you have one.";
    coins(
        "coinsPerKelvin",
        "what 1 K less is worth to you",
        new Range(1, 50),
        CHOICE,
        Terms::coinsPerKelvin,
        Terms::withCoinsPerKelvin);
    coins(
        "coinsPerHour",
        "an hour at the bench",
        new Range(0, 100),
        CHOICE,
        Terms::coinsPerHour,
        Terms::withCoinsPerHour);
    coins(
        "coinsPerClockPercent",
        "what 1 % of clock is worth to you",
        new Range(0, 50),
        "Your own choice; it weighs a lower clock against cooling.",
        Terms::coinsPerClockPercent,
        Terms::withCoinsPerClockPercent);
    coins(
        "chipCoins",
        "another chip",
        new Range(50, 1500),
        "What another one would cost you.",
        Terms::chipCoins,
        Terms::withChipCoins);
    coins("pasteCoins", "paste", new Range(3, 30), used, Terms::pasteCoins, Terms::withPasteCoins);
    coins(
        "metalCoins",
        "liquid metal",
        new Range(5, 40),
        used,
        Terms::metalCoins,
        Terms::withMetalCoins);
    coins(
        "sundryCoins",
        "cleaner, glue, cover",
        new Range(5, 40),
        "Solvent, wipes, sealant, varnish or tape.",
        Terms::sundryCoins,
        Terms::withSundryCoins);
    coins(
        "toolCoins",
        "tool to open it",
        new Range(0, 100),
        had,
        Terms::toolCoins,
        Terms::withToolCoins);
    coins(
        "lidCoins",
        "flat copper lid",
        new Range(20, 100),
        "Made to the chip's measures.",
        Terms::lidCoins,
        Terms::withLidCoins);
    coins(
        "frameCoins",
        "frame for the bare die",
        new Range(10, 60),
        had,
        Terms::frameCoins,
        Terms::withFrameCoins);
    coins(
        "coolerCoins",
        "better cooler",
        new Range(40, 400),
        "The next kind up.",
        Terms::coolerCoins,
        Terms::withCoolerCoins);
    coins(
        "paperCoins",
        "lapping paper and plate",
        new Range(3, 40),
        "Nothing if you have it.",
        Terms::paperCoins,
        Terms::withPaperCoins);
  }

  private void odds() {
    odds("openTool", "opening with a tool", Odds::openTool, Odds::withOpenTool);
    odds("openBlade", "opening with a blade", Odds::openBlade, Odds::withOpenBlade);
    odds("openSolder", "opening a soldered lid", Odds::openSolder, Odds::withOpenSolder);
    odds("openSeveral", "more with several dies", Odds::openSeveral, Odds::withOpenSeveral);
    odds("cleanSolder", "taking solder off", Odds::cleanSolder, Odds::withCleanSolder);
    odds("metalGuarded", "liquid metal, parts covered", Odds::metalGuarded, Odds::withMetalGuarded);
    odds("metalBare", "liquid metal, parts bare", Odds::metalBare, Odds::withMetalBare);
    odds("mountFrame", "bare die with a frame", Odds::mountFrame, Odds::withMountFrame);
    odds("mountBare", "bare die without a frame", Odds::mountBare, Odds::withMountBare);
    odds("lapDie", "lapping a die", Odds::lapDie, Odds::withLapDie);
  }

  private void coins(
      String name,
      String label,
      Range usual,
      String how,
      ToDoubleFunction<Terms> read,
      BiFunction<Terms, Double, Terms> write) {
    figures.add(
        new Figure(
            "terms." + name,
            WORTH,
            label,
            Unit.COIN,
            new Range(0, 100_000),
            usual,
            how,
            TERMS.must(read, write)));
  }

  private void lower(
      String name,
      String label,
      Range possible,
      Range usual,
      ToDoubleFunction<Terms> read,
      BiFunction<Terms, Double, Terms> write) {
    figures.add(
        new Figure(
            "terms." + name,
            WORTH,
            label,
            Unit.PERCENT,
            possible,
            usual,
            "What your chip still runs at.",
            TERMS.must(read, write)));
  }

  private void odds(
      String name,
      String label,
      ToDoubleFunction<Odds> read,
      BiFunction<Odds, Double, Odds> write) {
    figures.add(
        new Figure(
            "terms.odds." + name,
            ODDS,
            label,
            Unit.PERCENT,
            new Range(0, 100),
            new Range(0, 10),
            "Of a hundred tries so many end in ruin; your own tries are counted on top.",
            OF_RUIN.must(read, write)));
  }
}
