package dev.ambershim.core.job;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.spread.PasteStroke;
import dev.ambershim.core.physics.surface.LapPass;
import dev.ambershim.core.physics.surface.ProbedPoint;
import dev.ambershim.core.physics.surface.Relief;
import java.util.List;
import java.util.Objects;

/**
 * What must hold of a job that did not come from the window, where every figure is checked as it is
 * typed.
 */
public final class JobRules {
  private static final double MOST_MILLIMETRES = 1000;

  private JobRules() {}

  /** Longest title of a job, in letters. */
  public static final int MOST_LETTERS = Soundness.MOST_LETTERS;

  /** Most runs of a job. */
  public static final int MOST_RUNS = Soundness.MOST_RUNS;

  /**
   * Checks a job that a command was given.
   *
   * @throws Problem {@code job.…}, {@code field.range} or {@code reading.…}, naming the figure
   */
  public static void check(Job job) {
    sound(job);
    dies(job.chip().dies());
  }

  /**
   * Checks that a job has a chip, a cooler and both builds, without which nothing can be shown.
   *
   * @throws Problem {@code job.missing}, naming what is not there
   */
  public static void built(Job job) {
    Soundness.built(job);
  }

  /**
   * Checks what holds of every job that the window wrote, too: nothing is missing, and every figure
   * is within its range. Parts may lie over one another while a person types them one by one.
   *
   * @throws Problem as {@link #check}
   */
  public static void sound(Job job) {
    Soundness.check(job);
    shares(job.chip().dies());
    for (RunEntry run : job.runs()) {
      if (run.fileName().isBlank()) {
        throw problem("runs", "A run does not say its file.", "Give it a fileName.");
      }
      if (run.roomCelsius() != null && !Room.canBe(run.roomCelsius())) {
        throw problem(
            "runs", run.roomCelsius() + " °C is no room.", "Give the air at the cooler's intake.");
      }
    }
    Figures.check(job);
    measured(job);
    strokes(job);
    for (Reading r : job.readings()) {
      Reading.checked(
          r.name(),
          r.watts(),
          r.coreCelsius(),
          r.roomCelsius(),
          r.coolantCelsius(),
          r.lidCelsius());
    }
    evidence(job.evidence());
    care(job.care());
  }

  /** States core by core and turned coolers, as a bundle may bring them. */
  private static void evidence(CauseEvidence evidence) {
    evidence.readings().forEach(CauseEvidence.CoreReading::check);
    if (!evidence.turned().stream().allMatch(t -> t.side() != null && Math.abs(t.degrees()) <= 360)
        || !evidence.seen().stream().allMatch(s -> s.side() != null && s.sign() != null)) {
      throw problem(
          "evidence", "A sign or a turned cooler cannot be.", "Name its side, and degrees to 360.");
    }
  }

  private static void care(Care care) {
    care.checks().forEach(KeptCheck::checked);
    care.found().stream().map(Found::photos).filter(Objects::nonNull).forEach(PhotoPair::checked);
    if (care.events().stream().anyMatch(e -> e.date() == null)
        || care.found().stream().anyMatch(f -> f.date() == null)) {
      throw problem("care", "Something that happened has no day.", "Write it as 2027-02-01.");
    }
  }

  private static void shares(List<Die> dies) {
    double share = 0;
    for (Die die : dies) {
      if (!(die.powerShare() >= 0)) {
        throw problem(die.name(), "Its share of the heat cannot be.", "Give zero or more.");
      }
      share += die.powerShare();
    }
    if (!(share > 0)) {
      throw problem("dies", "No die takes any heat.", "Give their shares, such as 0.4 and 0.6.");
    }
  }

  private static void dies(List<Die> dies) {
    for (int i = 0; i < dies.size(); i++) {
      Die die = dies.get(i);
      for (Die other : dies.subList(0, i)) {
        double apartX = Math.abs(die.xMillimetres() - other.xMillimetres());
        double apartY = Math.abs(die.yMillimetres() - other.yMillimetres());
        if (apartX < (die.widthMillimetres() + other.widthMillimetres()) / 2 - 1e-6
            && apartY < (die.depthMillimetres() + other.depthMillimetres()) / 2 - 1e-6) {
          throw problem(
              die.name(), "It lies over " + other.name() + ".", "Measure their centres again.");
        }
      }
    }
  }

  /**
   * Heights and probed places that are figures at all; what they mean is judged where it is used.
   */
  private static void measured(Job job) {
    for (Top top : job.heights().tops()) {
      if (top.name() == null
          || top.name().isBlank()
          || !top.height().millimetres().stream().allMatch(HeightFigures.HEIGHT::holds)) {
        throw problem(
            "heights", "A top has no name, or a figure that cannot be.", "Give them in mm.");
      }
    }
    for (Relief relief : job.surfaces().reliefs()) {
      if (relief.face() == null || !relief.points().stream().allMatch(ProbedPoint::canBe)) {
        throw problem(
            "surfaces",
            "A probed place has no position or height.",
            "Give x and y in mm, height in µm.");
      }
    }
    for (LapPass pass : job.surfaces().passes()) {
      if (pass.face() == null
          || pass.grit() == null
          || !(pass.strokes() > 0 && pass.newtons() > 0 && pass.strokeMillimetres() > 0)) {
        throw problem(
            "surfaces", "A pass of lapping cannot be.", "Give face, paper, strokes and press.");
      }
    }
  }

  private static void strokes(Job job) {
    for (PasteStroke stroke : job.paste().strokes()) {
      if (!stroke.xMillimetres().stream().allMatch(v -> figures(v))
          || !stroke.yMillimetres().stream().allMatch(v -> figures(v))) {
        throw problem("paste", "A stroke of paste cannot be.", "Give its places in mm.");
      }
    }
  }

  private static boolean figures(double... millimetres) {
    for (double v : millimetres) {
      if (!(Math.abs(v) <= MOST_MILLIMETRES)) {
        return false;
      }
    }
    return true;
  }

  private static Problem problem(String field, String what, String remedy) {
    return new Problem("job.rule", Place.field(field), what, remedy);
  }
}
