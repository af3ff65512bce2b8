package dev.ambershim.core.forecast;

import dev.ambershim.core.assembly.Build;
import dev.ambershim.core.assembly.Chip;
import dev.ambershim.core.assembly.Cooler;
import dev.ambershim.core.assembly.Joint;
import dev.ambershim.core.conduction.CompositeWall;
import dev.ambershim.core.conduction.Spreading;
import dev.ambershim.core.material.Material;
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
  record Doubt(double inner, double outer, double silicon, double cooler) {
    static final Doubt NONE = new Doubt(1, 1, 1, 1);
  }

  /** Copies its list. */
  public Ladder {
    steps = List.copyOf(steps);
  }

  /** The ladder with likely figures. */
  public static Ladder of(Chip chip, Cooler cooler, Build build) {
    return of(chip, cooler, build, Doubt.NONE);
  }

  static Ladder of(Chip chip, Cooler cooler, Build build, Doubt doubt) {
    double dieArea = chip.dieAreaSquareMillimetres() * 1e-6;
    double plateArea = cooler.areaSquareMillimetres() * 1e-6;
    double coolerResistance = cooler.resistanceKelvinPerWatt() * doubt.cooler();
    List<Step> steps = new ArrayList<>();
    // Cores sit on the underside; what conducts is the silicon above them.
    double siliconMetres = chip.highestDieMicrometres() * 1e-6;
    steps.add(
        new Step(
            "die",
            CompositeWall.layerKelvinPerWatt(
                siliconMetres,
                Material.SILICON.likelyWattsPerMetreKelvin() * doubt.silicon(),
                dieArea)));
    double source = dieArea;
    if (build.lidOn()) {
      double lidArea = chip.lid().areaSquareMillimetres() * 1e-6;
      steps.add(joint("inner joint", build.inner(), dieArea, doubt.inner()));
      double above =
          jointResistance(build.outer(), lidArea, doubt.outer())
              + plate(cooler, lidArea, plateArea, coolerResistance)
              + coolerResistance;
      steps.add(
          new Step(
              "lid",
              Spreading.meanKelvinPerWatt(
                  dieArea,
                  lidArea,
                  chip.lid().thicknessMillimetres() * 1e-3,
                  chip.lid().material().likelyWattsPerMetreKelvin(),
                  1 / (above * lidArea))));
      source = lidArea;
    }
    steps.add(
        joint(build.lidOn() ? "outer joint" : "bare joint", build.outer(), source, doubt.outer()));
    steps.add(new Step("cold plate", plate(cooler, source, plateArea, coolerResistance)));
    steps.add(new Step("cooler to room", coolerResistance));
    return new Ladder(steps);
  }

  private static double plate(Cooler cooler, double source, double plateArea, double resistance) {
    return Spreading.meanKelvinPerWatt(
        Math.min(source, plateArea),
        plateArea,
        cooler.thicknessMillimetres() * 1e-3,
        cooler.material().likelyWattsPerMetreKelvin(),
        1 / (resistance * plateArea));
  }

  private static Step joint(String name, Joint joint, double area, double factor) {
    return new Step(name, jointResistance(joint, area, factor));
  }

  private static double jointResistance(Joint joint, double area, double factor) {
    return joint.resistanceSquareMillimetreKelvinPerWatt() * 1e-6 / area * factor;
  }

  /** Sum of all steps, K/W. */
  public double totalKelvinPerWatt() {
    return steps.stream().mapToDouble(Step::kelvinPerWatt).sum();
  }
}
