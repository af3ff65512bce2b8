package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Latest;
import dev.ambershim.core.base.SeededDraws;
import java.util.Arrays;
import java.util.Collections;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.random.RandomDataGenerator;

/**
 * What prices are drawn from, always the same: chances of ruin and how slowly the work goes.
 * Drawing a Beta distribution takes longer than all else of a forecast, so what was drawn is kept.
 */
final class PriceDraws {
  private static final long SEED = 20261130;
  private static final int KEPT = 64;

  private record Key(OwnRecord.Chance chance, int count) {}

  /**
   * Chances of ruin.
   *
   * @param chances 0 to 1, equally likely; read only
   * @param range where eight of ten lie
   */
  record Ruins(double[] chances, Interval range) {}

  private static final Map<Key, Ruins> RUINS = Collections.synchronizedMap(new Latest<>(KEPT));

  /** A forecast has always as many cases. */
  private static final Map<Integer, double[]> PACES = new ConcurrentHashMap<>();

  private PriceDraws() {}

  /** Chances of ruin. */
  static Ruins ruins(OwnRecord.Chance chance, int count) {
    return RUINS.computeIfAbsent(
        new Key(chance, count),
        key -> {
          RandomDataGenerator random = SeededDraws.of(SEED);
          double[] all = new double[count];
          Arrays.setAll(all, i -> chance.draw(random));
          return new Ruins(all, Middle.of(all).range());
        });
  }

  /** Standard normal figures for the hours; read only. */
  static double[] paces(int count) {
    return PACES.computeIfAbsent(
        count,
        n -> {
          RandomDataGenerator random = SeededDraws.of(SEED + 1);
          double[] all = new double[n];
          Arrays.setAll(all, i -> random.nextNormal(0, 1));
          return all;
        });
  }
}
