package dev.ambershim.core.physics.spread;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;

/**
 * What paste goes on, how and how much. What is not said stays empty and is taken as usual.
 *
 * @param kind how it flows
 * @param celsius how warm it is
 * @param pattern the pattern, if it is not the one that the plan is worked by
 * @param strokes the person's own strokes
 * @param grams how much
 * @param byScrews whether the plate tilts as its screws are turned; else it comes down level
 */
@RecordBuilder
public record PasteTerms(
    PasteClass kind,
    Double celsius,
    PastePattern pattern,
    List<PasteStroke> strokes,
    Double grams,
    boolean byScrews)
    implements PasteTermsBuilder.With {
  /** Nothing is said. */
  public static final PasteTerms USUAL = new PasteTerms(null, null, null, null, null, false);

  /** Fills in the usual kind. */
  public PasteTerms {
    kind = kind == null ? PasteClass.MIDDLING : kind;
    strokes = strokes == null ? List.of() : List.copyOf(strokes);
    pattern = pattern == PastePattern.OWN && strokes.isEmpty() ? null : pattern;
  }

  /** How warm it is, °C. */
  public double warmth() {
    return celsius == null ? 23 : celsius;
  }

  /** The same in another pattern. */
  public PasteTerms with(PastePattern other) {
    return withPattern(other);
  }

  /** The same with other strokes, which are the pattern then. */
  public PasteTerms drawn(List<PasteStroke> other) {
    return withStrokes(other).withPattern(PastePattern.OWN);
  }
}
