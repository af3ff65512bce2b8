package dev.ambershim.core.job;

import dev.ambershim.core.assembly.Build;
import dev.ambershim.core.assembly.Die;
import dev.ambershim.core.forecast.Reading;
import dev.ambershim.core.notation.Notation;
import dev.ambershim.core.problem.Place;
import dev.ambershim.core.problem.Problem;
import java.util.List;

/**
 * What must hold of a job that did not come from the window, where every figure is checked as it is
 * typed.
 */
public final class JobRules {
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

  private static Problem problem(String field, String what, String remedy) {
    return new Problem("job.rule", Place.field(field), what, remedy);
  }
}
