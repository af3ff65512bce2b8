package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.plan.Wish;
import java.util.ArrayList;
import java.util.List;

/**
 * What three answers make of a chip before anything was measured: the kind of chip, what cools it,
 * what the person wants. All else is common practice.
 *
 * @param kind of chip
 * @param cooler of which kind; null for what such a chip usually has
 * @param wish what the person wants
 */
public record FirstLook(StartingPoint kind, CoolerClass cooler, Wish wish) {
  /** So many readings are named. */
  private static final int WORTH = 2;

  /** What is usual for a first look. */
  public static final FirstLook USUAL =
      new FirstLook(StartingPoint.DESKTOP_ONE_DIE_PASTE, null, Wish.COOLER);

  /**
   * The job that begins so.
   *
   * @param terms prices and odds of the person
   */
  public Job job(String title, Terms terms) {
    Job job = Job.from(kind, title).withTerms(terms.withWish(wish));
    return cooler == null || cooler == job.cooler().kind()
        ? job
        : job.withCooler(cooler.usual(cooler.words(), job.cooler().reachMillimetres()));
  }

  /** Whether what cools such a chip can be chosen. */
  public boolean coolerIsFree() {
    return !kind.usualCooler().kind().builtIn();
  }

  /** What is most worth measuring first, in words. */
  public static List<String> worthMeasuring(Weighing weighing, Notation notation) {
    List<String> worth = new ArrayList<>();
    for (FurtherReading reading :
        weighing.further().subList(0, Math.min(WORTH, weighing.further().size()))) {
      worth.add(
          "A reading "
              + reading.what()
              + ": the gain would be known to ± "
              + notation.text(
                  Interval.normalHalf(Weighing.LEVEL) * reading.sigmaKelvin(), Unit.KELVIN)
              + ".");
    }
    return worth;
  }
}
