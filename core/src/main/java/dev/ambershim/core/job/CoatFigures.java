package dev.ambershim.core.job;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure.Access;
import dev.ambershim.core.job.Figure.Range;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.spread.PasteTerms;
import dev.ambershim.core.plan.Doses;
import java.util.List;

/** With what liquid metal is dosed, and paste. */
public final class CoatFigures {
  /** The part name of liquid metal and its cover. */
  public static final String METAL = "coat";

  /** The part name of paste. */
  public static final String PASTE = "paste";

  /** What metal and paste are worked at, °C. */
  private static final Range WARMTH = new Range(-20, 90);

  private static final Section<CoatTerms> COAT = new Section<>(Job::coat, Job::withCoat);
  private static final Section<PasteTerms> LAID = new Section<>(Job::paste, Job::withPaste);

  /** How much paste. */
  public static final Figure GRAMS =
      of(
          PASTE,
          "grams",
          "amount of paste",
          Unit.GRAM,
          new Range(0.001, 20),
          new Access(
              job -> job.paste().grams(),
              (job, v) -> job.withPaste(job.paste().withGrams(v)),
              job -> Doses.pasteGrams(job.workCase()),
              ""));

  private CoatFigures() {}

  /** Liquid metal and the cover around it. */
  public static List<Figure> metal() {
    return List.of(
        of(
            METAL,
            "partMillimetres",
            "to the nearest part",
            Unit.MILLIMETRE,
            new Range(0, 100),
            COAT.found(CoatTerms::partMillimetres, CoatTerms::withPartMillimetres, "as measured")),
        of(
            METAL,
            "boreMillimetres",
            "bore of the syringe",
            Unit.MILLIMETRE,
            new Range(0.5, 60),
            COAT.may(CoatTerms::boreMillimetres, CoatTerms::withBoreMillimetres, CoatTerms::bore)),
        of(
            METAL,
            "celsius",
            "warmth",
            Unit.CELSIUS,
            WARMTH,
            COAT.may(CoatTerms::celsius, CoatTerms::withCelsius, CoatTerms::warmth)),
        of(
            METAL,
            "coats",
            "coats of cover",
            Unit.COUNT,
            new Range(1, 10),
            COAT.found(
                t -> t.coats() == null ? null : t.coats().doubleValue(),
                (t, v) -> t.withCoats(v == null ? null : (Integer) (int) Math.round(v)),
                "usual")));
  }

  /** Paste: amount, then warmth. */
  public static List<Figure> paste() {
    return List.of(
        GRAMS,
        of(
            PASTE,
            "celsius",
            "warmth of the paste",
            Unit.CELSIUS,
            WARMTH,
            LAID.may(PasteTerms::celsius, PasteTerms::withCelsius, PasteTerms::warmth)));
  }

  private static Figure of(
      String part, String name, String label, Unit unit, Range possible, Access access) {
    return new Figure(part + "." + name, part, label, unit, possible, access);
  }
}
