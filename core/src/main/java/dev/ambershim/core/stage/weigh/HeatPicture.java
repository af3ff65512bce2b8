package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.build.Detail;
import dev.ambershim.core.physics.conduction.StackSolution.HeatMap;
import dev.ambershim.core.picture.Cividis;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Tone;

/** Temperatures over the dies before and after, side by side, in one colour scale with figures. */
public final class HeatPicture {
  private static final double TOP = 20;
  private static final double LEGEND = 38;
  private static final int STEPS = 48;

  private HeatPicture() {}

  /** Draws two maps. */
  public static Picture of(
      Detail now, Detail then, String name, Notation notation, double width, double height) {
    Pen pen = new Pen();
    double low = Math.min(least(now.map()), least(then.map()));
    double high = Math.max(now.peakCelsius(), then.peakCelsius());
    double half = (width - 12) / 2;
    one(pen, now, "now", 0, half, height, low, high, notation);
    one(pen, then, name, half + 12, half, height, low, high, notation);
    legend(pen, low, high, notation, width, height);
    return pen.picture(
        width,
        height,
        "Temperatures over the dies: hottest place "
            + notation.text(now.peakCelsius(), Unit.CELSIUS)
            + " now, "
            + notation.text(then.peakCelsius(), Unit.CELSIUS)
            + " with "
            + name
            + ".");
  }

  private static double least(HeatMap map) {
    double least = Double.POSITIVE_INFINITY;
    for (int c = 0; c < map.celsius().length; c++) {
      if (map.present()[c]) {
        least = Math.min(least, map.celsius()[c]);
      }
    }
    return least;
  }

  private static void one(
      Pen pen,
      Detail detail,
      String name,
      double x,
      double width,
      double height,
      double low,
      double high,
      Notation notation) {
    HeatMap map = detail.map();
    double[] xs = map.xMillimetres();
    double[] ys = map.yMillimetres();
    double[] span = around(map);
    double room = height - TOP - LEGEND;
    double scale = Math.min(width / (span[1] - span[0]), room / (span[3] - span[2]));
    double w = (span[1] - span[0]) * scale;
    double h = (span[3] - span[2]) * scale;
    double left = x + (width - w) / 2;
    double top = TOP + (room - h) / 2;
    int columns = Math.max(2, (int) Math.round(w / 2));
    int rows = Math.max(2, (int) Math.round(h / 2));
    int[] colours = new int[columns * rows];
    for (int j = 0; j < rows; j++) {
      for (int i = 0; i < columns; i++) {
        double at =
            map.at(
                span[0] + (i + 0.5) / columns * (span[1] - span[0]),
                span[3] - (j + 0.5) / rows * (span[3] - span[2]));
        colours[j * columns + i] =
            Double.isNaN(at) ? -1 : Cividis.at((at - low) / Math.max(high - low, 1e-9));
      }
    }
    if (xs.length > 1 && ys.length > 1) {
      pen.raster(left, top, w, h, columns, colours);
    }
    pen.words(
        x + width / 2,
        12,
        name + ", hottest " + notation.text(detail.peakCelsius(), Unit.CELSIUS),
        Tone.INK,
        12,
        Anchor.MIDDLE);
  }

  /** Left, right, low and high edge of all dies, mm. */
  private static double[] around(HeatMap map) {
    double[] span = {
      Double.POSITIVE_INFINITY,
      Double.NEGATIVE_INFINITY,
      Double.POSITIVE_INFINITY,
      Double.NEGATIVE_INFINITY
    };
    int nx = map.xMillimetres().length - 1;
    for (int c = 0; c < map.present().length; c++) {
      if (map.present()[c]) {
        int row = c / nx;
        span[0] = Math.min(span[0], map.xMillimetres()[c % nx]);
        span[1] = Math.max(span[1], map.xMillimetres()[c % nx + 1]);
        span[2] = Math.min(span[2], map.yMillimetres()[row]);
        span[3] = Math.max(span[3], map.yMillimetres()[row + 1]);
      }
    }
    return span;
  }

  private static void legend(
      Pen pen, double low, double high, Notation notation, double width, double height) {
    int[] colours = new int[STEPS];
    for (int i = 0; i < STEPS; i++) {
      colours[i] = Cividis.at((i + 0.5) / STEPS);
    }
    double y = height - LEGEND + 12;
    pen.raster(20, y, width - 40, 8, STEPS, colours);
    for (int i = 0; i <= 4; i++) {
      double share = i / 4.0;
      pen.words(
          20 + share * (width - 40),
          y + 21,
          notation.number(low + share * (high - low), Unit.CELSIUS)
              + (i == 4 ? " " + notation.symbol(Unit.CELSIUS) : ""),
          Tone.QUIET,
          11,
          i == 4 ? Anchor.END : i == 0 ? Anchor.START : Anchor.MIDDLE);
    }
  }
}
