package dev.ambershim.core.stage.measure;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.PlanScale;
import dev.ambershim.core.picture.Tone;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;

/** The sheet to cut on the chip it is for, seen from above and to scale, with a bar of 10 mm. */
public final class ShimPicture {
  private ShimPicture() {}

  /** Draws it. */
  public static Picture of(
      ShimOutline outline,
      Chip chip,
      List<Top> tops,
      Notation notation,
      double width,
      double height) {
    Pen pen = new Pen();
    double half = Math.max(chip.widthMillimetres(), chip.depthMillimetres()) / 2;
    PlanScale at = new PlanScale(half * 1.04, 0, 4, Math.min(width, height), height - 24);
    box(pen, at, 0, 0, chip.widthMillimetres(), chip.depthMillimetres(), Tone.SUBSTRATE, "");
    List<Coordinate[]> rings = outline.rings();
    Envelope whole = outline.sheet().getEnvelopeInternal();
    box(
        pen,
        at,
        whole.centre().x,
        whole.centre().y,
        whole.getWidth(),
        whole.getHeight(),
        Tone.COVER,
        "sheet");
    for (Coordinate[] ring : rings) {
      Envelope e = new Envelope();
      for (Coordinate c : ring) {
        e.expandToInclude(c);
      }
      if (e.getWidth() < whole.getWidth() - 1e-6) {
        box(pen, at, e.centre().x, e.centre().y, e.getWidth(), e.getHeight(), Tone.SUBSTRATE, "");
      }
    }
    for (Die d : chip.dies()) {
      box(
          pen,
          at,
          d.xMillimetres(),
          d.yMillimetres(),
          d.widthMillimetres(),
          d.depthMillimetres(),
          Tone.SILICON,
          d.name());
    }
    for (Top t : tops) {
      if (t.kind() == TopKind.PART && t.widthMillimetres() > 0) {
        box(
            pen,
            at,
            t.xMillimetres(),
            t.yMillimetres(),
            t.widthMillimetres(),
            t.depthMillimetres(),
            Tone.SOLDER,
            t.name());
      }
    }
    for (Coordinate[] ring : rings) {
      double[] xs = new double[ring.length];
      double[] ys = new double[ring.length];
      for (int i = 0; i < ring.length; i++) {
        xs[i] = at.x(ring[i].x);
        ys[i] = at.y(ring[i].y);
      }
      pen.trace(xs, ys, Tone.INK, 1.5);
    }
    double left = at.x(-chip.widthMillimetres() / 2);
    double y = height - 8;
    pen.line(left, y, left + at.length(10), y, Tone.INK, 2);
    pen.words(
        left + at.length(10) + 6,
        y + 4,
        notation.text(10, Unit.MILLIMETRE),
        Tone.QUIET,
        11,
        Anchor.START);
    return pen.picture(
        width,
        height,
        "Sheet of "
            + notation.text(whole.getWidth(), Unit.MILLIMETRE)
            + " by "
            + notation.text(whole.getHeight(), Unit.MILLIMETRE)
            + " with "
            + (rings.size() - outline.sheet().getNumGeometries())
            + " openings.");
  }

  private static void box(
      Pen pen, PlanScale at, double x, double y, double w, double d, Tone tone, String part) {
    pen.box(at.x(x - w / 2), at.y(y + d / 2), at.length(w), at.length(d), tone, part);
  }
}
