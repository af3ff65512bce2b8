package dev.ambershim.core.runs.judging;

import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.ReadNotes;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;

/** Makes logs with a known truth for the tests of this package. */
public final class Synthetic {
  int cores = 4;
  int seconds = 1800;
  int idleSeconds = 30;
  public double riseKelvin = 50;
  double slowShare = 0.25;
  double slowSeconds = 200;
  double phi = 0.8;
  double sigma = 0.8;
  double room = 23;
  double roomDrift = 0.4;
  double watts = 160;
  double megahertz = 4700;
  boolean withRoom = true;
  boolean withPower = true;
  double fan = Double.NaN;

  /** The log as text would give it, without the text. */
  public RunLog log(String name, long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    int n = seconds + idleSeconds;
    double[] t = new double[n];
    double[][] core = new double[cores][n];
    double[] air = new double[n];
    double[] power = new double[n];
    double[] clock = new double[n];
    double noise = 0;
    for (int i = 0; i < n; i++) {
      t[i] = i;
      air[i] = room + roomDrift * i / n;
      boolean load = i >= idleSeconds;
      double since = i - idleSeconds;
      double rise =
          load
              ? riseKelvin
                  * ((1 - slowShare) * (1 - Math.exp(-since / 3))
                      + slowShare * (1 - Math.exp(-since / slowSeconds)))
              : 8;
      noise = phi * noise + Math.sqrt(1 - phi * phi) * random.nextGaussian() * sigma;
      for (int c = 0; c < cores; c++) {
        // Offsets sum to nothing, so the mean over cores is the truth.
        double offset = c - (cores - 1) / 2.0;
        core[c][i] = air[i] + rise + offset + noise + 0.3 * random.nextGaussian();
      }
      power[i] = load ? watts + random.nextGaussian() : 20;
      clock[i] = load ? megahertz : 1200;
    }
    List<Channel> channels = new ArrayList<>();
    for (int c = 0; c < cores; c++) {
      channels.add(new Channel("core " + c, "°C", Role.CORE, 1, core[c]));
    }
    if (withRoom) {
      channels.add(new Channel("room", "°C", Role.ROOM, 1, air));
    }
    if (withPower) {
      channels.add(new Channel("power", "W", Role.POWER, 1, power));
    }
    channels.add(new Channel("clock", "MHz", Role.CLOCK, 1, clock));
    if (!Double.isNaN(fan)) {
      double[] turns = new double[n];
      Arrays.fill(turns, fan);
      channels.add(new Channel("fan", "rpm", Role.FAN, 1, turns));
    }
    return new RunLog(name, t, channels, new ReadNotes("made", "none", false, n, 0, 0, List.of()));
  }

  RunAnalysis run(String name, long seed) {
    return RunAnalyser.analyse(log(name, seed), OptionalDouble.empty());
  }
}
