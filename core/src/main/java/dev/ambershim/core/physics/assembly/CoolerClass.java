package dev.ambershim.core.physics.assembly;

import dev.ambershim.core.physics.material.Material;

/**
 * Kinds of cooler with the figures that decide what a lid is good for: how thick the plate is, how
 * far the fins, channels or heat pipes behind it reach, and how much air or water takes up. All
 * figures are common practice and meant to be replaced by the person's own. The factors say how far
 * the resistance to the room may lie from its likely value, about nine cases in ten.
 */
public enum CoolerClass {
  OTHER("another cooler", 44, 44, 3, 44, 44, 0.11, 0.7, 1.45, 0, 0.5, 1),
  LOW_AIR("low air cooler", 38, 38, 2.5, 36, 34, 0.28, 0.7, 1.4, 0, 0.9, 1),
  AIR_TOWER("air tower", 40, 40, 2.5, 36, 34, 0.13, 0.75, 1.35, 0, 0.4, 1),
  LARGE_AIR_TOWER("large air tower", 46, 42, 3, 42, 38, 0.10, 0.75, 1.35, 0, 0.4, 1),
  SMALL_LOOP("closed loop, one fan", 50, 50, 2, 28, 28, 0.15, 0.75, 1.35, 0.45, 0.55, 1),
  LARGE_LOOP(
      "closed loop, two or three fans", 52, 52, 2.2, 34, 32, 0.11, 0.75, 1.35, 0.45, 0.55, 1),
  OWN_LOOP_THIN("own loop, thin plate", 54, 54, 1.5, 32, 30, 0.075, 0.7, 1.4, 0.45, 0.55, 1),
  OWN_LOOP_THICK("own loop, thick plate", 54, 54, 5, 38, 36, 0.07, 0.7, 1.4, 0.45, 0.55, 1),
  BOXED("boxed cooler", 36, 36, 4, 30, 30, 0.33, 0.7, 1.5, 0, 0.9, 1),
  HEAT_PIPES("laptop plate with heat pipes", 40, 32, 1.5, 36, 18, 0.75, 0.65, 1.6, 0, 0.3, 3),
  VAPOUR_CHAMBER("vapour chamber with fins", 70, 60, 3, 66, 56, 0.13, 0.65, 1.5, 0, 0.9, 8),
  COLD_POT("extreme-cold pot", 60, 60, 20, 54, 54, 0.12, 0.5, 2, 0, 1, 1);

  private final String words;
  private final Cooler cooler;
  private final double lowFactor;
  private final double highFactor;
  private final double coolantShare;
  private final double baseShare;
  private final double across;

  CoolerClass(
      String words,
      double width,
      double depth,
      double thickness,
      double finWidth,
      double finDepth,
      double resistance,
      double lowFactor,
      double highFactor,
      double coolantShare,
      double baseShare,
      double across) {
    this.words = words;
    this.cooler =
        new Cooler(
            "",
            width,
            depth,
            thickness,
            Material.COPPER,
            resistance,
            this,
            finWidth,
            finDepth,
            Cooler.USUAL_REACH);
    this.lowFactor = lowFactor;
    this.highFactor = highFactor;
    this.coolantShare = coolantShare;
    this.baseShare = baseShare;
    this.across = across;
  }

  /** The kind in words. */
  public String words() {
    return words;
  }

  /** A usual cooler of this kind, with a name and how far its mount comes down. */
  public Cooler usual(String name, double reachMillimetres) {
    return new Cooler(
        name,
        cooler.widthMillimetres(),
        cooler.depthMillimetres(),
        cooler.thicknessMillimetres(),
        cooler.material(),
        cooler.resistanceKelvinPerWatt(),
        this,
        cooler.finWidthMillimetres(),
        cooler.finDepthMillimetres(),
        reachMillimetres);
  }

  /** Whether liquid runs through it in hoses. */
  public boolean hasHoses() {
    return coolantShare > 0;
  }

  /** Whether hoses are in the way and the loop is one's own to drain or bend aside. */
  public boolean ownLoop() {
    return this == OWN_LOOP_THIN || this == OWN_LOOP_THICK;
  }

  /** Whether it is built into one machine, so that no other kind fits in its place. */
  public boolean builtIn() {
    return this == HEAT_PIPES || this == VAPOUR_CHAMBER;
  }

  /** Factor on the resistance to the room for the favourable end. */
  public double lowFactor() {
    return lowFactor;
  }

  /** Factor on the resistance to the room for the unfavourable end. */
  public double highFactor() {
    return highFactor;
  }

  /** Usual share of the resistance that lies between coolant and room; 0 without a coolant. */
  public double coolantShare() {
    return coolantShare;
  }

  /**
   * Usual share of the resistance that sits in the base: fins, channels or the first length of heat
   * pipes over their footprint. What the heat passes afterwards has no place.
   */
  public double baseShare() {
    return baseShare;
  }

  /**
   * How much better the base conducts along itself than its metal: heat pipes in a plate about
   * three times, vapour chambers 2 000 to 6 000 W/m·K and more as published; the likely figure is
   * marked common practice.
   */
  public double across() {
    return across;
  }
}
