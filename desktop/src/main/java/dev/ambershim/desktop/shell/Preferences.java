package dev.ambershim.desktop.shell;

import dev.ambershim.core.notation.Notation;
import dev.ambershim.desktop.theme.Theme;
import dev.ambershim.logbook.store.Logbook;
import java.util.Map;

/**
 * What a person has set, kept with the logbook.
 *
 * @param theme the look
 * @param notation units and decimal mark
 * @param lastJob the job that was open last, or empty
 * @param window place and size of the window as {@code x,y,width,height}, or empty
 */
public record Preferences(Theme theme, Notation notation, String lastJob, String window) {
  /** Reads what was kept, with sensible values where nothing was. */
  public static Preferences of(Logbook logbook) {
    Map<String, String> kept = logbook.settings();
    return new Preferences(
        "paper".equals(kept.get("theme")) ? Theme.PAPER : Theme.GRAPHITE,
        new Notation(
            "yes".equals(kept.get("inches")),
            "yes".equals(kept.get("fahrenheit")),
            "yes".equals(kept.get("decimalComma")),
            "yes".equals(kept.get("twelveHours"))),
        kept.getOrDefault("lastJob", ""),
        kept.getOrDefault("window", ""));
  }

  static void keep(Logbook logbook, Theme theme, Notation notation) {
    logbook.keepSetting("theme", theme.words());
    logbook.keepSetting("inches", notation.inches() ? "yes" : "no");
    logbook.keepSetting("fahrenheit", notation.fahrenheit() ? "yes" : "no");
    logbook.keepSetting("decimalComma", notation.decimalComma() ? "yes" : "no");
    logbook.keepSetting("twelveHours", notation.twelveHours() ? "yes" : "no");
  }
}
