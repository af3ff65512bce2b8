package dev.ambershim.core.runs.drift;

import dev.ambershim.core.base.Interval;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.hipparchus.distribution.continuous.TDistribution;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * What a course is read as: a level for each state, a deviation for each mount, and what was found
 * beyond them, a slope or jumps. Least squares over the checks' own scatter.
 */
final class DriftModel {
  /** What is usual of mounts counts as so many checks. */
  private static final double MOUNTS_COUNT = 4;

  /** What is usual of checks on one mount counts as so many; set by simulation. */
  private static final double CHECKS_COUNT = 2;

  /** A check that stands apart must be this unlikely, over all checks. */
  private static final double OUTLYING = 0.01;

  /** Within so many usual deviations a check stands apart only by how quiet the others are. */
  private static final double USUAL_DEVIATIONS = 2;

  private final Course course;
  private final List<Integer> steps = new ArrayList<>();
  private Basis basis = new Basis();
  private boolean slope;
  private double chance = 1;

  /** How likely it is that a slope alone was taken for a jump. */
  private double slopeInstead;

  DriftModel(Course course) {
    this.course = course;
    course.open().forEach(basis::add);
  }

  Course course() {
    return course;
  }

  /** The columns that are taken out of what is left. */
  Basis basis() {
    return basis;
  }

  boolean creeps() {
    return slope;
  }

  /** The checks that it jumps before, rising. */
  List<Integer> steps() {
    return List.copyOf(steps);
  }

  /** The chance of so much where nothing happens. */
  double chance() {
    return chance;
  }

  void chance(double ofNothing) {
    chance = ofNothing;
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
        : new DriftModel(course)
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
   * The scale drawn towards the usual one. Where there are several mounts it is drawn either way:
   * mounts scatter as mounts do, however quiet the checks between them are. With one mount quiet
   * checks are not wholly believed, as a check that stood apart may be gone from them; loud ones
   * are.
   */
  private double steadied(double scale, int freedom) {
    return course.open().size() == course.levels()
        ? Math.max(scale, (freedom * scale + CHECKS_COUNT) / (freedom + CHECKS_COUNT))
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
