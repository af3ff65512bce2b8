package dev.ambershim.desktop.stage.measure;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.Surfaces;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.measure.FaceAnswer;
import dev.ambershim.core.stage.measure.MeasureAnswer;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.StageWork;
import java.util.Optional;
import java.util.concurrent.ForkJoinPool;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.SimpleObjectProperty;

/** What Measure shows, worked out behind the window after each edit; a newer one stops an older. */
public final class MeasureModel {
  /**
   * What is on screen, all of one piece.
   *
   * @param answer what touches first
   * @param face how flat the face is that is looked at
   */
  public record Shown(MeasureAnswer answer, FaceAnswer face) {}

  private final StageWork<Shown> work;
  private MeasureAnswer begun;
  private Notation begunIn;
  private Asked asked;
  private FaceAnswer judged;
  private final ObjectProperty<Face> face = new SimpleObjectProperty<>(Face.LID_TOP);

  /** A model over the open job. */
  public MeasureModel(JobModel shell) {
    work =
        new StageWork<>(
            shell,
            Stage.MEASURE,
            "",
            Optional.of(
                job -> {
                  Notation notation = shell.notationProperty().get();
                  Face looked = face.get();
                  return watch -> new Shown(unsolved(job, notation), judged(job, looked, notation));
                }),
            job -> {
              Notation notation = shell.notationProperty().get();
              Face looked = face.get();
              return watch ->
                  new Shown(
                      unsolved(job, notation).solved(notation, watch),
                      judged(job, looked, notation));
            });
    face.addListener((o, was, is) -> work.outdated());
    shell
        .effects()
        .answering(
            Stage.MEASURE,
            (job, notation, watch) ->
                MeasureAnswer.unsolved(job, notation, ForkJoinPool.commonPool()));
    work.outdated();
  }

  /** Only ever on the line of reckoning: all of the answer begins with the first part of it. */
  private MeasureAnswer unsolved(Job job, Notation notation) {
    if (begun == null || !begun.job().equals(job) || !notation.equals(begunIn)) {
      begun = MeasureAnswer.unsolved(job, notation, ForkJoinPool.commonPool());
      begunIn = notation;
    }
    return begun;
  }

  /** What a face's answer hangs on. */
  private record Asked(Surfaces surfaces, Chip chip, Face face, Notation notation) {}

  /** Only ever on the line of reckoning; heights that are typed judge no face. */
  private FaceAnswer judged(Job job, Face looked, Notation notation) {
    Asked now = new Asked(job.surfaces(), job.chip(), looked, notation);
    if (!now.equals(asked)) {
      judged = FaceAnswer.of(job, looked, notation);
      asked = now;
    }
    return judged;
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
