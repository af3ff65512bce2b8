package dev.ambershim.core.physics.spread;

/**
 * Paste between the plates at one time.
 *
 * @param grid the face
 * @param seconds since the plate touched
 * @param closestMicrometres gap at the closest place
 * @param filled for each cell, how far paste fills it, 0 to 1; read only
 * @param gapMicrometres for each cell, the gap; read only
 * @param shut for each cell, whether it holds shut-in air; read only
 * @param overflowCubicMillimetres what was pressed out
 * @param cubicMillimetres what was laid down
 */
public record SpreadState(
    FaceGrid grid,
    double seconds,
    double closestMicrometres,
    float[] filled,
    float[] gapMicrometres,
    boolean[] shut,
    double overflowCubicMillimetres,
    double cubicMillimetres) {
  /** Share of the face that paste joins, 0 to 1. */
  public double cover() {
    return share(grid.face());
  }

  /** Share of the dies' shadow that paste joins, 0 to 1; 1 where no die lies below. */
  public double shadowCover() {
    return share(grid.shadow());
  }

  private double share(boolean[] of) {
    double sum = 0;
    int count = 0;
    for (int c = 0; c < of.length; c++) {
      if (of[c]) {
        count++;
        sum += joined(c) ? 1 : 0;
      }
    }
    return count == 0 ? 1 : sum / count;
  }

  /** Whether paste joins both faces in a cell. */
  public boolean joined(int cell) {
    return filled[cell] > 0.95;
  }

  /** Area of shut-in air, mm². */
  public double airSquareMillimetres() {
    return air(grid.face());
  }

  /** Area of shut-in air over the dies, mm². */
  public double airOverDieSquareMillimetres() {
    return air(grid.shadow());
  }

  private double air(boolean[] of) {
    int count = 0;
    for (int c = 0; c < of.length; c++) {
      count += of[c] && shut[c] ? 1 : 0;
    }
    return count * grid.cellSquareMillimetres();
  }

  /** Mean gap where paste joins, µm. */
  public double meanMicrometres() {
    double sum = 0;
    int count = 0;
    for (int c = 0; c < filled.length; c++) {
      if (grid.face()[c] && joined(c)) {
        sum += gapMicrometres[c];
        count++;
      }
    }
    return count == 0 ? closestMicrometres : sum / count;
  }

  /** Share of the paste that was pressed out, 0 to 1. */
  public double overflowShare() {
    return overflowCubicMillimetres / cubicMillimetres;
  }
}
