package dev.ambershim.desktop.stage.measure;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.surface.Face;
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
                  return watch ->
                      new Shown(
                          MeasureAnswer.unsolved(job, notation, ForkJoinPool.commonPool()),
                          FaceAnswer.of(job, looked, notation));
                }),
            job -> {
              Notation notation = shell.notationProperty().get();
              Face looked = face.get();
              return watch ->
                  new Shown(
                      MeasureAnswer.of(job, notation, watch, ForkJoinPool.commonPool()),
                      FaceAnswer.of(job, looked, notation));
            });
    face.addListener((o, was, is) -> work.outdated());
    work.outdated();
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
