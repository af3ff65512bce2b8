package dev.ambershim.core.picture;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.RunMark;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Runs on one pair of axes, from the start of their load: rise over room air if every run has it,
 * else core temperature. The settled part is banded and carries its mean; lines are named where
 * they end, so that colour is never needed to tell them apart. Lines are thinned to the highest and
 * lowest sample of each step across, so that no peak is lost.
 */
public final class RunChart {
  /** Width of the steps across that lines are thinned to; finer ones cannot be seen. */
  /** Height of a label with its name below, and of a figure alone. */
  private static final double NAMED = 30;

  private static final double UNNAMED = 15;

  private static final double STEP = 1.5;

  /** Up to so many samples a step a line is drawn through them; more would cover the step. */
  private static final int FEW = 6;

  /** Width of a line. */
  private static final double THIN = 1.2;

  private static final double LEFT = 46;
  private static final double RIGHT = 130;
  private static final double TOP = 14;
  private static final double BOTTOM = 34;

  /**
   * One run to draw.
   *
   * @param name what to call it at the line's end
   * @param after whether it belongs to the runs after the work
   */
  public record Line(String name, boolean after, RunLog log, RunAnalysis analysis) {}

  private RunChart() {}

  /** Draws runs under load into a given size. */
  public static Picture of(List<Line> lines, Notation notation, double width, double height) {
    ChartData data = ChartData.of(lines);
    return of(data, data.load(), List.of(), notation, width, height);
  }

  /**
   * Draws a stretch of runs into a given size.
   *
   * @param span what is in sight
   * @param marks places that are marked
   */
  public static Picture of(
      ChartData data,
      Span span,
      List<RunMark> marks,
      Notation notation,
      double width,
      double height) {
    Pen pen = new Pen();
    Unit unit = data.unit();
    Axes axes = axes(data, span, width, height);
    axes.draw(pen, notation, unit, data.rise());
    int count = data.series().size();
    for (int i = 0; i < count; i++) {
      band(pen, axes, data.series().get(i).line(), i, count);
    }
    for (ChartData.Series s : data.series()) {
      thinned(pen, axes, s);
    }
    List<Line> lines = data.series().stream().map(ChartData.Series::line).toList();
    labels(pen, axes, data, notation);
    for (int i = 0; i < marks.size(); i++) {
      double x = axes.x(marks.get(i).minutes());
      if (x >= axes.left() && x <= axes.right()) {
        pen.dashed(x, TOP - 2, x, axes.bottom(), Tone.AMBER, 1.5);
        pen.strong(x + 3, TOP + 8, RunMark.letter(i), Tone.AMBER, 12, Anchor.START);
      }
    }
    return pen.picture(width, height, describe(data, marks, lines, notation));
  }

  /** The reading line at a time with what each run shows there, to lie over the chart. */
  public static Picture reading(
      ChartData data, Span span, double minute, Notation notation, double width, double height) {
    Pen pen = new Pen();
    Axes axes = axes(data, span, width, height);
    double x = axes.x(minute);
    if (x >= axes.left() && x <= axes.right()) {
      pen.line(x, TOP, x, axes.bottom(), Tone.QUIET, 1);
      boolean left = x > (axes.left() + axes.right()) / 2;
      double last = Double.NEGATIVE_INFINITY;
      List<ChartData.Reading> readings = new ArrayList<>(data.at(minute));
      readings.sort((a, b) -> Double.compare(b.value(), a.value()));
      for (ChartData.Reading r : readings) {
        Tone tone = r.line().after() ? Tone.AFTER : Tone.BEFORE;
        double y = axes.y(r.value());
        double at = Math.max(y - 6, last + 16);
        last = at;
        String words = notation.text(r.value(), data.unit());
        double from = left ? x - 8 - 7.2 * words.length() : x + 6;
        pen.box(x - 3, y - 3, 6, 6, tone, "");
        pen.box(from - 3, at - 12, 7.2 * words.length() + 6, 16, Tone.PANEL, "");
        pen.strong(left ? x - 8 : x + 6, at, words, tone, 13, left ? Anchor.END : Anchor.START);
      }
      String time = axes.time(minute, notation);
      double wide = 6.2 * time.length();
      pen.box(left ? x - 6 - wide : x + 2, axes.bottom() - 16, wide + 4, 15, Tone.PANEL, "");
      pen.words(
          left ? x - 4 : x + 4,
          axes.bottom() - 4,
          time,
          Tone.INK,
          11,
          left ? Anchor.END : Anchor.START);
    }
    return pen.picture(width, height, data.words(minute, notation));
  }

  /** The time at a place across a chart, minutes under load. */
  public static double minuteAt(Span span, double width, double x) {
    return span.fromMinutes() + (x - LEFT) / (width - RIGHT - LEFT) * span.minutes();
  }

  /** The time that a distance across a chart stands for. */
  public static double minutesOf(Span span, double width, double distance) {
    return distance / (width - RIGHT - LEFT) * span.minutes();
  }

  private static Axes axes(ChartData data, Span span, double width, double height) {
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    double[] found = new double[2];
    for (ChartData.Series s : data.series()) {
      s.extremes().over(s.first(span.fromMinutes()), s.first(Math.nextUp(span.toMinutes())), found);
      low = Math.min(low, found[0]);
      high = Math.max(high, found[1]);
    }
    if (!(low <= high)) {
      low = 0;
      high = 10;
    }
    double margin = Math.max(0.5, (high - low) * 0.06);
    // Under the lowest line there is room for the bars at the foot.
    double foot = bandHeight(data.series().size()) * data.series().size();
    double plot = Math.max(1, height - TOP - BOTTOM - foot);
    double under = (high - low + 2 * margin) * foot / plot;
    return new Axes(width, height, span, low - margin - under, high + margin);
  }

  private static double bandHeight(int count) {
    return Math.min(8, 40.0 / Math.max(1, count));
  }

  private static void band(Pen pen, Axes axes, Line line, int index, int count) {
    RunAnalysis a = line.analysis();
    if (a.settledSamples() == 0) {
      return;
    }
    double begin = axes.x((a.settledFromSeconds() - a.loadFromSeconds()) / 60);
    double end = axes.x((a.settledToSeconds() - a.loadFromSeconds()) / 60);
    double from = Math.max(begin, axes.left());
    double to = Math.min(end, axes.right());
    if (from >= to) {
      return;
    }
    // Bands stack along the foot, so that those of several runs do not hide each other.
    double each = bandHeight(count);
    double y = axes.bottom() - each * (count - index);
    Tone tone = line.after() ? Tone.AFTER : Tone.BEFORE;
    pen.box(from, y, to - from, each - 1, line.after() ? Tone.AFTER_BAND : Tone.BEFORE_BAND, "");
    if (from == begin) {
      pen.line(from, y, from, y + each - 1, tone, 1.5);
    }
    if (to == end) {
      pen.line(to, y, to, y + each - 1, tone, 1.5);
    }
  }

  private static void thinned(Pen pen, Axes axes, ChartData.Series s) {
    Tone tone = s.line().after() ? Tone.AFTER : Tone.BEFORE;
    int buckets = (int) Math.max(1, (axes.right() - axes.left()) / STEP);
    int from = s.first(axes.span().fromMinutes());
    int to = s.first(Math.nextUp(axes.span().toMinutes()));
    if (to - from <= FEW * buckets) {
      everySample(pen, axes, s, from, to, tone);
      return;
    }
    double[] px = new double[buckets];
    double[] tops = new double[buckets];
    double[] bottoms = new double[buckets];
    double[] found = new double[2];
    double each = axes.span().minutes() / buckets;
    int n = 0;
    int start = from;
    for (int b = 0; b < buckets; b++) {
      int end = b == buckets - 1 ? to : s.first(axes.span().fromMinutes() + (b + 1) * each);
      s.extremes().over(start, end, found);
      start = end;
      if (found[0] <= found[1]) {
        px[n] = axes.left() + (b + 0.5) * STEP;
        tops[n] = axes.y(found[1]) - THIN / 2;
        bottoms[n++] = axes.y(found[0]) + THIN / 2;
      }
    }
    pen.band(Arrays.copyOf(px, n), Arrays.copyOf(tops, n), Arrays.copyOf(bottoms, n), tone);
  }

  /** Few samples: each is drawn, and the line is cut where the axes end. */
  private static void everySample(
      Pen pen, Axes axes, ChartData.Series s, int from, int to, Tone tone) {
    double[] px = new double[to - from + 2];
    double[] py = new double[to - from + 2];
    int n = 0;
    n = edge(axes, s, from, axes.span().fromMinutes(), px, py, n);
    for (int i = from; i < to; i++) {
      if (!Double.isNaN(s.values()[i])) {
        px[n] = axes.x(s.minutes()[i]);
        py[n++] = axes.y(s.values()[i]);
      }
    }
    n = edge(axes, s, to, axes.span().toMinutes(), px, py, n);
    pen.trace(Arrays.copyOf(px, n), Arrays.copyOf(py, n), tone, THIN);
  }

  /** Where the line between the samples about an index crosses an end of the axes. */
  private static int edge(
      Axes axes, ChartData.Series s, int index, double minute, double[] px, double[] py, int n) {
    if (index <= 0 || index >= s.minutes().length) {
      return n;
    }
    double gap = s.minutes()[index] - s.minutes()[index - 1];
    double share = gap > 0 ? (minute - s.minutes()[index - 1]) / gap : 0;
    double value = s.values()[index - 1] + share * (s.values()[index] - s.values()[index - 1]);
    double y = axes.y(value);
    if (Double.isNaN(value) || y < TOP || y > axes.bottom()) {
      return n;
    }
    px[n] = axes.x(minute);
    py[n] = y;
    return n + 1;
  }

  /**
   * Each line's figure and name beside its end, pushed apart where they would touch. Where there is
   * no room for all, every so many-th has one, and the foot says how many have none.
   */
  private static void labels(Pen pen, Axes axes, ChartData data, Notation notation) {
    List<ChartData.Series> sorted =
        new ArrayList<>(
            data.series().stream().filter(s -> !Double.isNaN(end(s, data.rise()))).toList());
    sorted.sort((a, b) -> Double.compare(end(b, data.rise()), end(a, data.rise())));
    double room = axes.bottom() - TOP;
    boolean named = sorted.size() * NAMED <= room + NAMED;
    double each = named ? NAMED : UNNAMED;
    int most = Math.max(1, (int) (room / each));
    List<ChartData.Series> shown = sorted.size() <= most ? sorted : some(sorted, most - 1);
    double[] y = new double[shown.size()];
    for (int i = 0; i < y.length; i++) {
      double there = axes.y(end(shown.get(i), data.rise()));
      y[i] =
          Math.max(Math.max(TOP, Math.min(axes.bottom(), there)) + 4, i == 0 ? 0 : y[i - 1] + each);
    }
    // From below up again, so that the last ones stay in the picture.
    double lowest =
        axes.bottom() + 4 - (named ? 13 : 0) - (shown.size() < sorted.size() ? each : 0);
    for (int i = y.length - 1; i >= 0; i--) {
      y[i] = Math.min(y[i], lowest);
      lowest = y[i] - each;
    }
    for (int i = 0; i < y.length; i++) {
      Line line = shown.get(i).line();
      Tone tone = line.after() ? Tone.AFTER : Tone.BEFORE;
      double end = axes.y(end(shown.get(i), data.rise()));
      double there = Math.max(TOP, Math.min(axes.bottom(), end));
      pen.dashed(axes.right(), there, axes.right() + 8, y[i] - 4, tone, 1.5);
      double mean = mean(line, data.rise());
      // A run that never settled has a name, but no figure to stand for it.
      String figure = Double.isNaN(mean) ? "–" : notation.text(mean, data.unit());
      pen.strong(axes.right() + 12, y[i], figure, tone, named ? 14 : 11, Anchor.START);
      if (named) {
        pen.words(axes.right() + 12, y[i] + 13, line.name(), tone, 11, Anchor.START);
      }
    }
    if (shown.size() < sorted.size()) {
      pen.words(
          axes.right() + 12,
          axes.bottom() + 4,
          "and " + (sorted.size() - shown.size()) + " more",
          Tone.QUIET,
          11,
          Anchor.START);
    }
  }

  /** So many of a list, evenly, with its first and its last. */
  private static List<ChartData.Series> some(List<ChartData.Series> all, int count) {
    List<ChartData.Series> some = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      some.add(all.get(count == 1 ? 0 : (int) Math.round(i * (all.size() - 1.0) / (count - 1))));
    }
    return some;
  }

  /** Where a line's name stands: at its settled mean, or at its last sample under load. */
  private static double end(ChartData.Series s, boolean rise) {
    double mean = mean(s.line(), rise);
    if (!Double.isNaN(mean)) {
      return mean;
    }
    double load =
        (s.line().analysis().loadToSeconds() - s.line().analysis().loadFromSeconds()) / 60;
    int i = s.first(Math.nextUp(load)) - 1;
    while (i >= 0 && Double.isNaN(s.values()[i])) {
      i--;
    }
    return i < 0 ? Double.NaN : s.values()[i];
  }

  private static double mean(Line line, boolean rise) {
    return rise ? line.analysis().riseKelvin() : line.analysis().meanCoreCelsius();
  }

  private static String describe(
      ChartData data, List<RunMark> marks, List<Line> lines, Notation notation) {
    StringBuilder words =
        new StringBuilder(data.rise() ? "Rise over room air" : "Core temperature");
    words.append(" against time under load.");
    for (Line line : lines) {
      words
          .append(' ')
          .append(line.name())
          .append(": settled at ")
          .append(notation.text(mean(line, data.rise()), data.unit()))
          .append('.');
    }
    for (int i = 0; i < marks.size(); i++) {
      words
          .append(" Mark ")
          .append(RunMark.letter(i))
          .append(" at ")
          .append(data.words(marks.get(i).minutes(), notation))
          .append('.');
    }
    return words.toString();
  }

  /** Maps minutes and kelvin to the picture. */
  private record Axes(double width, double height, Span span, double low, double high) {
    /** Under this a chart counts in seconds, over the other in hours. */
    private static final double SECONDS_UNDER = 3;

    private static final double HOURS_OVER = 360;

    double left() {
      return LEFT;
    }

    double right() {
      return width - RIGHT;
    }

    double bottom() {
      return height - BOTTOM;
    }

    double x(double minute) {
      return LEFT + (minute - span.fromMinutes()) / span.minutes() * (right() - LEFT);
    }

    double y(double value) {
      return bottom() - (value - low) / (high - low) * (bottom() - TOP);
    }

    private double timeScale() {
      return span.minutes() < SECONDS_UNDER ? 60 : span.minutes() > HOURS_OVER ? 1 / 60.0 : 1;
    }

    private String timeWords() {
      return span.minutes() < SECONDS_UNDER
          ? "seconds"
          : span.minutes() > HOURS_OVER ? "hours" : "minutes";
    }

    String time(double minute, Notation notation) {
      return notation.fixed(minute * timeScale(), 2) + " " + timeWords();
    }

    void draw(Pen pen, Notation notation, Unit unit, boolean rise) {
      // Ticks are round in the unit that the person sees, so they are laid out in that unit.
      double shownLow = notation.shown(low, unit);
      double shownHigh = notation.shown(high, unit);
      Ticks vertical = Ticks.between(shownLow, shownHigh, 7);
      for (int i = 0; i < vertical.count(); i++) {
        double y = y(notation.kept(vertical.at(i), unit));
        pen.line(left(), y, right(), y, Tone.GRID, 1);
        pen.words(
            left() - 6,
            y + 4,
            notation.fixed(vertical.at(i), vertical.decimals()),
            Tone.QUIET,
            11,
            Anchor.END);
      }
      double scale = timeScale();
      Ticks across = Ticks.between(span.fromMinutes() * scale, span.toMinutes() * scale, 9);
      for (int i = 0; i < across.count(); i++) {
        double x = x(across.at(i) / scale);
        pen.line(x, bottom(), x, bottom() + 4, Tone.QUIET, 1);
        pen.words(
            x,
            bottom() + 16,
            notation.fixed(across.at(i), across.decimals()),
            Tone.QUIET,
            11,
            Anchor.MIDDLE);
      }
      pen.line(left(), bottom(), right(), bottom(), Tone.QUIET, 1);
      pen.words(
          left(),
          height - 4,
          (rise ? "Rise over room air, mean of the cores, in " : "Mean of the cores, in ")
              + notation.symbol(unit)
              + ", against "
              + timeWords()
              + " under load. Bars at the foot: settled parts.",
          Tone.QUIET,
          11,
          Anchor.START);
    }
  }
}
