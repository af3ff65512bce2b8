package dev.ambershim.core.stage.coat;

import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.physics.build.BuildStack;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.mounting.MountTerms;
import dev.ambershim.core.physics.mounting.Screw;
import dev.ambershim.core.physics.mounting.ScrewForce;
import dev.ambershim.core.physics.spread.FaceGrid;
import dev.ambershim.core.physics.spread.PasteAmount;
import dev.ambershim.core.physics.spread.PastePattern;
import dev.ambershim.core.physics.spread.Pressing;
import dev.ambershim.core.physics.spread.SpreadCase;
import dev.ambershim.core.physics.spread.SpreadJoint;
import dev.ambershim.core.physics.spread.SpreadState;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.JointCost;
import dev.ambershim.core.physics.surface.ReliefMap;
import dev.ambershim.core.plan.Doses;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;

/** A job's paste as a question to the spread, and what a spread costs on its chip. */
public final class PasteQuestion {
  /** Cells along the longer side where patterns are compared. */
  public static final int COMPARED_CELLS = 36;

  private static final double SECONDS_A_TURN = 2;

  private PasteQuestion() {}

  /** The faces that the paste lies on: the lid under the plate, or the dies. */
  public static List<Patch> faces(Job job) {
    if (!job.after().lidOn()) {
      return job.chip().dies().stream().map(CoreLayout::patch).toList();
    }
    return List.of(
        new Patch(
            0,
            0,
            Math.min(job.chip().lid().widthMillimetres(), job.cooler().widthMillimetres()),
            Math.min(job.chip().lid().depthMillimetres(), job.cooler().depthMillimetres())));
  }

  /** The case, in so many cells along the longer side. */
  public static SpreadCase of(Job job, PastePattern pattern, double grams, int cells) {
    List<Patch> dies = job.chip().dies().stream().map(CoreLayout::patch).toList();
    FaceGrid grid = FaceGrid.of(faces(job), dies, cells);
    double newtons = ScrewForce.ofAll(job.mounting());
    return new SpreadCase(
        grid,
        job.paste().kind().at(job.paste().warmth()),
        job.paste().byScrews() ? turned(job.mounting(), newtons) : Pressing.level(newtons),
        pattern,
        job.paste().strokes(),
        grams * 1000 / job.paste().kind().gramsPerCubicCentimetre(),
        bow(job, grid),
        SpreadCase.USUAL_LIMIT);
  }

  /** The job's own pattern and amount. */
  public static SpreadCase of(Job job, int cells) {
    return of(job, Doses.pastePattern(job.workCase()), Doses.pasteGrams(job.workCase()), cells);
  }

  /**
   * A plate whose screws are turned one after the other: each turn brings its corner lower than the
   * far one by pitch × turn, while the force grows.
   */
  private static Pressing turned(MountTerms terms, double newtons) {
    List<Pressing.Stage> stages = new ArrayList<>();
    List<Screw> screws = terms.places();
    int rounds = 2;
    for (int r = 0; r < rounds; r++) {
      for (int s = 0; s < screws.size(); s++) {
        Screw screw = screws.get(s);
        double square = Math.pow(screw.xMillimetres(), 2) + Math.pow(screw.yMillimetres(), 2);
        double lower = terms.pitch() * terms.step() / (2 * square);
        double share = (r * screws.size() + s + 1.0) / (rounds * screws.size());
        stages.add(
            new Pressing.Stage(
                SECONDS_A_TURN,
                newtons * share,
                -lower * screw.xMillimetres(),
                -lower * screw.yMillimetres()));
      }
    }
    stages.add(new Pressing.Stage(SECONDS_A_TURN, newtons, 0, 0));
    stages.add(new Pressing.Stage(Double.POSITIVE_INFINITY, newtons, 0, 0));
    return new Pressing(stages);
  }

  /** How much wider the gap is in each cell by the probed faces; empty while none is probed. */
  private static double[] bow(Job job, FaceGrid grid) {
    Face low = job.after().lidOn() ? Face.LID_TOP : Face.DIE;
    Optional<ReliefMap> lower = relief(job, low);
    Optional<ReliefMap> upper = relief(job, Face.PLATE).map(ReliefMap::turnedOver);
    if (lower.isEmpty() && upper.isEmpty()) {
      return new double[0];
    }
    double[] bow = new double[grid.size()];
    double closest = Double.POSITIVE_INFINITY;
    for (int c = 0; c < bow.length; c++) {
      double x = grid.x(c % grid.columns());
      double y = grid.y(c / grid.columns());
      bow[c] = -lower.map(m -> m.at(x, y)).orElse(0.0) - upper.map(m -> m.at(x, y)).orElse(0.0);
      closest = grid.face()[c] ? Math.min(closest, bow[c]) : closest;
    }
    for (int c = 0; c < bow.length; c++) {
      bow[c] = Math.max(0, bow[c] - closest);
    }
    return bow;
  }

  private static Optional<ReliefMap> relief(Job job, Face face) {
    return job.surfaces().latest(face).map(r -> ReliefMap.of(FaceReport.shape(r.points())));
  }

  /**
   * What a spread costs.
   *
   * @param meanKelvin how much warmer the cores are in the mean than if paste lay everywhere in the
   *     same gap
   * @param hottestKelvin the same for the hottest core
   * @param meanCelsius the cores' mean
   */
  public record Cost(double meanKelvin, double hottestKelvin, double meanCelsius) {}

  /** Reckons costs of spreads on one chip, one after the other. */
  public static final class Costs {
    private final JointCost joint;
    private final double conductivity;

    /** Costs on a job's chip. */
    public Costs(Job job) {
      Joint outer = job.after().outer();
      conductivity = outer.conductivityWattsPerMetreKelvin();
      joint =
          new JointCost(
              BuildStack.likely(
                  new Situation(job.chip(), job.cooler(), job.after()),
                  job.heatWatts(),
                  Room.USUAL_CELSIUS),
              Part.OUTER,
              CoreLayout.of(job.chip()).cores().size());
    }

    /**
     * What a spread costs.
     *
     * @throws java.util.concurrent.CancellationException if the watch says so
     */
    public Cost of(SpreadState state, SolveWatch watch) {
      JointCost.Cores all = joint.with(SpreadJoint.covered(state), 1, watch);
      JointCost.Cores as = joint.with(SpreadJoint.of(state, conductivity), 1, watch);
      // Less paste cools no core; what lies below zero is the solutions' own error.
      return new Cost(
          Math.max(0, as.meanCelsius() - all.meanCelsius()),
          Math.max(0, as.hottestCelsius() - all.hottestCelsius()),
          as.meanCelsius());
    }
  }

  /**
   * One pattern of the comparison.
   *
   * @param pattern the pattern
   * @param end how it ends, with the job's amount
   * @param cost what that costs
   */
  public record Compared(PastePattern pattern, SpreadState end, Cost cost) {}

  /**
   * The job's amount in every pattern, its own first.
   *
   * @param helpers press patterns beside the caller
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static List<Compared> compare(Job job, SolveWatch watch, Executor helpers) {
    return compare(
        job, Doses.pastePattern(job.workCase()), Doses.pasteGrams(job.workCase()), watch, helpers);
  }

  /**
   * An amount in every pattern, one of them first.
   *
   * @param own the pattern that stands first
   * @param grams how much
   * @param helpers press patterns beside the caller
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static List<Compared> compare(
      Job job, PastePattern own, double grams, SolveWatch watch, Executor helpers) {
    List<PastePattern> patterns = new ArrayList<>(List.of(own));
    for (PastePattern p : PastePattern.values()) {
      if (p != own && p != PastePattern.OWN) {
        patterns.add(p);
      }
    }
    AtomicInteger pressed = new AtomicInteger();
    List<SpreadState> ends =
        SideBySide.each(
            patterns,
            p -> {
              SpreadState end = PasteAmount.rest(of(job, p, grams, COMPARED_CELLS), watch);
              watch.progress().accept((double) pressed.incrementAndGet() / (patterns.size() + 1));
              return end;
            },
            helpers);
    Costs costs = new Costs(job);
    List<Compared> all = new ArrayList<>();
    for (int i = 0; i < ends.size(); i++) {
      all.add(new Compared(patterns.get(i), ends.get(i), costs.of(ends.get(i), watch)));
    }
    return all;
  }

  /**
   * The least amount of the job's pattern that covers.
   *
   * @param helpers press amounts beside the caller
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static PasteAmount amount(Job job, SolveWatch watch, Executor helpers) {
    return PasteAmount.of(of(job, PasteAmount.CELLS), watch, helpers);
  }

  /** The least amount of a pattern that covers. */
  public static PasteAmount amount(
      Job job, PastePattern pattern, double grams, SolveWatch watch, Executor helpers) {
    return PasteAmount.of(of(job, pattern, grams, PasteAmount.CELLS), watch, helpers);
  }
}
