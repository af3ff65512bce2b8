package dev.ambershim.logbook.report;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.dosing.Meeting;
import dev.ambershim.core.physics.dosing.MetalDose;
import dev.ambershim.core.physics.dosing.Verdict;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.close.FirstStart;
import dev.ambershim.core.stage.coat.CoatAnswer;
import dev.ambershim.core.stage.coat.DosePicture;
import dev.ambershim.logbook.formats.DoseJson;
import dev.ambershim.logbook.formats.MountJson;
import dev.ambershim.logbook.store.Json;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Doses, closing and mounting, for the report: amounts, what must never meet, force and turns. */
final class Closed {
  private static final double WIDTH = 680;

  /** Printed at 72 units an inch, drops come out at their true size. */
  private static final double PER_MILLIMETRE = 72 / 25.4;

  private Closed() {}

  /** The chapter; nothing while only settings are changed. */
  static List<Block> of(Job job, Notation notation) {
    List<Block> blocks = new ArrayList<>();
    if (job.workCase().settingsOnly()) {
      return blocks;
    }
    blocks.add(new Block.Heading("Doses, closing and mounting"));
    CoatAnswer coat = CoatAnswer.of(job, notation);
    blocks.addAll(Chapter.of(coat));
    List<MetalDose> films = coat.doses().films();
    if (!films.isEmpty()) {
      double height = DosePicture.height(films.size());
      blocks.add(
          new Block.Figure(
              DosePicture.of(films, job.coat(), PER_MILLIMETRE, notation, WIDTH, height),
              "Drops beside a pin's head, and the window between too little and too much."));
    }
    Chapter.points(
        blocks,
        coat.meetings().stream()
            .filter(m -> m.verdict() != Verdict.FINE)
            .map(Meeting::line)
            .toList());
    blocks.addAll(Chapter.of(CloseAnswer.of(job, notation, SolveWatch.NONE)));
    return blocks;
  }

  /** The chapter as JSON, as the commands {@code dose} and {@code mount} print it. */
  static Optional<ObjectNode> json(Job job) {
    if (job.workCase().settingsOnly()) {
      return Optional.empty();
    }
    CloseAnswer close = CloseAnswer.of(job, Notation.METRIC, SolveWatch.NONE);
    return Optional.of(
        Json.published(
            new Figures(
                DoseJson.of(CoatAnswer.of(job, Notation.METRIC)),
                MountJson.of(close, FirstStart.of(job, SolveWatch.NONE)))));
  }

  private record Figures(ObjectNode dose, ObjectNode mount) {}
}
