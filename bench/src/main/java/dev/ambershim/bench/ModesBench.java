package dev.ambershim.bench;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.modes.DrawnStack;
import dev.ambershim.core.physics.modes.LiveStack;
import dev.ambershim.core.physics.modes.SteadySolver;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalLong;
import java.util.Random;

/**
 * The modal solver on the lidded eight-core stack, one thread, warm. True errors are against the
 * same stack solved far finer.
 */
public final class ModesBench {
  private static final double SHARE = 0.001;
  private static final double FAR_FINER = 2e-5;
  private static final int WARM_UP = 40;
  private static final int ROUNDS = 41;
  private static final int CHANGES = 120;
  private static final int DRAWS = 400;

  /**
   * What was measured.
   *
   * @param tenthPercentMilliseconds median time of a solution of a new geometry to a told error of
   *     0.1 % of the rise
   * @param tenthPercentTrueError its true error as a share of the rise, over means and peaks
   * @param changedJointMillisecondsP95 new temperatures after another joint, map, film or heat
   * @param changedJointTrueErrorWorst the worst of ten of these, as a share of the rise
   * @param roughSolvesPerSecond joints, maps and heats drawn anew, with the derivatives of every
   *     core by every joint cell and by the film, geometry kept
   * @param roughTrueErrorWorst the worst mean of a core in ten of these, as a share of the rise
   */
  public record Result(
      double tenthPercentMilliseconds,
      double tenthPercentTrueError,
      double changedJointMillisecondsP95,
      double changedJointTrueErrorWorst,
      double roughSolvesPerSecond,
      double roughTrueErrorWorst) {}

  private ModesBench() {}

  /** Measures on the calling thread. */
  public static Result run() {
    StackCase stack = EightCores.stack();
    double[] milliseconds = new double[ROUNDS];
    StackSolution found = null;
    for (int i = -WARM_UP; i < ROUNDS; i++) {
      long start = System.nanoTime();
      found = SteadySolver.plain().solve(stack, OptionalLong.empty(), SHARE);
      if (i >= 0) {
        milliseconds[i] = (System.nanoTime() - start) / 1e6;
      }
    }
    Arrays.sort(milliseconds);
    double error = error(found, finer(stack));
    LiveStack live = new LiveStack(stack, SHARE, SolveWatch.NONE);
    Random random = new Random(8);
    double[] changes = new double[CHANGES];
    double worst = 0;
    for (int i = -WARM_UP; i < CHANGES; i++) {
      StackCase changed = changed(stack, i, random);
      long start = System.nanoTime();
      StackSolution kept = live.update(changed, SolveWatch.NONE);
      if (i >= 0) {
        changes[i] = (System.nanoTime() - start) / 1e6;
        if (i % 12 == 0) {
          worst = Math.max(worst, error(kept, finer(changed)));
        }
      }
    }
    Arrays.sort(changes);
    DrawnStack drawn = new DrawnStack(stack, SolveWatch.NONE);
    double roughWorst = 0;
    List<StackCase> draws = new ArrayList<>();
    for (int i = 0; i < DRAWS; i++) {
      draws.add(drawn(stack, random));
    }
    for (StackCase draw : draws) {
      drawn.with(draw);
    }
    long start = System.nanoTime();
    double heard = 0;
    for (StackCase draw : draws) {
      heard += drawn.with(draw).celsius()[0];
    }
    double seconds = (System.nanoTime() - start) / 1e9;
    if (Double.isNaN(heard)) {
      throw new IllegalStateException("no result");
    }
    for (StackCase draw : draws.subList(0, 10)) {
      roughWorst = Math.max(roughWorst, meanError(drawn.with(draw).celsius(), finer(draw)));
    }
    return new Result(
        milliseconds[ROUNDS / 2],
        error,
        changes[(int) Math.ceil(0.95 * CHANGES) - 1],
        worst,
        DRAWS / seconds,
        roughWorst);
  }

  /** Joints with maps and heats, all drawn. */
  private static StackCase drawn(StackCase stack, Random random) {
    StackCase now = stack;
    for (int l : new int[] {1, 3}) {
      StackLayer joint = stack.layers().get(l);
      double slope = 0.6 * random.nextDouble() - 0.3;
      now =
          now.withLayer(
              l,
              StackLayer.joint(
                      joint.name(),
                      joint.conductivityWattsPerMetreKelvin(),
                      joint.patches().get(0),
                      30 + 60 * random.nextDouble())
                  .withMap(new ThicknessMap.Plane(slope, -slope)));
    }
    return now.withWatts(
        stack.heat().stream().mapToDouble(h -> h.watts() * (0.3 + random.nextDouble())).toArray());
  }

  private static double meanError(double[] celsius, StackSolution truth) {
    double worst = 0;
    for (int s = 0; s < celsius.length; s++) {
      worst = Math.max(worst, Math.abs(celsius[s] - truth.sources().get(s).meanCelsius()));
    }
    return worst / (truth.peakCelsius() - EightCores.COOLANT_CELSIUS);
  }

  private static StackSolution finer(StackCase stack) {
    return SteadySolver.plain().solve(stack, OptionalLong.empty(), FAR_FINER);
  }

  private static double error(StackSolution found, StackSolution truth) {
    double worst = 0;
    for (int s = 0; s < truth.sources().size(); s++) {
      StackSolution.Source a = found.sources().get(s);
      StackSolution.Source b = truth.sources().get(s);
      worst = Math.max(worst, Math.abs(a.meanCelsius() - b.meanCelsius()));
      worst = Math.max(worst, Math.abs(a.peakCelsius() - b.peakCelsius()));
    }
    return worst / (truth.peakCelsius() - EightCores.COOLANT_CELSIUS);
  }

  /** One figure changes at a time: a joint's thickness, its map, the film, the heats. */
  private static StackCase changed(StackCase stack, int round, Random random) {
    StackLayer joint = stack.layers().get(1);
    return switch (Math.floorMod(round, 4)) {
      case 0 ->
          stack.withLayer(
              1,
              StackLayer.joint(
                  joint.name(),
                  joint.conductivityWattsPerMetreKelvin(),
                  joint.patches().get(0),
                  15 + 100 * random.nextDouble()));
      case 1 ->
          stack.withLayer(1, joint.withMap(new ThicknessMap.Plane(random.nextDouble() * 3, -1.5)));
      case 2 -> stack.withFilm(3000 + 12_000 * random.nextDouble());
      default ->
          stack.withWatts(
              stack.heat().stream()
                  .mapToDouble(HeatSource::watts)
                  .map(w -> w * (0.3 + random.nextDouble()))
                  .toArray());
    };
  }
}
