package dev.ambershim.core.stage.keep;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.CareEvent;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Ticks;
import dev.ambershim.core.picture.Tone;
import dev.ambershim.core.runs.drift.Check;
import dev.ambershim.core.runs.drift.Drift;
import dev.ambershim.core.runs.drift.Jump;
import dev.ambershim.core.runs.drift.Line;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;

/**
 * The course of a chip: checks with their errors, the drift with its band a while ahead, the limit,
 * jumps and what happened. Checks that do not count are hollow.
 */
public final class CoursePicture {
  private static final double LEFT = 56;
  private static final double RIGHT = 16;
  private static final double TOP = 34;
  private static final double FOOT = 28;
  private static final double DOT = 7;
  private static final double SMALL = 11;
  private static final double SHOWN_AHEAD = 0.35;
  private static final int BAND_POINTS = 40;
  private static final double USUAL_ERROR = 0.45;
  private static final double DAYS = 365.25;

  private final CourseAnswer answer;
  private final List<CareEvent> events;
  private final Notation notation;
  private final double width;
  private final double height;
  private final Picture.Pen pen = new Picture.Pen();
  private final LocalDate begins;
  private final double days;
  private final double low;
  private final double high;

  private CoursePicture(
      CourseAnswer answer, List<CareEvent> events, Notation notation, double width, double height) {
    this.answer = answer;
    this.events = events;
    this.notation = notation;
    this.width = width;
    this.height = height;
    Drift drift = answer.drift();
    LocalDate first = drift.first();
    LocalDate last = drift.last();
    for (Drift.Apart a : drift.apart()) {
      first = a.check().date().isBefore(first) ? a.check().date() : first;
      last = a.check().date().isAfter(last) ? a.check().date() : last;
    }
    begins = first;
    double span = Math.max(30.0, (double) ChronoUnit.DAYS.between(first, last));
    days = span * (1 + SHOWN_AHEAD);
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (Check c : shown()) {
      double rise = c.riseAt(drift.watts());
      least = Math.min(least, rise - 1);
      most = Math.max(most, rise + 1);
    }
    double limit = answer.given().limit().map(Limit::riseKelvin).orElse(most);
    // A limit far over the course would press it flat; then it is told in words only.
    if (limit < most + 2 * (most - least) + 6) {
      most = Math.max(most, limit + 0.5);
    }
    if (answer.ahead().isPresent()) {
      Line line = answer.ahead().orElseThrow();
      double end = (days - span) / DAYS;
      most = Math.max(most, Math.min(line.kelvinIn(end), most + 2 * (most - least)));
    }
    low = least;
    high = most;
  }

  /** Draws it. */
  public static Picture of(
      CourseAnswer answer, List<CareEvent> events, Notation notation, double width, double height) {
    return new CoursePicture(answer, events, notation, width, height).draw();
  }

  private List<Check> shown() {
    List<Check> all = new ArrayList<>(answer.drift().used());
    answer.drift().apart().stream()
        .filter(a -> comparable(a.reason()))
        .forEach(a -> all.add(a.check()));
    return all;
  }

  private static boolean comparable(Drift.Reason reason) {
    return reason != Drift.Reason.OTHER_POWER && reason != Drift.Reason.OTHER_COOLING;
  }

  private double x(LocalDate day) {
    return x(daysTo(day));
  }

  private double daysTo(LocalDate day) {
    return (double) ChronoUnit.DAYS.between(begins, day);
  }

  private double x(double day) {
    return LEFT + (width - LEFT - RIGHT) * day / days;
  }

  private double y(double kelvin) {
    double share = (kelvin - low) / (high - low);
    return height - FOOT - (height - TOP - FOOT) * Math.max(-0.02, Math.min(1.02, share));
  }

  private Picture draw() {
    axes();
    drift();
    limit();
    happened();
    for (Drift.Apart a : answer.drift().apart()) {
      if (comparable(a.reason())) {
        check(a.check(), false);
      }
    }
    answer.drift().used().forEach(c -> check(c, true));
    return pen.picture(width, height, describe());
  }

  private void axes() {
    double from = notation.shown(low, Unit.KELVIN);
    double to = notation.shown(high, Unit.KELVIN);
    Ticks rises = Ticks.between(from, to, 6);
    for (int i = 0; i < rises.count(); i++) {
      double y = y(low + (rises.at(i) - from) / (to - from) * (high - low));
      pen.line(LEFT, y, width - RIGHT, y, Tone.GRID, 1);
      pen.words(
          LEFT - 8,
          y + 4,
          notation.fixed(rises.at(i), rises.decimals()),
          Tone.QUIET,
          SMALL,
          Anchor.END);
    }
    pen.words(
        LEFT,
        14,
        notation.symbol(Unit.KELVIN)
            + " over the room at "
            + notation.text(answer.drift().watts(), Unit.WATT),
        Tone.QUIET,
        SMALL,
        Anchor.START);
    int months = Math.max(1, (int) Math.ceil(days / DAYS * 12 / 7));
    LocalDate month = begins.withDayOfMonth(1).plusMonths(1);
    for (; x(month) < width - RIGHT; month = month.plusMonths(months)) {
      pen.line(x(month), height - FOOT, x(month), height - FOOT + 4, Tone.QUIET, 1);
      String name = Notation.month(month);
      String brief = name.substring(0, 3) + name.substring(name.length() - 5);
      if (x(month) < width - RIGHT - 30) {
        pen.words(x(month), height - 8, brief, Tone.QUIET, SMALL, Anchor.MIDDLE);
      }
    }
  }

  /** The drift as a line with its band: through the checks as they tell it, and a while ahead. */
  private void drift() {
    if (answer.ahead().isEmpty()) {
      return;
    }
    Line line = answer.ahead().orElseThrow();
    Drift drift = answer.drift();
    double last = daysTo(drift.last());
    double from =
        drift.jumps().isEmpty()
            ? daysTo(drift.first())
            : daysTo(drift.jumps().get(drift.jumps().size() - 1).date());
    double[] xs = new double[BAND_POINTS + 1];
    double[] tops = new double[BAND_POINTS + 1];
    double[] bottoms = new double[BAND_POINTS + 1];
    for (int i = 0; i <= BAND_POINTS; i++) {
      double day = from + (days - from) * i / BAND_POINTS;
      double years = (day - last) / DAYS;
      xs[i] = x(day);
      tops[i] = y(line.kelvinIn(years) + line.halfIn(years));
      bottoms[i] = y(line.kelvinIn(years) - line.halfIn(years));
    }
    pen.band(xs, tops, bottoms, Tone.AFTER_BAND);
    pen.line(
        x(from), y(line.kelvinIn((from - last) / DAYS)), x(last), y(line.kelvin()), Tone.AFTER, 2);
    pen.dashed(
        x(last), y(line.kelvin()), x(days), y(line.kelvinIn((days - last) / DAYS)), Tone.AFTER, 2);
    for (Jump j : drift.jumps()) {
      pen.dashed(x(j.date()) - 3, TOP, x(j.date()) - 3, height - FOOT, Tone.ALARM, 1);
      pen.words(
          x(j.date()) - 7,
          TOP + 10,
          (j.kelvin() > 0 ? "+" : "") + notation.text(j.kelvin(), Unit.KELVIN),
          Tone.ALARM,
          SMALL,
          Anchor.END);
    }
  }

  private void limit() {
    answer
        .given()
        .limit()
        .filter(l -> l.riseKelvin() <= high)
        .ifPresent(
            l -> {
              pen.line(LEFT, y(l.riseKelvin()), width - RIGHT, y(l.riseKelvin()), Tone.ALARM, 1.5);
              pen.words(
                  width - RIGHT,
                  y(l.riseKelvin()) - 5,
                  "limit, " + l.words(notation),
                  Tone.ALARM,
                  SMALL,
                  Anchor.END);
            });
  }

  private void happened() {
    for (CareEvent e : events) {
      if (e.date().isBefore(begins) || x(e.date()) > width - RIGHT) {
        continue;
      }
      double x = x(e.date());
      pen.line(x, TOP - 4, x, height - FOOT, Tone.QUIET, 1);
      boolean late = x > width - 110;
      pen.words(
          x + (late ? -4 : 4),
          TOP - 6,
          e.kind().words(),
          Tone.INK,
          SMALL,
          late ? Anchor.END : Anchor.START);
    }
  }

  private void check(Check c, boolean counts) {
    Drift drift = answer.drift();
    double rise = c.riseAt(drift.watts());
    double error = 1.96 * c.errorKelvin().orElse(USUAL_ERROR) * drift.watts() / c.watts();
    double x = x(c.date());
    pen.line(x, y(rise - error), x, y(rise + error), counts ? Tone.INK : Tone.QUIET, 1);
    pen.box(x - DOT / 2, y(rise) - DOT / 2, DOT, DOT, counts ? Tone.AMBER : Tone.QUIET, "");
    if (!counts) {
      pen.box(x - DOT / 2 + 1.5, y(rise) - DOT / 2 + 1.5, DOT - 3, DOT - 3, Tone.PANEL, "");
    }
  }

  private String describe() {
    return "Rise over the room at "
        + notation.text(answer.drift().watts(), Unit.WATT)
        + ", "
        + shown().size()
        + " checks. "
        + answer.sentence();
  }
}
