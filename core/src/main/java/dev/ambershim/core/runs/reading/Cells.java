package dev.ambershim.core.runs.reading;

import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a single cell of a log can mean: a number, a flag, a unit, nothing. */
final class Cells {
  private static final Pattern NUMBER =
      Pattern.compile(
          "([-+]?(?:\\d{1,3}(?:['\\u00a0\\u202f ]\\d{3})+(?:[.,]\\d+)?|\\d[\\d.,]*)(?:[eE][-+]?\\d+)?|[-+]?[.,]\\d+)(.*)");
  private static final Pattern POINTS =
      Pattern.compile("[-+]?\\d{1,3}(\\.\\d{3})+(,\\d*)?([eE][-+]?\\d+)?");
  private static final Pattern COMMAS =
      Pattern.compile("[-+]?\\d{1,3}(,\\d{3})+(\\.\\d*)?([eE][-+]?\\d+)?");
  private static final Map<String, String> UNITS =
      Map.ofEntries(
          Map.entry("°c", "°C"),
          Map.entry("c", "°C"),
          Map.entry("degc", "°C"),
          Map.entry("deg c", "°C"),
          Map.entry("celsius", "°C"),
          Map.entry("℃", "°C"),
          Map.entry("â°c", "°C"),
          Map.entry("\ufffdc", "°C"),
          Map.entry("°f", "°F"),
          Map.entry("f", "°F"),
          Map.entry("degf", "°F"),
          Map.entry("deg f", "°F"),
          Map.entry("fahrenheit", "°F"),
          Map.entry("℉", "°F"),
          Map.entry("degree celsius", "°C"),
          Map.entry("degrees celsius", "°C"),
          Map.entry("degrees", "°C"),
          Map.entry("grad", "°C"),
          Map.entry("k", "K"),
          Map.entry("kelvin", "K"),
          Map.entry("mw", "mW"),
          Map.entry("milliwatt", "mW"),
          Map.entry("milliwatts", "mW"),
          Map.entry("µw", "µW"),
          Map.entry("μw", "µW"),
          Map.entry("uw", "µW"),
          Map.entry("microwatts", "µW"),
          Map.entry("kw", "kW"),
          Map.entry("вт", "W"),
          Map.entry("мвт", "mW"),
          Map.entry("瓦", "W"),
          Map.entry("w", "W"),
          Map.entry("watt", "W"),
          Map.entry("watts", "W"),
          Map.entry("hz", "Hz"),
          Map.entry("khz", "kHz"),
          Map.entry("mhz", "MHz"),
          Map.entry("ghz", "GHz"),
          Map.entry("кгц", "kHz"),
          Map.entry("мгц", "MHz"),
          Map.entry("ггц", "GHz"),
          Map.entry("兆赫", "MHz"),
          Map.entry("rpm", "rpm"),
          Map.entry("1/min", "rpm"),
          Map.entry("u/min", "rpm"),
          Map.entry("tr/min", "rpm"),
          Map.entry("obr/min", "rpm"),
          Map.entry("giri/min", "rpm"),
          Map.entry("об/мин", "rpm"),
          Map.entry("转/分", "rpm"),
          Map.entry("v", "V"),
          Map.entry("volt", "V"),
          Map.entry("volts", "V"),
          Map.entry("в", "V"),
          Map.entry("伏", "V"),
          Map.entry("mv", "mV"),
          Map.entry("millivolt", "mV"),
          Map.entry("millivolts", "mV"),
          Map.entry("мв", "mV"),
          Map.entry("a", "A"),
          Map.entry("%", "%"),
          Map.entry("percent", "%"),
          Map.entry("pct", "%"),
          Map.entry("x", "x"),
          Map.entry("s", "s"),
          Map.entry("sec", "s"),
          Map.entry("secs", "s"),
          Map.entry("second", "s"),
          Map.entry("seconds", "s"),
          Map.entry("ms", "ms"),
          Map.entry("msec", "ms"),
          Map.entry("min", "min"),
          Map.entry("minutes", "min"),
          Map.entry("h", "h"),
          Map.entry("yes/no", "flag"));

  private Cells() {}

  /** The unit's own spelling for how a file spells it, or null if it is none. */
  static String unit(String text) {
    return UNITS.get(text.strip().toLowerCase(Locale.ROOT));
  }

  /** Whether the cell stands for "no value". */
  static boolean blank(String cell) {
    // Most cells begin with a digit; they need no copy in small letters.
    if (!cell.isEmpty() && cell.charAt(0) >= '0' && cell.charAt(0) <= '9') {
      return false;
    }
    return switch (cell.strip().toLowerCase(Locale.ROOT)) {
      case "", "-", "--", "n/a", "na", "nan", "null", "none", "?" -> true;
      default -> false;
    };
  }

  /** The number in the cell, or not a number. A known unit behind it is passed over. */
  static double number(String cell, boolean decimalComma) {
    String text = cell.strip().replace('−', '-');
    int end = text.length();
    if (end == 0) {
      return Double.NaN;
    }
    char first = text.charAt(0);
    if ((first < '0' || first > '9') && "+-.,".indexOf(first) < 0) {
      return Double.NaN;
    }
    Matcher m = NUMBER.matcher(text);
    if (!m.matches()) {
      return Double.NaN;
    }
    String rest = m.group(2).strip();
    if (!rest.isEmpty() && unit(rest) == null) {
      return Double.NaN;
    }
    String digits = m.group(1).strip().replaceAll("['\\u00a0\\u202f ]", "");
    char thousands = decimalComma ? '.' : ',';
    if (digits.indexOf(thousands) >= 0) {
      // Thousands come in threes; without that it is a date, or the other decimal mark.
      if (!(decimalComma ? POINTS : COMMAS).matcher(digits).matches()) {
        return Double.NaN;
      }
      digits = digits.replace(String.valueOf(thousands), "");
    }
    return parse(decimalComma ? digits.replace(',', '.') : digits);
  }

  /** What stands behind the number in a cell that holds one with a unit, blanks too; else empty. */
  static String behind(String cell) {
    Matcher m = NUMBER.matcher(cell.strip().replace('−', '-'));
    return m.matches() && unit(m.group(2)) != null ? m.group(2) : "";
  }

  private static double parse(String text) {
    try {
      double value = Double.parseDouble(text);
      // What is too large for a figure is none.
      return Double.isInfinite(value) ? Double.NaN : value;
    } catch (NumberFormatException e) {
      return Double.NaN;
    }
  }

  /** 1 or 0 for a yes or a no in a few languages, not a number otherwise. */
  static double flag(String cell) {
    return switch (cell.strip().toLowerCase(Locale.ROOT)) {
      case "yes", "true", "on", "ja", "oui", "si", "sí" -> 1;
      case "no", "false", "off", "nein", "non" -> 0;
      default -> Double.NaN;
    };
  }
}
