package dev.ambershim.core.runs.drift;

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

  /** So many newest checks tell how fast fan and pump run now. */
  private static final int OF_LATE = 5;

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
    DriftModel model = new DriftModel(course);
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
    DriftModel model = told(checks);
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
        model.chance(),
        remounts(model),
        robust(model));
  }

  private static Trend trend(DriftModel model, Optional<Line> line) {
    if (!model.steps().isEmpty()) {
      return Trend.JUMPED;
    }
    if (model.creeps()) {
      return Trend.CREEPING;
    }
    boolean shown =
        line.filter(l -> Math.abs(l.perYearInterval().high()) < MATTERS_KELVIN_PER_YEAR)
            .filter(l -> Math.abs(l.perYearInterval().low()) < MATTERS_KELVIN_PER_YEAR)
            .isPresent();
    return shown ? Trend.STEADY : Trend.CANNOT_TELL;
  }

  /** Steps from mount to mount beyond what the model says and mounts scatter. */
  private List<Remount> remounts(DriftModel model) {
    List<Remount> remounts = new ArrayList<>();
    double[] off = model.offModel();
    List<Check> checks = model.course().checks();
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

  private static Optional<Robust> robust(DriftModel model) {
    int n = model.course().size();
    double[] years = new double[n];
    double[] rises = new double[n];
    for (int i = 0; i < n; i++) {
      years[i] = model.course().years(i);
      rises[i] = model.course().rise(i);
    }
    double slope = TheilSen.slope(years, rises);
    return Double.isNaN(slope)
        ? Optional.empty()
        : Optional.of(new Robust(slope, MannKendall.of(rises).chance()));
  }

  /** The model that the gate lets through. */
  private DriftModel told(List<Check> checks) {
    Course course = new Course(checks, watts, scatter);
    DriftModel model = new DriftModel(course);
    Gate gate = Gate.of(course, model.basis(), true);
    model.chance(gate.chance());
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
      further(Gate.of(course, model.basis(), false).jump()).ifPresent(model::jump);
    } else {
      gate.jump().places().forEach(model::jump);
      model.doubt(1 / (1 + Math.exp(gate.jump().gain() - places - gate.slope().gain())));
    }
    while (!model.steps().isEmpty() && model.steps().size() < MOST_JUMPS) {
      Gate more = Gate.of(course, model.basis(), !model.creeps());
      boolean creeps = !model.creeps() && more.slope().chance() <= FURTHER;
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
}
