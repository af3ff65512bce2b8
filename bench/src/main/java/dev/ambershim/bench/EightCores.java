package dev.ambershim.bench;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import java.util.ArrayList;
import java.util.List;

/** The stack that the solver bench solves: eight cores, paste, lid, paste, cold plate. Invented. */
final class EightCores {
  static final double COOLANT_CELSIUS = 25;

  private EightCores() {}

  /**
   * The stack.
   *
   * @param innerMicrometres bond line of the inner joint
   * @param film W/m²·K
   * @param watts of each core but the first
   * @param first watts of the first core
   */
  static StackCase stack(double innerMicrometres, double film, double watts, double first) {
    List<HeatSource> heat = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      Patch core = new Patch(-4.5 + 3 * (i % 4), i < 4 ? -2 : 2, 2.4, 3);
      heat.add(HeatSource.steady("core " + i, core, i == 0 ? first : watts));
    }
    Patch die = new Patch(0, 0, 16, 10);
    Patch lid = new Patch(0, 0, 34, 34);
    return new StackCase(
        List.of(
            StackLayer.solid("die", 120, die, 700),
            StackLayer.joint("inner joint", 5, die, innerMicrometres),
            StackLayer.solid("lid", 401, lid, 2200),
            StackLayer.joint("outer joint", 5, lid, 50),
            StackLayer.solid("cold plate", 401, new Patch(0, 0, 60, 50), 5000)),
        heat,
        film,
        COOLANT_CELSIUS);
  }

  /** The stack as it comes. */
  static StackCase stack() {
    return stack(50, 6000, 18, 18);
  }
}
