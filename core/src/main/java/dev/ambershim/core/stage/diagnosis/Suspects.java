package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.stage.diagnosis.Shape.Form;
import dev.ambershim.core.stage.diagnosis.Suspect.Seat;
import dev.ambershim.core.stage.diagnosis.Suspect.Stray;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * All suspects of a stack: the priors of the causes spread over shapes that lie close enough for
 * straight lines between them (a Gaussian sum: Alspach &amp; Sorenson 1972, <i>IEEE Trans. Automat.
 * Contr.</i> 17, from memory). How large a fault usually is, is common practice.
 */
final class Suspects {
  /** Extra thickness, as shares. */
  private static final double[] THICK = {0.55, 0.95, 1.5, 2.3, 3.4};

  private static final double THICK_SPREAD = 0.16;

  /** Of thick joints on several dies, how many are thick over one of them alone. */
  private static final double OVER_ONE_DIE = 0.5;

  /** Extra thickness in the middle of a tilted joint whose one edge is as it should be. */
  private static final double[] LIFTED = {0.4, 0.8, 1.5, 2.5, 3.8};

  /**
   * The same where a cooler stands so crooked that the paste does not fill the wedge, and how many
   * tilted coolers do.
   */
  private static final double[] OFF = {7, 13, 25};

  private static final double OFF_ITS_EDGE = 0.3;

  /** Tilt about the middle, as a share at the edges. */
  private static final double[] BALANCED = {0.45, 0.75};

  private static final int DIRECTIONS = 8;

  /** Places of a gap along a die, as shares of its half width. */
  private static final double[] PLACES = {-0.85, -0.42, 0, 0.42, 0.85};

  /** Radii as shares of the die's mean width. */
  private static final double[] RADII = {0.2, 0.38};

  /** Extra thickness inside a gap, as shares. */
  private static final double[] DEPTHS = {9};

  /** How far over a die's edge a gap in a joint above the lid still matters, mm. */
  private static final double BEYOND_DIE = 2;

  private static final double[] FILMS = {0.33, 0.42, 0.52, 0.65, 0.78};
  private static final double FILM_SPREAD = 0.12;

  /** How often two causes come together, against what chance alone would give. */
  private static final double TOGETHER = 0.3;

  private final StackModel model;
  private final List<Integer> mounts;
  private final boolean turned;
  private final List<Suspect> all = new ArrayList<>();

  private Suspects(StackModel model, List<Integer> mounts, boolean turned) {
    this.model = model;
    this.mounts = mounts;
    this.turned = turned;
  }

  /**
   * The suspects with nothing that strays.
   *
   * @param mounts the mounts that were read, from 1
   * @param turned whether the cooler was turned between them
   * @param innerCrooked of tilts and gaps, how many sit in another joint than the outermost
   */
  static List<Suspect> alone(
      StackModel model, List<Integer> mounts, boolean turned, double innerCrooked) {
    Suspects suspects = new Suspects(model, mounts, turned);
    suspects.shapes(CauseKind.AS_IT_SHOULD_BE, List.of(Shape.NONE), -1, 1);
    for (int j = 0; j < model.joints(); j++) {
      boolean outermost = j == model.outermost();
      double inner = model.joints() > 1 ? innerCrooked : 0;
      double crooked = outermost ? 1 - inner : inner / (model.joints() - 1);
      double thick = 1.0 / model.joints();
      List<Shape> overDies = suspects.overDies(j);
      double one = overDies.isEmpty() ? 0 : OVER_ONE_DIE;
      suspects.shapes(CauseKind.TOO_THICK, suspects.thick(j), j, (1 - one) * thick);
      if (one > 0) {
        suspects.shapes(CauseKind.TOO_THICK, overDies, j, one * thick);
      }
      suspects.shapes(CauseKind.GAP, suspects.gaps(j), j, crooked);
      if (!outermost) {
        suspects.shapes(CauseKind.TILTED, suspects.tilted(j, LIFTED, true), j, crooked);
        continue;
      }
      suspects.shapes(
          CauseKind.TILTED, suspects.tilted(j, LIFTED, true), j, (1 - OFF_ITS_EDGE) * crooked);
      suspects.shapes(CauseKind.TILTED, suspects.tilted(j, OFF, false), j, OFF_ITS_EDGE * crooked);
    }
    suspects.shapes(CauseKind.COOLER_WEAK, suspects.films(), -1, 1);
    return List.copyOf(suspects.all);
  }

  private List<Shape> thick(int joint) {
    List<Shape> shapes = new ArrayList<>();
    for (double extra : THICK) {
      shapes.add(
          new Shape(
              Form.EVEN, joint, new double[] {extra}, new double[] {THICK_SPREAD * (1 + extra)}));
    }
    return shapes;
  }

  /** A joint that lies on several dies, too thick over one of them. */
  private List<Shape> overDies(int joint) {
    List<Patch> patches = model.joint(joint).patches();
    Patch whole = model.joint(joint).bounds();
    List<Shape> shapes = new ArrayList<>();
    for (Patch die : patches.size() < 2 ? List.<Patch>of() : patches) {
      for (double extra : THICK) {
        shapes.add(
            new Shape(
                Form.BOX,
                joint,
                new double[] {
                  extra,
                  die.xMillimetres() - whole.xMillimetres(),
                  die.yMillimetres() - whole.yMillimetres(),
                  die.widthMillimetres() / 2,
                  die.depthMillimetres() / 2
                },
                new double[] {THICK_SPREAD * (1 + extra), 0, 0, 0, 0}));
      }
    }
    return shapes;
  }

  private List<Shape> films() {
    List<Shape> shapes = new ArrayList<>();
    for (double factor : FILMS) {
      shapes.add(
          new Shape(Form.FILM, -1, new double[] {Math.log(factor)}, new double[] {FILM_SPREAD}));
    }
    return shapes;
  }

  private List<Shape> tilted(int joint, double[] lifts, boolean balanced) {
    List<Shape> shapes = new ArrayList<>();
    for (int d = 0; d < DIRECTIONS; d++) {
      double angle = 2 * Math.PI * d / DIRECTIONS;
      double cos = Math.cos(angle);
      double sin = Math.sin(angle);
      // At the corner that it rises to, a tilt of 1 is one usual thickness more.
      double corner = Math.abs(cos) + Math.abs(sin);
      for (double lift : lifts) {
        double slope = lift / corner;
        shapes.add(
            new Shape(
                Form.PLANE,
                joint,
                new double[] {lift, slope * cos, slope * sin},
                new double[] {0.4 * lift, 0.3 * lift, 0.3 * lift}));
      }
      for (double edge : balanced ? BALANCED : new double[0]) {
        double slope = edge / corner;
        shapes.add(
            new Shape(
                Form.PLANE,
                joint,
                new double[] {0, slope * cos, slope * sin},
                new double[] {0.15, 0.15, 0.15}));
      }
    }
    return shapes;
  }

  private List<Shape> gaps(int joint) {
    Patch die = model.die();
    Patch whole = model.joint(joint).bounds();
    double over = joint == model.outermost() && model.joints() > 1 ? BEYOND_DIE : 0;
    double halfWidth = Math.min(die.widthMillimetres() / 2 + over, whole.widthMillimetres() / 2);
    double halfDepth = Math.min(die.depthMillimetres() / 2 + over, whole.depthMillimetres() / 2);
    double mean = Math.sqrt(die.widthMillimetres() * die.depthMillimetres());
    List<Shape> shapes = new ArrayList<>();
    for (double u : PLACES) {
      for (double v : PLACES) {
        for (double radius : RADII) {
          for (double depth : DEPTHS) {
            shapes.add(
                new Shape(
                    Form.GAP,
                    joint,
                    new double[] {u * halfWidth, v * halfDepth, radius * mean, Math.log(depth)},
                    new double[] {0.24 * halfWidth, 0.24 * halfDepth, 0.07 * mean, 1.0}));
          }
        }
      }
    }
    return shapes;
  }

  /** Shapes of one cause, wherever they may sit. */
  private void shapes(CauseKind kind, List<Shape> shapes, int joint, double share) {
    List<Seat> seats = new ArrayList<>(List.of(Seat.ALL));
    if (joint == model.outermost() && mounts.size() > 1) {
      if (turned && kind != CauseKind.TOO_THICK) {
        seats.add(Seat.TURNING);
      }
      mounts.forEach(m -> seats.add(Seat.only(m)));
    }
    for (Seat seat : seats) {
      for (Shape shape : shapes) {
        double each = kind.prior() * share / shapes.size() / seats.size();
        all.add(new Suspect(kind, shape, seat, Stray.NOTHING, -1, each));
      }
    }
  }

  /**
   * A suspect's shape with everything that may stray beside it.
   *
   * @param alone a suspect with nothing that strays
   * @param read which cores have a sensor
   */
  static List<Suspect> beside(Suspect alone, boolean[] read) {
    List<Suspect> pairs = new ArrayList<>();
    double warm = CauseKind.COOLANT_WARM.prior();
    pairs.add(with(alone, Stray.LOOP, -1, 0.75 * warm));
    pairs.add(with(alone, Stray.AIR, -1, 0.25 * warm));
    long sensors = IntStream.range(0, read.length).filter(c -> read[c]).count();
    for (int c = 0; c < read.length; c++) {
      if (read[c]) {
        double sensor = CauseKind.SENSOR_OFF.prior() / sensors;
        pairs.add(with(alone, Stray.SENSOR_HIGH, c, 0.6 * sensor));
        pairs.add(with(alone, Stray.SENSOR_LOW, c, 0.4 * sensor));
      }
      double power = CauseKind.CORE_DRAWS_MORE.prior() / read.length;
      pairs.add(with(alone, Stray.POWER, c, power));
    }
    if (alone.shape().form() == Form.NONE) {
      double none = CauseKind.NONE_OF_THESE.prior() / 3;
      pairs.add(with(alone, Stray.ALL_POWER, -1, none));
      pairs.add(with(alone, Stray.EVERYTHING, -1, none));
      pairs.add(with(alone, Stray.NOISE, -1, none));
    }
    return pairs;
  }

  private static Suspect with(Suspect alone, Stray stray, int core, double prior) {
    boolean single = alone.shape().form() == Form.NONE;
    return new Suspect(
        single ? stray.kind() : alone.kind(),
        alone.shape(),
        alone.seat(),
        stray,
        core,
        single ? prior : TOGETHER * alone.prior() * prior);
  }
}
