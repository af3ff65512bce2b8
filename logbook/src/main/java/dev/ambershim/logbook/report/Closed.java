package dev.ambershim.logbook.report;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.dosing.Meeting;
import dev.ambershim.core.physics.dosing.Verdict;
import dev.ambershim.core.plan.Doses;
import dev.ambershim.core.stage.close.CloseAnswer;
import dev.ambershim.core.stage.close.ClosePicture;
import dev.ambershim.core.stage.close.FirstStart;
import dev.ambershim.core.stage.close.MountQuestion;
import dev.ambershim.core.stage.close.TurnsPicture;
import dev.ambershim.core.stage.coat.DoseAnswer;
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
    DoseAnswer dose = DoseAnswer.of(job, notation);
    dose.finding().ifPresent(f -> blocks.add(new Block.Paragraph(f.sentence())));
    if (!dose.doses().films().isEmpty()) {
      blocks.add(
          new Block.Figure(
              DosePicture.of(
                  dose.doses().films(),
                  job.coat(),
                  PER_MILLIMETRE,
                  notation,
                  WIDTH,
                  DosePicture.height(dose.doses().films().size())),
              "Drops beside a pin's head, and the window between too little and too much."));
    }
    List<String> points = new ArrayList<>(dose.reasons());
    for (Meeting m : dose.meetings()) {
      if (m.verdict() != Verdict.FINE) {
        points.add(m.place().words() + ", " + m.face().words() + ". " + m.sentence());
      }
    }
    if (job.workCase().pasted()) {
      points.add(
          "Paste: "
              + notation.text(Doses.pasteGrams(job.workCase()), Unit.GRAM)
              + " as "
              + Doses.pastePattern(job.workCase()).withArticle()
              + ".");
    }
    if (!points.isEmpty()) {
      blocks.add(new Block.Points(points));
    }
    close(blocks, job, notation);
    mount(blocks, job, notation);
    return blocks;
  }

  private static void close(List<Block> blocks, Job job, Notation notation) {
    Optional<CloseAnswer> close = CloseAnswer.of(job, notation);
    if (close.isEmpty()) {
      return;
    }
    blocks.add(new Block.Paragraph(close.get().finding().sentence()));
    blocks.add(
        new Block.Figure(
            ClosePicture.of(
                job.chip(), close.get().seat(), close.get().glue(), notation, WIDTH, 210),
            "How the lid lies."));
    blocks.add(new Block.Points(close.get().reasons()));
  }

  private static void mount(List<Block> blocks, Job job, Notation notation) {
    MountQuestion mount = MountQuestion.of(job, notation);
    blocks.add(new Block.Paragraph(mount.finding().sentence()));
    boolean lid = job.after().lidOn();
    blocks.add(
        new Block.Figure(
            TurnsPicture.of(
                mount.tightening(),
                job.mounting(),
                lid ? Double.MAX_VALUE : job.mounting().edge(),
                notation,
                WIDTH,
                220),
            "Every turn of the screws."));
    blocks.add(new Block.Points(mount.checks()));
  }

  /** The chapter as JSON, as the commands {@code dose} and {@code mount} print it. */
  static Optional<ObjectNode> json(Job job) {
    if (job.workCase().settingsOnly()) {
      return Optional.empty();
    }
    ObjectNode node = Json.mapper().createObjectNode();
    node.set("dose", DoseJson.of(job, DoseAnswer.of(job, Notation.METRIC)));
    MountQuestion mount = MountQuestion.of(job, Notation.METRIC);
    node.set(
        "mount",
        MountJson.of(
            job, mount, mount.cost(job, SolveWatch.NONE), FirstStart.of(job, SolveWatch.NONE)));
    return Optional.of(node);
  }
}
