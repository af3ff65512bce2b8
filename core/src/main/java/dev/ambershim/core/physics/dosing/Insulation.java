package dev.ambershim.core.physics.dosing;

import java.util.ArrayList;
import java.util.List;

/**
 * The cover around the dies: how much of it, how thick it gets, and whether that fits.
 *
 * @param cover what covers
 * @param coats how many coats or layers
 * @param areaSquareMillimetres what is covered
 * @param thicknessMicrometres how thick all coats are when dry
 * @param roomMicrometres what there is room for over the parts
 * @param wetMillilitres one wet coat; 0 for tape and foil
 * @param bars why the plan cannot go on with it
 * @param notes what to know
 */
public record Insulation(
    Cover cover,
    int coats,
    double areaSquareMillimetres,
    double thicknessMicrometres,
    double roomMicrometres,
    double wetMillilitres,
    List<Bar> bars,
    List<String> notes) {
  /** A wet coat of varnish holds about a quarter of solids, by common practice. */
  private static final double SOLIDS = 0.25;

  /** Parts near a die at full load are nearly as hot as it. */
  private static final double HEAT_MARGIN = 10;

  /** Copies its lists. */
  public Insulation {
    bars = List.copyOf(bars);
    notes = List.copyOf(notes);
  }

  /**
   * Works it out.
   *
   * @param terms coats, and what lies there from before
   * @param areaSquareMillimetres what is covered
   * @param roomMicrometres room over the parts that are covered
   * @param hottestCelsius how hot the die gets
   */
  public static Insulation of(
      Cover cover,
      CoatTerms terms,
      double areaSquareMillimetres,
      double roomMicrometres,
      double hottestCelsius) {
    int coats = terms.coats() == null ? cover.usualCoats() : terms.coats();
    double thick = coats * cover.coatMicrometres();
    List<Bar> bars = new ArrayList<>();
    List<String> notes = new ArrayList<>();
    if (terms.earlier() != null && terms.earlier() != cover) {
      bars.add(
          new Bar(
              "dose.stacked",
              "cover",
              "There is "
                  + terms.earlier().words()
                  + " already, and "
                  + cover.words()
                  + " must not go over it: one lifts the other, and metal creeps between.",
              "Take the old one off ("
                  + terms.earlier().removal()
                  + "), or keep to it and touch it up with the same."));
    }
    if (thick > roomMicrometres) {
      bars.add(
          new Bar(
              "dose.coverTooHigh",
              "cover",
              coats
                  + (coats == 1 ? " layer of " : " layers of ")
                  + cover.words()
                  + " stand "
                  + Math.round(thick)
                  + " µm high, and there is room for "
                  + Math.round(Math.max(0, roomMicrometres))
                  + " µm: it would hold off what must touch.",
              "Take fewer layers, or a thinner one such as varnish."));
    }
    if (hottestCelsius + HEAT_MARGIN > cover.heatCelsius()) {
      notes.add(
          "It stands "
              + Math.round(cover.heatCelsius())
              + " °C, and the die gets to "
              + Math.round(hottestCelsius)
              + " °C: it lets go there. Take polyimide or varnish.");
    }
    boolean wet = cover == Cover.VARNISH || cover == Cover.SILICONE;
    double millilitres =
        wet
            ? areaSquareMillimetres
                * cover.coatMicrometres()
                / 1e6
                / (cover == Cover.VARNISH ? SOLIDS : 1)
            : 0;
    notes.add("It comes off again: " + cover.removal() + ".");
    return new Insulation(
        cover, coats, areaSquareMillimetres, thick, roomMicrometres, millilitres, bars, notes);
  }
}
