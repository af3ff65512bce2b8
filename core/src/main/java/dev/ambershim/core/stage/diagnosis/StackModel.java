package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.SideBySide;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.modes.DrawnStack;
import dev.ambershim.core.physics.modes.LiveStack;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executor;
import java.util.function.DoubleBinaryOperator;

/**
 * A stack whose joints and film may differ from what they should be. The film is written as a joint
 * on the cold plate, so that it changes as the joints do. Responses are solved once for each shape
 * and kept.
 */
final class StackModel {
  private static final double WEAKEST_FILM = 10;
  private static final double STRONGEST_FILM = 1e8;

  /** Dies under load are about so hot: common practice, °C. */
  private static final double USUAL_DIE_CELSIUS = 70;

  /** Samples across a cell, each way, for the mean of a shape over it. */
  private static final int SAMPLES = 3;

  /** A joint so much thicker is solved finely, too; discretisation error of that, as a share. */
  private static final double ANCHOR = 2;

  private static final double FINE = 0.001;

  /** A correction goes no further beyond the anchor. */
  private static final double MOST_BEYOND = 1.6;

  /** What is left at least of a joint's resistance where a shape makes it thinner. */
  private static final double THINNEST = 0.08;

  private final StackCase stack;
  private final DrawnStack drawn;
  private final List<DrawnStack.Cell> cells;
  private final int[] joints;
  private final double[] micrometres;
  private final double[] base;
  private final double[] film;
  private final OptionalInt lid;

  /** How every cell's resistance moves with each joint's plane. */
  private final double[][][] planes;

  /** For each joint, what fine grids add to coarse cells once it is thick, K/W. */
  private final double[][][] finer;

  private final Map<Turned, DrawnStack.Responses> kept = new ConcurrentHashMap<>();

  /** A shape as it lies after the cooler was turned, degrees anticlockwise. */
  record Turned(Shape shape, double degrees) {
    /** Extra thickness at places from the joint's middle, as a share. */
    DoubleBinaryOperator extra(Patch whole) {
      double cosine = Math.cos(Math.toRadians(-degrees));
      double sine = Math.sin(Math.toRadians(-degrees));
      double halfWidth = whole.widthMillimetres() / 2;
      double halfDepth = whole.depthMillimetres() / 2;
      return (x, y) ->
          shape.extra(x * cosine - y * sine, x * sine + y * cosine, halfWidth, halfDepth);
    }
  }

  /**
   * Writes the stack out.
   *
   * @throws Problem {@code stack.…}, or {@code diagnose.boxes} for a stack that is not made of
   *     boxes
   */
  StackModel(StackCase given, SolveWatch watch) {
    stack = filmAsJoint(steady(given));
    try {
      drawn = new DrawnStack(stack, watch);
    } catch (IllegalArgumentException e) {
      throw new Problem(
          "diagnose.boxes",
          Place.field("stack.layers"),
          "The causes cannot be solved for layers of this form.",
          "Give every layer as rectangles that do not overlap, with a joint between solids.",
          e);
    }
    cells = drawn.places();
    joints = joints(stack);
    if (joints.length == 0) {
      throw new Problem(
          "diagnose.joints",
          Place.field("stack.layers"),
          "No joint lies between two solids.",
          "Mark the joints with \"interface\": true.");
    }
    micrometres =
        Arrays.stream(joints).mapToDouble(j -> thickness(stack.layers().get(j))).toArray();
    base = drawn.resistance(stack);
    double[] halved = drawn.resistance(stack.withFilm(stack.filmWattsPerSquareMetreKelvin() / 2));
    StackLayer last = stack.layers().get(stack.layers().size() - 1);
    double beyond = last.name().equals(FILM) ? 2 : 1;
    film = new double[base.length];
    Arrays.setAll(film, n -> beyond * (halved[n] - base[n]));
    lid = lid(stack);
    planes = new double[joints.length][][];
    finer = new double[joints.length][][];
    for (int j = 0; j < joints.length; j++) {
      planes[j] =
          slopes(new Turned(new Shape(Shape.Form.PLANE, j, new double[3], new double[3]), 0));
      finer[j] = finer(j, watch);
    }
  }

  /** The cells are right for the stack as given; what a thick joint makes of them is looked up. */
  private double[][] finer(int joint, SolveWatch watch) {
    Shape thick = new Shape(Shape.Form.EVEN, joint, new double[] {ANCHOR}, new double[] {0});
    double[][] rough = drawn.responses(total(new Turned(thick, 0))).kelvinPerWatt();
    StackLayer layer = joint(joint);
    StackCase there = stack.withLayer(joints[joint], thicker(layer));
    LiveStack live = LiveStack.forMeans(there, FINE, watch);
    double[][] all = new double[rough.length][rough.length];
    for (int s = 0; s < rough.length; s++) {
      double[] watts = new double[rough.length];
      watts[s] = 1;
      double[] celsius = live.meansCelsius(there.withWatts(watts), watch);
      for (int r = 0; r < rough.length; r++) {
        all[r][s] = celsius[r] - there.coolantCelsius() - rough[r][s];
      }
    }
    return all;
  }

  /** A joint that is an anchor thicker all over. */
  private StackLayer thicker(StackLayer layer) {
    if (layer.map().orElse(null) instanceof ThicknessMap.Grid grid) {
      double[][] more = new double[grid.micrometres().length][];
      for (int i = 0; i < more.length; i++) {
        more[i] = grid.micrometres()[i].clone();
        for (int k = 0; k < more[i].length; k++) {
          more[i][k] += ANCHOR * thickness(layer);
        }
      }
      return layer.withMap(new ThicknessMap.Grid(grid.xMillimetres(), grid.yMillimetres(), more));
    }
    return new StackLayer(
        layer.name(),
        layer.conductivityWattsPerMetreKelvin(),
        layer.fall(),
        layer.patches(),
        layer.thicknessMicrometres() * (1 + ANCHOR),
        true,
        layer.contactSquareMillimetreKelvinPerWatt(),
        layer.map(),
        layer.heatCapacityJoulesPerCubicMetreKelvin());
  }

  private static final String FILM = "the film itself";

  /** Falling conductivities as at a usual temperature; no leakage, as readings tell the watts. */
  private static StackCase steady(StackCase given) {
    List<StackLayer> layers =
        given.layers().stream()
            .map(
                l ->
                    l.fall()
                        .map(
                            f ->
                                new StackLayer(
                                    l.name(),
                                    l.conductivityWattsPerMetreKelvin()
                                        * f.factor(USUAL_DIE_CELSIUS),
                                    Optional.empty(),
                                    l.patches(),
                                    l.thicknessMicrometres(),
                                    l.crossing(),
                                    l.contactSquareMillimetreKelvinPerWatt(),
                                    l.map(),
                                    l.heatCapacityJoulesPerCubicMetreKelvin()))
                        .orElse(l))
            .toList();
    List<HeatSource> heat =
        given.heat().stream().map(h -> HeatSource.steady(h.name(), h.patch(), h.watts())).toList();
    return new StackCase(
        layers, heat, given.filmWattsPerSquareMetreKelvin(), given.coolantCelsius());
  }

  /** Half of the film's resistance as a joint over the last solid, and half beyond it. */
  private static StackCase filmAsJoint(StackCase given) {
    StackLayer last = given.layers().get(given.layers().size() - 1);
    double h =
        Math.min(STRONGEST_FILM, Math.max(WEAKEST_FILM, given.filmWattsPerSquareMetreKelvin()));
    if (last.crossing()) {
      return given.withFilm(h);
    }
    List<StackLayer> layers = new ArrayList<>(given.layers());
    layers.add(
        StackLayer.joint(FILM, 2 * h * 1e-4, last.patches().get(0), 100).over(last.patches()));
    return new StackCase(layers, given.heat(), 2 * h, given.coolantCelsius());
  }

  private static int[] joints(StackCase stack) {
    int lastSolid = -1;
    for (int l = 0; l < stack.layers().size(); l++) {
      if (!stack.layers().get(l).crossing()) {
        lastSolid = l;
      }
    }
    List<Integer> found = new ArrayList<>();
    for (int l = 0; l < lastSolid; l++) {
      if (stack.layers().get(l).crossing()) {
        found.add(l);
      }
    }
    return found.stream().mapToInt(Integer::intValue).toArray();
  }

  private static double thickness(StackLayer joint) {
    if (joint.map().orElse(null) instanceof ThicknessMap.Grid grid) {
      return Arrays.stream(grid.micrometres())
          .flatMapToDouble(Arrays::stream)
          .average()
          .orElseThrow();
    }
    return joint.thicknessMicrometres();
  }

  /** The solid under the outermost joint, if it is no die and in one piece. */
  private static OptionalInt lid(StackCase stack) {
    List<StackLayer> solids = stack.layers().stream().filter(l -> !l.crossing()).toList();
    boolean whole =
        solids.size() == 3
            && solids.get(1).patches().size() == 1
            && solids.get(2).patches().size() == 1;
    return whole ? OptionalInt.of(1) : OptionalInt.empty();
  }

  /** Its heats. */
  int cores() {
    return stack.heat().size();
  }

  /** Its joints. */
  int joints() {
    return joints.length;
  }

  /** The joint under the cold plate. */
  int outermost() {
    return joints.length - 1;
  }

  /** A joint's layer. */
  StackLayer joint(int joint) {
    return stack.layers().get(joints[joint]);
  }

  /** A joint's name. */
  String name(int joint) {
    return joint(joint).name();
  }

  /** What a joint should be, µm; the mean of a map. */
  double micrometres(int joint) {
    return micrometres[joint];
  }

  /** The dies. */
  Patch die() {
    return stack.layers().get(0).bounds();
  }

  /** Whether a lid lies between the joints. */
  boolean hasLid() {
    return lid.isPresent();
  }

  StackCase stack() {
    return stack;
  }

  List<DrawnStack.Cell> cells() {
    return cells;
  }

  /** Whether a contact cell lies in a joint. */
  boolean within(int joint, DrawnStack.Cell cell) {
    return cell.below() < joints[joint] && joints[joint] < cell.above();
  }

  /** K/W that a joint's usual thickness once more would add to a cell. */
  double once(int joint, DrawnStack.Cell cell) {
    return micrometres[joint] * 1e-6 / joint(joint).conductivityWattsPerMetreKelvin() / cell.area();
  }

  /** Resistance of every cell that a shape adds, K/W. */
  double[] field(Turned turned) {
    Shape shape = turned.shape;
    double[] all = new double[cells.size()];
    if (shape.form() == Shape.Form.NONE) {
      return all;
    }
    if (shape.form() == Shape.Form.FILM) {
      Arrays.setAll(all, n -> film[n] * (1 / shape.film() - 1));
      return all;
    }
    Patch whole = joint(shape.joint()).bounds();
    DoubleBinaryOperator share = turned.extra(whole);
    for (int n = 0; n < all.length; n++) {
      DrawnStack.Cell cell = cells.get(n);
      if (within(shape.joint(), cell)) {
        double extra = mean(share, cell, whole) * once(shape.joint(), cell);
        all[n] = Math.max(extra, (THINNEST - 1) * base[n]);
      }
    }
    return all;
  }

  private static double mean(DoubleBinaryOperator share, DrawnStack.Cell cell, Patch whole) {
    double sum = 0;
    for (int i = 0; i < SAMPLES; i++) {
      double x =
          cell.left() + (cell.right() - cell.left()) * (i + 0.5) / SAMPLES - whole.xMillimetres();
      for (int j = 0; j < SAMPLES; j++) {
        double y =
            cell.low() + (cell.high() - cell.low()) * (j + 0.5) / SAMPLES - whole.yMillimetres();
        sum += share.applyAsDouble(x, y);
      }
    }
    return sum / SAMPLES / SAMPLES;
  }

  /** How every cell's resistance moves with each figure of a shape, K/W for its unit. */
  double[][] slopes(Turned turned) {
    Shape shape = turned.shape;
    double[][] all = new double[shape.at().length][];
    for (int f = 0; f < all.length; f++) {
      double step = shape.step(f);
      double[] up = shape.at().clone();
      double[] down = shape.at().clone();
      up[f] += step;
      down[f] -= step;
      double[] more = field(new Turned(shape.moved(up), turned.degrees));
      double[] less = field(new Turned(shape.moved(down), turned.degrees));
      double[] slope = new double[more.length];
      Arrays.setAll(slope, n -> (more[n] - less[n]) / (2 * step));
      all[f] = slope;
    }
    return all;
  }

  /** What a joint adds if it is a little more: even, towards +x, towards +y; read only. */
  double[][] plane(int joint) {
    return planes[joint];
  }

  /** How every cell's resistance moves with the logarithm of the film, under a shape. */
  double[] filmSlope(Shape shape) {
    double[] all = new double[film.length];
    Arrays.setAll(all, n -> -film[n] / shape.film());
    return all;
  }

  /** The responses under a shape. */
  DrawnStack.Responses responses(Turned turned) {
    return kept.computeIfAbsent(canonical(turned), this::solve);
  }

  /** What is the same from all sides is solved once. */
  private static Turned canonical(Turned turned) {
    boolean round =
        switch (turned.shape.form()) {
          case NONE, EVEN, FILM -> true;
          case PLANE, GAP, BOX -> false;
        };
    return round ? new Turned(turned.shape, 0) : turned;
  }

  private DrawnStack.Responses solve(Turned turned) {
    DrawnStack.Responses found = drawn.responses(total(turned));
    if (turned.shape.joint() >= 0) {
      double[][] kelvin = found.kelvinPerWatt();
      double[] extra = overCores(turned);
      for (int r = 0; r < kelvin.length; r++) {
        for (int s = 0; s < kelvin.length; s++) {
          double mean = Math.max(-0.5, (extra[r] + extra[s]) / 2);
          double share = Math.min(MOST_BEYOND, Math.log1p(mean) / Math.log1p(ANCHOR));
          kelvin[r][s] += share * finer[turned.shape.joint()][r][s];
        }
      }
    }
    return found;
  }

  private double[] total(Turned turned) {
    double[] all = field(turned);
    for (int n = 0; n < all.length; n++) {
      all[n] += base[n];
    }
    return all;
  }

  /** What a shape adds over the middle of each core, as a share. */
  private double[] overCores(Turned turned) {
    Patch whole = joint(turned.shape.joint()).bounds();
    DoubleBinaryOperator share = turned.extra(whole);
    return stack.heat().stream()
        .mapToDouble(
            h ->
                share.applyAsDouble(
                    h.patch().xMillimetres() - whole.xMillimetres(),
                    h.patch().yMillimetres() - whole.yMillimetres()))
        .toArray();
  }

  /** Solves many shapes, side by side. */
  void solve(List<Turned> many, Executor helpers, SolveWatch watch) {
    List<Turned> missing =
        many.stream()
            .map(StackModel::canonical)
            .distinct()
            .filter(t -> !kept.containsKey(t))
            .toList();
    SideBySide.each(
        missing,
        turned -> {
          watch.check();
          return responses(turned);
        },
        helpers);
  }

  /** Mean of the lid over the coolant for a watt of each heat, K/W; empty without a lid. */
  Optional<double[]> lid(DrawnStack.Responses responses) {
    return lid.isPresent() ? Optional.of(responses.levels()[lid.getAsInt()]) : Optional.empty();
  }
}
