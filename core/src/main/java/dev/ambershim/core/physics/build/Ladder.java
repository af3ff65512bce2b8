package dev.ambershim.core.physics.build;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.conduction.CompositeWall;
import dev.ambershim.core.physics.conduction.Spreading;
import java.util.ArrayList;
import java.util.List;

/**
 * The resistances between die and room air, in series, with closed-form spreading in lid and cold
 * plate. Several dies are taken as one source of their joint area; heat into the board is left out;
 * temperatures are means over the die. It is a first estimate: the three-dimensional solution
 * replaces it where die positions matter.
 *
 * @param steps the resistances from the die outwards
 */
public record Ladder(List<Step> steps) {
  /**
   * One resistance.
   *
   * @param name what it is
   * @param kelvinPerWatt its size
   */
  public record Step(String name, double kelvinPerWatt) {}

  /** What can be uncertain, as factors on the likely figures; 1 leaves a figure alone. */
  public record Doubt(double inner, double outer, double silicon, double cooler) {
    public static final Doubt NONE = new Doubt(1, 1, 1, 1);
  }

  /** Copies its list. */
  public Ladder {
    steps = List.copyOf(steps);
  }

  /** The ladder with likely figures. */
  public static Ladder of(Chip chip, Cooler cooler, Build build) {
    return of(chip, cooler, build, Doubt.NONE);
  }

  public static Ladder of(Chip chip, Cooler cooler, Build build, Doubt doubt) {
    return new Frame(chip, cooler, build).ladder(doubt);
  }

  /** The resistances of one ladder, K/W; without a lid, those of inner joint and lid are 0. */
  private record Through(
      double die, double inner, double lid, double outer, double plate, double room) {
    double sum() {
      return die + inner + lid + outer + plate + room;
    }
  }

  /** What of a ladder does not hang on what is uncertain: a forecast asks many thousand times. */
  static final class Frame {
    private final boolean lidOn;
    private final double die;
    private final double inner;
    private final double outer;
    private final double cooler;
    private final double base;
    private final double source;
    private final double plateArea;
    private final Spreading lid;
    private final Spreading plate;

    Frame(Chip chip, Cooler cooler, Build build) {
      double dieArea = chip.dieAreaSquareMillimetres() * 1e-6;
      plateArea = cooler.areaSquareMillimetres() * 1e-6;
      lidOn = build.lidOn();
      source = lidOn ? chip.lid().areaSquareMillimetres() * 1e-6 : dieArea;
      // Cores sit on the underside; what conducts is the silicon above them.
      die =
          CompositeWall.layerKelvinPerWatt(
              chip.highestDieMicrometres() * 1e-6,
              SiliconAt.likelyWattsPerMetreKelvin(cooler),
              dieArea);
      inner = lidOn ? jointResistance(build.inner(), dieArea) : 0;
      outer = jointResistance(build.outer(), source);
      this.cooler = cooler.resistanceKelvinPerWatt();
      base = cooler.baseKelvinPerWatt();
      double across = Math.sqrt(cooler.along());
      plate =
          new Spreading(
              Math.min(source, plateArea),
              plateArea,
              cooler.thicknessMillimetres() * 1e-3 * across,
              cooler.material().likelyWattsPerMetreKelvin() * across);
      lid =
          lidOn
              ? new Spreading(
                  dieArea,
                  source,
                  chip.lid().thicknessMillimetres() * 1e-3,
                  chip.lid().material().likelyWattsPerMetreKelvin())
              : null;
    }

    private static double jointResistance(Joint joint, double area) {
      return joint.resistanceSquareMillimetreKelvinPerWatt() * 1e-6 / area;
    }

    /** Sum of all steps, K/W. */
    double totalKelvinPerWatt(Doubt doubt) {
      return through(doubt).sum();
    }

    private Through through(Doubt doubt) {
      double under = base * doubt.cooler();
      double joint = outer * doubt.outer();
      double spread = plate.meanKelvinPerWatt(1 / (under * plateArea));
      return new Through(
          die / doubt.silicon(),
          inner * doubt.inner(),
          lidOn ? lid.meanKelvinPerWatt(1 / ((joint + spread + under) * source)) : 0,
          joint,
          spread,
          cooler * doubt.cooler());
    }

    private Ladder ladder(Doubt doubt) {
      Through through = through(doubt);
      List<Step> steps = new ArrayList<>();
      steps.add(new Step("die", through.die()));
      if (lidOn) {
        steps.add(new Step("inner joint", through.inner()));
        steps.add(new Step("lid", through.lid()));
      }
      steps.add(new Step(lidOn ? "outer joint" : "bare joint", through.outer()));
      steps.add(new Step("cold plate", through.plate()));
      steps.add(new Step("cooler to room", through.room()));
      return new Ladder(steps);
    }
  }

  /** Sum of all steps, K/W. */
  public double totalKelvinPerWatt() {
    return steps.stream().mapToDouble(Step::kelvinPerWatt).sum();
  }
}
