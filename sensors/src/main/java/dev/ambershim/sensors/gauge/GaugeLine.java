package dev.ambershim.sensors.gauge;

import java.util.Locale;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * One line from a height gauge: a sign, a figure with point or comma, and {@code mm}, {@code um},
 * {@code in} or {@code thou}; without a unit it is mm. Lines that begin with {@code #} are remarks.
 */
public final class GaugeLine {
  private static final Pattern LINE =
      Pattern.compile(
          "[ \\t]*([-+]?)[ \\t]*(\\d{1,5}(?:[.,]\\d{1,6})?)[ \\t]*(mm|um|µm|in|thou|)[ \\t]*");

  private static final double MOST_MILLIMETRES = 200;

  private GaugeLine() {}

  /** The reading, mm; empty for a remark or anything else that is no reading. */
  public static OptionalDouble millimetres(String line) {
    Matcher m = LINE.matcher(line.toLowerCase(Locale.ROOT));
    if (!m.matches()) {
      return OptionalDouble.empty();
    }
    double figure = Double.parseDouble(m.group(2).replace(',', '.'));
    double unit =
        switch (m.group(3)) {
          case "um", "µm" -> 1e-3;
          case "in" -> 25.4;
          case "thou" -> 0.0254;
          default -> 1;
        };
    double value = (m.group(1).equals("-") ? -1 : 1) * figure * unit;
    return Math.abs(value) > MOST_MILLIMETRES ? OptionalDouble.empty() : OptionalDouble.of(value);
  }

  /** A reading as a line. */
  static String of(double millimetres) {
    return String.format(Locale.ROOT, "%+.4f mm", millimetres);
  }
}
