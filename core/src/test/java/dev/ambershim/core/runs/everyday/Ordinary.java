package dev.ambershim.core.runs.everyday;

import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;
import java.util.Random;

/**
 * Invented logs of ordinary use: four masses in a row by small steps of time, under tasks that come
 * and go. It shares no code with what it tries.
 */
public final class Ordinary {
  private static final double STEP = 0.1;

  final Random random;
  double[] resistances = {0.13, 0.10, 0.05, 0.10};
  double[] lags = {1.0, 11, 35, 350};
  double minutes = 45;
  double steps = 1;
  double noise = 0.3;
  double everySeconds = 2;
  double room = 22.4;
  boolean roomLogged = true;
  double lowWatts = 10;
  double moves = 130;
  double gapAtMinute = -1;

  /** Whether the power is read at the moment of the sample; else its mean since the one before. */
  boolean atAMoment;

  /** A usual chip. */
  public Ordinary(long seed) {
    random = new Random(seed);
  }

  /** Another chip. */
  public void chip() {
    for (int k = 0; k < 4; k++) {
      resistances[k] = new double[] {0.08, 0.06, 0.03, 0.04}[k] * (1 + 1.5 * random.nextDouble());
      lags[k] = new double[] {0.6, 6, 20, 120}[k] * (1 + (k == 3 ? 4 : 1.5) * random.nextDouble());
    }
    room = 19 + 6 * random.nextDouble();
  }

  public double resistance() {
    return Arrays.stream(resistances).sum();
  }

  /** More resistance of one of the four masses' ways on, K/W. */
  public void grow(int mass, double more) {
    // Its lag is its own heat times what holds it back.
    lags[mass] *= 1 + more / resistances[mass];
    resistances[mass] += more;
  }

  /** How far it rises in ten seconds for each watt that comes on at once, K/W. */
  double quick() {
    double[] t = new double[4];
    double step = 0.002;
    for (double at = 0; at < 10 - step / 2; at += step) {
      step(t, 1, step);
    }
    return t[0];
  }

  private void step(double[] t, double watts, double step) {
    double[] flow = new double[4];
    for (int k = 0; k < 4; k++) {
      flow[k] = (k < 3 ? t[k] - t[k + 1] : t[3]) / resistances[k];
    }
    for (int k = 0; k < 4; k++) {
      t[k] += step * ((k == 0 ? watts : flow[k - 1]) - flow[k]) * resistances[k] / lags[k];
    }
  }

  String csv() {
    double[] t = new double[4];
    double watts = lowWatts + moves * random.nextDouble();
    double over = 0;
    for (int k = 3; k >= 0; k--) {
      over += resistances[k] * watts;
      t[k] = over;
    }
    StringBuilder out = new StringBuilder("time_s,core 0,core 1,power_W");
    out.append(roomLogged ? ",room_C\n" : "\n");
    double until = -600;
    double next = 0;
    double sum = 0;
    int count = 0;
    for (double at = -600; at < 60 * minutes; at += STEP) {
      if (at >= until) {
        watts = lowWatts + moves * random.nextDouble();
        until = at + 20 + 300 * random.nextDouble();
      }
      step(t, watts, STEP);
      sum += watts;
      count++;
      if (at < 0) {
        sum = 0;
        count = 0;
      } else if (at >= next) {
        next += everySeconds;
        if (gapAtMinute < 0 || at < 60 * gapAtMinute || at > 60 * gapAtMinute + 300) {
          out.append(
              String.format(
                  Locale.ROOT,
                  "%.1f,%s,%s,%.2f",
                  at,
                  read(t[0] + 0.6),
                  read(t[0] - 0.6),
                  atAMoment ? watts : sum / count));
          out.append(
              roomLogged
                  ? String.format(Locale.ROOT, ",%.1f%n", room + 0.1 * random.nextGaussian())
                  : "\n");
        }
        sum = 0;
        count = 0;
      }
    }
    return out.toString();
  }

  private String read(double over) {
    double value = over + room + noise * random.nextGaussian();
    return steps > 0
        ? String.valueOf(Math.round(value / steps) * steps)
        : String.format(Locale.ROOT, "%.3f", value);
  }

  /** A log of ordinary use. */
  public RunLog log() {
    return LogReader.read("ordinary.csv", csv().getBytes(StandardCharsets.UTF_8));
  }
}
