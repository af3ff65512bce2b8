package dev.ambershim.core.stage.coat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.dosing.Drop;
import dev.ambershim.core.physics.dosing.MetalDose;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.picture.Tone;
import java.util.List;

/**
 * Drops at their true size beside a pin's head and over a ruler, and under them the window between
 * too little and too much. True size holds once the screen was held against a card.
 */
public final class DosePicture {
  /** Long edge of a bank or identity card, mm (ISO/IEC 7810, ID-1). */
  public static final double CARD_MILLIMETRES = 85.6;

  private static final double PIN_MILLIMETRES = 2;
  private static final int ROUND = 48;
  private static final double DROPS = 82;
  private static final double ROW = 46;

  private DosePicture() {}

  /** The height that it takes for so many films. */
  public static double height(int films) {
    return DROPS + ROW * films;
  }

  /**
   * Draws it.
   *
   * @param perMillimetre picture units for a millimetre of the screen
   */
  public static Picture of(
      List<MetalDose> films,
      CoatTerms coat,
      double perMillimetre,
      Notation notation,
      double width,
      double height) {
    Pen pen = new Pen();
    StringBuilder words = new StringBuilder("Drops at true size: ");
    double base = 44;
    double x = 14 + perMillimetre * 1.5;
    for (MetalDose dose : films) {
      double r = dose.drop().ballMillimetres() / 2 * perMillimetre;
      x = Math.max(x, x - 10 + r);
      disc(pen, x, base - r, r, Tone.GALLIUM);
      double least = dose.leastDrop().ballMillimetres() / 2 * perMillimetre;
      ring(pen, x, base - least, least, Tone.INK, 0.8);
      String size = size(dose.drop(), notation);
      double text = Math.max(x + r + 7, x + 14);
      pen.strong(text, base - 14, size, Tone.INK, 14, Anchor.START);
      String under =
          (films.size() > 1 ? dose.place().name() + ", " : "")
              + (dose.faces() == 2 ? "each face" : "one face");
      pen.words(text, base, under, Tone.QUIET, 11, Anchor.START);
      words.append(dose.place().name()).append(' ').append(size).append(", ");
      x = text + Math.max(96, under.length() * 6.2) + 12;
    }
    double pin = PIN_MILLIMETRES / 2 * perMillimetre;
    disc(pen, x + pin, base - pin, pin, Tone.NICKEL);
    pen.words(x + 2 * pin + 7, base - 14, "a pin's head", Tone.QUIET, 11, Anchor.START);
    pen.words(
        x + 2 * pin + 7,
        base,
        notation.text(PIN_MILLIMETRES, Unit.MILLIMETRE),
        Tone.QUIET,
        11,
        Anchor.START);
    pen.line(10, base + 1, width - 10, base + 1, Tone.GRID, 1);
    ruler(pen, base + 8, perMillimetre, width);
    double y = DROPS + 8;
    for (MetalDose dose : films) {
      window(pen, dose, coat, films.size() > 1, notation, y, width);
      y += ROW;
    }
    return pen.picture(width, height, words.append("a pin's head beside them.").toString());
  }

  private static String size(Drop drop, Notation notation) {
    double shown = notation.shown(drop.ballMillimetres(), Unit.MILLIMETRE);
    return notation.fixed(shown, notation.inches() ? 3 : 1)
        + " "
        + notation.symbol(Unit.MILLIMETRE);
  }

  private static void ruler(Pen pen, double y, double perMillimetre, double width) {
    int last = (int) Math.min(100, (width - 30) / perMillimetre);
    pen.line(12, y, 12 + last * perMillimetre, y, Tone.INK, 1);
    for (int k = 0; k <= last; k++) {
      double length = k % 10 == 0 ? 9 : k % 5 == 0 ? 6 : 3.5;
      pen.line(12 + k * perMillimetre, y, 12 + k * perMillimetre, y + length, Tone.INK, 0.8);
      if (k % 10 == 0) {
        pen.words(
            12 + k * perMillimetre,
            y + 20,
            k == 0 ? "0 mm" : String.valueOf(k),
            Tone.QUIET,
            10.5,
            k == 0 ? Anchor.START : Anchor.MIDDLE);
      }
    }
  }

  /** Too little, right, too much, on one scale of milligrams. */
  private static void window(
      Pen pen,
      MetalDose dose,
      CoatTerms coat,
      boolean named,
      Notation notation,
      double y,
      double width) {
    double left = 12;
    double right = width - 12;
    double least = dose.leastDrop().cubicMillimetres();
    double most = dose.mostDrop().map(Drop::cubicMillimetres).orElse(3 * least);
    boolean open = dose.mostDrop().isEmpty();
    double end = Math.max(least, most) * 1.35;
    double a = left + (right - left) * Math.min(least, most) / end;
    double b = left + (right - left) * Math.max(least, most) / end;
    pen.box(left, y, a - left, 16, Tone.BEFORE_BAND, "too little");
    pen.box(a, y, b - a, 16, dose.fits() ? Tone.AFTER_BAND : Tone.ALARM, "right");
    pen.box(b, y, right - b, 16, open ? Tone.AFTER_BAND : Tone.BEFORE_BAND, "too much");
    double at = left + (right - left) * dose.drop().cubicMillimetres() / end;
    pen.line(at, y - 4, at, y + 20, Tone.AMBER, 3);
    String name = named ? dose.place().name() + ": " : "";
    pen.words(left + 4, y + 12, name + "too little", Tone.INK, 11, Anchor.START);
    pen.words(
        right - 4,
        y + 12,
        open ? "reaches nothing" : dose.runs() ? "too much: it runs" : "too much",
        Tone.INK,
        11,
        Anchor.END);
    pen.words(a, y + 31, milligrams(least, coat, notation), Tone.QUIET, 11, Anchor.MIDDLE);
    if (!open && b - a > 70) {
      pen.words(b, y + 31, milligrams(most, coat, notation), Tone.QUIET, 11, Anchor.MIDDLE);
    }
    if (at - a > 46 && b - at > 46) {
      pen.words(
          at,
          y + 31,
          milligrams(dose.drop().cubicMillimetres(), coat, notation),
          Tone.INK,
          11,
          Anchor.MIDDLE);
    }
  }

  private static String milligrams(double cubicMillimetres, CoatTerms coat, Notation notation) {
    return notation.fixed(new Drop(cubicMillimetres).milligrams(coat.alloy(), coat.warmth()), 1)
        + " mg";
  }

  /** The bar to hold a card against, with how long it should be. */
  public static Picture card(double perMillimetre, double width, double height) {
    Pen pen = new Pen();
    double length = CARD_MILLIMETRES * perMillimetre;
    pen.box(10, 6, length, 14, Tone.AMBER, "card");
    pen.words(10, 36, "as long as a bank card's long edge, 85.6 mm", Tone.QUIET, 11, Anchor.START);
    return pen.picture(width, height, "A bar to hold a card's long edge against.");
  }

  static void disc(Pen pen, double x, double y, double r, Tone tone) {
    double[] xs = new double[ROUND];
    double[] tops = new double[ROUND];
    double[] bottoms = new double[ROUND];
    for (int k = 0; k < ROUND; k++) {
      double angle = Math.PI * k / (ROUND - 1);
      xs[k] = x - r * Math.cos(angle);
      tops[k] = y - r * Math.sin(angle);
      bottoms[k] = y + r * Math.sin(angle);
    }
    pen.band(xs, tops, bottoms, tone);
  }

  static void ring(Pen pen, double x, double y, double r, Tone tone, double width) {
    double[] xs = new double[ROUND + 1];
    double[] ys = new double[ROUND + 1];
    for (int k = 0; k <= ROUND; k++) {
      xs[k] = x + r * Math.cos(2 * Math.PI * k / ROUND);
      ys[k] = y + r * Math.sin(2 * Math.PI * k / ROUND);
    }
    pen.trace(xs, ys, tone, width);
  }
}
