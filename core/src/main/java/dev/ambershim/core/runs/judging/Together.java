package dev.ambershim.core.runs.judging;

import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Runs that are looked at side by side: a core that does not count in one of them counts in none,
 * or their means would be over different cores.
 */
public final class Together {
  /**
   * One of the runs.
   *
   * @param log its log with the person's roles
   * @param room room air in °C as the person read it, if so
   */
  public record Run(RunLog log, OptionalDouble room) {}

  private Together() {}

  /** The runs worked out over the same cores, in their order. */
  public static List<RunAnalysis> analyse(List<Run> runs) {
    List<RunAnalysis> first = new ArrayList<>();
    Set<String> without = new HashSet<>();
    for (Run run : runs) {
      RunAnalysis analysis = RunAnalyser.analyse(run.log(), run.room());
      first.add(analysis);
      if (analysis.unfit().isEmpty()) {
        without.addAll(analysis.leftOut());
      }
    }
    return without.isEmpty() ? first : anew(runs, first, without);
  }

  private static List<RunAnalysis> anew(
      List<Run> runs, List<RunAnalysis> first, Set<String> without) {
    List<RunAnalysis> all = new ArrayList<>();
    for (int i = 0; i < runs.size(); i++) {
      Run run = runs.get(i);
      boolean has = run.log().with(Role.CORE).stream().anyMatch(c -> without.contains(c.name()));
      all.add(has ? RunAnalyser.analyse(run.log(), run.room(), without) : first.get(i));
    }
    return all;
  }
}
