package dev.ambershim.core.physics.surface;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.stage.measure.FaceFinding;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.factory.LinearSolverFactory_DDRM;
import org.hipparchus.optim.PointValuePair;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Flatness by ISO 12781-1 against general-purpose libraries: least squares by EJML's QR, the
 * minimum zone by Hipparchus' simplex method and by trying every four places.
 */
@Tag("slow")
class FlatnessTest {
  private static List<ProbedPoint> scatter(long seed, int count) {
    SplittableRandom random = new SplittableRandom(seed);
    List<ProbedPoint> points = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double x = 30 * random.nextDouble() - 12;
      double y = 26 * random.nextDouble() - 15;
      points.add(
          new ProbedPoint(x, y, 7 + 1.3 * x - 0.4 * y - 0.05 * x * x + 2 * random.nextGaussian()));
    }
    return points;
  }

  private static List<ProbedPoint> grid(int n, double half, Height height) {
    List<ProbedPoint> points = new ArrayList<>();
    for (int j = 0; j < n; j++) {
      for (int i = 0; i < n; i++) {
        double x = half * (2.0 * i / (n - 1) - 1);
        double y = half * (2.0 * j / (n - 1) - 1);
        points.add(new ProbedPoint(x, y, height.at(x, y)));
      }
    }
    return points;
  }

  private interface Height {
    double at(double x, double y);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4})
  void leastSquaresAgreesWithAnotherLibrary(long seed) {
    List<ProbedPoint> points = scatter(seed, 40);
    DMatrixRMaj a = new DMatrixRMaj(40, 3);
    DMatrixRMaj b = new DMatrixRMaj(40, 1);
    for (int i = 0; i < 40; i++) {
      ProbedPoint p = points.get(i);
      a.set(i, 0, 1);
      a.set(i, 1, p.xMillimetres());
      a.set(i, 2, p.yMillimetres());
      b.set(i, 0, p.micrometres());
    }
    var solver = LinearSolverFactory_DDRM.leastSquares(40, 3);
    assertThat(solver.setA(a.copy())).isTrue();
    DMatrixRMaj k = new DMatrixRMaj(3, 1);
    solver.solve(b, k);
    Flatness flat = Flatness.of(points);
    assertThat(flat.plane().micrometres()).isCloseTo(k.get(0), within(1e-9));
    assertThat(flat.plane().xSlope()).isCloseTo(k.get(1), within(1e-10));
    assertThat(flat.plane().ySlope()).isCloseTo(k.get(2), within(1e-10));
    double high = -1e9;
    double low = 1e9;
    double square = 0;
    double cosine = 1 / Math.sqrt(1 + 1e-6 * (k.get(1) * k.get(1) + k.get(2) * k.get(2)));
    for (int i = 0; i < 40; i++) {
      ProbedPoint p = points.get(i);
      double r =
          cosine
              * (p.micrometres()
                  - k.get(0)
                  - k.get(1) * p.xMillimetres()
                  - k.get(2) * p.yMillimetres());
      high = Math.max(high, r);
      low = Math.min(low, r);
      square += r * r;
    }
    assertThat(flat.flttMicrometres()).isCloseTo(high - low, within(1e-9));
    assertThat(flat.fltpMicrometres()).isCloseTo(high, within(1e-9));
    assertThat(flat.fltvMicrometres()).isCloseTo(-low, within(1e-9));
    assertThat(flat.fltqMicrometres()).isCloseTo(Math.sqrt(square / 40), within(1e-9));
  }

  @ParameterizedTest
  @CsvSource({"11,6", "12,9", "13,25", "14,60", "15,121", "16,30", "17,45", "18,-9", "19,-11"})
  void theMinimumZoneIsTheLinearProgrammes(long seed, int size) {
    // A grid of whole micrometres has many ties, which an exchange could go round in.
    SplittableRandom whole = new SplittableRandom(seed);
    List<ProbedPoint> points =
        size > 0
            ? scatter(seed, size)
            : grid(-size, 15, (x, y) -> Math.round(0.3 * x + 2 * whole.nextGaussian()));
    int count = points.size();
    Flatness flat = Flatness.of(points);
    // Levelled, so that the programme's distance along z is the one along the normal.
    List<LinearConstraint> all = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double x = points.get(i).xMillimetres();
      double y = points.get(i).yMillimetres();
      double z = flat.deviations().get(i);
      all.add(new LinearConstraint(new double[] {1, x, y, 1}, Relationship.GEQ, z));
      all.add(new LinearConstraint(new double[] {1, x, y, -1}, Relationship.LEQ, z));
    }
    PointValuePair best =
        new SimplexSolver(1e-10, 10, 1e-12)
            .optimize(
                new LinearObjectiveFunction(new double[] {0, 0, 0, 1}, 0),
                new LinearConstraintSet(all),
                GoalType.MINIMIZE,
                new NonNegativeConstraint(false));
    assertThat(flat.zoneMicrometres()).isCloseTo(2 * best.getValue(), within(1e-6));
    assertThat(flat.zoneMicrometres()).isLessThanOrEqualTo(flat.flttMicrometres() + 1e-9);
    for (ProbedPoint p : points) {
      double away = p.micrometres() - flat.zone().at(p.xMillimetres(), p.yMillimetres());
      assertThat(Math.abs(away)).isLessThanOrEqualTo(flat.zoneMicrometres() / 2 + 1e-4);
    }
  }

  /** The zone of all is the widest zone of any four (Helly's theorem), by their Radon partition. */
  @ParameterizedTest
  @ValueSource(longs = {21, 22, 23, 24, 25})
  void theMinimumZoneIsTheWidestOfAnyFour(long seed) {
    int n = 9;
    List<ProbedPoint> points = scatter(seed, n);
    Flatness flat = Flatness.of(points);
    double widest = 0;
    for (int a = 0; a < n; a++) {
      for (int b = a + 1; b < n; b++) {
        for (int c = b + 1; c < n; c++) {
          for (int d = c + 1; d < n; d++) {
            widest = Math.max(widest, ofFour(points, flat, a, b, c, d));
          }
        }
      }
    }
    assertThat(flat.zoneMicrometres()).isCloseTo(widest, within(1e-6));
  }

  private static double ofFour(List<ProbedPoint> p, Flatness flat, int... four) {
    double[] share = new double[4];
    double sum = 0;
    double height = 0;
    for (int i = 0; i < 4; i++) {
      ProbedPoint q = p.get(four[(i + 1) % 4]);
      ProbedPoint r = p.get(four[(i + 2) % 4]);
      ProbedPoint s = p.get(four[(i + 3) % 4]);
      double area =
          (r.xMillimetres() - q.xMillimetres()) * (s.yMillimetres() - q.yMillimetres())
              - (s.xMillimetres() - q.xMillimetres()) * (r.yMillimetres() - q.yMillimetres());
      share[i] = i % 2 == 0 ? area : -area;
      sum += Math.abs(share[i]);
    }
    for (int i = 0; i < 4; i++) {
      height += share[i] / sum * flat.deviations().get(four[i]);
    }
    return 2 * Math.abs(height);
  }

  /** Worked by hand: a square with one corner up by 4 has residuals ±1 in a saddle. */
  @Test
  void fourCornersByHand() {
    Flatness flat =
        Flatness.of(
            List.of(
                new ProbedPoint(0, 0, 0),
                new ProbedPoint(10, 0, 0),
                new ProbedPoint(0, 10, 0),
                new ProbedPoint(10, 10, 4)));
    assertThat(flat.flttMicrometres()).isCloseTo(2, within(1e-6));
    assertThat(flat.zoneMicrometres()).isCloseTo(2, within(1e-6));
    assertThat(flat.fltqMicrometres()).isCloseTo(1, within(1e-6));
  }

  @ParameterizedTest
  @ValueSource(ints = {3, 5, 9})
  void levelPlacesAndPlanesHaveNoZone(int n) {
    assertThat(Flatness.of(grid(n, 15, (x, y) -> 4)).zoneMicrometres()).isZero();
    assertThat(Flatness.of(grid(n, 15, (x, y) -> 3 + 2 * x - y)).zoneMicrometres())
        .isCloseTo(0, within(1e-9));
  }

  @Test
  void namesTheShapeItsBowAndItsTwist() {
    SplittableRandom random = new SplittableRandom(5);
    Form convex =
        form(grid(7, 15, (x, y) -> -0.04 * (x * x + y * y) + 0.3 * random.nextGaussian()));
    assertThat(convex.shape()).isEqualTo(Shape.CONVEX);
    assertThat(convex.bowMicrometres()).isCloseTo(18, within(0.7));
    Form concave = form(grid(5, 12, (x, y) -> 0.05 * x * x + 0.5 * x));
    assertThat(concave.shape()).isEqualTo(Shape.CONCAVE);
    assertThat(concave.bowMicrometres()).isCloseTo(-7.2, within(1e-6));
    Form saddle = form(grid(5, 12, (x, y) -> 0.05 * x * y));
    assertThat(saddle.shape()).isEqualTo(Shape.SADDLE);
    assertThat(saddle.twistMicrometres()).isCloseTo(4 * 0.05 * 144, within(1e-6));
    assertThat(form(grid(5, 12, (x, y) -> 0.8 * x + 0.2 * random.nextGaussian())).shape())
        .isEqualTo(Shape.WEDGE);
    assertThat(form(grid(9, 12, (x, y) -> 2 * random.nextGaussian())).shape())
        .isEqualTo(Shape.FLAT);
    assertThat(form(grid(2, 12, (x, y) -> 3 + x)).shape()).isEqualTo(Shape.WEDGE);
    // Corners and middle, the five places that most people probe.
    List<ProbedPoint> five = new ArrayList<>(grid(2, 12, (x, y) -> 0.2 * x));
    five.add(new ProbedPoint(0, 0, 9));
    assertThat(form(five).shape()).isEqualTo(Shape.CONVEX);
    assertThat(form(five).bowMicrometres()).isCloseTo(9, within(1e-5));
    five.set(4, new ProbedPoint(0, 0, -9));
    assertThat(form(five).shape()).isEqualTo(Shape.CONCAVE);
    List<ProbedPoint> twist = new ArrayList<>(grid(2, 12, (x, y) -> 0.05 * x * y));
    twist.add(new ProbedPoint(0, 0, 0));
    assertThat(form(twist).shape()).isEqualTo(Shape.SADDLE);
  }

  private static Form form(List<ProbedPoint> points) {
    return Form.of(points, Flatness.of(points));
  }

  @Test
  void aThousandPlacesOfWholeMicrometresEnd() {
    SplittableRandom random = new SplittableRandom(3);
    for (int k = 0; k < 20; k++) {
      List<ProbedPoint> points = grid(32, 15, (x, y) -> random.nextInt(4));
      assertThat(Flatness.of(points).zoneMicrometres()).isBetween(2.5, 3.0);
    }
  }

  /** Common practice: the tall places show first. */
  @Test
  void threeTallPlacesAreTheHighSpots() {
    List<ProbedPoint> points =
        grid(
            13,
            18,
            (x, y) ->
                12 * Math.exp(-((x - 9) * (x - 9) + (y - 9) * (y - 9)) / 12)
                    + 11 * Math.exp(-((x + 9) * (x + 9) + (y - 6) * (y - 6)) / 12)
                    + 10 * Math.exp(-(x * x + (y + 12) * (y + 12)) / 12));
    FaceReport report = FaceReport.of(points, Optional.empty());
    assertThat(report.highSpots()).hasSize(3);
    assertThat(report.highSpots().get(0).xMillimetres()).isEqualTo(9);
    assertThat(report.highSpots().get(2).yMillimetres()).isCloseTo(-12, within(1e-9));
    assertThat(report.zone()).isEmpty();
  }

  @Test
  void aCrumbUnderTheTipIsPointedAtAndStaysIn() {
    SplittableRandom random = new SplittableRandom(8);
    List<ProbedPoint> points =
        new ArrayList<>(
            grid(7, 15, (x, y) -> -0.05 * (x * x + y * y) + 0.4 * random.nextGaussian()));
    assertThat(FaceReport.of(points, Optional.empty()).outliers()).isEmpty();
    ProbedPoint crumb = points.get(17);
    points.set(
        17, new ProbedPoint(crumb.xMillimetres(), crumb.yMillimetres(), crumb.micrometres() + 25));
    FaceReport report = FaceReport.of(points, Optional.empty());
    assertThat(report.outliers()).hasSize(1);
    assertThat(report.outliers().get(0).point()).isEqualTo(points.get(17));
    assertThat(report.points()).hasSize(49);
    assertThat(FaceFinding.doubts(report, Notation.METRIC).get(0)).contains("above its neighbours");
  }

  /** A true face of known flatness, probed with scatter again and again: the interval holds it. */
  @Test
  void theIntervalHoldsTheTrueFlatness() {
    double truth = Flatness.of(grid(5, 15, (x, y) -> -0.04 * (x * x + y * y))).zoneMicrometres();
    SplittableRandom random = new SplittableRandom(99);
    int held = 0;
    for (int k = 0; k < 60; k++) {
      List<ProbedPoint> points = new ArrayList<>();
      for (int repeat = 0; repeat < 2; repeat++) {
        points.addAll(grid(5, 15, (x, y) -> -0.04 * (x * x + y * y) + 1.0 * random.nextGaussian()));
      }
      FaceReport report = FaceReport.of(points, Optional.empty());
      assertThat(report.points()).hasSize(25);
      assertThat(report.fromRepeats()).isTrue();
      held += report.zone().orElseThrow().contains(truth) ? 1 : 0;
    }
    assertThat(held).isBetween(52, 60);
  }

  @Test
  void refusesWhatCannotBeAPlane() {
    refused("probe.few", "0,0,1", "1,0,2", "0,1,3");
    refused("probe.line", "0,0,1", "1,1,2", "2,2,3", "3,3,5", "4,4,0");
    refused("probe.twice", "0,0,0", "0,0,50", "9,0,3", "0,9,4", "9,9,5");
    refused("probe.unit", "0,0,0.011", "9,0,0.002", "0,9,0.008", "9,9,0.005");
    refused("probe.unit", "0,0,0", "9,0,20000", "0,9,4", "9,9,5");
    refused("probe.unit", "0,0,0", "9000,0,2", "0,9000,4", "9000,9000,5");
  }

  private static void refused(String key, String... lines) {
    assertThatThrownBy(
            () ->
                FaceReport.of(
                    ProbeTable.read("face.csv", "x_mm,y_mm,z_um\n" + String.join("\n", lines)),
                    Optional.empty()))
        .isInstanceOfSatisfying(Problem.class, p -> assertThat(p.key()).isEqualTo(key));
  }

  @Test
  void readsTablesAsTheyCome() {
    List<ProbedPoint> plain = ProbeTable.read("a", "x_mm,y_mm,z_um\n1,2,3.5\n-4,5,6\n");
    assertThat(plain).containsExactly(new ProbedPoint(1, 2, 3.5), new ProbedPoint(-4, 5, 6));
    assertThat(ProbeTable.read("a", "\uFEFFz [µm];note;y [mm];x [mm]\r\n3,5;a;2;1\r\n6;b;5;−4\r\n"))
        .isEqualTo(plain);
    assertThat(ProbeTable.read("a", "x_in\ty_in\tz_thou\n1\t2\t1\n").get(0).micrometres())
        .isCloseTo(25.4, within(1e-9));
    assertThat(ProbeTable.read("a", ProbeTable.write(plain))).isEqualTo(plain);
    assertThat(ProbeTable.read("a", "x_mm,y_mm,z_um\n1,2,\"3,5\"\n-4,5,6\n")).isEqualTo(plain);
    String table = "x_mm,y_mm,z_um\n1,2,3.5\n-4,5,6\n";
    for (Charset charset : List.of(StandardCharsets.UTF_8, StandardCharsets.UTF_16)) {
      assertThat(ProbeTable.read("a", ProbeTable.text(table.getBytes(charset)))).isEqualTo(plain);
    }
    assertThatThrownBy(() -> ProbeTable.read("a.csv", "x_mm,y_mm,z_um\n\"0,0,1\n" + "9".repeat(99)))
        .hasMessageContaining("…")
        .hasMessageNotContaining("\n");
    assertThat(ProbeTable.looksLike("\uFEFFx_mm;y_mm;z_um\n1;2;3")).isTrue();
    assertThat(ProbeTable.looksLike("z [µm];y [mm];x [mm]\n1;2;3")).isTrue();
    assertThat(ProbeTable.looksLike("time_s,core 0 [C],zone [C]\n0,1,2")).isFalse();
    assertThatThrownBy(() -> ProbeTable.read("a.csv", "x_mm,y_mm,z_um\n1,2,3\n4,oops,6\n"))
        .hasMessageContaining("a.csv, line 3, column 2")
        .hasMessageContaining("oops");
    assertThatThrownBy(() -> ProbeTable.read("a.csv", "x_mm,y_mm\n1,2\n"))
        .hasMessageContaining("z_um");
    assertThatThrownBy(() -> ProbeTable.read("a.csv", " \n")).hasMessageContaining("empty");
    assertThatThrownBy(() -> ProbeTable.read("a.csv", "x_mm,y_mm,z_um\n1,2\n"))
        .hasMessageContaining("line 2");
  }
}
