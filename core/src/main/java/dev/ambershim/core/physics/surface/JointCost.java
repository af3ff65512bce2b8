package dev.ambershim.core.physics.surface;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.modes.LiveStack;
import java.util.Arrays;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What the shape of one joint of a stack does to the cores: the same grid is solved again with
 * other thickness. One thread at a time.
 */
public final class JointCost {
  /** Discretisation error as a share of the rise. */
  private static final double ERROR = 0.001;

  private static final int PLACES = 41;

  private final StackCase stack;
  private final int layer;
  private final int cores;
  private final LiveStack live;

  /**
   * Temperatures of the cores.
   *
   * @param meanCelsius mean over the cores
   * @param hottestCelsius the hottest
   * @param spreadKelvin hottest less coolest
   * @param eachCelsius every core
   */
  public record Cores(
      double meanCelsius, double hottestCelsius, double spreadKelvin, List<Double> eachCelsius) {}

  /**
   * A joint of a stack.
   *
   * @param stack the stack with an even joint
   * @param joint the joint's name
   * @param cores how many of the heat sources are cores; they come first
   */
  public JointCost(StackCase stack, String joint, int cores) {
    this.stack = stack;
    this.cores = Math.max(1, cores);
    int found = -1;
    List<StackLayer> layers = stack.layers();
    for (int i = 0; i < layers.size(); i++) {
      if (layers.get(i).name().equals(joint)) {
        found = i;
      }
    }
    if (found < 0) {
      throw new IllegalArgumentException("no layer " + joint);
    }
    layer = found;
    live = LiveStack.forMeans(stack, ERROR, SolveWatch.NONE);
  }

  /** Over a lower die the joint is thicker by the difference, whatever its shape. */
  private static ThicknessMap over(StackLayer steps, ThicknessMap map) {
    Patch box = steps.bounds();
    double[] xs = new double[PLACES];
    double[] ys = new double[PLACES];
    double[][] thick = new double[PLACES][PLACES];
    for (int k = 0; k < PLACES; k++) {
      double share = (double) k / (PLACES - 1);
      xs[k] = box.leftMillimetres() + share * box.widthMillimetres();
      ys[k] = box.lowMillimetres() + share * box.depthMillimetres();
    }
    for (int j = 0; j < PLACES; j++) {
      for (int i = 0; i < PLACES; i++) {
        thick[j][i] =
            map.micrometres(steps, xs[i], ys[j])
                + steps.thicknessAt(xs[i], ys[j])
                - steps.thicknessMicrometres();
      }
    }
    return new ThicknessMap.Grid(xs, ys, thick);
  }

  /**
   * The cores with another joint.
   *
   * @param map its thickness, µm
   * @param resistanceFactor on the filling's resistance
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public Cores with(ThicknessMap map, double resistanceFactor, SolveWatch watch) {
    StackLayer old = stack.layers().get(layer);
    StackLayer other =
        new StackLayer(
            old.name(),
            old.conductivityWattsPerMetreKelvin() / resistanceFactor,
            old.fall(),
            old.patches(),
            old.thicknessMicrometres(),
            true,
            old.contactSquareMillimetreKelvinPerWatt(),
            Optional.of(old.map().isPresent() ? over(old, map) : map),
            old.heatCapacityJoulesPerCubicMetreKelvin());
    List<Double> each =
        Arrays.stream(live.meansCelsius(stack.withLayer(layer, other), watch))
            .limit(cores)
            .boxed()
            .toList();
    DoubleSummaryStatistics all = each.stream().collect(Collectors.summarizingDouble(c -> c));
    return new Cores(all.getAverage(), all.getMax(), all.getMax() - all.getMin(), each);
  }
}
