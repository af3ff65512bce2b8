package dev.ambershim.core.stage.practise;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.dosing.Drop;
import dev.ambershim.core.physics.dosing.MetalDose;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Tone;
import java.util.List;
import java.util.Random;

/**
 * A drop by eye: a face at true size and a drop of liquid metal on it. Too little, right, or too
 * much, by the window of the dose.
 *
 * @param dose the face and its window
 * @param cubicMillimetres the drop
 */
public record DropRound(MetalDose dose, double cubicMillimetres) {
  private static final List<StartingPoint> CHIPS =
      List.of(
          StartingPoint.DESKTOP_ONE_DIE_PASTE,
          StartingPoint.DESKTOP_ONE_DIE_SOLDER,
          StartingPoint.LAPTOP_BARE_DIE,
          StartingPoint.CARD_BARE_DIE);

  /** Drops lie up to this factor from the right one. */
  private static final double WIDEST = 4.5;

  private static final int ROUND = 40;

  /** What a person says of a drop. */
  public enum Guess {
    TOO_LITTLE("too little"),
    RIGHT("right"),
    TOO_MUCH("too much");

    private final String words;

    Guess(String words) {
      this.words = words;
    }

    /** Its name. */
    public String words() {
      return words;
    }
  }

  /** A drop by its seed. */
  public static DropRound of(long seed) {
    Random random = new Random(seed);
    while (true) {
      StartingPoint point = CHIPS.get(random.nextInt(CHIPS.size()));
      List<MetalDose> films = Job.from(point, "practice").workCase().doses().films();
      if (films.isEmpty()) {
        continue;
      }
      MetalDose dose = films.get(0);
      double factor = Math.exp((2 * random.nextDouble() - 1) * Math.log(WIDEST));
      return new DropRound(dose, dose.wantedCubicMillimetres() * factor);
    }
  }

  /** What it is. */
  public Guess truth() {
    if (cubicMillimetres < dose.leastCubicMillimetres()) {
      return Guess.TOO_LITTLE;
    }
    return dose.mostCubicMillimetres().filter(m -> cubicMillimetres > m).isPresent()
        ? Guess.TOO_MUCH
        : Guess.RIGHT;
  }

  /**
   * The face and the drop at true size.
   *
   * @param perMillimetre picture units for a millimetre of the screen
   */
  public Picture at(double perMillimetre, double width, double height) {
    Pen pen = new Pen();
    double area = dose.place().areaSquareMillimetres();
    // The outline is that of a face of the usual proportion.
    double deep = Math.sqrt(area / 1.4);
    double wide = area / deep;
    double x = width / 2 - wide * perMillimetre / 2;
    double y = height / 2 - deep * perMillimetre / 2;
    pen.box(x, y, wide * perMillimetre, deep * perMillimetre, Tone.SILICON, "");
    double r = new Drop(cubicMillimetres).ballMillimetres() / 2 * perMillimetre;
    double[] xs = new double[ROUND];
    double[] tops = new double[ROUND];
    double[] bottoms = new double[ROUND];
    for (int i = 0; i < ROUND; i++) {
      double along = -Math.cos(Math.PI * i / (ROUND - 1));
      double half = Math.sqrt(Math.max(0, 1 - along * along)) * r;
      xs[i] = width / 2 + along * r;
      tops[i] = height / 2 - half;
      bottoms[i] = height / 2 + half;
    }
    pen.band(xs, tops, bottoms, Tone.GALLIUM);
    pen.words(
        width / 2,
        height - 6,
        "A face and a drop on it, at true size",
        Tone.QUIET,
        11,
        Anchor.MIDDLE);
    return pen.picture(width, height, "A face with a drop of liquid metal, at true size.");
  }
}
