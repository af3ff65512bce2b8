package dev.ambershim.desktop.shell;

import dev.ambershim.core.notation.Notation;
import dev.ambershim.desktop.theme.Theme;
import dev.ambershim.logbook.store.Logbook;

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
    return new Preferences(
        logbook
            .setting("theme")
            .filter("paper"::equals)
            .map(t -> Theme.PAPER)
            .orElse(Theme.GRAPHITE),
        new Notation(on(logbook, "inches"), on(logbook, "fahrenheit"), on(logbook, "decimalComma")),
        logbook.setting("lastJob").orElse(""),
        logbook.setting("window").orElse(""));
  }

  private static boolean on(Logbook logbook, String name) {
    return logbook.setting(name).filter("yes"::equals).isPresent();
  }

  static void keep(Logbook logbook, Theme theme, Notation notation) {
    logbook.keepSetting("theme", theme.words());
    logbook.keepSetting("inches", notation.inches() ? "yes" : "no");
    logbook.keepSetting("fahrenheit", notation.fahrenheit() ? "yes" : "no");
    logbook.keepSetting("decimalComma", notation.decimalComma() ? "yes" : "no");
  }
}
