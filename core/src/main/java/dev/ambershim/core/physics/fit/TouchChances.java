package dev.ambershim.core.physics.fit;

import dev.ambershim.core.base.SideBySide;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;

/**
 * How likely each top is to touch first and to carry the plate, by draws of every error at once
 * (Monte Carlo after JCGM 101:2008). First is the highest top: a plate that comes down level meets
 * it before any other. A top carries when it is one of the three feet that the plate comes to rest
 * on. Draws are made in blocks of their own seed, so they do not depend on how many threads there
 * are.
 *
 * @param chances of each name, in the order of the features
 * @param draws how many draws
 */
public record TouchChances(List<Chance> chances, int draws) {
  /** As many as tell a chance to about one in a thousand. */
  public static final int USUAL_DRAWS = 1_000_000;

  private static final int BLOCKS = 16;

  /**
   * One name's.
   *
   * @param name the top
   * @param touchesFirst chance that it is the first, 0 to 1; they sum to 1
   * @param carries chance that it is among the three that carry, 0 to 1
   */
  public record Chance(String name, double touchesFirst, double carries) {}

  /** Copies its list. */
  public TouchChances {
    chances = List.copyOf(chances);
  }

  /** The chance of a name. */
  public Chance of(String name) {
    return chances.stream().filter(c -> c.name().equals(name)).findFirst().orElseThrow();
  }

  /**
   * Draws.
   *
   * @param features the tops with their errors
   * @param executor runs the blocks; {@code Runnable::run} for the calling thread
   * @throws dev.ambershim.core.base.Problem as {@link RestingContact#of}
   */
  public static TouchChances of(
      List<Feature> features, double xLoad, double yLoad, int draws, Executor executor) {
    List<String> names = features.stream().map(Feature::name).distinct().toList();
    HeightDraws model = HeightDraws.of(features, names);
    SplittableRandom seeds = new SplittableRandom(20_260_406);
    List<Callable<long[][]>> blocks = new ArrayList<>();
    for (int b = 0; b < BLOCKS; b++) {
      int share = draws / BLOCKS + (b < draws % BLOCKS ? 1 : 0);
      SplittableRandom random = seeds.split();
      Resting resting = new Resting(features, xLoad, yLoad);
      blocks.add(() -> count(model, share, random, resting));
    }
    long[][] sum = new long[2][names.size()];
    for (long[][] part : SideBySide.all(blocks, executor)) {
      for (int k = 0; k < 2; k++) {
        for (int i = 0; i < names.size(); i++) {
          sum[k][i] += part[k][i];
        }
      }
    }
    List<Chance> chances = new ArrayList<>();
    for (int i = 0; i < names.size(); i++) {
      chances.add(new Chance(names.get(i), (double) sum[0][i] / draws, (double) sum[1][i] / draws));
    }
    return new TouchChances(chances, draws);
  }

  private static long[][] count(
      HeightDraws model, int draws, SplittableRandom random, Resting resting) {
    double[] heights = new double[model.size()];
    double[] error = model.errors();
    int[] name = model.names();
    int[] carried = new int[model.nameCount()];
    long[][] counts = new long[2][carried.length];
    for (int d = 1; d <= draws; d++) {
      counts[0][name[model.draw(random, error, heights)]]++;
      resting.settle(heights);
      for (int foot : resting.feet()) {
        // A die that carries on two corners carries once.
        if (carried[name[foot]] != d) {
          carried[name[foot]] = d;
          counts[1][name[foot]]++;
        }
      }
    }
    return counts;
  }
}
