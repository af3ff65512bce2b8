package dev.ambershim.bench;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.spread.FaceGrid;
import dev.ambershim.core.physics.spread.PasteClass;
import dev.ambershim.core.physics.spread.PastePattern;
import dev.ambershim.core.physics.spread.SpreadCase;
import dev.ambershim.core.physics.spread.SpreadFlow;
import dev.ambershim.core.physics.spread.SpreadState;
import java.util.Arrays;
import java.util.List;

/** How fast paste spreads on a grid of 200 × 200 while it is watched. */
public final class SpreadBench {
  private static final int CELLS = 200;
  private static final int SWEEPS = 200;

  /**
   * What was measured.
   *
   * @param framesPerSecond steps with their state copied to be shown, by the median step
   * @param slowFramesPerSecond the same by the step that is slower than 95 of 100
   * @param stepRatio a step over one plain five-point sweep of the same grid
   */
  public record Result(double framesPerSecond, double slowFramesPerSecond, double stepRatio) {}

  private SpreadBench() {}

  /** Measures. */
  public static Result run() {
    FaceGrid grid =
        FaceGrid.of(List.of(new Patch(0, 0, 30.5, 30.5)), List.of(new Patch(0, 0, 9.2, 19)), CELLS);
    SpreadCase setup =
        SpreadCase.flat(grid, PasteClass.MIDDLING.at(23), 160, PastePattern.CROSS, 60);
    steps(setup);
    double[] took = steps(setup);
    Arrays.sort(took);
    double median = took[took.length / 2];
    double slow = took[(int) (took.length * 0.95)];
    return new Result(1 / median, 1 / slow, median / sweep());
  }

  private static double[] steps(SpreadCase setup) {
    SpreadFlow flow = new SpreadFlow(setup);
    double[] took = new double[10_000];
    int n = 0;
    boolean on = true;
    SpreadState kept = null;
    while (on && n < took.length) {
      long start = System.nanoTime();
      on = flow.step();
      kept = flow.state();
      took[n++] = (System.nanoTime() - start) / 1e9;
    }
    if (kept == null || !(kept.cover() > 0)) {
      throw new IllegalStateException("nothing was spread");
    }
    return Arrays.copyOf(took, n);
  }

  private static double sweep() {
    int stride = CELLS + 2;
    double[] a = new double[stride * stride];
    double[] b = new double[stride * stride];
    Arrays.fill(a, 1);
    double[] took = new double[SWEEPS];
    for (int s = 0; s < SWEEPS; s++) {
      long start = System.nanoTime();
      for (int j = 1; j <= CELLS; j++) {
        for (int c = j * stride + 1; c <= j * stride + CELLS; c++) {
          b[c] = 0.2 * (a[c] + a[c - 1] + a[c + 1] + a[c - stride] + a[c + stride]);
        }
      }
      took[s] = (System.nanoTime() - start) / 1e9;
      double[] swap = a;
      a = b;
      b = swap;
    }
    if (!(a[stride + 1] > 0)) {
      throw new IllegalStateException("nothing was swept");
    }
    Arrays.sort(took);
    return took[SWEEPS / 2];
  }
}
