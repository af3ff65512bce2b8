package dev.ambershim.core.physics.conduction;

import java.util.ArrayList;
import java.util.List;

/** Invented stacks for tests. */
public final class Stacks {
  private Stacks() {}

  /** Eight cores under a paste joint, a lid, paste and a cold plate. */
  public static StackCase lidded() {
    List<HeatSource> heat = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      heat.add(
          HeatSource.steady(
              "core " + i, new Patch(-4.5 + 3 * (i % 4), i < 4 ? -2 : 2, 2.4, 3), 18));
    }
    Patch die = new Patch(0, 0, 16, 10);
    Patch lid = new Patch(0, 0, 34, 34);
    return new StackCase(
        List.of(
            StackLayer.solid("die", 120, die, 700),
            StackLayer.joint("inner joint", 5, die, 50),
            StackLayer.solid("lid", 401, lid, 2200),
            StackLayer.joint("outer joint", 5, lid, 50),
            StackLayer.solid("cold plate", 401, new Patch(0, 0, 60, 50), 5000)),
        heat,
        6000,
        25);
  }
}
