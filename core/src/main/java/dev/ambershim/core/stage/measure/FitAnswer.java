package dev.ambershim.core.stage.measure;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.fit.Budget;
import dev.ambershim.core.physics.fit.Chain;
import dev.ambershim.core.physics.fit.Feature;
import dev.ambershim.core.physics.fit.HeightDraws;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.fit.InnerGap;
import dev.ambershim.core.physics.fit.Resting;
import dev.ambershim.core.physics.fit.RestingContact;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.physics.fit.TouchChances;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.Executor;

/**
 * What the readings of a chip say of its fit under the cooler: how high every top stands over the
 * substrate, how the plate comes to rest, what stays clear by how much, how far the die stands
 * proud of everything else. Tops beyond the plate's edge are left out, except parts under the
 * bracket.
 *
 * @param rows every top that was read
 * @param features the corners of the tops, as the plate meets them
 * @param rest how the plate rests; empty when it cannot be said
 * @param problem why it cannot be said
 * @param chances who touches first and who carries
 * @param prouds how far the lowest die stands over each other top, lowest first
 * @param unread tops without a height
 * @param outside tops that the plate does not reach
 */
public record FitAnswer(
    List<Row> rows,
    List<Feature> features,
    Optional<RestingContact> rest,
    Optional<Problem> problem,
    Optional<TouchChances> chances,
    List<Proud> prouds,
    List<String> unread,
    List<String> outside) {
  private static final int CLEARANCE_DRAWS = 4000;

  /**
   * One top.
   *
   * @param top as it was measured
   * @param height over the substrate, mm
   * @param working how that height was derived, in words
   * @param clearance under the resting plate, the least of its corners, mm; not a number while the
   *     plate's rest is not known
   * @param clear where that lies, 95 %
   */
  public record Row(
      Top top, Chain height, String working, double clearance, Optional<Interval> clear) {}

  /**
   * How far a die stands over another top.
   *
   * @param die its name
   * @param other the other top's name
   * @param kind what the other belongs to
   * @param over die less other, mm
   */
  public record Proud(String die, String other, TopKind kind, Chain over) {}

  /** Copies its lists. */
  public FitAnswer {
    rows = List.copyOf(rows);
    features = List.copyOf(features);
    prouds = List.copyOf(prouds);
    unread = List.copyOf(unread);
    outside = List.copyOf(outside);
  }

  /**
   * Works it out.
   *
   * @param draws how many draws for the chances
   * @param executor runs the draws
   */
  public static FitAnswer of(
      Heights heights, Cooler cooler, Notation notation, int draws, Executor executor) {
    Budget budget = Budget.of(heights);
    Optional<Chain> level =
        heights.substrateOverBoard().taken()
            ? Optional.of(budget.chain("substrate over the board", heights.substrateOverBoard()))
            : Optional.empty();
    Optional<Chain> bracket =
        heights.plateOutOfBracket().taken()
            ? Optional.of(budget.chain("plate out of its bracket", heights.plateOutOfBracket()))
            : Optional.empty();
    List<Row> rows = new ArrayList<>();
    List<Feature> features = new ArrayList<>();
    List<String> unread = new ArrayList<>();
    List<String> outside = new ArrayList<>();
    for (Top top : heights.tops()) {
      boolean lacks =
          !top.height().taken()
              || (top.overBoard() && level.isEmpty())
              || (top.kind() == TopKind.BRACKET && bracket.isEmpty());
      if (lacks) {
        unread.add(top.name());
        continue;
      }
      Chain height = budget.chain(top.name(), top.height());
      String words = notation.editable(height.nominal(), Unit.MILLIMETRE);
      if (top.overBoard()) {
        height = height.minus(level.orElseThrow());
        words += " − " + text(level.orElseThrow(), notation) + " to the substrate";
      }
      if (top.kind() == TopKind.BRACKET) {
        height = height.minus(bracket.orElseThrow());
        words += " − " + text(bracket.orElseThrow(), notation) + " that the bracket lies higher";
      }
      List<double[]> corners = corners(top, cooler);
      if (corners.isEmpty()) {
        outside.add(top.name());
        continue;
      }
      rows.add(new Row(top, height, words, Double.NaN, Optional.empty()));
      for (double[] c : corners) {
        features.add(new Feature(top.name(), c[0], c[1], height));
      }
    }
    List<Proud> prouds = prouds(rows);
    try {
      RestingContact rest = RestingContact.of(features, heights.xLoad(), heights.yLoad());
      TouchChances chances =
          TouchChances.of(features, heights.xLoad(), heights.yLoad(), draws, executor);
      return new FitAnswer(
          cleared(rows, features, rest, heights.xLoad(), heights.yLoad()),
          features,
          Optional.of(rest),
          Optional.empty(),
          Optional.of(chances),
          prouds,
          unread,
          outside);
    } catch (Problem problem) {
      return new FitAnswer(
          rows,
          features,
          Optional.empty(),
          Optional.of(problem),
          Optional.empty(),
          prouds,
          unread,
          outside);
    }
  }

  private static String text(Chain chain, Notation notation) {
    return notation.editable(chain.nominal(), Unit.MILLIMETRE);
  }

  /** Corners of a top as far as the plate lies over them. */
  private static List<double[]> corners(Top top, Cooler cooler) {
    double w = top.widthMillimetres() / 2;
    double d = top.depthMillimetres() / 2;
    double left = top.xMillimetres() - w;
    double right = top.xMillimetres() + w;
    double low = top.yMillimetres() - d;
    double high = top.yMillimetres() + d;
    if (top.kind() != TopKind.BRACKET) {
      double px = cooler.widthMillimetres() / 2;
      double py = cooler.depthMillimetres() / 2;
      left = Math.max(left, -px);
      right = Math.min(right, px);
      low = Math.max(low, -py);
      high = Math.min(high, py);
    }
    List<double[]> found = new ArrayList<>();
    if (left > right || low > high) {
      return found;
    }
    for (double x : left == right ? new double[] {left} : new double[] {left, right}) {
      for (double y : low == high ? new double[] {low} : new double[] {low, high}) {
        found.add(new double[] {x, y});
      }
    }
    return found;
  }

  private static List<Proud> prouds(List<Row> rows) {
    Row die = null;
    for (Row r : rows) {
      if (r.top().kind() == TopKind.DIE
          && (die == null || r.height().nominal() < die.height().nominal())) {
        die = r;
      }
    }
    List<Proud> all = new ArrayList<>();
    for (Row r : rows) {
      if (die != null && r.top().kind() != TopKind.DIE) {
        all.add(
            new Proud(
                die.top().name(), r.top().name(), r.top().kind(), die.height().minus(r.height())));
      }
    }
    all.sort(Comparator.comparingDouble(p -> p.over().nominal()));
    return all;
  }

  /** Rows with their clearances, from draws of every height at once. */
  private static List<Row> cleared(
      List<Row> rows, List<Feature> features, RestingContact rest, double xLoad, double yLoad) {
    List<String> names = features.stream().map(Feature::name).distinct().toList();
    HeightDraws model = HeightDraws.of(features, names);
    int[] name = model.names();
    double[][] found = new double[names.size()][CLEARANCE_DRAWS];
    SplittableRandom random = new SplittableRandom(20_260_406);
    Resting resting = new Resting(features, xLoad, yLoad);
    double[] heights = new double[model.size()];
    double[] error = model.errors();
    for (int d = 0; d < CLEARANCE_DRAWS; d++) {
      model.draw(random, error, heights);
      resting.settle(heights);
      for (int n = 0; n < names.size(); n++) {
        found[n][d] = Double.POSITIVE_INFINITY;
      }
      for (int i = 0; i < heights.length; i++) {
        double gap = Math.max(0, resting.clearance(i, heights));
        found[name[i]][d] = Math.min(found[name[i]][d], gap);
      }
    }
    double[] nominal = new double[names.size()];
    Arrays.fill(nominal, Double.POSITIVE_INFINITY);
    for (int i = 0; i < name.length; i++) {
      nominal[name[i]] = Math.min(nominal[name[i]], rest.clearances().get(i));
    }
    List<Row> all = new ArrayList<>();
    for (Row row : rows) {
      int n = names.indexOf(row.top().name());
      Arrays.sort(found[n]);
      all.add(
          new Row(
              row.top(),
              row.height(),
              row.working(),
              nominal[n],
              Optional.of(
                  new Interval(
                      found[n][(int) (0.025 * CLEARANCE_DRAWS)],
                      found[n][(int) (0.975 * CLEARANCE_DRAWS)],
                      0.95))));
    }
    return all;
  }

  /** Whether any die is among the tops that were read. */
  public boolean hasDie() {
    return rows.stream().anyMatch(r -> r.top().kind() == TopKind.DIE);
  }

  /** Chance that a die touches first, 0 to 1. */
  public double dieFirst() {
    return chance(true);
  }

  /** Chance that a die is among the three that carry. */
  public double dieCarries() {
    return chances.isEmpty()
        ? Double.NaN
        : rows.stream()
            .filter(r -> r.top().kind() == TopKind.DIE)
            .mapToDouble(r -> chances.get().of(r.top().name()).carries())
            .max()
            .orElse(0);
  }

  private double chance(boolean die) {
    return chances.isEmpty()
        ? Double.NaN
        : rows.stream()
            .filter(r -> (r.top().kind() == TopKind.DIE) == die)
            .mapToDouble(r -> chances.get().of(r.top().name()).touchesFirst())
            .sum();
  }

  /** Gaps over each die of a chip that the lid would leave, as far as they were read. */
  public static List<InnerGap> innerGaps(Heights heights, Chip chip, boolean replacement) {
    return Budget.innerGaps(heights, chip, replacement).entrySet().stream()
        .map(e -> InnerGap.of(e.getKey(), e.getValue()))
        .toList();
  }

  /** How much lower the cooler comes without the lid, if lid and die were read. */
  public Optional<CoolerDrop> drop(Heights heights, Notation notation) {
    if (!heights.lidTop().taken() || rows.isEmpty() || !hasDie()) {
      return Optional.empty();
    }
    Budget budget = Budget.of(heights);
    Row highest = null;
    for (Row row : rows) {
      if (row.top().kind() != TopKind.LID
          && (highest == null || row.height().nominal() > highest.height().nominal())) {
        highest = row;
      }
    }
    Chain lid = budget.chain("lid's top", heights.lidTop());
    return highest == null
        ? Optional.empty()
        : Optional.of(CoolerDrop.of(lid.minus(highest.height()), heights.mount(), notation));
  }
}
