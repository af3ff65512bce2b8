package dev.ambershim.desktop.stage.lap;

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
import dev.ambershim.core.stage.lap.LapWords;
import dev.ambershim.core.stage.lap.LappingGain;
import dev.ambershim.core.stage.lap.LappingQuestion;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.StageWork;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;

/** What Lap shows, worked out behind the window after each edit; a newer one stops an older. */
public final class LapModel {
  /**
   * What is on screen, all of one piece.
   *
   * @param job what it was worked out for
   * @param answer the stage's answer; empty while the face is not probed
   * @param reasons what to know beside it
   * @param notes what to watch on the way
   * @param problem why there is no answer
   * @param plan papers and strokes
   * @param gain what it would gain; empty when the face meets nothing
   * @param first the face as it was first probed
   * @param latest as it was probed last
   * @param log the lapping log
   * @param cautions what can hurt
   */
  public record Shown(
      Job job,
      Optional<Finding> answer,
      List<String> reasons,
      List<String> notes,
      String problem,
      Optional<LappingPlan> plan,
      Optional<LappingGain> gain,
      Optional<Probed> first,
      Optional<Probed> latest,
      List<String> log,
      List<String> cautions) {}

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

  private final StageWork<Shown> work;

  /** A model over the shell's job. */
  public LapModel(JobModel shell) {
    work =
        new StageWork<>(
            shell,
            Stage.LAP,
            "weighing the lapping",
            job -> {
              Notation notation = shell.notationProperty().get();
              return watch -> worked(job, notation, watch);
            });
    work.outdated();
  }

  private static Shown worked(Job job, Notation notation, SolveWatch watch) {
    Face face = job.surfaces().terms().face();
    try {
      Optional<Probed> latest = job.surfaces().latest(face).map(Probed::of);
      Optional<Probed> first = job.surfaces().first(face).map(Probed::of);
      Optional<LappingPlan> plan = LappingQuestion.plan(job);
      Optional<LappingGain> gain = LappingQuestion.gain(job, watch);
      Optional<Finding> answer = Optional.empty();
      List<String> reasons = new ArrayList<>();
      List<String> notes = new ArrayList<>();
      if (plan.isPresent()) {
        boolean partner =
            LappingQuestion.partner(job, face).flatMap(p -> job.surfaces().latest(p)).isPresent();
        answer =
            gain.map(
                    g ->
                        g.finding(
                            face.words(),
                            job.careKelvin(),
                            plan.get().minutes(),
                            partner,
                            notation))
                .or(() -> Optional.of(LapWords.plan(plan.get(), notation)));
        if (gain.isPresent()) {
          reasons.add(LapWords.plan(plan.get(), notation).sentence());
          reasons.add(LapWords.spread(gain.get(), notation));
        }
        notes.addAll(
            LapWords.notes(
                plan.get(),
                LappingQuestion.floor(job, job.surfaces().terms()),
                job.terms().odds().lapDie(),
                notation));
      }
      return new Shown(
          job,
          answer,
          reasons,
          notes,
          "",
          plan,
          gain,
          first,
          latest,
          LapWords.log(job.surfaces(), face, notation),
          LapWords.cautions(job.surfaces().terms()));
    } catch (Problem problem) {
      return new Shown(
          job,
          Optional.empty(),
          List.of(),
          List.of(),
          problem.getMessage(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          Optional.empty(),
          LapWords.log(job.surfaces(), face, notation),
          LapWords.cautions(job.surfaces().terms()));
    }
  }

  /** What is on screen; null until it is first worked out. */
  public ReadOnlyObjectProperty<Shown> shownProperty() {
    return work.shownProperty();
  }
}
