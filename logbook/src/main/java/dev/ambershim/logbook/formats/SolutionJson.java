package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.logbook.store.Json;

/** A steady solution as JSON. */
public final class SolutionJson {
  private SolutionJson() {}

  /**
   * The published block.
   *
   * @param seconds what the solution took
   */
  public static ObjectNode of(StackSolution solution, double seconds) {
    ObjectNode node = Json.mapper().createObjectNode();
    ArrayNode sources = node.putArray("sources");
    for (StackSolution.Source s : solution.sources()) {
      ObjectNode one = sources.addObject();
      one.put("name", s.name());
      one.put("watts", s.watts());
      one.put("meanCelsius", s.meanCelsius());
      one.put("peakCelsius", s.peakCelsius());
    }
    node.put("peakCelsius", solution.peakCelsius());
    ArrayNode layers = node.putArray("layers");
    for (StackSolution.Layer l : solution.layers()) {
      ObjectNode one = layers.addObject();
      one.put("name", l.name());
      one.put("bottomMeanCelsius", l.bottomMeanCelsius());
      one.put("topMeanCelsius", l.topMeanCelsius());
    }
    node.put("heatWatts", solution.heatWatts());
    node.put("energyImbalanceRelative", solution.energyImbalanceRelative());
    node.put("discretisationErrorKelvin", solution.discretisationErrorKelvin());
    node.put("cells", solution.cells());
    node.put("iterations", solution.iterations());
    node.put("seconds", seconds);
    return node;
  }
}
