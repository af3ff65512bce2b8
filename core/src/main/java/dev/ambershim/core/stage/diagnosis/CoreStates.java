package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.runs.causes.CoreState;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;

/** States with one core under load as readings: which heat drew what, by the chip's power. */
public final class CoreStates {
  private CoreStates() {}

  /**
   * The readings. Idle power is shared as full load is; what a loaded core adds is its own.
   *
   * @param layout the chip's heats, the cores first
   * @param states idle first; states of cores that the layout does not have are left out
   * @param mount the mount, from 1
   * @param degrees how far the cooler was turned
   */
  public static List<CaseReading> readings(
      List<HeatSource> layout, List<CoreState> states, int mount, double degrees) {
    double all = layout.stream().mapToDouble(HeatSource::watts).sum();
    double idle =
        states.stream()
            .filter(s -> s.core() < 0)
            .mapToDouble(CoreState::watts)
            .findFirst()
            .orElse(0);
    List<CaseReading> readings = new ArrayList<>();
    for (CoreState state : states) {
      if (state.core() >= layout.size() || state.celsius().size() > layout.size()) {
        continue;
      }
      Map<String, Double> watts = new LinkedHashMap<>();
      for (HeatSource heat : layout) {
        watts.put(heat.name(), heat.watts() / all * Math.min(idle, state.watts()));
      }
      if (state.core() >= 0) {
        watts.merge(
            layout.get(state.core()).name(), Math.max(0, state.watts() - idle), Double::sum);
      }
      Map<String, Double> celsius = new LinkedHashMap<>();
      for (int c = 0; c < state.celsius().size(); c++) {
        if (!Double.isNaN(state.celsius().get(c))) {
          celsius.put(layout.get(c).name(), state.celsius().get(c));
        }
      }
      if (!celsius.isEmpty() && (state.room().isPresent() || state.coolant().isPresent())) {
        readings.add(
            new CaseReading(
                state.core() < 0 ? "idle" : layout.get(state.core()).name() + " alone",
                mount,
                degrees,
                state.room(),
                state.coolant(),
                OptionalDouble.empty(),
                watts,
                celsius));
      }
    }
    return readings;
  }
}
