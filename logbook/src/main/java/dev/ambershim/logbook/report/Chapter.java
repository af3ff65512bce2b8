package dev.ambershim.logbook.report;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.stage.Drawing;
import dev.ambershim.core.stage.StageAnswer;
import java.util.ArrayList;
import java.util.List;

/** A stage's answer as a piece of a report: its sentences as they are, and its pictures. */
final class Chapter {
  private static final double WIDTH = 680;

  private Chapter() {}

  /** The answer, its reasons, its pictures, what it found further, and its notes. */
  static List<Block> of(StageAnswer answer) {
    List<Block> blocks = new ArrayList<>();
    blocks.add(new Block.Paragraph(answer.sentence()));
    points(blocks, answer.reasons());
    for (Finding further : answer.others()) {
      blocks.add(new Block.Paragraph(further.sentence()));
    }
    for (Drawing drawing : answer.pictures()) {
      blocks.add(new Block.Figure(drawing.at(WIDTH), drawing.caption()));
    }
    points(blocks, answer.notes());
    return blocks;
  }

  /** Adds points, if there are any. */
  static void points(List<Block> blocks, List<String> points) {
    if (!points.isEmpty()) {
      blocks.add(new Block.Points(points));
    }
  }
}
