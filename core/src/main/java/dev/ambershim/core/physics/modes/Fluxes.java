package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.multigrid.Team;
import java.util.Arrays;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * The heat through the contacts of boxes. What is sought are the watts of every contact cell and
 * the level of every box that no film holds: the temperatures on both sides of a cell differ by its
 * resistance times its watts, and what enters a box leaves it. That is a symmetric positive problem
 * under a few linear conditions, solved by projected conjugate gradients (Gould, Hribar &amp;
 * Nocedal 2001, <i>SIAM J. Sci. Comput.</i> 23, 1376), with a {@link Preconditioner}.
 *
 * <p>The conditions hold to rounding after every step, so heat in is heat out whatever is left of
 * the residual.
 */
final class Fluxes {
  private static final int MOST_STEPS = 400;

  private final Boxes boxes;
  private final Compliance[] compliance;
  private final Team team;

  /** K/W by contact and cell. */
  private final double[][][] resistance;

  private final Preconditioner nearly;

  /** Boxes without a film: their place among the conditions, or −1. */
  private final int[] condition;

  /** What each condition weighs by contact and cell, and the same preconditioned. */
  private final double[][][][] plain;

  private final double[][][][] pulled;

  private final DecompositionSolver levels;
  private int steps;
  private boolean rests;

  /**
   * What was found.
   *
   * @param watts upwards through each contact's cells
   * @param level of each box, K; 0 where a film holds it
   */
  record Found(double[][][] watts, double[] level) {}

  /**
   * The boxes with their figures.
   *
   * @param compliance of each box
   * @param specific resistance of each contact's cells, m²·K/W
   * @param team who works; each box and each contact is one thread's, so that results are equal for
   *     any number
   */
  Fluxes(Boxes boxes, Compliance[] compliance, double[][][] specific, Team team) {
    this.boxes = boxes;
    this.compliance = compliance;
    this.team = team;
    int contacts = boxes.contacts.size();
    resistance = new double[contacts][][];
    for (int c = 0; c < contacts; c++) {
      Contact contact = boxes.contacts.get(c);
      resistance[c] = contact.cells();
      for (int i = 0; i < contact.columns(); i++) {
        for (int j = 0; j < contact.rows(); j++) {
          resistance[c][i][j] = specific[c][i][j] / contact.area()[i][j];
        }
      }
    }
    nearly = new Preconditioner(boxes, compliance, specific, team);
    condition = new int[compliance.length];
    int count = 0;
    for (int b = 0; b < condition.length; b++) {
      condition[b] = compliance[b].slab().filmed() ? -1 : count++;
    }
    pulled = new double[count][][][];
    plain = new double[count][][][];
    for (int b = 0; b < condition.length; b++) {
      if (condition[b] >= 0) {
        plain[condition[b]] = plain(b);
        pulled[condition[b]] = nearly.of(plain[condition[b]]);
      }
    }
    RealMatrix square = count == 0 ? null : MatrixUtils.createRealMatrix(count, count);
    for (int a = 0; a < count; a++) {
      for (int b = 0; b < count; b++) {
        square.setEntry(a, b, (dot(plain[a], pulled[b]) + dot(plain[b], pulled[a])) / 2);
      }
    }
    levels = count == 0 ? null : new CholeskyDecomposition(square, 1e-8, 0).getSolver();
  }

  private double[][][] none() {
    return none(boxes);
  }

  /** Arrays for the cells of all contacts. */
  static double[][][] none(Boxes boxes) {
    double[][][] all = new double[boxes.contacts.size()][][];
    Arrays.setAll(all, c -> boxes.contacts.get(c).cells());
    return all;
  }

  /** Upward watts count as loss of the box below and as gain of the box above. */
  private double[][][] plain(int box) {
    double[][][] all = none();
    for (int c = 0; c < all.length; c++) {
      Contact contact = boxes.contacts.get(c);
      double sign = contact.below() == box ? 1 : contact.above() == box ? -1 : 0;
      for (double[] row : all[c]) {
        Arrays.fill(row, sign);
      }
      contact.mask(all[c]);
    }
    return all;
  }

  /**
   * The preconditioned residual that breaks no condition. What the residual owes to levels is taken
   * out of it, or rounding would drown the rest as that gets small.
   *
   * @param residual changed
   * @param out overwritten
   * @return the levels that were taken out
   */
  private double[] project(double[][][] residual, double[][][] out) {
    double[][][] free = nearly.of(residual);
    double[] missing = new double[pulled.length];
    for (int b = 0; b < missing.length; b++) {
      missing[b] = dot(pulled[b], residual);
    }
    double[] level = level(missing);
    for (int c = 0; c < out.length; c++) {
      for (int i = 0; i < out[c].length; i++) {
        System.arraycopy(free[c][i], 0, out[c][i], 0, free[c][i].length);
      }
    }
    for (int b = 0; b < level.length; b++) {
      add(out, -level[b], pulled[b]);
      add(residual, -level[b], plain[b]);
    }
    return level;
  }

  private double[] level(double[] missing) {
    return levels == null
        ? new double[0]
        : levels.solve(new ArrayRealVector(missing, false)).toArray();
  }

  /** Kelvin across each cell for watts through the cells: resistance and both boxes' answers. */
  private double[][][] apply(double[][][] watts) {
    double[][][] out = answer(boxes, compliance, watts, team);
    for (int c = 0; c < out.length; c++) {
      for (int i = 0; i < out[c].length; i++) {
        for (int j = 0; j < out[c][i].length; j++) {
          out[c][i][j] += resistance[c][i][j] * watts[c][i][j];
        }
      }
      boxes.contacts.get(c).mask(out[c]);
    }
    return out;
  }

  /** What the boxes alone make of watts through the contacts: above less below, K by cell. */
  static double[][][] answer(Boxes boxes, Compliance[] compliance, double[][][] watts, Team team) {
    double[][][] low = new double[compliance.length][][];
    double[][][] top = new double[compliance.length][][];
    team.tasks(
        low.length,
        b -> {
          low[b] = boxes.boxes.get(b).modes();
          top[b] = boxes.boxes.get(b).modes();
          enter(boxes, b, watts, low[b], top[b]);
          respond(compliance[b], low[b], top[b]);
        });
    double[][][] out = none(boxes);
    team.tasks(
        out.length,
        c -> {
          Contact contact = boxes.contacts.get(c);
          contact.belowTrace().scatter(top[contact.below()], -1, out[c]);
          if (!contact.cooled()) {
            contact.aboveTrace().scatter(low[contact.above()], 1, out[c]);
          }
        });
    return out;
  }

  /** Adds the contacts' watts to what enters a box's faces, by modes. */
  static void enter(Boxes boxes, int box, double[][][] watts, double[][] low, double[][] top) {
    for (int c = 0; c < watts.length; c++) {
      Contact contact = boxes.contacts.get(c);
      if (contact.below() == box) {
        contact.belowTrace().gather(watts[c], -1, top);
      }
      if (contact.above() == box) {
        contact.aboveTrace().gather(watts[c], 1, low);
      }
    }
  }

  /** Turns what enters both faces of each box into the faces' temperatures, by modes. */
  static void respond(Compliance[] compliance, double[][][] low, double[][][] top) {
    for (int b = 0; b < low.length; b++) {
      respond(compliance[b], low[b], top[b]);
    }
  }

  private static void respond(Compliance own, double[][] low, double[][] top) {
    for (int p = 0; p < low.length; p++) {
      for (int q = 0; q < low[p].length; q++) {
        double fromBelow = low[p][q];
        double fromAbove = top[p][q];
        low[p][q] = own.low()[p][q] * fromBelow + own.across()[p][q] * fromAbove;
        top[p][q] = own.across()[p][q] * fromBelow + own.top()[p][q] * fromAbove;
      }
    }
  }

  /**
   * Solves.
   *
   * @param driving K across each contact cell by what enters the boxes elsewhere, below less above
   * @param entering W that enter each box elsewhere
   * @param start watts to begin from, or null
   * @param passing K·W that pass the contacts beside what is sought
   * @param tolerance on the residual, as a share of the root of all K·W
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  Found solve(
      double[][][] driving,
      double[] entering,
      double[][][] start,
      double passing,
      double tolerance,
      SolveWatch watch) {
    double[][][] watts = none();
    if (start != null) {
      add(watts, 1, start);
    }
    balance(watts, entering);
    double[][][] applied = apply(watts);
    double[][][] residual = none();
    add(residual, 1, driving);
    add(residual, -1, applied);
    double[][][] z = none();
    double[] level = project(residual, z);
    double[][][] direction = none();
    add(direction, 1, z);
    double left = dot(residual, z);
    double energy = Math.max(dot(watts, applied) + passing, Double.MIN_NORMAL);
    steps = 0;
    while (left > tolerance * tolerance * energy && steps < MOST_STEPS) {
      watch.check();
      double[][][] along = apply(direction);
      double step = left / dot(direction, along);
      add(watts, step, direction);
      energy += step * left; // each step's own; begun from nothing, that is all there is
      add(residual, -step, along);
      double[] more = project(residual, z);
      for (int b = 0; b < level.length; b++) {
        level[b] += more[b];
      }
      double next = dot(residual, z);
      double share = next / left;
      for (int c = 0; c < direction.length; c++) {
        for (int i = 0; i < direction[c].length; i++) {
          for (int j = 0; j < direction[c][i].length; j++) {
            direction[c][i][j] = z[c][i][j] + share * direction[c][i][j];
          }
        }
      }
      left = next;
      steps++;
    }
    double[] ofBoxes = new double[condition.length];
    for (int b = 0; b < ofBoxes.length; b++) {
      // What was taken out of the residual is what the levels have to make up for.
      ofBoxes[b] = condition[b] < 0 ? 0 : -level[condition[b]];
    }
    balance(watts, entering);
    // What is not a number has not come to rest either.
    rests = left <= tolerance * tolerance * energy;
    return new Found(watts, ofBoxes);
  }

  /** Changes the watts as little as the preconditioner's norm allows until heat in is heat out. */
  private void balance(double[][][] watts, double[] entering) {
    double[] missing = new double[pulled.length];
    for (int b = 0; b < condition.length; b++) {
      if (condition[b] >= 0) {
        missing[condition[b]] = entering[b];
      }
    }
    for (int c = 0; c < watts.length; c++) {
      Contact contact = boxes.contacts.get(c);
      double sum = 0;
      for (double[] row : watts[c]) {
        for (double one : row) {
          sum += one;
        }
      }
      if (condition[contact.below()] >= 0) {
        missing[condition[contact.below()]] -= sum;
      }
      if (!contact.cooled() && condition[contact.above()] >= 0) {
        missing[condition[contact.above()]] += sum;
      }
    }
    double[] level = level(missing);
    for (int b = 0; b < level.length; b++) {
      add(watts, level[b], pulled[b]);
    }
  }

  /** Whether the latest solution came down to its tolerance. */
  boolean rests() {
    return rests;
  }

  /** Steps of the latest solution. */
  int steps() {
    return steps;
  }

  private static double dot(double[][][] a, double[][][] b) {
    double sum = 0;
    for (int c = 0; c < a.length; c++) {
      sum += Dense.dot(a[c], b[c]);
    }
    return sum;
  }

  private static void add(double[][][] to, double factor, double[][][] from) {
    for (int c = 0; c < to.length; c++) {
      Dense.add(to[c], factor, from[c]);
    }
  }
}
