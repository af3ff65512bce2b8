package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.Planes;
import java.util.Arrays;
import org.hipparchus.linear.EigenDecompositionSymmetric;
import org.hipparchus.util.Precision;

/**
 * The modes of a row of cells: eigenvectors of the finite-volume operator −d²/dx² with adiabatic
 * ends, orthonormal under the cells' widths, so that a tensor grid's operator is diagonal in their
 * products (Lynch, Rice &amp; Thomas 1964, <i>Numer. Math.</i> 6, 185). The preconditioner of a
 * contact is written in them.
 *
 * @param eigenvalues rising from 0, 1/m²
 * @param vectors a row for each cell, a column for each mode, 1/√m
 * @param transposed a row for each mode
 */
record CellModes(double[] eigenvalues, double[][] vectors, double[][] transposed) {
  /** The modes of the cells between planes {@code from} and {@code to}. */
  static CellModes of(double[] planes, int from, int to) {
    int n = to - from;
    double[] widths = new double[n];
    Arrays.setAll(widths, i -> Planes.width(planes, from + i));
    double[][] transposed = new double[n][n];
    double[] eigenvalues = new double[n];
    // The even mode is known exactly.
    Arrays.fill(transposed[0], 1 / Math.sqrt(planes[to] - planes[from]));
    if (n > 1) {
      EigenDecompositionSymmetric split = split(widths);
      for (int p = 1; p < n; p++) {
        eigenvalues[p] = Math.max(0, split.getEigenvalue(p));
        double[] vector = split.getEigenvector(p).toArray();
        for (int i = 0; i < n; i++) {
          transposed[p][i] = vector[i] / Math.sqrt(widths[i]);
        }
      }
    }
    return new CellModes(eigenvalues, Dense.transposed(transposed), transposed);
  }

  /** The eigenvalue of the widest pattern, 1/m²; 0 for a single cell. */
  double lowest() {
    return eigenvalues[Math.min(1, eigenvalues.length - 1)];
  }

  private static EigenDecompositionSymmetric split(double[] widths) {
    int n = widths.length;
    double[] diagonal = new double[n];
    double[] beside = new double[n - 1];
    for (int i = 0; i + 1 < n; i++) {
      double conductance = 2 / (widths[i] + widths[i + 1]);
      diagonal[i] += conductance / widths[i];
      diagonal[i + 1] += conductance / widths[i + 1];
      beside[i] = -conductance / Math.sqrt(widths[i] * widths[i + 1]);
    }
    return new EigenDecompositionSymmetric(diagonal, beside, Precision.EPSILON, false);
  }
}
