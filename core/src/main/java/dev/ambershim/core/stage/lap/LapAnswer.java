package dev.ambershim.core.stage.lap;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.LappingPlan;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.physics.surface.ReliefMap;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What lapping the chosen face would gain and takes, and how far it is.
 *
 * @param job what it was worked out for
 * @param finding the answer; empty while the face is not probed
 * @param sentence that, or what is needed for it
 * @param reasons what to know beside it
 * @param notes what to watch on the way
 * @param plan papers and strokes
 * @param gain what it would gain; empty when the face meets nothing
 * @param first the face as it was first probed
 * @param latest as it was probed last
 * @param log the lapping log, a sentence each
 * @param cautions what can hurt
 */
public record LapAnswer(
    Job job,
    Optional<Finding> finding,
    String sentence,
    List<String> reasons,
    List<String> notes,
    Optional<LappingPlan> plan,
    Optional<LappingGain> gain,
    Optional<Probed> first,
    Optional<Probed> latest,
    List<String> log,
    List<String> cautions)
    implements StageAnswer {
  /**
   * A face as it was probed once.
   *
   * @param report judged
   * @param map its heights, to be drawn
   */
  public record Probed(FaceReport report, ReliefMap map) {
    static Probed of(Relief relief) {
      FaceReport report = FaceReport.of(relief.points(), Optional.empty());
      return new Probed(report, ReliefMap.of(report));
    }
  }

  /** Copies its lists. */
  public LapAnswer {
    reasons = List.copyOf(reasons);
    notes = List.copyOf(notes);
    log = List.copyOf(log);
    cautions = List.copyOf(cautions);
  }

  /**
   * Works it out.
   *
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public static LapAnswer of(Job job, Notation notation, SolveWatch watch) {
    Face face = job.surfaces().terms().face();
    try {
      return of(job, face, notation, watch);
    } catch (Problem problem) {
      return new LapAnswer(
          job,
          Optional.empty(),
          problem.getMessage(),
          List.of(),
          List.of(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          LapWords.log(job.surfaces(), face, notation),
          LapWords.cautions(job.surfaces().terms()));
    }
  }

  private static LapAnswer of(Job job, Face face, Notation notation, SolveWatch watch) {
    Optional<LappingPlan> plan = LappingQuestion.plan(job);
    Optional<LappingGain> gain = LappingQuestion.gain(job, watch);
    Optional<Finding> finding = Optional.empty();
    List<String> reasons = new ArrayList<>();
    List<String> notes = new ArrayList<>();
    if (plan.isPresent()) {
      Finding papers = LapWords.plan(plan.get(), notation);
      finding =
          Optional.of(gain.map(g -> gained(job, face, g, plan.get(), notation)).orElse(papers));
      if (gain.isPresent()) {
        reasons.add(papers.sentence());
        reasons.add(LapWords.spread(gain.get(), notation));
      }
      notes.addAll(
          LapWords.notes(
              plan.get(),
              LappingQuestion.floor(job, job.surfaces().terms()),
              job.terms().odds().lapDie(),
              notation));
    }
    return new LapAnswer(
        job,
        finding,
        finding
            .map(Finding::sentence)
            .orElse(
                "The " + face.words() + " is not probed yet. Probe it in Measure, then come back."),
        reasons,
        notes,
        plan,
        gain,
        job.surfaces().first(face).map(Probed::of),
        job.surfaces().latest(face).map(Probed::of),
        LapWords.log(job.surfaces(), face, notation),
        LapWords.cautions(job.surfaces().terms()));
  }

  private static Finding gained(
      Job job, Face face, LappingGain gain, LappingPlan plan, Notation notation) {
    boolean partner =
        LappingQuestion.partner(job, face).flatMap(p -> job.surfaces().latest(p)).isPresent();
    return gain.finding(face.words(), job.careKelvin(), plan.minutes(), partner, notation);
  }

  @Override
  public Stage stage() {
    return Stage.LAP;
  }
}
