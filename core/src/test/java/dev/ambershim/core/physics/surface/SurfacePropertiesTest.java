package dev.ambershim.core.physics.surface;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;

/** What must hold of any probed face, whatever its points. */
class SurfacePropertiesTest {
  private static List<ProbedPoint> face(long seed, int count) {
    SplittableRandom random = new SplittableRandom(seed);
    List<ProbedPoint> points = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      double x = 30 * random.nextDouble() - 15;
      double y = 30 * random.nextDouble() - 15;
      points.add(new ProbedPoint(x, y, 0.02 * x * x - 0.03 * x * y + 3 * random.nextGaussian()));
    }
    return points;
  }

  private static List<ProbedPoint> tilted(List<ProbedPoint> points, double a, double b, double c) {
    return points.stream()
        .map(
            p ->
                new ProbedPoint(
                    p.xMillimetres(),
                    p.yMillimetres(),
                    p.micrometres() + a + b * p.xMillimetres() + c * p.yMillimetres()))
        .toList();
  }

  @Property(tries = 60)
  void deviationsAreAsTheStandardDefinesThem(
      @ForAll @LongRange(min = 1, max = 1_000_000) long seed,
      @ForAll @IntRange(min = 5, max = 60) int count) {
    Flatness flat = Flatness.of(face(seed, count));
    assertThat(flat.flttMicrometres())
        .isCloseTo(flat.fltpMicrometres() + flat.fltvMicrometres(), within(1e-9));
    assertThat(flat.fltqMicrometres())
        .isLessThanOrEqualTo(Math.max(flat.fltpMicrometres(), flat.fltvMicrometres()));
    assertThat(flat.zoneMicrometres()).isLessThanOrEqualTo(flat.flttMicrometres() + 1e-9);
    // Deviations from a least-squares plane sum to nought.
    assertThat(flat.deviations().stream().mapToDouble(d -> d).sum()).isCloseTo(0, within(1e-6));
  }

  @Property(tries = 40)
  void howThePartLayUnderTheGaugeDoesNotMatter(
      @ForAll @LongRange(min = 1, max = 1_000_000) long seed,
      @ForAll @DoubleRange(min = -2, max = 2) double slope) {
    List<ProbedPoint> points = face(seed, 25);
    Flatness flat = Flatness.of(points);
    Flatness other = Flatness.of(tilted(points, 40, slope, -0.5 * slope));
    assertThat(other.zoneMicrometres())
        .isCloseTo(flat.zoneMicrometres(), within(1e-4 * flat.zoneMicrometres()));
    assertThat(other.plane().xSlope()).isCloseTo(flat.plane().xSlope() + slope, within(1e-9));
    Form form = Form.of(points, flat);
    Form turned = Form.of(tilted(points, 40, slope, -0.5 * slope), other);
    assertThat(turned.bowMicrometres()).isCloseTo(form.bowMicrometres(), within(1e-3));
    assertThat(turned.twistMicrometres()).isCloseTo(form.twistMicrometres(), within(1e-3));
  }

  @Property(tries = 40)
  void flatnessGrowsWithItsHeightsAndDoesNotHangOnTheirOrder(
      @ForAll @LongRange(min = 1, max = 1_000_000) long seed,
      @ForAll @DoubleRange(min = 0.2, max = 20) double factor) {
    List<ProbedPoint> points = face(seed, 20);
    double zone = Flatness.of(points).zoneMicrometres();
    List<ProbedPoint> higher =
        points.stream()
            .map(p -> new ProbedPoint(p.xMillimetres(), p.yMillimetres(), factor * p.micrometres()))
            .toList();
    assertThat(Flatness.of(higher).zoneMicrometres())
        .isCloseTo(factor * zone, within(1e-4 * factor * zone));
    List<ProbedPoint> shuffled = new ArrayList<>(points);
    Collections.shuffle(shuffled, new Random(seed));
    assertThat(Flatness.of(shuffled).zoneMicrometres()).isCloseTo(zone, within(1e-9 * zone));
    // A face that is turned over has its peaks where its valleys were.
    List<ProbedPoint> over =
        points.stream()
            .map(p -> new ProbedPoint(p.xMillimetres(), p.yMillimetres(), -p.micrometres()))
            .toList();
    assertThat(Flatness.of(over).fltpMicrometres())
        .isCloseTo(Flatness.of(points).fltvMicrometres(), within(1e-9));
  }

  @Property(tries = 40)
  void fewerPlacesNeverLookLessFlat(@ForAll @LongRange(min = 1, max = 1_000_000) long seed) {
    List<ProbedPoint> points = face(seed, 30);
    double all = Flatness.of(points).zoneMicrometres();
    for (int left = 6; left < 30; left += 6) {
      assertThat(Flatness.of(points.subList(0, left)).zoneMicrometres())
          .isLessThanOrEqualTo(all * (1 + 1e-5));
    }
  }

  @Property(tries = 30)
  void theReliefGoesThroughItsPlacesAndStaysBetweenThem(
      @ForAll @LongRange(min = 1, max = 1_000_000) long seed) {
    FaceReport report = FaceReport.of(face(seed, 40), Optional.empty());
    ReliefMap map = ReliefMap.of(report);
    double low = -report.flatness().fltvMicrometres() - 1e-9;
    double high = report.flatness().fltpMicrometres() + 1e-9;
    for (int i = 0; i < report.points().size(); i++) {
      ProbedPoint p = report.points().get(i);
      assertThat(map.at(p.xMillimetres(), p.yMillimetres()))
          .isCloseTo(report.flatness().deviations().get(i), within(1e-6));
    }
    for (double[] row : map.grid(new double[] {-20, 20, -20, 20}, 9, 9)) {
      for (double h : row) {
        assertThat(h).isBetween(low, high);
      }
    }
    assertThat(map.scaled(0.5).at(3, 4)).isCloseTo(map.at(3, 4) / 2, within(1e-12));
  }

  /** Eight nearest by sorting all distances, as a check of the sweep along x. */
  @Property(tries = 30)
  void neighboursAreTheNearest(
      @ForAll @LongRange(min = 1, max = 1_000_000) long seed,
      @ForAll @IntRange(min = 4, max = 70) int count) {
    List<ProbedPoint> points = face(seed, count);
    Neighbours neighbours = new Neighbours(points);
    for (int i = 0; i < count; i++) {
      ProbedPoint p = points.get(i);
      List<Double> away = new ArrayList<>();
      for (int j = 0; j < count; j++) {
        if (j != i) {
          away.add(distance(p, points.get(j)));
        }
      }
      Collections.sort(away);
      int[] near = neighbours.of(i);
      assertThat(near).hasSize(Math.min(8, count - 1)).doesNotContain(i).doesNotHaveDuplicates();
      for (int k = 0; k < near.length; k++) {
        assertThat(distance(p, points.get(near[k]))).isCloseTo(away.get(k), within(1e-12));
      }
    }
  }

  private static double distance(ProbedPoint a, ProbedPoint b) {
    return Math.hypot(a.xMillimetres() - b.xMillimetres(), a.yMillimetres() - b.yMillimetres());
  }

  /** JCGM 100:2008, 4.2.2: mean and pooled deviation of places probed again, by hand. */
  @Test
  void repeatsArePooled() {
    Repeats repeats =
        Repeats.of(
            List.of(
                new ProbedPoint(0, 0, 1),
                new ProbedPoint(5, 0, 10),
                new ProbedPoint(0, 0.001, 3),
                new ProbedPoint(5, 0, 13),
                new ProbedPoint(5, 0, 13),
                new ProbedPoint(0, 5, 4)));
    assertThat(repeats.points()).hasSize(3);
    assertThat(repeats.counts()).containsExactly(2, 3, 1);
    assertThat(repeats.points().get(1).micrometres()).isCloseTo(12, within(1e-12));
    // (1 + 1) + (4 + 1 + 1) over 1 + 2 degrees.
    assertThat(repeats.scatterMicrometres()).isCloseTo(Math.sqrt(8.0 / 3), within(1e-12));
    assertThat(repeats.degrees()).isEqualTo(3);
    assertThat(Repeats.of(List.of(new ProbedPoint(0, 0, 1))).scatterMicrometres()).isNaN();
  }

  /** A quadratic with all its terms comes back, wherever the origin lies. */
  @Property(tries = 40)
  void aQuadraticIsFoundAgain(
      @ForAll @DoubleRange(min = -0.2, max = 0.2) double d,
      @ForAll @DoubleRange(min = -0.2, max = 0.2) double e,
      @ForAll @DoubleRange(min = -0.2, max = 0.2) double f,
      @ForAll @DoubleRange(min = -40, max = 40) double off) {
    double[] x = new double[30];
    double[] y = new double[30];
    double[] z = new double[30];
    SplittableRandom random = new SplittableRandom(4);
    for (int i = 0; i < 30; i++) {
      x[i] = off + 20 * random.nextDouble();
      y[i] = 20 * random.nextDouble() - off;
      z[i] = 3 - 0.4 * x[i] + 0.7 * y[i] + d * x[i] * x[i] + e * x[i] * y[i] + f * y[i] * y[i];
    }
    double[] k = Polynomial.fit(x, y, z, Polynomial.QUADRATIC);
    assertThat(k[3]).isCloseTo(d, within(1e-9));
    assertThat(k[4]).isCloseTo(e, within(1e-9));
    assertThat(k[5]).isCloseTo(f, within(1e-9));
    for (int i = 0; i < 30; i++) {
      assertThat(Polynomial.at(k, x[i], y[i])).isCloseTo(z[i], within(1e-7));
    }
  }
}
