package dev.ambershim.bench.coverage;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.runs.judging.Judging;
import dev.ambershim.core.runs.series.Judged;
import dev.ambershim.core.runs.series.Mount;
import dev.ambershim.core.runs.series.SeriesFit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;

/** How often a series holds: mounts in blocks of chance order on a bench that creeps. */
public final class SeriesCoverage {
  private static final double REFERENCE_WATTS = 150;
  private static final double BENCH_KELVIN = 0.6;

  private SeriesCoverage() {}

  /** All sets: equal candidates, candidates that differ, and the same with mounts missing. */
  public static List<Coverage> all(int repeats) {
    return List.of(
        family("series.equal", new double[] {60, 60, 60, 60, 60}, 0, repeats),
        family("series.differ", new double[] {60, 60.4, 61, 63, 60.2}, 0, repeats),
        family("series.missing", new double[] {60, 60.4, 61, 63, 60.2}, 2, repeats),
        together("series.mountsToPart", repeats));
  }

  /**
   * Held are series whose pairs all hold together, claimed those that tell any two apart.
   *
   * @param truths of the candidates, K
   * @param missing mounts that are left out
   */
  static Coverage family(String name, double[] truths, int missing, int repeats) {
    int held = 0;
    int claimed = 0;
    double half = 0;
    for (int r = 0; r < repeats; r++) {
      Random random = Chance.of(name, r);
      List<Mount> mounts = new ArrayList<>();
      for (int b = 0; b < 3 + r % 3; b++) {
        mounts.addAll(block(random, truths, b));
      }
      for (int m = 0; m < missing; m++) {
        mounts.remove(random.nextInt(mounts.size()));
      }
      Judged judged = judge(mounts);
      held +=
          judged.pairs().stream().allMatch(p -> p.interval().contains(difference(truths, p)))
              ? 1
              : 0;
      claimed += judged.pairs().stream().anyMatch(Judged.Pair::told) ? 1 : 0;
      half +=
          judged.pairs().stream()
                  .map(Judged.Pair::interval)
                  .mapToDouble(Interval::width)
                  .average()
                  .orElseThrow()
              / 2;
    }
    return new Coverage(name, repeats, repeats, held, claimed, half / repeats);
  }

  /** Told are series that ask for more mounts of the best two; held those whom these part. */
  static Coverage together(String name, int repeats) {
    int told = 0;
    int held = 0;
    double asked = 0;
    for (int r = 0; r < repeats; r++) {
      Random random = Chance.of(name, r);
      double[] truths = {60, 60.5 + random.nextDouble(), 63};
      List<Mount> mounts = new ArrayList<>();
      for (int b = 0; b < 3; b++) {
        mounts.addAll(block(random, truths, b));
      }
      Judged judged = judge(mounts);
      int more = judged.mountsToPart().orElse(0);
      if (more == 0) {
        continue;
      }
      told++;
      asked += more;
      String best = judged.ranking().get(0).candidate();
      String next = judged.ranking().get(1).candidate();
      for (int b = 0; b < more / 2; b++) {
        block(random, truths, 3 + b).stream()
            .filter(m -> m.candidate().equals(best) || m.candidate().equals(next))
            .forEach(mounts::add);
      }
      held += judge(mounts).pair(best, next).told() ? 1 : 0;
    }
    return new Coverage(name, repeats, told, held, 0, asked / told);
  }

  private static Judged judge(List<Mount> mounts) {
    return SeriesFit.of(mounts, Judging.USUAL_REMOUNT_KELVIN, Optional.empty());
  }

  private static double difference(double[] truths, Judged.Pair pair) {
    return truths[Integer.parseInt(pair.first())] - truths[Integer.parseInt(pair.second())];
  }

  private static List<Mount> block(Random random, double[] truths, int block) {
    double level = BENCH_KELVIN * random.nextGaussian();
    List<Mount> mounts = new ArrayList<>();
    Integer[] order = new Integer[truths.length];
    Arrays.setAll(order, i -> i);
    Collections.shuffle(Arrays.asList(order), random);
    for (int i = 0; i < order.length; i++) {
      double watts = REFERENCE_WATTS * (0.97 + 0.06 * random.nextDouble());
      double rise = truths[order[i]] + level + Judging.USUAL_REMOUNT_KELVIN * random.nextGaussian();
      mounts.add(
          new Mount(
              String.valueOf(order[i]),
              String.valueOf(block),
              rise * watts / REFERENCE_WATTS,
              watts,
              OptionalDouble.empty(),
              OptionalDouble.of(block * truths.length + i),
              OptionalDouble.empty(),
              ""));
    }
    return mounts;
  }
}
