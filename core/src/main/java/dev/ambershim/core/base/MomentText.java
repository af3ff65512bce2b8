package dev.ambershim.core.base;

import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Moments and days as people type them. */
public final class MomentText {
  private static final Pattern TIME =
      Pattern.compile("(\\d{1,2})(?:[:.](\\d{2}))?\\s*(am|pm)?", Pattern.CASE_INSENSITIVE);
  private static final Pattern MOMENT = Pattern.compile("(\\S*\\d)[,\\s]+(.+)");

  /** ISO 8601: a day, a T, a time, perhaps seconds, perhaps the offset from UTC. */
  private static final Pattern ISO =
      Pattern.compile(
          "(\\d{4}-\\d{2}-\\d{2})[Tt](\\d{2}:\\d{2}(?::\\d{2}(?:[.,]\\d{1,9})?)?)"
              + "\\s*([Zz]|[-+]\\d{2}(?::?\\d{2})?)?");

  private MomentText() {}

  private static Instant iso(Matcher iso, ZoneId zone) {
    LocalDateTime local =
        LocalDate.parse(iso.group(1)).atTime(LocalTime.parse(iso.group(2).replace(',', '.')));
    String offset = iso.group(3);
    return offset == null
        ? local.atZone(zone).toInstant()
        : local.toInstant(ZoneOffset.of(offset.toUpperCase(Locale.ROOT)));
  }

  /**
   * Reads a moment: a time of day, which means the next such time, or a day and a time, such as
   * 2026-06-16 09:30, 16.6.2026 9:30 or 2026-06-16 9:30 pm; also ISO 8601, 2026-06-16T09:30+02:00.
   *
   * @throws Problem {@code time.unreadable}
   */
  public static Instant read(String typed, ZoneId zone, Instant now, String field) {
    String text = typed.strip();
    try {
      Matcher only = TIME.matcher(text);
      if (only.matches()) {
        LocalTime time = time(only);
        LocalDate today = now.atZone(zone).toLocalDate();
        Instant at = today.atTime(time).atZone(zone).toInstant();
        return at.isAfter(now) ? at : today.plusDays(1).atTime(time).atZone(zone).toInstant();
      }
      Matcher iso = ISO.matcher(text);
      if (iso.matches()) {
        return iso(iso, zone);
      }
      Matcher both = MOMENT.matcher(text);
      if (both.matches()) {
        Matcher time = TIME.matcher(both.group(2).strip());
        if (time.matches()) {
          return day(both.group(1)).atTime(time(time)).atZone(zone).toInstant();
        }
      }
    } catch (DateTimeException | NumberFormatException e) {
      throw unreadable(typed, field);
    }
    throw unreadable(typed, field);
  }

  /**
   * Reads a day, such as 2027-02-01 or 1.2.2027.
   *
   * @throws Problem {@code time.unreadable}
   */
  public static LocalDate readDay(String typed, String field) {
    try {
      return day(typed.strip());
    } catch (DateTimeException | NumberFormatException e) {
      throw unreadable(typed, field);
    }
  }

  private static LocalDate day(String text) {
    String[] iso = text.split("-", -1);
    if (iso.length == 3) {
      return LocalDate.of(
          Integer.parseInt(iso[0]), Integer.parseInt(iso[1]), Integer.parseInt(iso[2]));
    }
    String[] points = text.split("\\.", -1);
    if (points.length == 3) {
      return LocalDate.of(
          Integer.parseInt(points[2]), Integer.parseInt(points[1]), Integer.parseInt(points[0]));
    }
    throw new DateTimeException(text);
  }

  private static LocalTime time(Matcher parts) {
    int hour = Integer.parseInt(parts.group(1));
    int minute = parts.group(2) == null ? 0 : Integer.parseInt(parts.group(2));
    if (parts.group(3) != null) {
      if (hour < 1 || hour > 12) {
        throw new DateTimeException(parts.group());
      }
      boolean after = parts.group(3).toLowerCase(Locale.ROOT).equals("pm");
      hour = hour % 12 + (after ? 12 : 0);
    }
    return LocalTime.of(hour, minute);
  }

  private static Problem unreadable(String typed, String field) {
    return new Problem(
        "time.unreadable",
        Place.field(field),
        "\"" + typed.strip() + "\" is no time that can be read.",
        "Type a time such as 18:30, or a day before it, such as 2026-06-16 18:30.");
  }
}
