package dev.ambershim.core.physics.dosing;

/**
 * What the lid is glued with. Thickness in flow, fillers and cures are common practice; the label
 * comes first.
 */
public enum GlueKind {
  SILICONE("neutral-curing silicone", 150, 150, 10, 20, 3),
  INSTANT("instant glue", 0.1, 0, 1, 10, 0);

  private final String words;
  private final double viscosity;
  private final double yield;
  private final double open;
  private final double fillers;
  private final double depth;

  GlueKind(
      String words, double viscosity, double yield, double open, double fillers, double depth) {
    this.words = words;
    this.viscosity = viscosity;
    this.yield = yield;
    this.open = open;
    this.fillers = fillers;
    this.depth = depth;
  }

  /** In words. */
  public String words() {
    return words;
  }

  /** Viscosity, Pa·s. */
  public double pascalSeconds() {
    return viscosity;
  }

  /** Yield stress, Pa. */
  public double yieldPascal() {
    return yield;
  }

  /** How long it can be pressed before it sets or grows a skin, minutes. */
  public double openMinutes() {
    return open;
  }

  /** Thinnest line that its fillers leave, µm. */
  public double fillersMicrometres() {
    return fillers;
  }

  /** How deep moisture cures it in a first day at 23 °C and half humid air, mm; 0 for none. */
  public double firstDayMillimetres() {
    return depth;
  }
}
