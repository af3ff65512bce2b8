package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.physics.spread.PasteAmount;
import dev.ambershim.core.physics.spread.SpreadState;
import dev.ambershim.core.stage.coat.PasteQuestion;
import dev.ambershim.logbook.store.Json;
import java.util.List;
import java.util.Optional;

/** The published block of a spread, its cost, and what other patterns would do. */
public final class SpreadJson {
  private record Pressed(
      String pattern,
      Double grams,
      double cubicMillimetres,
      double seconds,
      double cover,
      double coverOverDies,
      double closestMicrometres,
      double meanMicrometres,
      double overflowShare,
      double airSquareMillimetres,
      double costMeanKelvin,
      double costHottestKelvin,
      double coresMeanCelsius,
      List<Pressed> patterns,
      Least least) {
    static Pressed of(PasteQuestion.Compared one) {
      return of(one.pattern().words(), null, one.end(), one.cost(), null, null);
    }

    static Pressed of(
        String pattern,
        Double grams,
        SpreadState end,
        PasteQuestion.Cost cost,
        List<Pressed> patterns,
        Least least) {
      return new Pressed(
          pattern,
          grams,
          end.cubicMillimetres(),
          end.seconds(),
          end.cover(),
          end.shadowCover(),
          end.closestMicrometres(),
          end.meanMicrometres(),
          end.overflowShare(),
          end.airSquareMillimetres(),
          cost.meanKelvin(),
          cost.hottestKelvin(),
          cost.meanCelsius(),
          patterns,
          least);
    }
  }

  private record Least(double gramsOverDies, double gramsOverFace, double overflowShare) {
    static Least of(PasteAmount amount, double gramsPerCubicCentimetre) {
      double grams = gramsPerCubicCentimetre / 1000;
      return new Least(
          amount.shadowCubicMillimetres().orElse(Double.NaN) * grams,
          amount.faceCubicMillimetres().orElse(Double.NaN) * grams,
          amount.overflowShare());
    }
  }

  /** What else was asked: all patterns with the same amount, and the least amounts that cover. */
  public record Others(
      List<PasteQuestion.Compared> patterns, PasteAmount least, double gramsPerCubicCentimetre) {}

  private SpreadJson() {}

  /**
   * Writes it.
   *
   * @param pattern the pattern in words
   * @param grams how much was laid down
   */
  public static ObjectNode of(
      String pattern,
      double grams,
      SpreadState end,
      PasteQuestion.Cost cost,
      Optional<Others> others) {
    return Json.published(
        Pressed.of(
            pattern,
            grams,
            end,
            cost,
            others.map(o -> o.patterns().stream().map(Pressed::of).toList()).orElse(null),
            others.map(o -> Least.of(o.least(), o.gramsPerCubicCentimetre())).orElse(null)));
  }
}
