package dev.ambershim.core.physics.dosing;

import dev.ambershim.core.physics.assembly.Lid;

/**
 * A bead under a lid's rim and how thin it is pressed. A strip of width w under the force f a
 * length closes by f = μ·w³·v/h³ (Reynolds' squeezed strip) with w = A/h until it is as wide as the
 * rim; a dot of volume V closes by F = 3μV²v/(2πh⁵) (Stefan's disc of kept volume). Both stop where
 * the yield stress carries the force: f = τ·w²/(2h), F = 2πτR³/(3h); and at the glue's fillers.
 *
 * @param lengthMillimetres length of bead; of four dots the sum of their diameters
 * @param cubicMillimetres volume of glue
 * @param thicknessMicrometres how thin it gets while it can still flow
 * @param widthMillimetres how wide it is then
 * @param heightMicrometres how high it stands before the lid is laid on
 */
public record GlueLine(
    double lengthMillimetres,
    double cubicMillimetres,
    double thicknessMicrometres,
    double widthMillimetres,
    double heightMicrometres) {
  /** No glue at all. */
  public static final GlueLine NONE = new GlueLine(0, 0, 0, 0, 0);

  /** A dot or bead that is laid down stands about so high for its width. */
  private static final double STANDS = 0.7;

  /** A line under the lid's rim. */
  public static GlueLine of(Lid lid, GluePattern pattern, CloseTerms terms) {
    double bead = terms.bead(pattern);
    return switch (pattern) {
      case NONE -> NONE;
      case AROUND -> around(lid, bead, terms);
      case CORNERS -> corners(lid, bead, terms);
    };
  }

  private static GlueLine around(Lid lid, double bead, CloseTerms terms) {
    double length =
        Math.max(
            1,
            2 * (lid.widthMillimetres() + lid.depthMillimetres() - 2 * lid.rimMillimetres())
                - terms.vent());
    double section = Math.PI / 4 * bead * bead;
    double thick =
        strip(
            terms.kind(),
            terms.press() / (length / 1000),
            section * 1e-6,
            lid.rimMillimetres() / 1000,
            bead / 1000 * STANDS,
            terms.kind().openMinutes() * 60);
    return new GlueLine(
        length,
        section * length,
        thick * 1e6,
        Math.min(lid.rimMillimetres(), section / (thick * 1000)),
        bead * STANDS * 1000);
  }

  /**
   * A strip's thickness after a time, m.
   *
   * @param force N/m
   * @param section its cross-section, m²
   * @param rim the width that it cannot grow over, m
   * @param begin its height at first, m
   */
  static double strip(
      GlueKind glue, double force, double section, double rim, double begin, double seconds) {
    double mu = glue.pascalSeconds();
    double full = Math.min(begin, section / rim);
    double toFull =
        (Math.pow(full, -5) - Math.pow(begin, -5)) * mu * Math.pow(section, 3) / (5 * force);
    double flowed =
        seconds <= toFull
            ? Math.pow(
                Math.pow(begin, -5) + 5 * force * seconds / (mu * Math.pow(section, 3)), -0.2)
            : 1
                / Math.sqrt(
                    1 / (full * full) + 2 * force * (seconds - toFull) / (mu * Math.pow(rim, 3)));
    double free = Math.cbrt(glue.yieldPascal() * section * section / (2 * force));
    double stopped =
        free > 0 && section / free > rim ? glue.yieldPascal() * rim * rim / (2 * force) : free;
    return Math.max(Math.max(flowed, stopped), glue.fillersMicrometres() * 1e-6);
  }

  private static GlueLine corners(Lid lid, double dot, CloseTerms terms) {
    double height = dot * STANDS;
    double volume = Drop.cap(dot, height);
    double thick =
        disc(
            terms.kind(),
            terms.press() / 4,
            volume * 1e-9,
            height / 1000,
            terms.kind().openMinutes() * 60);
    double wide = 2 * Math.sqrt(volume / (Math.PI * thick * 1000));
    return new GlueLine(
        4 * dot, 4 * volume, thick * 1e6, Math.min(wide, lid.rimMillimetres()), height * 1000);
  }

  /**
   * A dot's thickness after a time, m.
   *
   * @param force N on this dot
   * @param volume m³
   * @param begin its height at first, m
   */
  static double disc(GlueKind glue, double force, double volume, double begin, double seconds) {
    double flowed =
        Math.pow(
            Math.pow(begin, -4)
                + 8 * Math.PI * force * seconds / (3 * glue.pascalSeconds() * volume * volume),
            -0.25);
    double stopped =
        Math.pow(
            2 * Math.PI * glue.yieldPascal() / (3 * force) * Math.pow(volume / Math.PI, 1.5), 0.4);
    return Math.max(Math.max(flowed, stopped), glue.fillersMicrometres() * 1e-6);
  }

  /** Mass, g; silicone weighs about 1.04 g/cm³. */
  public double grams() {
    return cubicMillimetres * 1.04e-3;
  }
}
