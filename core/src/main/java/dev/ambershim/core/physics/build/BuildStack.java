package dev.ambershim.core.physics.build;

import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.build.Ladder.Doubt;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSection;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.DoubleStream;

/**
 * A situation as a stack for conduction: dies, inner joint, lid, outer joint, cold plate, and above
 * it the footprint of the fins, thin and without spreading of its own, that carries the film. What
 * the heat passes after the base lifts the coolant over the room, all of it alike. The lid's rim,
 * the glue and heat into the board are left out. Dies of different height are all as thick as the
 * highest, and the joint over a lower one is thicker by the difference.
 */
public final class BuildStack {
  /** Thin enough not to matter beside any film. */
  private static final double FIN_BASE_MICROMETRES = 150;

  private BuildStack() {}

  /**
   * The stack by its likely figures.
   *
   * @param watts heat of the whole chip
   * @param roomCelsius the room
   */
  public static StackCase likely(Situation at, double watts, double roomCelsius) {
    return of(at, Doubt.NONE, CoreLayout.of(at.chip()), watts, roomCelsius);
  }

  /**
   * The stack.
   *
   * @param watts heat of the whole chip
   * @param roomCelsius the room
   */
  static StackCase of(
      Situation at, Doubt doubt, CoreLayout layout, double watts, double roomCelsius) {
    Chip chip = at.chip();
    Cooler cooler = at.cooler();
    List<Patch> dies = chip.dies().stream().map(CoreLayout::patch).toList();
    Patch plate = new Patch(0, 0, cooler.widthMillimetres(), cooler.depthMillimetres());
    List<StackLayer> layers = new ArrayList<>();
    layers.add(
        StackLayer.solid(
                Part.DIE,
                SiliconAt.likelyWattsPerMetreKelvin(cooler) * doubt.silicon(),
                dies.get(0),
                chip.highestDieMicrometres())
            .over(dies));
    if (at.build().lidOn()) {
      Patch lid = new Patch(0, 0, chip.lid().widthMillimetres(), chip.lid().depthMillimetres());
      layers.add(overDies(Part.INNER, at.build().inner(), doubt.inner(), chip, dies));
      layers.add(
          StackLayer.solid(
              Part.LID,
              chip.lid().material().likelyWattsPerMetreKelvin(),
              lid,
              chip.lid().thicknessMillimetres() * 1000));
      layers.add(joint(Part.OUTER, at.build().outer(), doubt.outer(), common(lid, plate)));
    } else {
      layers.add(overDies(Part.OUTER, at.build().outer(), doubt.outer(), chip, dies));
    }
    double metal = cooler.material().likelyWattsPerMetreKelvin();
    // A plate that conducts better along itself is one of even conductivity, stretched across
    // (Carslaw & Jaeger, 1.20).
    double stretch = Math.sqrt(cooler.along());
    layers.add(
        StackLayer.solid(
            Part.PLATE, metal * stretch, plate, cooler.thicknessMillimetres() * 1000 * stretch));
    layers.add(
        StackLayer.joint(
            "fins",
            metal,
            new Patch(0, 0, cooler.finnedWidthMillimetres(), cooler.finnedDepthMillimetres()),
            FIN_BASE_MICROMETRES));
    List<HeatSource> heat =
        layout.heat().stream().map(h -> h.withWatts(h.watts() * watts)).toList();
    double base = cooler.baseKelvinPerWatt() * doubt.cooler();
    double beyond = cooler.beyondKelvinPerWatt() * doubt.cooler() * watts;
    return new StackCase(
        layers, heat, cooler.filmWattsPerSquareMetreKelvin(base), roomCelsius + beyond);
  }

  /** A section of such a stack with its plate as thick as it is, and not as it was stretched. */
  static StackSection inTrueHeights(StackSection section, Cooler cooler) {
    double stretch = Math.sqrt(cooler.along());
    List<StackSection.Piece> pieces = new ArrayList<>();
    for (StackSection.Piece piece : section.pieces()) {
      double[] heights = piece.heightMillimetres().clone();
      if (piece.layer().equals(Part.PLATE)) {
        for (int k = 1; k < heights.length; k++) {
          heights[k] = heights[0] + (heights[k] - heights[0]) / stretch;
        }
      }
      pieces.add(
          new StackSection.Piece(piece.layer(), piece.xMillimetres(), heights, piece.celsius()));
    }
    return new StackSection(section.yMillimetres(), pieces);
  }

  private static Patch common(Patch a, Patch b) {
    return new Patch(
        0,
        0,
        Math.min(a.widthMillimetres(), b.widthMillimetres()),
        Math.min(a.depthMillimetres(), b.depthMillimetres()));
  }

  private static StackLayer joint(String name, Joint joint, double factor, Patch patch) {
    return StackLayer.joint(
        name, joint.conductivityWattsPerMetreKelvin() / factor, patch, joint.bondLineMicrometres());
  }

  private static StackLayer overDies(
      String name, Joint joint, double factor, Chip chip, List<Patch> dies) {
    StackLayer even = joint(name, joint, factor, dies.get(0)).over(dies);
    double highest = chip.highestDieMicrometres();
    boolean level = chip.dies().stream().allMatch(d -> d.heightMicrometres() == highest);
    return level ? even : even.withMap(steps(joint.bondLineMicrometres(), chip, dies));
  }

  /** A table with its nodes on the dies' edges: each die's own thickness, even over the die. */
  private static ThicknessMap steps(double thinnest, Chip chip, List<Patch> dies) {
    double[] xs =
        dies.stream()
            .flatMapToDouble(d -> DoubleStream.of(d.leftMillimetres(), d.rightMillimetres()))
            .sorted()
            .distinct()
            .toArray();
    double[] ys =
        dies.stream()
            .flatMapToDouble(d -> DoubleStream.of(d.lowMillimetres(), d.highMillimetres()))
            .sorted()
            .distinct()
            .toArray();
    double[][] thick = new double[ys.length][xs.length];
    for (int j = 0; j < ys.length; j++) {
      for (int i = 0; i < xs.length; i++) {
        Die over = nearest(chip, dies, xs[i], ys[j]);
        thick[j][i] = thinnest + chip.highestDieMicrometres() - over.heightMicrometres();
      }
    }
    return new ThicknessMap.Grid(xs, ys, thick);
  }

  private static Die nearest(Chip chip, List<Patch> dies, double x, double y) {
    Die found = chip.dies().get(0);
    double least = Double.POSITIVE_INFINITY;
    for (int d = 0; d < dies.size(); d++) {
      Patch p = dies.get(d);
      double away =
          Math.hypot(
              Math.max(0, Math.abs(x - p.xMillimetres()) - p.widthMillimetres() / 2),
              Math.max(0, Math.abs(y - p.yMillimetres()) - p.depthMillimetres() / 2));
      if (away < least - 1e-9) {
        least = away;
        found = chip.dies().get(d);
      }
    }
    return found;
  }
}
