package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.Planes;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.multigrid.Team;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The steady temperatures of a stack on laid boxes. Each solution starts from the fluxes of the one
 * before. A conductivity that falls with temperature is taken in by Kirchhoff's transform: inside a
 * solid the transformed temperature is linear; where solids meet and at the film it is turned back
 * with the difference of the round before, until that rests. One thread at a time.
 */
final class SteadyBoxes {
  private static final int MOST_ROUNDS = 80;

  /** Rounds in which each solid's reference follows its own mean temperature. */
  private static final int SETTLING = 4;

  /** As a share of the highest rise: differences that change by less rest. */
  private static final double REST = 1e-10;

  /** Residual where rounds follow each other. */
  private static final double TIGHT = 1e-9;

  /** No chip lives to see such a rise, K. */
  private static final double LOST = 1e4;

  private final Boxes boxes;
  private final Team team;
  private StackCase stack;
  private final Slab[] slabs;
  private final Compliance[] compliance;
  private final Kirchhoff[] laws;

  /** True less transformed rise of both faces by box and cell; null where nothing falls. */
  private final double[][][] lowShift;

  private final double[][][] topShift;
  private Fluxes fluxes;

  /** Resistance of each contact's cells, m²·K/W. */
  private double[][][] specific;

  /** W through each contact's cells, beyond what passes; kept to begin from. */
  private double[][][] sought;

  private double[][][] through;
  private int steps;
  private boolean rests = true;

  /** On the calling thread. */
  SteadyBoxes(Boxes boxes) {
    this(boxes, Team.alone());
  }

  /**
   * Boxes and who works on them.
   *
   * @param team which nobody else may be using meanwhile
   */
  SteadyBoxes(Boxes boxes, Team team) {
    this.boxes = boxes;
    this.team = team;
    int count = boxes.boxes.size();
    slabs = new Slab[count];
    compliance = new Compliance[count];
    laws = new Kirchhoff[count];
    lowShift = new double[count][][];
    topShift = new double[count][][];
  }

  /** The same boxes with a solution of their own, which begins where this one stands. */
  SteadyBoxes fork() {
    SteadyBoxes other = new SteadyBoxes(boxes);
    System.arraycopy(slabs, 0, other.slabs, 0, slabs.length);
    System.arraycopy(compliance, 0, other.compliance, 0, compliance.length);
    other.sought = sought == null ? null : copy(sought);
    return other;
  }

  Boxes boxes() {
    return boxes;
  }

  /** Where nothing was solved yet, begins from what the same boxes in coarser cells have found. */
  void beginFrom(SteadyBoxes coarser) {
    if (sought == null && coarser.sought != null) {
      sought = new double[boxes.contacts.size()][][];
      Arrays.setAll(
          sought,
          c -> boxes.contacts.get(c).from(coarser.boxes.contacts.get(c), coarser.sought[c]));
    }
  }

  /** Whether the latest solution came to rest. */
  boolean rests() {
    return rests;
  }

  /** Steps of conjugate gradients in the latest solution. */
  int steps() {
    return steps;
  }

  /**
   * Solves.
   *
   * @param wanted a stack that these boxes were laid for, but for what they leave open
   * @param watts of each source
   * @param tolerance of the residual
   * @return the field; its rises are not numbers if a falling conductivity has no balance
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  BoxField solve(StackCase wanted, double[] watts, double tolerance, SolveWatch watch) {
    prepare(wanted);
    boolean falls = Arrays.stream(laws).anyMatch(law -> law != null);
    steps = 0;
    rests = true;
    for (int round = 0; ; round++) {
      Rises now = linear(watts, falls ? Math.min(tolerance, TIGHT) : tolerance, watch);
      if (!falls) {
        return new BoxField(stack, boxes, watts, through, now);
      }
      Rises kept = now.under(laws.clone());
      boolean settling = round < SETTLING;
      double change = turnBack(now, settling);
      if (Double.isNaN(change) || round == MOST_ROUNDS) {
        Arrays.fill(now.level(), Double.NaN);
        sought = null;
        return new BoxField(stack, boxes, watts, through, now);
      }
      if (!settling && change <= REST) {
        return new BoxField(stack, boxes, watts, through, kept);
      }
      if (settling) {
        rebuild();
      }
    }
  }

  /** Takes over a stack's figures. */
  private void prepare(StackCase wanted) {
    boolean same =
        stack != null
            && stack.layers().equals(wanted.layers())
            && stack.filmWattsPerSquareMetreKelvin() == wanted.filmWattsPerSquareMetreKelvin()
            && stack.coolantCelsius() == wanted.coolantCelsius();
    stack = wanted;
    if (same) {
      return;
    }
    for (int b = 0; b < laws.length; b++) {
      laws[b] =
          layer(b)
              .fall()
              .map(f -> new Kirchhoff(f, wanted.coolantCelsius(), wanted.coolantCelsius()))
              .orElse(null);
      lowShift[b] = laws[b] == null ? null : boxes.boxes.get(b).cells();
      topShift[b] = laws[b] == null ? null : boxes.boxes.get(b).cells();
    }
    rebuild();
  }

  private StackLayer layer(int box) {
    return stack.layers().get(boxes.boxes.get(box).layer());
  }

  /**
   * A box of a stack as a slab, with the film where it is the last.
   *
   * @param factor on the conductivity
   */
  static Slab slab(StackCase stack, Boxes boxes, int box, double factor) {
    int index = boxes.boxes.get(box).layer();
    StackLayer layer = stack.layers().get(index);
    boolean last = index == stack.layers().size() - 1;
    double film = 1 / (1 / stack.filmWattsPerSquareMetreKelvin() + JointCells.face(layer));
    return new Slab(
        layer.conductivityWattsPerMetreKelvin() * factor,
        layer.thicknessMicrometres() * 1e-6,
        last ? film : 0);
  }

  private void rebuild() {
    for (int b = 0; b < slabs.length; b++) {
      Slab slab = slab(stack, boxes, b, laws[b] == null ? 1 : laws[b].factor());
      if (!slab.equals(slabs[b])) {
        slabs[b] = slab;
        compliance[b] = Compliance.of(boxes.boxes.get(b), slab);
      }
    }
    specific = new double[boxes.contacts.size()][][];
    Arrays.setAll(specific, c -> JointCells.of(stack, boxes, boxes.contacts.get(c)));
    fluxes = new Fluxes(boxes, compliance, specific, team);
  }

  /** One solution with the shifts as they are. */
  private Rises linear(double[] watts, double tolerance, SolveWatch watch) {
    int count = boxes.boxes.size();
    double[][][] low = new double[count][][];
    double[][][] top = new double[count][][];
    for (int b = 0; b < count; b++) {
      low[b] = boxes.boxes.get(b).modes();
      top[b] = boxes.boxes.get(b).modes();
      if (slabs[b].filmed() && topShift[b] != null) {
        drawn(b, top[b]);
      }
    }
    double[] entering = new double[count];
    for (int s = 0; s < watts.length; s++) {
      Spot spot = boxes.spots.get(s);
      entering[spot.box()] += watts[s];
      double[][] to = low[spot.box()];
      for (int p = 0; p < to.length; p++) {
        Dense.addTo(to[p], watts[s] * spot.meanX()[p], spot.meanY());
      }
    }
    double[][][] far = far(low);
    List<Passing> passing = passing(low, top, entering);
    double[][][] lowAnswer = copy(low);
    double[][][] topAnswer = copy(top);
    Fluxes.respond(compliance, lowAnswer, topAnswer);
    double[][][] driving = new double[boxes.contacts.size()][][];
    for (int c = 0; c < driving.length; c++) {
      Contact contact = boxes.contacts.get(c);
      driving[c] = contact.cells();
      contact.belowTrace().scatter(topAnswer[contact.below()], 1, driving[c]);
      shift(contact, contact.below(), topShift, 1, driving[c]);
      if (!contact.cooled()) {
        contact.aboveTrace().scatter(lowAnswer[contact.above()], -1, driving[c]);
        shift(contact, contact.above(), lowShift, -1, driving[c]);
      }
    }
    double work = 0;
    for (Passing p : passing) {
      work += drop(p, driving[p.contact()]);
    }
    for (int c = 0; c < driving.length; c++) {
      boxes.contacts.get(c).mask(driving[c]);
    }
    Fluxes.Found found = fluxes.solve(driving, entering, sought, work, tolerance, watch);
    sought = found.watts();
    steps += fluxes.steps();
    rests &= fluxes.rests();
    for (int b = 0; b < count; b++) {
      Fluxes.enter(boxes, b, sought, low[b], top[b]);
    }
    Fluxes.respond(compliance, low, top);
    through = copy(sought);
    passing.forEach(p -> Dense.add(through[p.contact()], 1, p.watts()));
    double[] conductivity = new double[count];
    for (int b = 0; b < count; b++) {
      conductivity[b] = slabs[b].conductivity();
      if (far[b] != null) {
        Dense.add(far[b], 1, low[b]);
      }
    }
    return new Rises(boxes, low, top, far, found.level(), laws, conductivity, watts.clone());
  }

  /** What heats do close by, taken off, by modes; null for boxes that no heat is under. */
  private double[][][] far(double[][][] entering) {
    double[][][] far = new double[entering.length][][];
    for (Spot spot : boxes.spots) {
      int b = spot.box();
      if (far[b] == null) {
        double[][] symbol = boxes.nearSymbol(b);
        far[b] = boxes.boxes.get(b).modes();
        for (int p = 0; p < symbol.length; p++) {
          for (int q = 0; q < symbol[p].length; q++) {
            far[b][p][q] = -symbol[p][q] * entering[b][p][q] / slabs[b].conductivity();
          }
        }
      }
    }
    return far;
  }

  /** Takes off what passes the boxes that heat enters, and lets it enter the boxes above. */
  private List<Passing> passing(double[][][] low, double[][][] top, double[] entering) {
    List<Passing> all = new ArrayList<>();
    for (int b = 0; b < low.length; b++) {
      if (boxes.boxes.get(b).layer() != boxes.lowest || slabs[b].filmed()) {
        continue;
      }
      Optional<Passing> found = Passing.of(boxes, b, slabs[b], low[b], specific);
      if (found.isPresent()) {
        Passing p = found.get();
        Contact contact = boxes.contacts.get(p.contact());
        Dense.add(top[b], -1, p.modes());
        entering[b] -= p.sum();
        if (!contact.cooled()) {
          contact.aboveTrace().gather(p.watts(), 1, low[contact.above()]);
          entering[contact.above()] += p.sum();
        }
        all.add(p);
      }
    }
    return all;
  }

  /**
   * What passes already has to fall over the joint.
   *
   * @return K·W
   */
  private double drop(Passing passing, double[][] driving) {
    Contact contact = boxes.contacts.get(passing.contact());
    double work = 0;
    for (int i = 0; i < driving.length; i++) {
      for (int j = 0; j < driving[i].length; j++) {
        double watts = passing.watts()[i][j];
        double kelvin = specific[passing.contact()][i][j] / contact.area()[i][j] * watts;
        driving[i][j] -= kelvin;
        work += kelvin * watts;
      }
    }
    return work;
  }

  /** What the film draws by the difference of true and transformed rises. */
  private void drawn(int box, double[][] to) {
    Box own = boxes.boxes.get(box);
    double[][] watts = Dense.copy(topShift[box]);
    for (int i = 0; i < watts.length; i++) {
      for (int j = 0; j < watts[i].length; j++) {
        watts[i][j] *= Planes.width(boxes.x, own.left() + i) * Planes.width(boxes.y, own.low() + j);
      }
    }
    new Trace(boxes.whole(box).x(), boxes.whole(box).y()).gather(watts, -slabs[box].film(), to);
  }

  private void shift(Contact contact, int box, double[][][] shift, double sign, double[][] to) {
    if (shift[box] != null) {
      int left = contact.left() - boxes.boxes.get(box).left();
      int low = contact.low() - boxes.boxes.get(box).low();
      for (int i = 0; i < to.length; i++) {
        for (int j = 0; j < to[i].length; j++) {
          to[i][j] += sign * shift[box][left + i][low + j];
        }
      }
    }
  }

  private static double[][][] copy(double[][][] all) {
    double[][][] copies = new double[all.length][][];
    Arrays.setAll(copies, b -> Dense.copy(all[b]));
    return copies;
  }

  /**
   * Turns the transformed rises back.
   *
   * @param follow whether the references move to the new mean temperatures
   * @return the largest change of a shift as a share of the highest rise; not a number where no
   *     temperature carries the heat
   */
  private double turnBack(Rises now, boolean follow) {
    double most = 0;
    double highest = 0;
    for (int b = 0; b < laws.length; b++) {
      if (laws[b] == null) {
        continue;
      }
      double[][] low = now.low(b);
      double[][] top = now.top(b);
      if (follow) {
        laws[b] = laws[b].about((mean(low) + mean(top)) / 2);
      }
      for (double[][] face : new double[][][] {low, top}) {
        double[][] shift = face == low ? lowShift[b] : topShift[b];
        for (int i = 0; i < face.length; i++) {
          for (int j = 0; j < face[i].length; j++) {
            double rise = face[i][j];
            if (!(Math.abs(rise) < LOST)) {
              return Double.NaN;
            }
            double next = rise - laws[b].transformed(rise);
            most = Math.max(most, Math.abs(next - shift[i][j]));
            highest = Math.max(highest, Math.abs(rise));
            shift[i][j] = next;
          }
        }
      }
    }
    return highest == 0 ? 0 : most / highest;
  }

  private static double mean(double[][] all) {
    double sum = 0;
    for (double[] row : all) {
      sum += Arrays.stream(row).sum() / row.length;
    }
    return sum / all.length;
  }
}
