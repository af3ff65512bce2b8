package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.modes.DrawnStack;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.RealMatrix;

/**
 * The joints as maps: a linear inversion about the likeliest suspect, with a smooth joint as the
 * prior (Tarantola 2005, <i>Inverse Problem Theory</i>, 3.1.2 and 5.6). Everything else that may
 * stray is sought beside the map. How much of the prior's doubt is left at a place tells whether
 * the readings see it.
 */
final class JointMaps {
  private static final int NODES = 9;

  /**
   * How far a joint that is at fault strays: in its mean, at its edges, and from place to place;
   * shares of what it should be.
   */
  private static final double EVEN = 1.2;

  private static final double EDGE = 0.8;
  private static final double LOCAL = 0.5;

  /** Over this share of the die's width a joint keeps its thickness. */
  private static final double SMOOTH = 0.3;

  /** A joint above the lid matters this far beyond the die, mm. */
  private static final double BEYOND_DIE = 5;

  private final DiagnosisCase given;
  private final StackModel model;
  private final Layout layout;
  private final Held best;
  private final List<double[]> xs = new ArrayList<>();
  private final List<double[]> ys = new ArrayList<>();
  private final double[] faulty;
  private final List<double[][]> covariances = new ArrayList<>();

  private JointMaps(
      DiagnosisCase given, StackModel model, Layout layout, Held best, double[] faulty) {
    this.given = given;
    this.model = model;
    this.layout = layout;
    this.best = best;
    this.faulty = faulty;
    for (int j = 0; j < model.joints(); j++) {
      Patch area = area(j);
      xs.add(nodes(area.leftMillimetres(), area.rightMillimetres()));
      ys.add(nodes(area.lowMillimetres(), area.highMillimetres()));
      covariances.add(covariance(j));
    }
  }

  /**
   * The maps of all joints.
   *
   * @param best the likeliest suspect
   * @param faulty how likely each joint is at fault
   */
  static List<JointMap> of(
      DiagnosisCase given, StackModel model, Layout layout, Held best, double[] faulty) {
    JointMaps maps = new JointMaps(given, model, layout, best, faulty);
    return maps.solved();
  }

  private Patch area(int joint) {
    Patch die = model.die();
    Patch whole = model.joint(joint).bounds();
    double over = joint == model.outermost() && model.joints() > 1 ? BEYOND_DIE : 0;
    double left = Math.max(whole.leftMillimetres(), die.leftMillimetres() - over);
    double right = Math.min(whole.rightMillimetres(), die.rightMillimetres() + over);
    double low = Math.max(whole.lowMillimetres(), die.lowMillimetres() - over);
    double high = Math.min(whole.highMillimetres(), die.highMillimetres() + over);
    return new Patch((left + right) / 2, (low + high) / 2, right - left, high - low);
  }

  private static double[] nodes(double from, double to) {
    double[] all = new double[NODES];
    Arrays.setAll(all, i -> from + (to - from) * i / (NODES - 1));
    return all;
  }

  private static double hat(double[] nodes, int at, double x) {
    double spacing = nodes[1] - nodes[0];
    double within = Math.min(nodes[NODES - 1], Math.max(nodes[0], x));
    return Math.max(0, 1 - Math.abs(within - nodes[at]) / spacing);
  }

  /** The fields of all joints after the cooler was turned, which takes the outermost with it. */
  private List<double[][]> fields(double degrees) {
    List<double[][]> all = new ArrayList<>();
    for (int j = 0; j < model.joints(); j++) {
      all.add(field(j, j == model.outermost() ? Math.toRadians(-degrees) : 0));
    }
    return all;
  }

  /** Resistance that a node's extra of one usual thickness adds to each cell. */
  private double[][] field(int joint, double back) {
    Patch whole = model.joint(joint).bounds();
    List<DrawnStack.Cell> cells = model.cells();
    double[][] all = new double[NODES * NODES][cells.size()];
    for (int n = 0; n < cells.size(); n++) {
      DrawnStack.Cell cell = cells.get(n);
      if (!model.within(joint, cell)) {
        continue;
      }
      double once = model.once(joint, cell);
      double dx = (cell.left() + cell.right()) / 2 - whole.xMillimetres();
      double dy = (cell.low() + cell.high()) / 2 - whole.yMillimetres();
      double x = whole.xMillimetres() + dx * Math.cos(back) - dy * Math.sin(back);
      double y = whole.yMillimetres() + dx * Math.sin(back) + dy * Math.cos(back);
      for (int i = 0; i < NODES; i++) {
        double hx = hat(xs.get(joint), i, x);
        for (int k = 0; k < NODES && hx > 0; k++) {
          all[i * NODES + k][n] = once * hx * hat(ys.get(joint), k, y);
        }
      }
    }
    return all;
  }

  /** The prior of a faulty joint's nodes: a mean, a plane and what is left from place to place. */
  private double[][] covariance(int joint) {
    double length =
        SMOOTH * Math.sqrt(model.die().widthMillimetres() * model.die().depthMillimetres());
    Patch whole = model.joint(joint).bounds();
    int n = NODES * NODES;
    double[][] all = new double[n][n];
    for (int a = 0; a < n; a++) {
      double xa = xs.get(joint)[a / NODES] - whole.xMillimetres();
      double ya = ys.get(joint)[a % NODES] - whole.yMillimetres();
      for (int b = 0; b < n; b++) {
        double xb = xs.get(joint)[b / NODES] - whole.xMillimetres();
        double yb = ys.get(joint)[b % NODES] - whole.yMillimetres();
        double apart = (xa - xb) * (xa - xb) + (ya - yb) * (ya - yb);
        double plane =
            4 * xa * xb / Math.pow(whole.widthMillimetres(), 2)
                + 4 * ya * yb / Math.pow(whole.depthMillimetres(), 2);
        all[a][b] =
            EVEN * EVEN
                + EDGE * EDGE * plane
                + LOCAL * LOCAL * Math.exp(-apart / (2 * length * length));
      }
    }
    return all;
  }

  /** The prior of all joints, each scaled. */
  private RealMatrix prior(double[] scales) {
    int per = NODES * NODES;
    double[][] prior = new double[per * scales.length][per * scales.length];
    for (int j = 0; j < scales.length; j++) {
      for (int a = 0; a < per; a++) {
        for (int b = 0; b < per; b++) {
          prior[j * per + a][j * per + b] = covariances.get(j)[a][b] * scales[j] * scales[j];
        }
      }
    }
    return new Array2DRowRealMatrix(prior, false);
  }

  private List<JointMap> solved() {
    int per = NODES * NODES;
    double[] likely = new double[layout.size()];
    double[] spread = new double[layout.size()];
    layout.priors(best.suspect(), likely, spread);
    // The map takes the place of all that the suspect says of joints.
    for (int j = 0; j < model.joints(); j++) {
      for (int f = 0; f < 3; f++) {
        spread[layout.joint(j, f)] = 0;
      }
    }
    boolean film = best.suspect().shape().form() == Shape.Form.FILM;
    for (int f = 0; f < best.suspect().shape().at().length; f++) {
      spread[layout.shape(f)] = film ? best.suspect().shape().spread()[f] : 0;
    }
    List<double[]> slopes = new ArrayList<>();
    List<Straight.Row> rows = new ArrayList<>();
    rows(slopes, rows);
    int n = rows.size();
    RealMatrix h = new Array2DRowRealMatrix(slopes.toArray(new double[0][]), false);
    double[][] beside = new double[n][n];
    double[] off = h.operate(centre());
    for (int i = 0; i < n; i++) {
      Straight.Row a = rows.get(i);
      off[i] += a.read() - a.expected();
      beside[i][i] += a.sigma() * a.sigma();
      for (int p = 0; p < likely.length; p++) {
        off[i] -= a.slopes()[p] * likely[p];
        double w = a.slopes()[p] * spread[p] * spread[p];
        for (int j = 0; j < n && w != 0; j++) {
          beside[i][j] += w * rows.get(j).slopes()[p];
        }
      }
    }
    RealMatrix noise = new Array2DRowRealMatrix(beside, false);
    double[] scales = new double[model.joints()];
    Arrays.setAll(
        scales, j -> Math.hypot(given.doubts().innerShare() / EVEN, Math.sqrt(faulty[j])));
    RealMatrix hk = h.multiply(prior(scales));
    double[] pulled = solver(h, hk, noise).solve(new ArrayRealVector(off)).toArray();
    double[] found = hk.transpose().operate(pulled);
    List<JointMap> maps = new ArrayList<>();
    for (int j = 0; j < model.joints(); j++) {
      double[][] thick = new double[NODES][NODES];
      for (int i = 0; i < NODES; i++) {
        for (int k = 0; k < NODES; k++) {
          double extra = Math.max(-0.9, found[j * per + i * NODES + k]);
          thick[k][i] = model.micrometres(j) * (1 + extra);
        }
      }
      maps.add(
          new JointMap(
              model.name(j),
              xs.get(j),
              ys.get(j),
              thick,
              seen(j, h, noise, scales),
              model.micrometres(j),
              kelvinPerMicrometre(j)));
    }
    return maps;
  }

  /**
   * What a micrometre all over a joint costs the mean core at full load, K: heat through each cell,
   * times how far the mean core follows a kelvin across that cell.
   */
  private double kelvinPerMicrometre(int joint) {
    double[][] through =
        model.responses(best.suspect().at(given.readings().get(0).mount(), 0)).through();
    double sum = 0;
    for (int n = 0; n < model.cells().size(); n++) {
      DrawnStack.Cell cell = model.cells().get(n);
      if (!model.within(joint, cell)) {
        continue;
      }
      double heat = 0;
      double mean = 0;
      for (int c = 0; c < through.length; c++) {
        heat += given.stack().heat().get(c).watts() * through[c][n];
        mean += through[c][n] / through.length;
      }
      sum += heat * mean * model.once(joint, cell);
    }
    return sum / model.micrometres(joint);
  }

  /** What can be seen of a joint; that does not hang on whether it is suspected. */
  private double[][] seen(int joint, RealMatrix h, RealMatrix noise, double[] scales) {
    int per = NODES * NODES;
    double[] wide = scales.clone();
    wide[joint] = 1;
    RealMatrix hk = h.multiply(prior(wide));
    RealMatrix solved = solver(h, hk, noise).solve(hk);
    double[][] seen = new double[NODES][NODES];
    for (int own = 0; own < per; own++) {
      int at = joint * per + own;
      double told = 0;
      for (int r = 0; r < hk.getRowDimension(); r++) {
        told += hk.getEntry(r, at) * solved.getEntry(r, at);
      }
      double share = told / covariances.get(joint)[own][own];
      seen[own % NODES][own / NODES] = Math.min(1, Math.max(0, share));
    }
    return seen;
  }

  private static DecompositionSolver solver(RealMatrix h, RealMatrix hk, RealMatrix noise) {
    RealMatrix gram = hk.multiplyTransposed(h).add(noise);
    return new CholeskyDecomposition(gram, 1e-6, 0).getSolver();
  }

  /** What the suspect's shape adds at every node. */
  private double[] centre() {
    int per = NODES * NODES;
    double[] all = new double[per * model.joints()];
    Shape shape = best.suspect().shape();
    if (!best.suspect().kind().inJoint() || shape.joint() < 0) {
      return all;
    }
    Patch whole = model.joint(shape.joint()).bounds();
    for (int i = 0; i < NODES; i++) {
      for (int k = 0; k < NODES; k++) {
        all[shape.joint() * per + i * NODES + k] =
            shape.extra(
                xs.get(shape.joint())[i] - whole.xMillimetres(),
                ys.get(shape.joint())[k] - whole.yMillimetres(),
                whole.widthMillimetres() / 2,
                whole.depthMillimetres() / 2);
      }
    }
    return all;
  }

  /** The readings of the mounts that show what the suspect says of the joints. */
  private void rows(List<double[]> slopes, List<Straight.Row> rows) {
    double straight = given.readings().get(0).turnedDegrees();
    Straight lines = new Straight(given, model, layout, best.throughLoop());
    List<double[][]> straightFields = fields(0);
    for (int r = 0; r < given.readings().size(); r++) {
      CaseReading reading = given.readings().get(r);
      double degrees = reading.turnedDegrees() - straight;
      boolean turns = best.suspect().seat().turns();
      if (!best.suspect().seat().shows(reading.mount())) {
        continue;
      }
      StackModel.Turned turned = best.suspect().at(reading.mount(), degrees);
      DrawnStack.Responses found = model.responses(turned);
      double[] watts = given.watts(reading);
      double[] total = new double[model.cells().size()];
      for (int l = 0; l < watts.length; l++) {
        for (int n = 0; n < total.length; n++) {
          total[n] += watts[l] * found.through()[l][n];
        }
      }
      List<Straight.Row> own = lines.rows(reading, r, lines.look(turned));
      List<Integer> cores = lines.cores(reading);
      for (int i = 0; i < own.size(); i++) {
        rows.add(own.get(i));
        double[] slope = new double[NODES * NODES * model.joints()];
        if (i < cores.size()) {
          double[] through = found.through()[cores.get(i)];
          int at = 0;
          for (double[][] field : turns && degrees != 0 ? fields(degrees) : straightFields) {
            for (double[] one : field) {
              double sum = 0;
              for (int n = 0; n < total.length; n++) {
                sum += through[n] * total[n] * one[n];
              }
              slope[at++] = sum;
            }
          }
        }
        slopes.add(slope);
      }
    }
  }
}
