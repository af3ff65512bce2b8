package dev.ambershim.core.stage;

import dev.ambershim.core.job.Side;
import java.util.Optional;

/** The ten stages of the work, in its own order. */
public enum Stage {
  WEIGH(1, "Weigh", "Is it worth it on this chip?"),
  BASELINE(2, "Baseline", "What is it like now, and can you trust the figure?"),
  OPEN(3, "Open", "How do you get the lid off without harm, and when are you done?"),
  CLEAN(4, "Clean", "Is it clean, and fit to be used again?"),
  MEASURE(5, "Measure", "What will touch what first? Is it flat?"),
  LAP(6, "Lap", "How much must come off, and when are you done?"),
  COAT(
      7, "Coat and dose", "How much liquid metal, paste, varnish, glue? What must it never touch?"),
  CLOSE(8, "Close and mount", "How thick will the joint be? How hard, in which order?"),
  PROVE(9, "Prove", "Did it work, and how far does it clock now?"),
  KEEP(10, "Keep", "Is it ageing, and when do you open it again?");

  private final int number;
  private final String words;
  private final String question;

  Stage(int number, String words, String question) {
    this.number = number;
    this.words = words;
    this.question = question;
  }

  /** Its place in the work, from 1. */
  public int number() {
    return number;
  }

  /** The stage at a place in the work. */
  public static Stage at(int number) {
    for (Stage stage : values()) {
      if (stage.number == number) {
        return stage;
      }
    }
    throw new IllegalArgumentException("no stage " + number);
  }

  /** The stage's name. */
  public String words() {
    return words;
  }

  /** The question it answers. */
  public String question() {
    return question;
  }

  /** The side of the work that a stage is about, if it is about one. */
  public static Optional<Side> sideOf(Stage stage) {
    return switch (stage) {
      case WEIGH, BASELINE, OPEN, CLEAN -> Optional.of(Side.BEFORE);
      case COAT, CLOSE, PROVE, KEEP -> Optional.of(Side.AFTER);
      default -> Optional.empty();
    };
  }
}
