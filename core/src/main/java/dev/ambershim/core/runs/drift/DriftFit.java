package dev.ambershim.core.runs.drift;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.runs.drift.Drift.Apart;
import dev.ambershim.core.runs.drift.Drift.Reason;
import dev.ambershim.core.runs.drift.Drift.Remount;
import dev.ambershim.core.runs.drift.Drift.Robust;
import dev.ambershim.core.runs.judging.EqualLoad;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.Predicate;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * What a history says: rises at one power are levels by state, a deviation by mount, and perhaps a
 * slope and jumps. One gate with 5 % false alarms in all decides whether anything happens; behind
 * it the likelier of slope and jump comes first, and whatever more is told must be clearer still.
 * Least squares with the checks' own scatter (Gauss; Henderson for the mounts); Theil and Sen's
 * slope and Mann and Kendall's test stand beside it, as they ask for no distribution.
 */
public final class DriftFit {
  /** The false alarms of a history to which nothing happens. */
  public static final double FALSE_ALARMS = 0.05;

  /** What comes on top of a slope or a jump must be this unlikely by chance. */
  private static final double FURTHER = 0.01;

  /** A check that stands apart must be this unlikely, over all checks. */
  private static final double OUTLYING = 0.01;

  /** So many newest checks tell how fast fan and pump run now. */
  private static final int OF_LATE = 5;

  /** Within so many usual deviations a check stands apart only by how quiet the others are. */
  private static final double USUAL_DEVIATIONS = 2;

  /** Fewer checks of a state cannot tell their own scatter. */
  public static final int FEWEST = 5;

  /** More than this in power is not brought over, times. */
  private static final double MOST_TIMES = 3;

  /** A drift of this may still hide where a history is too short, K a year: common practice. */
  public static final double MATTERS_KELVIN_PER_YEAR = 4;

  private static final int MOST_JUMPS = 3;

  /** So many standard deviations of a difference of mounts are no scatter. */
  private static final double MOST_REMOUNTS = 2.5;

  /** By this much of a logarithm a jump must beat a slope, beyond what its many places give it. */
  private static final double CLEARLY = 1;

  /** What is usual of mounts counts as so many checks. */
  private static final double MOUNTS_COUNT = 4;

  private final double watts;
  private final Scatter scatter;
  private final List<Apart> apart = new ArrayList<>();

  private DriftFit(double watts, Scatter scatter) {
    this.watts = watts;
    this.scatter = scatter;
  }

  /**
   * Works a history out.
   *
   * @param checks at least one, in any order
   * @param watts the power to bring them to; empty takes their median
   */
  public static Drift of(List<Check> checks, OptionalDouble watts, Scatter scatter) {
    return new DriftFit(watts.orElseGet(() -> median(checks)), scatter).drift(checks);
  }

  private static double median(List<Check> checks) {
    double[] sorted = checks.stream().mapToDouble(Check::watts).sorted().toArray();
    return (sorted[(sorted.length - 1) / 2] + sorted[sorted.length / 2]) / 2;
  }

  private Drift drift(List<Check> checks) {
    List<Check> sorted =
        new ArrayList<>(checks.stream().sorted(Comparator.comparing(Check::date)).toList());
    List<Check> alike = sorted.stream().filter(this::nearPower).toList();
    if (!alike.isEmpty()) {
      leave(sorted, c -> !nearPower(c), Reason.OTHER_POWER);
    }
    otherCooling(sorted);
    String now = sorted.get(sorted.size() - 1).state();
    if (sorted.stream().filter(c -> c.state().equals(now)).count() >= FEWEST) {
      leave(sorted, c -> !c.state().equals(now), Reason.OTHER_STATE);
    }
    Set<String> states = new TreeSet<>();
    sorted.forEach(c -> states.add(c.state()));
    return sorted.size() < FEWEST + states.size() - 1
        ? few(sorted, new ArrayList<>(states))
        : enough(sorted, new ArrayList<>(states));
  }

  private boolean nearPower(Check c) {
    return c.watts() < MOST_TIMES * watts && c.watts() > watts / MOST_TIMES;
  }

  /** Leaves checks whose fan or pump ran otherwise than in the last few. */
  private void otherCooling(List<Check> checks) {
    for (Function<Check, OptionalDouble> speed :
        List.<Function<Check, OptionalDouble>>of(Check::fanTurns, Check::pumpTurns)) {
      double[] known =
          checks.stream()
              .map(speed)
              .filter(OptionalDouble::isPresent)
              .mapToDouble(OptionalDouble::getAsDouble)
              .filter(turns -> turns > 0)
              .toArray();
      if (known.length == 0) {
        continue;
      }
      double[] late = Arrays.copyOfRange(known, Math.max(0, known.length - OF_LATE), known.length);
      Arrays.sort(late);
      double usual = late[late.length / 2];
      leave(
          checks,
          c ->
              speed.apply(c).isPresent()
                  && Math.abs(speed.apply(c).getAsDouble() / usual - 1) > EqualLoad.TURNS_SHARE,
          Reason.OTHER_COOLING);
    }
  }

  private void leave(List<Check> checks, Predicate<Check> which, Reason reason) {
    checks.stream().filter(which).forEach(c -> apart.add(new Apart(c, reason, 0)));
    checks.removeIf(which);
  }

  /** A slope by the scatter that is usual, and no verdict. */
  private Drift few(List<Check> checks, List<String> states) {
    Course course = new Course(checks, watts, scatter);
    Model model = new Model(course);
    boolean apartInTime = !checks.get(0).date().equals(checks.get(checks.size() - 1).date());
    return new Drift(
        Trend.CANNOT_TELL,
        watts,
        apartInTime ? model.line(true, true) : Optional.empty(),
        List.of(),
        checks,
        apart,
        states,
        1,
        List.of(),
        Optional.empty());
  }

  private Drift enough(List<Check> checks, List<String> states) {
    Model model = told(checks);
    for (int most = Math.max(1, checks.size() / 6); most > 0; most--) {
      int odd = model.outlier();
      if (odd < 0 || checks.size() <= FEWEST) {
        break;
      }
      apart.add(new Apart(checks.get(odd), Reason.OUTLIER, model.off(odd)));
      checks.remove(odd);
      model = told(checks);
    }
    Optional<Line> line = model.line(true, false).map(model::doubted);
    LocalDate last = checks.get(checks.size() - 1).date();
    // The newest check may be the beginning of a jump, which one check cannot tell.
    boolean newest =
        apart.stream()
            .anyMatch(a -> a.reason() == Reason.OUTLIER && a.check().date().isAfter(last));
    return new Drift(
        newest ? Trend.CANNOT_TELL : trend(model, line),
        watts,
        line,
        model.jumps(),
        checks,
        apart,
        states,
        model.chance,
        remounts(model),
        robust(model));
  }

  private static Trend trend(Model model, Optional<Line> line) {
    if (!model.steps.isEmpty()) {
      return Trend.JUMPED;
    }
    if (model.slope) {
      return Trend.CREEPING;
    }
    boolean shown =
        line.filter(l -> Math.abs(l.perYearInterval().high()) < MATTERS_KELVIN_PER_YEAR)
            .filter(l -> Math.abs(l.perYearInterval().low()) < MATTERS_KELVIN_PER_YEAR)
            .isPresent();
    return shown ? Trend.STEADY : Trend.CANNOT_TELL;
  }

  /** Steps from mount to mount beyond what the model says and mounts scatter. */
  private List<Remount> remounts(Model model) {
    List<Remount> remounts = new ArrayList<>();
    double[] off = model.offModel();
    List<Check> checks = model.course.checks();
    int from = 0;
    double before = Double.NaN;
    for (int i = 1; i <= off.length; i++) {
      Check last = checks.get(i - 1);
      boolean ends = i == off.length || !checks.get(i).mount().equals(last.mount());
      boolean leaves = i < off.length && !checks.get(i).state().equals(last.state());
      if (ends || leaves) {
        double mean = Arrays.stream(off, from, i).average().orElseThrow();
        if (Math.abs(mean - before) > MOST_REMOUNTS * Math.sqrt(2) * scatter.mountKelvin()) {
          remounts.add(new Remount(checks.get(from).date(), mean - before));
        }
        before = leaves ? Double.NaN : mean;
        from = i;
      }
    }
    return remounts;
  }

  private static Optional<Robust> robust(Model model) {
    int n = model.course.size();
    double[] years = new double[n];
    double[] rises = new double[n];
    for (int i = 0; i < n; i++) {
      years[i] = model.course.years(i);
      rises[i] = model.course.rise(i);
    }
    double slope = TheilSen.slope(years, rises);
    return Double.isNaN(slope)
        ? Optional.empty()
        : Optional.of(new Robust(slope, MannKendall.of(rises).chance()));
  }

  /** The model that the gate lets through. */
  private Model told(List<Check> checks) {
    Course course = new Course(checks, watts, scatter);
    Model model = new Model(course);
    Gate gate = Gate.of(course, model.basis, true);
    model.chance = gate.chance();
    if (gate.chance() > FALSE_ALARMS) {
      return model;
    }
    double places = Math.log(Math.max(1, course.places().size())) + CLEARLY;
    boolean neither = gate.slope().chance() > FALSE_ALARMS && gate.jump().chance() > FALSE_ALARMS;
    if (neither) {
      // Up and down again looks like nothing to a slope, and to one jump.
      gate.pair().places().forEach(model::jump);
    } else if (gate.slope().gain() >= gate.jump().gain() - places) {
      model.creep();
      // What looks like a slope may be a slope and a jump.
      further(Gate.of(course, model.basis, false).jump()).ifPresent(model::jump);
    } else {
      gate.jump().places().forEach(model::jump);
      model.doubt(1 / (1 + Math.exp(gate.jump().gain() - places - gate.slope().gain())));
    }
    while (!model.steps.isEmpty() && model.steps.size() < MOST_JUMPS) {
      Gate more = Gate.of(course, model.basis, !model.slope);
      boolean creeps = !model.slope && more.slope().chance() <= FURTHER;
      Optional<Integer> place = further(more.jump());
      if (creeps && more.slope().gain() >= more.jump().gain() - places) {
        model.creep();
      } else if (place.isPresent()) {
        model.jump(place.get());
      } else {
        break;
      }
    }
    return model;
  }

  /** The place of one more jump, if that is clear. */
  private static Optional<Integer> further(Gate.Explained jump) {
    return jump.places().stream().findFirst().filter(p -> jump.chance() <= FURTHER);
  }

  /** Levels, and what was found beyond them. */
  private static final class Model {
    private final Course course;
    private final List<Integer> steps = new ArrayList<>();
    private Basis basis = new Basis();
    private boolean slope;
    private double chance = 1;

    /** How likely it is that a slope alone was taken for a jump. */
    private double slopeInstead;

    Model(Course course) {
      this.course = course;
      course.open().forEach(basis::add);
    }

    void creep() {
      slope = true;
      basis = basis.with(course.slope());
    }

    void doubt(double chanceOfSlope) {
      slopeInstead = chanceOfSlope;
    }

    /** A line with the doubt of whether it was a slope and no jump. */
    Line doubted(Line line) {
      return slopeInstead == 0
          ? line
          : new Model(course)
              .line(true, false)
              .map(other -> line.doubting(other, slopeInstead))
              .orElse(line);
    }

    void jump(int place) {
      steps.add(place);
      steps.sort(Comparator.naturalOrder());
      basis = basis.with(course.step(place));
    }

    private int freedom(Basis of) {
      return course.rises().length - of.size();
    }

    private double scale(Basis of) {
      double[] left = of.without(course.rises());
      return Math.max(Course.LEAST_SCALE, Basis.dot(left, left) / freedom(of));
    }

    /**
     * The scale drawn towards the usual one where there are several mounts: mounts scatter as
     * mounts do, however quiet the checks between them are.
     */
    private double steadied(double scale, int freedom) {
      return course.open().size() == course.levels()
          ? scale
          : (freedom * scale + MOUNTS_COUNT) / (freedom + MOUNTS_COUNT);
    }

    /** How far each check lies over its state, the slope and the jumps; mounts stay in it. */
    double[] offModel() {
      double[] off = new double[course.size()];
      Optional<Solved> solved = solve(slope);
      for (int i = 0; i < off.length && solved.isPresent(); i++) {
        double[] figures = solved.get().figures();
        int open = course.open().size();
        double told = figures[course.levelColumn(i)];
        if (slope) {
          told += figures[open] * course.years(i);
        }
        for (int k = 0; k < steps.size(); k++) {
          told += of(steps.get(k), i) ? figures[open + (slope ? 1 : 0) + k] : 0;
        }
        off[i] = course.rise(i) - told;
      }
      return off;
    }

    /** The check that stands farthest from the rest, if that is no chance; else −1. */
    int outlier() {
      int worst = -1;
      double most = 0;
      double[] left = basis.without(course.rises());
      double squares = Basis.dot(left, left);
      for (int i = 0; i < course.size(); i++) {
        double[] alone = basis.direction(course.alone(i));
        if (alone.length == 0) {
          continue;
        }
        double dot = Basis.dot(alone, left);
        if (dot * dot > most) {
          most = dot * dot;
          worst = i;
        }
      }
      int freedom = freedom(basis) - 1;
      if (worst < 0 || freedom < 2 || most < USUAL_DEVIATIONS * USUAL_DEVIATIONS) {
        return -1;
      }
      double t = Math.sqrt(most / Math.max(Course.LEAST_SCALE, (squares - most) / freedom));
      double tail = 2 * new TDistribution(freedom).cumulativeProbability(-t);
      return tail * course.size() < OUTLYING ? worst : -1;
    }

    /** How far a check stands off, K at the reference power. */
    double off(int check) {
      double[] alone = course.alone(check);
      double[] left = basis.without(course.rises());
      double[] open = basis.without(alone);
      return Basis.dot(open, left) / Basis.dot(open, open);
    }

    /** Columns of the whole model: what is open, the slope, the steps. */
    private List<double[]> columns(boolean withSlope) {
      List<double[]> columns = new ArrayList<>(course.open());
      if (withSlope) {
        columns.add(course.slope());
      }
      steps.forEach(s -> columns.add(course.step(s)));
      return columns;
    }

    /** The inverse of the normal equations, and the solution in its last column. */
    private Optional<Solved> solve(boolean withSlope) {
      List<double[]> columns = columns(withSlope);
      Basis all = new Basis();
      columns.forEach(all::add);
      if (all.size() < columns.size() || course.rises().length < all.size()) {
        return Optional.empty();
      }
      int p = columns.size();
      RealMatrix normal = MatrixUtils.createRealMatrix(p, p);
      double[] right = new double[p];
      double[] rises = course.rises();
      for (int i = 0; i < p; i++) {
        right[i] = Basis.dot(columns.get(i), rises);
        for (int j = 0; j < p; j++) {
          normal.setEntry(i, j, Basis.dot(columns.get(i), columns.get(j)));
        }
      }
      RealMatrix inverse = MatrixUtils.inverse(normal);
      return Optional.of(new Solved(inverse, inverse.operate(right), all));
    }

    private record Solved(RealMatrix inverse, double[] figures, Basis basis) {}

    /**
     * The drift from the last check on.
     *
     * @param withSlope whether it may grow
     * @param usual whether the scatter is the usual one, as the checks cannot tell it
     */
    Optional<Line> line(boolean withSlope, boolean usual) {
      return solve(withSlope)
          .filter(s -> usual || freedom(s.basis()) > 0)
          .map(
              s -> {
                int last = course.size() - 1;
                double[] level = new double[s.figures().length];
                level[course.levelColumn(last)] = 1;
                if (course.mountColumn(last) >= 0) {
                  level[course.mountColumn(last)] = 1;
                }
                int open = course.open().size();
                double[] growth = new double[level.length];
                growth[open] = 1;
                for (int k = 0; k < steps.size(); k++) {
                  level[open + 1 + k] = of(steps.get(k), last) ? 1 : 0;
                }
                double scale = usual ? 1 : steadied(scale(s.basis()), freedom(s.basis()));
                double[] spreadLevel = s.inverse().operate(level);
                double[] spreadGrowth = s.inverse().operate(growth);
                return new Line(
                    Basis.dot(level, s.figures()),
                    Basis.dot(growth, s.figures()),
                    scale * Basis.dot(level, spreadLevel),
                    scale * Basis.dot(growth, spreadGrowth),
                    scale * Basis.dot(level, spreadGrowth),
                    usual ? 0 : freedom(s.basis()));
              });
    }

    private boolean of(int step, int check) {
      return check >= step
          && course.checks().get(step).state().equals(course.checks().get(check).state());
    }

    List<Jump> jumps() {
      List<Jump> jumps = new ArrayList<>();
      Optional<Solved> solved = steps.isEmpty() ? Optional.empty() : solve(slope);
      solved.ifPresent(
          s -> {
            int first = course.open().size() + (slope ? 1 : 0);
            int freedom = freedom(s.basis());
            double scale = freedom > 0 ? scale(s.basis()) : 1;
            double half =
                freedom > 0
                    ? new TDistribution(freedom).inverseCumulativeProbability(0.975)
                    : Interval.normalHalf(0.95);
            for (int k = 0; k < steps.size(); k++) {
              double kelvin = s.figures()[first + k];
              double error = Math.sqrt(scale * s.inverse().getEntry(first + k, first + k));
              int place = steps.get(k);
              jumps.add(
                  new Jump(
                      course.checks().get(place - 1).date(),
                      course.checks().get(place).date(),
                      kelvin,
                      Interval.around(kelvin, half * error, 0.95)));
            }
          });
      return jumps;
    }
  }
}
