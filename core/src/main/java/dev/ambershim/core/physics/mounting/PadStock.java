package dev.ambershim.core.physics.mounting;

import java.util.List;
import java.util.Optional;

/**
 * Which sheet of thermal pad fills the gap between a neighbour and the cold plate, and what it
 * presses back with. All figures are common practice: sheets are sold in steps, a soft pad wants to
 * lose between a twentieth and a third of its thickness, best a fifth, and presses back by its
 * squeeze. How soft a pad is differs by a factor of two either way.
 *
 * @param sheetMillimetres thickness as it is sold
 * @param squeezedShare how much of that it loses in the gap, 0 to 1
 */
public record PadStock(double sheetMillimetres, double squeezedShare) {
  /** Sheets as they are sold, mm. */
  public static final List<Double> SHEETS =
      List.of(0.5, 0.75, 1.0, 1.25, 1.5, 1.75, 2.0, 2.25, 2.5, 3.0, 3.5, 4.0, 5.0);

  /** Squeezed less, a pad does not wet both faces. */
  public static final double LEAST_SQUEEZE = 0.05;

  /** Squeezed more, it holds the plate off or tears. */
  public static final double MOST_SQUEEZE = 0.33;

  private static final double BEST_SQUEEZE = 0.2;

  /** Pressure of a soft pad for its whole thickness, by its course up to a third, MPa. */
  private static final double STIFFNESS_MEGAPASCAL = 1.2;

  /**
   * The sheet that comes nearest to losing a fifth in a gap.
   *
   * @param gapMillimetres between neighbour and plate when the plate lies on the die, above zero
   * @return empty where no sheet is squeezed enough and not too much
   * @throws IllegalArgumentException if the gap is not above zero
   */
  public static Optional<PadStock> forGap(double gapMillimetres) {
    if (!(gapMillimetres > 0)) {
      throw new IllegalArgumentException("gap: " + gapMillimetres + " mm, but above zero is due");
    }
    PadStock best = null;
    for (double sheet : SHEETS) {
      PadStock pad = new PadStock(sheet, 1 - gapMillimetres / sheet);
      boolean fits = pad.squeezedShare >= LEAST_SQUEEZE && pad.squeezedShare <= MOST_SQUEEZE;
      if (fits && (best == null || pad.off() < best.off())) {
        best = pad;
      }
    }
    return Optional.ofNullable(best);
  }

  private double off() {
    return Math.abs(squeezedShare - BEST_SQUEEZE);
  }

  /** What pads of an area take of the plate's force, N; right within a factor of two. */
  public double newtons(double areaSquareMillimetres) {
    return STIFFNESS_MEGAPASCAL * squeezedShare * areaSquareMillimetres;
  }
}
