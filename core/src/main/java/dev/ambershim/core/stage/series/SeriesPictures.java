package dev.ambershim.core.stage.series;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Ticks;
import dev.ambershim.core.picture.Tone;
import dev.ambershim.core.runs.series.Judged;
import dev.ambershim.core.runs.series.Mount;
import dev.ambershim.core.stage.Drawing;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;

/** What shows a series: its mounts, its pairs, the bench over the order, and the price. */
final class SeriesPictures {
  private static final double NAMES = 150;
  private static final double RIGHT = 92;
  private static final double TOP = 26;
  private static final double FOOT = 26;
  private static final double ROW = 30;
  private static final double DOT = 7;
  private static final double SMALL = 11;
  private static final double PLAIN = 13;
  private static final int LONGEST = 22;

  private final SeriesAnswer answer;
  private final Judged judged;
  private final Notation notation;

  private SeriesPictures(SeriesAnswer answer, Notation notation) {
    this.answer = answer;
    judged = answer.judged();
    this.notation = notation;
  }

  /** The pictures of an answer. */
  static List<Drawing> of(SeriesAnswer answer, Notation notation) {
    SeriesPictures p = new SeriesPictures(answer, notation);
    double rows = p.judged.ranking().size() * ROW;
    List<Drawing> all = new ArrayList<>();
    all.add(
        new Drawing(
            "mounts",
            "Each mount, and the mean of each candidate with its interval",
            rows + TOP + FOOT,
            p::mounts));
    all.add(
        new Drawing(
            "pairs",
            "Row less column; framed pairs differ beyond chance",
            rows - ROW + TOP,
            p::pairs));
    if (p.judged.mounts().stream().allMatch(m -> m.order().isPresent())) {
      all.add(
          new Drawing(
              "bench",
              "Each mount over its candidate's mean, in the order of the work",
              200,
              p::bench));
    }
    if (p.judged.ranking().stream().allMatch(m -> m.price().isPresent())) {
      all.add(
          new Drawing("price", "What a use costs, and how hot it leaves the cores", 220, p::price));
    }
    if (answer.known().wear().size() > 1) {
      all.add(
          new Drawing(
              "life",
              "How long your own joints of it keep within what matters, and how hot it runs",
              220,
              p::life));
    }
    return all;
  }

  /** A scale along one side of a picture. */
  private record Scale(double low, double high, double from, double to) {
    double at(double value) {
      return from + (to - from) * (value - low) / (high - low);
    }
  }

  private static Scale over(DoubleStream values, double from, double to) {
    double[] all = values.sorted().toArray();
    double room = Math.max(0.2, 0.08 * (all[all.length - 1] - all[0]));
    return new Scale(all[0] - room, all[all.length - 1] + room, from, to);
  }

  private static String brief(String name) {
    return name.length() <= LONGEST ? name : name.substring(0, LONGEST - 1) + "…";
  }

  private Picture mounts(double width, double height) {
    Picture.Pen pen = new Picture.Pen();
    Scale x =
        over(
            DoubleStream.concat(
                judged.mounts().stream().mapToDouble(m -> m.riseAt(judged.watts())),
                judged.ranking().stream()
                    .flatMapToDouble(
                        m -> DoubleStream.of(m.interval().low(), m.interval().high()))),
            NAMES,
            width - RIGHT);
    across(pen, x, height - FOOT, TOP, Unit.KELVIN);
    pen.words(
        NAMES,
        12,
        notation.symbol(Unit.KELVIN)
            + " over the room at "
            + notation.text(judged.watts(), Unit.WATT),
        Tone.QUIET,
        SMALL,
        Anchor.START);
    pen.words(width, 12, "best with", Tone.QUIET, SMALL, Anchor.END);
    for (int i = 0; i < judged.ranking().size(); i++) {
      Judged.Mean m = judged.ranking().get(i);
      double y = TOP + ROW * i + ROW / 2;
      pen.words(0, y + 4, brief(m.candidate()), Tone.INK, PLAIN, Anchor.START);
      for (Mount mount : judged.mounts()) {
        if (mount.candidate().equals(m.candidate())) {
          double at = x.at(mount.riseAt(judged.watts()));
          pen.box(at - DOT / 2, y - 4 - DOT, DOT, DOT, Tone.QUIET, "");
        }
      }
      pen.line(x.at(m.interval().low()), y + 5, x.at(m.interval().high()), y + 5, Tone.AFTER, 3);
      pen.box(x.at(m.kelvin()) - 5, y, 10, 10, Tone.AMBER, "");
      pen.strong(width - RIGHT + 12, y + 4, m.group(), Tone.INK, PLAIN, Anchor.START);
      pen.words(width, y + 4, SeriesAnswer.chance(m.chanceBest()), Tone.INK, PLAIN, Anchor.END);
    }
    return pen.picture(width, height, answer.sentence());
  }

  private void across(Picture.Pen pen, Scale x, double y, double top, Unit unit) {
    double from = notation.shown(x.low(), unit);
    double to = notation.shown(x.high(), unit);
    Ticks ticks = Ticks.between(from, to, 7);
    for (int i = 0; i < ticks.count(); i++) {
      double at = x.from() + (x.to() - x.from()) * (ticks.at(i) - from) / (to - from);
      pen.line(at, top, at, y, Tone.GRID, 1);
      pen.words(
          at,
          y + 16,
          notation.fixed(ticks.at(i), ticks.decimals()),
          Tone.QUIET,
          SMALL,
          Anchor.MIDDLE);
    }
  }

  private void upwards(Picture.Pen pen, Scale y, double left, double right) {
    double from = notation.shown(y.low(), Unit.KELVIN);
    double to = notation.shown(y.high(), Unit.KELVIN);
    Ticks ticks = Ticks.between(from, to, 5);
    for (int i = 0; i < ticks.count(); i++) {
      double at = y.from() + (y.to() - y.from()) * (ticks.at(i) - from) / (to - from);
      pen.line(left, at, right, at, Tone.GRID, 1);
      pen.words(
          left - 8,
          at + 4,
          notation.fixed(ticks.at(i), ticks.decimals()),
          Tone.QUIET,
          SMALL,
          Anchor.END);
    }
  }

  private Picture pairs(double width, double height) {
    Picture.Pen pen = new Picture.Pen();
    List<Judged.Mean> ranking = judged.ranking();
    double cell = Math.min(150, (width - NAMES) / Math.max(1, ranking.size() - 1));
    for (int j = 1; j < ranking.size(); j++) {
      double x = NAMES + cell * (j - 1);
      String name = ranking.get(j).candidate();
      int most = (int) (cell / 8);
      pen.words(
          x + cell / 2,
          TOP - 8,
          name.length() <= most ? name : name.substring(0, Math.max(1, most - 1)) + "…",
          Tone.QUIET,
          SMALL,
          Anchor.MIDDLE);
    }
    for (int i = 0; i < ranking.size() - 1; i++) {
      double y = TOP + ROW * i;
      pen.words(
          0, y + ROW / 2 + 4, brief(ranking.get(i).candidate()), Tone.INK, PLAIN, Anchor.START);
      for (int j = i + 1; j < ranking.size(); j++) {
        Judged.Pair pair = judged.pair(ranking.get(i).candidate(), ranking.get(j).candidate());
        double x = NAMES + cell * (j - 1);
        if (pair.told()) {
          pen.box(x + 2, y + 2, cell - 4, ROW - 4, Tone.AMBER, "");
          pen.box(x + 3.5, y + 3.5, cell - 7, ROW - 7, Tone.PANEL, "");
        }
        String figure = notation.number(pair.kelvin(), Unit.KELVIN);
        pen.words(
            x + cell / 2,
            y + ROW / 2 + 4,
            cell < 90
                ? figure
                : figure + " ± " + notation.number(pair.interval().width() / 2, Unit.KELVIN),
            pair.told() ? Tone.INK : Tone.QUIET,
            cell < 60 ? SMALL : PLAIN,
            Anchor.MIDDLE);
      }
    }
    return pen.picture(width, height, "All pairs. " + answer.sentence());
  }

  private Picture bench(double width, double height) {
    Picture.Pen pen = new Picture.Pen();
    List<Mount> mounts =
        judged.mounts().stream()
            .sorted((a, b) -> Double.compare(a.order().orElseThrow(), b.order().orElseThrow()))
            .toList();
    double[] off = mounts.stream().mapToDouble(this::overItsMean).toArray();
    Scale y =
        over(DoubleStream.concat(DoubleStream.of(off), DoubleStream.of(0)), height - FOOT, TOP);
    double left = 48;
    double step = (width - left - 12) / mounts.size();
    upwards(pen, y, left, width);
    pen.words(
        left,
        12,
        notation.symbol(Unit.KELVIN) + " over the candidate's mean",
        Tone.QUIET,
        SMALL,
        Anchor.START);
    pen.line(left, y.at(0), width, y.at(0), Tone.QUIET, 1);
    for (int i = 0; i < off.length; i++) {
      double x = left + step * (i + 0.5);
      if (i > 0 && !mounts.get(i).block().equals(mounts.get(i - 1).block())) {
        pen.dashed(x - step / 2, TOP, x - step / 2, height - FOOT, Tone.QUIET, 1);
      }
      pen.box(x - DOT / 2, y.at(off[i]) - DOT / 2, DOT, DOT, Tone.AMBER, "");
      if (step > 26) {
        String name = mounts.get(i).candidate();
        int most = (int) (step / 7);
        pen.words(
            x,
            height - 8,
            name.length() <= most ? name : name.substring(0, Math.max(1, most - 1)) + "…",
            Tone.QUIET,
            SMALL,
            Anchor.MIDDLE);
      }
    }
    return pen.picture(width, height, "The bench over " + off.length + " mounts.");
  }

  private double overItsMean(Mount m) {
    double mean =
        judged.ranking().stream()
            .filter(r -> r.candidate().equals(m.candidate()))
            .findFirst()
            .orElseThrow()
            .kelvin();
    return m.riseAt(judged.watts()) - mean;
  }

  private Picture price(double width, double height) {
    double most =
        judged.ranking().stream().mapToDouble(m -> m.price().orElseThrow()).max().orElse(1);
    return against(
        width,
        height,
        judged.ranking(),
        m -> m.price().orElseThrow(),
        new Across(1.1 * most, "price of a use", "Rise against the price of a use."));
  }

  private Picture life(double width, double height) {
    return against(
        width,
        height,
        judged.ranking().stream().filter(m -> wear(m) != null).toList(),
        m -> wear(m).years(answer.careKelvin(), m.kelvin()),
        new Across(
            SeriesKnown.Wear.LONGEST_YEARS,
            "years until it is "
                + notation.text(answer.careKelvin(), Unit.KELVIN)
                + " hotter; ten stand for more",
            "Rise against the years it lasts."));
  }

  private SeriesKnown.Wear wear(Judged.Mean m) {
    return answer.known().wear().get(m.candidate());
  }

  /** What lies along the lower side. */
  private record Across(double most, String words, String picture) {}

  /** Each candidate's rise against something else of it. */
  private Picture against(
      double width,
      double height,
      List<Judged.Mean> all,
      ToDoubleFunction<Judged.Mean> along,
      Across what) {
    Picture.Pen pen = new Picture.Pen();
    Scale x = new Scale(0, Math.max(1e-9, what.most()), 48, width - RIGHT);
    Scale y =
        over(
            all.stream()
                .flatMapToDouble(m -> DoubleStream.of(m.interval().low(), m.interval().high())),
            height - FOOT,
            TOP);
    upwards(pen, y, 48, width - RIGHT);
    across(pen, x, height - FOOT, TOP, Unit.NUMBER);
    pen.words(
        48, 12, notation.symbol(Unit.KELVIN) + " over the room", Tone.QUIET, SMALL, Anchor.START);
    pen.words(width - RIGHT, height - FOOT - 6, what.words(), Tone.QUIET, SMALL, Anchor.END);
    for (Judged.Mean m : all) {
      double at = x.at(along.applyAsDouble(m));
      pen.line(at, y.at(m.interval().low()), at, y.at(m.interval().high()), Tone.AFTER, 2);
      pen.box(at - 5, y.at(m.kelvin()) - 5, 10, 10, Tone.AMBER, "");
      pen.words(at + 9, y.at(m.kelvin()) + 4, brief(m.candidate()), Tone.INK, SMALL, Anchor.START);
    }
    return pen.picture(width, height, what.picture());
  }
}
