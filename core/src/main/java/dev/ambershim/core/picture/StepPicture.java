package dev.ambershim.core.picture;

import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.plan.School;
import dev.ambershim.core.plan.Sketch;
import dev.ambershim.core.plan.Way;
import dev.ambershim.core.plan.WorkCase;

/**
 * The picture that helps at a step, drawn from the chip's own measures: from above where places
 * count, from the side where an angle does. Its words are large, since it is read from a metre.
 */
public final class StepPicture {
  private static final double TEXT = 20;

  private final WorkCase work;
  private final Chip chip;
  private final Pen pen = new Pen();
  private final double width;
  private final double height;
  private final double scale;
  private final double cx;
  private final double cy;

  private StepPicture(WorkCase work, double width, double height) {
    this.work = work;
    this.chip = work.chip();
    this.width = width;
    this.height = height;
    double room = Math.min(width - 20, height - 80);
    scale = room / Math.max(chip.widthMillimetres(), chip.depthMillimetres()) * 0.9;
    cx = width / 2;
    cy = (height - 56) / 2;
  }

  /** Draws a sketch. */
  public static Picture of(Sketch sketch, WorkCase work, double width, double height) {
    StepPicture picture = new StepPicture(work, width, height);
    String words =
        switch (sketch) {
          case ORIENTATION -> picture.orientation();
          case SHEAR -> picture.shear();
          case BLADE -> picture.blade();
          case SCRAPE -> picture.scrape();
          case COVER -> picture.cover();
          case FILM -> picture.film();
          case GLUE -> picture.glue();
          case PASTE -> picture.paste();
          case TIGHTEN -> picture.tighten();
        };
    picture.caption(words);
    return picture.pen.picture(width, height, words);
  }

  /** Words under the picture, on two lines where one is too short. */
  private void caption(String words) {
    if (words.length() * TEXT * 0.5 <= width) {
      pen.words(cx, height - 18, words, Tone.INK, TEXT, Anchor.MIDDLE);
      return;
    }
    int cut = words.lastIndexOf(' ', words.length() / 2 + 4);
    pen.words(cx, height - 30, words.substring(0, cut), Tone.INK, TEXT, Anchor.MIDDLE);
    pen.words(cx, height - 6, words.substring(cut + 1), Tone.INK, TEXT, Anchor.MIDDLE);
  }

  /** A box around the chip's middle, in millimetres. */
  private void box(double x, double y, double w, double h, Tone tone) {
    pen.box(cx + (x - w / 2) * scale, cy - (y + h / 2) * scale, w * scale, h * scale, tone, "");
  }

  private void substrate() {
    box(0, 0, chip.widthMillimetres(), chip.depthMillimetres(), Tone.SUBSTRATE);
    // The mark of the first corner: a small square, as on most substrates.
    double w = chip.widthMillimetres();
    double d = chip.depthMillimetres();
    box(-w / 2 + 1.6, -d / 2 + 1.6, 1.6, 1.6, Tone.AMBER);
  }

  private void lid() {
    box(0, 0, chip.lid().widthMillimetres(), chip.lid().depthMillimetres(), Tone.NICKEL);
  }

  private void dies(Tone tone) {
    for (Die die : chip.dies()) {
      box(
          die.xMillimetres(),
          die.yMillimetres(),
          die.widthMillimetres(),
          die.depthMillimetres(),
          tone);
    }
  }

  private void dieOutlines(Tone tone) {
    for (Die die : chip.dies()) {
      double x1 = cx + (die.xMillimetres() - die.widthMillimetres() / 2) * scale;
      double x2 = cx + (die.xMillimetres() + die.widthMillimetres() / 2) * scale;
      double y1 = cy - (die.yMillimetres() + die.depthMillimetres() / 2) * scale;
      double y2 = cy - (die.yMillimetres() - die.depthMillimetres() / 2) * scale;
      pen.dashed(x1, y1, x2, y1, tone, 2);
      pen.dashed(x2, y1, x2, y2, tone, 2);
      pen.dashed(x2, y2, x1, y2, tone, 2);
      pen.dashed(x1, y2, x1, y1, tone, 2);
    }
  }

  private void arrow(double x1, double y1, double x2, double y2) {
    pen.line(x1, y1, x2, y2, Tone.AMBER, 5);
    double angle = Math.atan2(y2 - y1, x2 - x1);
    for (int side = -1; side <= 1; side += 2) {
      double a = angle + Math.PI + side * 0.5;
      pen.line(x2, y2, x2 + 18 * Math.cos(a), y2 + 18 * Math.sin(a), Tone.AMBER, 5);
    }
  }

  private String orientation() {
    substrate();
    lid();
    dieOutlines(Tone.INK);
    double x = cx - chip.lid().widthMillimetres() / 4 * scale;
    double y = cy + chip.lid().depthMillimetres() / 2 * scale;
    pen.line(x, y - 26, x, y + 16, Tone.INK, 4);
    return "Line over lid and substrate; amber: marked corner";
  }

  private String shear() {
    substrate();
    lid();
    dieOutlines(Tone.INK);
    double half = chip.widthMillimetres() / 2 * scale;
    for (int side = -1; side <= 1; side += 2) {
      double y = cy + side * (chip.depthMillimetres() / 2 * scale + 8);
      pen.box(cx - half, y - 7, 2 * half, 14, Tone.GLUE, "");
    }
    double edge = cx - chip.lid().widthMillimetres() / 2 * scale;
    arrow(edge - 70, cy, edge - 4, cy);
    return "Clamp on the substrate, push on the lid only";
  }

  private String blade() {
    substrate();
    lid();
    dies(Tone.SILICON);
    double rim = chip.lid().rimMillimetres();
    double w = chip.lid().widthMillimetres();
    double d = chip.lid().depthMillimetres();
    // Where a blade may go: the rim alone.
    box(0, d / 2 - rim / 2, w, rim, Tone.AMBER);
    box(0, -d / 2 + rim / 2, w, rim, Tone.AMBER);
    box(-w / 2 + rim / 2, 0, rim, d - 2 * rim, Tone.AMBER);
    box(w / 2 - rim / 2, 0, rim, d - 2 * rim, Tone.AMBER);
    return "Amber: the blade goes so deep, and no deeper";
  }

  private String scrape() {
    double ground = cy + 50;
    double w = width * 0.72;
    pen.box(cx - w / 2, ground, w, 46, Tone.SILICON, "");
    pen.box(cx - w / 2 + 8, ground - 10, w * 0.5, 10, Tone.SOLDER, "");
    double x = cx + w * 0.06;
    pen.line(
        x,
        ground - 4,
        x + w * 0.5,
        ground - 4 - w * 0.5 * Math.tan(Math.toRadians(14)),
        Tone.INK,
        7);
    arrow(cx + w * 0.3, ground - 96, cx + w * 0.3 - 90, ground - 72);
    pen.words(cx - w / 2 + 8, ground + 70, "die", Tone.INK, TEXT, Anchor.START);
    return "Blade almost flat, pushed from the edge inwards";
  }

  private String cover() {
    substrate();
    for (Die die : chip.dies()) {
      box(
          die.xMillimetres(),
          die.yMillimetres(),
          Math.min(die.widthMillimetres() + 8, chip.lid().widthMillimetres() - 4),
          Math.min(die.depthMillimetres() + 8, chip.lid().depthMillimetres() - 4),
          Tone.COVER);
    }
    dies(Tone.SILICON);
    return "Amber: covered, right up to the die; the die stays free";
  }

  private String film() {
    substrate();
    dies(Tone.SILICON);
    for (Die die : chip.dies()) {
      box(
          die.xMillimetres(),
          die.yMillimetres(),
          die.widthMillimetres() - 1,
          die.depthMillimetres() - 1,
          Tone.GALLIUM);
    }
    return "Film: half a millimetre off the edge";
  }

  private String glue() {
    substrate();
    dies(Tone.SILICON);
    double w = chip.lid().widthMillimetres() - chip.lid().rimMillimetres();
    double d = chip.lid().depthMillimetres() - chip.lid().rimMillimetres();
    boolean around = work.seal() == Way.SEAL_AROUND;
    if (around) {
      double gap = 3;
      box(-(w / 4 + gap / 4), d / 2, w / 2 - gap / 2, 1.2, Tone.GLUE);
      box(w / 4 + gap / 4, d / 2, w / 2 - gap / 2, 1.2, Tone.GLUE);
      box(0, -d / 2, w, 1.2, Tone.GLUE);
      box(-w / 2, 0, 1.2, d, Tone.GLUE);
      box(w / 2, 0, 1.2, d, Tone.GLUE);
      return "A thin bead with a gap for air";
    }
    for (int i = -1; i <= 1; i += 2) {
      for (int k = -1; k <= 1; k += 2) {
        box(i * w / 2, k * d / 2, 2.2, 2.2, Tone.GLUE);
      }
    }
    return "Four dots, no more";
  }

  private String paste() {
    boolean onDie = work.bare();
    double w = onDie ? chip.dies().get(0).widthMillimetres() : chip.lid().widthMillimetres();
    double d = onDie ? chip.dies().get(0).depthMillimetres() : chip.lid().depthMillimetres();
    substrate();
    if (onDie) {
      dies(Tone.SILICON);
    } else {
      lid();
      dieOutlines(Tone.INK);
    }
    Way way = work.ways().of(School.PASTE);
    double dot = Math.min(w, d) / 6;
    switch (way) {
      case LINE -> box(0, 0, dot * 0.7, d * 0.5, Tone.INK);
      case CROSS -> {
        diagonal(w * 0.28, d * 0.28);
        diagonal(w * 0.28, -d * 0.28);
      }
      case FIVE_DOTS -> {
        box(0, 0, dot, dot, Tone.INK);
        for (int i = -1; i <= 1; i += 2) {
          for (int k = -1; k <= 1; k += 2) {
            box(i * w * 0.27, k * d * 0.27, dot * 0.6, dot * 0.6, Tone.INK);
          }
        }
      }
      case THIN_SPREAD -> box(0, 0, w * 0.96, d * 0.96, Tone.PASTE);
      default -> box(0, 0, dot, dot, Tone.INK);
    }
    return "Paste: " + way.words();
  }

  private void diagonal(double x, double y) {
    pen.line(cx - x * scale, cy - y * scale, cx + x * scale, cy + y * scale, Tone.INK, 9);
  }

  private String tighten() {
    double w = work.cooler().widthMillimetres();
    double d = work.cooler().depthMillimetres();
    double fit = 0.72 * Math.min((width - 40) / w, (height - 110) / d);
    pen.box(cx - w / 2 * fit, cy - d / 2 * fit, w * fit, d * fit, Tone.NICKEL, "");
    double[][] corners = {{-1, -1}, {1, 1}, {1, -1}, {-1, 1}};
    for (int i = 0; i < corners.length; i++) {
      double x = cx + corners[i][0] * (w / 2 * fit + 6);
      double y = cy + corners[i][1] * (d / 2 * fit + 2);
      pen.box(x - 22, y - 22, 44, 44, Tone.AMBER, "");
      pen.strong(x, y + 11, String.valueOf(i + 1), Tone.PANEL, 30, Anchor.MIDDLE);
    }
    return "Half a turn each, crosswise: 1, 2, 3, 4";
  }
}
