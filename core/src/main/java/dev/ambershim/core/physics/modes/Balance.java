package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/** Heats that leak the more the hotter they are, and what they make of themselves. */
final class Balance {
  private static final double TIGHT = 1e-11;
  private static final int MOST_ROUNDS = 60;

  /** Leakage beyond this temperature has no balance, °C. */
  private static final double LOST_CELSIUS = 3000;

  private Balance() {}

  /**
   * The field in which every source's leakage fits its temperature. How much each source warms each
   * is taken once; Newton from below then reaches the lowest balance if there is one, as leakage
   * grows and bends upwards.
   */
  static BoxField of(SteadyBoxes live, StackCase stack, double tolerance, SolveWatch watch) {
    List<HeatSource> heat = stack.heat();
    double[] plain = heat.stream().mapToDouble(HeatSource::watts).toArray();
    if (heat.stream().allMatch(h -> h.leakage().isEmpty())) {
      return live.solve(stack, plain, tolerance, watch);
    }
    BoxField field = live.solve(stack, plain, TIGHT, watch);
    if (!field.rises().found()) {
      return field;
    }
    RealMatrix warms = warms(live, stack, field, watch);
    double[] power = plain;
    for (int round = 0; round < MOST_ROUNDS; round++) {
      double[] next = balance(stack, warms, field.meansCelsius(), power, plain);
      double change = 0;
      for (int s = 0; s < next.length; s++) {
        change = Math.max(change, Math.abs(next[s] - power[s]));
      }
      power = next;
      if (change <= 1e-9 * Arrays.stream(power).sum()) {
        return field;
      }
      field = live.solve(stack, power, TIGHT, watch);
      if (!field.rises().found()) {
        return field;
      }
    }
    throw SteadySolver.runaway(stack);
  }

  /** How much a watt of each source warms each, K/W. */
  private static RealMatrix warms(
      SteadyBoxes live, StackCase stack, BoxField field, SolveWatch watch) {
    int n = stack.heat().size();
    RealMatrix warms = MatrixUtils.createRealMatrix(n, n);
    double[] base = field.meansCelsius();
    for (int s = 0; s < n; s++) {
      if (stack.heat().get(s).leakage().isEmpty()) {
        continue;
      }
      double[] more = field.watts().clone();
      more[s] += 1;
      double[] warmer = live.solve(stack, more, TIGHT, watch).meansCelsius();
      for (int r = 0; r < n; r++) {
        warms.setEntry(r, s, warmer[r] - base[r]);
      }
    }
    return warms;
  }

  /** The powers at which leakage and temperature agree, if temperatures go straight from here. */
  private static double[] balance(
      StackCase stack, RealMatrix warms, double[] here, double[] powerHere, double[] plain) {
    List<HeatSource> heat = stack.heat();
    int n = here.length;
    double[] celsius = here.clone();
    for (int round = 0; round < 200; round++) {
      double[] more = new double[n];
      RealMatrix slope = MatrixUtils.createRealIdentityMatrix(n);
      for (int s = 0; s < n; s++) {
        more[s] = plain[s] - powerHere[s];
        if (heat.get(s).leakage().isPresent()) {
          HeatSource.Leakage leak = heat.get(s).leakage().get();
          more[s] += leak.at(celsius[s]);
          for (int r = 0; r < n; r++) {
            slope.addToEntry(r, s, -warms.getEntry(r, s) * leak.slope(celsius[s]));
          }
        }
      }
      double[] missing = warms.operate(more);
      for (int s = 0; s < n; s++) {
        missing[s] += here[s] - celsius[s];
      }
      DecompositionSolver split = new LUDecomposition(slope).getSolver();
      if (!split.isNonSingular()) {
        throw SteadySolver.runaway(stack);
      }
      double[] step = split.solve(new ArrayRealVector(missing)).toArray();
      double most = 0;
      for (int s = 0; s < n; s++) {
        celsius[s] += step[s];
        most = Math.max(most, Math.abs(step[s]));
        if (!(celsius[s] < LOST_CELSIUS && celsius[s] > -LOST_CELSIUS)) {
          throw SteadySolver.runaway(stack);
        }
      }
      if (most < 1e-10) {
        double[] power = plain.clone();
        for (int s = 0; s < n; s++) {
          double at = celsius[s];
          power[s] += heat.get(s).leakage().map(l -> l.at(at)).orElse(0.0);
        }
        return power;
      }
    }
    throw SteadySolver.runaway(stack);
  }
}
