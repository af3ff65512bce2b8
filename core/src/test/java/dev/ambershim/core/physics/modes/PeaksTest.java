package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Peaks against many more places; the stack is invented. */
class PeaksTest {
  private static final int MANY = 150;

  /** Heats across each other; between two edges lies a top that a coarse grid does not see. */
  private static BoxField field(int parts) {
    List<HeatSource> heats =
        List.of(
            HeatSource.steady("core 0", new Patch(-0.04, 0.81, 2.42, 3.51), 5.4),
            HeatSource.steady("core 1", new Patch(-0.02, -0.58, 2.58, 2.2), 17.9),
            HeatSource.steady("core 2", new Patch(-0.22, -0.57, 2.26, 1.87), 12.3),
            HeatSource.steady("core 3", new Patch(1.14, -0.19, 2.05, 2.86), 19),
            HeatSource.steady("core 4", new Patch(-0.36, -2.17, 3.42, 2.97), 19.7),
            HeatSource.steady("core 5", new Patch(2.2, 3.6, 1.2, 2.2), 4));
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 135, new Patch(0, 0, 8.55, 11.43), 568),
                StackLayer.joint("paste", 75, new Patch(0, 0, 8.55, 11.43), 149),
                StackLayer.solid("lid", 62, new Patch(-0.4, -0.9, 10.6, 14.9), 3437)),
            heats,
            6313,
            30);
    double[] watts = heats.stream().mapToDouble(HeatSource::watts).toArray();
    return new SteadyBoxes(Boxes.of(stack, 1.2e-3, parts).orElseThrow())
        .solve(stack, watts, 1e-8, SolveWatch.NONE);
  }

  @Test
  void areWhereManyMorePlacesHaveTheirHighest() {
    BoxField field = field(3);
    Peaks peaks = new Peaks(field);
    double[] found = peaks.kelvin(peaks.candidates());
    double rise = Arrays.stream(found).max().orElseThrow();
    for (int s = 0; s < found.length; s++) {
      Patch patch = field.boxes().spots.get(s).patch();
      double[][] many =
          field.at(
              s,
              field
                  .boxes()
                  .places(
                      field.boxes().spots.get(s).box(),
                      even(Footprint.low(patch, true), Footprint.high(patch, true)),
                      even(Footprint.low(patch, false), Footprint.high(patch, false)),
                      field.stack().heat().stream().map(HeatSource::patch).toList()));
      double highest = 0;
      for (double[] row : many) {
        for (double one : row) {
          highest = Math.max(highest, one);
        }
      }
      assertThat(found[s]).isCloseTo(highest, within(2e-4 * rise));
    }
  }

  private static List<NearField.Span> even(double from, double to) {
    double[] places = new double[MANY + 1];
    for (int i = 0; i <= MANY; i++) {
      places[i] = from + (to - from) * i / MANY;
    }
    return NearField.Span.places(places);
  }

  /** What one grid found worth a closer look is looked at on another, too. */
  @Test
  void ofGridsAreLookedForInTheSamePlaces() {
    Peaks fine = new Peaks(field(4));
    Peaks.Candidates candidates = fine.candidates();
    double[] known = fine.kelvin(candidates);
    double[] coarse = new Peaks(field(2)).kelvin(candidates);
    for (int s = 0; s < known.length; s++) {
      assertThat(coarse[s]).isCloseTo(known[s], within(0.02 * known[s]));
    }
  }
}
