package dev.ambershim.core.physics.modes;

import dev.ambershim.core.base.GaussLegendre;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.Planes;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.hipparchus.analysis.integration.gauss.GaussIntegrator;

/**
 * A heat's rectangle on the underside of its box.
 *
 * @param box that it heats
 * @param patch where
 * @param meanX mean of each of the box's modes over its width
 * @param meanY mean over its depth
 * @param whole the rectangle as one cell
 * @param nodes those of Gauss and Legendre, for means of what is not linear; null where all is
 */
record Spot(int box, Patch patch, double[] meanX, double[] meanY, Places whole, Places nodes) {
  private static final int ACROSS = 8;

  /** Into how many the gaps beside the highest place are cut together. */
  private static final int CLOSER = 6;

  private static final GaussIntegrator GAUSS = GaussLegendre.of(5, 0, 1);

  /**
   * Places on the underside of a box as its modes see them, and what each heat does there close by.
   *
   * @param columns the places along x
   * @param rows the places along y
   * @param x a row for each column of places, a column for each mode
   * @param y a row for each row of places
   * @param near by heat, column and row: K for a flux of 1 W/m² times the conductivity, m
   */
  record Places(
      List<NearField.Span> columns,
      List<NearField.Span> rows,
      double[][] x,
      double[][] y,
      double[][][] near) {
    /** Columns and rows on a box, with the heats that lie on it. */
    static Places of(
        Box box,
        int index,
        NearField field,
        List<NearField.Span> columns,
        List<NearField.Span> rows,
        List<Patch> heats,
        int[] boxOf) {
      double[][][] near = new double[heats.size()][][];
      for (int s = 0; s < near.length; s++) {
        near[s] =
            boxOf[s] == index
                ? field.of(heats.get(s), columns, rows)
                : new double[columns.size()][rows.size()];
      }
      return new Places(columns, rows, modes(box.x(), columns), modes(box.y(), rows), near);
    }

    /** The same places on the same box in other cells: what heats do close by stays. */
    Places on(Box box) {
      return new Places(columns, rows, modes(box.x(), columns), modes(box.y(), rows), near);
    }

    private static double[][] modes(Cosines axis, List<NearField.Span> spans) {
      double[][] all = new double[spans.size()][];
      Arrays.setAll(all, i -> axis.means(spans.get(i).low(), spans.get(i).high()));
      return all;
    }
  }

  /**
   * The heat of an index.
   *
   * @param falls whether the box's conductivity falls
   */
  static Spot of(
      int heat, List<Patch> heats, int[] boxOf, Box box, NearField field, boolean falls) {
    Patch patch = heats.get(heat);
    double left = Footprint.low(patch, true);
    double right = Footprint.high(patch, true);
    double low = Footprint.low(patch, false);
    double high = Footprint.high(patch, false);
    int index = boxOf[heat];
    return new Spot(
        index,
        patch,
        box.x().means(left, right),
        box.y().means(low, high),
        Places.of(
            box,
            index,
            field,
            List.of(new NearField.Span(left, right)),
            List.of(new NearField.Span(low, high)),
            heats,
            boxOf),
        falls
            ? Places.of(box, index, field, gauss(left, right), gauss(low, high), heats, boxOf)
            : null);
  }

  /** The same heat on the same box in other cells. */
  Spot on(Box other) {
    return new Spot(
        box,
        patch,
        other.x().means(Footprint.low(patch, true), Footprint.high(patch, true)),
        other.y().means(Footprint.low(patch, false), Footprint.high(patch, false)),
        whole.on(other),
        nodes == null ? null : nodes.on(other));
  }

  /**
   * Even places from edge to edge, and as many between the edges of other heats that cross it,
   * since what lies under two heats at once may be narrow and hot.
   */
  static List<NearField.Span> grid(Patch own, List<Patch> heats, boolean alongX) {
    double low = Footprint.low(own, alongX);
    double high = Footprint.high(own, alongX);
    double[] edges = new double[2 * heats.size() + 2];
    edges[0] = low;
    edges[1] = high;
    for (int h = 0; h < heats.size(); h++) {
      boolean crosses = common(own, heats.get(h)).isPresent();
      edges[2 * h + 2] = crosses ? Math.max(low, Footprint.low(heats.get(h), alongX)) : low;
      edges[2 * h + 3] = crosses ? Math.min(high, Footprint.high(heats.get(h), alongX)) : high;
    }
    double[] marks = Planes.distinct(edges);
    List<NearField.Span> all = new ArrayList<>(NearField.Span.places(low));
    for (int m = 1; m < marks.length; m++) {
      double share = (marks[m] - marks[m - 1]) / (high - low);
      int count = Math.max(marks.length > 2 ? 4 : ACROSS, (int) Math.ceil(share * ACROSS));
      for (int i = 1; i <= count; i++) {
        double at = marks[m - 1] + (marks[m] - marks[m - 1]) * i / count;
        all.add(new NearField.Span(at, at));
      }
    }
    return all;
  }

  /** Even places from the one before to the one after. */
  static List<NearField.Span> around(List<NearField.Span> places, int at) {
    double low = places.get(Math.max(0, at - 1)).low();
    double high = places.get(Math.min(places.size() - 1, at + 1)).low();
    List<NearField.Span> all = new ArrayList<>();
    for (int i = 0; i <= CLOSER; i++) {
      double place = low + (high - low) * i / CLOSER;
      all.add(new NearField.Span(place, place));
    }
    return all;
  }

  /** Where two rectangles overlap. */
  static Optional<Patch> common(Patch a, Patch b) {
    double left = Math.max(a.leftMillimetres(), b.leftMillimetres());
    double right = Math.min(a.rightMillimetres(), b.rightMillimetres());
    double low = Math.max(a.lowMillimetres(), b.lowMillimetres());
    double high = Math.min(a.highMillimetres(), b.highMillimetres());
    return right > left && high > low
        ? Optional.of(new Patch((left + right) / 2, (low + high) / 2, right - left, high - low))
        : Optional.empty();
  }

  private static List<NearField.Span> gauss(double low, double high) {
    List<NearField.Span> all = new ArrayList<>();
    for (int k = 0; k < GAUSS.getNumberOfPoints(); k++) {
      double at = low + (high - low) * GAUSS.getPoint(k);
      all.add(new NearField.Span(at, at));
    }
    return all;
  }

  /** The mean over the rectangle of what is known at the nodes. */
  static double mean(double[][] atNodes) {
    double sum = 0;
    for (int i = 0; i < atNodes.length; i++) {
      for (int j = 0; j < atNodes[i].length; j++) {
        sum += GAUSS.getWeight(i) * GAUSS.getWeight(j) * atNodes[i][j];
      }
    }
    return sum;
  }

  /** Area, m². */
  double area() {
    return patch.widthMillimetres() * patch.depthMillimetres() * 1e-6;
  }
}
