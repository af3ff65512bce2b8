package dev.ambershim.core.physics.surface;

import dev.ambershim.core.physics.conduction.Patch;
import java.util.Arrays;

/**
 * What must come off a face to reach a level: only what stands above the level is in contact and
 * goes. Levels are µm over the least-squares plane; as the work is turned, the face ends parallel
 * to it.
 */
final class Removal {
  private static final int PLACES = 41;

  private final double[] heights;
  private final double[] xs;
  private final double[] ys;
  private final Patch face;
  private final double cell;
  private final double high;
  private final double low;

  /** The face over its whole outline, mm. */
  Removal(ReliefMap map, Patch face) {
    this.face = face;
    double[] box = {
      face.leftMillimetres(), face.rightMillimetres(), face.lowMillimetres(), face.highMillimetres()
    };
    heights = new double[PLACES * PLACES];
    xs = new double[PLACES];
    ys = new double[PLACES];
    // Middles of equal cells, so that each stands for the same area.
    Arrays.setAll(xs, i -> box[0] + (box[1] - box[0]) * (i + 0.5) / PLACES);
    Arrays.setAll(ys, j -> box[2] + (box[3] - box[2]) * (j + 0.5) / PLACES);
    for (int k = 0; k < heights.length; k++) {
      heights[k] = map.at(xs[k % PLACES], ys[k / PLACES]);
    }
    cell = (box[1] - box[0]) * (box[3] - box[2]) / heights.length;
    // The ends are those that were probed: a cell's middle never lies right on an edge.
    low = map.ends()[0];
    high = map.ends()[1];
  }

  double area() {
    return cell * heights.length;
  }

  double high() {
    return high;
  }

  /** The level that leaves the deepest place this far below it, µm. */
  double leaving(double flatness) {
    return Math.min(high, low + flatness);
  }

  /** What stands above a level, mm³. */
  double volumeAbove(double level) {
    return Arrays.stream(heights).map(h -> Math.max(0, h - level)).sum() * cell / 1000;
  }

  /** How much of that is plating, mm³. */
  double platingAbove(double level, double plating) {
    return Arrays.stream(heights).map(h -> Math.min(plating, Math.max(0, h - level))).sum()
        * cell
        / 1000;
  }

  /** Share of the face that a level touches, 0 to 1. */
  double contact(double level) {
    return (double) Arrays.stream(heights).filter(h -> h >= level).count() / heights.length;
  }

  /** Share of the face that is bare of plating at a level. */
  double bare(double level, double plating) {
    return (double) Arrays.stream(heights).filter(h -> h - level > plating).count()
        / heights.length;
  }

  /** Where the plating goes first, in words. */
  String highestPlace() {
    int most = 0;
    for (int k = 0; k < heights.length; k++) {
      if (heights[k] > heights[most]) {
        most = k;
      }
    }
    double u = 2 * (xs[most % PLACES] - face.xMillimetres()) / face.widthMillimetres();
    double v = 2 * (ys[most / PLACES] - face.yMillimetres()) / face.depthMillimetres();
    boolean farX = Math.abs(u) > 0.6;
    boolean farY = Math.abs(v) > 0.6;
    return farX && farY
        ? "at a corner"
        : farX || farY
            ? "at the rim"
            : Math.hypot(u, v) < 0.45 ? "in the middle" : "off the middle";
  }
}
