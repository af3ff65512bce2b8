package dev.ambershim.core.physics.multigrid;

import java.util.Arrays;

/**
 * The order in which the multigrid keeps columns: coloured like a chessboard, so that no two
 * neighbours have one colour and all columns of a colour can be solved at once, each with the
 * newest of its neighbours.
 *
 * <p>Two rows of columns, 2J and 2J + 1, are kept as two zigzags: the first takes (i, 2J + i % 2),
 * the second what is left. So a colour's row is as long as a row of columns, and what stands before
 * and behind a place in the other colour's row is its neighbour to the left and to the right. From
 * one order to the other the odd places of the two rows change sides.
 */
final class Chequer {
  private Chequer() {}

  /** Rows that hold so many rows of columns in pairs. */
  static int padded(int rows) {
    return rows + rows % 2;
  }

  /** Turns two rows of columns into two zigzags, or back. */
  static void turn(float[] first, float[] second) {
    for (int i = 1; i < first.length; i += 2) {
      float kept = first[i];
      first[i] = second[i];
      second[i] = kept;
    }
  }

  /** The same in double precision. */
  static void turn(double[] first, double[] second) {
    for (int i = 1; i < first.length; i += 2) {
      double kept = first[i];
      first[i] = second[i];
      second[i] = kept;
    }
  }

  /**
   * Turns the rows of a field for a pair of rows of columns.
   *
   * @param field by {@code row * nz + k}
   */
  static void turn(int pair, int nz, float[][] field) {
    int at = 2 * pair * nz;
    for (int k = 0; k < nz; k++) {
      turn(field[at + k], field[at + nz + k]);
    }
  }

  /** The same in double precision. */
  static void turn(int pair, int nz, double[][] field) {
    int at = 2 * pair * nz;
    for (int k = 0; k < nz; k++) {
      turn(field[at + k], field[at + nz + k]);
    }
  }

  /** Values by column, in zigzags. */
  static float[][] of(double[][] values, int nx) {
    float[][] rows = new float[padded(values.length)][nx];
    for (int j = 0; j < values.length; j++) {
      for (int i = 0; i < nx; i++) {
        rows[j][i] = (float) values[j][i];
      }
    }
    for (int j = 0; j < rows.length; j += 2) {
      turn(rows[j], rows[j + 1]);
    }
    return rows;
  }

  /**
   * What leads from the places of a pattern to their five neighbours in the other colour, for unit
   * height and conductivity; each by row and place.
   *
   * @param left before, in the same pair of rows
   * @param right behind, in the same pair
   * @param within at the same place, in the same pair
   * @param below at the same place, in the pair below; zero at every other place
   * @param above at the same place, in the pair above; zero at the others
   * @param sum of all five
   */
  record Couplings(
      float[][] left,
      float[][] right,
      float[][] within,
      float[][] below,
      float[][] above,
      float[][] sum) {

    static Couplings of(Pattern p, int nx) {
      int ny = p.area.length;
      float[][] left = Chequer.of(p.left, nx);
      float[][] right = Chequer.of(p.right, nx);
      float[][] within = new float[left.length][];
      float[][] below = new float[left.length][nx];
      float[][] above = new float[left.length][nx];
      float[][] sum = new float[left.length][nx];
      for (int row = 0; row < left.length; row += 2) {
        within[row] = new float[nx];
        within[row + 1] = within[row];
        for (int i = 0; i < nx; i++) {
          int lower = row + i % 2;
          within[row][i] = (float) p.low[row + 1][i];
          below[lower][i] = (float) p.low[row][i];
          above[lower ^ 1][i] = row + 2 <= ny ? (float) p.low[row + 2][i] : 0;
        }
      }
      for (int row = 0; row < left.length; row++) {
        for (int i = 0; i < nx; i++) {
          sum[row][i] =
              left[row][i] + right[row][i] + within[row][i] + below[row][i] + above[row][i];
        }
      }
      return new Couplings(left, right, within, below, above, sum);
    }
  }

  /** Fills the rows of a field for a pair with zeros. */
  static void clear(int pair, int nz, float[][] field) {
    for (int row = 2 * pair * nz; row < 2 * (pair + 1) * nz; row++) {
      Arrays.fill(field[row], 0);
    }
  }
}
