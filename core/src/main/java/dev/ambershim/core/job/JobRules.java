package dev.ambershim.core.job;

import dev.ambershim.core.assembly.Build;
import dev.ambershim.core.assembly.Die;
import dev.ambershim.core.fit.Top;
import dev.ambershim.core.forecast.Reading;
import dev.ambershim.core.notation.Notation;
import dev.ambershim.core.problem.Place;
import dev.ambershim.core.problem.Problem;
import dev.ambershim.core.surface.LapPass;
import dev.ambershim.core.surface.Relief;
import java.util.List;

/**
 * What must hold of a job that did not come from the window, where every figure is checked as it is
 * typed.
 */
public final class JobRules {
  private static final double MOST_MILLIMETRES = 1000;

  private JobRules() {}

  /**
   * Checks a job.
   *
   * @throws Problem {@code job.…}, {@code field.range} or {@code reading.…}, naming the figure
   */
  public static void check(Job job) {
    builtOf(job.before(), "before");
    builtOf(job.after(), "after");
    if (job.chip().lid() == null) {
      throw problem("lid", "The job does not say the lid.", "Say its sizes, even while it is off.");
    }
    for (Side side : Side.values()) {
      for (Field field : JobFields.all(job, side)) {
        field.write(job, field.read(job), Notation.METRIC);
      }
    }
    dies(job.chip().dies());
    measured(job);
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

  private static void builtOf(Build build, String side) {
    if (build == null || build.inner() == null || build.outer() == null) {
      throw problem(
          side,
          "The job does not say the joints " + side + " the work.",
          "Say inner and outer joint; the inner one also while the lid is off.");
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
      if (relief.face() == null
          || !relief.points().stream()
              .allMatch(p -> figures(p.xMillimetres(), p.yMillimetres(), p.micrometres() / 1000))) {
        throw problem(
            "surfaces", "A probed place is no place.", "Give x and y in mm, height in µm.");
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
