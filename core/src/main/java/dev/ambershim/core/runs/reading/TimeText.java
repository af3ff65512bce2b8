package dev.ambershim.core.runs.reading;

import java.text.Normalizer;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * One cell read as time, as loggers write it: a time of day, or a date with or without one, in
 * several orders. Only differences matter later, so time zones are passed over.
 *
 * @param kind what the cell holds
 * @param seconds seconds since midnight, or since 1970
 * @param dayFirstSeconds the same with day and month the other way round, where the cell allows it;
 *     else equal to {@code seconds}
 * @param order what the cell tells of the order of day and month
 */
record TimeText(Kind kind, double seconds, double dayFirstSeconds, Order order) {
  /** What a cell holds. */
  enum Kind {
    NONE,
    TIME_OF_DAY,
    DATE,
    DATE_AND_TIME
  }

  /** What a cell tells of the order of day and month. */
  enum Order {
    NOTHING,
    DAY_FIRST,
    MONTH_FIRST,
    EITHER
  }

  static final TimeText NONE = new TimeText(Kind.NONE, Double.NaN, Double.NaN, Order.NOTHING);

  private static final Pattern NAMED =
      Pattern.compile(
          "(.*[^a-z])?(time|date|timestamp|datetime|elapsed|unix|epoch|ts|t)([^a-z0-9].*)?"
              + "|(elapsed )?(s|sec|secs|seconds|ms)");

  /** As the system's clock command prints it: "Sat Nov 28 19:10:49 UTC 2026". */
  private static final Pattern CLOCK_COMMAND =
      Pattern.compile(
          "\\p{L}{2,4}[.,]? +(?:(\\p{L}{3,4})[. ]+(\\d{1,2})|(\\d{1,2})[. ]+(\\p{L}{3,9})(?: (\\d{4}))?)[, ]+"
              + "(\\d{1,2}:\\d{2}:\\d{2}(?: ?[AaPp][Mm])?)(?: [A-Z]{2,5}| [-+]\\d{2,4})?(?: (\\d{4}))?");

  private static final Pattern DECORATION = Pattern.compile("^[^\\p{L}\\p{N}]+|[^\\p{L}\\p{N}]+$");
  private static final Pattern TIME_LABEL =
      Pattern.compile("(?i)(time|date|timestamp|datetime|at|zeit|sample( at)?)\\s*[:=]?\\s+");
  private static final Pattern SINCE_1970 =
      Pattern.compile("\\d{9,10}([.,]\\d+)?|\\d{13}|\\d{16}|\\d{19}");

  /** How months begin in English, German, French, Spanish, Italian, Dutch and Portuguese. */
  private static final List<List<String>> MONTHS =
      Stream.of(
              "jan gen ene",
              "feb fev",
              "mar mrz mrt maa",
              "apr avr abr",
              "may mai mag mei",
              "jun juin giu",
              "jul juil lug",
              "aug aou ago",
              "sep set",
              "oct okt ott out",
              "nov",
              "dec dez dic")
          .map(names -> List.of(names.split(" ", -1)))
          .toList();

  /** Whether a column of this name holds time. */
  static boolean named(String name) {
    return NAMED.matcher(name.toLowerCase(Locale.ROOT)).matches()
        || NAMED.matcher(ColumnWords.plain(name)).matches();
  }

  /**
   * The time that a line of text holds and nothing else, with what is drawn around it taken off, as
   * a cell that reads as time; empty if it holds none.
   */
  static String line(String text) {
    if (text.length() > 80) {
      return "";
    }
    String bare = DECORATION.matcher(text).replaceAll("");
    Matcher label = TIME_LABEL.matcher(bare);
    if (label.lookingAt()) {
      bare = bare.substring(label.end());
    }
    return SINCE_1970.matcher(bare).matches() || of(bare).isTime() ? bare : "";
  }

  boolean isTime() {
    return kind != Kind.NONE;
  }

  boolean timeOfDay() {
    return kind == Kind.TIME_OF_DAY;
  }

  boolean dateOnly() {
    return kind == Kind.DATE;
  }

  /** A date in one cell with the time of day in another. */
  TimeText with(TimeText other) {
    TimeText date = timeOfDay() ? other : this;
    TimeText time = timeOfDay() ? this : other;
    return new TimeText(
        Kind.DATE_AND_TIME,
        date.seconds + time.seconds,
        date.dayFirstSeconds + time.seconds,
        date.order);
  }

  static TimeText of(String cell) {
    String text = cell.strip();
    if (text.length() < 4) {
      return NONE;
    }
    if (Character.isLetter(text.charAt(0))) {
      Matcher clock = CLOCK_COMMAND.matcher(text);
      if (clock.matches()) {
        String month = clock.group(1) == null ? clock.group(4) : clock.group(1);
        String day = clock.group(2) == null ? clock.group(3) : clock.group(2);
        String year = clock.group(7) == null ? clock.group(5) : clock.group(7);
        return year == null
            ? NONE
            : new Scanner(month + " " + day + ", " + year + " " + clock.group(6)).read();
      }
    }
    Scanner scan = new Scanner(text);
    return scan.read();
  }

  /** Walks along one cell. */
  private static final class Scanner {
    private final String text;
    private int at;
    private int digits;

    Scanner(String text) {
      this.text = text;
    }

    TimeText read() {
      if (letter(peek())) {
        return monthFirst();
      }
      int first = number(4);
      if (digits == 0) {
        return NONE;
      }
      char mark = peek();
      if (mark == ':' && digits <= 3) {
        at = 0;
        double seconds = timeOfDay();
        return Double.isNaN(seconds) || at < text.length()
            ? NONE
            : new TimeText(Kind.TIME_OF_DAY, seconds, seconds, Order.NOTHING);
      }
      if (digits == 4 && digit(mark)) {
        return compact(first);
      }
      boolean year = digits == 4;
      if (mark != '-' && mark != '/' && mark != '.' && mark != ' ') {
        return NONE;
      }
      at++;
      if (letter(peek())) {
        int month = month();
        skip("-/. ");
        int last = number(4);
        return month == 0 || digits == 0
            ? NONE
            : year ? end(first, month, last, false) : end(full(last), month, first, false);
      }
      if (mark == ' ') {
        return NONE;
      }
      int second = number(2);
      if (digits == 0 || peek() != mark) {
        return NONE;
      }
      at++;
      int third = number(4);
      if (digits == 0) {
        return NONE;
      }
      if (year) {
        return end(first, second, third, false);
      }
      return mark == '.'
          ? end(full(third), second, first, false)
          : end(full(third), first, second, true);
    }

    /** Such as "Mar 14, 2026 10:00". */
    private TimeText monthFirst() {
      int month = month();
      skip(" .");
      int day = number(2);
      boolean any = digits > 0;
      skip(", ");
      int year = number(4);
      return month == 0 || !any || digits != 4 ? NONE : end(year, month, day, false);
    }

    /** Such as "20260314T100000". */
    private TimeText compact(int year) {
      int month = number(2);
      int day = number(2);
      if (peek() != 'T' && peek() != ' ') {
        return NONE;
      }
      at++;
      int hour = number(2);
      int minute = number(2);
      int second = number(2);
      return digits != 2 || at < text.length()
          ? NONE
          : date(
              year, month, day, false, hour * 3600.0 + minute * 60.0 + second, Kind.DATE_AND_TIME);
    }

    private TimeText end(int year, int month, int day, boolean eitherOrder) {
      int before = at;
      skip("T ,");
      if (at == text.length()) {
        return date(year, month, day, eitherOrder, 0, Kind.DATE);
      }
      if (at == before) {
        return NONE;
      }
      double within = timeOfDay();
      skip(" ");
      if (peek() == 'Z') {
        at++;
      } else if (peek() == '+' || peek() == '-') {
        at++;
        number(2);
        skip(":");
        number(2);
      }
      return Double.isNaN(within) || at < text.length()
          ? NONE
          : date(year, month, day, eitherOrder, within, Kind.DATE_AND_TIME);
    }

    private static TimeText date(
        int year, int month, int day, boolean eitherOrder, double within, Kind kind) {
      double one = epoch(year, month, day) + within;
      if (!eitherOrder) {
        return Double.isNaN(one) ? NONE : new TimeText(kind, one, one, Order.NOTHING);
      }
      double other = epoch(year, day, month) + within;
      if (Double.isNaN(one) && Double.isNaN(other)) {
        return NONE;
      }
      Order order =
          Double.isNaN(one)
              ? Order.DAY_FIRST
              : Double.isNaN(other) ? Order.MONTH_FIRST : Order.EITHER;
      return new TimeText(
          kind, Double.isNaN(one) ? other : one, Double.isNaN(other) ? one : other, order);
    }

    private static double epoch(int year, int month, int day) {
      if (month < 1 || month > 12 || day < 1 || day > 31) {
        return Double.NaN;
      }
      try {
        return LocalDate.of(year, month, day).toEpochDay() * 86400.0;
      } catch (DateTimeException e) {
        return Double.NaN;
      }
    }

    /** Reads h:mm, h:mm:ss with a fraction, and am or pm; not a number if it is none of these. */
    private double timeOfDay() {
      int hour = number(3);
      if (digits == 0 || peek() != ':') {
        return Double.NaN;
      }
      at++;
      int minute = number(2);
      if (digits != 2) {
        return Double.NaN;
      }
      double seconds = hour * 3600.0 + minute * 60.0;
      if (peek() == ':') {
        at++;
        int second = number(2);
        if (digits != 2) {
          return Double.NaN;
        }
        seconds += second;
        if ((peek() == '.' || peek() == ',' || peek() == ':') && at + 1 < text.length()) {
          at++;
          int fraction = number(9);
          if (digits == 0) {
            return Double.NaN;
          }
          seconds += fraction / Math.pow(10, digits);
        }
      }
      int back = at;
      skip(" ");
      char half = Character.toLowerCase(peek());
      if (half != 'a' && half != 'p') {
        at = back;
        return seconds;
      }
      at++;
      skip(".");
      if (Character.toLowerCase(peek()) != 'm') {
        return Double.NaN;
      }
      at++;
      skip(".");
      boolean afternoon = half == 'p';
      return seconds + (afternoon && hour < 12 ? 12 : !afternoon && hour == 12 ? -12 : 0) * 3600.0;
    }

    private int month() {
      int from = at;
      while (letter(peek())) {
        at++;
      }
      if (at - from < 3) {
        return 0;
      }
      String name = plain(text.substring(from, at)).toLowerCase(Locale.ROOT);
      for (int m = 0; m < MONTHS.size(); m++) {
        for (String begin : MONTHS.get(m)) {
          if (name.startsWith(begin)) {
            return m + 1;
          }
        }
      }
      return 0;
    }

    /** Without accents, which few names have. */
    private static String plain(String name) {
      return name.chars().allMatch(c -> c < 128)
          ? name
          : Normalizer.normalize(name, Normalizer.Form.NFD).replaceAll("\\p{M}", "");
    }

    /** Up to so many digits from here on; {@code digits} tells how many there were. */
    private int number(int most) {
      int value = 0;
      digits = 0;
      while (digits < most && digit(peek())) {
        value = value * 10 + (peek() - '0');
        digits++;
        at++;
      }
      return value;
    }

    private void skip(String any) {
      while (at < text.length() && any.indexOf(text.charAt(at)) >= 0) {
        at++;
      }
    }

    private char peek() {
      return at < text.length() ? text.charAt(at) : 0;
    }

    private static int full(int year) {
      return year < 100 ? 2000 + year : year;
    }

    private static boolean digit(char c) {
      return c >= '0' && c <= '9';
    }

    private static boolean letter(char c) {
      return Character.isLetter(c);
    }
  }
}
