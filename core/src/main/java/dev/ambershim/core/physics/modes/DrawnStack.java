package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackRules;
import dev.ambershim.core.physics.multigrid.Team;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.RealMatrix;

/**
 * A stack whose joints and heats are drawn many times over: what the solids answer is written out
 * once as a matrix over coarse contact cells, and each draw is one Cholesky factorisation. The
 * response of every source to every source is brought to that of fine grids by the difference that
 * both have on the stack as given. As the operator is symmetric, the fluxes of a watt at each
 * source also tell how every cell's resistance and the film move every source. What it is asked
 * leaves it as it is, so several threads may ask; a stack must be made of boxes, and conductivities
 * that fall count by their reference.
 */
public final class DrawnStack {
  /** Cells over the width of what is heated. */
  private static final double WIDTH = 8;

  /** Discretisation error of the fine responses, as a share of the rise. */
  private static final double ERROR = 0.001;

  /** More cells than this at once are too slow to be drawn. */
  private static final int MOST_CELLS = 320;

  private final StackCase given;
  private final Boxes boxes;
  private final Compliance[] compliance;
  private final List<Index> cells = new ArrayList<>();

  /** K at each cell for a watt through each other. */
  private final double[][] answers;

  /** K at each cell for a watt of each source, below less above. */
  private final double[][] driving;

  /** 1 where a cell drains a box that no film holds, −1 where it feeds it. */
  private final double[][] conditions;

  /** K at each source for a watt of each, through the solids alone. */
  private final double[][] direct;

  private final int[] conditionOf;

  /** What fine grids add to coarse cells on the stack as given, K/W. */
  private final double[][] finer;

  private record Index(int contact, int column, int row, double area) {}

  /**
   * Temperatures of a draw.
   *
   * @param celsius mean of each source
   * @param byResistance how each source's mean moves with the resistance of each open contact cell,
   *     K for 1 K/W, by source and cell
   * @param byFilm how it moves with the film, K for 1 W/m²·K
   */
  public record Draw(double[] celsius, double[][] byResistance, double[] byFilm) {}

  /**
   * Writes the solids out.
   *
   * @throws dev.ambershim.core.base.Problem {@code stack.…} if the stack cannot be
   * @throws IllegalArgumentException if it is not made of boxes
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public DrawnStack(StackCase stack, SolveWatch watch) {
    StackRules.check(stack);
    if (!SteadySolver.madeOfBoxes(stack)) {
      throw new IllegalArgumentException("the stack is not made of boxes");
    }
    given = stack;
    boxes = coarse(stack);
    compliance = new Compliance[boxes.boxes.size()];
    conditionOf = new int[compliance.length];
    int conditionCount = 0;
    for (int b = 0; b < compliance.length; b++) {
      Slab slab = SteadyBoxes.slab(stack, boxes, b, 1);
      compliance[b] = Compliance.of(boxes.boxes.get(b), slab);
      conditionOf[b] = slab.filmed() ? -1 : conditionCount++;
    }
    for (int c = 0; c < boxes.contacts.size(); c++) {
      Contact contact = boxes.contacts.get(c);
      for (int i = 0; i < contact.columns(); i++) {
        for (int j = 0; j < contact.rows(); j++) {
          if (contact.open()[i][j]) {
            cells.add(new Index(c, i, j, contact.area()[i][j]));
          }
        }
      }
    }
    answers = answers(watch);
    conditions = new double[conditionCount][cells.size()];
    for (int n = 0; n < cells.size(); n++) {
      Contact contact = boxes.contacts.get(cells.get(n).contact());
      if (conditionOf[contact.below()] >= 0) {
        conditions[conditionOf[contact.below()]][n] = 1;
      }
      if (!contact.cooled() && conditionOf[contact.above()] >= 0) {
        conditions[conditionOf[contact.above()]][n] = -1;
      }
    }
    int sources = stack.heat().size();
    driving = new double[sources][];
    direct = new double[sources][sources];
    for (int s = 0; s < sources; s++) {
      heat(s);
    }
    double[][] rough = rough(resistance(stack)).kelvinPerWatt;
    LiveStack live = new LiveStack(stack, ERROR, watch);
    finer = new double[sources][sources];
    for (int s = 0; s < sources; s++) {
      double[] watts = new double[sources];
      watts[s] = 1;
      List<Double> fine =
          live.update(stack.withWatts(watts), watch).sources().stream()
              .map(f -> f.meanCelsius() - stack.coolantCelsius())
              .toList();
      for (int r = 0; r < sources; r++) {
        finer[r][s] = fine.get(r) - rough[r][s];
      }
    }
  }

  /** The grid that is written out. */
  static Boxes coarse(StackCase stack) {
    double fine = SteadySolver.width(stack) / WIDTH;
    Boxes laid = Boxes.of(stack, fine, 1).orElseThrow();
    while (laid.cells() > MOST_CELLS) {
      fine *= 1.2;
      Boxes wider = Boxes.of(stack, fine, 1).orElseThrow();
      if (wider.cells() == laid.cells() && fine > 4 * SteadySolver.width(stack)) {
        break;
      }
      laid = wider;
    }
    return laid;
  }

  /** Every cell's temperature for a watt through every cell, without resistances. */
  private double[][] answers(SolveWatch watch) {
    double[][] all = new double[cells.size()][cells.size()];
    for (int n = 0; n < all.length; n++) {
      watch.check();
      double[][][] watts = Fluxes.none(boxes);
      Index from = cells.get(n);
      watts[from.contact()][from.column()][from.row()] = 1;
      double[][][] kelvin = Fluxes.answer(boxes, compliance, watts, Team.alone());
      for (int m = 0; m < all.length; m++) {
        Index to = cells.get(m);
        all[n][m] = kelvin[to.contact()][to.column()][to.row()];
      }
    }
    return all;
  }

  /** What a watt of a source does through the solids alone. */
  private void heat(int source) {
    int count = compliance.length;
    double[][][] low = new double[count][][];
    double[][][] top = new double[count][][];
    for (int b = 0; b < count; b++) {
      low[b] = boxes.boxes.get(b).modes();
      top[b] = boxes.boxes.get(b).modes();
    }
    Spot spot = boxes.spots.get(source);
    for (int p = 0; p < low[spot.box()].length; p++) {
      Dense.addTo(low[spot.box()][p], spot.meanX()[p], spot.meanY());
    }
    double conductivity = compliance[spot.box()].slab().conductivity();
    double[][] symbol = boxes.nearSymbol(spot.box());
    double[][] far = Dense.copy(low[spot.box()]);
    for (int p = 0; p < far.length; p++) {
      for (int q = 0; q < far[p].length; q++) {
        far[p][q] *= -symbol[p][q] / conductivity;
      }
    }
    Fluxes.respond(compliance, low, top);
    Dense.add(far, 1, low[spot.box()]);
    for (int r = 0; r < direct.length; r++) {
      Spot to = boxes.spots.get(r);
      if (to.box() == spot.box()) {
        double[][] near = to.whole().near()[source];
        double sum = near[0][0] / spot.area() / conductivity;
        for (int p = 0; p < far.length; p++) {
          for (int q = 0; q < far[p].length; q++) {
            sum += far[p][q] * to.meanX()[p] * to.meanY()[q];
          }
        }
        direct[r][source] = sum;
      }
    }
    double[][][] at = Fluxes.none(boxes);
    for (int c = 0; c < at.length; c++) {
      Contact contact = boxes.contacts.get(c);
      contact.belowTrace().scatter(top[contact.below()], 1, at[c]);
      if (!contact.cooled()) {
        contact.aboveTrace().scatter(low[contact.above()], -1, at[c]);
      }
    }
    driving[source] = new double[cells.size()];
    for (int n = 0; n < cells.size(); n++) {
      Index cell = cells.get(n);
      driving[source][n] = at[cell.contact()][cell.column()][cell.row()];
    }
  }

  /**
   * Every source's rise for a watt of each, and the fluxes of that watt. A cell's resistance moves
   * source a for a watt of source b by the product of both fluxes through it, as the operator is
   * symmetric.
   *
   * @param kelvinPerWatt by source and source
   * @param through W by source and cell
   * @param levels mean temperature of each solid that no film cools, from the lowest box up, by
   *     solid and source, K/W
   */
  public record Responses(double[][] kelvinPerWatt, double[][] through, double[][] levels) {}

  /**
   * The responses under other resistances of the contact cells.
   *
   * @param resistance as {@link #resistance} gives it, K/W by cell; read only
   * @throws org.hipparchus.exception.MathIllegalArgumentException if a resistance is negative
   */
  public Responses responses(double[] resistance) {
    Responses rough = rough(resistance);
    for (int s = 0; s < finer.length; s++) {
      for (int r = 0; r < finer.length; r++) {
        rough.kelvinPerWatt[r][s] += finer[r][s];
      }
    }
    return rough;
  }

  private Responses rough(double[] resistance) {
    int n = cells.size();
    int sources = driving.length;
    int levels = conditions.length;
    double[][] matrix = new double[n][];
    for (int i = 0; i < n; i++) {
      matrix[i] = answers[i].clone();
      matrix[i][i] += resistance[i];
    }
    Cholesky root = new Cholesky(matrix);
    double[][] rights = Arrays.copyOf(driving, sources + levels);
    System.arraycopy(conditions, 0, rights, sources, levels);
    double[][] solved = root.solve(rights);
    double[][] through = new double[sources][];
    double[][] response = new double[sources][sources];
    double[][] levelOf = new double[levels][sources];
    double[][] square = new double[levels][levels];
    for (int a = 0; a < levels; a++) {
      for (int b = 0; b < levels; b++) {
        square[a][b] = dot(conditions[a], solved[sources + b]);
      }
    }
    RealMatrix small = new Array2DRowRealMatrix(square, false);
    DecompositionSolver levelsOf =
        levels == 0 ? null : new CholeskyDecomposition(small, 1e-6, 0).getSolver();
    for (int s = 0; s < sources; s++) {
      int own = conditionOf[boxes.spots.get(s).box()];
      double[] missing = new double[levels];
      for (int l = 0; l < levels; l++) {
        missing[l] = (l == own ? 1 : 0) - dot(conditions[l], solved[s]);
      }
      double[] level =
          levels == 0 ? missing : levelsOf.solve(new ArrayRealVector(missing)).toArray();
      through[s] = solved[s].clone();
      for (int l = 0; l < levels; l++) {
        levelOf[l][s] = level[l];
        Dense.addTo(through[s], level[l], solved[sources + l]);
      }
      for (int r = 0; r < sources; r++) {
        int box = conditionOf[boxes.spots.get(r).box()];
        response[r][s] = direct[r][s] + (box < 0 ? 0 : level[box]) - dot(driving[r], through[s]);
      }
    }
    return new Responses(response, through, levelOf);
  }

  /**
   * Resistance of every contact cell in a stack with other joints, K/W. It is linear in a joint's
   * thickness from place to place.
   *
   * @throws IllegalArgumentException if the geometry changed
   */
  public double[] resistance(StackCase stack) {
    if (!LiveStack.sameGeometry(given, stack)) {
      throw new IllegalArgumentException("the geometry changed; write it out anew");
    }
    double[] all = new double[cells.size()];
    int n = 0;
    for (Contact contact : boxes.contacts) {
      double[][] specific = JointCells.of(stack, boxes, contact);
      for (int i = 0; i < contact.columns(); i++) {
        for (int j = 0; j < contact.rows(); j++) {
          if (contact.open()[i][j]) {
            all[n++] = specific[i][j] / contact.area()[i][j];
          }
        }
      }
    }
    return all;
  }

  /**
   * A draw: other joints, maps, contact resistances and heats.
   *
   * @throws dev.ambershim.core.base.Problem {@code stack.…} if the stack cannot be
   * @throws IllegalArgumentException if geometry, solids or film changed
   */
  public Draw with(StackCase drawn) {
    boolean kept =
        LiveStack.sameGeometry(given, drawn)
            && given.filmWattsPerSquareMetreKelvin() == drawn.filmWattsPerSquareMetreKelvin();
    for (int l = 0; kept && l < given.layers().size(); l++) {
      StackLayer a = given.layers().get(l);
      StackLayer b = drawn.layers().get(l);
      kept =
          a.crossing()
              || (a.conductivityWattsPerMetreKelvin() == b.conductivityWattsPerMetreKelvin()
                  && a.fall().equals(b.fall()));
    }
    if (!kept) {
      throw new IllegalArgumentException("geometry, solids or film changed; write it out anew");
    }
    StackRules.check(drawn);
    Responses found = responses(resistance(drawn));
    int sources = driving.length;
    double[] celsius = new double[sources];
    double[] total = new double[cells.size()];
    for (int s = 0; s < sources; s++) {
      double watts = drawn.heat().get(s).watts();
      Dense.addTo(total, watts, found.through[s]);
      for (int r = 0; r < sources; r++) {
        celsius[r] += found.kelvinPerWatt[r][s] * watts;
      }
    }
    double[][] byResistance = new double[sources][cells.size()];
    for (int s = 0; s < sources; s++) {
      celsius[s] += drawn.coolantCelsius();
      for (int n = 0; n < total.length; n++) {
        byResistance[s][n] = found.through[s][n] * total[n];
      }
    }
    return new Draw(celsius, byResistance, byFilm(drawn, found.through, total));
  }

  /** A film's share in every source: the product of both top faces, over its area. */
  private double[] byFilm(StackCase drawn, double[][] through, double[] total) {
    double film = drawn.filmWattsPerSquareMetreKelvin();
    double[] all = new double[through.length];
    if (!boxes.filmed(drawn)) {
      for (int n = 0; n < cells.size(); n++) {
        Index cell = cells.get(n);
        if (boxes.contacts.get(cell.contact()).cooled()) {
          for (int s = 0; s < all.length; s++) {
            all[s] -= through[s][n] * total[n] / (film * film * cell.area());
          }
        }
      }
      return all;
    }
    double[][][] whole = tops(total, drawn);
    // The film lies in series with half of the last layer's contact.
    double contact = JointCells.face(drawn.layers().get(boxes.highest));
    double share = Math.pow(1 / (1 + film * contact), 2);
    for (int s = 0; s < all.length; s++) {
      StackCase one = drawn.withWatts(unit(s, all.length));
      double[][][] own = tops(through[s], one);
      for (int b = 0; b < own.length; b++) {
        if (compliance[b].slab().filmed()) {
          all[s] -= share * Dense.dot(own[b], whole[b]);
        }
      }
    }
    return all;
  }

  private static double[] unit(int at, int count) {
    double[] all = new double[count];
    all[at] = 1;
    return all;
  }

  /** Rises of the tops of filmed boxes, by modes. */
  private double[][][] tops(double[] watts, StackCase heats) {
    double[][][] low = new double[compliance.length][][];
    double[][][] top = new double[compliance.length][][];
    for (int b = 0; b < low.length; b++) {
      low[b] = boxes.boxes.get(b).modes();
      top[b] = boxes.boxes.get(b).modes();
    }
    for (int s = 0; s < boxes.spots.size(); s++) {
      Spot spot = boxes.spots.get(s);
      double own = heats.heat().get(s).watts();
      for (int p = 0; p < low[spot.box()].length && compliance[spot.box()].slab().filmed(); p++) {
        Dense.addTo(low[spot.box()][p], own * spot.meanX()[p], spot.meanY());
      }
    }
    double[][][] through = Fluxes.none(boxes);
    for (int n = 0; n < cells.size(); n++) {
      Index cell = cells.get(n);
      through[cell.contact()][cell.column()][cell.row()] = watts[n];
    }
    for (int c = 0; c < through.length; c++) {
      Contact contact = boxes.contacts.get(c);
      if (!contact.cooled() && compliance[contact.above()].slab().filmed()) {
        contact.aboveTrace().gather(through[c], 1, low[contact.above()]);
      }
    }
    for (int b = 0; b < low.length; b++) {
      if (compliance[b].slab().filmed()) {
        for (int p = 0; p < low[b].length; p++) {
          for (int q = 0; q < low[b][p].length; q++) {
            top[b][p][q] = compliance[b].across()[p][q] * low[b][p][q];
          }
        }
      }
    }
    return top;
  }

  private static double dot(double[] a, double[] b) {
    double sum = 0;
    for (int i = 0; i < a.length; i++) {
      sum += a[i] * b[i];
    }
    return sum;
  }

  /**
   * Where a contact cell lies.
   *
   * @param below the solid layer under it
   * @param above the solid layer over it; the number of layers where it meets the coolant
   * @param left its edges, mm
   * @param area m²
   */
  public record Cell(
      int below, int above, double left, double right, double low, double high, double area) {}

  /** The contact cells in the order of their resistances. */
  public List<Cell> places() {
    return cells.stream()
        .map(
            n -> {
              Contact contact = boxes.contacts.get(n.contact);
              int i = contact.left() + n.column;
              int j = contact.low() + n.row;
              return new Cell(
                  boxes.boxes.get(contact.below()).layer(),
                  contact.cooled()
                      ? given.layers().size()
                      : boxes.boxes.get(contact.above()).layer(),
                  boxes.x[i] * 1e3,
                  boxes.x[i + 1] * 1e3,
                  boxes.y[j] * 1e3,
                  boxes.y[j + 1] * 1e3,
                  n.area);
            })
        .toList();
  }

  /** How many contact cells a draw has. */
  public int cells() {
    return cells.size();
  }
}
