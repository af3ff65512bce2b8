package dev.ambershim.desktop.stage.measure;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.fit.InnerGap;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.physics.surface.ReliefMap;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.lap.LappingQuestion;
import dev.ambershim.core.stage.measure.CoolerDrop;
import dev.ambershim.core.stage.measure.FaceFinding;
import dev.ambershim.core.stage.measure.FitAnswer;
import dev.ambershim.core.stage.measure.FitQuestion;
import dev.ambershim.core.stage.measure.FitWords;
import dev.ambershim.core.stage.measure.ShimOutline;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.StageWork;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ForkJoinPool;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleObjectProperty;

/** What Measure shows, worked out behind the window after each edit; a newer one stops an older. */
public final class MeasureModel {
  /** Enough to tell a chance to three in a thousand without a wait. */
  private static final int DRAWS = 200_000;

  /**
   * What is on screen, all of one piece.
   *
   * @param job what it was worked out for
   * @param fit how the plate rests
   * @param first what touches first, the stage's answer
   * @param notes what to know beside it
   * @param lid what lid and cooler leave, a finding each
   * @param screws what follows for the mount
   * @param face the face that is looked at
   * @param report that face, judged; empty while it is not probed
   * @param relief its heights, to be drawn
   * @param faceNotes what to know beside it
   * @param faceProblem why it cannot be judged
   * @param sheet the sheet to cut; empty when nothing is left of it
   * @param sheetProblem why there is none
   */
  public record Shown(
      Job job,
      FitAnswer fit,
      Finding first,
      List<String> notes,
      List<Finding> lid,
      List<String> screws,
      Face face,
      Optional<FaceReport> report,
      Optional<ReliefMap> relief,
      List<String> faceNotes,
      String faceProblem,
      Optional<ShimOutline> sheet,
      String sheetProblem) {}

  private final StageWork<Shown> work;
  private final ObjectProperty<Face> face = new SimpleObjectProperty<>(Face.LID_TOP);

  /** A model over the shell's job. */
  public MeasureModel(JobModel shell) {
    work =
        new StageWork<>(
            shell,
            Stage.MEASURE,
            "",
            job -> {
              Notation notation = shell.notationProperty().get();
              Face looked = face.get();
              return watch -> worked(job, looked, notation, watch);
            });
    face.addListener((o, was, is) -> work.outdated());
    work.outdated();
  }

  private static Shown worked(Job job, Face face, Notation notation, SolveWatch watch) {
    FitAnswer fit =
        FitAnswer.of(job.heights(), job.cooler(), notation, DRAWS, ForkJoinPool.commonPool());
    List<String> notes = new ArrayList<>(FitWords.notes(fit, notation));
    FitQuestion.tilted(job, fit, watch)
        .ifPresent(t -> notes.add(Math.min(1, notes.size()), tilt(t, notation)));
    notes.addAll(FitQuestion.disagreements(job, fit, notation));
    List<Finding> lid = new ArrayList<>();
    for (InnerGap gap : FitAnswer.innerGaps(job.heights(), job.chip(), false)) {
      lid.add(gap.finding("the lid", notation));
    }
    for (InnerGap gap : FitAnswer.innerGaps(job.heights(), job.chip(), true)) {
      lid.add(gap.finding("the replacement lid", notation));
    }
    Optional<CoolerDrop> drop = fit.drop(job.heights(), notation);
    drop.ifPresent(d -> lid.add(d.finding()));
    Optional<FaceReport> report = Optional.empty();
    String faceProblem = "";
    Optional<Relief> relief = job.surfaces().latest(face);
    if (relief.isPresent()) {
      try {
        report = Optional.of(FaceReport.of(relief.get().points(), Optional.empty()));
      } catch (Problem problem) {
        faceProblem = problem.getMessage();
      }
    }
    Optional<ShimOutline> sheet = Optional.empty();
    String sheetProblem = "";
    try {
      sheet = Optional.of(ShimOutline.of(job.chip(), job.heights().tops(), job.shim(), notation));
    } catch (Problem problem) {
      sheetProblem = problem.getMessage();
    }
    return new Shown(
        job,
        fit,
        FitWords.first(fit, notation),
        notes,
        lid,
        drop.map(CoolerDrop::notes).orElse(List.of()),
        face,
        report,
        report.map(ReliefMap::of),
        report.map(r -> FaceFinding.notes(r, dieOn(job, face), notation)).orElse(List.of()),
        faceProblem,
        sheet,
        sheetProblem);
  }

  /** The die under or over a face, to be shown on it. */
  static Optional<Patch> dieOn(Job job, Face face) {
    return face == Face.DIE || face == Face.LAP
        ? Optional.empty()
        : Optional.of(LappingQuestion.outline(job, Face.DIE));
  }

  private static String tilt(FitQuestion.Tilted t, Notation notation) {
    if (t.thickMicrometres() - t.thinMicrometres() < 0.5) {
      return "The joint over the die is then "
          + notation.text(t.thinMicrometres(), Unit.MICROMETRE)
          + " thick all over, as even as the film.";
    }
    String range =
        "The joint over the die is then "
            + notation.number(t.thinMicrometres(), Unit.MICROMETRE)
            + " to "
            + notation.text(t.thickMicrometres(), Unit.MICROMETRE)
            + " thick";
    return t.meanKelvin() < 0.05
        ? range + ", which costs nothing worth a word."
        : range
            + ", which costs "
            + notation.text(t.meanKelvin(), Unit.KELVIN)
            + " in the mean and "
            + notation.text(Math.max(0, t.spreadKelvin()), Unit.KELVIN)
            + " of spread against a level plate that touches.";
  }

  /** What is on screen; null until it is first worked out. */
  public ReadOnlyObjectProperty<Shown> shownProperty() {
    return work.shownProperty();
  }

  /** The face that is looked at. */
  public ObjectProperty<Face> faceProperty() {
    return face;
  }
}
