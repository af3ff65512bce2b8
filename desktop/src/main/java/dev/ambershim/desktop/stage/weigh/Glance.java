package dev.ambershim.desktop.stage.weigh;

import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.stage.weigh.CloseUp;
import dev.ambershim.core.stage.weigh.WhatIf;
import dev.ambershim.desktop.stage.weigh.WeighModel.Shown;
import java.util.Optional;

/**
 * The pictures of an answer for the loads that a slider passes, one after the other. Used on the
 * line of reckoning only.
 */
final class Glance {
  private CloseUp look;
  private int lookFor;

  /**
   * The pictures for another load.
   *
   * @param answer counts answers, so that each has a look of its own
   * @return empty if the chip bears no such load, which the weighing says in words
   */
  Optional<Shown> of(Shown seen, int answer, WhatIf load) {
    try {
      if (look == null || lookFor != answer) {
        look = CloseUp.of(seen.weighing(), SolveWatch.NONE);
        lookFor = answer;
      }
      Shown now = WeighModel.pictured(seen.weighing(), seen.picked(), look.under(load));
      return Optional.of(new Shown(now.weighing(), now.picked(), now.now(), now.then(), true));
    } catch (RuntimeException cannot) {
      return Optional.empty();
    }
  }
}
