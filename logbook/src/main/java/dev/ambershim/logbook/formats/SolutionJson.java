package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.logbook.store.Json;
import java.util.List;

/** A steady solution as JSON. */
public final class SolutionJson {
  private record Steady(
      List<StackSolution.Source> sources,
      double peakCelsius,
      List<StackSolution.Layer> layers,
      double heatWatts,
      double energyImbalanceRelative,
      double discretisationErrorKelvin,
      long cells,
      int iterations,
      double seconds) {}

  private SolutionJson() {}

  /**
   * The published block.
   *
   * @param seconds what the solution took
   */
  public static ObjectNode of(StackSolution solution, double seconds) {
    return Json.published(
        new Steady(
            solution.sources(),
            solution.peakCelsius(),
            solution.layers(),
            solution.heatWatts(),
            solution.energyImbalanceRelative(),
            solution.discretisationErrorKelvin(),
            solution.cells(),
            solution.iterations(),
            seconds));
  }
}
