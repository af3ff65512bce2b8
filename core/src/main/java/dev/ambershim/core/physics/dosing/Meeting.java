package dev.ambershim.core.physics.dosing;

import dev.ambershim.core.base.Sentence;
import java.util.Optional;

/**
 * Liquid metal and what it meets at one place.
 *
 * @param place where
 * @param face what it meets
 * @param said whether the person said so; else it is what is usual there
 */
public record Meeting(MetalPlace place, MetalFace face, boolean said) {
  /**
   * Whether it may be. Gold and silver on a hand are ruined by a touch, unlike a trace of them in a
   * joint.
   */
  public Verdict verdict() {
    boolean worn = face == MetalFace.GOLD || face == MetalFace.SILVER;
    return place == MetalPlace.JEWELLERY && worn ? Verdict.NEVER : face.verdict();
  }

  /** Why the plan cannot go on, if it cannot. */
  public Optional<Bar> bar() {
    return verdict() == Verdict.NEVER
        ? Optional.of(
            new Bar(
                "dose.forbidden",
                place.words(),
                "Liquid metal must never meet " + face.words() + ". " + face.mechanism(),
                remedy()))
        : Optional.empty();
  }

  private String remedy() {
    return switch (place) {
      case DIE, LID_INSIDE, LID_TOP, PLATE ->
          "Take one of nickel-plated or bare copper, or keep to paste.";
      case JEWELLERY -> "Take it off before you open the syringe, then say so.";
      case PARTS -> "Cover them, then say so.";
      default -> "Cover it with paper or plastic or take another, then say so.";
    };
  }

  /** The meeting in a sentence. */
  public String sentence() {
    StringBuilder words = new StringBuilder();
    words.append(Sentence.begin(verdict().words())).append(": ").append(face.mechanism());
    if (place.inJoint() && face.firstLookMonths() > 0) {
      words.append(" First look after ").append(face.firstLookMonths()).append(" months.");
    }
    return words.toString();
  }

  /** Place, face and what follows, in a line. */
  public String line() {
    return place.words() + ", " + face.words() + ". " + sentence();
  }
}
