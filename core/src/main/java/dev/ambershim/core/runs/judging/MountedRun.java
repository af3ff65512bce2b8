package dev.ambershim.core.runs.judging;

import java.util.ArrayList;
import java.util.List;

/**
 * A run and the mount it belongs to: runs of one mount were taken without the cooler coming off in
 * between.
 *
 * @param analysis the run
 * @param mount which mount of its side, from 1
 */
public record MountedRun(RunAnalysis analysis, int mount) {
  /** All runs of one mount. */
  public static List<MountedRun> ofOneMount(List<RunAnalysis> runs) {
    return runs.stream().map(r -> new MountedRun(r, 1)).toList();
  }

  /** Each run of a mount of its own. */
  public static List<MountedRun> eachRemounted(List<RunAnalysis> runs) {
    List<MountedRun> result = new ArrayList<>();
    for (RunAnalysis run : runs) {
      result.add(new MountedRun(run, result.size() + 1));
    }
    return result;
  }

  static List<RunAnalysis> analyses(List<MountedRun> runs) {
    return runs.stream().map(MountedRun::analysis).toList();
  }
}
