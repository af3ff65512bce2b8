package dev.ambershim.bench;

import dev.ambershim.core.physics.fit.Feature;
import dev.ambershim.core.physics.fit.TouchChances;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.ProbedPoint;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.ForkJoinPool;

/** What measuring waits for: a face of a thousand points, and a million draws of twelve tops. */
public final class MeasureBench {
  private static final int POINTS = 1000;
  private static final int TOPS = 12;
  private static final int DRAWS = 1_000_000;
  private static final int WARM = 15;
  private static final int TIMES = 15;

  /**
   * What was measured.
   *
   * @param flatnessMilliseconds median time to judge the face, all of it
   * @param drawsSeconds median time of the draws on all threads
   * @param drawRatio time of a draw over the time of drawing its random figures alone, both on one
   *     thread
   */
  public record Result(double flatnessMilliseconds, double drawsSeconds, double drawRatio) {}

  private MeasureBench() {}

  /** Measures. */
  public static Result run() {
    SplittableRandom random = new SplittableRandom(7);
    List<ProbedPoint> face = new ArrayList<>();
    for (int i = 0; i < POINTS; i++) {
      double x = 30 * random.nextDouble() - 15;
      double y = 30 * random.nextDouble() - 15;
      face.add(
          new ProbedPoint(x, y, 0.3 * x - 0.05 * (x * x + y * y) + 0.7 * random.nextGaussian()));
    }
    List<Feature> tops = new ArrayList<>();
    for (int i = 0; i < TOPS; i++) {
      double angle = 2 * Math.PI * i / TOPS;
      tops.add(
          Feature.of(
              "top " + i,
              18 * Math.cos(angle),
              18 * Math.sin(angle),
              0.75 + 0.02 * random.nextDouble(),
              0.01));
    }
    double flatness = seconds(() -> FaceReport.of(face, Optional.of(0.7)));
    double draws = seconds(() -> TouchChances.of(tops, 0.5, 0.3, DRAWS, ForkJoinPool.commonPool()));
    double alone = seconds(() -> TouchChances.of(tops, 0.5, 0.3, DRAWS, Runnable::run));
    double figures = seconds(() -> figures(DRAWS * TOPS));
    return new Result(flatness * 1000, draws, alone / figures);
  }

  private static double figures(int count) {
    SplittableRandom random = new SplittableRandom(3);
    double sum = 0;
    for (int i = 0; i < count; i++) {
      sum += random.nextDouble();
    }
    return sum;
  }

  private interface Task {
    Object run();
  }

  private static double seconds(Task task) {
    Object kept = null;
    for (int i = 0; i < WARM; i++) {
      kept = task.run();
    }
    double[] took = new double[TIMES];
    for (int i = 0; i < TIMES; i++) {
      long start = System.nanoTime();
      kept = task.run();
      took[i] = (System.nanoTime() - start) / 1e9;
    }
    if (kept == null) {
      throw new IllegalStateException("nothing was measured");
    }
    Arrays.sort(took);
    return took[TIMES / 2];
  }
}
