package dev.ambershim.core.runs.reading;

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
          "(^|[^a-z])(cpu ?)?(core|c|t|tcore|t ?core|cpu)[ #]*\\d+([^a-z0-9]|$).*"
              + "|.*(^|[^a-z])t?cores?( (no|nr|id|index|temp|tmp|temperature))?[ #]*\\d+.*");

  /** What is worked out from a sensor's figures or set for it, and is no reading. */
  private static final Pattern DERIVED =
      Pattern.compile(
          ".*(^|[^a-z])(max|min|maximum|minimum|distance|dist|margin|limit|limits|delta|spread|tjmax|tj"
              + "|crit|critical|high|highest|low|lowest|peak|hyst|hysteresis|threshold|target|headroom"
              + "|alarm|emergency|lcrit|remaining|until|below|ppt|tdc|edc|setpoint)([^a-z]|$).*");

  private static final Pattern AVERAGE =
      Pattern.compile(".*(^|[^a-z])(avg|average|mean)([^a-z]|$).*");
  private static final Pattern VOLTAGE =
      Pattern.compile(".*(^|[^a-z])(v?core|cpu|vid|package|processor|vcpu|vdd)([^a-z]|$).*");
  private static final Pattern VOLTAGE_ALONE =
      Pattern.compile("(chip )?(voltage|volts?)( (v|mv|volts?|average|avg|sensor))?");
  private static final Pattern TURNS = Pattern.compile(".*(^|[^a-z])(fan|pump|cooler)([^a-z]|$).*");
  private static final Pattern LOAD =
      Pattern.compile(".*(^|[^a-z])(load|usage|utili[sz]ation|busy)([^a-z]|$).*");
  private static final Pattern ELSEWHERE =
      Pattern.compile(
          ".*(^|[^a-z])(gpu|gfx|igpu|disk|drive|ssd|nvme|vrm|board|motherboard|memory|mem|dimm|ram|chipset"
              + "|bus|ring|uncore|cache|fabric|nic|psu|battery|tsc|base|soc|wifi|iwlwifi|case|chassis"
              + ")([^a-z]|$).*");

  /** Words beside "core 3" that leave a figure without unit a temperature. */
  private static final Pattern ONLY_TEMPERATURE =
      Pattern.compile(
          "((cpu|processor|die|cores?|tcore|no|nr|id|index|temp|tmp|temps|temperature|t|c|degrees|deg|celsius"
              + "|f|fahrenheit|k|reading|sensor|value|input|dts|digital|thermal|current|now|coretemp|"
              + "ccd|ccx|x86|tcore|average|avg|°c|[ #]*\\d+|temp\\d+|[a-z]{0,8}\\d+)( |$))*");

  /**
   * Guesses the role of a channel.
   *
   * @param unit the unit in its own spelling, or empty
   * @param low lowest figure
   * @param high highest figure
   * @param flag whether the figures are only 0 and 1
   */
  static RoleGuess of(String name, String unit, double low, double high, boolean flag) {
    String n = ColumnWords.plain(name);
    if (n.contains("throttl") || n.matches(".*thermal (limit|event).*")) {
      return flag ? new RoleGuess(Role.THROTTLE, 0.95) : NONE;
    }
    if (ELSEWHERE.matcher(n).matches()) {
      return NONE;
    }
    boolean derived = DERIVED.matcher(n).matches();
    boolean average = AVERAGE.matcher(n).matches();
    if (unit.matches("[mkµ]?W") || (unit.isEmpty() && n.matches("(.* )?(power|watts?)( .*)?"))) {
      return derived || CORE.matcher(n).matches() || n.contains("factor")
          ? NONE
          : power(n, average);
    }
    if (unit.matches("[kMG]?Hz") || (unit.isEmpty() && clockName(n) && low > 0.1)) {
      return derived ? NONE : new RoleGuess(Role.CLOCK, average ? 0.65 : clockName(n) ? 0.9 : 0.7);
    }
    RoleGuess condition = condition(n, unit, low, high, derived);
    if (condition != null) {
      return condition;
    }
    boolean temperature = unit.equals("°C") || unit.equals("°F") || unit.equals("K");
    boolean couldBeTemperature = unit.isEmpty() && high > 5 && !flag;
    if (temperature || couldBeTemperature) {
      return temperature(n, temperature, derived || average);
    }
    return NONE;
  }

  private static RoleGuess temperature(String n, boolean unitKnown, boolean derived) {
    double sure = unitKnown ? 0.95 : 0.75;
    if (derived
        || (!unitKnown && n.matches(".*(power|clock|load|fan|pump|usage|voltage|humid).*"))) {
      return NONE;
    }
    if (n.matches(".*(^| )(room|ambient|air|intake)( .*|$)")) {
      return new RoleGuess(Role.ROOM, sure);
    }
    if (n.matches(".*(^| )(coolant|water|liquid|loop)( .*|$)")) {
      return new RoleGuess(Role.COOLANT, sure);
    }
    if (n.matches(".*(^| )(package|pkg)( .*|$)")) {
      return new RoleGuess(Role.PACKAGE, sure - 0.05);
    }
    if (CORE.matcher(n).matches()) {
      boolean plain = unitKnown || ONLY_TEMPERATURE.matcher(n).matches();
      boolean cpu = !n.matches(".*(core|(^| )[ct] ?#?\\d).*");
      return plain ? new RoleGuess(Role.CORE, cpu ? sure - 0.2 : sure) : NONE;
    }
    if (n.matches(".*(^| )(cpu|die|processor|chip|hotspot|tctl|tdie)( .*|$)")) {
      return new RoleGuess(Role.PACKAGE, sure - 0.1);
    }
    return NONE;
  }

  /** Voltage, fan, pump and load: what should be equal when two runs are compared. */
  private static RoleGuess condition(
      String n, String unit, double low, double high, boolean derived) {
    boolean volts = n.matches("(.* )?(voltage|volts?|v?core v|vcore|vid)( .*)?");
    boolean core = VOLTAGE.matcher(n).matches() || VOLTAGE_ALONE.matcher(n).matches();
    boolean fits =
        switch (unit) {
          case "V", "mV" -> core;
          case "rpm" -> TURNS.matcher(n).matches();
          case "%" -> LOAD.matcher(n).matches();
          case "" ->
              (TURNS.matcher(n).matches() && high > 200)
                  || (volts && core && low >= 0 && (high < 3 || (low > 200 && high < 3000)));
          default -> false;
        };
    if (!fits || derived) {
      return unit.isEmpty() || unit.startsWith("°") || unit.equals("K") ? null : NONE;
    }
    if (unit.isEmpty() && volts && !TURNS.matcher(n).matches()) {
      return new RoleGuess(Role.VOLTAGE, 0.7);
    }
    return switch (unit) {
      case "V", "mV" -> new RoleGuess(Role.VOLTAGE, 0.8);
      case "%" -> new RoleGuess(Role.LOAD, 0.8);
      default ->
          new RoleGuess(n.contains("pump") ? Role.PUMP : Role.FAN, unit.isEmpty() ? 0.6 : 0.8);
    };
  }

  private static RoleGuess power(String n, boolean average) {
    double less = average ? 0.05 : 0;
    if (n.matches(".*(package|pkg|chip|processor).*")) {
      return new RoleGuess(Role.POWER, 0.95 - less);
    }
    if (n.matches(".*(cpu|total).*")) {
      return new RoleGuess(Role.POWER, (n.contains("core") ? 0.7 : 0.85) - less);
    }
    return new RoleGuess(Role.POWER, (n.startsWith("power") ? 0.8 : 0.6) - less);
  }

  private static boolean clockName(String n) {
    return n.matches(".*(clock|freq|frequency|mhz|ghz|khz).*");
  }
}
