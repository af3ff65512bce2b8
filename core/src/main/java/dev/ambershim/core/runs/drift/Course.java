package dev.ambershim.core.runs.drift;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.IntToDoubleFunction;
import java.util.random.RandomGenerator;

/**
 * Checks as the rows of a least-squares problem: each over its own scatter, a level for each state,
 * and a deviation for each mount that is held near zero by a row of its own (Henderson's mixed
 * model equations).
 */
final class Course {
  static final double DAYS_A_YEAR = 365.25;

  /**
   * No checks scatter by less than a tenth of what is usual, as a share of the variance; figures
   * that were rounded or made up may.
   */
  static final double LEAST_SCALE = 0.01;

  /** Fewer checks on either side are no jump. */
  private static final int FEWEST_BESIDE = 2;

  private final List<Check> checks;
  private final double[] years;
  private final double[] weights;
  private final double[] rises;
  private final int[] mountOf;
  private final int mounts;
  private final double mountKelvin;

  /**
   * Prepares checks.
   *
   * @param checks the oldest first
   * @param watts the power to bring them to
   */
  Course(List<Check> checks, double watts, Scatter scatter) {
    this.checks = List.copyOf(checks);
    int n = checks.size();
    LocalDate last = checks.get(n - 1).date();
    years = new double[n];
    weights = new double[n];
    rises = new double[n];
    mountOf = new int[n];
    mountKelvin = scatter.mountKelvin();
    Map<String, List<Integer>> byMount = new LinkedHashMap<>();
    for (int i = 0; i < n; i++) {
      byMount.computeIfAbsent(mount(checks.get(i)), m -> new ArrayList<>()).add(i);
    }
    int count = 0;
    Arrays.fill(mountOf, -1);
    boolean several = byMount.size() > states().size();
    for (List<Integer> own : byMount.values()) {
      if (several && own.size() > 1) {
        for (int i : own) {
          mountOf[i] = count;
        }
        count++;
      }
    }
    mounts = count;
    for (int i = 0; i < n; i++) {
      Check c = checks.get(i);
      double deviation = scatter.of(c, watts);
      if (several && mountOf[i] < 0) {
        deviation = Math.hypot(deviation, mountKelvin);
      }
      weights[i] = 1 / (deviation * watts / c.watts());
      rises[i] = c.riseAt(watts);
      years[i] = ChronoUnit.DAYS.between(last, c.date()) / DAYS_A_YEAR;
    }
  }

  private static String mount(Check c) {
    return c.state() + "\n" + c.mount();
  }

  private Set<String> states() {
    Set<String> states = new TreeSet<>();
    checks.forEach(c -> states.add(c.state()));
    return states;
  }

  int size() {
    return checks.size();
  }

  List<Check> checks() {
    return checks;
  }

  double years(int i) {
    return years[i];
  }

  double rise(int i) {
    return rises[i];
  }

  /** Rows: the checks, then the mounts. */
  double[] column(IntToDoubleFunction value) {
    double[] column = new double[checks.size() + mounts];
    for (int i = 0; i < checks.size(); i++) {
      column[i] = weights[i] * value.applyAsDouble(i);
    }
    return column;
  }

  double[] rises() {
    return column(i -> rises[i]);
  }

  double[] slope() {
    return column(i -> years[i]);
  }

  /** One from a check on, within its state. */
  double[] step(int from) {
    String state = checks.get(from).state();
    return column(i -> i >= from && checks.get(i).state().equals(state) ? 1 : 0);
  }

  double[] alone(int check) {
    return column(i -> i == check ? 1 : 0);
  }

  /** Columns of what is always open: a level for each state, a deviation for each mount. */
  List<double[]> open() {
    List<double[]> columns = new ArrayList<>();
    for (String state : states()) {
      columns.add(column(i -> checks.get(i).state().equals(state) ? 1 : 0));
    }
    for (int m = 0; m < mounts; m++) {
      int mount = m;
      double[] column = column(i -> mountOf[i] == mount ? 1 : 0);
      column[checks.size() + m] = 1 / mountKelvin;
      columns.add(column);
    }
    return columns;
  }

  /** How many of the open columns are levels. */
  int levels() {
    return states().size();
  }

  /** The mount of a check among the open columns, or −1. */
  int mountColumn(int check) {
    return mountOf[check] < 0 ? -1 : levels() + mountOf[check];
  }

  /** The level of a check's state among the open columns. */
  int levelColumn(int check) {
    return new ArrayList<>(states()).indexOf(checks.get(check).state());
  }

  /** Rises of a chip that nothing happens to. */
  double[] draw(RandomGenerator random) {
    double[] deviation = new double[mounts];
    for (int m = 0; m < mounts; m++) {
      deviation[m] = mountKelvin * random.nextGaussian();
    }
    double[] drawn = new double[checks.size() + mounts];
    for (int i = 0; i < checks.size(); i++) {
      drawn[i] = random.nextGaussian() + (mountOf[i] < 0 ? 0 : weights[i] * deviation[mountOf[i]]);
    }
    return drawn;
  }

  /**
   * The checks before which a jump can be told: on a later day than the one before, of the same
   * state, with others on either side. Between two mounts a jump is the mount's, unless there are
   * several mounts on either side.
   */
  List<Integer> places() {
    List<Integer> places = new ArrayList<>();
    for (int k = 1; k < checks.size(); k++) {
      Check before = checks.get(k - 1);
      Check after = checks.get(k);
      if (before.date().equals(after.date()) || !before.state().equals(after.state())) {
        continue;
      }
      boolean remounted = !before.mount().equals(after.mount());
      if (beside(k, true, remounted) >= FEWEST_BESIDE
          && beside(k, false, remounted) >= FEWEST_BESIDE) {
        places.add(k);
      }
    }
    return places;
  }

  /** Checks of the state before or from a place on; mounts instead where there was a remount. */
  private int beside(int place, boolean before, boolean byMounts) {
    String state = checks.get(place).state();
    Set<Object> found = new HashSet<>();
    for (int i = before ? 0 : place; i < (before ? place : checks.size()); i++) {
      if (checks.get(i).state().equals(state)) {
        found.add(byMounts ? checks.get(i).mount() : (Object) i);
      }
    }
    return found.size();
  }
}
