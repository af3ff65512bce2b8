package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.logbook.store.Logbook;
import java.util.Locale;
import java.util.Map;

/**
 * What a person has set, kept with the logbook.
 *
 * @param theme the look
 * @param notation units and decimal mark
 * @param lastJob the job that was open last, or empty
 * @param window place and size of the window as {@code x,y,width,height}, or empty
 * @param perMillimetre units of the screen that make a millimetre
 */
public record Preferences(
    Theme theme, Notation notation, String lastJob, String window, double perMillimetre) {
  /** A screen of 96 units an inch, which most are told to be. */
  private static final double USUAL = 96 / 25.4;

  /** Reads what was kept, with sensible values where nothing was. */
  public static Preferences of(Logbook logbook) {
    Map<String, String> kept = logbook.settings();
    Notation usual = Notation.of(Locale.getDefault(Locale.Category.FORMAT));
    return new Preferences(
        "paper".equals(kept.get("theme")) ? Theme.PAPER : Theme.GRAPHITE,
        new Notation(
            "yes".equals(kept.get("inches")),
            "yes".equals(kept.get("fahrenheit")),
            yes(kept.get("decimalComma"), usual.decimalComma()),
            yes(kept.get("twelveHours"), usual.twelveHours()),
            kept.getOrDefault("currency", usual.currency())),
        kept.getOrDefault("lastJob", ""),
        kept.getOrDefault("window", ""),
        number(kept.get("perMillimetre"), USUAL));
  }

  /** What was kept, else what is usual where the person lives. */
  private static boolean yes(String kept, boolean usual) {
    return kept == null ? usual : kept.equals("yes");
  }

  private static double number(String text, double usual) {
    try {
      double value = text == null ? usual : Double.parseDouble(text);
      return value >= 1 && value <= 40 ? value : usual;
    } catch (NumberFormatException e) {
      return usual;
    }
  }

  static void keep(Logbook logbook, Theme theme, Notation notation) {
    logbook.keepSetting("theme", theme.words());
    logbook.keepSetting("inches", notation.inches() ? "yes" : "no");
    logbook.keepSetting("fahrenheit", notation.fahrenheit() ? "yes" : "no");
    logbook.keepSetting("decimalComma", notation.decimalComma() ? "yes" : "no");
    logbook.keepSetting("twelveHours", notation.twelveHours() ? "yes" : "no");
    logbook.keepSetting("currency", notation.currency());
  }
}
