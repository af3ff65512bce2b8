package dev.ambershim.core.stage.close;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.dosing.GlueLine;
import dev.ambershim.core.physics.dosing.LidSeat;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Tone;

/**
 * The closed lid from the side: what carries it, the film over each die and the glue under the rim.
 * Heights are to one scale, but gaps below 0.2 mm are drawn ten times as high, which is said.
 */
public final class ClosePicture {
  private static final double MAGNIFIED = 10;

  private ClosePicture() {}

  /** Draws it. */
  public static Picture of(
      Chip chip, LidSeat seat, GlueLine glue, Notation notation, double width, double height) {
    Pen pen = new Pen();
    double per = (width - 40) / chip.widthMillimetres();
    double middle = width / 2;
    double floor = height - 40;
    double lidHalf = chip.lid().widthMillimetres() / 2;
    double highest = chip.highestDieMicrometres() / 1000;
    double gap = seat.gaps().stream().mapToDouble(g -> g).min().orElse(0) / 1000;
    double tall =
        highest + MAGNIFIED * Math.max(gap, 0.005) + chip.lid().thicknessMillimetres() + 0.6;
    double up = (floor - 26) / tall;
    double ceiling = floor - up * (highest + MAGNIFIED * Math.max(gap, 0.005));
    pen.box(20, floor, width - 40, 22, Tone.SUBSTRATE, "substrate");
    double rim = chip.lid().rimMillimetres() * per;
    double glued = up * Math.max(0.004, seat.glueMicrometres() / 1000) * MAGNIFIED;
    double most = floor - ceiling - 4;
    glued = Math.min(glued, most);
    double lid = up * chip.lid().thicknessMillimetres();
    pen.box(middle - lidHalf * per, ceiling - lid, 2 * lidHalf * per, lid, Tone.NICKEL, "lid");
    for (int side = -1; side <= 1; side += 2) {
      double x = side < 0 ? middle - lidHalf * per : middle + lidHalf * per - rim;
      pen.box(x, ceiling - 1, rim, floor - glued - ceiling + 1, Tone.NICKEL, "lid");
      pen.box(
          x, floor - glued, rim, glued, glue.cubicMillimetres() > 0 ? Tone.GLUE : Tone.GAP, "glue");
    }
    for (int i = 0; i < chip.dies().size(); i++) {
      Die d = chip.dies().get(i);
      double x = middle + (d.xMillimetres() - d.widthMillimetres() / 2) * per;
      double w = d.widthMillimetres() * per;
      double h = up * d.heightMicrometres() / 1000;
      pen.box(x, floor - h, w, h, Tone.SILICON, d.name());
      pen.box(x, ceiling, w, Math.max(1.5, floor - h - ceiling), Tone.GALLIUM, "film");
      pen.words(
          x + w / 2,
          floor - Math.max(12, h * 0.35),
          notation.text(Math.max(seat.gaps().get(i), LidSeat.FILM_MICROMETRES), Unit.MICROMETRE),
          Tone.ON_DEEP,
          12,
          Anchor.MIDDLE);
    }
    pen.words(
        middle - lidHalf * per,
        ceiling - lid - 6,
        "the " + seat.carrier() + " carries the lid",
        Tone.INK,
        12,
        Anchor.START);
    pen.words(
        20,
        floor + 36,
        "glue "
            + notation.text(seat.glueMicrometres(), Unit.MICROMETRE)
            + "; film and glue are drawn ten times as high",
        Tone.QUIET,
        11,
        Anchor.START);
    return pen.picture(
        width,
        height,
        "The "
            + seat.carrier()
            + " carries the lid; glue "
            + notation.text(seat.glueMicrometres(), Unit.MICROMETRE)
            + ".");
  }
}
