package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.causes.Trial;
import dev.ambershim.core.stage.diagnosis.Suspect.Seat;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.concurrent.Executor;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * What each test is expected to tell of the cause: the mutual information of its outcome and the
 * cause (Lindley 1956, <i>Ann. Math. Statist.</i> 27; Cover &amp; Thomas, <i>Elements of
 * Information Theory</i>, 2.4). Outcomes are drawn from what the suspects forecast; the draws are
 * always the same.
 */
final class NextTests {
  /** So many suspects stand for each cause, with the weight of all of its own. */
  private static final int EACH = 6;

  private static final int DRAWS = 160;
  private static final long SEED = 20_261_129L;

  /** A core at less than this share of full load is idle. */
  private static final double IDLE = 0.25;

  private static final double IDLE_SHARE = 0.05;
  private static final double ALONE_SHARE = 1.2;

  /** How well a run tells its slow part, K; common practice. */
  private static final double SLOW_KELVIN = 0.5;

  private final DiagnosisCase given;
  private final StackModel model;
  private final Layout layout;
  private final List<Held> held;
  private final Ranking.Keys keys;
  private final Function<StackModel.Turned, Straight.Seen> looks;
  private final int causes;
  private final double straight;

  /**
   * Tests for what is known so far.
   *
   * @param looks what a shape does as it lies
   */
  NextTests(
      DiagnosisCase given,
      StackModel model,
      Layout layout,
      List<Held> held,
      Ranking.Keys keys,
      Function<StackModel.Turned, Straight.Seen> looks) {
    this.given = given;
    this.model = model;
    this.layout = layout;
    this.keys = keys;
    this.looks = looks;
    this.held = standing(held, keys);
    causes = 1 + this.held.stream().mapToInt(keys::of).max().orElse(0);
    straight = given.readings().get(0).turnedDegrees();
  }

  private static List<Held> standing(List<Held> held, Ranking.Keys keys) {
    List<Held> all = new ArrayList<>();
    for (List<Held> cause : held.stream().collect(Collectors.groupingBy(keys::of)).values()) {
      List<Held> best = cause.subList(0, Math.min(EACH, cause.size()));
      double share = cause.stream().mapToDouble(Held::probability).sum();
      double kept = best.stream().mapToDouble(Held::probability).sum();
      if (kept > 0) {
        best.forEach(h -> all.add(h.weighing(h.probability() * share / kept)));
      }
    }
    return all;
  }

  /** What was asked for a test: its readings, and whether the cooler is seated anew. */
  private record Ahead(List<CaseReading> readings, boolean anew) {}

  /** The tests that are left, the most telling for its minutes and risk first. */
  List<NextTest> ranked(Executor helpers) {
    List<Trial> left = Arrays.stream(Trial.values()).filter(this::left).toList();
    return left.stream()
        .map(trial -> new NextTest(trial, bits(trial, helpers), minutes(trial)))
        .sorted(Comparator.comparingDouble(NextTest::worth).reversed())
        .toList();
  }

  private double minutes(Trial trial) {
    return trial.minutes((int) sensors());
  }

  /** Whether a test was not made yet and can be made. */
  private boolean left(Trial trial) {
    List<CaseReading> readings = given.readings();
    double full = given.stack().watts();
    return switch (trial) {
      case COOLANT -> readings.stream().anyMatch(r -> r.coolantCelsius().isEmpty());
      case IDLE -> readings.stream().allMatch(r -> watts(r) > IDLE * full);
      case FROM_REST ->
          readings.stream().allMatch(r -> r.coolantCelsius().isEmpty() && r.slow().isEmpty());
      case ONE_BY_ONE -> sensors() > 1 && alone() < sensors();
      case LID -> model.hasLid() && readings.stream().allMatch(r -> r.lidCelsius().isEmpty());
      case TURN -> readings.stream().allMatch(r -> r.turnedDegrees() == straight);
      case REMOUNT -> layout.mounts().size() < 2;
      case PRESS, PUMP, DUST, PRINT -> trial.signs().stream().noneMatch(given.signs()::contains);
    };
  }

  /** How many cores have a sensor. */
  private long sensors() {
    return given.readings().stream()
        .flatMap(r -> r.coreCelsius().keySet().stream())
        .distinct()
        .count();
  }

  private double watts(CaseReading reading) {
    return Arrays.stream(given.watts(reading)).sum();
  }

  /** How many cores were loaded alone. */
  private long alone() {
    return given.readings().stream()
        .filter(
            r -> {
              double[] watts = given.watts(r);
              double most = Arrays.stream(watts).max().orElseThrow();
              return watts.length > 1 && most > 0.5 * Arrays.stream(watts).sum() && most > 0;
            })
        .map(
            r -> {
              double[] watts = given.watts(r);
              return IntStream.range(0, watts.length)
                  .reduce((a, b) -> watts[a] >= watts[b] ? a : b)
                  .orElseThrow();
            })
        .distinct()
        .count();
  }

  private double bits(Trial trial, Executor helpers) {
    return trial.signs().isEmpty() ? byReadings(ahead(trial), helpers) : bySigns(trial);
  }

  private CaseReading last() {
    return given.readings().get(given.readings().size() - 1);
  }

  private CaseReading reading(double[] shares, int mount, double turned, boolean coolant) {
    Map<String, Double> watts = new LinkedHashMap<>();
    Map<String, Double> celsius = new LinkedHashMap<>();
    for (int c = 0; c < shares.length; c++) {
      String name = given.stack().heat().get(c).name();
      watts.put(name, shares[c] * given.stack().heat().get(c).watts());
      if (given.readings().stream().anyMatch(r -> r.coreCelsius().containsKey(name))) {
        celsius.put(name, 0.5);
      }
    }
    CaseReading like = last();
    OptionalDouble room =
        like.roomCelsius().isPresent() ? OptionalDouble.of(0) : OptionalDouble.empty();
    boolean reads = coolant || like.coolantCelsius().isPresent();
    return new CaseReading(
        "ahead",
        mount,
        turned,
        room,
        reads ? OptionalDouble.of(0) : OptionalDouble.empty(),
        OptionalDouble.empty(),
        watts,
        celsius);
  }

  private double[] even(double share) {
    double[] all = new double[model.cores()];
    Arrays.fill(all, share);
    return all;
  }

  private Ahead ahead(Trial trial) {
    CaseReading like = last();
    int next = layout.mounts().stream().mapToInt(Integer::intValue).max().orElseThrow() + 1;
    double turned = like.turnedDegrees();
    return switch (trial) {
      case IDLE ->
          new Ahead(List.of(reading(even(IDLE_SHARE), like.mount(), turned, false)), false);
      case COOLANT -> new Ahead(List.of(reading(even(1), like.mount(), turned, true)), false);
      case FROM_REST -> {
        CaseReading r = reading(even(1), like.mount(), turned, false);
        CaseReading.Slow part = new CaseReading.Slow(0, SLOW_KELVIN / given.stack().watts());
        yield new Ahead(List.of(r.withSlow(Optional.of(part))), false);
      }
      case LID -> {
        CaseReading r = reading(even(1), like.mount(), turned, false);
        yield new Ahead(List.of(r.withLidCelsius(OptionalDouble.of(0))), false);
      }
      case ONE_BY_ONE -> {
        List<CaseReading> all = new ArrayList<>();
        for (int c = 0; c < model.cores(); c++) {
          double[] shares = even(IDLE_SHARE);
          shares[c] = ALONE_SHARE;
          all.add(reading(shares, like.mount(), turned, false));
        }
        yield new Ahead(all, false);
      }
      case TURN -> new Ahead(List.of(reading(even(1), next, turned + 180, false)), true);
      case REMOUNT -> new Ahead(List.of(reading(even(1), next, turned, false)), true);
      default -> throw new IllegalArgumentException(trial + " has no reading");
    };
  }

  /** A joint under the cooler may turn with it, stay with the chip, or be gone. */
  private List<Seat> seats(Held one, Ahead ahead) {
    Suspect suspect = one.suspect();
    boolean open =
        ahead.anew
            && layout.mounts().size() == 1
            && suspect.shape().joint() == model.outermost()
            && suspect.kind().inJoint();
    return open
        ? List.of(Seat.ALL, Seat.TURNING, Seat.only(layout.mounts().get(0)))
        : List.of(suspect.seat());
  }

  /** A suspect that stands for its cause, seated in one of the ways that a test may leave it. */
  private record Seated(Held held, Seat seat, double share) {}

  private OutcomeForecast forecast(Seated one, Ahead ahead) {
    List<Integer> mounts = new ArrayList<>(layout.mounts());
    if (ahead.anew) {
      mounts.add(ahead.readings.get(0).mount());
    }
    Layout wide = new Layout(given, model, mounts, ahead.readings.size());
    Straight lines = new Straight(given, model, wide, one.held.throughLoop());
    Suspect suspect = one.held.suspect().sitting(one.seat);
    List<Straight.Row> rows = new ArrayList<>();
    for (int r = 0; r < ahead.readings.size(); r++) {
      CaseReading reading = ahead.readings.get(r);
      double turned = reading.turnedDegrees() - straight;
      rows.addAll(lines.rows(reading, r, looks.apply(suspect.at(reading.mount(), turned))));
    }
    double weight = one.held.probability() * one.share;
    return OutcomeForecast.of(
        keys.of(one.held), weight, suspect, one.held.belief(), layout, wide, rows);
  }

  private double byReadings(Ahead ahead, Executor helpers) {
    List<Seated> seated = new ArrayList<>();
    for (Held one : held) {
      List<Seat> seats = seats(one, ahead);
      seats.forEach(seat -> seated.add(new Seated(one, seat, 1.0 / seats.size())));
    }
    List<OutcomeForecast> forecasts = SideBySide.each(seated, s -> forecast(s, ahead), helpers);
    double all = forecasts.stream().mapToDouble(OutcomeForecast::weight).sum();
    if (!(all > 0)) {
      return 0;
    }
    double[] before = new double[causes];
    forecasts.forEach(f -> before[f.cause()] += f.weight());
    SplittableRandom random = new SplittableRandom(SEED);
    List<Drawn> drawn = new ArrayList<>();
    for (OutcomeForecast f : forecasts) {
      int draws = (int) Math.ceil(DRAWS * f.weight() / all);
      for (int d = 0; d < draws; d++) {
        drawn.add(new Drawn(f.draw(random), f.weight() / all / draws));
      }
    }
    double told =
        SideBySide.each(drawn, d -> d.weight * left(forecasts, d.outcome), helpers).stream()
            .mapToDouble(Double::doubleValue)
            .sum();
    return Math.max(0, entropy(before) - told);
  }

  /** An outcome, and what it counts for among all that were drawn. */
  private record Drawn(double[] outcome, double weight) {}

  /** What is left of the doubt after an outcome, bits. */
  private double left(List<OutcomeForecast> forecasts, double[] outcome) {
    double[] logs = forecasts.stream().mapToDouble(f -> f.logWeight(outcome)).toArray();
    double top = Arrays.stream(logs).max().orElseThrow();
    double[] by = new double[causes];
    for (int i = 0; i < logs.length; i++) {
      by[forecasts.get(i).cause()] += Math.exp(logs[i] - top);
    }
    return entropy(by);
  }

  /** Entropy of shares that need not sum to 1, bits. */
  static double entropy(double... shares) {
    double all = Arrays.stream(shares).sum();
    double sum = 0;
    for (double share : shares) {
      if (share > 0) {
        sum -= share / all * Math.log(share / all) / Math.log(2);
      }
    }
    return sum;
  }

  /** One of a test's signs shows. */
  private double bySigns(Trial trial) {
    List<Sign> signs = trial.signs();
    double[][] joint = new double[causes][signs.size()];
    for (Held h : held) {
      boolean outermost = h.suspect().shape().joint() == model.outermost();
      for (int s = 0; s < signs.size(); s++) {
        joint[keys.of(h)][s] +=
            h.probability() * trial.chance(signs.get(s), h.suspect().kind(), outermost);
      }
    }
    return information(joint);
  }

  /**
   * Mutual information of rows and columns.
   *
   * @param joint probabilities by row and column; they need not sum to 1
   * @return bits
   */
  static double information(double[][] joint) {
    double[] rows = new double[joint.length];
    double left = 0;
    double all = 0;
    for (int c = 0; c < joint[0].length; c++) {
      double[] after = new double[joint.length];
      double sum = 0;
      for (int r = 0; r < joint.length; r++) {
        rows[r] += joint[r][c];
        after[r] = joint[r][c];
        sum += joint[r][c];
      }
      if (sum > 0) {
        left += sum * entropy(after);
        all += sum;
      }
    }
    return Math.max(0, entropy(rows) - left / all);
  }
}
