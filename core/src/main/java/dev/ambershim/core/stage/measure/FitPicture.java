package dev.ambershim.core.stage.measure;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.fit.Feature;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.PlanScale;
import dev.ambershim.core.picture.Tone;
import dev.ambershim.core.stage.measure.FitAnswer.Row;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How a plate rests, to be read like a dial: from above, with the three feet joined and the load
 * crossed; beside it each top's clearance on one scale that opens towards nought, with its
 * interval, those that touch in words.
 */
public final class FitPicture {
  private static final double ROW = 22;
  private static final double TOP = 26;
  private static final double FOOT = 26;

  private FitPicture() {}

  /** The height that so many tops take. */
  public static double height(int tops) {
    return Math.max(230, TOP + FOOT + ROW * Math.max(1, tops));
  }

  /** Draws a fit. */
  public static Picture of(
      FitAnswer fit,
      Chip chip,
      double xLoad,
      double yLoad,
      Notation notation,
      double width,
      double height) {
    Pen pen = new Pen();
    double plan = Math.min(0.34 * width, height);
    above(pen, fit, chip, xLoad, yLoad, plan, height);
    scale(pen, fit, plan + 12, width, notation);
    return pen.picture(width, height, words(fit, notation));
  }

  private static void above(
      Pen pen, FitAnswer fit, Chip chip, double xLoad, double yLoad, double width, double height) {
    double half = Math.max(chip.widthMillimetres(), chip.depthMillimetres()) / 2;
    double chipHalf = half;
    for (Feature f : fit.features()) {
      double reach = Math.max(Math.abs(f.xMillimetres()), Math.abs(f.yMillimetres()));
      half = reach > 1.3 * chipHalf ? half : Math.max(half, reach);
    }
    PlanScale at = new PlanScale(half * 1.08, 0, 18, width, height - 24);
    pen.words(4, 12, "from above", Tone.QUIET, 11, Anchor.START);
    pen.box(
        at.x(-chip.widthMillimetres() / 2),
        at.y(chip.depthMillimetres() / 2),
        at.length(chip.widthMillimetres()),
        at.length(chip.depthMillimetres()),
        Tone.SUBSTRATE,
        "substrate");
    List<Row> wideFirst =
        fit.rows().stream()
            .sorted(
                Comparator.comparingDouble(
                    (Row r) -> -r.top().widthMillimetres() * r.top().depthMillimetres()))
            .toList();
    for (Row row : wideFirst) {
      if (Math.max(Math.abs(row.top().xMillimetres()), Math.abs(row.top().yMillimetres()))
          > 1.3 * chipHalf) {
        continue; // far out on the board; it stands in the list
      }
      double w = Math.max(6, at.length(row.top().widthMillimetres()));
      double d = Math.max(6, at.length(row.top().depthMillimetres()));
      pen.box(
          at.x(row.top().xMillimetres()) - w / 2,
          at.y(row.top().yMillimetres()) - d / 2,
          w,
          d,
          tone(row.top().kind()),
          row.top().name());
    }
    fit.rest()
        .ifPresent(
            rest -> {
              List<Feature> feet = rest.feet().stream().map(fit.features()::get).toList();
              double[] xs = new double[4];
              double[] ys = new double[4];
              for (int k = 0; k < 4; k++) {
                xs[k] = at.x(feet.get(k % 3).xMillimetres());
                ys[k] = at.y(feet.get(k % 3).yMillimetres());
              }
              pen.trace(xs, ys, Tone.INK, 1.5);
              for (int k = 0; k < 3; k++) {
                pen.box(xs[k] - 5, ys[k] - 5, 10, 10, Tone.INK, feet.get(k).name());
                pen.box(xs[k] - 3, ys[k] - 3, 6, 6, Tone.AMBER, feet.get(k).name());
              }
            });
    double lx = at.x(xLoad);
    double ly = at.y(yLoad);
    pen.line(lx - 8, ly, lx + 8, ly, Tone.INK, 2);
    pen.line(lx, ly - 8, lx, ly + 8, Tone.INK, 2);
    pen.words(width / 2, height - 4, "squares: feet · cross: load", Tone.QUIET, 11, Anchor.MIDDLE);
  }

  private static Tone tone(TopKind kind) {
    return switch (kind) {
      case DIE -> Tone.SILICON;
      case SHIM -> Tone.COVER;
      case FRAME, LID -> Tone.NICKEL;
      case SOCKET -> Tone.PASTE;
      case PART, BRACKET -> Tone.SOLDER;
      case OTHER -> Tone.QUIET;
    };
  }

  private static void scale(Pen pen, FitAnswer fit, double left, double width, Notation notation) {
    double names = left + 118;
    double end = width - 128;
    double most = 0.1;
    for (Row row : fit.rows()) {
      most = Math.max(most, row.clear().map(Interval::high).orElse(0.0));
    }
    pen.words(names, 12, "clear of the plate", Tone.QUIET, 11, Anchor.START);
    double bottom = TOP + ROW * fit.rows().size();
    double last = Double.NEGATIVE_INFINITY;
    for (double tick : new double[] {0, 0.02, 0.1, 0.3, 0.6, 1, 2, 5}) {
      double x = names + (end - names) * Math.sqrt(tick / most);
      if (tick <= most && x - last >= 30) {
        last = x;
        pen.line(x, TOP - 6, x, bottom, Tone.GRID, 1);
        pen.words(
            x,
            bottom + 14,
            notation.editable(tick, Unit.MILLIMETRE),
            Tone.QUIET,
            11,
            Anchor.MIDDLE);
      }
    }
    pen.words(
        end + 10, bottom + 14, notation.symbol(Unit.MILLIMETRE), Tone.QUIET, 11, Anchor.START);
    int i = 0;
    for (Row row : fit.rows()) {
      double y = TOP + ROW * i++;
      pen.box(left, y, 4, ROW - 6, tone(row.top().kind()), row.top().name());
      pen.words(names - 8, y + 12, row.top().name(), Tone.INK, 12.5, Anchor.END);
      if (Double.isNaN(row.clearance())) {
        pen.words(names + 4, y + 12, "not known", Tone.QUIET, 12, Anchor.START);
        continue;
      }
      boolean touches = fit.rest().filter(r -> r.touching().contains(row.top().name())).isPresent();
      double x = names + (end - names) * Math.sqrt(row.clearance() / most);
      pen.box(
          names,
          y + 3,
          Math.max(touches ? 5 : 1, x - names),
          ROW - 12,
          touches ? Tone.AMBER : Tone.AFTER,
          row.top().name());
      Optional<Interval> clear = row.clear();
      if (clear.isPresent()) {
        double a = names + (end - names) * Math.sqrt(Math.max(0, clear.get().low()) / most);
        double b = names + (end - names) * Math.sqrt(Math.max(0, clear.get().high()) / most);
        pen.line(a, y + 8, b, y + 8, Tone.INK, 1.5);
        pen.line(a, y + 4, a, y + 12, Tone.INK, 1.5);
        pen.line(b, y + 4, b, y + 12, Tone.INK, 1.5);
      }
      double chance = fit.chances().map(c -> c.of(row.top().name()).carries()).orElse(Double.NaN);
      String text =
          touches
              ? "touches" + (chance < 0.995 ? ", " + Math.round(100 * chance) + " in 100" : "")
              : notation.fixed(notation.shown(row.clearance(), Unit.MILLIMETRE), 3)
                  + " "
                  + notation.symbol(Unit.MILLIMETRE)
                  + (chance > 0.005 ? ", or touches" : "");
      if (touches) {
        pen.strong(end + 10, y + 12, text, Tone.INK, 12.5, Anchor.START);
      } else {
        pen.words(end + 10, y + 12, text, Tone.INK, 12.5, Anchor.START);
      }
    }
  }

  private static String words(FitAnswer fit, Notation notation) {
    StringBuilder words = new StringBuilder();
    fit.rest()
        .ifPresent(
            r -> words.append("The plate rests on ").append(String.join(", ", r.touching())));
    for (Row row : fit.rows()) {
      if (row.clearance() > 0) {
        words
            .append(words.isEmpty() ? "" : "; ")
            .append(row.top().name())
            .append(' ')
            .append(notation.editable(row.clearance(), Unit.MILLIMETRE))
            .append(' ')
            .append(notation.symbol(Unit.MILLIMETRE))
            .append(" clear");
      }
    }
    return words.isEmpty() ? "Nothing is read yet." : words + ".";
  }
}
