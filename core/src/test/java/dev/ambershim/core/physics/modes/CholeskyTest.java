package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.SplittableRandom;
import org.hipparchus.exception.MathIllegalArgumentException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class CholeskyTest {
  /** A random matrix times its transpose, which is positive definite. */
  private static double[][] positive(int n) {
    SplittableRandom random = new SplittableRandom(n);
    RealMatrix a = new Array2DRowRealMatrix(n, n);
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        a.setEntry(i, j, random.nextDouble(-1, 1) + (i == j ? 2 : 0));
      }
    }
    return a.multiplyTransposed(a).getData();
  }

  /** Whole fours of rows and what is left over, against Hipparchus. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 4, 5, 7, 8, 61, 64})
  void itSolvesAsTheLibraryDoes(int n) {
    double[][] matrix = positive(n);
    double[] right = new SplittableRandom(3).doubles(n, -5, 5).toArray();
    double[] library =
        new CholeskyDecomposition(new Array2DRowRealMatrix(matrix), 1e-9, 1e-12)
            .getSolver()
            .solve(new Array2DRowRealMatrix(right))
            .getColumn(0);
    double scale = Arrays.stream(library).map(Math::abs).max().orElseThrow();
    double[] own = new Cholesky(Dense.copy(matrix)).solve(right)[0];
    for (int i = 0; i < n; i++) {
      assertThat(own[i]).isCloseTo(library[i], within(1e-8 * scale));
    }
  }

  /** Fours and what is left over: beside others a solution is the same to the last bit. */
  @Test
  void severalRightSidesAreSolvedAsOneIs() {
    double[][] rights = new double[7][];
    for (int r = 0; r < rights.length; r++) {
      rights[r] = new SplittableRandom(40 + r).doubles(61, -5, 5).toArray();
    }
    Cholesky root = new Cholesky(positive(61));
    double[][] all = root.solve(rights);
    for (int r = 0; r < rights.length; r++) {
      assertThat(all[r]).containsExactly(root.solve(rights[r])[0]);
    }
  }

  @Test
  void whatIsNotPositiveIsRefused() {
    assertThatThrownBy(() -> new Cholesky(new double[][] {{1, 2}, {2, 1}}))
        .isInstanceOf(MathIllegalArgumentException.class);
    assertThatThrownBy(() -> new Cholesky(new double[][] {{Double.NaN}}))
        .isInstanceOf(MathIllegalArgumentException.class);
  }
}
