package dev.ambershim.core.stage.open;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Tone;
import dev.ambershim.core.plan.Schedule;
import dev.ambershim.core.plan.Schedule.Slot;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * A schedule as the course of the hours: a lane for the hands, a lane for each wait that runs
 * beside them, and where the end lies as a rule and with care. Time without anything to do is cut
 * out, so that an evening's steps can be told apart beside a night's cure; the cut is marked and
 * says how much it leaves out.
 */
public final class SchedulePicture {
  private static final double LEFT = 14;
  private static final double RIGHT = 14;
  private static final double TOP = 30;
  private static final double LANE = 24;
  private static final double CUT = 34;

  /** A time of day is about so wide. */
  private static final double NAME = 34;

  /** Stretches of nothing but waiting beyond this are cut short, minutes. */
  private static final double LONGEST_IDLE = 25;

  private final Schedule schedule;
  private final Notation notation;
  private final ZoneId zone;
  private final double width;
  private final Pen pen = new Pen();
  private final List<Stretch> stretches = new ArrayList<>();

  /** A stretch of time that is drawn to scale, or a cut. */
  private record Stretch(double from, double to, double x, double scale, boolean cut) {
    double at(double minute) {
      return x + (Math.max(from, Math.min(to, minute)) - from) * scale;
    }
  }

  private SchedulePicture(Schedule schedule, Notation notation, ZoneId zone, double width) {
    this.schedule = schedule;
    this.notation = notation;
    this.zone = zone;
    this.width = width;
  }

  /** The height that a schedule takes. */
  public static double height(Schedule schedule) {
    return TOP + 34 + LANE * (lanes(schedule).size() + 1) + 42;
  }

  /** Draws a schedule; {@code picked} is outlined by the view that shows it. */
  public static Picture of(
      Schedule schedule, Notation notation, ZoneId zone, double width, double height) {
    return new SchedulePicture(schedule, notation, zone, width).draw(height);
  }

  private double minute(Instant at) {
    return Duration.between(schedule.begin(), at).toSeconds() / 60.0;
  }

  /** Waits that do not overlap share a lane. */
  private static List<List<Slot>> lanes(Schedule schedule) {
    List<List<Slot>> lanes = new ArrayList<>();
    for (Slot slot : schedule.slots()) {
      if (slot.passedEnd().isAfter(slot.handsEnd())) {
        List<Slot> free =
            lanes.stream()
                .filter(l -> !l.get(l.size() - 1).passedEnd().isAfter(slot.handsEnd()))
                .findFirst()
                .orElse(null);
        if (free == null) {
          free = new ArrayList<>();
          lanes.add(free);
        }
        free.add(slot);
      }
    }
    return lanes;
  }

  private void layOut() {
    List<double[]> busy = new ArrayList<>();
    double at = 0;
    double end = minute(schedule.likelyEnd());
    for (Slot slot : schedule.slots()) {
      double from = minute(slot.begin());
      if (from - at > LONGEST_IDLE) {
        busy.add(new double[] {at, from, 1});
      } else if (from > at) {
        busy.add(new double[] {at, from, 0});
      }
      at = minute(slot.handsEnd());
      busy.add(new double[] {from, at, 0});
    }
    if (end > at) {
      busy.add(new double[] {at, end, end - at > LONGEST_IDLE ? 1 : 0});
    }
    double drawn = 0;
    int cuts = 0;
    for (double[] part : busy) {
      drawn += part[2] == 0 ? part[1] - part[0] : 0;
      cuts += part[2] == 1 ? 1 : 0;
    }
    double scale = (width - LEFT - RIGHT - cuts * CUT) / Math.max(1, drawn);
    double x = LEFT;
    for (double[] part : busy) {
      boolean cut = part[2] == 1;
      double length = part[1] - part[0];
      stretches.add(new Stretch(part[0], part[1], x, cut ? CUT / length : scale, cut));
      x += cut ? CUT : length * scale;
    }
  }

  private double x(double minute) {
    for (Stretch stretch : stretches) {
      if (minute <= stretch.to() + 1e-6) {
        return stretch.at(minute);
      }
    }
    return width - RIGHT;
  }

  private Picture draw(double height) {
    layOut();
    List<List<Slot>> lanes = lanes(schedule);
    double hands = TOP + 22;
    double bottom = hands + LANE * (lanes.size() + 1);
    pen.words(
        LEFT, 14, "At the bench, and what passes by itself below", Tone.QUIET, 11, Anchor.START);
    cuts(hands, bottom);
    for (Slot slot : schedule.slots()) {
      double from = x(minute(slot.begin()));
      double to = Math.max(from + 2, x(minute(slot.handsEnd())) - 1);
      boolean holds = slot.slackMinutes() < 0.5;
      pen.box(from, hands, to - from, LANE - 6, holds ? Tone.AMBER : Tone.AFTER, slot.step().id());
      if (slot.step().hold().isPresent()) {
        pen.box(to - 2, hands - 4, 2, LANE + 2, Tone.INK, slot.step().id());
      }
    }
    for (int i = 0; i < lanes.size(); i++) {
      for (Slot slot : lanes.get(i)) {
        wait(slot, hands + LANE * (i + 1));
      }
    }
    axis(bottom);
    pen.words(
        width - RIGHT,
        14,
        "amber holds up the end · an upright bar is a hold point",
        Tone.QUIET,
        11,
        Anchor.END);
    return pen.picture(width, height, words());
  }

  private void cuts(double hands, double bottom) {
    for (Stretch stretch : stretches) {
      if (stretch.cut()) {
        pen.box(stretch.x() + 2, hands - 6, CUT - 4, bottom - hands + 6, Tone.GAP, "");
        pen.words(
            stretch.x() + CUT / 2,
            hands - 10,
            Notation.minutes(stretch.to() - stretch.from()),
            Tone.QUIET,
            10.5,
            Anchor.MIDDLE);
      }
    }
  }

  private void wait(Slot slot, double y) {
    double from = x(minute(slot.handsEnd()));
    double to = x(minute(slot.passedEnd()));
    pen.box(from, y + 2, Math.max(2, to - from), LANE - 12, Tone.AFTER_BAND, slot.step().id());
    String what = slot.step().passes().orElseThrow().what();
    if (to - from > what.length() * 5.2) {
      pen.words(from + 4, y + 12, what, Tone.INK, 10.5, Anchor.START);
    }
  }

  /** Times of day where each stretch of work begins, days where they change. */
  private void axis(double bottom) {
    double last = Double.NEGATIVE_INFINITY;
    LocalDate day = null;
    boolean begins = true;
    for (Stretch stretch : stretches) {
      if (stretch.cut()) {
        begins = true;
        continue;
      }
      boolean room = stretch.x() < width - RIGHT - NAME;
      if (begins && room && stretch.x() - last > 56) {
        Instant at = schedule.begin().plusSeconds(Math.round(stretch.from() * 60));
        LocalDate date = at.atZone(zone).toLocalDate();
        pen.line(stretch.x(), TOP + 14, stretch.x(), bottom + 4, Tone.GRID, 1);
        pen.words(
            stretch.x(),
            bottom + 14,
            notation.time(at.atZone(zone).toLocalTime()),
            Tone.INK,
            11,
            Anchor.START);
        if (!date.equals(day)) {
          pen.words(stretch.x(), bottom + 28, Notation.day(date), Tone.QUIET, 11, Anchor.START);
          day = date;
        }
        last = stretch.x();
      }
      begins = false;
    }
    pen.line(width - RIGHT, TOP + 14, width - RIGHT, bottom + 4, Tone.INK, 1.5);
    pen.words(
        width - RIGHT,
        bottom + 43,
        "by likely times " + notation.moment(schedule.likelyEnd().atZone(zone)),
        Tone.INK,
        11,
        Anchor.END);
  }

  private String words() {
    Map<String, Integer> count = new LinkedHashMap<>();
    schedule.slots().forEach(s -> count.merge(s.step().phase().words(), 1, Integer::sum));
    StringBuilder all = new StringBuilder("Schedule of " + schedule.slots().size() + " steps: ");
    count.forEach((phase, n) -> all.append(phase).append(' ').append(n).append(", "));
    return all.append("by likely times done on ")
            .append(notation.moment(schedule.likelyEnd().atZone(zone)))
        + ".";
  }
}
