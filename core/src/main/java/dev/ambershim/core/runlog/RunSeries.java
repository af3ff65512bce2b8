package dev.ambershim.core.runlog;

import java.util.List;

/** A run's mean of the cores under load, as charts and exports need it. */
public final class RunSeries {
  private RunSeries() {}

  /** Whether a rise over room air can be given for every sample. */
  public static boolean hasRoom(RunLog log, RunAnalysis analysis) {
    return !log.with(Role.ROOM).isEmpty() || analysis.hasRoom();
  }

  /** Seconds since the load began, of the samples under load. */
  public static double[] secondsUnderLoad(RunLog log, RunAnalysis analysis) {
    int from = first(log, analysis.loadFromSeconds());
    int to = first(log, Math.nextUp(analysis.loadToSeconds()));
    double[] result = new double[to - from];
    for (int i = from; i < to; i++) {
      result[i - from] = log.seconds()[i] - log.seconds()[from];
    }
    return result;
  }

  /** Mean of the cores in °C, or their rise over room air in K, of the samples under load. */
  public static double[] underLoad(RunLog log, RunAnalysis analysis, boolean rise) {
    int from = first(log, analysis.loadFromSeconds());
    int to = first(log, Math.nextUp(analysis.loadToSeconds()));
    List<Channel> named = log.with(Role.CORE);
    List<Channel> cores = named.isEmpty() ? log.with(Role.PACKAGE) : named;
    List<Channel> room = log.with(Role.ROOM);
    double[] result = new double[to - from];
    for (int i = from; i < to; i++) {
      double sum = 0;
      for (Channel c : cores) {
        sum += c.values()[i];
      }
      double air = !rise ? 0 : room.isEmpty() ? analysis.roomCelsius() : room.get(0).values()[i];
      result[i - from] = sum / cores.size() - air;
    }
    return result;
  }

  private static int first(RunLog log, double seconds) {
    int low = 0;
    int high = log.size();
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (log.seconds()[middle] < seconds) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }
}
