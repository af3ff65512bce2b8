package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.conduction.StackSection;
import dev.ambershim.core.physics.conduction.StackSection.Piece;
import dev.ambershim.core.picture.Cividis;
import dev.ambershim.core.picture.Contours;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Ticks;
import dev.ambershim.core.picture.Tone;
import java.util.List;

/**
 * Where the heat goes: a cut through the hottest core now and then, coloured by temperature, with
 * lines of equal temperature. Heat crosses them at right angles, were heights and widths drawn
 * alike.
 */
public final class HeatSectionPicture {
  private static final double TOP = 20;
  private static final double FOOT = 20;
  private static final double GAP = 14;

  /** A joint is drawn this high at least, or it could not be seen. */
  private static final double JOINT = 2;

  /** About so many lines of equal temperature. */
  private static final int LINES = 9;

  private final Pen pen = new Pen();
  private final Notation notation;
  private final double low;
  private final double high;
  private final Ticks levels;

  private HeatSectionPicture(StackSection now, StackSection then, Notation notation) {
    this.notation = notation;
    Span nowSpan = Span.of(now.pieces());
    Span thenSpan = Span.of(then.pieces());
    low = Math.min(nowSpan.low, thenSpan.low);
    high = Math.max(nowSpan.high, thenSpan.high);
    levels =
        Ticks.between(notation.shown(low, Unit.CELSIUS), notation.shown(high, Unit.CELSIUS), LINES);
  }

  /** Coolest and hottest, °C. */
  private record Span(double low, double high) {
    static Span of(List<Piece> pieces) {
      double low = Double.POSITIVE_INFINITY;
      double high = Double.NEGATIVE_INFINITY;
      for (Piece piece : pieces) {
        for (double[] column : piece.celsius()) {
          for (double celsius : column) {
            low = Math.min(low, celsius);
            high = Math.max(high, celsius);
          }
        }
      }
      return new Span(low, high);
    }

    boolean holds(double celsius) {
      return celsius >= low && celsius <= high;
    }
  }

  /**
   * Draws two sections in one colour scale.
   *
   * @param name of the second
   */
  public static Picture of(
      StackSection now,
      StackSection then,
      String name,
      Notation notation,
      double width,
      double height) {
    HeatSectionPicture picture = new HeatSectionPicture(now, then, notation);
    double half = (width - GAP) / 2;
    picture.one(now, "now", 0, half, height);
    picture.one(then, name, half + GAP, half, height);
    return picture.pen.picture(
        width,
        height,
        "Temperatures in a cut through the hottest core, now and "
            + name
            + ", from "
            + notation.text(picture.low, Unit.CELSIUS)
            + " to "
            + notation.text(picture.high, Unit.CELSIUS)
            + ".");
  }

  private void one(StackSection section, String name, double left, double width, double height) {
    List<Piece> pieces = section.pieces();
    double widest = 0;
    double thick = 0;
    int joints = 0;
    for (int i = 0; i < pieces.size(); i++) {
      double[] x = pieces.get(i).xMillimetres();
      widest = Math.max(widest, 2 * Math.max(-x[0], x[x.length - 1]));
      if (first(pieces, i)) {
        thick += thickness(pieces.get(i));
        joints += i == 0 ? 0 : 1;
      }
    }
    double across = width / widest;
    double upwards = (height - TOP - FOOT - joints * JOINT) / thick;
    double ground = height - FOOT;
    double base = ground;
    double centre = left + width / 2;
    for (int i = 0; i < pieces.size(); i++) {
      if (i > 0 && first(pieces, i)) {
        base -= thickness(pieces.get(i - 1)) * upwards + JOINT;
      }
      piece(pieces.get(i), centre, across, base, upwards);
    }
    pen.words(centre, 12, name, Tone.INK, 12, Anchor.MIDDLE);
    pen.words(
        centre,
        height - 5,
        "Heights "
            + notation.fixed(upwards / across, 1)
            + " times as large; a line every "
            + notation.fixed(levels.step(), levels.decimals())
            + " "
            + notation.symbol(Unit.CELSIUS),
        Tone.QUIET,
        11,
        Anchor.MIDDLE);
  }

  /** Whether a piece is the first of its layer; several dies lie side by side. */
  private static boolean first(List<Piece> pieces, int i) {
    return i == 0 || !pieces.get(i - 1).layer().equals(pieces.get(i).layer());
  }

  private static double thickness(Piece piece) {
    double[] z = piece.heightMillimetres();
    return z[z.length - 1] - z[0];
  }

  private void piece(Piece piece, double centre, double across, double base, double upwards) {
    double[] x = piece.xMillimetres();
    double[] z = piece.heightMillimetres();
    double[][] celsius = piece.celsius();
    double left = centre + x[0] * across;
    double w = (x[x.length - 1] - x[0]) * across;
    double h = thickness(piece) * upwards;
    int columns = x.length - 1;
    int rows = z.length - 1;
    int[] colours = new int[columns * rows];
    for (int j = 0; j < rows; j++) {
      for (int i = 0; i < columns; i++) {
        int k = rows - 1 - j;
        double mean =
            (celsius[i][k] + celsius[i + 1][k] + celsius[i][k + 1] + celsius[i + 1][k + 1]) / 4;
        colours[j * columns + i] = Cividis.at((mean - low) / Math.max(high - low, 1e-9));
      }
    }
    pen.raster(left, base - h, w, h, columns, colours);
    Span span = Span.of(List.of(piece));
    for (int t = 0; t < levels.count(); t++) {
      double level = notation.kept(levels.at(t), Unit.CELSIUS);
      if (!span.holds(level)) {
        continue; // most lines miss most layers
      }
      String words = notation.fixed(levels.at(t), levels.decimals());
      boolean labelled = false;
      for (Contours.Line line : Contours.at(celsius, level)) {
        int n = line.columns().length;
        double[] xs = new double[n];
        double[] ys = new double[n];
        for (int p = 0; p < n; p++) {
          xs[p] = left + line.columns()[p] / columns * w;
          ys[p] = base - line.rows()[p] / rows * h;
        }
        // Light on dark and dark on light, so that a line is seen on each colour of the scale.
        Tone tone = level < (low + high) / 2 ? Tone.ON_DEEP : Tone.ON_PALE;
        pen.trace(xs, ys, tone, 1);
        if (!labelled && n > 12 && h > 26) {
          pen.words(xs[n / 2], ys[n / 2] - 2, words, tone, 10, Anchor.MIDDLE);
          labelled = true;
        }
      }
    }
  }
}
