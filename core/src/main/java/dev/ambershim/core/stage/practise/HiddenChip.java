package dev.ambershim.core.stage.practise;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.modes.LiveStack;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.causes.Trial;
import dev.ambershim.core.stage.diagnosis.CaseReading;
import dev.ambershim.core.stage.diagnosis.DiagnosisCase;
import dev.ambershim.core.stage.diagnosis.Doubts;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.DoubleBinaryOperator;

/**
 * A chip with one hidden fault, or none, and what its sensors would read. Faults, scatter and
 * readings are drawn here, apart from what the diagnosis believes of them; only the solver of heat
 * is the same, on grids of its own. All sizes are invented. Used by one thread at a time.
 */
public final class HiddenChip {
  /**
   * What is hidden.
   *
   * @param kind the fault
   * @param joint where it sits, if it sits in a joint
   * @param core whose sensor or power it is, if it is one's
   */
  public record Truth(CauseKind kind, Optional<String> joint, int core) {}

  /** Discretisation error of its readings, as a share of the rise. */
  private static final double ERROR = 0.002;

  /** Shares of full load: idle, what idles beside a loaded core, and a core alone. */
  private static final double IDLE = 0.04;

  private static final double IDLE_BESIDE = 0.03;
  private static final double ALONE = 1.3;
  private static final double MOST_ALONE = 30;

  /** Less than this on every core, and nobody asks, K. */
  private static final double WORTH_ASKING = 4;

  private final StackCase believed;
  private final Truth truth;
  private final Random random;
  private final double loop;
  private final StackCase straight;
  private final StackCase turned;
  private final StackCase again;
  private LiveStack live;
  private final double[] trueShare;
  private final double[] offset;
  private final double trueLoop;
  private final boolean whole;

  private HiddenChip(Random random, CauseKind kind, int cores, boolean lidded, boolean whole) {
    this.random = random;
    this.whole = whole;
    believed = stack(random, cores, lidded);
    loop = 0.03 + 0.03 * random.nextDouble();
    List<Integer> joints = lidded ? List.of(1, 3) : List.of(1);
    int joint = joints.get(random.nextInt(joints.size()));
    int core = random.nextInt(cores);
    truth =
        new Truth(
            kind,
            kind.inJoint() ? Optional.of(believed.layers().get(joint).name()) : Optional.empty(),
            core);
    trueShare = new double[cores];
    Arrays.setAll(trueShare, c -> 1 + 0.03 * random.nextGaussian());
    offset = new double[cores];
    Arrays.setAll(offset, c -> 0.7 * random.nextGaussian());
    double warmer = Math.exp(0.05 * random.nextGaussian());
    double film = Math.exp(0.04 * random.nextGaussian());
    switch (kind) {
      case COOLER_WEAK -> film *= between(0.4, 0.7);
      case COOLANT_WARM -> warmer *= between(1.8, 3.2);
      case SENSOR_OFF -> offset[core] += (random.nextBoolean() ? 1 : -1) * between(5, 12);
      case CORE_DRAWS_MORE -> trueShare[core] *= between(1.35, 1.9);
      default -> {}
    }
    trueLoop = loop * warmer;
    DoubleBinaryOperator fault = fault(kind, believed.layers().get(joint));
    int outermost = joints.get(joints.size() - 1);
    double[][] scatter = new double[3][3];
    for (double[] one : scatter) {
      Arrays.setAll(one, i -> (i == 0 ? 0.06 : 0.03) * random.nextGaussian());
    }
    straight = built(joints, joint, fault, film, scatter[0], scatter[1]);
    DoubleBinaryOperator round =
        kind == CauseKind.TILTED && joint == outermost
            ? (x, y) -> fault.applyAsDouble(-x, -y)
            : fault;
    turned = built(joints, joint, round, film, scatter[0], scatter[2]);
    // Fresh paste puts right what was wrong with the paste under the cooler.
    again = built(joints, joint == outermost ? -1 : joint, fault, film, scatter[0], scatter[2]);
  }

  /**
   * A chip by its seed; the fault is one that somebody would ask about.
   *
   * @param cores an even number
   * @param wholeDegrees whether its sensors read whole degrees
   */
  public static HiddenChip drawn(
      long seed, CauseKind kind, int cores, boolean lidded, boolean wholeDegrees) {
    Random random = new Random(seed);
    while (true) {
      HiddenChip chip = new HiddenChip(random, kind, cores, lidded, wholeDegrees);
      if (!kind.inJoint() || chip.worst() >= WORTH_ASKING) {
        return chip;
      }
    }
  }

  /** The true thickness of a joint at a place, µm. */
  public double thickness(String joint, double xMillimetres, double yMillimetres) {
    return straight.layers().stream()
        .filter(l -> l.name().equals(joint))
        .findFirst()
        .orElseThrow()
        .thicknessAt(xMillimetres, yMillimetres);
  }

  /** How much hotter the fault makes some core at full load, K. */
  private double worst() {
    LiveStack live = LiveStack.forMeans(believed, 0.01, SolveWatch.NONE);
    double[] without = live.meansCelsius(believed, SolveWatch.NONE);
    double[] with = live.meansCelsius(straight, SolveWatch.NONE);
    double most = 0;
    for (int c = 0; c < with.length; c++) {
      most = Math.max(most, with[c] - without[c]);
    }
    return most;
  }

  private double between(double low, double high) {
    return low + (high - low) * random.nextDouble();
  }

  private static StackCase stack(Random r, int cores, boolean lidded) {
    int columns = 2;
    int rows = cores / columns;
    double width = 8 + 5 * r.nextDouble();
    double depth = Math.min(22, width * rows / columns * (0.8 + 0.4 * r.nextDouble()));
    Patch die = new Patch(0, 0, width, depth);
    List<StackLayer> layers = new ArrayList<>();
    layers.add(StackLayer.solid("die", 115, die, 500 + 300 * r.nextDouble()));
    Patch plate = new Patch(0, 0, 42, 42);
    if (lidded) {
      Patch lid = new Patch(0, 0, 31, 31);
      layers.add(
          StackLayer.joint("inner joint", 3 + 3 * r.nextDouble(), die, 30 + 50 * r.nextDouble())
              .withContact(1));
      layers.add(StackLayer.solid("lid", 390, lid, 2000 + 1000 * r.nextDouble()));
      layers.add(
          StackLayer.joint("outer joint", 4 + 3 * r.nextDouble(), lid, 30 + 30 * r.nextDouble())
              .withContact(1));
    } else {
      layers.add(
          StackLayer.joint("bare joint", 4 + 4 * r.nextDouble(), die, 25 + 30 * r.nextDouble())
              .withContact(1));
    }
    layers.add(StackLayer.solid("cold plate", 390, plate, 3000 + 1000 * r.nextDouble()));
    double watts = (90 + 80 * r.nextDouble()) / cores;
    List<HeatSource> heat = new ArrayList<>();
    for (int c = 0; c < cores; c++) {
      double x = (c % columns + 0.5) / columns * width - width / 2;
      int row = c / columns;
      double y = (row + 0.5) / rows * depth - depth / 2;
      Patch patch = new Patch(x, y, 0.62 * width / columns, 0.62 * depth / rows);
      heat.add(HeatSource.steady("core " + c, patch, watts));
    }
    return new StackCase(layers, heat, 6000 + 9000 * r.nextDouble(), 30);
  }

  /** Extra thickness as a share, by place in mm. */
  private DoubleBinaryOperator fault(CauseKind kind, StackLayer joint) {
    Patch whole = joint.bounds();
    Patch die = believed.layers().get(0).bounds();
    double halfWidth = whole.widthMillimetres() / 2;
    double halfDepth = whole.depthMillimetres() / 2;
    return switch (kind) {
      case TOO_THICK -> {
        double more = between(1.0, 3.0);
        yield (x, y) -> more;
      }
      case TILTED -> {
        double angle = between(0, 2 * Math.PI);
        double lift = between(1.0, 3.5);
        double cos = Math.cos(angle);
        double sin = Math.sin(angle);
        double most = Math.abs(cos) + Math.abs(sin);
        yield (x, y) -> lift * (1 + (cos * x / halfWidth + sin * y / halfDepth) / most);
      }
      case GAP -> {
        double size =
            between(0.18, 0.34) * Math.sqrt(die.widthMillimetres() * die.depthMillimetres());
        double cx = between(-0.8, 0.8) * die.widthMillimetres() / 2;
        double cy = between(-0.8, 0.8) * die.depthMillimetres() / 2;
        double deep = between(6, 30);
        yield (x, y) -> Math.hypot(x - cx, y - cy) < size ? deep : 0;
      }
      default -> (x, y) -> 0;
    };
  }

  /** The true stack of one mount. */
  private StackCase built(
      List<Integer> joints,
      int faulty,
      DoubleBinaryOperator fault,
      double film,
      double[] inner,
      double[] outer) {
    StackCase all = believed.withFilm(believed.filmWattsPerSquareMetreKelvin() * film);
    for (int joint : joints) {
      StackLayer layer = believed.layers().get(joint);
      double[] scatter = joint == joints.get(joints.size() - 1) ? outer : inner;
      double factor = Math.exp(scatter[0]);
      double u = scatter[1];
      double v = scatter[2];
      Patch whole = layer.bounds();
      int n = 41;
      double[] xs = new double[n];
      double[] ys = new double[n];
      double[][] thick = new double[n][n];
      for (int i = 0; i < n; i++) {
        xs[i] = whole.leftMillimetres() + whole.widthMillimetres() * i / (n - 1);
        ys[i] = whole.lowMillimetres() + whole.depthMillimetres() * i / (n - 1);
      }
      for (int j = 0; j < n; j++) {
        for (int i = 0; i < n; i++) {
          double extra = joint == faulty ? fault.applyAsDouble(xs[i], ys[j]) : 0;
          double slope =
              u * xs[i] / whole.widthMillimetres() * 2 + v * ys[j] / whole.depthMillimetres() * 2;
          thick[j][i] = layer.thicknessMicrometres() * (factor + slope + extra);
        }
      }
      all = all.withLayer(joint, layer.withMap(new ThicknessMap.Grid(xs, ys, thick)));
    }
    return all;
  }

  /** The stack as a person believes it to be built. */
  public StackCase believed() {
    return believed;
  }

  /** What is hidden. */
  public Truth truth() {
    return truth;
  }

  /** A case on this chip. */
  public DiagnosisCase with(List<CaseReading> readings) {
    return new DiagnosisCase(
        believed, OptionalDouble.of(loop), readings, Set.of(), Doubts.OF_A_CASE);
  }

  /** Every core under load: what anybody reads first. */
  public CaseReading allCores() {
    return read(straight(), straight, "all cores", 1, 0, even(1));
  }

  /** All evidence: all cores, idle, each core alone, the cooler turned half round. */
  public DiagnosisCase all() {
    List<CaseReading> readings = new ArrayList<>();
    readings.add(allCores());
    readings.addAll(readings(Trial.IDLE));
    readings.addAll(readings(Trial.ONE_BY_ONE));
    readings.addAll(readings(Trial.TURN));
    return with(readings);
  }

  /** What a test reads; empty for one that is looked, listened or felt for. */
  public List<CaseReading> readings(Trial trial) {
    return switch (trial) {
      case IDLE -> List.of(read(straight(), straight, "idle", 1, 0, even(IDLE)));
      case ONE_BY_ONE -> {
        List<CaseReading> all = new ArrayList<>();
        double full = believed.heat().get(0).watts();
        for (int c = 0; c < offset.length; c++) {
          double[] one = even(IDLE_BESIDE);
          one[c] = Math.min(MOST_ALONE, ALONE * full);
          all.add(read(straight(), straight, "core " + c + " alone", 1, 0, one));
        }
        yield all;
      }
      case TURN ->
          List.of(
              read(
                  LiveStack.forMeans(turned, ERROR, SolveWatch.NONE),
                  turned,
                  "all cores, cooler turned",
                  2,
                  180,
                  even(1)));
      case REMOUNT ->
          List.of(
              read(
                  LiveStack.forMeans(again, ERROR, SolveWatch.NONE),
                  again,
                  "all cores, mounted again",
                  3,
                  0,
                  even(1)));
      case COOLANT, FROM_REST, LID, PRESS, PUMP, DUST, PRINT -> List.of();
    };
  }

  /** What somebody sees, feels or hears at a test, by its odds; empty where there is no sign. */
  public Optional<Sign> sign(Trial trial) {
    boolean outermost = truth.joint().filter(outermost()::equals).isPresent();
    double at = random.nextDouble();
    for (Sign sign : trial.signs()) {
      at -= trial.chance(sign, truth.kind(), outermost);
      if (at < 0) {
        return Optional.of(sign);
      }
    }
    return trial.signs().stream().findFirst();
  }

  /** The joint under the cold plate. */
  public String outermost() {
    return believed.layers().get(believed.layers().size() - 2).name();
  }

  private LiveStack straight() {
    if (live == null) {
      live = LiveStack.forMeans(straight, ERROR, SolveWatch.NONE);
    }
    return live;
  }

  private double[] even(double share) {
    double[] all = new double[offset.length];
    Arrays.fill(all, share * believed.heat().get(0).watts());
    return all;
  }

  private CaseReading read(
      LiveStack live, StackCase stack, String name, int mount, double degrees, double[] told) {
    double[] watts = new double[told.length];
    Arrays.setAll(watts, c -> told[c] * trueShare[c]);
    double room = 22 + 0.1 * random.nextGaussian();
    double coolant = room + trueLoop * Arrays.stream(watts).sum();
    double[] rises = live.meansCelsius(stack.withWatts(watts), SolveWatch.NONE);
    Map<String, Double> celsius = new TreeMap<>();
    Map<String, Double> power = new TreeMap<>();
    for (int c = 0; c < told.length; c++) {
      double read =
          rises[c] - stack.coolantCelsius() + coolant + offset[c] + 0.25 * random.nextGaussian();
      celsius.put("core " + c, whole ? Math.rint(read) : Math.rint(read * 100) / 100);
      power.put("core " + c, told[c]);
    }
    return new CaseReading(
        name,
        mount,
        degrees,
        OptionalDouble.of(Math.rint((room + 0.1 * random.nextGaussian()) * 100) / 100),
        OptionalDouble.of(Math.rint((coolant + 0.1 * random.nextGaussian()) * 100) / 100),
        OptionalDouble.empty(),
        power,
        celsius);
  }
}
