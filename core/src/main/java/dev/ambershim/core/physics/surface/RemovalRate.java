package dev.ambershim.core.physics.surface;

import dev.ambershim.core.base.Interval;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;

/**
 * How much comes off: Preston's law, volume = rate × press × path (F. W. Preston 1927, <i>J. Soc.
 * Glass Technol.</i> 11). The default rate, 0.008 mm³ per N·m on copper with P400 and in proportion
 * to the grain, is common practice and known within a factor of three. Each pass that was measured
 * moves it: the person's own factor holds for all papers, each paper has a share of its own. Both
 * are normal in the logarithm, so the update is exact (normal–normal, as in Gelman et al.,
 * <i>Bayesian Data Analysis</i>, 2.5; cited from memory).
 */
public final class RemovalRate {
  private static final double USUAL = 0.008;

  /** A factor of three either way, nine cases in ten. */
  private static final double PERSON = Math.log(3) / Interval.normalHalf(0.9);

  private static final double PAPER = 0.25;

  /** Two micrometer readings of about 1 µm each. */
  private static final double READING = 1.5;

  private static final double NINETY_FIVE = Interval.normalHalf(0.95);

  private final List<Grit> grits = new ArrayList<>();
  private final List<Double> logs = new ArrayList<>();
  private final List<Double> noises = new ArrayList<>();

  /**
   * A rate after passes.
   *
   * @param passes of one face, measured or not
   * @param areaSquareMillimetres of that face
   * @param metal what was lapped
   */
  RemovalRate(List<LapPass> passes, double areaSquareMillimetres, LapMetal metal) {
    for (LapPass pass : passes) {
      if (pass.removedMicrometres() == null || !(pass.removedMicrometres() > 0)) {
        continue;
      }
      double volume = pass.removedMicrometres() / 1000 * areaSquareMillimetres;
      double rate = volume / pass.work();
      grits.add(pass.grit());
      logs.add(Math.log(rate / usual(pass.grit(), metal)));
      // What is removed may be little more than what the micrometer scatters.
      noises.add(Math.min(2, READING / pass.removedMicrometres()));
    }
  }

  private static double usual(Grit grit, LapMetal metal) {
    return USUAL * grit.sizeMicrometres() / Grit.P400.sizeMicrometres() * metal.factor();
  }

  /** How many passes it rests on. */
  int measured() {
    return grits.size();
  }

  /** mm³ per N·m with a paper, likely. */
  double likely(Grit grit, LapMetal metal) {
    return usual(grit, metal) * Math.exp(posterior(grit)[0]);
  }

  /** Factor on the likely rate to both sides, 95 %. */
  double factor(Grit grit) {
    return Math.exp(NINETY_FIVE * Math.sqrt(posterior(grit)[1]));
  }

  /** mm³ per N·m with a paper, 95 %. */
  Interval interval(Grit grit, LapMetal metal) {
    double rate = likely(grit, metal);
    double factor = factor(grit);
    return new Interval(rate / factor, rate * factor, 0.95);
  }

  /** Mean and variance of the logarithm of the factor on the usual rate. */
  private double[] posterior(Grit grit) {
    int n = grits.size();
    double whole = PERSON * PERSON + PAPER * PAPER;
    if (n == 0) {
      return new double[] {0, whole};
    }
    double[][] k = new double[n][n];
    double[] with = new double[n];
    double[] y = new double[n];
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        k[i][j] =
            PERSON * PERSON
                + (grits.get(i) == grits.get(j) ? PAPER * PAPER : 0)
                + (i == j ? noises.get(i) * noises.get(i) : 0);
      }
      with[i] = PERSON * PERSON + (grits.get(i) == grit ? PAPER * PAPER : 0);
      y[i] = logs.get(i);
    }
    var solver = new LUDecomposition(new Array2DRowRealMatrix(k, false)).getSolver();
    ArrayRealVector w = new ArrayRealVector(with, false);
    double mean = w.dotProduct(solver.solve(new ArrayRealVector(y, false)));
    double variance = whole - w.dotProduct(solver.solve(w));
    return new double[] {mean, Math.max(1e-6, variance)};
  }
}
