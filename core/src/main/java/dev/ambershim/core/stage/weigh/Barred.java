package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import java.util.Optional;

/** Why something cannot be done on a chip, in a sentence; empty where it can. */
final class Barred {
  /** What lapping takes off a die, and what must be left of it, by common practice. */
  static final double DIE_LAPPED_MICROMETRES = 120;

  private static final double DIE_LEFT_MICROMETRES = 400;

  private final Chip chip;
  private final Cooler cooler;
  private final Build build;
  private final Notation notation;

  Barred(Situation now, Notation notation) {
    chip = now.chip();
    cooler = now.cooler();
    build = now.build();
    this.notation = notation;
  }

  /** Nothing shears solder where no tool can hold the chip. */
  Optional<String> onBoard() {
    return build.lidOn() && build.inner().filling() == Filling.SOLDER && chip.seat().soldered()
        ? Optional.of("A soldered lid cannot be sheared off while the chip is on its board.")
        : Optional.empty();
  }

  /** Liquid metal is solid far below zero, and cracks. */
  Optional<String> frozen() {
    return cooler.kind() == CoolerClass.COLD_POT
        ? Optional.of("Liquid metal freezes under an extreme-cold pot, and lets go.")
        : Optional.empty();
  }

  Optional<String> lidOff() {
    return build.lidOn()
        ? Optional.empty()
        : Optional.of("The lid is off; this is for a chip with its lid on.");
  }

  Optional<String> aluminium(boolean outside) {
    if (chip.lid().material() == Material.ALUMINIUM) {
      return Optional.of("The lid is aluminium: liquid metal eats it.");
    }
    return outside ? plateAluminium() : Optional.empty();
  }

  Optional<String> plateAluminium() {
    return cooler.material() == Material.ALUMINIUM
        ? Optional.of("The cold plate is aluminium: liquid metal eats it.")
        : Optional.empty();
  }

  Optional<String> notCovered() {
    for (Die die : chip.dies()) {
      boolean wide =
          Math.abs(die.xMillimetres()) + die.widthMillimetres() / 2 > cooler.widthMillimetres() / 2;
      boolean deep =
          Math.abs(die.yMillimetres()) + die.depthMillimetres() / 2 > cooler.depthMillimetres() / 2;
      if (wide || deep) {
        return Optional.of("The cold plate does not reach over all of " + die.name() + ".");
      }
    }
    return Optional.empty();
  }

  Optional<String> outOfReach() {
    if (!build.lidOn()) {
      return Optional.empty();
    }
    double down =
        chip.lid().thicknessMillimetres()
            + chip.lid().cavityMillimetres()
            + (build.glueMicrometres() - chip.highestDieMicrometres()) / 1000;
    if (down <= cooler.reachMillimetres()) {
      return Optional.empty();
    }
    return Optional.of(
        "The cold plate would have to come down "
            + notation.text(down, Unit.MILLIMETRE)
            + "; its mount allows "
            + notation.text(cooler.reachMillimetres(), Unit.MILLIMETRE)
            + ".");
  }

  Optional<String> tooThin() {
    double left =
        chip.dies().stream().mapToDouble(Die::heightMicrometres).min().orElseThrow()
            - DIE_LAPPED_MICROMETRES;
    return left >= DIE_LEFT_MICROMETRES
        ? Optional.empty()
        : Optional.of(
            "Too little silicon: lapping would leave "
                + notation.text(left, Unit.MICROMETRE)
                + ".");
  }
}
