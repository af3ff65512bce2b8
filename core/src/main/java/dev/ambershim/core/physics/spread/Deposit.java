package dev.ambershim.core.physics.spread;

import java.util.List;

/**
 * Paste as it lies on the face before the plate comes: a half-round bead along each stroke, as
 * thick as its volume asks for, or an even coat.
 */
final class Deposit {
  private static final int HALVINGS = 50;

  private Deposit() {}

  /**
   * Height of the paste in each cell, mm. What is kept is the volume, to the last bit of it.
   *
   * @param cubicMillimetres volume, above zero
   */
  static double[] heights(
      FaceGrid grid, PastePattern pattern, List<PasteStroke> own, double cubicMillimetres) {
    double[] height = new double[grid.size()];
    if (pattern == PastePattern.THIN_SPREAD) {
      double even = cubicMillimetres / grid.faceSquareMillimetres();
      for (int c = 0; c < height.length; c++) {
        height[c] = grid.face()[c] ? even : 0;
      }
      return height;
    }
    List<PasteStroke> strokes =
        pattern.strokes(grid.widthMillimetres(), grid.depthMillimetres(), own);
    double[] away = new double[grid.size()];
    for (int c = 0; c < away.length; c++) {
      double x = grid.x(c % grid.columns()) - grid.xMillimetres();
      double y = grid.y(c / grid.columns()) - grid.yMillimetres();
      away[c] = Double.POSITIVE_INFINITY;
      if (grid.face()[c]) {
        for (PasteStroke s : strokes) {
          away[c] = Math.min(away[c], s.distance(x, y));
        }
      }
    }
    double low = 0;
    double high = grid.widthMillimetres() + grid.depthMillimetres();
    for (int k = 0; k < HALVINGS; k++) {
      double radius = (low + high) / 2;
      if (volume(grid, away, radius, null) < cubicMillimetres) {
        low = radius;
      } else {
        high = radius;
      }
    }
    double got = volume(grid, away, high, height);
    for (int c = 0; c < height.length; c++) {
      height[c] *= cubicMillimetres / got;
    }
    return height;
  }

  private static double volume(FaceGrid grid, double[] away, double radius, double[] height) {
    double sum = 0;
    for (int c = 0; c < away.length; c++) {
      double square = radius * radius - away[c] * away[c];
      double h = square > 0 ? Math.sqrt(square) : 0;
      sum += h;
      if (height != null) {
        height[c] = h;
      }
    }
    return sum * grid.cellSquareMillimetres();
  }
}
