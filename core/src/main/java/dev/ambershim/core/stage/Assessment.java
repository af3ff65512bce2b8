package dev.ambershim.core.stage;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Compared;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.JudgedRuns;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.clocking.RunRung;
import dev.ambershim.core.runs.clocking.Rung;
import dev.ambershim.core.runs.judging.Comparison;
import dev.ambershim.core.runs.judging.MountedRun;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.Verdict;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.baseline.Baseline;
import dev.ambershim.core.stage.prove.Headroom;
import dev.ambershim.core.stage.prove.Headroom.Headline;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What follows from a job and its logs.
 *
 * @param job the job
 * @param runs its runs, worked out
 * @param baseline how it runs before the work, if a run tells
 * @param comparison after against before, if there are runs on both sides
 * @param headroom how far it clocks, by the rungs and the runs
 * @param notation how its sentences write figures
 */
public record Assessment(
    Job job,
    List<RunResult> runs,
    Optional<Finding> baseline,
    Optional<Comparison> comparison,
    Headroom headroom,
    Notation notation) {
  /** Copies its list. */
  public Assessment {
    runs = List.copyOf(runs);
  }

  /**
   * Works a job out.
   *
   * @param logs the logs by hash, as they were read; a run whose log is missing is left out
   * @param notation how sentences write figures
   */
  public static Assessment of(Job job, Map<String, RunLog> logs, Notation notation) {
    return of(job, logs, notation, new JudgedRuns(), Optional.empty());
  }

  /**
   * The same from what is known: runs that were judged before, and an answer to the job as it was.
   * Whatever hangs on nothing that changed is taken over.
   *
   * @param judged takes what is judged now, too
   * @param before an assessment in the same notation; empty if there is none
   */
  public static Assessment of(
      Job job,
      Map<String, RunLog> logs,
      Notation notation,
      JudgedRuns judged,
      Optional<Assessment> before) {
    List<RunResult> runs = results(job, logs, judged);
    Optional<Assessment> same = before.filter(a -> a.sameRuns(runs));
    Optional<Finding> baseline =
        same.map(Assessment::baseline)
            .orElseGet(() -> Baseline.of(analyses(runs, Side.BEFORE), notation));
    Optional<Comparison> comparison =
        same.filter(a -> a.job.judging().equals(job.judging()))
            .filter(a -> Compared.of(a.job).equals(Compared.of(job)))
            .map(Assessment::comparison)
            .orElseGet(() -> compared(job, runs, notation));
    Headroom headroom =
        same.filter(a -> a.job.rungs().equals(job.rungs()))
            .filter(a -> a.job.ladder().equals(job.ladder()))
            .filter(a -> a.job.remountKelvin().equals(job.remountKelvin()))
            .map(Assessment::headroom)
            .orElseGet(
                () ->
                    Headroom.of(
                        rungs(job, runs, Side.BEFORE),
                        rungs(job, runs, Side.AFTER),
                        job.ladder(),
                        job.remountKelvin(),
                        notation));
    return new Assessment(job, runs, baseline, comparison, headroom, notation);
  }

  private static Optional<Comparison> compared(Job job, List<RunResult> runs, Notation notation) {
    Compared compared = Compared.of(job);
    List<MountedRun> first = mounted(runs, compared.first());
    List<MountedRun> second = mounted(runs, compared.second());
    return first.isEmpty() || second.isEmpty()
        ? Optional.empty()
        : Optional.of(Comparison.of(first, second, job.judging(), notation));
  }

  /** Whether these are the runs of this assessment, judged no other way, on the same sides. */
  public boolean sameRuns(List<RunResult> others) {
    return RunResult.same(runs, others);
  }

  /** Every run worked out; a core that does not count in one counts in none. */
  private static List<RunResult> results(Job job, Map<String, RunLog> logs, JudgedRuns judged) {
    List<RunResult> runs = new ArrayList<>();
    Set<String> without = new HashSet<>();
    for (int i = 0; i < job.runs().size(); i++) {
      RunEntry entry = job.runs().get(i);
      RunLog read = logs.get(entry.sha256());
      if (read != null) {
        RunResult run = judged.of(i, entry, read, Set.of());
        runs.add(run);
        run.analysis().filter(a -> a.unfit().isEmpty()).ifPresent(a -> without.addAll(a.leftOut()));
      }
    }
    if (!without.isEmpty()) {
      runs.replaceAll(
          r ->
              r.hasCore(without)
                  ? judged.of(r.index(), r.entry(), logs.get(r.entry().sha256()), without)
                  : r);
    }
    judged.keepOnly(job.runs());
    return runs;
  }

  private static List<RunAnalysis> analyses(List<RunResult> runs, Side side) {
    return runs.stream()
        .filter(r -> r.entry().side() == side)
        .flatMap(r -> r.analysis().stream())
        .toList();
  }

  /** Rungs by hand, and every run as one. */
  private static List<Rung> rungs(Job job, List<RunResult> runs, Side side) {
    List<Rung> rungs = new ArrayList<>();
    job.rungs().stream().filter(r -> r.side() == side).forEach(r -> rungs.add(r.rung()));
    runs.stream()
        .filter(r -> r.entry().side() == side)
        .forEach(r -> r.analysis().flatMap(a -> RunRung.of(r.log(), a)).ifPresent(rungs::add));
    return rungs;
  }

  /**
   * What came of the work in one sentence: kelvin and, where the rungs tell it, megahertz.
   *
   * @return empty without runs on both sides
   */
  public Optional<Finding> answer() {
    return comparison.map(
        c -> {
          Finding kelvin = c.finding();
          return (acrossTheWork() ? headroom.headline() : Optional.<Headline>empty())
              .map(clock -> kelvin.saying(with(c.verdict(), kelvin.sentence(), clock)))
              .orElse(kelvin);
        });
  }

  /** "Helped by 11.8 K (10.9 to 12.7)." and "150 MHz more under your limit" in one sentence. */
  private static String with(Verdict verdict, String sentence, Headline clock) {
    return switch (verdict) {
      case HELPED, TOO_SMALL -> joined(sentence, ", and ", clock);
      case HURT -> joined(sentence, clock.more() ? ", but " : ", and ", clock);
      default -> sentence + " The rungs tell " + clock.underLimit() + ".";
    };
  }

  private static String joined(String sentence, String by, Headline clock) {
    return sentence.substring(0, sentence.length() - 1) + by + clock.underLimit() + ".";
  }

  private static List<MountedRun> mounted(List<RunResult> runs, String state) {
    return runs.stream()
        .filter(r -> r.entry().stateName().equals(state) && r.analysis().isPresent())
        .map(r -> new MountedRun(r.analysis().orElseThrow(), r.entry().mount()))
        .toList();
  }

  /** The same with the runs of one side only, and nothing compared. */
  public Assessment only(Side side) {
    return new Assessment(job, runs(side), baseline, Optional.empty(), headroom, notation);
  }

  /** Whether what is compared lies on either side of the work, as a rule it does. */
  public boolean acrossTheWork() {
    Compared compared = Compared.of(job);
    return runsOf(compared.first()).stream().allMatch(r -> r.entry().side() == Side.BEFORE)
        && runsOf(compared.second()).stream().allMatch(r -> r.entry().side() == Side.AFTER);
  }

  /** The runs of a state. */
  public List<RunResult> runsOf(String state) {
    return runs.stream().filter(r -> r.entry().stateName().equals(state)).toList();
  }

  /** The runs of a side. */
  public List<RunResult> runs(Side side) {
    return runs.stream().filter(r -> r.entry().side() == side).toList();
  }
}
