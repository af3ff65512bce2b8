package dev.ambershim.core.runlog;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * What a channel probably stands for, from its name, its unit and its figures. The rules are common
 * practice: loggers name their columns in a few ways.
 *
 * @param role the guess
 * @param confidence 0 to 1
 */
record RoleGuess(Role role, double confidence) {
  private static final RoleGuess NONE = new RoleGuess(Role.UNUSED, 0.5);
  private static final Pattern CORE =
      Pattern.compile(
          "(^|[^a-z])(cpu ?)?(core|kern|c|t|tcore|t ?core)[ #]*\\d+([^a-z0-9]|$).*|.*(^|[^a-z])t?(core|kern)[ #]*\\d+.*");
  private static final Pattern DERIVED =
      Pattern.compile(
          ".*(^|[^a-z])(max|min|maximum|minimum|avg|average|mean|distance|margin|limit|delta|spread)([^a-z]|$).*");
  private static final Pattern VOLTAGE =
      Pattern.compile(".*(^|[^a-z])(v?core|cpu|vid|kern)([^a-z]|$).*");
  private static final Pattern TURNS = Pattern.compile(".*(^|[^a-z])(fan|pump|cooler)([^a-z]|$).*");
  private static final Pattern LOAD =
      Pattern.compile(".*(^|[^a-z])(load|usage|utili[sz]ation|last)([^a-z]|$).*");
  private static final Pattern ELSEWHERE =
      Pattern.compile(
          ".*(^|[^a-z])(gpu|disk|drive|ssd|nvme|vrm|board|motherboard|memory|mem|dimm|ram|chipset|bus|ring|uncore|cache|fabric|nic|psu)([^a-z]|$).*");

  /**
   * Guesses the role of a channel.
   *
   * @param unit the unit in its own spelling, or empty
   * @param low lowest figure
   * @param high highest figure
   * @param flag whether the figures are only 0 and 1
   */
  static RoleGuess of(String name, String unit, double low, double high, boolean flag) {
    String n = name.toLowerCase(Locale.ROOT).replaceAll("[_\\[\\](){}:.,/-]+", " ").strip();
    if (n.contains("throttl") || n.matches(".*thermal (limit|event).*")) {
      return flag ? new RoleGuess(Role.THROTTLE, 0.95) : NONE;
    }
    if (ELSEWHERE.matcher(n).matches()) {
      return NONE;
    }
    boolean derived = DERIVED.matcher(n).matches();
    if (unit.equals("W") || (unit.isEmpty() && n.matches(".*(power|watts?)( .*)?"))) {
      return derived || CORE.matcher(n).matches() ? NONE : power(n);
    }
    if (unit.equals("MHz") || unit.equals("GHz") || (unit.isEmpty() && clockName(n) && low > 0.1)) {
      return derived ? NONE : new RoleGuess(Role.CLOCK, clockName(n) ? 0.9 : 0.7);
    }
    RoleGuess condition = condition(n, unit, high, derived);
    if (condition != null) {
      return condition;
    }
    boolean temperature = unit.equals("°C") || unit.equals("°F");
    boolean couldBeTemperature = unit.isEmpty() && low > -20 && high < 260 && high > 5 && !flag;
    if (temperature || couldBeTemperature) {
      return temperature(n, temperature);
    }
    return NONE;
  }

  private static RoleGuess temperature(String n, boolean unitKnown) {
    double sure = unitKnown ? 0.95 : 0.75;
    if (n.matches(".*(^| )(room|ambient|air|raum|raumluft|umgebung|intake)( .*|$)")) {
      return new RoleGuess(Role.ROOM, sure);
    }
    if (n.matches(".*(^| )(coolant|water|liquid|loop|wasser)( .*|$)")) {
      return new RoleGuess(Role.COOLANT, sure);
    }
    if (DERIVED.matcher(n).matches()
        || (!unitKnown && n.matches(".*(power|clock|load|fan|usage).*"))) {
      return NONE;
    }
    if (CORE.matcher(n).matches()) {
      return new RoleGuess(Role.CORE, sure);
    }
    if (n.matches(".*(^| )(package|pkg|cpu|die|processor|chip|hotspot)( .*|$)")) {
      return new RoleGuess(Role.PACKAGE, sure - 0.1);
    }
    return NONE;
  }

  /** Voltage, fan, pump and load: what should be equal when two runs are compared. */
  private static RoleGuess condition(String n, String unit, double high, boolean derived) {
    boolean fits =
        switch (unit) {
          case "V", "mV" -> VOLTAGE.matcher(n).matches();
          case "rpm" -> TURNS.matcher(n).matches();
          case "%" -> LOAD.matcher(n).matches();
          case "" -> TURNS.matcher(n).matches() && high > 200;
          default -> false;
        };
    if (!fits || derived) {
      return unit.isEmpty() || unit.startsWith("°") ? null : NONE;
    }
    return switch (unit) {
      case "V", "mV" -> new RoleGuess(Role.VOLTAGE, 0.8);
      case "%" -> new RoleGuess(Role.LOAD, 0.8);
      default ->
          new RoleGuess(n.contains("pump") ? Role.PUMP : Role.FAN, unit.isEmpty() ? 0.6 : 0.8);
    };
  }

  private static RoleGuess power(String n) {
    if (n.matches(".*(package|pkg|chip|processor).*")) {
      return new RoleGuess(Role.POWER, 0.95);
    }
    if (n.matches(".*(cpu|total).*")) {
      return new RoleGuess(Role.POWER, 0.85);
    }
    return new RoleGuess(Role.POWER, n.startsWith("power") ? 0.8 : 0.6);
  }

  private static boolean clockName(String n) {
    return n.matches(".*(clock|freq|frequency|mhz|takt).*");
  }
}
