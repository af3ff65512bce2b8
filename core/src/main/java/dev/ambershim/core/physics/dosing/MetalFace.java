package dev.ambershim.core.physics.dosing;

import static dev.ambershim.core.physics.dosing.Verdict.FINE;
import static dev.ambershim.core.physics.dosing.Verdict.NEVER;
import static dev.ambershim.core.physics.dosing.Verdict.WATCH;

/**
 * What a face that gallium can meet is made of, and what gallium does to it.
 *
 * <p>Potentials are standard electrode potentials against hydrogen (CRC Handbook, electrochemical
 * series; entered from memory); gallium's own is {@link #GALLIUM_VOLTS}. The further a metal lies
 * below gallium's neighbours, the more it is the one that dissolves; the potential alone does not
 * tell the speed, which is set by skins and by what alloys form. Uptake is how much of a film a
 * face takes in over a first year at use, µm, and like the times to the first look it is common
 * practice.
 */
public enum MetalFace {
  SILICON("silicon", FINE, Double.NaN, 0, 12, "Gallium does not alloy with silicon."),
  NICKEL(
      "nickel plating",
      FINE,
      -0.257,
      0.5,
      12,
      "Nickel forms alloys with gallium far slower than copper does, but it is not immune:"
          + " scratches and worn edges let it through."),
  COPPER(
      "bare copper",
      WATCH,
      0.3419,
      8,
      3,
      "Copper takes up gallium and grows a hard grey layer of CuGa2: it stains, the film gets"
          + " thinner, and the part stays usable."),
  SILVER(
      "silver",
      WATCH,
      0.7996,
      6,
      3,
      "Silver alloys with gallium and indium; a thin plating is dissolved in months."),
  GOLD(
      "gold left on it",
      WATCH,
      1.498,
      2,
      6,
      "Gold goes into the metal as brittle AuGa2; what is left embrittles the joint over years."),
  INDIUM(
      "indium solder left on it",
      WATCH,
      -0.3382,
      3,
      6,
      "Indium dissolves in gallium and changes the alloy; it may go solid and crack over years."),
  STEEL(
      "stainless steel",
      FINE,
      -0.447,
      0.1,
      12,
      "Its skin of chromium oxide keeps gallium off at these temperatures."),
  TIN("tin or solder", NEVER, -0.1375, 50, 0, "Gallium dissolves tin: solder joints fall apart."),
  ZINC(
      "zinc or die casting",
      NEVER,
      -0.7618,
      50,
      0,
      "Gallium goes along the grains of zinc and makes it brittle."),
  BRASS(
      "brass",
      NEVER,
      -0.7618,
      20,
      0,
      "Gallium goes along the grains of brass, zinc first, and cracks it where it is under load."),
  ALUMINIUM(
      "aluminium",
      NEVER,
      -1.662,
      500,
      0,
      "Gallium creeps under aluminium's oxide and along its grains: it turns to crumbs within"
          + " hours."),
  ANODISED(
      "anodised aluminium",
      NEVER,
      -1.662,
      500,
      0,
      "The oxide holds until one scratch lets gallium under it; then it goes as bare aluminium"
          + " does."),
  PLASTIC("plastic, rubber, glass or wood", FINE, Double.NaN, 0, 0, "Nothing in it alloys."),
  COVERED("covered or taken off", FINE, Double.NaN, 0, 0, "The metal does not meet it.");

  /** Ga³⁺ + 3e⁻ ⇌ Ga, V. */
  public static final double GALLIUM_VOLTS = -0.549;

  private final String words;
  private final Verdict verdict;
  private final double volts;
  private final double uptake;
  private final int firstLook;
  private final String mechanism;

  MetalFace(
      String words, Verdict verdict, double volts, double uptake, int firstLook, String mechanism) {
    this.words = words;
    this.verdict = verdict;
    this.volts = volts;
    this.uptake = uptake;
    this.firstLook = firstLook;
    this.mechanism = mechanism;
  }

  /** In words. */
  public String words() {
    return words;
  }

  /** Whether gallium may meet it. */
  public Verdict verdict() {
    return verdict;
  }

  /** Standard electrode potential, V; not a number where there is none. */
  public double volts() {
    return volts;
  }

  /** How much of a film it takes in over a first year, µm. */
  public double uptakeMicrometres() {
    return uptake;
  }

  /** Months to the first look; 0 for never needed or never allowed. */
  public int firstLookMonths() {
    return firstLook;
  }

  /** What happens there. */
  public String mechanism() {
    return mechanism;
  }
}
