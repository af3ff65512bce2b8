package dev.ambershim.core.plan;

/**
 * Something that went wrong at a step.
 *
 * @param what what happened
 * @param harm how bad it was
 * @param lesson what to do another way next time; may be empty
 * @param risk the risk that it counts for, or null
 * @param accident which kind it was, or null for another
 */
public record Mishap(String what, Harm harm, String lesson, Step risk, Accident accident) {
  /** A mishap of no kind that has a way out of its own. */
  public Mishap(String what, Harm harm, String lesson, Step risk) {
    this(what, harm, lesson, risk, null);
  }

  /** How bad a mishap was. */
  public enum Harm {
    NONE("no harm done"),
    MENDED("mended"),
    WORSE("the chip works, but worse"),
    LOST("the chip is lost");

    private final String words;

    Harm(String words) {
      this.words = words;
    }

    /** The harm in words. */
    public String words() {
      return words;
    }
  }

  /** Fills in what is not said. */
  public Mishap {
    what = what == null ? "" : what.strip();
    lesson = lesson == null ? "" : lesson.strip();
    harm = harm == null ? Harm.NONE : harm;
  }
}
