package dev.ambershim.bench.coverage;

import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.stage.diagnosis.Cause;
import dev.ambershim.core.stage.diagnosis.Diagnosis;
import dev.ambershim.core.stage.diagnosis.DiagnosisCase;
import dev.ambershim.core.stage.diagnosis.Ranking;
import dev.ambershim.core.stage.practise.HiddenChip;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.ForkJoinPool;
import java.util.stream.IntStream;

/**
 * How often the first cause is the hidden one, and whether the probabilities are honest: chips of
 * four and eight cores, lidded and bare, every fault equally often.
 */
public final class DiagnosisCoverage {
  private static final long SEED = 50_000;
  private static final double CONFIDENT = 0.8;
  private static final double LEAST = 1e-6;

  private DiagnosisCoverage() {}

  /**
   * What was found.
   *
   * @param name of the set
   * @param tried chips
   * @param rightShare whose first cause was the hidden one
   * @param statedMean mean probability of the first cause
   * @param logTrueMean mean logarithm of the hidden cause's probability
   * @param confidentWrongShare whose first cause was wrong at over 80 %
   */
  public record Score(
      String name,
      int tried,
      double rightShare,
      double statedMean,
      double logTrueMean,
      double confidentWrongShare) {}

  private record One(boolean right, double stated, double logTrue) {}

  /** With all evidence, and with one reading. */
  public static List<Score> all(int repeats) {
    CauseKind[] kinds =
        Arrays.stream(CauseKind.values())
            .filter(k -> k != CauseKind.NONE_OF_THESE)
            .toArray(CauseKind[]::new);
    List<List<One>> found =
        SideBySide.each(
            IntStream.range(0, repeats).boxed().toList(),
            i -> {
              HiddenChip chip =
                  HiddenChip.drawn(
                      SEED + i,
                      kinds[i % kinds.length],
                      i / 8 % 2 == 0 ? 8 : 4,
                      i / 16 % 5 < 3,
                      i / 8 % 4 == 0);
              DiagnosisCase all = chip.all();
              DiagnosisCase one = all.with(all.readings().subList(0, 1));
              return List.of(judge(all, chip.truth()), judge(one, chip.truth()));
            },
            ForkJoinPool.commonPool());
    List<Score> scores = new ArrayList<>();
    for (int s = 0; s < 2; s++) {
      int set = s;
      scores.add(
          score(
              s == 0 ? "diagnose.all" : "diagnose.one",
              found.stream().map(f -> f.get(set)).toList()));
    }
    return scores;
  }

  private static One judge(DiagnosisCase given, HiddenChip.Truth truth) {
    Ranking ranking =
        new Diagnosis(given, Runnable::run, SolveWatch.NONE).of(given, SolveWatch.NONE);
    double chance =
        ranking.causes().stream().filter(c -> is(c, truth)).mapToDouble(Cause::probability).sum();
    Cause first = ranking.causes().get(0);
    return new One(is(first, truth), first.probability(), Math.log(Math.max(LEAST, chance)));
  }

  private static boolean is(Cause cause, HiddenChip.Truth truth) {
    return cause.kind() == truth.kind() && cause.joint().equals(truth.joint());
  }

  private static Score score(String name, List<One> all) {
    int n = all.size();
    return new Score(
        name,
        n,
        all.stream().filter(One::right).count() / (double) n,
        all.stream().mapToDouble(One::stated).average().orElse(Double.NaN),
        all.stream().mapToDouble(One::logTrue).average().orElse(Double.NaN),
        all.stream().filter(o -> !o.right && o.stated > CONFIDENT).count() / (double) n);
  }
}
