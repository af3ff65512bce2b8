package dev.ambershim.core.picture;

import dev.ambershim.core.notation.Notation;
import dev.ambershim.core.notation.Unit;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.runlog.RunAnalysis;
import dev.ambershim.core.runlog.RunLog;
import dev.ambershim.core.runlog.RunSeries;
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
  private static final double STEP = 1.5;

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

  /** Draws runs into a given size. */
  public static Picture of(List<Line> lines, Notation notation, double width, double height) {
    Pen pen = new Pen();
    boolean rise =
        !lines.isEmpty() && lines.stream().allMatch(l -> RunSeries.hasRoom(l.log(), l.analysis()));
    Unit unit = rise ? Unit.KELVIN : Unit.CELSIUS;
    List<double[]> xs = new ArrayList<>();
    List<double[]> ys = new ArrayList<>();
    double longest = 60;
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (Line line : lines) {
      double[] t = RunSeries.secondsUnderLoad(line.log(), line.analysis());
      double[] y = RunSeries.underLoad(line.log(), line.analysis(), rise);
      xs.add(t);
      ys.add(y);
      longest = Math.max(longest, t.length == 0 ? 0 : t[t.length - 1]);
      for (double v : y) {
        if (!Double.isNaN(v)) {
          low = Math.min(low, v);
          high = Math.max(high, v);
        }
      }
    }
    if (!(low <= high)) {
      low = 0;
      high = 10;
    }
    double margin = Math.max(1, (high - low) * 0.06);
    Axes axes = new Axes(width, height, longest / 60, low - margin, high + margin);
    axes.draw(pen, notation, unit, rise);
    for (int i = 0; i < lines.size(); i++) {
      band(pen, axes, lines.get(i), i, lines.size());
    }
    for (int i = 0; i < lines.size(); i++) {
      thinned(pen, axes, xs.get(i), ys.get(i), lines.get(i).after() ? Tone.AFTER : Tone.BEFORE);
    }
    labels(pen, axes, lines, rise, notation, unit);
    return pen.picture(width, height, describe(lines, rise, notation, unit));
  }

  private static void band(Pen pen, Axes axes, Line line, int index, int count) {
    RunAnalysis a = line.analysis();
    if (a.settledSamples() == 0) {
      return;
    }
    double from = axes.x((a.settledFromSeconds() - a.loadFromSeconds()) / 60);
    double to = axes.x((a.settledToSeconds() - a.loadFromSeconds()) / 60);
    // Bands stack along the foot, so that those of several runs do not hide each other.
    double each = Math.min(8, 40.0 / count);
    double y = axes.bottom() - each * (count - index);
    Tone tone = line.after() ? Tone.AFTER : Tone.BEFORE;
    pen.box(from, y, to - from, each - 1, line.after() ? Tone.AFTER_BAND : Tone.BEFORE_BAND, "");
    pen.line(from, y, from, y + each - 1, tone, 1.5);
    pen.line(to, y, to, y + each - 1, tone, 1.5);
  }

  private static void thinned(Pen pen, Axes axes, double[] t, double[] y, Tone tone) {
    int buckets = (int) Math.max(1, (axes.right() - axes.left()) / STEP) + 1;
    double[] px = new double[2 * buckets];
    double[] py = new double[2 * buckets];
    int n = 0;
    int i = 0;
    while (i < t.length) {
      int bucket = (int) ((axes.x(t[i] / 60) - axes.left()) / STEP);
      int lowest = -1;
      int highest = -1;
      while (i < t.length && (int) ((axes.x(t[i] / 60) - axes.left()) / STEP) == bucket) {
        if (!Double.isNaN(y[i])) {
          lowest = lowest < 0 || y[i] < y[lowest] ? i : lowest;
          highest = highest < 0 || y[i] > y[highest] ? i : highest;
        }
        i++;
      }
      if (lowest >= 0 && n + 2 <= px.length) {
        int a = Math.min(lowest, highest);
        int b = Math.max(lowest, highest);
        px[n] = axes.x(t[a] / 60);
        py[n++] = axes.y(y[a]);
        if (b != a) {
          px[n] = axes.x(t[b] / 60);
          py[n++] = axes.y(y[b]);
        }
      }
    }
    pen.trace(Arrays.copyOf(px, n), Arrays.copyOf(py, n), tone, 1.2);
  }

  private static void labels(
      Pen pen, Axes axes, List<Line> lines, boolean rise, Notation notation, Unit unit) {
    double last = Double.NEGATIVE_INFINITY;
    List<Line> sorted = new ArrayList<>(lines);
    sorted.sort((a, b) -> Double.compare(mean(b, rise), mean(a, rise)));
    for (Line line : sorted) {
      double mean = mean(line, rise);
      if (Double.isNaN(mean)) {
        continue;
      }
      Tone tone = line.after() ? Tone.AFTER : Tone.BEFORE;
      double y = Math.max(axes.y(mean) + 4, last + 30);
      last = y;
      pen.dashed(axes.right(), axes.y(mean), axes.right() + 8, y - 4, tone, 1.5);
      pen.strong(axes.right() + 12, y, notation.text(mean, unit), tone, 14, Anchor.START);
      pen.words(axes.right() + 12, y + 13, line.name(), tone, 11, Anchor.START);
    }
  }

  private static double mean(Line line, boolean rise) {
    return rise ? line.analysis().riseKelvin() : line.analysis().meanCoreCelsius();
  }

  private static String describe(List<Line> lines, boolean rise, Notation notation, Unit unit) {
    StringBuilder words = new StringBuilder(rise ? "Rise over room air" : "Core temperature");
    words.append(" against time under load.");
    for (Line line : lines) {
      words
          .append(' ')
          .append(line.name())
          .append(": settled at ")
          .append(notation.text(mean(line, rise), unit))
          .append('.');
    }
    return words.toString();
  }

  /** Maps minutes and kelvin to the picture. */
  private record Axes(double width, double height, double minutes, double low, double high) {
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
      return LEFT + minute / minutes * (right() - LEFT);
    }

    double y(double value) {
      return bottom() - (value - low) / (high - low) * (bottom() - TOP);
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
      Ticks across = Ticks.between(0, minutes, 9);
      for (int i = 0; i < across.count(); i++) {
        double x = x(across.at(i));
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
              + ", against minutes under load. Bars at the foot: settled parts.",
          Tone.QUIET,
          11,
          Anchor.START);
    }
  }
}
