package dev.ambershim.core.plan;

import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.LapPass;
import dev.ambershim.core.physics.surface.LapTerms;
import dev.ambershim.core.physics.surface.LappingPlan;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.physics.surface.Surfaces;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;

/** A part's face as it is lapped: its outline, what it is made of, and its papers and strokes. */
public final class LapOrder {
  /** A lapping plate is about so large, mm, and so thick. */
  private static final double LAP_MILLIMETRES = 200;

  private static final double LAP_THICKNESS = 10;

  private LapOrder() {}

  /** The outline of a face, mm; a lapping plate is as large as it was probed. */
  public static Patch outline(Chip chip, Cooler cooler, Face face) {
    return switch (face) {
      case LID_TOP -> new Patch(0, 0, chip.lid().widthMillimetres(), chip.lid().depthMillimetres());
      case LID_UNDERSIDE ->
          new Patch(
              0,
              0,
              chip.lid().widthMillimetres() - 2 * chip.lid().rimMillimetres(),
              chip.lid().depthMillimetres() - 2 * chip.lid().rimMillimetres());
      case PLATE -> new Patch(0, 0, cooler.widthMillimetres(), cooler.depthMillimetres());
      case DIE -> around(chip);
      case LAP -> new Patch(0, 0, LAP_MILLIMETRES, LAP_MILLIMETRES);
    };
  }

  private static Patch around(Chip chip) {
    double left = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (Die d : chip.dies()) {
      left = Math.min(left, d.xMillimetres() - d.widthMillimetres() / 2);
      right = Math.max(right, d.xMillimetres() + d.widthMillimetres() / 2);
      low = Math.min(low, d.yMillimetres() - d.depthMillimetres() / 2);
      high = Math.max(high, d.yMillimetres() + d.depthMillimetres() / 2);
    }
    return new Patch((left + right) / 2, (low + high) / 2, right - left, high - low);
  }

  private static Material material(Chip chip, Cooler cooler, Face face) {
    return switch (face) {
      case LID_TOP, LID_UNDERSIDE -> chip.lid().material();
      case PLATE -> cooler.material();
      case DIE -> Material.SILICON;
      case LAP -> Material.COPPER;
    };
  }

  /** Thickness of the part as described, mm. */
  public static double thickness(Chip chip, Cooler cooler, Face face) {
    return switch (face) {
      case LID_TOP, LID_UNDERSIDE -> chip.lid().thicknessMillimetres();
      case PLATE -> cooler.thicknessMillimetres();
      case DIE -> chip.highestDieMicrometres() / 1000;
      case LAP -> LAP_THICKNESS;
    };
  }

  /** A face's last probing, judged; empty while there is none. */
  public static Optional<FaceReport> report(Surfaces surfaces, Face face) {
    return surfaces.latest(face).map(LapOrder::judged);
  }

  /** A probing, judged by itself. */
  public static FaceReport judged(Relief relief) {
    return FaceReport.of(relief.points(), Optional.empty());
  }

  /** The papers and strokes of a face; empty while it is not probed. */
  public static Optional<LappingPlan> of(Chip chip, Cooler cooler, Surfaces surfaces, Face face) {
    return surfaces
        .latest(face)
        .map(relief -> FaceReport.shape(relief.points()))
        .map(
            r ->
                LappingPlan.of(
                    r,
                    outline(chip, cooler, face),
                    material(chip, cooler, face),
                    thickness(chip, cooler, face),
                    terms(surfaces, cooler).withFace(face),
                    measured(chip, cooler, surfaces, face)));
  }

  /** Under an extreme-cold pot a face is lapped so that paste holds on, not for kelvin. */
  private static LapTerms terms(Surfaces surfaces, Cooler cooler) {
    boolean cold = cooler.kind() == CoolerClass.COLD_POT;
    return cold ? surfaces.terms().withExtremeCold(true) : surfaces.terms();
  }

  /**
   * The passes of a face; one that was not measured by micrometer is told from the reliefs right
   * before and after it, where both are there.
   */
  public static List<LapPass> measured(Chip chip, Cooler cooler, Surfaces surfaces, Face face) {
    List<LapPass> passes = new ArrayList<>();
    for (LapPass pass : surfaces.passes()) {
      if (pass.face() != face) {
        continue;
      }
      int number = passes.size() + 1;
      Optional<Relief> before = at(surfaces, face, number - 1);
      Optional<Relief> after = at(surfaces, face, number);
      if (pass.removedMicrometres() == null && before.isPresent() && after.isPresent()) {
        double off =
            LappingPlan.removedBetween(
                judged(before.get()), judged(after.get()), outline(chip, cooler, face));
        passes.add(Double.isNaN(off) ? pass : pass.removing(off));
      } else {
        passes.add(pass);
      }
    }
    return passes;
  }

  private static Optional<Relief> at(Surfaces surfaces, Face face, int stage) {
    return surfaces.reliefs().stream()
        .filter(r -> r.face() == face && r.stage() == stage)
        .reduce((a, b) -> b);
  }

  /** Papers and strokes of a face that is to be lapped, in words; empty if it needs none. */
  static Optional<String> papers(WorkCase work, Face face) {
    return of(work.chip(), work.cooler(), work.terms().surfaces(), face)
        .filter(plan -> !plan.steps().isEmpty())
        .map(
            plan ->
                plan.steps().stream()
                    .map(
                        s -> String.format(Locale.ROOT, "P%d %.0f", s.grit().number(), s.strokes()))
                    .collect(Collectors.joining(", ")));
  }
}
