package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Tone;
import java.util.List;

/** The causes as bars, each with its probability and what it costs. */
final class CausesPicture {
  private static final double PAD = 4;
  private static final double ROW = 26;
  private static final double NAMES = 250;
  private static final double FIGURES = 150;

  /** Causes less likely than this are left out, but never the first few. */
  private static final double TOO_SMALL = 0.01;

  private static final int LEAST = 3;
  private static final int MOST = 8;

  private CausesPicture() {}

  /** The causes that are drawn. */
  private static List<Cause> shown(List<Cause> causes) {
    long worth = causes.stream().filter(c -> c.probability() >= TOO_SMALL).count();
    return causes.subList(0, (int) Math.min(Math.max(worth, LEAST), Math.min(MOST, causes.size())));
  }

  static double height(List<Cause> causes) {
    return 2 * PAD + ROW * shown(causes).size();
  }

  static Picture of(List<Cause> causes, DiagnosisWords words, Notation notation, double width) {
    Pen pen = new Pen();
    StringBuilder said = new StringBuilder("Causes by probability.");
    double names = Math.min(NAMES, width * 0.45);
    double room = Math.max(40, width - names - FIGURES);
    double y = PAD;
    for (Cause cause : shown(causes)) {
      boolean first = y == PAD;
      pen.words(names - 8, y + 17, DiagnosisWords.label(cause), Tone.INK, 13, Anchor.END);
      pen.box(names, y + 4, room, ROW - 8, Tone.GRID, "");
      pen.box(
          names,
          y + 4,
          Math.max(1, room * cause.probability()),
          ROW - 8,
          first ? Tone.AMBER : Tone.SILICON,
          "");
      String figure =
          DiagnosisWords.percent(cause.probability())
              + (DiagnosisWords.costs(cause)
                  ? ", " + notation.text(Math.abs(cause.kelvin()), Unit.KELVIN)
                  : "");
      pen.words(names + room + 8, y + 17, figure, Tone.INK, 13, Anchor.START);
      said.append(' ').append(words.sentence(cause));
      y += ROW;
    }
    return pen.picture(width, height(causes), said.toString());
  }
}
