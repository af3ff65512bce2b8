package dev.ambershim.core.stage.prove;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Ticks;
import dev.ambershim.core.picture.Tone;
import dev.ambershim.core.runs.clocking.ClockLadder;
import dev.ambershim.core.runs.clocking.Outcome;
import dev.ambershim.core.runs.clocking.Rung;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Clock ladders side by side on one scale of clock, drawn as ladders: a rung that passed is whole,
 * one that did not is broken and says how, and the gap in which the highest clock lies is shaded.
 */
public final class RungPicture {
  private static final double AXIS = 58;
  private static final double TOP = 40;
  private static final double BOTTOM = 16;
  private static final double UPRIGHTS = 54;
  private static final double LINE = 15;

  /**
   * One ladder to draw.
   *
   * @param name what to call it
   * @param tone its colour
   * @param band the colour of its gap
   * @param next the clock to try next, MHz; not a number if there is none
   */
  public record Column(String name, Tone tone, Tone band, ClockLadder ladder, double next) {}

  private RungPicture() {}

  /**
   * The columns of both states, or of the state before alone.
   *
   * @param nextBefore clock to try next before the work, MHz; not a number if there is none
   * @param nextAfter the same after it
   */
  public static List<Column> columns(
      Headroom headroom, boolean both, double nextBefore, double nextAfter) {
    Column before =
        new Column("before", Tone.BEFORE, Tone.BEFORE_BAND, headroom.before(), nextBefore);
    Column after = new Column("after", Tone.AFTER, Tone.AFTER_BAND, headroom.after(), nextAfter);
    return both ? List.of(before, after) : List.of(before);
  }

  /** The height that ladders take. */
  public static double height(List<Column> columns) {
    int most =
        columns.stream()
            .mapToInt(c -> c.ladder().rungs().size() + (Double.isNaN(c.next()) ? 0 : 1))
            .max()
            .orElse(0);
    return Math.min(460, TOP + BOTTOM + Math.max(110, 26.0 * most));
  }

  /** Draws ladders that have a rung between them. */
  public static Picture of(List<Column> columns, Notation notation, double width, double height) {
    Pen pen = new Pen();
    double[] clocks =
        columns.stream()
            .flatMap(
                c ->
                    Stream.concat(
                        c.ladder().rungs().stream().map(Rung::clockMegahertz),
                        Double.isNaN(c.next()) ? Stream.<Double>empty() : Stream.of(c.next())))
            .mapToDouble(Double::doubleValue)
            .sorted()
            .toArray();
    double low = clocks[0];
    double high = Math.max(clocks[clocks.length - 1], low + 50);
    double scale = (height - TOP - BOTTOM - 12) / (high - low);
    double foot = height - BOTTOM - 6;
    Ticks ticks = Ticks.between(low, high, 7);
    for (int i = 0; i < ticks.count(); i++) {
      double y = foot - (ticks.at(i) - low) * scale;
      pen.line(AXIS, y, width, y, Tone.GRID, 1);
      pen.words(AXIS - 8, y + 4, notation.fixed(ticks.at(i), 0), Tone.QUIET, 11, Anchor.END);
    }
    pen.words(AXIS - 8, 12, "MHz", Tone.QUIET, 11, Anchor.END);
    double each = (width - AXIS) / columns.size();
    for (int i = 0; i < columns.size(); i++) {
      column(pen, columns.get(i), AXIS + 12 + i * each, low, scale, foot, notation);
    }
    return pen.picture(width, height, describe(columns, notation));
  }

  private static void column(
      Pen pen, Column c, double left, double low, double scale, double foot, Notation notation) {
    ClockLadder ladder = c.ladder();
    pen.strong(left, 14, c.name(), c.tone(), 13, Anchor.START);
    pen.words(left + 54, 14, summary(ladder, notation), Tone.INK, 12, Anchor.START);
    if (ladder.rungs().isEmpty() && Double.isNaN(c.next())) {
      return;
    }
    if (ladder.bracketed()) {
      double from = foot - (ladder.lowestBlock().getAsDouble() - low) * scale;
      double to = foot - (ladder.highestPass().getAsDouble() - low) * scale;
      pen.box(left, from, UPRIGHTS, to - from, c.band(), "");
    }
    pen.line(left, TOP - 8, left, foot + 10, c.tone(), 2);
    pen.line(left + UPRIGHTS, TOP - 8, left + UPRIGHTS, foot + 10, c.tone(), 2);
    List<Label> labels = new ArrayList<>();
    for (Rung r : ladder.rungs()) {
      double y = foot - (r.clockMegahertz() - low) * scale;
      if (ladder.counts(r) == Outcome.PASSED) {
        pen.line(left, y, left + UPRIGHTS, y, c.tone(), 4);
      } else {
        pen.dashed(left, y, left + UPRIGHTS, y, Tone.ALARM, 2.5);
        pen.words(left + UPRIGHTS / 2, y + 5, "×", Tone.ALARM, 15, Anchor.MIDDLE);
      }
      labels.add(new Label(y, words(ladder, r, notation), ladder.counts(r) != Outcome.PASSED));
    }
    if (!Double.isNaN(c.next())) {
      double y = foot - (c.next() - low) * scale;
      pen.dashed(left, y, left + UPRIGHTS, y, Tone.AMBER, 2);
      labels.add(new Label(y, "next: " + notation.text(c.next(), Unit.MEGAHERTZ), false));
    }
    place(pen, labels, left + UPRIGHTS, foot);
  }

  /** A rung's words; {@code y} is where its rung lies. */
  private record Label(double y, String words, boolean alarm) {}

  /** Writes labels from the foot up, each above the last where they would lie over each other. */
  private static void place(Pen pen, List<Label> labels, double x, double foot) {
    List<Label> sorted = new ArrayList<>(labels);
    sorted.sort((a, b) -> Double.compare(b.y(), a.y()));
    double last = foot + 2 * LINE;
    for (Label label : sorted) {
      double y = Math.min(label.y(), last - LINE);
      last = y;
      if (label.y() - y > 3) {
        pen.line(x, label.y(), x + 9, y, Tone.QUIET, 0.8);
      }
      pen.words(
          x + 12, y + 4, label.words(), label.alarm() ? Tone.ALARM : Tone.INK, 12, Anchor.START);
    }
  }

  private static String words(ClockLadder ladder, Rung r, Notation notation) {
    Outcome counts = ladder.counts(r);
    StringBuilder text = new StringBuilder(notation.number(r.clockMegahertz(), Unit.MEGAHERTZ));
    text.append(' ').append(counts.words());
    double hottest = r.hottestIn(ladder.roomCelsius());
    if (!Double.isNaN(hottest)) {
      text.append(" · ").append(notation.text(hottest, Unit.CELSIUS));
    }
    if (r.voltageVolts() != null) {
      text.append(" · ").append(notation.text(r.voltageVolts(), Unit.VOLT));
    }
    return text.toString();
  }

  private static String summary(ClockLadder ladder, Notation notation) {
    if (ladder.rungs().isEmpty()) {
      return "no rung yet";
    }
    if (ladder.highestPass().isEmpty()) {
      return "none passed";
    }
    String pass = notation.number(ladder.highestPass().getAsDouble(), Unit.MEGAHERTZ);
    return ladder.lowestBlock().isEmpty()
        ? pass + " MHz or more"
        : pass + " to " + notation.text(ladder.lowestBlock().getAsDouble(), Unit.MEGAHERTZ);
  }

  private static String describe(List<Column> columns, Notation notation) {
    StringBuilder text = new StringBuilder("Clock ladders.");
    for (Column c : columns) {
      text.append(' ').append(c.name()).append(": ").append(summary(c.ladder(), notation));
      for (Rung r : c.ladder().rungs()) {
        text.append("; ").append(words(c.ladder(), r, notation));
      }
      text.append('.');
    }
    return text.toString();
  }
}
