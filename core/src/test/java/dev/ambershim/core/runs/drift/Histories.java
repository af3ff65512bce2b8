package dev.ambershim.core.runs.drift;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.TreeSet;

/** Invented histories with a truth of their own, drawn by no code of the application. */
final class Histories {
  static final LocalDate BEGIN = LocalDate.of(2025, 3, 1);
  static final double REFERENCE_WATTS = 145;

  private final Random random;
  double noiseKelvin = 0.45;
  double perYear;
  double jumpKelvin;
  int jumpAt = -1;
  int mounts = 1;

  Histories(long seed) {
    random = new Random(seed);
  }

  int count() {
    return 8 + random.nextInt(11);
  }

  int between(int low, int high) {
    return low + random.nextInt(high - low);
  }

  /** Checks on days of chance over so many years, with powers that differ. */
  List<Check> draw(int count, double years) {
    TreeSet<Integer> days = new TreeSet<>(List.of(0));
    while (days.size() < count) {
      days.add(1 + random.nextInt((int) (years * 365)));
    }
    double level = 45 + 20 * random.nextDouble();
    double mountOff = 0;
    List<Check> checks = new ArrayList<>();
    int each = (count + mounts - 1) / mounts;
    int i = 0;
    for (int day : days) {
      if (i % each == 0 && mounts > 1) {
        mountOff = 0.5 * random.nextGaussian();
      }
      double watts = 120 + 45 * random.nextDouble();
      double rise =
          (level + perYear * day / 365.25 + (jumpAt >= 0 && i >= jumpAt ? jumpKelvin : 0))
                  * watts
                  / REFERENCE_WATTS
              + mountOff
              + noiseKelvin * random.nextGaussian();
      checks.add(
          new Check(
              BEGIN.plusDays(day),
              Math.round(100 * rise) / 100.0,
              watts,
              "after",
              String.valueOf(i / each + 1),
              random.nextBoolean() ? OptionalDouble.of(0.3) : OptionalDouble.empty()));
      i++;
    }
    return checks;
  }

  static Check check(String date, double rise, double watts, String state, String mount) {
    return new Check(LocalDate.parse(date), rise, watts, state, mount, OptionalDouble.empty());
  }

  static Drift fit(List<Check> checks) {
    return DriftFit.of(checks, OptionalDouble.of(REFERENCE_WATTS), Scatter.USUAL);
  }
}
