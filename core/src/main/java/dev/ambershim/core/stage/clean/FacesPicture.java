package dev.ambershim.core.stage.clean;

import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Tone;
import dev.ambershim.core.plan.Flaw.Face;
import dev.ambershim.core.stage.clean.CleanAnswer.Fitness;

/**
 * Every face with the worst that was found on it: a bar that grows with how bad it is, and words,
 * so that nothing hangs on colour.
 */
public final class FacesPicture {
  private static final double TOP = 24;
  private static final double ROW = 21;
  private static final double LEFT = 140;

  /** The height it takes. */
  public static final double HEIGHT = TOP + ROW * Face.values().length + 8;

  private FacesPicture() {}

  /** Draws a verdict. */
  public static Picture of(CleanAnswer verdict, double width, double height) {
    Pen pen = new Pen();
    pen.words(8, 14, "Worst found on each face", Tone.QUIET, 11, Anchor.START);
    double step = (width - LEFT - 190) / (Fitness.values().length - 1);
    StringBuilder words = new StringBuilder();
    int row = 0;
    for (Face face : Face.values()) {
      double y = TOP + ROW * row++;
      Fitness worst =
          verdict.judgements().stream()
              .filter(f -> f.flaw().face() == face)
              .map(CleanAnswer.Judgement::fitness)
              .max(Fitness::compareTo)
              .orElse(null);
      pen.box(LEFT, y, width - LEFT - 190, ROW - 5, Tone.GAP, face.words());
      pen.words(LEFT - 8, y + 13, face.words(), Tone.INK, 12.5, Anchor.END);
      if (worst == null) {
        pen.words(width - 182, y + 13, "nothing noted", Tone.QUIET, 12.5, Anchor.START);
        continue;
      }
      double length = Math.max(6, step * rank(worst));
      pen.box(LEFT, y, length, ROW - 5, tone(worst), face.words());
      pen.strong(width - 182, y + 13, worst.words(), Tone.INK, 12.5, Anchor.START);
      words.append(words.isEmpty() ? "" : ", ").append(face.words()).append(": ");
      words.append(worst.words());
    }
    return pen.picture(
        width, height, words.isEmpty() ? "No flaw noted on any face." : "Faces: " + words + ".");
  }

  private static int rank(Fitness fitness) {
    int rank = 0;
    for (Fitness each : Fitness.values()) {
      if (each == fitness) {
        return rank;
      }
      rank++;
    }
    return rank;
  }

  private static Tone tone(Fitness fitness) {
    return switch (fitness) {
      case YES -> Tone.AFTER;
      case WATCH -> Tone.NICKEL;
      case MEND -> Tone.AMBER;
      case CANNOT_TELL -> Tone.QUIET;
      case NO -> Tone.ALARM;
    };
  }
}
