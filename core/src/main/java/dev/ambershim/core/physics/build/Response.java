package dev.ambershim.core.physics.build;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.build.Ladder.Doubt;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.modes.LaidStacks;
import dev.ambershim.core.physics.modes.LiveStack;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * How hot each core of a situation gets for each watt, for any size of its doubtful figures. The
 * stack is solved in three dimensions at the likely figures and with each figure moved both ways;
 * between these points the closed-form ladder, corrected to meet them, is used. Resistances are
 * relative to room air.
 */
public final class Response {
  /** Steps of the logarithm: each figure is halved and doubled. */
  private static final double STEP = Math.log(2);

  /**
   * Steps of the lattice that situations are solved on. Half a step away a response is off by less
   * than the discretisation error, but for draws far out.
   */
  private static final double LATTICE = 0.25;

  /** Steps of the lattice that grids are laid on: their error hangs little on joints and cooler. */
  private static final double GRIDS_LATTICE = 1;

  private static final LaidStacks LAID = new LaidStacks();

  /** Discretisation error as a share of the rise: far below the doubt in any joint. */
  private static final double ERROR = 0.002;

  private static final int FIGURES = 4;

  /** The lid's place among the layers, where it is on: die, inner joint, lid. */
  private static final int LID = 2;

  private final Situation situation;
  private final CoreLayout layout;
  private final int cores;
  private final double[][] correction;
  private final Local local;
  private final double joint;
  private final Ladder ladder;
  private final Ladder.Frame frame;

  private final double[] nearMean;

  /** Where this situation's likely figures lie from those that were solved, as logarithms. */
  private final double[] shift;

  private Response(
      Situation situation,
      CoreLayout layout,
      double[][] correction,
      Local local,
      Ladder ladder,
      double[] shift) {
    this.shift = shift;
    this.situation = situation;
    this.layout = layout;
    cores = layout.cores().size();
    this.correction = correction;
    this.local = local;
    this.joint =
        ladder.steps().stream()
                .filter(s -> s.name().equals("inner joint") || s.name().equals("bare joint"))
                .mapToDouble(Ladder.Step::kelvinPerWatt)
                .sum()
            * Math.exp(shift[overDies()]);
    this.ladder = ladder;
    frame = new Ladder.Frame(situation.chip(), situation.cooler(), situation.build());
    this.nearMean = slopes();
  }

  /**
   * Solves a situation.
   *
   * @param watch asked between solutions
   * @throws dev.ambershim.core.base.Problem {@code stack.…} if the stack cannot be
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static Response of(Situation at, SolveWatch watch) {
    CoreLayout layout = CoreLayout.of(at.chip());
    StackCase first = BuildStack.of(at, Doubt.NONE, layout, 1, 0);
    LiveStack live = LAID.forMeans(ground(at, layout), ERROR, watch);
    double[] likely = live.meansCelsius(first, watch);
    List<Patch> dies = at.chip().dies().stream().map(CoreLayout::patch).toList();
    Ladder ladder = shadow(at, likely, layout, live.layersOver(dies), 0);
    int outputs = layout.cores().size() + 2;
    double[][] correction = new double[outputs][1 + 2 * FIGURES];
    double[] middle = offLadder(at, Doubt.NONE, likely, live, layout);
    for (int o = 0; o < outputs; o++) {
      correction[o][0] = middle[o];
    }
    for (int f = 0; f < FIGURES; f++) {
      if (f == 0 && !at.build().lidOn()) {
        continue; // there is no inner joint
      }
      double[] up = moved(at, f, STEP, live, layout, watch);
      double[] down = moved(at, f, -STEP, live, layout, watch);
      for (int o = 0; o < outputs; o++) {
        correction[o][1 + 2 * f] = (up[o] - down[o]) / (2 * STEP);
        correction[o][2 + 2 * f] = (up[o] - 2 * middle[o] + down[o]) / (2 * STEP * STEP);
      }
    }
    return new Response(
        at,
        layout,
        correction,
        Local.of(at, live, layout, likely, watch),
        ladder,
        new double[FIGURES]);
  }

  /**
   * The response of a situation that differs only in what the solved points vary anyway: bond
   * lines, conductivities of the joints and the cooler's resistance. Within a factor of two of the
   * solved figures it is as good as any response; its ladder and the share of one core stay those
   * solved.
   *
   * @return empty if it differs in anything else, or by more
   */
  Optional<Response> movedTo(Situation to) {
    Build from = situation.build();
    Build there = to.build();
    boolean same =
        to.chip().equals(situation.chip())
            && to.cooler()
                .withResistanceKelvinPerWatt(situation.cooler().resistanceKelvinPerWatt())
                .equals(situation.cooler())
            && there.lidOn() == from.lidOn();
    if (!same) {
      return Optional.empty();
    }
    double[] away = shift.clone();
    away[0] += Math.log(specific(there.inner()) / specific(from.inner()));
    away[1] += Math.log(specific(there.outer()) / specific(from.outer()));
    away[3] +=
        Math.log(
            to.cooler().resistanceKelvinPerWatt() / situation.cooler().resistanceKelvinPerWatt());
    for (int f = 0; f < FIGURES; f++) {
      boolean counts = f != 0 || from.lidOn();
      if (counts && Math.abs(away[f]) > STEP) {
        return Optional.empty();
      }
    }
    return Optional.of(new Response(to, layout, correction, local, ladder, away));
  }

  /**
   * The situation on a fixed lattice of joints' and cooler's resistances that is next to another.
   * Its response, {@link #movedTo moved} from there, stands for all situations around it, and does
   * not hang on which of them was asked for first.
   */
  static Situation onLattice(Situation at) {
    return snapped(at, LATTICE);
  }

  private static Situation snapped(Situation at, double step) {
    Build build = at.build();
    double cooler = at.cooler().resistanceKelvinPerWatt();
    return new Situation(
        at.chip(),
        at.cooler().withResistanceKelvinPerWatt(snapped(cooler, step)),
        build.withInner(snapped(build.inner(), step)).withOuter(snapped(build.outer(), step)));
  }

  private static Joint snapped(Joint joint, double step) {
    return joint.withBondLineMicrometres(
        snapped(specific(joint), step) * joint.conductivityWattsPerMetreKelvin());
  }

  private static double snapped(double figure, double step) {
    return figure > 0 ? Math.exp(step * Math.rint(Math.log(figure) / step)) : figure;
  }

  /** The stack that grids are laid for, so that all situations around it are solved on them. */
  private static StackCase ground(Situation at, CoreLayout layout) {
    return BuildStack.of(snapped(at, GRIDS_LATTICE), Doubt.NONE, layout, 1, 0);
  }

  /** Grids on which a situation can be seen closely, peaks and all. */
  static LiveStack closely(Situation at, CoreLayout layout, SolveWatch watch) {
    return LAID.of(ground(at, layout), ERROR, watch);
  }

  /** The place of the joint over the dies among the figures. */
  private int overDies() {
    return situation.build().lidOn() ? 0 : 1;
  }

  private static double specific(Joint joint) {
    return joint.resistanceSquareMillimetreKelvinPerWatt();
  }

  /**
   * The mean over the cores solved for itself at each of some figures, K/W; dearer than a response
   * gives it, and without its curves.
   *
   * @param logs each as a response takes them
   */
  public static double[] solvedKelvinPerWatt(Situation at, List<double[]> logs, SolveWatch watch) {
    CoreLayout layout = CoreLayout.of(at.chip());
    LiveStack live = LAID.forMeans(ground(at, layout), ERROR, watch);
    double[] all = new double[logs.size()];
    for (int i = 0; i < all.length; i++) {
      double[] means =
          live.meansCelsius(BuildStack.of(at, doubt(logs.get(i)), layout, 1, 0), watch);
      all[i] = Arrays.stream(means).limit(layout.cores().size()).average().orElseThrow();
    }
    return all;
  }

  /** Cores over the room by the closed-form ladder alone, K/W: right within about a tenth. */
  public static double roughKelvinPerWatt(Situation at, double[] logs) {
    return Ladder.of(at.chip(), at.cooler(), at.build(), doubt(logs)).totalKelvinPerWatt();
  }

  private static double[] moved(
      Situation at, int figure, double by, LiveStack live, CoreLayout layout, SolveWatch watch) {
    double[] logs = new double[FIGURES];
    logs[figure] = by;
    Doubt doubt = doubt(logs);
    double[] there = live.meansCelsius(BuildStack.of(at, doubt, layout, 1, 0), watch);
    return offLadder(at, doubt, there, live, layout);
  }

  static Doubt doubt(double[] logs) {
    return new Doubt(Math.exp(logs[0]), Math.exp(logs[1]), Math.exp(logs[2]), Math.exp(logs[3]));
  }

  /** Logarithms of solution over ladder: each core, the middle of the lid's top, the mean. */
  private static double[] offLadder(
      Situation at, Doubt doubt, double[] means, LiveStack live, CoreLayout layout) {
    Ladder ladder = Ladder.of(at.chip(), at.cooler(), at.build(), doubt);
    int cores = layout.cores().size();
    double[] all = new double[cores + 2];
    double mean = 0;
    for (int c = 0; c < cores; c++) {
      double celsius = means[c];
      all[c] = Math.log(celsius / ladder.totalKelvinPerWatt());
      mean += celsius / cores;
    }
    all[cores + 1] = Math.log(mean / ladder.totalKelvinPerWatt());
    if (at.build().lidOn()) {
      // Where a probe is put: a few millimetres around the lid's middle.
      Patch probe = layout.cores().get(0);
      double nearest = Double.POSITIVE_INFINITY;
      for (Patch p : layout.cores()) {
        double away = Math.hypot(p.xMillimetres(), p.yMillimetres());
        if (away < nearest) {
          nearest = away;
          probe = p;
        }
      }
      all[cores] = Math.log(live.topOver(LID, List.of(probe)) / aboveLid(ladder));
    }
    return all;
  }

  /** Resistance of a ladder from the lid's top on, K/W. */
  private static double aboveLid(Ladder ladder) {
    double sum = 0;
    boolean above = false;
    for (Ladder.Step step : ladder.steps()) {
      sum += above ? step.kelvinPerWatt() : 0;
      above |= step.name().equals("lid");
    }
    return sum;
  }

  /**
   * What a core feels alone: its rise over its mates for each watt that it takes more and they take
   * less.
   *
   * @param kelvinPerWatt at the solved figures, the mean of the two cores next to the middle one's
   *     rise; one alone would be taken by chance where cores in the corners and between them are
   *     equally far from the mean
   * @param exponent how it goes with the joint over the dies
   */
  private record Local(double kelvinPerWatt, double exponent) {
    static Local of(
        Situation at, LiveStack live, CoreLayout layout, double[] even, SolveWatch watch) {
      int cores = layout.cores().size();
      if (cores < 2) {
        return new Local(0, 0);
      }
      // What else gives off heat comes after the cores.
      double[] rise = Arrays.copyOf(even, cores);
      double mean = Arrays.stream(rise).average().orElseThrow();
      List<Integer> byRise =
          IntStream.range(0, cores)
              .boxed()
              .sorted(Comparator.comparingDouble(c -> rise[c]))
              .toList();
      int cooler = (int) Arrays.stream(rise).filter(r -> r < mean).count();
      int below = byRise.get(Math.max(0, cooler - 1));
      int above = byRise.get(Math.min(cores - 1, cooler));
      StackCase likely = BuildStack.of(at, Doubt.NONE, layout, 1, 0);
      double one = alone(likely, live, rise, below, watch);
      double two = alone(likely, live, rise, above, watch);
      double[] logs = new double[FIGURES];
      logs[at.build().lidOn() ? 0 : 1] = STEP;
      StackCase thick = BuildStack.of(at, doubt(logs), layout, 1, 0);
      double[] there = Arrays.copyOf(live.meansCelsius(thick, watch), cores);
      double thicker = alone(thick, live, there, below, watch);
      return new Local((one + two) / 2, Math.log(thicker / one) / STEP);
    }

    /** One core's, K/W, by what all rise where they share the heat as usual. */
    private static double alone(
        StackCase stack, LiveStack live, double[] even, int core, SolveWatch watch) {
      int cores = even.length;
      double[] watts = stack.heat().stream().mapToDouble(h -> h.watts()).toArray();
      double more = watts[core] / 2;
      for (int c = 0; c < cores; c++) {
        watts[c] += c == core ? more : -more / (cores - 1);
      }
      double[] uneven = live.meansCelsius(stack.withWatts(watts), watch);
      double before = even[core];
      double after = uneven[core];
      for (int c = 0; c < cores; c++) {
        before -= even[c] / cores;
        after -= uneven[c] / cores;
      }
      return (after - before) / more;
    }
  }

  /** The ladder in the dies' shadow: what lies above the dies, face by face, K as solved. */
  static Ladder shadow(
      Situation at,
      double[] means,
      CoreLayout layout,
      List<StackSolution.Layer> faces,
      double roomCelsius) {
    double cores = 0;
    for (int c = 0; c < layout.cores().size(); c++) {
      cores += means[c] / layout.cores().size();
    }
    List<Ladder.Step> steps = new ArrayList<>();
    double last = cores;
    boolean lid = at.build().lidOn();
    String[] names =
        lid
            ? new String[] {"die", "inner joint", "lid", "outer joint", "cold plate"}
            : new String[] {"die", "bare joint", "cold plate"};
    for (int i = 0; i < names.length; i++) {
      // A joint ends where the next solid begins.
      boolean joint = i % 2 == 1;
      double next = joint ? faces.get(i + 1).bottomMeanCelsius() : faces.get(i).topMeanCelsius();
      steps.add(new Ladder.Step(names[i], last - next));
      last = next;
    }
    steps.add(new Ladder.Step("cooler to room", last - roomCelsius));
    return new Ladder(steps);
  }

  /** What was solved. */
  public Situation situation() {
    return situation;
  }

  /** The resistances from the cores to the room in the shadow of the dies, as they were solved. */
  public Ladder ladder() {
    return ladder;
  }

  /** How many cores there are. */
  public int cores() {
    return cores;
  }

  /** The joint on the dies, at likely figures, K/W. */
  public double dieJointKelvinPerWatt() {
    return joint;
  }

  /** Extra rise of a core for each watt that it takes beyond its mates, K/W. */
  public double localKelvinPerWatt() {
    return local.kelvinPerWatt() * Math.exp(local.exponent() * shift[overDies()]);
  }

  /**
   * Mean over the cores, K/W.
   *
   * @param logs logarithms of the factors on inner joint, outer joint, silicon and cooler
   */
  public double meanKelvinPerWatt(double[] logs) {
    return factor(cores + 1, logs) * total(logs);
  }

  /**
   * About the mean over the cores, K/W, by its slopes at the likely figures: right within a tenth
   * for figures within a factor of two, and many times as quick. For what hangs on it weakly, such
   * as a temperature to take a conductivity at.
   */
  public double nearMeanKelvinPerWatt(double[] logs) {
    double sum = nearMean[FIGURES];
    for (int f = 0; f < FIGURES; f++) {
      sum += nearMean[f] * logs[f];
    }
    return Math.exp(sum);
  }

  /** Slopes of the mean's logarithm at the likely figures, and that itself. */
  private double[] slopes() {
    double[] slopes = new double[FIGURES + 1];
    double[] logs = new double[FIGURES];
    for (int f = 0; f < FIGURES; f++) {
      logs[f] = 0.5;
      double up = Math.log(meanKelvinPerWatt(logs));
      logs[f] = -0.5;
      slopes[f] = up - Math.log(meanKelvinPerWatt(logs));
      logs[f] = 0;
    }
    slopes[FIGURES] = Math.log(meanKelvinPerWatt(logs));
    return slopes;
  }

  /** Each core, then their mean, K/W; {@code logs} as for the mean. */
  public double[] coresAndMeanKelvinPerWatt(double[] logs) {
    double total = total(logs);
    double[] all = new double[cores + 1];
    for (int c = 0; c < cores; c++) {
      all[c] = factor(c, logs) * total;
    }
    all[cores] = factor(cores + 1, logs) * total;
    return all;
  }

  /** Each core, K/W; {@code logs} as for the mean. */
  public double[] coresKelvinPerWatt(double[] logs) {
    return Arrays.copyOf(coresAndMeanKelvinPerWatt(logs), cores);
  }

  /** The middle of the lid's top, K/W; {@code logs} as for the mean. Not a number without a lid. */
  public double lidKelvinPerWatt(double[] logs) {
    if (!situation.build().lidOn()) {
      return Double.NaN;
    }
    Ladder there = Ladder.of(situation.chip(), situation.cooler(), situation.build(), doubt(logs));
    return factor(cores, logs) * aboveLid(there);
  }

  private double total(double[] logs) {
    return frame.totalKelvinPerWatt(doubt(logs));
  }

  private double factor(int output, double[] logs) {
    double[] c = correction[output];
    double sum = c[0];
    for (int f = 0; f < FIGURES; f++) {
      double x = logs[f] + shift[f];
      // Comparisons, as the library's least and greatest take as long as all the rest.
      double inside = x > STEP ? STEP : x < -STEP ? -STEP : x;
      sum += (c[1 + 2 * f] + c[2 + 2 * f] * inside) * inside;
      if (x != inside) {
        // Beyond the solved points the curve goes on straight, so that it cannot turn back.
        sum += (c[1 + 2 * f] + 2 * c[2 + 2 * f] * inside) * (x - inside);
      }
    }
    return Math.exp(sum);
  }
}
