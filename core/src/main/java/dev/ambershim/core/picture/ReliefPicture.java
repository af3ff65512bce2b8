package dev.ambershim.core.picture;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.HighSpot;
import dev.ambershim.core.physics.surface.MatingPair;
import dev.ambershim.core.physics.surface.Outlier;
import dev.ambershim.core.physics.surface.ProbedPoint;
import dev.ambershim.core.physics.surface.ReliefMap;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture.Pen;
import java.util.Optional;

/**
 * A face's heights as a map with its scale in figures, the probed places, high spots numbered,
 * doubtful ones crossed; beneath the map a section left to right through the middle, beside it one
 * front to back.
 */
public final class ReliefPicture {
  private static final double TOP = 20;
  private static final double LEGEND = 40;
  private static final double SECTION = 64;
  private static final int STEPS = 40;
  private static final int CELLS = 60;

  private ReliefPicture() {}

  /** Heights at places, mm and µm. */
  private interface Heights {
    double at(double x, double y);
  }

  /**
   * Draws a face.
   *
   * @param map the face's heights
   * @param name above the picture
   * @param die an outline to show on it, if any
   * @param span the range of the scale, µm, so that pictures can be compared; the face's own if
   *     empty
   */
  public static Picture of(
      FaceReport report,
      ReliefMap map,
      String name,
      Optional<Patch> die,
      Optional<Double> span,
      Notation notation,
      double width,
      double height) {
    double low = -report.flatness().fltvMicrometres();
    double high = report.flatness().fltpMicrometres();
    double range = Math.max(span.orElse(0.0), Math.max(high - low, 1));
    double middle = (low + high) / 2;
    Pen pen = new Pen();
    double[] box = map.box();
    PlanScale at =
        draw(
            pen,
            map::at,
            box,
            new double[] {middle - range / 2, middle + range / 2},
            name,
            notation,
            width,
            height);
    die.ifPresent(d -> outline(pen, at, d));
    for (ProbedPoint p : report.points()) {
      pen.box(at.x(p.xMillimetres()) - 1, at.y(p.yMillimetres()) - 1, 2, 2, Tone.INK, "");
    }
    int number = 1;
    for (HighSpot s : report.highSpots()) {
      if (number > 3) {
        break;
      }
      // A sign at the edge is drawn inside it, where the map's colours are its ground.
      double x = Math.max(at.x(box[0]) + 8, Math.min(at.x(box[1]) - 8, at.x(s.xMillimetres())));
      double y = Math.max(at.y(box[3]) + 8, Math.min(at.y(box[2]) - 8, at.y(s.yMillimetres())));
      pen.trace(
          new double[] {x - 6, x + 6, x, x - 6},
          new double[] {y + 5, y + 5, y - 6, y + 5},
          Tone.ON_PALE,
          2);
      pen.strong(
          x + (x > at.x(0) ? -9 : 9),
          y + 4,
          Integer.toString(number++),
          Tone.ON_PALE,
          12,
          x > at.x(0) ? Anchor.END : Anchor.START);
    }
    for (Outlier o : report.outliers()) {
      double x = at.x(o.point().xMillimetres());
      double y = at.y(o.point().yMillimetres());
      pen.line(x - 6, y - 6, x + 6, y + 6, Tone.ALARM, 2.5);
      pen.line(x - 6, y + 6, x + 6, y - 6, Tone.ALARM, 2.5);
    }
    return pen.picture(
        width,
        height,
        name
            + ": from "
            + notation.number(low, Unit.MICROMETRE)
            + " to "
            + notation.text(high, Unit.MICROMETRE)
            + " about its plane, "
            + report.form().shape().words()
            + ".");
  }

  /** Draws what two faces leave between them. */
  public static Picture gap(
      MatingPair pair,
      String name,
      Optional<Patch> die,
      Notation notation,
      double width,
      double height) {
    double[] xs = pair.xMillimetres();
    double[] ys = pair.yMillimetres();
    double[] box = {xs[0], xs[xs.length - 1], ys[0], ys[ys.length - 1]};
    var grid = (ThicknessMap.Grid) pair.joint(0);
    Pen pen = new Pen();
    PlanScale at =
        draw(
            pen,
            (x, y) -> grid.micrometres(null, x, y),
            box,
            new double[] {0, Math.max(1, pair.widestMicrometres())},
            name,
            notation,
            width,
            height);
    die.ifPresent(d -> outline(pen, at, d));
    return pen.picture(
        width,
        height,
        name
            + ": "
            + notation.text(pair.meanMicrometres(), Unit.MICROMETRE)
            + " in the mean, "
            + notation.text(pair.widestMicrometres(), Unit.MICROMETRE)
            + " at the widest.");
  }

  private static void outline(Pen pen, PlanScale at, Patch d) {
    double[] xs = {
      at.x(d.leftMillimetres()),
      at.x(d.rightMillimetres()),
      at.x(d.rightMillimetres()),
      at.x(d.leftMillimetres()),
      at.x(d.leftMillimetres())
    };
    double[] ys = {
      at.y(d.lowMillimetres()),
      at.y(d.lowMillimetres()),
      at.y(d.highMillimetres()),
      at.y(d.highMillimetres()),
      at.y(d.lowMillimetres())
    };
    pen.trace(xs, ys, Tone.ON_DEEP, 3);
    pen.trace(xs, ys, Tone.ON_PALE, 1);
  }

  /** Map, sections and scale; returns where places of the face lie. */
  private static PlanScale draw(
      Pen pen,
      Heights heights,
      double[] box,
      double[] range,
      String name,
      Notation notation,
      double width,
      double height) {
    double side = Math.min(width - SECTION - 16, height - TOP - LEGEND - SECTION - 8);
    double halfX = (box[1] - box[0]) / 2;
    double halfY = (box[3] - box[2]) / 2;
    double half = Math.max(halfX, halfY);
    double mx = (box[0] + box[1]) / 2;
    double my = (box[2] + box[3]) / 2;
    double left = Math.max(0, (width - side - SECTION - 8) / 2);
    // The scale counts from the face's own origin, which need not be its middle.
    PlanScale shifted =
        new PlanScale(
            half, left - mx * side / (2 * half), TOP + my * side / (2 * half), side, side);
    int columns = Math.max(4, (int) Math.round(CELLS * halfX / half));
    int rows = Math.max(4, (int) Math.round(CELLS * halfY / half));
    int[] colours = new int[columns * rows];
    for (int j = 0; j < rows; j++) {
      for (int i = 0; i < columns; i++) {
        double h =
            heights.at(
                box[0] + (i + 0.5) / columns * (box[1] - box[0]),
                box[3] - (j + 0.5) / rows * (box[3] - box[2]));
        colours[j * columns + i] = Cividis.at((h - range[0]) / (range[1] - range[0]));
      }
    }
    double x = shifted.x(box[0]);
    double y = shifted.y(box[3]);
    double w = shifted.length(box[1] - box[0]);
    double d = shifted.length(box[3] - box[2]);
    pen.raster(x, y, w, d, columns, colours);
    pen.words(width / 2, 13, name, Tone.INK, 12, Anchor.MIDDLE);
    section(pen, heights, box, range, true, x, y + d + 6, w);
    section(pen, heights, box, range, false, x + w + 6, y, d);
    legend(pen, range, notation, width, height);
    return shifted;
  }

  private static void section(
      Pen pen,
      Heights heights,
      double[] box,
      double[] range,
      boolean across,
      double x,
      double y,
      double length) {
    int n = 41;
    double depth = SECTION - 14;
    double[] xs = new double[n];
    double[] ys = new double[n];
    for (int k = 0; k < n; k++) {
      double share = (double) k / (n - 1);
      double h =
          across
              ? heights.at(box[0] + share * (box[1] - box[0]), (box[2] + box[3]) / 2)
              : heights.at((box[0] + box[1]) / 2, box[3] - share * (box[3] - box[2]));
      double up = (h - range[0]) / (range[1] - range[0]);
      xs[k] = across ? x + share * length : x + up * depth;
      ys[k] = across ? y + depth * (1 - up) : y + share * length;
    }
    if (across) {
      pen.box(x, y, length, depth, Tone.GAP, "");
    } else {
      pen.box(x, y, depth, length, Tone.GAP, "");
    }
    pen.trace(xs, ys, Tone.AMBER, 2);
  }

  private static void legend(
      Pen pen, double[] range, Notation notation, double width, double height) {
    int[] colours = new int[STEPS];
    for (int i = 0; i < STEPS; i++) {
      colours[i] = Cividis.at((i + 0.5) / STEPS);
    }
    double y = height - 26;
    double left = 24;
    double reach = width - 2 * left;
    pen.raster(left, y, reach, 8, STEPS, colours);
    for (int i = 0; i <= 2; i++) {
      double share = i / 2.0;
      pen.words(
          left + share * reach,
          y + 21,
          notation.number(range[0] + share * (range[1] - range[0]), Unit.MICROMETRE)
              + (i == 2 ? " " + notation.symbol(Unit.MICROMETRE) : ""),
          Tone.QUIET,
          11,
          i == 2 ? Anchor.END : i == 0 ? Anchor.START : Anchor.MIDDLE);
    }
  }

  /** What the signs on it mean. */
  public static final String SIGNS =
      "Dots: probed places. Triangles: high spots. Crosses: doubtful places. Outline: the die.";
}
