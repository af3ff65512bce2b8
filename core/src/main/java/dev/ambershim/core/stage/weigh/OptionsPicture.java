package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Ticks;
import dev.ambershim.core.picture.Tone;
import java.util.List;

/**
 * Every option as an interval on one kelvin axis, the greatest gain first, with what it takes
 * beside it. A row is a part named by the option's kind, so that it can be picked.
 */
public final class OptionsPicture {
  private static final double NAMES = 186;
  private static final double[] COLUMNS = {42, 46, 56, 46, 54};
  private static final String[] HEADS = {"spread", "to buy", "hours", "risk"};
  private static final double HEAD = 32;
  private static final double FOOT = 18;

  private final Weighing weighing;
  private final Notation notation;

  /** In less room the bars need it more than the spread and the worth of a coin, pixels. */
  private static final double NARROW = 600;

  /** Columns of figures that are shown. */
  private final int[] shown;

  private final double width;
  private final double height;
  private final Pen pen = new Pen();
  private final double left = NAMES;
  private final double right;
  private final double low;
  private final double high;

  private OptionsPicture(Weighing weighing, Notation notation, double width, double height) {
    this.weighing = weighing;
    this.notation = notation;
    this.width = width;
    this.height = height;
    shown = width < NARROW ? new int[] {1, 2, 3} : new int[] {0, 1, 2, 3, 4};
    double figures = 0;
    for (int column : shown) {
      figures += COLUMNS[column];
    }
    right = width - figures - 14;
    double least = -1;
    double most = 2;
    for (OptionForecast o : weighing.options()) {
      if (o.option().possible()) {
        least = Math.min(least, o.gain().low());
        most = Math.max(most, o.gain().high());
      }
    }
    double margin = 0.03 * (most - least);
    low = least - margin;
    high = most + margin;
  }

  /** Draws a weighing. */
  public static Picture of(Weighing weighing, Notation notation, double width, double height) {
    return new OptionsPicture(weighing, notation, width, height).draw();
  }

  private double x(double kelvin) {
    return left + (kelvin - low) / (high - low) * (right - left);
  }

  private Picture draw() {
    List<OptionForecast> rows = weighing.ranked();
    double row = Math.min(30, (height - HEAD - FOOT) / rows.size());
    double bottom = HEAD + row * rows.size();
    heads();
    for (int i = 0; i < rows.size(); i++) {
      pen.box(
          2,
          HEAD + i * row + 1,
          width - 4,
          row - 2,
          Tone.PANEL,
          rows.get(i).option().kind().name());
    }
    double care = weighing.question().careKelvin();
    pen.box(x(-care), HEAD, x(care) - x(-care), bottom - HEAD, Tone.BEFORE_BAND, "");
    int most = (int) Math.max(2, Math.min(7, (right - left) / 28));
    Ticks ticks =
        Ticks.between(notation.shown(low, Unit.KELVIN), notation.shown(high, Unit.KELVIN), most);
    for (int t = 0; t < ticks.count(); t++) {
      double at = x(notation.kept(ticks.at(t), Unit.KELVIN));
      pen.line(at, HEAD, at, bottom, Tone.GRID, 1);
      pen.words(
          at,
          HEAD - 5,
          notation.fixed(ticks.at(t), ticks.decimals()),
          Tone.QUIET,
          11,
          Anchor.MIDDLE);
    }
    pen.line(x(0), HEAD, x(0), bottom, Tone.QUIET, 1.5);
    for (int i = 0; i < rows.size(); i++) {
      row(rows.get(i), HEAD + (i + 0.5) * row);
    }
    pen.words(
        8,
        height - 4,
        "Bar: eight cases in ten; block: likely. Shaded: too small to matter to you. Hours: at the"
            + " bench + waiting.",
        Tone.QUIET,
        11,
        Anchor.START);
    return pen.picture(width, height, words(rows));
  }

  private void heads() {
    pen.words(8, 12, "What it would gain", Tone.INK, 12, Anchor.START);
    pen.words(
        right,
        12,
        "gain at "
            + notation.text(weighing.question().heatWatts() * weighing.heatFactor(), Unit.WATT)
            + ", "
            + notation.symbol(Unit.KELVIN),
        Tone.QUIET,
        11,
        Anchor.END);
    double at = right + 10;
    String[] units = {
      notation.symbol(Unit.KELVIN), notation.symbol(Unit.COIN), "+ wait", "%", "all in"
    };
    String worth = notation.symbol(Unit.KELVIN) + " / " + notation.symbol(Unit.COIN);
    for (int c : shown) {
      at += COLUMNS[c];
      pen.words(at, 12, c < HEADS.length ? HEADS[c] : worth, Tone.QUIET, 11, Anchor.END);
      pen.words(at, HEAD - 5, units[c], Tone.QUIET, 11, Anchor.END);
    }
  }

  private void row(OptionForecast o, double middle) {
    boolean advised = weighing.recommended().filter(k -> k == o.option().kind()).isPresent();
    double base = middle + 4;
    if (advised) {
      pen.strong(left - 12, base, o.option().words(), Tone.AMBER, 12, Anchor.END);
    } else {
      pen.words(
          left - 12,
          base,
          o.option().words(),
          o.option().possible() ? Tone.INK : Tone.QUIET,
          12,
          Anchor.END);
    }
    if (!o.option().possible()) {
      pen.words(
          left + 4,
          base,
          shortened(o.option().impossible().orElseThrow()),
          Tone.QUIET,
          11,
          Anchor.START);
      return;
    }
    double from = x(o.gain().low());
    double to = x(o.gain().high());
    Tone tone = advised ? Tone.AMBER : o.chance() >= 0.8 ? Tone.AFTER : Tone.QUIET;
    pen.box(from, middle - 3, Math.max(1, to - from), 6, tone, "");
    double dot = x(o.gainKelvin());
    pen.box(dot - 3, middle - 6, 6, 12, Tone.INK, "");
    String[] figures = {
      notation.number(o.spreadKelvin(), Unit.KELVIN),
      notation.number(o.coins(), Unit.COIN),
      notation.number(o.option().handsHours(), Unit.HOUR)
          + (o.option().waitHours() > 0 ? "+" + notation.fixed(o.option().waitHours(), 0) : ""),
      o.ruin() == 0 ? "none" : notation.fixed(100 * o.ruin(), 1),
      notation.fixed(notation.shown(o.kelvinPerCoin(), Unit.KELVIN), 2)
    };
    double at = right + 10;
    for (int c : shown) {
      at += COLUMNS[c];
      pen.words(at, base, figures[c], Tone.INK, 12, Anchor.END);
    }
  }

  private String shortened(String reason) {
    int fits = (int) ((width - left - 12) / 5.4);
    return reason.length() <= fits ? reason : reason.substring(0, fits - 1).strip() + "…";
  }

  private String words(List<OptionForecast> rows) {
    StringBuilder out = new StringBuilder("Options by gain: ");
    for (OptionForecast o : rows) {
      out.append(o.option().words());
      if (o.option().possible()) {
        out.append(' ')
            .append(notation.text(o.gainKelvin(), Unit.KELVIN))
            .append(" (")
            .append(notation.range(o.gain(), Unit.KELVIN))
            .append("); ");
      } else {
        out.append(" not possible; ");
      }
    }
    return out.toString().strip();
  }
}
