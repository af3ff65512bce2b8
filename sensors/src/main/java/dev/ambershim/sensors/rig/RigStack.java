package dev.ambershim.sensors.rig;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.build.BuildStack;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.material.Material;
import java.util.ArrayList;
import java.util.List;

/** The rig's chip and cold plate as a stack with heat capacities, and with the faults in it. */
final class RigStack {
  /** A bad dry joint conducts this much less. */
  private static final double DRY_FACTOR = 1.6;

  /** A bad tilt lifts the far edge of the plate by this, µm. */
  private static final double TILT_MICROMETRES = 400;

  /** A bad hole resists as this much more bond line, µm, of the joint's own filling. */
  private static final double VOID_MICROMETRES = 1500;

  private RigStack() {}

  /**
   * The stack.
   *
   * @param film film coefficient at the cold plate's far face, W/m²·K
   */
  static StackCase of(RigSetup setup, double film) {
    StackCase plain = BuildStack.likely(setup.machine(), 1, setup.roomCelsius());
    boolean lid = setup.machine().build().lidOn();
    String nearest = lid ? Part.INNER : Part.OUTER;
    List<StackLayer> layers = new ArrayList<>();
    int last = plain.layers().size() - 1;
    for (int l = 0; l <= last; l++) {
      StackLayer layer = l == last ? solid(plain.layers().get(l)) : plain.layers().get(l);
      StackLayer made = layer.withHeatCapacity(capacity(layer, setup));
      if (layer.name().equals(nearest)) {
        made = withHole(dried(made, setup), setup);
      }
      if (layer.name().equals(Part.OUTER)) {
        made = tilted(made, setup);
      }
      layers.add(made);
    }
    return new StackCase(layers, plain.heat(), film, setup.roomCelsius());
  }

  /** In time the metal under the fins counts, as it holds heat. */
  private static StackLayer solid(StackLayer fins) {
    return StackLayer.solid(
        fins.name(),
        fins.conductivityWattsPerMetreKelvin(),
        fins.bounds(),
        fins.thicknessMicrometres());
  }

  private static double capacity(StackLayer layer, RigSetup setup) {
    Material material =
        switch (layer.name()) {
          case Part.DIE -> Material.SILICON;
          case Part.LID -> setup.machine().chip().lid().material();
          default -> setup.machine().cooler().material();
        };
    // Joints are too thin to hold heat that would count.
    return layer.crossing() ? 0 : material.heatCapacityJoulesPerCubicMetreKelvin();
  }

  private static StackLayer dried(StackLayer joint, RigSetup setup) {
    double worse = 1 + DRY_FACTOR * setup.fault(Fault.DRY_PASTE);
    return worse == 1
        ? joint
        : new StackLayer(
            joint.name(),
            joint.conductivityWattsPerMetreKelvin() / worse,
            joint.fall(),
            joint.patches(),
            joint.thicknessMicrometres(),
            joint.crossing(),
            joint.contactSquareMillimetreKelvinPerWatt(),
            joint.map(),
            joint.heatCapacityJoulesPerCubicMetreKelvin());
  }

  private static StackLayer tilted(StackLayer joint, RigSetup setup) {
    double lift = TILT_MICROMETRES * setup.fault(Fault.TILTED_COOLER);
    if (lift == 0) {
      return joint;
    }
    refuseSteps(joint, Fault.TILTED_COOLER);
    Patch whole = joint.bounds();
    double t = joint.thicknessMicrometres();
    // The front edge stays down at the bond line; the back one is lifted.
    return joint.withMap(
        new ThicknessMap.Grid(
            new double[] {whole.xMillimetres()},
            new double[] {whole.lowMillimetres(), whole.highMillimetres()},
            new double[][] {{t}, {t + lift}}));
  }

  /** Over the second core, so that it is not in a corner of an even pattern. */
  private static StackLayer withHole(StackLayer joint, RigSetup setup) {
    double more = VOID_MICROMETRES * setup.fault(Fault.FILM_VOID);
    if (more == 0) {
      return joint;
    }
    refuseSteps(joint, Fault.FILM_VOID);
    List<Patch> cores = CoreLayout.of(setup.machine().chip()).cores();
    Patch core = cores.get(Math.min(1, cores.size() - 1));
    double e = 0.15;
    double[] x = {
      core.leftMillimetres() - e,
      core.leftMillimetres(),
      core.rightMillimetres(),
      core.rightMillimetres() + e
    };
    double[] y = {
      core.lowMillimetres() - e,
      core.lowMillimetres(),
      core.highMillimetres(),
      core.highMillimetres() + e
    };
    double t = joint.thicknessMicrometres();
    double[][] thick = new double[4][4];
    for (int j = 0; j < 4; j++) {
      for (int i = 0; i < 4; i++) {
        boolean inside = i % 3 != 0 && j % 3 != 0;
        thick[j][i] = inside ? t + more : t;
      }
    }
    return joint.withMap(new ThicknessMap.Grid(x, y, thick));
  }

  /** Dies of different height make steps in a joint, and a second map cannot lie over them. */
  private static void refuseSteps(StackLayer joint, Fault fault) {
    if (joint.map().isPresent()) {
      throw new Problem(
          "rig.fault",
          Place.field(fault.words()),
          "The "
              + joint.name()
              + " has a shape of its own already, so this fault cannot be put in.",
          "Choose another fault, one at a time, or a chip whose dies are of one height.");
    }
  }
}
