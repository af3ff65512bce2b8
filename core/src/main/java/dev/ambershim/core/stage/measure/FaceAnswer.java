package dev.ambershim.core.stage.measure;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Sentence;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.physics.surface.ReliefMap;
import dev.ambershim.core.stage.lap.LappingQuestion;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How flat one face is, by its last probing.
 *
 * @param face the face
 * @param finding how flat it is; empty while it is not probed or cannot be judged
 * @param sentence that, or what is needed for it
 * @param notes what to know beside it
 * @param report the figures; empty as the finding
 * @param relief its heights, to be drawn
 */
public record FaceAnswer(
    Face face,
    Optional<Finding> finding,
    String sentence,
    List<String> notes,
    Optional<FaceReport> report,
    Optional<ReliefMap> relief) {
  /** Copies its list. */
  public FaceAnswer {
    notes = List.copyOf(notes);
  }

  /** Judges a face of a job. */
  public static FaceAnswer of(Job job, Face face, Notation notation) {
    Optional<Relief> probed = job.surfaces().latest(face);
    if (probed.isEmpty()) {
      return without(
          face, "The " + face.words() + " is not probed yet. Probe a grid, or read a table.");
    }
    try {
      FaceReport report = FaceReport.of(probed.get().points(), Optional.empty());
      Finding finding = FaceFinding.of(report, Sentence.begin(face.words()), notation);
      return new FaceAnswer(
          face,
          Optional.of(finding),
          finding.sentence(),
          notes(job, report, probed.get(), notation),
          Optional.of(report),
          Optional.of(ReliefMap.of(report)));
    } catch (Problem problem) {
      return without(face, problem.getMessage());
    }
  }

  private static List<String> notes(Job job, FaceReport report, Relief relief, Notation notation) {
    List<String> notes = new ArrayList<>();
    if (!relief.note().isEmpty()) {
      notes.add("Probed: " + relief.note() + ".");
    }
    notes.addAll(FaceFinding.notes(report, dieOn(job, relief.face()), notation));
    return notes;
  }

  private static FaceAnswer without(Face face, String why) {
    return new FaceAnswer(
        face, Optional.empty(), why, List.of(), Optional.empty(), Optional.empty());
  }

  /** The die under or over a face, to be shown on it. */
  public static Optional<Patch> dieOn(Job job, Face face) {
    return face == Face.DIE || face == Face.LAP
        ? Optional.empty()
        : Optional.of(LappingQuestion.outline(job, Face.DIE));
  }
}
