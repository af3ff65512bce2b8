package dev.ambershim.core.stage.close;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.mounting.MountTerms;
import dev.ambershim.core.physics.mounting.Tightening;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Ticks;
import dev.ambershim.core.picture.Tone;

/** Every turn of the screws: how hard an edge is pressed then, under its limit, and the tilt. */
public final class TurnsPicture {
  private static final double LEFT = 52;
  private static final double TOP = 22;
  private static final double BOTTOM = 42;

  private TurnsPicture() {}

  /** Draws them. */
  public static Picture of(
      Tightening turns,
      MountTerms terms,
      double limitMegapascals,
      Notation notation,
      double width,
      double height) {
    Pen pen = new Pen();
    int n = turns.turns().size();
    double most = 0;
    double tilt = 1e-6;
    for (Tightening.Turn t : turns.turns()) {
      most = Math.max(most, t.seat().peakMegapascals());
      tilt = Math.max(tilt, t.seat().tiltDegrees());
    }
    boolean near = limitMegapascals < 4 * most;
    double top = near ? Math.max(most, limitMegapascals) * 1.08 : most * 1.15;
    double bottom = height - BOTTOM;
    Ticks ticks = Ticks.between(0, top, 4);
    pen.words(
        LEFT,
        13,
        "highest pressure on an edge, MPa (bars); tilt (line, up to "
            + notation.fixed(tilt, 2)
            + "°)",
        Tone.QUIET,
        11,
        Anchor.START);
    for (int k = 0; k < ticks.count(); k++) {
      double y = bottom - (bottom - TOP) * ticks.at(k) / top;
      pen.line(LEFT, y, width - 8, y, Tone.GRID, 1);
      pen.words(
          LEFT - 6,
          y + 4,
          notation.fixed(ticks.at(k), top < 0.3 ? 2 : top < 2 ? 1 : 0),
          Tone.QUIET,
          11,
          Anchor.END);
    }
    double each = (width - 8 - LEFT) / n;
    double[] xs = new double[n];
    double[] ys = new double[n];
    for (int i = 0; i < n; i++) {
      Tightening.Turn t = turns.turns().get(i);
      double y = bottom - (bottom - TOP) * t.seat().peakMegapascals() / top;
      boolean over = t.seat().peakMegapascals() > limitMegapascals;
      pen.box(
          LEFT + i * each + 0.15 * each,
          y,
          0.7 * each,
          bottom - y,
          over ? Tone.ALARM : Tone.COPPER,
          "");
      xs[i] = LEFT + (i + 0.5) * each;
      ys[i] = bottom - (bottom - TOP) * 0.92 * t.seat().tiltDegrees() / tilt;
      if (i % terms.screws() == 0 && each * terms.screws() > 22) {
        int round = i / terms.screws() + 1;
        pen.words(xs[i], bottom + 14, String.valueOf(round), Tone.QUIET, 11, Anchor.MIDDLE);
      }
    }
    pen.trace(xs, ys, Tone.AFTER, 2);
    if (near) {
      double y = bottom - (bottom - TOP) * limitMegapascals / top;
      pen.dashed(LEFT, y, width - 8, y, Tone.ALARM, 1.5);
      pen.words(width - 10, y - 4, "limit", Tone.ALARM, 11, Anchor.END);
    }
    StringBuilder order = new StringBuilder();
    terms.places().forEach(p -> order.append(order.isEmpty() ? "" : ", ").append(p.name()));
    pen.words(LEFT, bottom + 32, "round by round: " + order, Tone.QUIET, 11, Anchor.START);
    return pen.picture(
        width,
        height,
        n
            + " turns; the highest edge pressure is "
            + notation.text(most, Unit.MEGAPASCAL)
            + ", the greatest tilt "
            + notation.fixed(tilt, 2)
            + " degrees.");
  }
}
