package dev.ambershim.core.physics.spread;

import dev.ambershim.core.physics.conduction.Patch;
import java.util.List;

/**
 * The face under the plate in equal cells. Rows run upwards; cell (i, j) is number j × columns + i.
 * Cells outside the face drain what comes over its edge.
 *
 * @param columns cells in x
 * @param rows cells in y
 * @param widthMillimetres size of the whole grid in x
 * @param depthMillimetres size in y
 * @param xMillimetres its middle in the chip's measure, to the right
 * @param yMillimetres the same upwards
 * @param face whether each cell belongs to the face; read only
 * @param shadow whether it lies over a die; read only
 */
public record FaceGrid(
    int columns,
    int rows,
    double widthMillimetres,
    double depthMillimetres,
    double xMillimetres,
    double yMillimetres,
    boolean[] face,
    boolean[] shadow) {
  /**
   * A face of one or several rectangles.
   *
   * @param patches the rectangles of the face
   * @param dies the dies below it; they count where they lie under the face
   * @param cells cells along the longer side
   */
  public static FaceGrid of(List<Patch> patches, List<Patch> dies, int cells) {
    double left = patches.stream().mapToDouble(Patch::leftMillimetres).min().orElseThrow();
    double right = patches.stream().mapToDouble(Patch::rightMillimetres).max().orElseThrow();
    double low = patches.stream().mapToDouble(Patch::lowMillimetres).min().orElseThrow();
    double high = patches.stream().mapToDouble(Patch::highMillimetres).max().orElseThrow();
    double step = Math.max(right - left, high - low) / cells;
    int columns = (int) Math.max(4, Math.round((right - left) / step));
    int rows = (int) Math.max(4, Math.round((high - low) / step));
    FaceGrid bare =
        new FaceGrid(
            columns,
            rows,
            right - left,
            high - low,
            (left + right) / 2,
            (low + high) / 2,
            new boolean[columns * rows],
            new boolean[columns * rows]);
    for (int c = 0; c < columns * rows; c++) {
      double x = bare.x(c % columns);
      double y = bare.y(c / columns);
      bare.face[c] = within(patches, x, y);
      bare.shadow[c] = bare.face[c] && within(dies, x, y);
    }
    return bare;
  }

  private static boolean within(List<Patch> patches, double x, double y) {
    for (Patch p : patches) {
      if (Math.abs(x - p.xMillimetres()) <= p.widthMillimetres() / 2
          && Math.abs(y - p.yMillimetres()) <= p.depthMillimetres() / 2) {
        return true;
      }
    }
    return false;
  }

  /** Middle of a column, mm in the chip's measure. */
  public double x(int column) {
    return xMillimetres + widthMillimetres * ((column + 0.5) / columns - 0.5);
  }

  /** Middle of a row, mm in the chip's measure. */
  public double y(int row) {
    return yMillimetres + depthMillimetres * ((row + 0.5) / rows - 0.5);
  }

  /** Count of cells. */
  public int size() {
    return columns * rows;
  }

  /** Area of a cell, mm². */
  public double cellSquareMillimetres() {
    return widthMillimetres / columns * depthMillimetres / rows;
  }

  /** Area of the face, mm². */
  public double faceSquareMillimetres() {
    int count = 0;
    for (boolean b : face) {
      count += b ? 1 : 0;
    }
    return count * cellSquareMillimetres();
  }
}
