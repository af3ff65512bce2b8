package dev.ambershim.core.runs.causes;

import java.util.Arrays;
import java.util.List;

/**
 * A test that a person can make, with what it takes. None of them opens the chip. Minutes and risks
 * are common practice.
 */
public enum Trial {
  COOLANT("read the coolant", "reading the coolant", 2, Risk.NONE),
  IDLE("idle reading", "a reading at idle", 5, Risk.NONE),
  FROM_REST(
      "a run from rest",
      "logging a run that begins at idle and goes on until it has settled",
      12,
      Risk.NONE),
  ONE_BY_ONE("each core alone", "loading one core after another", 1.5, Risk.NONE),
  LID("read the lid", "mounting the cooler over a probe on the lid", 40, Risk.LOW),
  PRESS("press on the cooler", "pressing on the cooler by hand", 2, Risk.LOW),
  PUMP("feel pump and tubes", "listening to the pump and feeling both tubes", 2, Risk.NONE),
  DUST("look at fans and fins", "looking at fans, fins and the intake", 3, Risk.NONE),
  TURN("cooler turned half round", "mounting the cooler turned half round", 35, Risk.LOW),
  REMOUNT("mount the cooler again", "mounting the cooler again with fresh paste", 30, Risk.LOW),
  PRINT("look at the paste's print", "lifting the cooler and looking at the paste", 20, Risk.LOW);

  /** What can go wrong at a test. */
  public enum Risk {
    NONE("none", 1),
    LOW("low", 0.7);

    private final String words;
    private final double worth;

    Risk(String words, double worth) {
      this.words = words;
      this.worth = worth;
    }

    /** Its name. */
    public String words() {
      return words;
    }
  }

  /** Every test costs attention besides its minutes. */
  private static final double SETTING_ABOUT_IT = 4;

  private final String name;
  private final String doing;
  private final double minutes;
  private final Risk risk;

  Trial(String name, String doing, double minutes, Risk risk) {
    this.name = name;
    this.doing = doing;
    this.minutes = minutes;
    this.risk = risk;
  }

  /** Its name in {@code diagnose}. */
  public String words() {
    return name;
  }

  /** How it is started, on a button. */
  public String button() {
    return switch (this) {
      case ONE_BY_ONE -> "Load one core after another";
      case IDLE, COOLANT, LID -> "Type a reading";
      case FROM_REST -> "Conduct a run";
      case TURN, REMOUNT -> "Conduct a run of the new mount";
      case PRESS, PUMP, DUST, PRINT -> "Write down what you notice";
    };
  }

  /** What one does, as the subject of a sentence. */
  public String doing() {
    return doing;
  }

  /**
   * What it takes, minutes.
   *
   * @param cores of the chip
   */
  public double minutes(int cores) {
    return this == ONE_BY_ONE ? minutes * cores : minutes;
  }

  /** What can go wrong. */
  public Risk risk() {
    return risk;
  }

  /** The signs that may show, one of them each time; none for a test that is read off sensors. */
  public List<Sign> signs() {
    return switch (this) {
      case PRESS -> List.of(Sign.PRESSED_SAME, Sign.PRESSED_COOLER);
      case PUMP -> List.of(Sign.PUMP_FINE, Sign.PUMP_SILENT, Sign.TUBES_APART);
      case DUST -> List.of(Sign.AIR_FINE, Sign.DUST, Sign.FAN_STANDS, Sign.WARM_AIR_IN);
      case PRINT ->
          List.of(Sign.PRINT_COVERED, Sign.PRINT_BARE_CORNER, Sign.PRINT_ONE_SIDE, Sign.PASTE_DRY);
      default -> List.of();
    };
  }

  /**
   * How likely a sign is to be the one that this test shows.
   *
   * @param outermost whether a joint's cause sits under the cold plate
   */
  public double chance(Sign sign, CauseKind kind, boolean outermost) {
    double all = signs().stream().mapToDouble(s -> s.weight(kind, outermost)).sum();
    return sign.weight(kind, outermost) / all;
  }

  /**
   * How a sign speaks for a cause, whether it came of a test or by itself.
   *
   * @param outermost as above
   * @return its chance, or its odds, under the cause; only the ratio between causes has a meaning
   */
  public static double likelihood(Sign sign, CauseKind kind, boolean outermost) {
    return Arrays.stream(values())
        .filter(t -> t.signs().contains(sign))
        .findFirst()
        .map(t -> t.chance(sign, kind, outermost))
        .orElseGet(() -> sign.odds(kind, outermost));
  }

  /** What so many bits are worth for so many minutes and the risk. */
  public double worth(double bits, double taken) {
    return bits * risk.worth / (taken + SETTING_ABOUT_IT);
  }
}
