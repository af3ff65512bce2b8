package dev.ambershim.bench;

import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.multigrid.LiveCells;
import dev.ambershim.core.physics.multigrid.Team;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Supplier;

/**
 * The conduction solver on a lidded eight-core stack. A work unit is one plain seven-point sweep
 * over the same cells, measured in turn with the solutions; a solution counts from the laid grid,
 * with its matrix and preconditioner, to a relative residual of 1e-8. Solver and sweep have one
 * thread each, so that the figure tells of the method and not of the machine's memory; beside it
 * stands the figure with all threads for both.
 */
public final class SolverBench {
  private static final int ROUNDS = 9;
  private static final int WARM_ROUNDS = 6;
  private static final long MILLION = 1_000_000;
  private static final long[] SIZES = {100_000, 300_000, 1_000_000, 4_000_000};
  private static final int CHANGES = 120;
  private static final int WARM_UP = 40;
  private static final long LIVE_CELLS = 100_000;

  /**
   * What was measured.
   *
   * @param threads threads of solver and sweep
   * @param workUnits median time to 1e-8 at a million cells ÷ median time of a sweep, one thread
   * @param workUnitsAllThreads the same with all threads for both
   * @param iterations of conjugate gradients at a million cells
   * @param growthExponent of the time from 0.1 to 4 million cells, least squares on logarithms
   * @param bytesPerCell live heap in the middle of a solution at a million cells ÷ cells
   * @param warmUpdateMillisecondsP95 new temperatures after one changed figure
   * @param liveCells at how many cells that was
   */
  public record Result(
      int threads,
      double workUnits,
      double workUnitsAllThreads,
      int iterations,
      double growthExponent,
      double bytesPerCell,
      double warmUpdateMillisecondsP95,
      long liveCells) {}

  private SolverBench() {}

  /** Measures on all processors. */
  public static Result run() {
    int threads = Runtime.getRuntime().availableProcessors();
    ExecutorService pool =
        Executors.newCachedThreadPool(
            r -> {
              Thread thread = new Thread(r, "solver");
              thread.setDaemon(true);
              return thread;
            });
    try (Team team = Team.of(threads, pool)) {
      Units alone = units(Team.alone(), 1, pool);
      Units shared = units(team, threads, pool);
      double growth = growth(team);
      double bytes = bytes(team);
      LiveCells live = new LiveCells(EightCores.stack(), LIVE_CELLS, team);
      double p95 = warm(live);
      return new Result(
          threads, alone.ratio, shared.ratio, shared.iterations, growth, bytes, p95, live.cells());
    } finally {
      pool.shutdown();
    }
  }

  private record Units(double ratio, int iterations) {}

  private static Units units(Team team, int threads, ExecutorService pool) {
    StackCase stack = EightCores.stack();
    LiveCells[] kept = new LiveCells[1];
    int[] iterations = new int[1];
    double[] solutions = new double[ROUNDS];
    double[] sweeps = new double[ROUNDS];
    PlainSweep sweep = null;
    double share = 1;
    for (int i = -WARM_ROUNDS; i < ROUNDS; i++) {
      kept[0] = new LiveCells(stack, MILLION, team);
      double seconds =
          seconds(
              () -> {
                iterations[0] = kept[0].update(stack, SolveWatch.NONE).iterations();
                return iterations[0];
              });
      if (sweep == null) {
        int[] shape = kept[0].shape();
        sweep = new PlainSweep(shape[0], shape[1], shape[2]);
        // Cells that lie in no layer are swept too, but not counted.
        share = kept[0].cells() / ((double) shape[0] * shape[1] * shape[2]);
      }
      kept[0] = null;
      double unit = sweepSeconds(sweep, threads, pool) * share;
      if (i >= 0) {
        solutions[i] = seconds;
        sweeps[i] = unit;
      }
    }
    return new Units(median(solutions) / median(sweeps), iterations[0]);
  }

  /** Seconds of one sweep, as the mean of some in a row on each thread. */
  private static double sweepSeconds(PlainSweep sweep, int threads, ExecutorService pool) {
    int times = 20;
    return seconds(
            () -> {
              CountDownLatch done = new CountDownLatch(threads);
              for (int t = 0; t < threads; t++) {
                int first = sweep.layers() * t / threads;
                int past = sweep.layers() * (t + 1) / threads;
                pool.execute(
                    () -> {
                      for (int i = 0; i < times; i++) {
                        sweep.sweep(first, past);
                      }
                      done.countDown();
                    });
              }
              try {
                done.await();
              } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
              }
              return sweep.trace();
            })
        / times;
  }

  private static double growth(Team team) {
    List<double[]> points = new ArrayList<>();
    StackCase stack = EightCores.stack();
    for (long size : SIZES) {
      double[] times = new double[size > MILLION ? 3 : 7];
      long cells = 0;
      for (int i = 0; i < times.length; i++) {
        LiveCells live = new LiveCells(stack, size, team);
        cells = live.cells();
        times[i] = seconds(() -> live.update(stack, SolveWatch.NONE).peakCelsius());
      }
      points.add(new double[] {Math.log((double) cells), Math.log(median(times))});
    }
    double mx = points.stream().mapToDouble(p -> p[0]).average().orElseThrow();
    double my = points.stream().mapToDouble(p -> p[1]).average().orElseThrow();
    double top = points.stream().mapToDouble(p -> (p[0] - mx) * (p[1] - my)).sum();
    double bottom = points.stream().mapToDouble(p -> (p[0] - mx) * (p[0] - mx)).sum();
    return top / bottom;
  }

  /** Everything that is alive while the solver iterates. */
  private static double bytes(Team team) {
    long before = used();
    LiveCells live = new LiveCells(EightCores.stack(), MILLION, team);
    long[] during = new long[1];
    live.update(
        EightCores.stack(),
        new SolveWatch(
            share -> {
              if (share > 0.4 && during[0] == 0) {
                during[0] = used();
              }
            },
            () -> false));
    return (during[0] - before) / (double) live.cells();
  }

  private static long used() {
    Runtime runtime = Runtime.getRuntime();
    for (int i = 0; i < 3; i++) {
      System.gc();
    }
    return runtime.totalMemory() - runtime.freeMemory();
  }

  /** One figure changes at a time, as a slider does. */
  private static double warm(LiveCells live) {
    Random random = new Random(8);
    double[] figures = {50, 6000, 18, 18};
    double[] low = {15, 2000, 5, 0};
    double[] high = {150, 30000, 35, 60};
    double[] milliseconds = new double[CHANGES];
    for (int i = -WARM_UP; i < CHANGES; i++) {
      int which = Math.floorMod(i, figures.length);
      // A slider moves by a part of its range in one go.
      double span = (high[which] - low[which]) * 0.2;
      double moved = figures[which] + span * (2 * random.nextDouble() - 1);
      figures[which] = Math.min(high[which], Math.max(low[which], moved));
      StackCase stack = EightCores.stack(figures[0], figures[1], figures[2], figures[3]);
      double seconds =
          seconds(() -> live.update(stack, LiveCells.FOR_A_PICTURE, SolveWatch.NONE).peakCelsius());
      if (i >= 0) {
        milliseconds[i] = seconds * 1e3;
      }
    }
    Arrays.sort(milliseconds);
    return milliseconds[(int) Math.ceil(0.95 * CHANGES) - 1];
  }

  private static double seconds(Supplier<? extends Number> work) {
    long start = System.nanoTime();
    Number result = work.get();
    double seconds = (System.nanoTime() - start) / 1e9;
    if (Double.isNaN(result.doubleValue())) {
      throw new IllegalStateException("no result");
    }
    return seconds;
  }

  private static double median(double[] values) {
    double[] sorted = values.clone();
    Arrays.sort(sorted);
    return sorted[sorted.length / 2];
  }
}
