package dev.ambershim.core.base;

import org.hipparchus.analysis.integration.gauss.GaussIntegrator;
import org.hipparchus.analysis.integration.gauss.LegendreRuleFactory;
import org.hipparchus.util.Pair;

/**
 * Gauss and Legendre's rules of Hipparchus in double precision. Its own factory of integrators
 * makes a field of forty digits ready first, which takes longer than to solve a stack.
 */
public final class GaussLegendre {
  private static final LegendreRuleFactory RULES = new LegendreRuleFactory();

  private GaussLegendre() {}

  /**
   * A rule that is exact for polynomials of up to twice as many degrees as points, less one.
   *
   * @param points 1 or more
   * @param low where the integral begins
   * @param high where it ends
   */
  public static GaussIntegrator of(int points, double low, double high) {
    Pair<double[], double[]> rule = RULES.getRule(points);
    double half = (high - low) / 2;
    double[] places = rule.getFirst().clone();
    double[] weights = rule.getSecond().clone();
    for (int i = 0; i < points; i++) {
      places[i] = low + half * (places[i] + 1);
      weights[i] *= half;
    }
    return new GaussIntegrator(places, weights);
  }
}
