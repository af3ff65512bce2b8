package dev.ambershim.core.physics.dosing;

import dev.ambershim.core.base.Interval;

/**
 * How long glue cures. Moisture cures silicone from its open side inwards; what is cured already
 * slows what follows, so depth = k·√t, and k grows with the root of the vapour pressure outside
 * (Comyn 1998, Int. J. Adhes. Adhes. 18, 247: z = √(2VPpt); from memory). Vapour pressure by
 * Magnus' formula (WMO No. 8). The depth of the first day stands on the label; three millimetres
 * are common practice. The label comes first.
 *
 * @param skinMinutes until a skin keeps the lid in its place, if nobody touches it
 * @param handlingMinutes until it is cured through, and the chip can be handled: the hold point
 * @param fullMinutes until it has its full strength, twice that
 * @param depthMillimetres how deep moisture must go
 */
public record Cure(
    double skinMinutes, double handlingMinutes, double fullMinutes, double depthMillimetres) {
  private static final double DAY = 24 * 60;

  /** It holds the lid in its place once a skin of so much is cured, mm; common practice. */
  private static final double SKIN = 0.45;

  /**
   * How far the time may lie from the likely one in nineteen cases of twenty, as a factor: the
   * depth of the first day differs by a fifth from batch to batch and the bead's width by as much,
   * and time goes with the square of both. Common practice.
   */
  public static final double DOUBT = 1.7;

  /** Nothing cures. */
  public static final Cure NONE = new Cure(0, 0, 0, 0);

  /**
   * The cure of a line. Moisture gets at a dot from all around; at a line around only from outside,
   * since the lid shuts the rest off.
   */
  public static Cure of(GlueLine line, GluePattern pattern, CloseTerms terms) {
    if (line.cubicMillimetres() == 0) {
      return NONE;
    }
    if (terms.kind() == GlueKind.INSTANT) {
      return new Cure(5, 60, 1440, 0);
    }
    double depth =
        pattern == GluePattern.CORNERS ? line.widthMillimetres() / 2 : line.widthMillimetres();
    double through = minutes(depth, terms);
    double skin = Math.min(through, minutes(SKIN, terms));
    return new Cure(skin, through, 2 * through, depth);
  }

  /** When it can be handled, minutes, 95 %. */
  public Interval handling() {
    return new Interval(handlingMinutes / DOUBT, handlingMinutes * DOUBT, 0.95);
  }

  /** Time until moisture has cured so deep, minutes. */
  public static double minutes(double depthMillimetres, CloseTerms terms) {
    double k = terms.kind().firstDayMillimetres();
    double wet = terms.humidity() * saturation(terms.warmth()) / (50 * saturation(23));
    return DAY * depthMillimetres * depthMillimetres / (k * k * Math.max(wet, 1e-3));
  }

  /** Vapour pressure of water over water, hPa. */
  static double saturation(double celsius) {
    return 6.112 * Math.exp(17.62 * celsius / (243.12 + celsius));
  }
}
