package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Notation;
import dev.ambershim.logbook.store.Logbook;
import java.time.DayOfWeek;
import java.time.temporal.WeekFields;
import java.util.Arrays;
import java.util.Locale;
import java.util.Map;

/**
 * What a person has set, kept with the logbook.
 *
 * @param wish the look that is wished for
 * @param system the look that the desktop asks for, or else ours
 * @param calm whether the desktop asks that nothing moves that need not
 * @param notation units and decimal mark
 * @param lastJob the job that was open last, or empty
 * @param window place and size of the window as {@code x,y,width,height}, or empty
 * @param perMillimetre units of the screen that make a millimetre
 * @param textPercent how large text is
 * @param firstDay of the week
 */
public record Preferences(
    Looks.Wish wish,
    Theme system,
    boolean calm,
    Notation notation,
    String lastJob,
    String window,
    double perMillimetre,
    int textPercent,
    DayOfWeek firstDay) {
  /** A screen of 96 units an inch, which most are told to be. */
  static final double USUAL_SCREEN = 96 / 25.4;

  /** Reads what was kept, with sensible values where nothing was. */
  public static Preferences of(Logbook logbook) {
    Map<String, String> kept = logbook.settings();
    Notation usual = Notation.of(Locale.getDefault(Locale.Category.FORMAT));
    SystemLook.Asked desktop = SystemLook.asked();
    Looks.Wish wish = wish(kept.getOrDefault("theme", ""));
    return new Preferences(
        wish,
        desktop.theme().orElse(Theme.GRAPHITE),
        desktop.calm(),
        new Notation(
            "yes".equals(kept.get("inches")),
            "yes".equals(kept.get("fahrenheit")),
            yes(kept.get("decimalComma"), usual.decimalComma()),
            yes(kept.get("twelveHours"), usual.twelveHours()),
            kept.getOrDefault("currency", usual.currency())),
        kept.getOrDefault("lastJob", ""),
        kept.getOrDefault("window", ""),
        number(kept.get("perMillimetre"), USUAL_SCREEN),
        percent(kept.getOrDefault("textPercent", "")),
        day(kept.getOrDefault("firstDay", "")));
  }

  private static Looks.Wish wish(String kept) {
    return switch (kept) {
      case "paper" -> Looks.Wish.PAPER;
      case "graphite" -> Looks.Wish.GRAPHITE;
      default -> Looks.Wish.SYSTEM;
    };
  }

  private static DayOfWeek day(String kept) {
    return Arrays.stream(DayOfWeek.values())
        .filter(d -> d.name().equals(kept))
        .findFirst()
        .orElse(WeekFields.of(Locale.getDefault(Locale.Category.FORMAT)).getFirstDayOfWeek());
  }

  private static int percent(String kept) {
    return Looks.SIZES.stream().filter(s -> String.valueOf(s).equals(kept)).findFirst().orElse(100);
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

  static void keep(Logbook logbook, Notation notation) {
    logbook.keepSetting("inches", notation.inches() ? "yes" : "no");
    logbook.keepSetting("fahrenheit", notation.fahrenheit() ? "yes" : "no");
    logbook.keepSetting("decimalComma", notation.decimalComma() ? "yes" : "no");
    logbook.keepSetting("twelveHours", notation.twelveHours() ? "yes" : "no");
    logbook.keepSetting("currency", notation.currency());
  }
}
