package dev.ambershim.core.stage.coat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.spread.FaceGrid;
import dev.ambershim.core.physics.spread.SpreadState;
import dev.ambershim.core.picture.Cividis;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Ticks;
import dev.ambershim.core.picture.Tone;
import java.util.List;

/**
 * Paste under the plate from above, to scale, coloured by its thickness, over the dies' outlines.
 */
public final class SpreadPicture {
  private static final double FOOT = 44;
  private static final double SCALE = 60;
  private static final int SHADES = 30;
  private static final int DRY = 0x4a443d;
  private static final int HALF = 0x7d7466;
  private static final int AIR = 0xf6f2ea;

  private SpreadPicture() {}

  /** Where the face lies in a picture: left, top, and units for a millimetre. */
  public static double[] frame(FaceGrid grid, double width, double height) {
    double per =
        Math.min(
            (width - 8) / grid.widthMillimetres(), (height - FOOT - 6) / grid.depthMillimetres());
    return new double[] {(width - per * grid.widthMillimetres()) / 2, 4, per};
  }

  /** Draws a state. */
  public static Picture of(
      SpreadState state, List<Patch> dies, Notation notation, double width, double height) {
    Pen pen = new Pen();
    FaceGrid grid = state.grid();
    double[] at = frame(grid, width, height);
    double w = at[2] * grid.widthMillimetres();
    double h = at[2] * grid.depthMillimetres();
    double high = 1;
    double low = Double.POSITIVE_INFINITY;
    for (int c = 0; c < grid.size(); c++) {
      if (grid.face()[c] && state.joined(c)) {
        high = Math.max(high, state.gapMicrometres()[c]);
        low = Math.min(low, state.gapMicrometres()[c]);
      }
    }
    low = Double.isInfinite(low) ? 0 : low;
    // A micrometre of difference is not to look like a wedge.
    double span = Math.max(high - low, 0.4 * high);
    int[] colours = new int[grid.size()];
    for (int j = 0; j < grid.rows(); j++) {
      for (int i = 0; i < grid.columns(); i++) {
        int c = j * grid.columns() + i;
        int to = (grid.rows() - 1 - j) * grid.columns() + i;
        colours[to] =
            !grid.face()[c]
                ? -1
                : state.shut()[c]
                    ? AIR
                    : state.joined(c)
                        ? Cividis.at(
                            Math.min(1, 0.25 + 0.75 * (state.gapMicrometres()[c] - low) / span))
                        : state.filled()[c] > 0.02 ? HALF : DRY;
      }
    }
    pen.raster(at[0], at[1], w, h, grid.columns(), colours);
    for (Patch d : dies) {
      double x = at[0] + w / 2 + at[2] * (d.leftMillimetres() - grid.xMillimetres());
      double y = at[1] + h / 2 - at[2] * (d.highMillimetres() - grid.yMillimetres());
      double dw = at[2] * d.widthMillimetres();
      double dh = at[2] * d.depthMillimetres();
      double[] xs = {x, x + dw, x + dw, x, x};
      double[] ys = {y, y, y + dh, y + dh, y};
      pen.trace(xs, ys, Tone.ON_PALE, 3);
      pen.trace(xs, ys, Tone.ON_DEEP, 1.2);
    }
    String dry =
        "covers "
            + notation.fixed(100 * state.cover(), 0)
            + " %, the die "
            + notation.fixed(100 * state.shadowCover(), 0)
            + " %";
    boolean even = high - low < 0.5;
    String thick =
        notation.text(low, Unit.MICROMETRE)
            + (even ? "" : " to " + notation.text(high, Unit.MICROMETRE));
    pen.words(at[0], at[1] + h + 15, dry, Tone.INK, 12, Anchor.START);
    if (even) {
      pen.words(at[0] + w, at[1] + h + 15, thick, Tone.INK, 12, Anchor.END);
    } else {
      String end = notation.text(high, Unit.MICROMETRE);
      double bar = at[0] + w - SCALE - 6.6 * end.length() - 2;
      scale(pen, bar, at[1] + h + 6, (high - low) / span);
      pen.words(at[0] + w, at[1] + h + 15, end, Tone.INK, 12, Anchor.END);
      pen.words(
          bar - 5, at[1] + h + 15, notation.number(low, Unit.MICROMETRE), Tone.INK, 12, Anchor.END);
    }
    String out =
        notation.fixed(100 * state.overflowShare(), 0)
            + " % pressed out"
            + (state.airSquareMillimetres() > 0.5
                ? ", air shut in (pale): "
                    + notation.fixed(state.airSquareMillimetres(), 0)
                    + " mm²"
                : "");
    pen.words(at[0], at[1] + h + 31, out, Tone.QUIET, 11, Anchor.START);
    pen.words(
        at[0] + w,
        at[1] + h + 31,
        notation.fixed(state.seconds(), state.seconds() < 10 ? 1 : 0) + " s",
        Tone.QUIET,
        11,
        Anchor.END);
    return pen.picture(width, height, "Paste under the plate: " + dry + ", " + thick + ".");
  }

  /** The colours from the thinnest to the thickest. */
  private static void scale(Pen pen, double x, double y, double share) {
    int[] colours = new int[SHADES];
    for (int k = 0; k < SHADES; k++) {
      colours[k] = Cividis.at(0.25 + 0.75 * share * k / (SHADES - 1));
    }
    pen.raster(x, y, SCALE, 9, SHADES, colours);
  }

  /** The height that a comparison of so many patterns takes. */
  public static double height(int patterns) {
    return 40 + 26.0 * patterns;
  }

  /** What each pattern costs with the same amount, on one axis. */
  public static Picture compared(
      List<PasteQuestion.Compared> all, Notation notation, double width, double height) {
    Pen pen = new Pen();
    double left = 118;
    double right = 128;
    double most = 1;
    for (PasteQuestion.Compared c : all) {
      most = Math.max(most, c.cost().meanKelvin());
    }
    Ticks ticks = Ticks.between(0, most, 4);
    double bottom = 22 + 26.0 * all.size();
    pen.words(
        left,
        12,
        "costs, " + notation.symbol(Unit.KELVIN) + " in the mean of the cores",
        Tone.QUIET,
        11,
        Anchor.START);
    for (int k = 0; k < ticks.count(); k++) {
      double x = left + (width - left - right) * ticks.at(k) / most;
      pen.line(x, 18, x, bottom, Tone.GRID, 1);
      pen.words(
          x, bottom + 14, notation.number(ticks.at(k), Unit.KELVIN), Tone.QUIET, 11, Anchor.MIDDLE);
    }
    StringBuilder words = new StringBuilder();
    for (int i = 0; i < all.size(); i++) {
      PasteQuestion.Compared c = all.get(i);
      double y = 22 + 26.0 * i;
      double x = left + (width - left - right) * c.cost().meanKelvin() / most;
      pen.words(left - 8, y + 15, c.pattern().words(), Tone.INK, 12.5, Anchor.END);
      pen.box(left, y + 4, Math.max(1.5, x - left), 14, i == 0 ? Tone.AMBER : Tone.PASTE, "");
      String text =
          notation.text(c.cost().meanKelvin(), Unit.KELVIN)
              + ", die "
              + notation.fixed(100 * c.end().shadowCover(), 0)
              + " %";
      pen.words(width - right + 8, y + 15, text, Tone.INK, 12, Anchor.START);
      words.append(c.pattern().words()).append(": ").append(text).append("; ");
    }
    return pen.picture(width, height, words.toString());
  }
}
