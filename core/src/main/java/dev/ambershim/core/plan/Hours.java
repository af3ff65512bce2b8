package dev.ambershim.core.plan;

import java.time.DayOfWeek;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;

/**
 * When the person may work.
 *
 * @param from first minute of the day, {@code "HH:mm"}
 * @param to the end, {@code "HH:mm"}; {@code "24:00"} for midnight
 * @param days days of the week, 1 Monday to 7 Sunday
 */
public record Hours(String from, String to, List<Integer> days) {
  /** At any time. */
  public static final Hours ANY = new Hours("00:00", "24:00", List.of(1, 2, 3, 4, 5, 6, 7));

  /** How far ahead is looked. */
  private static final int DAYS_AHEAD = 120;

  /** Sorts the days. */
  public Hours {
    days = List.copyOf(new TreeSet<>(days == null ? Set.of(1, 2, 3, 4, 5, 6, 7) : days));
  }

  /** Minute of the day of a time such as {@code "18:30"} or {@code "18.30"}; −1 if it is none. */
  public static int minute(String text) {
    String time = text.strip().replace('.', ':');
    if (!time.matches("\\d{1,2}:\\d{2}")) {
      return -1;
    }
    int colon = time.indexOf(':');
    int hours = Integer.parseInt(time.substring(0, colon));
    int minutes = Integer.parseInt(time.substring(colon + 1));
    boolean there = minutes < 60 && (hours < 24 || (hours == 24 && minutes == 0));
    return there ? hours * 60 + minutes : -1;
  }

  /** Whether it leaves any time at all. */
  public boolean sound() {
    return minute(from) >= 0 && minute(to) > minute(from) && !days.isEmpty();
  }

  /** Whether it forbids nothing. */
  public boolean any() {
    return minute(from) == 0 && minute(to) == 1440 && days.size() == 7;
  }

  /** The longest stretch at a time, minutes. */
  public double longest() {
    return any() ? Double.POSITIVE_INFINITY : minute(to) - minute(from);
  }

  /**
   * The stretches in which work is allowed, in minutes from a moment, around it by some months.
   * Changes of summer time are allowed for.
   *
   * @throws IllegalArgumentException if they leave no time
   */
  Windows around(Instant origin, ZoneId zone) {
    if (!sound()) {
      throw new IllegalArgumentException(from + " to " + to + " on " + days);
    }
    if (any()) {
      return Windows.ALWAYS;
    }
    List<double[]> all = new ArrayList<>();
    LocalDate day = LocalDate.ofInstant(origin, zone).minusDays(DAYS_AHEAD);
    for (int i = 0; i <= 2 * DAYS_AHEAD; i++, day = day.plusDays(1)) {
      if (days.contains(DayOfWeek.from(day).getValue())) {
        all.add(
            new double[] {
              Schedule.minutes(origin, at(day, minute(from), zone)),
              Schedule.minutes(origin, at(day, minute(to), zone))
            });
      }
    }
    return Windows.of(all);
  }

  private static Instant at(LocalDate day, int minute, ZoneId zone) {
    return minute == 1440
        ? day.plusDays(1).atStartOfDay(zone).toInstant()
        : day.atTime(LocalTime.ofSecondOfDay(minute * 60L)).atZone(zone).toInstant();
  }
}
