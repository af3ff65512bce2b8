package dev.ambershim.core.physics.surface;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Places that do not go with those around them. */
class OutlierTest {
  private static final int SIDE = 9;

  /** A face that rises steeply towards one edge, so that a mean of neighbours would mislead. */
  private static List<ProbedPoint> face(int crumb, double micrometres) {
    List<ProbedPoint> all = new ArrayList<>();
    for (int j = 0; j < SIDE; j++) {
      for (int i = 0; i < SIDE; i++) {
        double x = 3 * (i - 4);
        double y = 2.5 * (j - 4);
        double z =
            0.002 * x * x * x - 0.03 * x * y + 0.001 * y * y * y + 0.3 * ((7 * i + 5 * j) % 3);
        all.add(new ProbedPoint(x, y, z + (j * SIDE + i == crumb ? micrometres : 0)));
      }
    }
    return all;
  }

  private static List<Outlier> found(List<ProbedPoint> points) {
    return FaceReport.of(points, Optional.empty()).outliers();
  }

  /** In the middle, at an edge and in a corner it is told by about what was put on it. */
  @ParameterizedTest
  @CsvSource({"40, 15", "40, -15", "22, 15", "4, 15", "44, -15", "36, 15", "80, 20"})
  void aCrumbIsToldWithItsHeight(int place, double micrometres) {
    List<ProbedPoint> points = face(place, micrometres);
    List<Outlier> all = found(points);
    assertThat(all).hasSize(1);
    assertThat(all.get(0).point()).isEqualTo(points.get(place));
    assertThat(all.get(0).micrometres())
        .isCloseTo(micrometres, within(0.15 * Math.abs(micrometres)));
  }

  /** At an edge that falls away steeply only the slope of its neighbours tells what to await. */
  @ParameterizedTest
  @CsvSource({"8", "0", "44", "36", "76", "4", "80", "72", "35", "17"})
  void theSlopeOfTheNeighboursCounts(int place) {
    List<ProbedPoint> points = new ArrayList<>();
    for (ProbedPoint p : face(-1, 0)) {
      double x = p.xMillimetres();
      double y = p.yMillimetres();
      points.add(new ProbedPoint(x, y, 0.008 * x * x * x + 0.012 * y * y * y - 0.01 * x * x * y));
    }
    ProbedPoint there = points.get(place);
    double micrometres = 60;
    points.set(
        place,
        new ProbedPoint(
            there.xMillimetres(), there.yMillimetres(), there.micrometres() + micrometres));
    List<Outlier> all = found(points);
    assertThat(all).extracting(Outlier::point).contains(points.get(place));
    assertThat(all.get(0).point()).isEqualTo(points.get(place));
    assertThat(all.get(0).micrometres()).isCloseTo(micrometres, within(0.06 * micrometres));
  }

  @Test
  void theFaceItselfHasNone() {
    assertThat(found(face(-1, 0))).isEmpty();
    assertThat(found(face(40, 1.5))).isEmpty();
  }

  /** With few places nothing goes with others; with two crumbs both are found, the larger first. */
  @Test
  void theLargerOfTwoComesFirst() {
    List<ProbedPoint> points = face(20, 15);
    ProbedPoint other = points.get(60);
    points.set(
        60, new ProbedPoint(other.xMillimetres(), other.yMillimetres(), other.micrometres() - 25));
    assertThat(found(points))
        .extracting(Outlier::point)
        .containsExactly(points.get(60), points.get(20));
    assertThat(found(points.subList(16, 24))).isEmpty();
  }
}
