package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.Planes;
import dev.ambershim.core.physics.conduction.StackCase;
import java.util.ArrayList;
import java.util.List;

/**
 * The cells of a map of the stack's underside: even ones between the edges of the lowest layers and
 * of the heats.
 *
 * @param x planes along x, m
 * @param y planes along y, m
 * @param parts the boxes on it
 */
record UndersideMap(double[] x, double[] y, List<Part> parts) {
  /** About how many cells lie between the outer edges. */
  private static final int CELLS = 56;

  /**
   * A box on the map.
   *
   * @param box its index
   * @param left its first column
   * @param low its first row
   * @param places its cells
   */
  record Part(int box, int left, int low, Spot.Places places) {}

  static UndersideMap of(StackCase stack, Boxes boxes) {
    double[] x = planes(stack, boxes, true);
    double[] y = planes(stack, boxes, false);
    List<Part> parts = new ArrayList<>();
    List<Patch> heats = stack.heat().stream().map(HeatSource::patch).toList();
    for (int b = 0; b < boxes.boxes.size(); b++) {
      Box box = boxes.boxes.get(b);
      if (box.layer() == boxes.lowest) {
        int left = Planes.nearest(x, boxes.x[box.left()]);
        int low = Planes.nearest(y, boxes.y[box.low()]);
        List<NearField.Span> columns =
            NearField.Span.cells(x, left, Planes.nearest(x, boxes.x[box.right()]));
        List<NearField.Span> rows =
            NearField.Span.cells(y, low, Planes.nearest(y, boxes.y[box.high()]));
        parts.add(new Part(b, left, low, boxes.places(b, columns, rows, heats)));
      }
    }
    return new UndersideMap(x, y, parts);
  }

  private static double[] planes(StackCase stack, Boxes boxes, boolean alongX) {
    List<Patch> all = new ArrayList<>();
    for (int l = 0; l <= boxes.lowest; l++) {
      all.addAll(stack.layers().get(l).patches());
    }
    stack.heat().forEach(h -> all.add(h.patch()));
    double[] marks = Planes.distinct(Footprint.edges(all, alongX));
    double wide = (marks[marks.length - 1] - marks[0]) / CELLS;
    List<Double> planes = new ArrayList<>(List.of(marks[0]));
    for (int m = 1; m < marks.length; m++) {
      int count = (int) Math.ceil((marks[m] - marks[m - 1]) / wide);
      for (int i = 1; i < count; i++) {
        planes.add(marks[m - 1] + (marks[m] - marks[m - 1]) * i / count);
      }
      planes.add(marks[m]);
    }
    return planes.stream().mapToDouble(Double::doubleValue).toArray();
  }
}
