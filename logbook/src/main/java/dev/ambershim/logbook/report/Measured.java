package dev.ambershim.logbook.report;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Sentence;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.LapPass;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.physics.surface.ReliefMap;
import dev.ambershim.core.picture.ReliefPicture;
import dev.ambershim.core.stage.lap.LapAnswer;
import dev.ambershim.core.stage.measure.FaceAnswer;
import dev.ambershim.core.stage.measure.FitAnswer;
import dev.ambershim.core.stage.measure.MeasureAnswer;
import dev.ambershim.logbook.formats.FlatnessJson;
import dev.ambershim.logbook.formats.RestJson;
import dev.ambershim.logbook.formats.ResultJson;
import dev.ambershim.logbook.store.Json;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** What was measured and lapped, for the report: the fit, the lid's gap, each face, the passes. */
final class Measured {
  private static final double WIDTH = 680;

  private Measured() {}

  /** The chapter; nothing when nothing was measured. */
  static List<Block> of(Job job, Notation notation) {
    List<Block> blocks = new ArrayList<>();
    boolean tops = job.heights().tops().stream().anyMatch(t -> t.height().taken());
    if (!tops && job.surfaces().reliefs().isEmpty()) {
      return blocks;
    }
    blocks.add(new Block.Heading("What was measured"));
    if (tops) {
      blocks.addAll(Chapter.of(MeasureAnswer.of(job, notation, SolveWatch.NONE, Runnable::run)));
    }
    for (Face face : Face.values()) {
      face(blocks, job, face, notation);
    }
    passes(blocks, job, notation);
    return blocks;
  }

  /** What was measured as JSON: the fit's finding and each face's last probing. */
  static Optional<ObjectNode> json(Job job) {
    boolean tops = job.heights().tops().stream().anyMatch(t -> t.height().taken());
    if (!tops && job.surfaces().reliefs().isEmpty()) {
      return Optional.empty();
    }
    Optional<MeasureAnswer> said =
        tops
            ? Optional.of(MeasureAnswer.of(job, Notation.METRIC, SolveWatch.NONE, Runnable::run))
            : Optional.empty();
    Optional<FitAnswer> fit = said.map(MeasureAnswer::fit);
    return Optional.of(
        Json.published(
            new Figures(
                said.map(m -> ResultJson.of(m.first())).orElse(null),
                fit.flatMap(f -> f.rest().map(r -> RestJson.of(f.features(), r, f.chances())))
                    .orElse(null),
                Arrays.stream(Face.values())
                    .flatMap(f -> job.surfaces().latest(f).stream().map(r -> face(f, r)))
                    .toList())));
  }

  private record Figures(ObjectNode first, ObjectNode rest, List<ObjectNode> faces) {}

  private record Unread(String problem) {}

  private static ObjectNode face(Face face, Relief relief) {
    try {
      return FlatnessJson.of(
          FaceReport.of(relief.points(), Optional.empty()), Sentence.begin(face.words()));
    } catch (Problem problem) {
      return Json.published(new Unread(face.words() + ": " + problem.getMessage()));
    }
  }

  private static void face(List<Block> blocks, Job job, Face face, Notation notation) {
    List<Relief> all = job.surfaces().reliefs().stream().filter(r -> r.face() == face).toList();
    if (all.isEmpty()) {
      return;
    }
    try {
      FaceReport first = FaceReport.of(all.get(0).points(), Optional.empty());
      FaceReport last = FaceReport.of(all.get(all.size() - 1).points(), Optional.empty());
      FaceAnswer flat = FaceAnswer.of(job, face, notation);
      blocks.add(new Block.Paragraph(flat.sentence()));
      Chapter.points(blocks, flat.notes());
      double span = first.flatness().flttMicrometres();
      relief(blocks, first, span, all.get(0), notation);
      if (all.size() > 1) {
        relief(blocks, last, span, all.get(all.size() - 1), notation);
      }
    } catch (Problem problem) {
      blocks.add(new Block.Paragraph(face.words() + ": " + problem.getMessage()));
    }
  }

  private static void relief(
      List<Block> blocks, FaceReport report, double span, Relief relief, Notation notation) {
    blocks.add(
        new Block.Figure(
            ReliefPicture.of(
                report,
                ReliefMap.of(report),
                relief.face().words(),
                Optional.empty(),
                Optional.of(span),
                notation,
                WIDTH / 2,
                300),
            relief.note().isEmpty() ? "Probed." : "Probed: " + relief.note() + "."));
  }

  private static void passes(List<Block> blocks, Job job, Notation notation) {
    List<String> points = new ArrayList<>();
    for (LapPass p : job.surfaces().passes()) {
      points.add(
          "Lapped the "
              + p.face().words()
              + ": P"
              + p.grit().number()
              + ", "
              + notation.whole(p.strokes(), Unit.COUNT)
              + " strokes"
              + (p.removedMicrometres() == null
                  ? ""
                  : ", "
                      + notation.fixed(notation.shown(p.removedMicrometres(), Unit.MICROMETRE), 1)
                      + " "
                      + notation.symbol(Unit.MICROMETRE)
                      + " off")
              + ".");
    }
    if (!points.isEmpty()) {
      blocks.add(new Block.Points(points));
      blocks.addAll(Chapter.of(LapAnswer.of(job, notation, SolveWatch.NONE)));
    }
  }
}
