package dev.ambershim.core.runs.causes;

import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;

/**
 * What a person saw, felt or heard, and how much likelier it is under some causes than when all is
 * as it should be. The odds are common practice, kept mild: a hand is no thermometer.
 */
public enum Sign {
  PUMP_FINE("Pump and tubes are as usual", Map.of(CauseKind.COOLER_WEAK, 0.6)),
  PUMP_SILENT("The pump is silent, or rattles", Map.of(CauseKind.COOLER_WEAK, 8.0)),
  TUBES_APART("One tube is much warmer than the other", Map.of(CauseKind.COOLER_WEAK, 6.0)),
  RADIATOR_COLD_END("The radiator is warm at one end only", Map.of(CauseKind.COOLER_WEAK, 4.0)),
  RADIATOR_HOT(
      "The whole radiator or heat sink is hot to the touch",
      Map.of(CauseKind.COOLANT_WARM, 5.0, CauseKind.CORE_DRAWS_MORE, 1.5)),
  AIR_FINE("Fans, fins and intake are clean and cool", Map.of(CauseKind.COOLANT_WARM, 0.5)),
  DUST("Fins or filters are full of dust", Map.of(CauseKind.COOLANT_WARM, 4.0)),
  FAN_STANDS(
      "A fan stands still or turns slowly",
      Map.of(CauseKind.COOLANT_WARM, 6.0, CauseKind.COOLER_WEAK, 3.0)),
  COOLER_STAYS_COOL(
      "The cooler stays cool while the cores are hot",
      Map.of(CauseKind.TOO_THICK, 3.0, CauseKind.TILTED, 3.0, CauseKind.GAP, 3.0)),
  PRESSED_SAME(
      "Pressing on the cooler changed nothing",
      Map.of(CauseKind.TOO_THICK, 0.9, CauseKind.TILTED, 0.7, CauseKind.GAP, 0.9)),
  PRESSED_COOLER(
      "The cores got cooler when you pressed on the cooler",
      Map.of(CauseKind.TOO_THICK, 2.0, CauseKind.TILTED, 5.0, CauseKind.GAP, 2.0)),
  PRINT_COVERED(
      "The paste's print covers the whole face, evenly",
      Map.of(CauseKind.TILTED, 0.3, CauseKind.GAP, 0.15, CauseKind.TOO_THICK, 0.8)),
  PRINT_BARE_CORNER("The paste's print leaves a part bare", Map.of(CauseKind.GAP, 8.0)),
  PRINT_ONE_SIDE("The paste's print is thick on one side", Map.of(CauseKind.TILTED, 8.0)),
  PASTE_DRY("The paste is dry or crumbles", Map.of(CauseKind.TOO_THICK, 5.0, CauseKind.GAP, 3.0)),
  SCREWS_UNEVEN(
      "The screws were not tightened evenly",
      Map.of(CauseKind.TILTED, 5.0, CauseKind.TOO_THICK, 1.5)),
  OTHER_COOLER_SAME(
      "Another cooler, known to be good, made no difference",
      Map.of(CauseKind.COOLER_WEAK, 0.1, CauseKind.COOLANT_WARM, 0.2, CauseKind.SENSOR_OFF, 2.0)),
  OTHER_COOLER_BETTER(
      "Another cooler, known to be good, made it much cooler",
      Map.of(CauseKind.COOLER_WEAK, 8.0, CauseKind.COOLANT_WARM, 5.0, CauseKind.TILTED, 2.0)),
  WARM_AIR_IN("The air at the intake is warmer than the room", Map.of(CauseKind.COOLANT_WARM, 6.0)),
  CREPT(
      "It got hotter little by little over months",
      Map.of(CauseKind.TOO_THICK, 4.0, CauseKind.COOLANT_WARM, 3.0, CauseKind.GAP, 2.0)),
  JUMPED(
      "It got hotter from one day to the next",
      Map.of(
          CauseKind.COOLER_WEAK,
          4.0,
          CauseKind.TILTED,
          2.0,
          CauseKind.SENSOR_OFF,
          2.0,
          CauseKind.COOLANT_WARM,
          1.5)),
  COOLANT_ROSE(
      "Since the work the coolant got warmer, but not the cores over it",
      Map.of(CauseKind.COOLANT_WARM, 8.0)),
  OVER_COOLANT_ROSE(
      "Since the work the cores got hotter over the coolant",
      Map.of(CauseKind.TOO_THICK, 5.0, CauseKind.GAP, 3.0, CauseKind.COOLER_WEAK, 2.0)),
  SLOW_ROSE(
      "Since the work the slow part of the rise grew, which comes minutes after the load",
      Map.of(CauseKind.COOLANT_WARM, 6.0, CauseKind.COOLER_WEAK, 4.0)),
  QUICK_ROSE(
      "Since the work the quick part of the rise grew, which comes within seconds",
      // A plate that its pump no longer cools warms within ten seconds, too.
      Map.of(CauseKind.TOO_THICK, 5.0, CauseKind.GAP, 3.0, CauseKind.COOLER_WEAK, 2.0));

  /** How often a sign shows when all is well, against the sign that all is: common practice. */
  private static final double SELDOM = 0.06;

  private final String words;
  private final Map<CauseKind, Double> odds;

  Sign(String words, Map<CauseKind, Double> odds) {
    this.words = words;
    this.odds = new EnumMap<>(odds);
  }

  /** What the person says. */
  public String words() {
    return words;
  }

  /** Its name in files: lower case with hyphens. */
  public String key() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Whether it was seen on the joint under the cooler, and tells nothing of one under the lid. */
  public boolean ofOutermost() {
    return switch (this) {
      case PRESSED_SAME,
          PRESSED_COOLER,
          PRINT_COVERED,
          PRINT_BARE_CORNER,
          PRINT_ONE_SIDE,
          PASTE_DRY,
          SCREWS_UNEVEN ->
          true;
      default -> false;
    };
  }

  /** Whether it is what a test shows as a rule when all is well. */
  public boolean fine() {
    return switch (this) {
      case PUMP_FINE, AIR_FINE, PRESSED_SAME, PRINT_COVERED -> true;
      default -> false;
    };
  }

  /**
   * How often it shows under a cause, against the other signs of its test.
   *
   * @param outermost whether a joint's cause sits under the cold plate
   */
  double weight(CauseKind kind, boolean outermost) {
    return (fine() ? 1 : SELDOM) * odds(kind, outermost);
  }

  /** Odds against "as it should be". */
  double odds(CauseKind kind, boolean outermost) {
    if (kind.inJoint() && ofOutermost() && !outermost) {
      return 1;
    }
    return odds.getOrDefault(kind, 1.0);
  }
}
