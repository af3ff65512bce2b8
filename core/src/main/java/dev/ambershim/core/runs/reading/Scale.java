package dev.ambershim.core.runs.reading;

/**
 * How a column's figures become those of its role's unit: by the unit that the file states, or by
 * their size where it states none and only one unit can be meant.
 *
 * @param unit the unit afterwards
 * @param factor what each figure is multiplied by
 * @param offset what is added then
 * @param remark what to tell of a unit that was not stated; else empty
 */
record Scale(String unit, double factor, double offset, String remark) {
  /** The scale of a column with so low and so high figures. */
  static Scale of(String unit, Role role, double low, double high) {
    return switch (unit) {
      case "°F" -> new Scale("°C", 1 / 1.8, -32 / 1.8, "");
      case "K" -> new Scale("°C", 1, -273.15, "");
      case "Hz" -> new Scale("MHz", 1e-6, 0, "");
      case "kHz" -> new Scale("MHz", 1e-3, 0, "");
      case "GHz" -> new Scale("MHz", 1e3, 0, "");
      case "mV" -> new Scale("V", 1e-3, 0, "");
      case "mW" -> new Scale("W", 1e-3, 0, "");
      case "µW" -> new Scale("W", 1e-6, 0, "");
      case "kW" -> new Scale("W", 1e3, 0, "");
      case "" -> bySize(role, low, high);
      default -> new Scale(unit, 1, 0, "");
    };
  }

  /**
   * No chip has kilowatts, gigahertz in hundreds, or thousands of degrees: such figures are parts.
   */
  private static Scale bySize(Role role, double low, double high) {
    return switch (role) {
      case CLOCK ->
          high < 20
              ? new Scale("MHz", 1e3, 0, "")
              : high > 5e7
                  ? new Scale("MHz", 1e-6, 0, "states no unit; taken as Hz.")
                  : high > 5e4
                      ? new Scale("MHz", 1e-3, 0, "states no unit; taken as kHz.")
                      : new Scale("", 1, 0, "");
      case POWER ->
          low >= 0 && high > 2e6
              ? new Scale("W", 1e-6, 0, "states no unit; taken as µW.")
              : low >= 0 && high > 5e3
                  ? new Scale("W", 1e-3, 0, "states no unit; taken as mW.")
                  : new Scale("", 1, 0, "");
      case CORE, PACKAGE, COOLANT, ROOM ->
          low >= 5e3 && high < 2e5
              ? new Scale("°C", 1e-3, 0, "states no unit; taken as thousandths of a degree.")
              : new Scale("", 1, 0, "");
      case VOLTAGE ->
          high > 200
              ? new Scale("V", 1e-3, 0, "states no unit; taken as mV.")
              : new Scale("", 1, 0, "");
      default -> new Scale("", 1, 0, "");
    };
  }

  /** Scales figures in place. */
  void apply(double[] values) {
    if (factor == 1 && offset == 0) {
      return;
    }
    for (int i = 0; i < values.length; i++) {
      values[i] = values[i] * factor + offset;
    }
  }
}
