package dev.ambershim.core.stage.lap;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.surface.LappingPlan;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Ticks;
import dev.ambershim.core.picture.Tone;

/** Strokes of each paper on one axis, with how sure they are and where the plating goes. */
public final class LapPicture {
  private static final double TOP = 24;
  private static final double ROW = 26;
  private static final double LEFT = 74;
  private static final double RIGHT = 150;

  private LapPicture() {}

  /** The height that a plan takes. */
  public static double height(LappingPlan plan) {
    return TOP + ROW * Math.max(1, plan.steps().size()) + 26;
  }

  /** Draws a plan. */
  public static Picture of(LappingPlan plan, Notation notation, double width, double height) {
    Pen pen = new Pen();
    double most = 1;
    for (LappingPlan.Step s : plan.steps()) {
      most = Math.max(most, s.interval().high());
    }
    Ticks ticks = Ticks.between(0, most, 5);
    double bottom = TOP + ROW * plan.steps().size();
    pen.words(LEFT, 13, "strokes, one way each", Tone.QUIET, 11, Anchor.START);
    for (int k = 0; k < ticks.count(); k++) {
      double t = ticks.at(k);
      double x = LEFT + (width - LEFT - RIGHT) * t / most;
      pen.line(x, TOP - 4, x, bottom, Tone.GRID, 1);
      pen.words(x, bottom + 14, notation.whole(t, Unit.COUNT), Tone.QUIET, 11, Anchor.MIDDLE);
    }
    StringBuilder words = new StringBuilder();
    int i = 0;
    for (LappingPlan.Step s : plan.steps()) {
      double y = TOP + ROW * i;
      double x = LEFT + (width - LEFT - RIGHT) * s.strokes() / most;
      double a = LEFT + (width - LEFT - RIGHT) * s.interval().low() / most;
      double b = LEFT + (width - LEFT - RIGHT) * s.interval().high() / most;
      pen.words(LEFT - 8, y + 15, "P" + s.grit().number(), Tone.INK, 12.5, Anchor.END);
      pen.box(LEFT, y + 4, x - LEFT, ROW - 12, Tone.COPPER, "P" + s.grit().number());
      pen.line(a, y + 11, b, y + 11, Tone.INK, 1.5);
      pen.line(a, y + 6, a, y + 16, Tone.INK, 1.5);
      pen.line(b, y + 6, b, y + 16, Tone.INK, 1.5);
      if (i == 0 && plan.breakThrough().happens()) {
        double p = LEFT + (width - LEFT - RIGHT) * plan.breakThrough().strokes() / most;
        pen.line(p, y, p, y + ROW - 4, Tone.ALARM, 2.5);
        pen.words(
            width - RIGHT + 8, bottom + 14, "red line: plating goes", Tone.ALARM, 11, Anchor.START);
      }
      String text =
          notation.whole(s.strokes(), Unit.COUNT)
              + ", "
              + notation.fixed(notation.shown(s.removedMicrometres(), Unit.MICROMETRE), 1)
              + " "
              + notation.symbol(Unit.MICROMETRE)
              + " off";
      pen.words(width - RIGHT + 8, y + 15, text, Tone.INK, 12.5, Anchor.START);
      words.append(i == 0 ? "" : ", ").append("P").append(s.grit().number()).append(": ");
      words.append(text);
      i++;
    }
    return pen.picture(
        width, height, words.isEmpty() ? "Nothing to lap." : "Strokes: " + words + ".");
  }
}
