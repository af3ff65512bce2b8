package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Ticks;
import dev.ambershim.core.picture.Tone;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * What the next kelvin costs: every option and bundle by what it costs all in and what it gains. A
 * line goes along those that bring the most for their cost; the risk to the chip stands beside each
 * of them.
 */
public final class PricePicture {
  private static final double LEFT = 46;
  private static final double RIGHT = 296;
  private static final double TOP = 26;
  private static final double BOTTOM = 34;
  private static final double LINE = 13;

  private PricePicture() {}

  /** Draws a weighing. */
  public static Picture of(Weighing weighing, Notation notation, double width, double height) {
    List<OptionForecast> all = new ArrayList<>();
    weighing.options().stream().filter(o -> o.option().possible()).forEach(all::add);
    all.addAll(weighing.bundles());
    List<OptionForecast> front =
        all.stream()
            .filter(o -> o.gainKelvin() > 0 && !outdone(o, all))
            .sorted(Comparator.comparingDouble(OptionForecast::costCoins))
            .toList();
    double most = all.stream().mapToDouble(OptionForecast::costCoins).max().orElse(1);
    double highest = all.stream().mapToDouble(OptionForecast::gainKelvin).max().orElse(1);
    double lowest =
        Math.min(0, all.stream().mapToDouble(OptionForecast::gainKelvin).min().orElse(0));
    Axes axes = new Axes(1.05 * most + 1, lowest, 1.1 * highest + 0.5, width, height);
    Pen pen = new Pen();
    pen.words(8, 12, "What the next kelvin costs", Tone.INK, 12, Anchor.START);
    axes.draw(pen, notation);
    for (int i = 1; i < front.size(); i++) {
      OptionForecast a = front.get(i - 1);
      OptionForecast b = front.get(i);
      pen.line(
          axes.x(a.costCoins()),
          axes.y(a.gainKelvin()),
          axes.x(b.costCoins()),
          axes.y(b.gainKelvin()),
          Tone.AMBER,
          2);
    }
    for (OptionForecast o : all) {
      boolean edge = front.contains(o);
      double size = edge ? 8 : 5;
      pen.box(
          axes.x(o.costCoins()) - size / 2,
          axes.y(o.gainKelvin()) - size / 2,
          size,
          size,
          edge ? Tone.AMBER : Tone.QUIET,
          "");
    }
    label(pen, front, axes, notation);
    return pen.picture(width, height, words(front, notation));
  }

  /** Whether another brings more for no more cost, or as much for less. */
  private static boolean outdone(OptionForecast one, List<OptionForecast> all) {
    return all.stream()
        .anyMatch(
            o ->
                o.gainKelvin() >= one.gainKelvin()
                    && o.costCoins() <= one.costCoins()
                    && (o.gainKelvin() > one.gainKelvin() || o.costCoins() < one.costCoins()));
  }

  /** Names at the right, each in the line of its mark, apart from each other. */
  private static void label(Pen pen, List<OptionForecast> front, Axes axes, Notation notation) {
    List<OptionForecast> downwards =
        front.stream()
            .sorted(Comparator.comparingDouble(OptionForecast::gainKelvin).reversed())
            .toList();
    double last = TOP - LINE;
    for (OptionForecast o : downwards) {
      double y = Math.max(axes.y(o.gainKelvin()) + 4, last + LINE);
      double x = axes.right() + 8;
      pen.line(axes.x(o.costCoins()) + 5, axes.y(o.gainKelvin()), x - 3, y - 4, Tone.GRID, 1);
      String risk = o.ruin() == 0 ? "" : ", " + notation.fixed(100 * o.ruin(), 1) + " %";
      pen.words(x, y, shortened(o.option().words()) + risk, Tone.INK, 11, Anchor.START);
      last = y;
    }
  }

  private static String shortened(String words) {
    int fits = 47;
    return words.length() <= fits ? words : words.substring(0, fits - 1).strip() + "…";
  }

  private static String words(List<OptionForecast> front, Notation notation) {
    StringBuilder out = new StringBuilder("Gain by cost, the most for each: ");
    for (OptionForecast o : front) {
      out.append(o.option().words())
          .append(' ')
          .append(notation.text(o.gainKelvin(), Unit.KELVIN))
          .append(" for ")
          .append(notation.text(o.costCoins(), Unit.COIN))
          .append("; ");
    }
    return out.toString().strip();
  }

  /** Cost to the right from nothing, gain upwards. */
  private record Axes(double most, double low, double high, double width, double height) {
    double right() {
      return width - RIGHT;
    }

    double x(double coins) {
      return LEFT + coins / most * (right() - LEFT);
    }

    double y(double kelvin) {
      return height - BOTTOM - (kelvin - low) / (high - low) * (height - BOTTOM - TOP);
    }

    void draw(Pen pen, Notation notation) {
      Ticks up =
          Ticks.between(notation.shown(low, Unit.KELVIN), notation.shown(high, Unit.KELVIN), 6);
      for (int t = 0; t < up.count(); t++) {
        double y = y(notation.kept(up.at(t), Unit.KELVIN));
        pen.line(LEFT, y, right(), y, Tone.GRID, 1);
        pen.words(
            LEFT - 6, y + 4, notation.fixed(up.at(t), up.decimals()), Tone.QUIET, 11, Anchor.END);
      }
      Ticks along = Ticks.between(0, most, 7);
      for (int t = 0; t < along.count(); t++) {
        double x = x(along.at(t));
        pen.line(x, TOP, x, height - BOTTOM, Tone.GRID, 1);
        pen.words(
            x,
            height - BOTTOM + 14,
            notation.fixed(along.at(t), along.decimals()),
            Tone.QUIET,
            11,
            Anchor.MIDDLE);
      }
      pen.words(
          LEFT,
          height - 4,
          "Likely gain in "
              + notation.symbol(Unit.KELVIN)
              + " by cost all in ("
              + notation.symbol(Unit.COIN)
              + "): bought, hours, and the chip times its risk, which stands beside the names.",
          Tone.QUIET,
          11,
          Anchor.START);
    }
  }
}
