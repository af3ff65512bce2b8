package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.modes.DrawnStack;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Readings as straight lines in the unknowns, about a shape: what each should have read, and how
 * that moves with each unknown. How a joint moves a core for a watt of another is the sum over its
 * cells of both watts' fluxes times the change of resistance.
 */
final class Straight {
  /** A reading of the lid says so much of its mean: where the probe sits is not known. */
  private static final double LID_KELVIN = 1.5;

  private static final double LID_SHARE = 0.1;

  /**
   * How far the slow part of a rise is from what fins or loop stand over the room: a part of the
   * plate fills slowly, too, and a load that ends early leaves some out. Common practice, and seen
   * on the simulated rig.
   */
  private static final double SLOW_SHARE = 0.15;

  private static final double SLOW_KELVIN = 1;

  /** Error of what is solved, as a share of the rise. */
  private static final double SOLVED = 0.002;

  /** Variance of a value that was rounded to whole degrees. */
  private static final double WHOLE = 1 / 12.0;

  private final DiagnosisCase given;
  private final StackModel model;
  private final Layout layout;
  private final boolean throughLoop;

  /**
   * A value that is read.
   *
   * @param expected what it should have been, K over its reference
   * @param slopes by the unknowns
   * @param read what it was, K over its reference
   * @param sigma its own error
   */
  record Row(double expected, double[] slopes, double read, double sigma) {}

  /**
   * Prepares the rows.
   *
   * @param throughLoop whether the coolant stands over the room where only the room was read; else
   *     the film's figure goes all the way to the room
   */
  Straight(DiagnosisCase given, StackModel model, Layout layout, boolean throughLoop) {
    this.given = given;
    this.model = model;
    this.layout = layout;
    this.throughLoop = throughLoop;
  }

  /** How every core moves for a watt of every other, by each unknown of joints and film. */
  private double[][][] moves(StackModel.Turned turned) {
    DrawnStack.Responses found = model.responses(turned);
    int shapes = turned.shape().at().length;
    double[][] bases = new double[3 * model.joints() + 1 + shapes][];
    for (int j = 0; j < model.joints(); j++) {
      System.arraycopy(model.plane(j), 0, bases, 3 * j, 3);
    }
    bases[3 * model.joints()] = model.filmSlope(turned.shape());
    System.arraycopy(model.slopes(turned), 0, bases, 3 * model.joints() + 1, shapes);
    int cores = model.cores();
    double[][] through = found.through();
    double[][][] all = new double[bases.length][cores][cores];
    double[] both = new double[bases[0].length];
    int[] from = Arrays.stream(bases).mapToInt(Straight::first).toArray();
    int[] to = Arrays.stream(bases).mapToInt(Straight::end).toArray();
    for (int k = 0; k < cores; k++) {
      for (int l = 0; l <= k; l++) {
        for (int n = 0; n < both.length; n++) {
          both[n] = through[k][n] * through[l][n];
        }
        for (int b = 0; b < bases.length; b++) {
          double sum = 0;
          for (int n = from[b]; n < to[b]; n++) {
            sum += both[n] * bases[b][n];
          }
          all[b][k][l] = sum;
          all[b][l][k] = sum;
        }
      }
    }
    return all;
  }

  /** The first cell that a basis moves; most move the cells of one joint and leave all others. */
  private static int first(double[] basis) {
    int n = 0;
    while (n < basis.length && basis[n] == 0) {
      n++;
    }
    return n;
  }

  /** Behind the last cell that it moves. */
  private static int end(double[] basis) {
    int n = basis.length;
    while (n > 0 && basis[n - 1] == 0) {
      n--;
    }
    return n;
  }

  /** What a shape does at one mount, kept for all of its readings. */
  record Seen(StackModel.Turned turned, double[][] kelvinPerWatt, double[][][] moves) {}

  /** Looks at a shape as it lies. */
  Seen look(StackModel.Turned turned) {
    return new Seen(turned, model.responses(turned).kelvinPerWatt(), moves(turned));
  }

  /** The cores whose rows come first in a reading's, in their order. */
  List<Integer> cores(CaseReading r) {
    return IntStream.range(0, given.stack().heat().size())
        .filter(c -> r.coreCelsius().containsKey(given.stack().heat().get(c).name()))
        .boxed()
        .toList();
  }

  /**
   * The rows of one reading.
   *
   * @param reading its place among the readings
   */
  List<Row> rows(CaseReading r, int reading, Seen seen) {
    double[] watts = given.watts(r);
    double all = Arrays.stream(watts).sum();
    boolean coolant = r.coolantCelsius().isPresent();
    double sink = coolant ? r.coolantCelsius().getAsDouble() : r.roomCelsius().getAsDouble();
    double loop = given.loopKelvinPerWatt().orElse(0);
    List<Row> rows = new ArrayList<>();
    boolean whole =
        r.coreCelsius().values().stream().allMatch(c -> c == Math.rint(c))
            && r.coreCelsius().size() > 1;
    double sigma = Math.sqrt(Math.pow(given.doubts().readingKelvin(), 2) + (whole ? WHOLE : 0));
    for (int c = 0; c < watts.length; c++) {
      Double read = r.coreCelsius().get(given.stack().heat().get(c).name());
      if (read != null) {
        rows.add(core(r, reading, seen, watts, c, read - sink, sigma));
      }
    }
    if (coolant && r.roomCelsius().isPresent() && given.loopKelvinPerWatt().isPresent()) {
      double[] slopes = new double[layout.size()];
      lift(slopes, watts, loop, 1);
      rows.add(
          new Row(
              loop * all,
              slopes,
              sink - r.roomCelsius().getAsDouble(),
              given.doubts().airKelvin()));
    }
    Optional<double[]> lid = model.lid(model.responses(seen.turned()));
    if (lid.isPresent() && r.lidCelsius().isPresent()) {
      rows.add(lid(r, reading, watts, lid.get(), sink));
    }
    if (!coolant && r.slow().isPresent()) {
      rows.add(slow(r.slow().get(), seen, watts));
    }
    return rows;
  }

  /** What came slowly is what stands between coolant or plate and the room; the room drops out. */
  private Row slow(CaseReading.Slow slow, Seen seen, double[] watts) {
    double all = Arrays.stream(watts).sum();
    double[] slopes = new double[layout.size()];
    double expected;
    if (throughLoop) {
      double loop = given.loopKelvinPerWatt().orElse(USUAL_LOOP);
      expected = loop * all;
      lift(slopes, watts, loop, 1);
      slopes[layout.air()] = 0;
    } else {
      StackLayer last = given.stack().layers().get(given.stack().layers().size() - 1);
      Shape shape = seen.turned.shape();
      double area = last.patches().stream().mapToDouble(Straight::squareMetres).sum();
      expected = all / (given.stack().filmWattsPerSquareMetreKelvin() * area * shape.film());
      slopes[layout.film()] = -expected;
      if (shape.form() == Shape.Form.FILM) {
        slopes[layout.shape(0)] = -expected;
      }
      for (int l = 0; l < watts.length; l++) {
        slopes[layout.power(l)] = expected * watts[l] / all;
      }
      slopes[layout.allPower()] = expected;
    }
    double own = slow.sigma() * all;
    // What is left out is left out of every step, so that several together tell no more than one.
    double shared = Math.sqrt((double) steps()) * Math.hypot(SLOW_KELVIN, SLOW_SHARE * expected);
    double sigma = Math.hypot(shared, own);
    return new Row(expected, slopes, slow.kelvinPerWatt() * all, sigma);
  }

  /** How many readings tell the slow part; one that is only thought of is the first. */
  private long steps() {
    return Math.max(
        1,
        given.readings().stream()
            .filter(r -> r.slow().isPresent() && r.coolantCelsius().isEmpty())
            .count());
  }

  private static double squareMetres(Patch patch) {
    return patch.widthMillimetres() * patch.depthMillimetres() * 1e-6;
  }

  private Row core(
      CaseReading r, int reading, Seen seen, double[] watts, int core, double read, double sigma) {
    double[] slopes = new double[layout.size()];
    double expected = 0;
    double hot = watts[core];
    for (int l = 0; l < watts.length; l++) {
      double one = seen.kelvinPerWatt[core][l] * watts[l];
      expected += one;
      slopes[layout.power(l)] = one;
    }
    slopes[layout.allPower()] = expected;
    slopes[layout.sensor(core)] = 1;
    slopes[layout.allSensors()] = 1;
    slopes[layout.hot()] = hot;
    slopes[layout.sink(reading)] = 1;
    for (int b = 0; b < seen.moves.length; b++) {
      double sum = 0;
      for (int l = 0; l < watts.length; l++) {
        sum += seen.moves[b][core][l] * watts[l];
      }
      int joints = 3 * model.joints();
      slopes[b < joints ? b : b == joints ? layout.film() : layout.shape(b - joints - 1)] = sum;
      if (b >= 3 * model.outermost() && b < joints && layout.mounts().size() > 1) {
        slopes[layout.mount(r.mount(), b - 3 * model.outermost())] = sum;
      }
    }
    expected += overRoom(r, slopes, watts);
    return new Row(expected, slopes, read, Math.hypot(sigma, SOLVED * expected));
  }

  /** A loop where none is told, K/W: common practice, 0.03 to 0.08. */
  static final double USUAL_LOOP = 0.05;

  /**
   * How far the coolant stands over what was read, where that is the room alone, K.
   *
   * @param slopes how it moves, added
   */
  private double overRoom(CaseReading r, double[] slopes, double[] watts) {
    if (r.coolantCelsius().isPresent()) {
      return 0;
    }
    double loop = given.loopKelvinPerWatt().orElse(USUAL_LOOP);
    lift(slopes, watts, loop, throughLoop ? 1 : 0);
    return throughLoop ? loop * Arrays.stream(watts).sum() : 0;
  }

  /** How the coolant moves over the room. */
  private void lift(double[] slopes, double[] watts, double loop, double byPower) {
    double all = Arrays.stream(watts).sum();
    slopes[layout.loop()] += loop * all;
    slopes[layout.air()] += 1;
    for (int l = 0; l < watts.length; l++) {
      slopes[layout.power(l)] += byPower * loop * watts[l];
    }
    slopes[layout.allPower()] += byPower * loop * all;
  }

  private Row lid(CaseReading r, int reading, double[] watts, double[] lid, double sink) {
    double expected = 0;
    for (int l = 0; l < watts.length; l++) {
      expected += lid[l] * watts[l];
    }
    double[] slopes = new double[layout.size()];
    slopes[layout.sink(reading)] = 1;
    slopes[layout.allPower()] = expected;
    expected += overRoom(r, slopes, watts);
    return new Row(
        expected,
        slopes,
        r.lidCelsius().getAsDouble() - sink,
        Math.hypot(LID_KELVIN, LID_SHARE * expected));
  }
}
