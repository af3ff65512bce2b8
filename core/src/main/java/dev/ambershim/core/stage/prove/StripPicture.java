package dev.ambershim.core.stage.prove;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Ticks;
import dev.ambershim.core.picture.Tone;
import dev.ambershim.core.runs.judging.Comparison;
import dev.ambershim.core.runs.judging.FigureChange;
import java.util.List;

/**
 * Before and after on one axis, a strip a figure: where it stood, where it stands, the change's
 * interval about the latter, and the change in words. Figures in another unit than kelvin stand
 * below as words.
 */
public final class StripPicture {
  private static final double LEFT = 150;
  private static final double RIGHT = 190;
  private static final double TOP = 22;
  private static final double STRIP = 30;
  private static final double FOOT = 34;

  private StripPicture() {}

  /** The height that a comparison's strips take. */
  public static double height(Comparison comparison) {
    int other = comparison.figures().size() - kelvin(comparison).size();
    return TOP + STRIP * kelvin(comparison).size() + FOOT + (other > 0 ? 18 : 0);
  }

  private static List<FigureChange> kelvin(Comparison comparison) {
    return comparison.figures().stream().filter(f -> f.figure().unit() == Unit.KELVIN).toList();
  }

  /** Draws a comparison that has figures. */
  public static Picture of(Comparison comparison, Notation notation, double width, double height) {
    Pen pen = new Pen();
    List<FigureChange> figures = kelvin(comparison);
    // Strips read from nothing: a short strip is a small rise.
    double high =
        figures.stream()
            .mapToDouble(f -> Math.max(f.before(), f.before() + f.interval().high()))
            .max()
            .orElse(1);
    Ticks ticks = Ticks.between(0, notation.shown(Math.max(high, 1) * 1.04, Unit.KELVIN), 8);
    double end = Math.max(high * 1.04, notation.kept(ticks.at(ticks.count() - 1), Unit.KELVIN));
    double scale = (width - LEFT - RIGHT) / end;
    double bottom = TOP + STRIP * figures.size();
    for (int i = 0; i < ticks.count(); i++) {
      double x = LEFT + notation.kept(ticks.at(i), Unit.KELVIN) * scale;
      pen.line(x, TOP - 4, x, bottom, Tone.GRID, 1);
      String label = notation.fixed(ticks.at(i), ticks.decimals());
      pen.words(x, bottom + 14, label, Tone.QUIET, 11, Anchor.MIDDLE);
    }
    pen.words(LEFT, TOP - 9, "■ before", Tone.BEFORE, 11, Anchor.START);
    pen.words(LEFT + 62, TOP - 9, "▮ after, with the interval", Tone.AFTER, 11, Anchor.START);
    for (int i = 0; i < figures.size(); i++) {
      strip(pen, figures.get(i), TOP + STRIP * i + STRIP / 2, width, scale, notation);
    }
    pen.words(
        LEFT,
        bottom + 28,
        "In "
            + notation.symbol(Unit.KELVIN)
            + (comparison.inRise() ? " over room air" : ", temperatures as read")
            + "; the spread between hottest and coolest core",
        Tone.QUIET,
        11,
        Anchor.START);
    for (FigureChange f : comparison.figures()) {
      if (f.figure().unit() != Unit.KELVIN) {
        pen.words(12, bottom + FOOT + 12, words(f, notation), Tone.INK, 12, Anchor.START);
      }
    }
    return pen.picture(width, height, describe(comparison, notation));
  }

  private static void strip(
      Pen pen, FigureChange f, double y, double width, double scale, Notation notation) {
    double before = LEFT + f.before() * scale;
    double after = LEFT + (f.before() + f.change()) * scale;
    double low = LEFT + Math.max(0, f.before() + f.interval().low()) * scale;
    double high = LEFT + (f.before() + f.interval().high()) * scale;
    pen.words(LEFT - 10, y + 4, f.name(), Tone.INK, 12, Anchor.END);
    pen.box(LEFT, y - 5, before - LEFT, 4, Tone.BEFORE_BAND, "");
    pen.box(LEFT, y + 1, after - LEFT, 4, Tone.AFTER_BAND, "");
    pen.box(low, y - 1, Math.max(1, high - low), 8, Tone.AFTER_BAND, "");
    pen.line(low, y - 2, low, y + 8, Tone.AFTER, 1.5);
    pen.line(high, y - 2, high, y + 8, Tone.AFTER, 1.5);
    pen.box(before - 4, y - 7, 8, 8, Tone.BEFORE, "");
    pen.box(after - 2.5, y - 4, 5, 14, Tone.AFTER, "");
    pen.strong(width - RIGHT + 14, y + 4, change(f, notation), Tone.INK, 12, Anchor.START);
  }

  private static String change(FigureChange f, Notation notation) {
    Interval i = f.interval();
    return notation.text(f.change(), f.figure().unit())
        + " ("
        + notation.range(i, f.figure().unit())
        + ")";
  }

  private static String words(FigureChange f, Notation notation) {
    return "Change of " + f.name() + ": " + change(f, notation) + ".";
  }

  private static String describe(Comparison comparison, Notation notation) {
    StringBuilder text = new StringBuilder("Before and after on one axis.");
    for (FigureChange f : comparison.figures()) {
      text.append(' ').append(words(f, notation));
    }
    return text.toString();
  }
}
