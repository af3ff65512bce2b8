package dev.ambershim.core.runlog;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Time as loggers write it: elapsed figures, a time of day, a date with a time, in several orders.
 * Only differences matter later, so time zones are passed over.
 */
final class TimeColumn {
  private static final Pattern TIME =
      Pattern.compile(
          "(\\d{1,3}):(\\d{2})(?::(\\d{2})(?:[.,:](\\d{1,9}))?)?\\s*([aApP]\\.?[mM]\\.?)?");
  private static final Pattern DATE_TIME =
      Pattern.compile(
          "(\\d{1,4})([-/.])(\\d{1,2})\\2(\\d{1,4})(?:[T ,]+(\\d.*?))?(?:Z|[-+]\\d{2}:?\\d{2})?");

  private TimeColumn() {}

  static boolean looksLikeTime(String cell) {
    String text = cell.strip();
    // Patterns are dear; nothing is a time without one of these between its digits.
    if (text.indexOf(':') < 0
        && text.indexOf('-') < 1
        && text.indexOf('/') < 0
        && text.indexOf('.') < 0) {
      return false;
    }
    return TIME.matcher(text).matches() || DATE_TIME.matcher(text).matches();
  }

  static boolean timeOfDayOnly(String cell) {
    return TIME.matcher(cell.strip()).matches();
  }

  static boolean named(String name) {
    String n = name.toLowerCase(Locale.ROOT);
    return n.matches(
            "(.*[^a-z])?(time|date|timestamp|datetime|elapsed|zeit|uhrzeit|datum|t)([^a-z].*)?")
        || n.matches("(elapsed )?(s|sec|secs|seconds|ms)");
  }

  /**
   * Seconds in the cell, from whichever origin it uses; not a number if it holds no time.
   *
   * @param dayFirst whether {@code 3/4} means the third of April
   * @param unit the column's unit, or empty
   */
  static double seconds(String cell, boolean dayFirst, String unit, boolean decimalComma) {
    String text = cell.strip();
    if (looksLikeTime(text)) {
      Matcher time = TIME.matcher(text);
      if (time.matches()) {
        return timeOfDay(time);
      }
      Matcher date = DATE_TIME.matcher(text);
      if (date.matches()) {
        return dateTime(date, dayFirst);
      }
    }
    double figure = Cells.number(text, decimalComma);
    if (Math.abs(figure) > 1e11) {
      return figure / 1000; // milliseconds since 1970
    }
    return figure
        * switch (unit) {
          case "ms" -> 1e-3;
          case "min" -> 60;
          case "h" -> 3600;
          default -> 1;
        };
  }

  private static double dateTime(Matcher m, boolean dayFirst) {
    int a = Integer.parseInt(m.group(1));
    int b = Integer.parseInt(m.group(3));
    int c = Integer.parseInt(m.group(4));
    int year;
    int month;
    int day;
    if (m.group(1).length() == 4) {
      year = a;
      month = b;
      day = c;
    } else {
      year = c < 100 ? 2000 + c : c;
      boolean first = dayFirst || m.group(2).equals(".");
      day = first ? a : b;
      month = first ? b : a;
      if (month > 12) {
        int swap = month;
        month = day;
        day = swap;
      }
    }
    double within = 0;
    if (m.group(5) != null) {
      Matcher time = TIME.matcher(m.group(5).strip());
      if (!time.matches()) {
        return Double.NaN;
      }
      within = timeOfDay(time);
    }
    try {
      return LocalDate.of(year, month, day).toEpochDay() * 86400.0 + within;
    } catch (DateTimeException e) {
      return Double.NaN;
    }
  }

  private static double timeOfDay(Matcher m) {
    double seconds = Integer.parseInt(m.group(1)) * 3600.0 + Integer.parseInt(m.group(2)) * 60.0;
    if (m.group(3) != null) {
      seconds += Integer.parseInt(m.group(3));
    }
    if (m.group(4) != null) {
      seconds += Double.parseDouble("0." + m.group(4));
    }
    if (m.group(5) != null) {
      boolean afternoon = m.group(5).toLowerCase(Locale.ROOT).startsWith("p");
      int hour = Integer.parseInt(m.group(1));
      seconds += (afternoon && hour < 12 ? 12 : !afternoon && hour == 12 ? -12 : 0) * 3600.0;
    }
    return seconds;
  }
}
