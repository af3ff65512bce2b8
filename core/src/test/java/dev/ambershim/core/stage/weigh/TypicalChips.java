package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.Lid;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.plan.Terms;
import java.util.List;

/** Eight invented chips of the kinds that people open, each at a heavy load under its cooler. */
enum TypicalChips {
  SMALL_PASTE(8.5, 14, 700, 4, Filling.FACTORY_PASTE, 0.66, CoolerClass.OWN_LOOP_THICK, 95),
  MIDDLING_PASTE(9.2, 19, 780, 8, Filling.FACTORY_PASTE, 0.75, CoolerClass.LARGE_LOOP, 150),
  LONG_PASTE(9.2, 16.5, 750, 6, Filling.FACTORY_PASTE, 0.72, CoolerClass.LARGE_AIR_TOWER, 125),
  LARGE_PASTE(16, 20, 780, 10, Filling.FACTORY_PASTE, 0.75, CoolerClass.LARGE_LOOP, 230),
  SMALL_SOLDER(9, 13, 560, 6, Filling.SOLDER, 0.58, CoolerClass.OWN_LOOP_THICK, 130),
  MIDDLING_SOLDER(10.5, 20.5, 560, 8, Filling.SOLDER, 0.58, CoolerClass.LARGE_LOOP, 200),
  HOT_SOLDER(10.5, 20.5, 560, 8, Filling.SOLDER, 0.58, CoolerClass.OWN_LOOP_THICK, 280),
  LARGE_SOLDER(22, 24, 600, 18, Filling.SOLDER, 0.62, CoolerClass.LARGE_LOOP, 280);

  final Question question;

  TypicalChips(
      double width,
      double depth,
      double height,
      int cores,
      Filling inner,
      double cavity,
      CoolerClass cooler,
      double watts) {
    double lid = Math.max(30.5, depth + 12);
    Chip chip =
        new Chip(
            name(),
            "invented",
            lid + 7,
            lid + 7,
            1.2,
            cores,
            List.of(new Die("die", 0, 0, width, depth, height, 1)),
            new Lid(lid, lid, 2.3, cavity, 3.2, Material.COPPER));
    Joint joint = Joint.usual(inner);
    Build now =
        new Build(
            true,
            joint.bondLineMicrometres() + height - cavity * 1000,
            joint,
            Joint.usual(Filling.PASTE));
    question =
        new Question(
            new Situation(chip, cooler.usual("cooler", 3.5), now),
            watts,
            22,
            1,
            List.of(),
            List.of(),
            Terms.USUAL,
            OwnRecord.NONE);
  }

  boolean pasted() {
    return question.now().build().inner().filling() == Filling.FACTORY_PASTE;
  }
}
