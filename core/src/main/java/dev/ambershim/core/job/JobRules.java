package dev.ambershim.core.job;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.dosing.CloseTerms;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.mounting.MountTerms;
import dev.ambershim.core.physics.spread.PasteStroke;
import dev.ambershim.core.physics.surface.LapPass;
import dev.ambershim.core.physics.surface.ProbedPoint;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.runs.reading.Role;
import java.util.List;

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
   * Checks what holds of every job that the window wrote, too: nothing is missing, and every figure
   * is within its range. Parts may lie over one another while a person types them one by one.
   *
   * @throws Problem as {@link #check}
   */
  public static void sound(Job job) {
    Soundness.check(job);
    for (RunEntry run : job.runs()) {
      if (run.fileName().isBlank()) {
        throw problem("runs", "A run does not say its file.", "Give it a fileName.");
      }
      if (run.roomCelsius() != null && !Role.ROOM.canBe(run.roomCelsius())) {
        throw problem(
            "runs", run.roomCelsius() + " °C is no room.", "Give the air at the cooler's intake.");
      }
    }
    for (Side side : Side.values()) {
      for (Field field : JobFields.all(job, side)) {
        field.write(job, field.read(job), Notation.METRIC);
      }
    }
    measured(job);
    materials(job);
    for (Reading r : job.readings()) {
      Reading.checked(
          r.name(),
          r.watts(),
          r.coreCelsius(),
          r.roomCelsius(),
          r.coolantCelsius(),
          r.lidCelsius());
    }
  }

  private static void dies(List<Die> dies) {
    double share = 0;
    for (int i = 0; i < dies.size(); i++) {
      Die die = dies.get(i);
      if (!(die.powerShare() >= 0)) {
        throw problem(die.name(), "Its share of the heat cannot be.", "Give zero or more.");
      }
      share += die.powerShare();
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
    if (!(share > 0)) {
      throw problem("dies", "No die takes any heat.", "Give their shares, such as 0.4 and 0.6.");
    }
  }

  /**
   * Heights and probed places that are figures at all; what they mean is judged where it is used.
   */
  private static void measured(Job job) {
    for (Top top : job.heights().tops()) {
      if (top.name() == null
          || top.name().isBlank()
          || !figures(
              top.xMillimetres(),
              top.yMillimetres(),
              top.widthMillimetres(),
              top.depthMillimetres())
          || !top.height().millimetres().stream().allMatch(v -> figures(v))) {
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

  /** Doses, glue and screws whose figures can be. */
  private static void materials(Job job) {
    MountTerms mount = job.mounting();
    boolean coat =
        within(job.coat().celsius(), -20, 90)
            && within(job.coat().boreMillimetres(), 0.5, 60)
            && within(job.coat().partMillimetres(), 0, 100)
            && within(job.coat().coats(), 1, 10);
    boolean paste = within(job.paste().celsius(), -20, 90) && within(job.paste().grams(), 1e-3, 20);
    for (PasteStroke stroke : job.paste().strokes()) {
      paste &= stroke.xMillimetres().stream().allMatch(v -> figures(v));
      paste &= stroke.yMillimetres().stream().allMatch(v -> figures(v));
    }
    CloseTerms close = job.closing();
    boolean closing =
        within(close.beadMillimetres(), 0.1, 10)
            && within(close.ventMillimetres(), 0, 100)
            && within(close.newtons(), 1, 1000)
            && within(close.humidityPercent(), 5, 100)
            && within(close.celsius(), 0, 60)
            && within(close.oldMicrometres(), 0, 2000);
    boolean screws =
        within(mount.acrossMillimetres(), 10, 500)
            && within(mount.alongMillimetres(), 10, 500)
            && within(mount.pitchMillimetres(), 0.1, 5)
            && within(mount.threadMillimetres(), 1, 12)
            && within(mount.torqueNewtonMetres(), 1e-3, 20)
            && within(mount.nutFactor(), 0.05, 1)
            && within(mount.springNewtonsPerMillimetre(), 0.1, 1000)
            && within(mount.squeezeMillimetres(), 0.05, 50)
            && within(mount.increment(), 0.05, 4)
            && mount.extraTurns().stream().allMatch(t -> within(t, -20, 20))
            && within(mount.socketNewtons(), 1, 5000)
            && within(mount.lidMegapascals(), 0.01, 100)
            && within(mount.dieMegapascals(), 0.01, 100)
            && within(mount.edgeMegapascals(), 0.01, 1000);
    if (!coat || !paste || !closing || !screws) {
      throw problem(
          !coat ? "coat" : !paste ? "paste" : !closing ? "closing" : "mounting",
          "A figure there cannot be.",
          "Leave it away, or give one in its unit.");
    }
  }

  private static boolean within(Number value, double low, double high) {
    return value == null || (value.doubleValue() >= low && value.doubleValue() <= high);
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
