package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.picture.Cividis;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Tone;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The joints from above, one beside the other, thick parts light. What the readings do not see
 * stays blank, with a dot; cores are outlined.
 */
final class JointMapPicture {
  /** Of the doubt, what must be gone before a place is drawn as known. */
  static final double KNOWN = 0.5;

  private static final double TOP = 24;
  private static final double FOOT = 50;
  private static final double GAP = 24;
  private static final double HAIR = 0.7;

  /** Pixels of the raster, each way. */
  private static final int FINE = 60;

  /** A scale is never narrower than this share of a joint's usual thickness. */
  private static final double LEAST_SPAN = 0.3;

  private final Pen pen = new Pen();
  private final Notation notation;
  private final List<HeatSource> cores;
  private final StringBuilder said = new StringBuilder();

  private JointMapPicture(Notation notation, List<HeatSource> cores) {
    this.notation = notation;
    this.cores = cores;
  }

  /** The same joints on both sides of the work, each side with its own scales. */
  static Picture of(
      List<JointMap> before,
      List<JointMap> after,
      List<HeatSource> cores,
      Notation notation,
      double width,
      double height) {
    List<JointMap> pairs = new ArrayList<>();
    before.forEach(m -> pairs.add(m.called(m.joint() + " before")));
    after.forEach(m -> pairs.add(m.called(m.joint() + " after")));
    return of(pairs, cores, notation, width, height);
  }

  static Picture of(
      List<JointMap> maps, List<HeatSource> cores, Notation notation, double width, double height) {
    JointMapPicture picture = new JointMapPicture(notation, cores);
    double wide = (width - GAP * (maps.size() - 1)) / maps.size();
    for (int i = 0; i < maps.size(); i++) {
      picture.map(maps.get(i), i * (wide + GAP), wide, height);
    }
    return picture.pen.picture(width, height, picture.said.toString().strip());
  }

  private void map(JointMap map, double left, double wide, double height) {
    double[] xs = map.xMillimetres();
    double[] ys = map.yMillimetres();
    double across = xs[xs.length - 1] - xs[0];
    double deep = ys[ys.length - 1] - ys[0];
    double scale = Math.min(wide / across, (height - TOP - FOOT) / deep);
    double x0 = left + (wide - across * scale) / 2;
    double y0 = TOP + (height - TOP - FOOT - deep * scale) / 2;
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    double known = 0;
    for (int j = 0; j < ys.length; j++) {
      for (int i = 0; i < xs.length; i++) {
        if (map.seen()[j][i] >= KNOWN) {
          low = Math.min(low, map.micrometres()[j][i]);
          high = Math.max(high, map.micrometres()[j][i]);
          known++;
        }
      }
    }
    double share = known / xs.length / ys.length;
    pen.strong(left + wide / 2, 14, map.joint(), Tone.INK, 13, Anchor.MIDDLE);
    double usual = map.usualMicrometres();
    if (known == 0) {
      low = usual;
      high = usual;
    }
    double missing = Math.max(0, LEAST_SPAN * usual - (high - low)) / 2;
    low = Math.max(0, low - missing);
    high += missing;
    pen.box(x0, y0, across * scale, deep * scale, Tone.GAP, "");
    raster(map, x0, y0, across * scale, deep * scale, low, high);
    outlines(map, x0, y0, scale);
    String foot =
        known == 0
            ? "The readings do not see it place by place"
            : notation.number(low, Unit.MICROMETRE)
                + " to "
                + notation.text(high, Unit.MICROMETRE)
                + ", should be "
                + notation.number(usual, Unit.MICROMETRE);
    pen.words(left + wide / 2, y0 + deep * scale + 16, foot, Tone.QUIET, 11, Anchor.MIDDLE);
    if (known > 0) {
      String kelvin =
          notation.number(low * map.kelvinPerMicrometre(), Unit.KELVIN)
              + " to "
              + notation.text(high * map.kelvinPerMicrometre(), Unit.KELVIN)
              + " of the cores' rise at full load";
      pen.words(left + wide / 2, y0 + deep * scale + 46, kelvin, Tone.QUIET, 11, Anchor.MIDDLE);
      foot += "; " + kelvin;
    }
    scale(x0, y0 + deep * scale + 22, across * scale);
    said.append(map.joint())
        .append(": ")
        .append(foot)
        .append("; seen over ")
        .append(Math.round(100 * share))
        .append(" % of it. ");
  }

  private void scale(double x, double y, double width) {
    int[] colours = new int[32];
    Arrays.setAll(colours, i -> Cividis.at(i / 31.0));
    pen.raster(x, y, width, 8, 32, colours);
  }

  /** Every place's colour, or a dot on blank where nothing is seen. */
  private void raster(
      JointMap map, double x0, double y0, double w, double h, double low, double high) {
    double cell = w / FINE;
    int rows = Math.max(1, (int) Math.round(h / cell));
    for (int r = 0; r < rows; r++) {
      int from = -1;
      for (int c = 0; c <= FINE; c++) {
        boolean seen = c < FINE && at(map.seen(), c, r, rows) >= KNOWN;
        if (seen && from < 0) {
          from = c;
        }
        if (!seen && from >= 0) {
          int[] run = new int[c - from];
          for (int i = 0; i < run.length; i++) {
            double t = at(map.micrometres(), from + i, r, rows);
            run[i] = Cividis.at((t - low) / Math.max(1e-9, high - low));
          }
          // A hair more than its height, lest the ground shows between the rows.
          pen.raster(
              x0 + from * cell,
              y0 + r * h / rows,
              run.length * cell,
              Math.min(h / rows + HAIR, h - r * h / rows),
              run.length,
              run);
          from = -1;
        }
        if (!seen && c < FINE && r % 5 == 2 && c % 5 == 2) {
          pen.box(x0 + c * cell, y0 + r * h / rows, 2, 2, Tone.QUIET, "");
        }
      }
    }
  }

  /** Between the nodes, from the back row down. */
  private static double at(double[][] nodes, int column, int row, int rows) {
    int n = nodes.length;
    double v = (1 - (row + 0.5) / rows) * (n - 1);
    double u = (column + 0.5) / FINE * (nodes[0].length - 1);
    int j = (int) Math.min(v, n - 2);
    int i = (int) Math.min(u, nodes[0].length - 2);
    double b = v - j;
    double a = u - i;
    return (1 - b) * ((1 - a) * nodes[j][i] + a * nodes[j][i + 1])
        + b * ((1 - a) * nodes[j + 1][i] + a * nodes[j + 1][i + 1]);
  }

  private void outlines(JointMap map, double x0, double y0, double scale) {
    double left = map.xMillimetres()[0];
    double back = map.yMillimetres()[map.yMillimetres().length - 1];
    for (HeatSource core : cores) {
      Patch p = core.patch();
      double x = x0 + (p.leftMillimetres() - left) * scale;
      double right = x0 + (p.rightMillimetres() - left) * scale;
      double y = y0 + (back - p.highMillimetres()) * scale;
      double low = y0 + (back - p.lowMillimetres()) * scale;
      pen.line(x, y, right, y, Tone.PANEL, 1);
      pen.line(x, low, right, low, Tone.PANEL, 1);
      pen.line(x, y, x, low, Tone.PANEL, 1);
      pen.line(right, y, right, low, Tone.PANEL, 1);
    }
  }
}
