package dev.ambershim.core.runs.judging;

import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.List;

/** A run's mean of the cores, as charts and exports need it. */
public final class RunSeries {
  private RunSeries() {}

  /** Whether a rise over room air can be given for every sample. */
  public static boolean hasRoom(RunLog log, RunAnalysis analysis) {
    return !log.with(Role.ROOM).isEmpty() || analysis.hasRoom();
  }

  /** Minutes since the load began, of every sample; below zero before it. */
  public static double[] minutes(RunLog log, RunAnalysis analysis) {
    double[] result = new double[log.size()];
    for (int i = 0; i < result.length; i++) {
      result[i] = (log.seconds()[i] - analysis.loadFromSeconds()) / 60;
    }
    return result;
  }

  /** Mean of the cores in °C, or their rise over room air in K, of every sample. */
  public static double[] values(RunLog log, RunAnalysis analysis, boolean rise) {
    List<Channel> named = log.with(Role.CORE);
    List<Channel> cores = named.isEmpty() ? log.with(Role.PACKAGE) : named;
    List<Channel> room = log.with(Role.ROOM);
    double[] result = new double[log.size()];
    for (Channel c : cores) {
      for (int i = 0; i < result.length; i++) {
        result[i] += c.values()[i];
      }
    }
    for (int i = 0; i < result.length; i++) {
      double air = !rise ? 0 : room.isEmpty() ? analysis.roomCelsius() : room.get(0).values()[i];
      result[i] = result[i] / cores.size() - air;
    }
    return result;
  }
}
