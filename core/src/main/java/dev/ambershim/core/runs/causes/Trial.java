package dev.ambershim.core.runs.causes;

import java.util.List;

/**
 * A test that a person can make, with what it takes. None of them opens the chip. Minutes and risks
 * are common practice.
 */
public enum Trial {
  COOLANT("read the coolant", "reading the coolant", 2, Risk.NONE),
  IDLE("idle reading", "a reading at idle", 5, Risk.NONE),
  ONE_BY_ONE("each core alone", "loading one core after another", 12, Risk.NONE),
  LID("read the lid", "reading the lid's temperature", 5, Risk.NONE),
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

  /** What one does, as the subject of a sentence. */
  public String doing() {
    return doing;
  }

  /** What it takes, minutes. */
  public double minutes() {
    return minutes;
  }

  /** What can go wrong. */
  public Risk risk() {
    return risk;
  }

  /** The signs that may show. */
  public List<Sign> signs() {
    return switch (this) {
      case PRESS -> List.of(Sign.PRESSED_COOLER);
      case PUMP -> List.of(Sign.PUMP_SILENT, Sign.TUBES_APART);
      case DUST -> List.of(Sign.DUST, Sign.FAN_STANDS, Sign.WARM_AIR_IN);
      case PRINT ->
          List.of(Sign.PRINT_COVERED, Sign.PRINT_BARE_CORNER, Sign.PRINT_ONE_SIDE, Sign.PASTE_DRY);
      default -> List.of();
    };
  }

  /** What so many bits are worth for the minutes and the risk. */
  public double worth(double bits) {
    return bits * risk.worth / (minutes + SETTING_ABOUT_IT);
  }
}
