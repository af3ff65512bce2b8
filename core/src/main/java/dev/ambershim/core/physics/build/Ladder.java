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
  private static final String[] NAMES = {
    "die", "inner joint", "lid", "outer joint", "cold plate", "cooler to room"
  };
  private static final int DIE = 0;
  private static final int INNER = 1;
  private static final int LID = 2;
  private static final int OUTER = 3;
  private static final int PLATE = 4;
  private static final int ROOM = 5;

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
    double[] values = values(chip, cooler, build, doubt);
    List<Step> steps = new ArrayList<>();
    for (int i = 0; i < NAMES.length; i++) {
      boolean ofTheLid = i == INNER || i == LID;
      if (build.lidOn() || !ofTheLid) {
        String name = i == OUTER && !build.lidOn() ? "bare joint" : NAMES[i];
        steps.add(new Step(name, values[i]));
      }
    }
    return new Ladder(steps);
  }

  /** Sum of all steps, K/W, without making them: a forecast asks for it many thousand times. */
  static double total(Chip chip, Cooler cooler, Build build, Doubt doubt) {
    double sum = 0;
    for (double value : values(chip, cooler, build, doubt)) {
      sum += value;
    }
    return sum;
  }

  private static double[] values(Chip chip, Cooler cooler, Build build, Doubt doubt) {
    double dieArea = chip.dieAreaSquareMillimetres() * 1e-6;
    double plateArea = cooler.areaSquareMillimetres() * 1e-6;
    double coolerResistance = cooler.resistanceKelvinPerWatt() * doubt.cooler();
    double base = cooler.baseKelvinPerWatt() * doubt.cooler();
    double[] values = new double[NAMES.length];
    // Cores sit on the underside; what conducts is the silicon above them.
    double siliconMetres = chip.highestDieMicrometres() * 1e-6;
    values[DIE] =
        CompositeWall.layerKelvinPerWatt(
            siliconMetres, SiliconAt.likelyWattsPerMetreKelvin(cooler) * doubt.silicon(), dieArea);
    double source = dieArea;
    if (build.lidOn()) {
      source = chip.lid().areaSquareMillimetres() * 1e-6;
      values[INNER] = jointResistance(build.inner(), dieArea, doubt.inner());
      values[OUTER] = jointResistance(build.outer(), source, doubt.outer());
      values[PLATE] = plate(cooler, source, plateArea, base);
      double above = values[OUTER] + values[PLATE] + base;
      values[LID] =
          Spreading.meanKelvinPerWatt(
              dieArea,
              source,
              chip.lid().thicknessMillimetres() * 1e-3,
              chip.lid().material().likelyWattsPerMetreKelvin(),
              1 / (above * source));
    } else {
      values[OUTER] = jointResistance(build.outer(), source, doubt.outer());
      values[PLATE] = plate(cooler, source, plateArea, base);
    }
    values[ROOM] = coolerResistance;
    return values;
  }

  private static double plate(Cooler cooler, double source, double plateArea, double resistance) {
    return Spreading.meanKelvinPerWatt(
        Math.min(source, plateArea),
        plateArea,
        cooler.thicknessMillimetres() * 1e-3 * Math.sqrt(cooler.along()),
        cooler.material().likelyWattsPerMetreKelvin() * Math.sqrt(cooler.along()),
        1 / (resistance * plateArea));
  }

  private static double jointResistance(Joint joint, double area, double factor) {
    return joint.resistanceSquareMillimetreKelvinPerWatt() * 1e-6 / area * factor;
  }

  /** Sum of all steps, K/W. */
  public double totalKelvinPerWatt() {
    return steps.stream().mapToDouble(Step::kelvinPerWatt).sum();
  }
}
