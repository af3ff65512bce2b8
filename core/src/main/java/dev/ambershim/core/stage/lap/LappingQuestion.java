package dev.ambershim.core.stage.lap;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.LapFigures;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.physics.build.BuildStack;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.JointCost;
import dev.ambershim.core.physics.surface.LapPass;
import dev.ambershim.core.physics.surface.LapTerms;
import dev.ambershim.core.physics.surface.LappingPlan;
import dev.ambershim.core.physics.surface.ReliefMap;
import dev.ambershim.core.plan.LapOrder;
import java.util.List;
import java.util.Optional;

/** A job's probed faces as questions to lapping: the plan, and what it would gain on this chip. */
public final class LappingQuestion {
  private LappingQuestion() {}

  /** The outline of a face, mm; a lapping plate is as large as it was probed. */
  public static Patch outline(Job job, Face face) {
    return LapOrder.outline(job.chip(), job.cooler(), face);
  }

  /** Thickness of the part as described, mm. */
  public static double thickness(Job job, Face face) {
    return LapOrder.thickness(job.chip(), job.cooler(), face);
  }

  /** Least thickness to leave, mm; common practice where it is not said. */
  public static double floor(Job job, LapTerms terms) {
    return terms.floorMillimetres() != null
        ? terms.floorMillimetres()
        : LapFigures.usualFloor(job, terms.face());
  }

  /** A face's last probing, judged; empty while there is none. */
  public static Optional<FaceReport> report(Job job, Face face) {
    return LapOrder.report(job.surfaces(), face);
  }

  /** The plan for the face that the job's terms say; empty while it is not probed. */
  public static Optional<LappingPlan> plan(Job job) {
    return LapOrder.of(job.chip(), job.cooler(), job.surfaces(), job.surfaces().terms().face());
  }

  /** The passes of a face, those that reliefs tell among them. */
  static List<LapPass> measured(Job job, Face face) {
    return LapOrder.measured(job.chip(), job.cooler(), job.surfaces(), face);
  }

  /** The face that a face meets in the build that is aimed at, if it meets any. */
  public static Optional<Face> partner(Job job, Face face) {
    boolean lid = job.after().lidOn();
    return switch (face) {
      case LID_TOP -> lid ? Optional.of(Face.PLATE) : Optional.empty();
      case PLATE -> Optional.of(lid ? Face.LID_TOP : Face.DIE);
      case DIE -> Optional.of(lid ? Face.LID_UNDERSIDE : Face.PLATE);
      case LID_UNDERSIDE -> lid ? Optional.of(Face.DIE) : Optional.empty();
      case LAP -> Optional.empty();
    };
  }

  /**
   * What lapping the face would gain; empty while it is not probed or meets nothing. A partner that
   * was not probed is taken as flat.
   *
   * @throws dev.ambershim.core.base.Problem {@code surface.overlap}, {@code stack.…}
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static Optional<LappingGain> gain(Job job, SolveWatch watch) {
    LapTerms terms = job.surfaces().terms();
    Face face = terms.face();
    Optional<Face> partner = partner(job, face);
    Optional<FaceReport> report = report(job, face);
    if (partner.isEmpty() || report.isEmpty()) {
      return Optional.empty();
    }
    boolean inner = face == Face.LID_UNDERSIDE || partner.get() == Face.LID_UNDERSIDE;
    Build build = job.after();
    Joint joint = inner ? build.inner() : build.outer();
    Patch meet = common(outline(job, face), outline(job, partner.get()));
    double[] within = {
      meet.leftMillimetres(), meet.rightMillimetres(), meet.lowMillimetres(), meet.highMillimetres()
    };
    ReliefMap own = ReliefMap.of(report.get());
    ReliefMap other =
        job.surfaces()
            .latest(partner.get())
            .map(LapOrder::judged)
            .map(ReliefMap::of)
            .orElse(ReliefMap.flat(within));
    // Plate and underside look down: they are turned over about their y axis before they meet.
    boolean lapLower = face == Face.LID_TOP || face == Face.DIE;
    ReliefMap lower = lapLower ? own : other;
    ReliefMap upper = (lapLower ? other : own).turnedOver();
    JointCost cost =
        new JointCost(
            BuildStack.likely(
                new Situation(job.chip(), job.cooler(), build),
                job.heatWatts(),
                Room.USUAL_CELSIUS),
            inner ? Part.INNER : Part.OUTER,
            CoreLayout.of(job.chip()).cores().size());
    return Optional.of(
        LappingGain.of(
            cost,
            new LappingGain.Faces(
                lower,
                upper,
                lapLower,
                terms.target(),
                report.get().flatness().zoneMicrometres(),
                report.get().zone(),
                within),
            joint.bondLineMicrometres(),
            joint.filling().lowFactor(),
            joint.filling().highFactor(),
            watch));
  }

  private static Patch common(Patch a, Patch b) {
    double left = Math.max(a.leftMillimetres(), b.leftMillimetres());
    double right = Math.min(a.rightMillimetres(), b.rightMillimetres());
    double low = Math.max(a.lowMillimetres(), b.lowMillimetres());
    double high = Math.min(a.highMillimetres(), b.highMillimetres());
    return new Patch((left + right) / 2, (low + high) / 2, right - left, high - low);
  }
}
