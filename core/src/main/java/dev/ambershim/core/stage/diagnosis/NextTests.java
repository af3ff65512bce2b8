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
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;

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
  private final double straight;

  NextTests(
      DiagnosisCase given, StackModel model, Layout layout, List<Held> held, Ranking.Keys keys) {
    this.given = given;
    this.model = model;
    this.layout = layout;
    this.keys = keys;
    this.held = standing(held, keys);
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
    List<Double> bits = SideBySide.each(left, this::bits, helpers);
    return IntStream.range(0, left.size())
        .mapToObj(i -> new NextTest(left.get(i), bits.get(i), minutes(left.get(i))))
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

  private double bits(Trial trial) {
    if (!trial.signs().isEmpty()) {
      return bySigns(trial);
    }
    return byReadings(ahead(trial));
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

  /** What a suspect forecasts for the readings ahead: a normal distribution. */
  private final class Forecast {
    private final int cause;
    private final double weight;
    private final double[] mean;
    private final double[][] lower;
    private final double logs;

    Forecast(Held one, Seat seat, double share, Ahead ahead) {
      cause = keys.of(one);
      weight = one.probability() * share;
      List<Integer> mounts = new ArrayList<>(layout.mounts());
      if (ahead.anew) {
        mounts.add(ahead.readings.get(0).mount());
      }
      Layout wide = new Layout(given, model, mounts, ahead.readings.size());
      Straight lines = new Straight(given, model, wide, one.throughLoop());
      Suspect suspect = one.suspect().sitting(seat);
      List<Straight.Row> rows = new ArrayList<>();
      for (int r = 0; r < ahead.readings.size(); r++) {
        CaseReading reading = ahead.readings.get(r);
        rows.addAll(
            lines.rows(
                reading,
                r,
                lines.look(suspect.at(reading.mount(), reading.turnedDegrees() - straight))));
      }
      int n = rows.size();
      mean = new double[n];
      double[][] covariance = new double[n][n];
      int[] from = wide.from(layout);
      double[] likely = new double[wide.size()];
      double[] spread = new double[wide.size()];
      wide.priors(suspect, likely, spread);
      double[][] known = known(one, rows, from);
      for (int i = 0; i < n; i++) {
        double[] slopes = rows.get(i).slopes();
        mean[i] = rows.get(i).expected();
        for (int p = 0; p < slopes.length; p++) {
          mean[i] += slopes[p] * (from[p] < 0 ? likely[p] : one.belief().likely()[from[p]]);
        }
        for (int j = 0; j <= i; j++) {
          double sum = i == j ? Math.pow(rows.get(i).sigma() * Layout.noise(suspect), 2) : 0;
          double[] other = rows.get(j).slopes();
          for (int p = 0; p < slopes.length; p++) {
            if (from[p] < 0) {
              sum += slopes[p] * other[p] * spread[p] * spread[p];
            }
          }
          for (int p = 0; p < known[i].length; p++) {
            sum += known[i][p] * known[j][p];
          }
          covariance[i][j] = sum;
          covariance[j][i] = sum;
        }
      }
      lower =
          new CholeskyDecomposition(new Array2DRowRealMatrix(covariance, false), 1e-6, 0)
              .getL()
              .getData();
      double sum = 0;
      for (int i = 0; i < n; i++) {
        sum += Math.log(lower[i][i]);
      }
      logs = sum;
    }

    /** How the rows move with what is known of the unknowns, in independent units. */
    private double[][] known(Held one, List<Straight.Row> rows, int[] from) {
      Normal.Belief belief = one.belief();
      int[] place = new int[layout.size()];
      Arrays.fill(place, -1);
      for (int i = 0; i < belief.free().length; i++) {
        place[belief.free()[i]] = i;
      }
      double[][] split = belief.precision().getL().getData();
      double[][] all = new double[rows.size()][];
      for (int r = 0; r < all.length; r++) {
        double[] slopes = rows.get(r).slopes();
        double[] x = new double[belief.free().length];
        for (int p = 0; p < slopes.length; p++) {
          if (from[p] >= 0 && place[from[p]] >= 0) {
            int at = place[from[p]];
            x[at] += slopes[p] * belief.spread()[at];
          }
        }
        for (int i = 0; i < x.length; i++) {
          double sum = x[i];
          for (int k = 0; k < i; k++) {
            sum -= split[i][k] * x[k];
          }
          x[i] = sum / split[i][i];
        }
        all[r] = x;
      }
      return all;
    }

    double[] draw(SplittableRandom random) {
      double[] z = new double[mean.length];
      Arrays.setAll(z, i -> random.nextGaussian());
      double[] y = mean.clone();
      for (int i = 0; i < y.length; i++) {
        for (int k = 0; k <= i; k++) {
          y[i] += lower[i][k] * z[k];
        }
      }
      return y;
    }

    double logDensity(double[] y) {
      double[] x = new double[y.length];
      double squares = 0;
      for (int i = 0; i < y.length; i++) {
        double sum = y[i] - mean[i];
        for (int k = 0; k < i; k++) {
          sum -= lower[i][k] * x[k];
        }
        x[i] = sum / lower[i][i];
        squares += x[i] * x[i];
      }
      return -0.5 * squares - logs;
    }
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

  private double byReadings(Ahead ahead) {
    List<Forecast> forecasts = new ArrayList<>();
    for (Held one : held) {
      List<Seat> seats = seats(one, ahead);
      for (Seat seat : seats) {
        forecasts.add(new Forecast(one, seat, 1.0 / seats.size(), ahead));
      }
    }
    double all = forecasts.stream().mapToDouble(f -> f.weight).sum();
    SplittableRandom random = new SplittableRandom(SEED);
    double told = 0;
    double drawn = 0;
    for (Forecast f : forecasts) {
      int draws = (int) Math.ceil(DRAWS * f.weight / all);
      double left = 0;
      for (int d = 0; d < draws; d++) {
        left += left(forecasts, f.draw(random));
      }
      told += f.weight / all * left / draws;
      drawn += draws;
    }
    return drawn == 0 ? 0 : Math.max(0, entropy(prior(forecasts)) - told);
  }

  private static Map<Integer, Double> prior(List<Forecast> forecasts) {
    return forecasts.stream()
        .collect(Collectors.groupingBy(f -> f.cause, Collectors.summingDouble(f -> f.weight)));
  }

  /** What is left of the doubt after an outcome, bits. */
  private static double left(List<Forecast> forecasts, double[] y) {
    double[] logs =
        forecasts.stream().mapToDouble(f -> Math.log(f.weight) + f.logDensity(y)).toArray();
    double top = Arrays.stream(logs).max().orElseThrow();
    Map<Integer, Double> by = new LinkedHashMap<>();
    for (int i = 0; i < logs.length; i++) {
      by.merge(forecasts.get(i).cause, Math.exp(logs[i] - top), Double::sum);
    }
    return entropy(by);
  }

  /** Entropy of shares that need not sum to 1, bits. */
  static double entropy(Map<Integer, Double> shares) {
    double all = shares.values().stream().mapToDouble(Double::doubleValue).sum();
    double sum = 0;
    for (double share : shares.values()) {
      if (share > 0) {
        sum -= share / all * Math.log(share / all) / Math.log(2);
      }
    }
    return sum;
  }

  /** One of a test's signs shows. */
  private double bySigns(Trial trial) {
    List<Sign> signs = trial.signs();
    int causes = 1 + held.stream().mapToInt(keys::of).max().orElse(0);
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
    Map<Integer, Double> rows = new LinkedHashMap<>();
    double left = 0;
    double all = 0;
    for (int c = 0; c < joint[0].length; c++) {
      Map<Integer, Double> after = new LinkedHashMap<>();
      double sum = 0;
      for (int r = 0; r < joint.length; r++) {
        rows.merge(r, joint[r][c], Double::sum);
        after.put(r, joint[r][c]);
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
