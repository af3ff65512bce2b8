package dev.ambershim.core.physics.spread;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ForkJoinPool;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/**
 * The flow against closed solutions of the squeezed film: Stefan 1874 for the disc and Reynolds
 * 1886 for the strip and the rectangle, as in Bird, Armstrong &amp; Hassager, <i>Dynamics of
 * Polymeric Liquids</i>, and Hamrock, <i>Fundamentals of Fluid Film Lubrication</i> (both from
 * memory; each formula is derived again beside its test).
 */
@Tag("slow")
class SqueezeTest {
  private static final PasteFlow OIL = new PasteFlow(200, 0);

  private static FaceGrid disc(double radius, int cells) {
    FaceGrid square =
        FaceGrid.of(List.of(new Patch(0, 0, 2 * radius, 2 * radius)), List.of(), cells);
    for (int c = 0; c < square.size(); c++) {
      square.face()[c] =
          Math.hypot(square.x(c % square.columns()), square.y(c / square.columns())) <= radius;
    }
    return square;
  }

  private static double timeTo(SpreadFlow flow, double micrometres) {
    double wasSeconds = 0;
    double was = flow.closestMicrometres();
    while (flow.closestMicrometres() > micrometres && flow.step()) {
      if (flow.closestMicrometres() > micrometres) {
        wasSeconds = flow.seconds();
        was = flow.closestMicrometres();
      }
    }
    // 1/h² grows evenly in time near the end, so the crossing is found along it.
    double a = 1 / (was * was);
    double b = 1 / (flow.closestMicrometres() * flow.closestMicrometres());
    double at = 1 / (micrometres * micrometres);
    return wasSeconds + (flow.seconds() - wasSeconds) * (at - a) / (b - a);
  }

  /** Stefan: p = 3µv(R² − r²)/h³, F = 3πµR⁴v/(2h³), so t = 3πµR⁴/(4F)·(1/h² − 1/h₀²). */
  @Test
  void discThatStaysFullTakesStefansTime() {
    double radius = 15e-3;
    FaceGrid grid = disc(15, 150);
    double volume = grid.faceSquareMillimetres() * 0.2;
    SpreadFlow flow =
        new SpreadFlow(SpreadCase.flat(grid, OIL, 150, PastePattern.THIN_SPREAD, volume));
    double h0 = flow.closestMicrometres() * 1e-6;
    double took = timeTo(flow, 60);
    double stefan =
        3 * Math.PI * 200 * Math.pow(radius, 4) / (4 * 150) * (1 / (60e-6 * 60e-6) - 1 / (h0 * h0));
    assertThat(took / stefan).isCloseTo(1, within(0.02));
  }

  /**
   * A disc of kept volume V = πR²h: F = 3µV²v/(2πh⁵), so t = 3µV²/(8πF)·(1/h⁴ − 1/h₀⁴). A dot has
   * spread into a disc long before it is thin.
   */
  @Test
  void dotOfKeptVolumeTakesTheTimeOfTheGrowingDisc() {
    FaceGrid grid = FaceGrid.of(List.of(new Patch(0, 0, 30, 30)), List.of(), 140);
    double volume = 60;
    SpreadFlow flow = new SpreadFlow(SpreadCase.flat(grid, OIL, 150, PastePattern.DOT, volume));
    double took = timeTo(flow, 120);
    double v = volume * 1e-9;
    double closed = 3 * 200 * v * v / (8 * Math.PI * 150) / Math.pow(120e-6, 4);
    assertThat(took / closed).isCloseTo(1, within(0.02));
    assertThat(flow.overflowCubicMillimetres()).isZero();
    // The disc's radius is (V/πh)^½.
    double area = flow.state().cover() * grid.faceSquareMillimetres();
    assertThat(area).isCloseTo(volume / 0.12, within(0.03 * volume / 0.12));
  }

  /**
   * A rectangle a × b that stays full: ∇²p = −12µv/h³ with p = 0 around, so F = (µva³b/h³)·(1 −
   * (192a/π⁵b)·Σ tanh((2n+1)πb/2a)/(2n+1)⁵), the torsion series of a rectangular bar (Timoshenko
   * &amp; Goodier, art. 109).
   */
  @Test
  void rectangleThatStaysFullTakesReynoldsTime() {
    FaceGrid grid = FaceGrid.of(List.of(new Patch(0, 0, 30, 15)), List.of(), 100);
    SpreadFlow flow =
        new SpreadFlow(SpreadCase.flat(grid, OIL, 120, PastePattern.THIN_SPREAD, 30 * 15 * 0.2));
    double h0 = flow.closestMicrometres() * 1e-6;
    double took = timeTo(flow, 50);
    double a = 15e-3;
    double b = 30e-3;
    double sum = 0;
    for (int n = 0; n < 20; n++) {
      double k = 2 * n + 1;
      sum += Math.tanh(k * Math.PI * b / (2 * a)) / Math.pow(k, 5);
    }
    double shape = 1 - 192 * a / (Math.pow(Math.PI, 5) * b) * sum;
    double each = 200 * a * a * a * b * shape;
    double time = each / (2 * 120) * (1 / (50e-6 * 50e-6) - 1 / (h0 * h0));
    assertThat(took / time).isCloseTo(1, within(0.02));
  }

  @Test
  void volumeIsKept() {
    FaceGrid grid = FaceGrid.of(List.of(new Patch(0, 0, 30, 24)), List.of(), 50);
    for (PastePattern pattern :
        List.of(PastePattern.FIVE_DOTS, PastePattern.CROSS, PastePattern.THIN_SPREAD)) {
      SpreadFlow flow =
          new SpreadFlow(SpreadCase.flat(grid, PasteClass.MIDDLING.at(23), 150, pattern, 150));
      int steps = 0;
      while (flow.step()) {
        steps++;
        double sum = flow.onFaceCubicMillimetres() + flow.overflowCubicMillimetres();
        assertThat(sum / 150).as(pattern + " step " + steps).isCloseTo(1, within(1e-9));
      }
      assertThat(flow.overflowCubicMillimetres()).isPositive();
    }
  }

  /** Air under a hollow: a thin even coat shuts it in, a dot in the middle drives it out. */
  @Test
  void thinSpreadOnAHollowShutsAirInAndADotDoesNot() {
    FaceGrid grid =
        FaceGrid.of(List.of(new Patch(0, 0, 30, 30)), List.of(new Patch(0, 0, 9, 19)), 60);
    double[] hollow = new double[grid.size()];
    for (int c = 0; c < hollow.length; c++) {
      double x = grid.x(c % 60) / 15;
      double y = grid.y(c / 60) / 15;
      hollow[c] = 60 * (1 - (x * x + y * y) / 2);
    }
    SpreadFlow thin = new SpreadFlow(setup(grid, hollow, PastePattern.THIN_SPREAD, 55));
    double shut = 0;
    while (thin.step()) {
      shut = Math.max(shut, thin.state().airOverDieSquareMillimetres());
    }
    // It is shut in, pressed together, and blows out at the edge in part: the die stays dry.
    assertThat(shut).isGreaterThan(100);
    assertThat(thin.state().shadowCover()).isLessThan(0.6);
    SpreadState dot = rest(grid, hollow, PastePattern.DOT, 55);
    assertThat(dot.airSquareMillimetres()).isZero();
    assertThat(dot.shadowCover()).isEqualTo(1);
  }

  private static SpreadCase setup(
      FaceGrid grid, double[] bow, PastePattern pattern, double volume) {
    return new SpreadCase(
        grid,
        PasteClass.MIDDLING.at(23),
        Pressing.level(160),
        pattern,
        List.of(),
        volume,
        bow,
        SpreadCase.USUAL_LIMIT);
  }

  private static SpreadState rest(
      FaceGrid grid, double[] bow, PastePattern pattern, double volume) {
    return PasteAmount.rest(setup(grid, bow, pattern, volume), SolveWatch.NONE);
  }

  /** Common practice: a dot leaves the far corners of a long lid dry; more lines reach them. */
  @Test
  void aDotMissesTheCornersOfALongLidAndCoversTheShadow() {
    FaceGrid grid =
        FaceGrid.of(List.of(new Patch(0, 0, 50, 26)), List.of(new Patch(0, 0, 12, 12)), 64);
    SpreadState dot = rest(grid, new double[0], PastePattern.DOT, 60);
    SpreadState lines = rest(grid, new double[0], PastePattern.TWO_LINES, 60);
    assertThat(dot.shadowCover()).isEqualTo(1);
    assertThat(lines.shadowCover()).isEqualTo(1);
    assertThat(dot.cover()).isLessThan(0.9);
    assertThat(lines.cover()).isGreaterThan(dot.cover() + 0.04);
    int corner = 63;
    assertThat(dot.joined(corner)).isFalse();
  }

  /** A plate that comes down tilted, and is levelled, ends as thin as one that came level. */
  @Test
  void aPlateThatIsLevelledEndsLikeOneThatCameLevel() {
    FaceGrid grid = FaceGrid.of(List.of(new Patch(0, 0, 30, 30)), List.of(), 48);
    Pressing turns =
        new Pressing(
            List.of(
                new Pressing.Stage(3, 20, 0.008, 0.006),
                new Pressing.Stage(3, 60, -0.004, 0.003),
                new Pressing.Stage(3, 160, 0, 0),
                new Pressing.Stage(Double.POSITIVE_INFINITY, 160, 0, 0)));
    PasteFlow paste = PasteClass.THIN.at(40);
    SpreadCase level = SpreadCase.flat(grid, paste, 160, PastePattern.CROSS, 60);
    SpreadCase tilted =
        new SpreadCase(grid, paste, turns, PastePattern.CROSS, List.of(), 60, new double[0], 600);
    SpreadState a = PasteAmount.rest(level, SolveWatch.NONE);
    SpreadState b = PasteAmount.rest(tilted, SolveWatch.NONE);
    assertThat(b.meanMicrometres()).isCloseTo(a.meanMicrometres(), within(1.0));
    assertThat(b.cover()).isCloseTo(a.cover(), within(0.02));
    assertThat(turns.tilts()).isTrue();
  }

  /**
   * Prasher et al. 2003 fitted 1.31·10⁻⁴ m·(τ/p)^0.166; at a τ/p of one it is 131 µm, of 10⁻⁴ 28.4
   * µm, and ten times the pressure thins any paste to 68 in a hundred.
   */
  @Test
  void bondLineFollowsPrasher() {
    assertThat(BondLine.metres(100, 100) * 1e6).isCloseTo(131, within(1e-9));
    assertThat(BondLine.metres(100, 1e6) * 1e6).isCloseTo(28.4, within(0.05));
    assertThat(BondLine.metres(150, 3e6) / BondLine.metres(150, 3e5))
        .isCloseTo(0.682, within(5e-4));
    assertThat(BondLine.pascal(150, BondLine.metres(150, 3e5))).isCloseTo(3e5, within(1e-3));
  }

  /** A plate on paste comes to rest where the fillers carry it, if it has the time. */
  @Test
  void theGapEndsAtTheBondLine() {
    FaceGrid grid = FaceGrid.of(List.of(new Patch(0, 0, 10, 10)), List.of(), 40);
    PasteFlow paste = new PasteFlow(20, 50);
    SpreadState end =
        PasteAmount.rest(SpreadCase.flat(grid, paste, 50, PastePattern.DOT, 12), SolveWatch.NONE);
    double line = BondLine.metres(50, 50 / 100e-6) * 1e6;
    assertThat(end.closestMicrometres()).isBetween(line, 1.1 * line);
  }

  @Test
  void theLeastAmountCoversAndALittleLessDoesNot() {
    FaceGrid grid =
        FaceGrid.of(List.of(new Patch(0, 0, 30, 30)), List.of(new Patch(0, 0, 9, 19)), 40);
    SpreadCase setup = SpreadCase.flat(grid, PasteClass.MIDDLING.at(23), 160, PastePattern.DOT, 1);
    PasteAmount amount = PasteAmount.of(setup, SolveWatch.NONE, Runnable::run);
    assertThat(PasteAmount.of(setup, SolveWatch.NONE, ForkJoinPool.commonPool())).isEqualTo(amount);
    double face = amount.faceCubicMillimetres().orElseThrow();
    double shadow = amount.shadowCubicMillimetres().orElseThrow();
    assertThat(shadow).isLessThan(0.7 * face);
    assertThat(PasteAmount.rest(setup.withVolume(face), SolveWatch.NONE).cover())
        .isGreaterThanOrEqualTo(0.99);
    assertThat(PasteAmount.rest(setup.withVolume(face / 1.2), SolveWatch.NONE).cover())
        .isLessThan(0.99);
    assertThat(amount.overflowShare()).isBetween(0.0, 0.6);
  }

  @Test
  void aCaseThatCannotBeIsRefused() {
    FaceGrid grid = FaceGrid.of(List.of(new Patch(0, 0, 10, 10)), List.of(), 8);
    assertThatIllegalArgumentException()
        .isThrownBy(() -> SpreadCase.flat(grid, OIL, 0, PastePattern.DOT, 1));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> SpreadCase.flat(grid, OIL, 10, PastePattern.DOT, 0));
    assertThatIllegalArgumentException()
        .isThrownBy(() -> SpreadCase.flat(grid, OIL, 10, PastePattern.OWN, 1));
    assertThatIllegalArgumentException().isThrownBy(() -> new PasteFlow(0, 1));
    assertThatIllegalArgumentException().isThrownBy(() -> new PasteStroke(List.of(1.0), List.of()));
  }

  /** The solver on a grid of odd size with holes, against the dense solution of Hipparchus. */
  @Test
  void pressureAgreesWithTheDenseSolution() {
    int w = 13;
    int d = 9;
    PressureSolver solver = new PressureSolver(w, d);
    PressureSolver.Level l = solver.finest();
    Random random = new Random(5);
    boolean[] in = new boolean[w * d];
    for (int c = 0; c < in.length; c++) {
      in[c] = random.nextInt(5) > 0;
    }
    Array2DRowRealMatrix a = new Array2DRowRealMatrix(w * d, w * d);
    RealVector b = new ArrayRealVector(w * d);
    double[] source = new double[w * d];
    for (int c = 0; c < in.length; c++) {
      if (!in[c]) {
        a.setEntry(c, c, 1);
        continue;
      }
      source[c] = random.nextDouble();
      b.setEntry(c, source[c]);
      // As between bowed plates: smooth over six decades, and a leak from every cell.
      double leak = Math.pow(10, -3 * random.nextDouble());
      l.own[l.at(c % w, c / w)] += leak;
      a.addToEntry(c, c, leak);
      for (int to : new int[] {c % w + 1 < w ? c + 1 : -1, c + w < w * d ? c + w : -1}) {
        if (to >= 0 && in[to]) {
          int row = c / w;
          double g = Math.pow(10, 1.5 * Math.sin(c % w / 3.0) + 1.5 * Math.cos(row / 2.0));
          (to == c + 1 ? l.east : l.north)[l.at(c % w, c / w)] = g;
          l.own[l.at(c % w, c / w)] += g;
          l.own[l.at(to % w, to / w)] += g;
          a.addToEntry(c, c, g);
          a.addToEntry(to, to, g);
          a.setEntry(c, to, -g);
          a.setEntry(to, c, -g);
        }
      }
    }
    solver.ready();
    double[] pressure = new double[w * d];
    assertThat(solver.solve(source, pressure, 1e-10)).isLessThan(60);
    RealVector exact = new LUDecomposition(a).getSolver().solve(b);
    for (int c = 0; c < in.length; c++) {
      assertThat(pressure[c]).isCloseTo(in[c] ? exact.getEntry(c) : 0, within(1e-6));
    }
  }
}
