package dev.ambershim.core.physics.surface;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import java.util.Arrays;

/**
 * Two probed faces laid on each other: what they leave between them. The upper face is pressed at
 * the middle and beds down on the highest places of both together; both are taken as stiff.
 *
 * @param xMillimetres places, rising
 * @param yMillimetres places, rising
 * @param gaps between the faces, µm, rows by y; nought where they touch
 */
public record MatingPair(double[] xMillimetres, double[] yMillimetres, double[][] gaps) {
  private static final int PLACES = 21;

  /** Less common ground than this share of the wanted rectangle says nothing of it. */
  private static final double LEAST_OVERLAP = 0.6;

  /**
   * Lays two faces on each other.
   *
   * @param lower the lower face as seen from above
   * @param upper the upper face, turned over, so that both are seen from above
   * @param within left, right, low and high edge of where they meet, mm
   * @throws Problem {@code surface.overlap} if the probed places do not cover it
   */
  public static MatingPair of(ReliefMap lower, ReliefMap upper, double[] within) {
    double[] box = within.clone();
    for (ReliefMap map : new ReliefMap[] {lower, upper}) {
      double[] b = map.box();
      box[0] = Math.max(box[0], b[0]);
      box[1] = Math.min(box[1], b[1]);
      box[2] = Math.max(box[2], b[2]);
      box[3] = Math.min(box[3], b[3]);
    }
    double wanted = (within[1] - within[0]) * (within[3] - within[2]);
    double common = Math.max(0, box[1] - box[0]) * Math.max(0, box[3] - box[2]);
    if (!(common >= LEAST_OVERLAP * wanted)) {
      throw new Problem(
          "surface.overlap",
          Place.field("probed places"),
          "The two faces were probed over only "
              + Math.round(100 * common / wanted)
              + " % of where they meet ("
              + Notation.METRIC.text(within[1] - within[0], Unit.MILLIMETRE)
              + " by "
              + Notation.METRIC.text(within[3] - within[2], Unit.MILLIMETRE)
              + ").",
          "Probe both to near their edges, with x and y from the middle of each face.");
    }
    double[][] sum = lower.grid(box, PLACES, PLACES);
    double[][] other = upper.grid(box, PLACES, PLACES);
    for (int j = 0; j < PLACES; j++) {
      for (int i = 0; i < PLACES; i++) {
        sum[j][i] += other[j][i];
      }
    }
    double[] xs = new double[PLACES];
    double[] ys = new double[PLACES];
    Arrays.setAll(xs, i -> ReliefMap.place(box[0], box[1], i, PLACES));
    Arrays.setAll(ys, j -> ReliefMap.place(box[2], box[3], j, PLACES));
    return new MatingPair(xs, ys, gaps(xs, ys, sum));
  }

  /** A face of this height everywhere against a flat one. */
  static double[][] gaps(double[] xs, double[] ys, double[][] heights) {
    ReferencePlane plane = Bedding.on(xs, ys, heights);
    double[][] gaps = new double[heights.length][heights[0].length];
    for (int j = 0; j < gaps.length; j++) {
      for (int i = 0; i < gaps[j].length; i++) {
        gaps[j][i] = Math.max(0, plane.at(xs[i], ys[j]) - heights[j][i]);
      }
    }
    return gaps;
  }

  /** Mean gap, µm. */
  public double meanMicrometres() {
    return Arrays.stream(gaps).flatMapToDouble(Arrays::stream).average().orElse(0);
  }

  /** Widest gap, µm. */
  public double widestMicrometres() {
    return Arrays.stream(gaps).flatMapToDouble(Arrays::stream).max().orElse(0);
  }

  /** The joint between them with an even film besides, as a map for conduction. */
  public ThicknessMap joint(double filmMicrometres) {
    double[][] thick = new double[gaps.length][];
    for (int j = 0; j < gaps.length; j++) {
      thick[j] = Arrays.stream(gaps[j]).map(g -> g + filmMicrometres).toArray();
    }
    return new ThicknessMap.Grid(xMillimetres, yMillimetres, thick);
  }
}
