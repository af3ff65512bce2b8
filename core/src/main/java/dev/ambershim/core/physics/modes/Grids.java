package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackSection;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.multigrid.Team;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;
import java.util.stream.DoubleStream;

/**
 * A stack on grids that differ only in how often every cell is cut, and what they show together.
 */
final class Grids {
  /** Into how many parts the cells of each grid are cut along each axis, to begin with. */
  private static final int[] PARTS = {2, 3, 4};

  /** On the difference of two extrapolations. */
  private static final double SAFETY = 1.25;

  /** Of the distance from the finest grid to the extrapolation. */
  private static final double REACH_SHARE = 0.15;

  /** Likewise where heat crowds in a skin, and the steps between grids are not even. */
  private static final double CROWDED_SHARE = 0.6;

  /** By how much finer the next grid is, at least and at most. */
  private static final double LEAST_GROWTH = 1.15;

  private static final double MOST_GROWTH = 2;

  /** So much less is aimed at than is asked for. */
  private static final double AIM = 1.4;

  /** Of an earlier step, after what it should have fallen by since. */
  private static final double CHANCE = 0.5;

  /** Of the rise: rounding and residual together stay below. */
  private static final double FLOOR = 1e-5;

  static final double TOLERANCE = 2e-6;

  /**
   * Where a part in a thousand is asked of means. With five times as much the means hold it, but
   * how far cores lie apart is off by a twentieth.
   */
  static final double OF_MEANS = 1e-5;

  private final List<SteadyBoxes> live = new ArrayList<>();
  private final List<BoxField> fields = new ArrayList<>();
  private int[] parts;
  private final double tolerance;
  private final Team team;
  private Sources sources;
  private boolean crowded;

  /**
   * Lays the grids.
   *
   * @param fine width of cells where heat enters before they are cut, m
   * @param tolerance on the residual, as a share of the root of all K·W
   * @param team who works; each grid is one thread's, so that results are equal for any number
   */
  Grids(StackCase stack, double fine, double tolerance, Team team) {
    this.team = team;
    this.tolerance = tolerance;
    parts = PARTS;
    Boxes coarsest = Boxes.of(stack, fine, parts[0]).orElseThrow();
    SteadyBoxes[] laid = new SteadyBoxes[parts.length];
    largestFirst(
        laid.length, g -> laid[g] = new SteadyBoxes(g == 0 ? coarsest : coarsest.cut(parts[g])));
    live.addAll(Arrays.asList(laid));
  }

  private void largestFirst(int count, IntConsumer work) {
    team.tasks(count, i -> work.accept(count - 1 - i));
  }

  private Grids(List<SteadyBoxes> live, double tolerance, int... parts) {
    team = Team.alone();
    this.tolerance = tolerance;
    this.live.addAll(live);
    this.parts = parts.clone();
  }

  /** The two coarser grids alone, as they stand: quicker, and without an error of their own. */
  Grids coarserPair() {
    return new Grids(live.subList(0, 2), tolerance, parts[0], parts[1]);
  }

  /** The same grids with solutions of their own, which begin where these stand. */
  Grids fork() {
    return new Grids(live.stream().map(SteadyBoxes::fork).toList(), tolerance, parts);
  }

  /** About how many contact cells the finest grid would have. */
  static long estimate(StackCase stack, double fine) {
    int most = PARTS[PARTS.length - 1];
    return Boxes.of(stack, fine, 1).orElseThrow().cells() * most * most;
  }

  /**
   * Solves on all grids.
   *
   * @throws dev.ambershim.core.base.Problem {@code stack.runaway}
   */
  void solve(StackCase stack, SolveWatch watch) {
    BoxField[] found = new BoxField[live.size()];
    AtomicInteger done = new AtomicInteger();
    IntConsumer one =
        g -> {
          found[g] = Balance.of(live.get(g), stack, tolerance, watch);
          if (!found[g].rises().found()) {
            throw SteadySolver.runaway(stack);
          }
          watch.share((double) done.incrementAndGet() / found.length);
        };
    // What the coarsest finds is a good start for the others, who take two thirds of the steps from
    // there.
    one.accept(0);
    live.forEach(finer -> finer.beginFrom(live.get(0)));
    largestFirst(found.length - 1, g -> one.accept(g + 1));
    fields.clear();
    fields.addAll(Arrays.asList(found));
    crowded = Skins.crowd(stack, finest().boxes());
    sources = null;
  }

  /**
   * Solves on one or two more grids.
   *
   * @param over by what factor too much is told
   * @throws dev.ambershim.core.base.Problem {@code stack.runaway}
   */
  void refine(StackCase stack, double over, SolveWatch watch) {
    int[] more = finer(parts, over);
    SteadyBoxes finestYet = live.get(live.size() - 1);
    Team within = more.length == 1 ? team : Team.alone();
    SteadyBoxes[] laid = new SteadyBoxes[more.length];
    BoxField[] found = new BoxField[more.length];
    IntConsumer one =
        g -> {
          laid[g] = new SteadyBoxes(live.get(0).boxes().cut(more[g]), within);
          laid[g].beginFrom(finestYet);
          found[g] = Balance.of(laid[g], stack, tolerance, watch);
          if (!found[g].rises().found()) {
            throw SteadySolver.runaway(stack);
          }
        };
    if (more.length == 1) {
      one.accept(0);
    } else {
      largestFirst(more.length, one);
    }
    live.addAll(Arrays.asList(laid));
    fields.addAll(Arrays.asList(found));
    int before = parts.length;
    parts = Arrays.copyOf(parts, before + more.length);
    System.arraycopy(more, 0, parts, before, more.length);
    crowded = Skins.crowd(stack, finest().boxes());
    sources = null;
  }

  /**
   * Into how many parts cells have to be cut next. An extrapolation from p and q parts is off by
   * about 1/(pq)², and what is told is how far the one before the last was off. So if the last one
   * is good enough already, one grid that is a little finer shows it; if not, one that makes it so
   * comes first.
   *
   * @param parts of the grids there are, at least three
   * @param over by what factor too much is told
   */
  static int[] finer(int[] parts, double over) {
    int finest = parts[parts.length - 1];
    double told = (double) parts[parts.length - 3] * parts[parts.length - 2];
    double wanted = told * Math.sqrt(AIM * over);
    if ((double) parts[parts.length - 2] * finest >= wanted) {
      return new int[] {next(finest)};
    }
    int finer = (int) Math.ceil(Math.min(MOST_GROWTH * finest, wanted / finest));
    finer = Math.max(next(finest), finer);
    return new int[] {finer, next(finer)};
  }

  private static int next(int parts) {
    return Math.max(parts + 1, (int) Math.round(LEAST_GROWTH * parts));
  }

  /** Whether the latest solution came to rest on every grid; if not, it is no solution. */
  boolean rest() {
    return live.stream().allMatch(SteadyBoxes::rests);
  }

  /** The temperatures on the finest grid. */
  private BoxField finest() {
    if (fields.isEmpty()) {
      throw new IllegalStateException("nothing is solved yet");
    }
    return fields.get(fields.size() - 1);
  }

  /** How far the sources may be off as heat went straight through a stack's thin solids, K. */
  double leftOut(StackCase stack) {
    return Skins.doubt(stack, finest());
  }

  private double extrapolated(int finer, double coarse, double fine) {
    double p = parts[finer - 1];
    double q = parts[finer];
    return fine + (fine - coarse) * p * p / (q * q - p * p);
  }

  /** What the two finest grids show together. */
  private double extrapolated(double coarse, double fine) {
    return extrapolated(parts.length - 1, coarse, fine);
  }

  /**
   * How far the last extrapolation may be off: by its step from the one before, which once in a
   * while is small by chance, and so by a part of its own reach at least, and of earlier steps.
   *
   * @param shown a temperature on each grid
   */
  private double doubt(double... shown) {
    int last = shown.length - 1;
    double told = extrapolated(shown[last - 1], shown[last]);
    double doubt = (crowded ? CROWDED_SHARE : REACH_SHARE) * Math.abs(told - shown[last]);
    for (int g = 2; g <= last; g++) {
      double before = extrapolated(g - 1, shown[g - 2], shown[g - 1]);
      double step = Math.abs(extrapolated(g, shown[g - 1], shown[g]) - before);
      double finer = (double) parts[g - 2] * parts[g - 1] / (parts[last - 1] * parts[last]);
      doubt = Math.max(doubt, step * (g == last ? 1 : CHANCE * finer));
    }
    return doubt;
  }

  /**
   * The sources, and how far they may be off.
   *
   * @param all as all grids show them together
   * @param peakCelsius the highest
   * @param errorKelvin not a number where there are only two grids
   */
  record Sources(List<StackSolution.Source> all, double peakCelsius, double errorKelvin) {}

  /** The sources of the latest solution, worked out when they are first asked for. */
  Sources sources() {
    if (sources != null) {
      return sources;
    }
    int last = fields.size() - 1;
    List<List<StackSolution.Source>> shown = new ArrayList<>(Collections.nCopies(last + 1, null));
    Peaks peaks = new Peaks(finest());
    Peaks.Candidates candidates = peaks.candidates();
    shown.set(last, finest().sources(peaks, candidates));
    largestFirst(
        last,
        g -> {
          BoxField field = fields.get(g);
          shown.set(g, field.sources(new Peaks(field), candidates));
        });
    List<StackSolution.Source> told = new ArrayList<>();
    double error = 0;
    double peak = finest().stack().coolantCelsius();
    for (int s = 0; s < shown.get(last).size(); s++) {
      StackSolution.Source c = shown.get(last - 1).get(s);
      StackSolution.Source f = shown.get(last).get(s);
      double mean = extrapolated(c.meanCelsius(), f.meanCelsius());
      double high = extrapolated(c.peakCelsius(), f.peakCelsius());
      told.add(new StackSolution.Source(f.name(), f.watts(), mean, high));
      peak = Math.max(peak, high);
      if (last > 1) {
        int source = s;
        DoubleStream means = shown.stream().mapToDouble(g -> g.get(source).meanCelsius());
        DoubleStream peaksOfAll = shown.stream().mapToDouble(g -> g.get(source).peakCelsius());
        error = Math.max(error, doubt(means.toArray()));
        error = Math.max(error, doubt(peaksOfAll.toArray()));
      }
    }
    double rise = peak - finest().stack().coolantCelsius();
    sources = new Sources(told, peak, last > 1 ? SAFETY * error + FLOOR * rise : Double.NaN);
    return sources;
  }

  /** Contact cells of the finest grid. */
  long cells() {
    return finest().boxes().cells();
  }

  /** Steps of conjugate gradients that the finest grid took. */
  int steps() {
    return live.get(live.size() - 1).steps();
  }

  /**
   * What is told of a solution.
   *
   * @param mapped whether the map of the underside is asked for, which takes as long as the rest
   */
  StackSolution solution(boolean mapped) {
    double in = finest().wattsOfAll();
    return new StackSolution(
        sources().all(),
        sources().peakCelsius(),
        layers(fields.get(fields.size() - 2).layers(), finest().layers()),
        in,
        in == 0 ? 0 : (in - finest().leaving()) / in,
        sources().errorKelvin(),
        cells(),
        steps(),
        mapped ? Optional.of(map()) : Optional.empty());
  }

  /** The map of the underside, from the finest grid alone. */
  StackSolution.HeatMap map() {
    return finest().map();
  }

  /** Mean temperatures of the sources alone, °C; quicker than the whole {@link #solution}. */
  double[] meansCelsius() {
    int last = fields.size() - 1;
    double[] coarse = fields.get(last - 1).meansCelsius();
    double[] fine = finest().meansCelsius();
    Arrays.setAll(fine, s -> extrapolated(coarse[s], fine[s]));
    return fine;
  }

  /** How far the sources' means may be off, K; three grids must be there. */
  double meansErrorKelvin() {
    double[][] shown = fields.stream().map(BoxField::meansCelsius).toArray(double[][]::new);
    int last = shown.length - 1;
    double error = 0;
    double rise = 0;
    for (int s = 0; s < shown[last].length; s++) {
      int source = s;
      double told = extrapolated(shown[last - 1][s], shown[last][s]);
      error = Math.max(error, doubt(Arrays.stream(shown).mapToDouble(g -> g[source]).toArray()));
      rise = Math.max(rise, told - finest().stack().coolantCelsius());
    }
    return SAFETY * error + FLOOR * rise;
  }

  /** A cut through the solids, from the finest grid alone. */
  StackSection section(double yMillimetres, int columns, int rows) {
    return new SectionField(finest()).at(yMillimetres, columns, rows);
  }

  /** Faces of two grids as one. */
  private List<StackSolution.Layer> layers(
      List<StackSolution.Layer> coarse, List<StackSolution.Layer> fine) {
    List<StackSolution.Layer> all = new ArrayList<>();
    for (int l = 0; l < fine.size(); l++) {
      StackSolution.Layer c = coarse.get(l);
      StackSolution.Layer f = fine.get(l);
      all.add(
          new StackSolution.Layer(
              f.name(),
              extrapolated(c.bottomMeanCelsius(), f.bottomMeanCelsius()),
              extrapolated(c.topMeanCelsius(), f.topMeanCelsius())));
    }
    return all;
  }

  /** The mean temperature of one solid layer's top over patches, °C. */
  double topOver(int layer, List<Patch> patches) {
    double coarse = fields.get(fields.size() - 2).topOver(layer, patches);
    return extrapolated(coarse, finest().topOver(layer, patches));
  }

  /** Mean temperatures of the layers' faces over patches, °C. */
  List<StackSolution.Layer> layersOver(List<Patch> patches) {
    BoxField fine = finest();
    return layers(fields.get(fields.size() - 2).layersOver(patches), fine.layersOver(patches));
  }
}
