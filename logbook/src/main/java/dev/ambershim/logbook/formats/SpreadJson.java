package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.physics.spread.PasteAmount;
import dev.ambershim.core.physics.spread.SpreadState;
import dev.ambershim.core.stage.coat.PasteQuestion;
import dev.ambershim.logbook.store.Json;
import java.util.List;

/** The published block of a spread, its cost, and what other patterns would do. */
public final class SpreadJson {
  private SpreadJson() {}

  /**
   * Writes it.
   *
   * @param pattern the pattern in words
   * @param grams how much was laid down
   */
  public static ObjectNode of(
      String pattern, double grams, SpreadState end, PasteQuestion.Cost cost) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("pattern", pattern);
    node.put("grams", grams);
    end(node, end);
    cost(node, cost);
    return node;
  }

  private static void end(ObjectNode node, SpreadState end) {
    node.put("cubicMillimetres", end.cubicMillimetres());
    node.put("seconds", end.seconds());
    node.put("cover", end.cover());
    node.put("coverOverDies", end.shadowCover());
    node.put("closestMicrometres", end.closestMicrometres());
    node.put("meanMicrometres", end.meanMicrometres());
    node.put("overflowShare", end.overflowShare());
    node.put("airSquareMillimetres", end.airSquareMillimetres());
  }

  private static void cost(ObjectNode node, PasteQuestion.Cost cost) {
    node.put("costMeanKelvin", cost.meanKelvin());
    node.put("costHottestKelvin", cost.hottestKelvin());
    node.put("coresMeanCelsius", cost.meanCelsius());
  }

  /** Adds the other patterns with the same amount. */
  public static void patterns(ObjectNode node, List<PasteQuestion.Compared> all) {
    var list = node.putArray("patterns");
    for (PasteQuestion.Compared c : all) {
      ObjectNode one = list.addObject();
      one.put("pattern", c.pattern().words());
      end(one, c.end());
      cost(one, c.cost());
    }
  }

  /** Adds the least amounts that cover. */
  public static void amount(ObjectNode node, PasteAmount amount, double gramsPerCubicCentimetre) {
    ObjectNode to = node.putObject("least");
    DoseJson.figure(
        to,
        "gramsOverDies",
        amount.shadowCubicMillimetres().orElse(Double.NaN) * gramsPerCubicCentimetre / 1000);
    DoseJson.figure(
        to,
        "gramsOverFace",
        amount.faceCubicMillimetres().orElse(Double.NaN) * gramsPerCubicCentimetre / 1000);
    to.put("overflowShare", amount.overflowShare());
  }
}
