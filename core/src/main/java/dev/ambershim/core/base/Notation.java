package dev.ambershim.core.base;

import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.text.DecimalFormatSymbols;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZonedDateTime;
import java.time.chrono.IsoChronology;
import java.time.format.DateTimeFormatterBuilder;
import java.time.format.FormatStyle;
import java.time.format.TextStyle;
import java.util.Currency;
import java.util.Locale;

/**
 * How one person writes numbers: length in millimetres or inches, temperature in Celsius or
 * Fahrenheit, decimal point or comma. Figures are kept metric; this only shows and reads them.
 *
 * @param inches lengths in inches and thou
 * @param fahrenheit temperatures in degrees Fahrenheit
 * @param decimalComma comma as the decimal mark
 * @param twelveHours times of day as 6:05 pm
 * @param currency the sign of the person's money
 */
public record Notation(
    boolean inches,
    boolean fahrenheit,
    boolean decimalComma,
    boolean twelveHours,
    String currency) {
  private static final long[] TENS = {1, 10, 100, 1_000, 10_000, 100_000, 1_000_000};

  /** Below this a figure times a power of ten is right to a tenth of {@link #NEAR_A_TIE}. */
  private static final double LARGE = 1e9;

  private static final double NEAR_A_TIE = 1e-6;

  /** The sign of money while nobody has chosen one. */
  public static final String USUAL_CURRENCY = "€";

  /** Longest sign of money, in letters. */
  public static final int MOST_SIGN = 5;

  /** Falls back to the usual sign of money where there is none. */
  public Notation {
    currency = currency == null || currency.isBlank() ? USUAL_CURRENCY : currency.strip();
    currency = currency.substring(0, Math.min(MOST_SIGN, currency.length()));
  }

  /** With the usual sign of money. */
  public Notation(boolean inches, boolean fahrenheit, boolean decimalComma, boolean twelveHours) {
    this(inches, fahrenheit, decimalComma, twelveHours, USUAL_CURRENCY);
  }

  /** Metric with a decimal point. */
  public static final Notation METRIC = new Notation(false, false, false, false);

  /**
   * What people of a country write: decimal mark, times of day and money. Lengths and temperatures
   * are metric everywhere to begin with, as chips, coolers and their sensors are. A language alone
   * is no country.
   */
  public static Notation of(Locale locale) {
    if (locale.getCountry().isEmpty()) {
      return METRIC;
    }
    boolean comma = DecimalFormatSymbols.getInstance(locale).getDecimalSeparator() == ',';
    String time =
        DateTimeFormatterBuilder.getLocalizedDateTimePattern(
            null, FormatStyle.SHORT, IsoChronology.INSTANCE, locale);
    return new Notation(false, false, comma, time.contains("a"), money(locale));
  }

  private static String money(Locale locale) {
    try {
      Currency currency = Currency.getInstance(locale);
      return currency == null ? USUAL_CURRENCY : currency.getSymbol(locale);
    } catch (IllegalArgumentException noCountry) {
      return USUAL_CURRENCY;
    }
  }

  /** A time of day, such as 18:05 or 6:05 pm. */
  public String time(LocalTime time) {
    String minute = (time.getMinute() < 10 ? ":0" : ":") + time.getMinute();
    if (!twelveHours) {
      return (time.getHour() < 10 ? "0" : "") + time.getHour() + minute;
    }
    int hour = time.getHour() % 12;
    return (hour == 0 ? 12 : hour) + minute + (time.getHour() < 12 ? " am" : " pm");
  }

  /** A day, such as Tue 16 June. */
  public static String day(LocalDate day) {
    return day.getDayOfWeek().getDisplayName(TextStyle.SHORT, Locale.ENGLISH)
        + " "
        + day.getDayOfMonth()
        + " "
        + day.getMonth().getDisplayName(TextStyle.FULL, Locale.ENGLISH);
  }

  /** A day of some year, such as 16 June 2027. */
  public static String date(LocalDate day) {
    return day.getDayOfMonth() + " " + month(day);
  }

  /** A month, such as June 2027. */
  public static String month(LocalDate day) {
    return day.getMonth().getDisplayName(TextStyle.FULL, Locale.ENGLISH) + " " + day.getYear();
  }

  /** A day and time of day. */
  public String moment(ZonedDateTime moment) {
    return day(moment.toLocalDate()) + ", " + time(moment.toLocalTime());
  }

  /** A length of time in minutes, such as 45 min, 3 h 20 min or 2 d 4 h. */
  public static String minutes(double minutes) {
    long whole = Math.round(Math.abs(minutes));
    String sign = minutes < 0 && whole > 0 ? "−" : "";
    if (whole < 60) {
      return sign + whole + " min";
    }
    if (whole < 2 * 1440) {
      return sign + whole / 60 + " h" + (whole % 60 == 0 ? "" : " " + whole % 60 + " min");
    }
    long hours = Math.round(whole / 60.0);
    return sign + hours / 24 + " d" + (hours % 24 == 0 ? "" : " " + hours % 24 + " h");
  }

  private boolean customary(Unit unit) {
    return (unit.isLength() && inches) || (unit.isTemperature() && fahrenheit);
  }

  /** The unit's symbol as this person sees it. */
  public String symbol(Unit unit) {
    return unit == Unit.COIN ? currency : unit.symbol(customary(unit));
  }

  /** A kept figure as this person sees it, unrounded. */
  public double shown(double kept, Unit unit) {
    return unit.shown(kept, customary(unit));
  }

  /** The kept figure for one that this person sees. */
  public double kept(double shown, Unit unit) {
    return unit.kept(shown, customary(unit));
  }

  /** The bare number in the person's unit, with the unit's usual count of decimals. */
  public String number(double kept, Unit unit) {
    return fixed(unit.shown(kept, customary(unit)), unit.decimals(customary(unit)));
  }

  /** The number without decimals, where there is no room for more. */
  public String whole(double kept, Unit unit) {
    return fixed(unit.shown(kept, customary(unit)), 0);
  }

  /** Number and unit. */
  public String text(double kept, Unit unit) {
    String symbol = symbol(unit);
    return number(kept, unit) + (symbol.isEmpty() ? "" : " " + symbol);
  }

  /** An interval as {@code "10.9 to 12.7"}, without the unit. */
  public String range(Interval interval, Unit unit) {
    return number(interval.low(), unit) + " to " + number(interval.high(), unit);
  }

  /** The number for an editor: up to two further decimals, trailing zeros left away. */
  public String editable(double kept, Unit unit) {
    boolean customary = customary(unit);
    return format(unit.shown(kept, customary), 0, unit.decimals(customary) + 2);
  }

  /** A plain number with about four digits that count. */
  public String significant(double value) {
    int whole =
        value == 0 || Double.isNaN(value) ? 0 : (int) Math.floor(Math.log10(Math.abs(value)));
    return fixed(value, Math.max(0, Math.min(6, 3 - whole)));
  }

  /** A figure with about four digits that count, and its unit; "not known" for not a number. */
  public String significant(double kept, Unit unit) {
    return Double.isNaN(kept)
        ? "not known"
        : (significant(shown(kept, unit)) + " " + symbol(unit)).strip();
  }

  /** A plain number with a fixed count of decimals in the person's decimal mark. */
  public String fixed(double value, int decimals) {
    return format(value, decimals, decimals);
  }

  private String format(double value, int least, int most) {
    if (!Double.isFinite(value)) {
      return "–";
    }
    double scaled = most < TENS.length ? Math.abs(value) * TENS[most] : Double.POSITIVE_INFINITY;
    double over = scaled - Math.floor(scaled) - 0.5;
    String text =
        scaled < LARGE && Math.abs(over) > NEAR_A_TIE
            ? quickly(value < 0, (long) Math.floor(scaled) + (over > 0 ? 1 : 0), least, most)
            : exactly(value, least, most);
    return decimalComma ? text.replace('.', ',') : text;
  }

  /**
   * A whole number of the last decimal, where there is no doubt which; a window writes hundreds.
   */
  private static String quickly(boolean negative, long count, int least, int most) {
    StringBuilder text = new StringBuilder(16);
    if (negative && count != 0) {
      text.append('−');
    }
    text.append(count / TENS[most]);
    long rest = count % TENS[most];
    int decimals = most;
    while (decimals > least && rest % 10 == 0) {
      rest /= 10;
      decimals--;
    }
    if (decimals > 0) {
      text.append('.');
      for (int d = decimals - 1; d >= 0; d--) {
        text.append((char) ('0' + rest / TENS[d] % 10));
      }
    }
    return text.toString();
  }

  /**
   * The exact value of the double, rounded half to even. The locale's own formats would first load
   * tables for every language of the world.
   */
  private static String exactly(double value, int least, int most) {
    BigDecimal rounded = new BigDecimal(value).setScale(most, RoundingMode.HALF_EVEN);
    while (rounded.scale() > least && rounded.signum() != 0 && endsInZero(rounded)) {
      rounded = rounded.setScale(rounded.scale() - 1, RoundingMode.UNNECESSARY);
    }
    if (rounded.signum() == 0) {
      rounded = rounded.setScale(least, RoundingMode.UNNECESSARY);
    }
    return rounded.toPlainString().replace('-', '−');
  }

  private static boolean endsInZero(BigDecimal figure) {
    return figure.unscaledValue().remainder(BigInteger.TEN).signum() == 0;
  }

  /**
   * Reads a figure that a person typed in this notation. A unit typed behind the figure is allowed
   * when it is the field's own.
   *
   * @param field the field's name, for the message
   * @return the figure in the kept unit
   * @throws Problem {@code number.unreadable} if it is no number
   */
  public double read(String typed, Unit unit, String field) {
    String text = typed.strip();
    String symbol = symbol(unit);
    if (!symbol.isEmpty() && text.endsWith(symbol)) {
      text = text.substring(0, text.length() - symbol.length()).strip();
    }
    text = text.replace('−', '-');
    // Either mark is understood: people paste from anywhere, and no field needs thousands marks.
    text = text.replace(',', '.');
    try {
      double shown = Double.parseDouble(text);
      if (!text.matches("[-+0-9.eE]+") || !Double.isFinite(shown)) {
        throw new NumberFormatException(text);
      }
      return unit.kept(shown, customary(unit));
    } catch (NumberFormatException e) {
      throw new Problem(
          "number.unreadable",
          Place.field(field),
          "\"" + typed.strip() + "\" is not a number.",
          "Type a figure such as "
              + fixed(12.5, 1)
              + (symbol.isEmpty() ? "" : " in " + symbol)
              + ".");
    }
  }
}
