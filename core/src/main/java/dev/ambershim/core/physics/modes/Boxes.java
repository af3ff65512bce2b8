package dev.ambershim.core.physics.modes;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.Planes;
import dev.ambershim.core.physics.conduction.StackCase;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * A stack's solids as boxes and where they meet. It holds for as long as footprints, the solids'
 * thickness and the places of heats stay; joints, maps, conductivities, films and watts are not
 * part of it. Safe for several threads.
 */
final class Boxes {
  /**
   * Modes over the thickness of the lowest solid for each part that cells are cut in: of two parts
   * the highest falls by e^−4.7 on its way up, of four by e^−9.
   */
  private static final double MODES_BY_THICKNESS = 0.75;

  /** Modes over the finest pattern: the cells over the width of what is heated over this. */
  private static final double CELLS_BY_DETAIL = 7;

  /** Modes at most for each cell: no cell feels a finer pattern. */
  private static final double MODES_BY_CELL = 3;

  /** More modes than this along an axis take too long to be worth it. */
  private static final int MOST_MODES = 1200;

  /** Planes between cells along x, m. */
  final double[] x;

  /** Planes between cells along y, m. */
  final double[] y;

  final List<Box> boxes;
  final List<Contact> contacts;

  /** The lowest solid layer. */
  final int lowest;

  /** The highest solid layer. */
  final int highest;

  /** The heats, in the order of the stack. */
  final List<Spot> spots;

  /** Where each layer lies, by cell. */
  final boolean[][][] present;

  private final StackCase stack;

  /** About how wide cells are where heat enters before they are cut in parts, m. */
  private final double fine;

  /** Into how many parts every cell is cut along each axis. */
  final int parts;

  /** The same boxes cut more coarsely, whose near field is this one's too; null for the first. */
  private final Boxes coarser;

  /** The box that each heat is under. */
  private final int[] boxOf;

  private final Map<List<Integer>, CellModes> known = new HashMap<>();
  private final Map<Integer, NearField> nearFields = new ConcurrentHashMap<>();
  private final Map<Integer, double[][]> nearSymbols = new ConcurrentHashMap<>();
  private final Map<Integer, Whole> wholes = new ConcurrentHashMap<>();
  private final Map<Integer, Spot.Places> peaks = new ConcurrentHashMap<>();
  private final Map<List<Integer>, Spot.Places> closer = new ConcurrentHashMap<>();
  private UndersideMap map;

  private Boxes(
      StackCase stack,
      double[] x,
      double[] y,
      List<List<Footprint.Extent>> extents,
      double fine,
      int parts,
      Boxes coarser) {
    this.stack = stack;
    this.fine = fine;
    this.parts = parts;
    this.coarser = coarser;
    this.x = x;
    this.y = y;
    lowest = Footprint.solid(stack, true);
    highest = Footprint.solid(stack, false);
    present = Footprint.present(stack, x, y);
    boxes = new ArrayList<>();
    for (int l = lowest; l <= highest; l++) {
      for (Footprint.Extent e : extents.get(l)) {
        boxes.add(box(l, e, parts));
      }
    }
    contacts = new ArrayList<>();
    for (int below = 0; below < boxes.size(); below++) {
      meet(stack, below);
    }
    Floating.refuse(stack, this);
    List<Patch> heats = stack.heat().stream().map(HeatSource::patch).toList();
    boxOf = heats.stream().mapToInt(this::boxUnder).toArray();
    spots = new ArrayList<>();
    for (int h = 0; h < boxOf.length; h++) {
      Box box = boxes.get(boxOf[h]);
      boolean falls = stack.layers().get(box.layer()).fall().isPresent();
      spots.add(
          coarser == null
              ? Spot.of(h, heats, boxOf, box, near(boxOf[h]), falls)
              : coarser.spots.get(h).on(box));
    }
  }

  /** Any split of near and far is exact, so grids share the one of the coarsest, and its values. */
  private NearField near(int box) {
    if (coarser != null) {
      return coarser.near(box);
    }
    return nearFields.computeIfAbsent(
        box,
        b -> {
          double narrowest = Double.POSITIVE_INFINITY;
          for (int h = 0; h < boxOf.length; h++) {
            if (boxOf[h] == b) {
              Patch p = stack.heat().get(h).patch();
              double side = Math.min(p.widthMillimetres(), p.depthMillimetres());
              narrowest = Math.min(narrowest, side * 1e-3);
            }
          }
          return new NearField(boxes.get(b).x(), boxes.get(b).y(), narrowest);
        });
  }

  private int boxUnder(Patch heat) {
    int found = 0;
    for (int b = 0; b < boxes.size(); b++) {
      Box box = boxes.get(b);
      boolean over =
          box.layer() == lowest
              && x[box.left()] <= 1e-3 * heat.xMillimetres()
              && x[box.right()] >= 1e-3 * heat.xMillimetres()
              && y[box.low()] <= 1e-3 * heat.yMillimetres()
              && y[box.high()] >= 1e-3 * heat.yMillimetres();
      found = over ? b : found;
    }
    return found;
  }

  /**
   * Lays the boxes.
   *
   * @param fine about how wide cells are where heat enters, m, before they are cut in parts
   * @param parts into how many every cell is cut along each axis
   * @return empty if a solid's footprint is not made of rectangles apart from each other
   * @throws Problem {@code stack.floating} if a part has no way to the cooling
   */
  static Optional<Boxes> of(StackCase stack, double fine, int parts) {
    return of(stack, fine, parts, null);
  }

  /** The same boxes with every cell cut in more parts. */
  Boxes cut(int parts) {
    return of(stack, fine, parts, this).orElseThrow();
  }

  /** The same boxes in the coarsest cells there are. */
  Boxes coarsest() {
    return coarser == null ? this : coarser.coarsest();
  }

  private static Optional<Boxes> of(StackCase stack, double fine, int parts, Boxes coarser) {
    double[] x = Footprint.planes(stack, fine, parts, true);
    double[] y = Footprint.planes(stack, fine, parts, false);
    List<List<Footprint.Extent>> extents = new ArrayList<>();
    return rectangular(stack, x, y, extents)
        ? Optional.of(new Boxes(stack, x, y, extents, fine, parts, coarser))
        : Optional.empty();
  }

  /** Whether the footprints of a stack's solids are rectangles apart from each other. */
  static boolean rectangular(StackCase stack, double fine) {
    return rectangular(
        stack,
        Footprint.planes(stack, fine, 1, true),
        Footprint.planes(stack, fine, 1, false),
        new ArrayList<>());
  }

  private static boolean rectangular(
      StackCase stack, double[] x, double[] y, List<List<Footprint.Extent>> extents) {
    boolean[][][] present = Footprint.present(stack, x, y);
    for (int l = 0; l < present.length; l++) {
      List<Footprint.Extent> found = new ArrayList<>();
      extents.add(found);
      if (!stack.layers().get(l).crossing() && !Footprint.rectangles(present[l], found)) {
        return false;
      }
    }
    return true;
  }

  private Box box(int layer, Footprint.Extent e, int parts) {
    return new Box(
        layer,
        e.left(),
        e.right(),
        e.low(),
        e.high(),
        cosines(layer, x, e.left(), e.right(), parts),
        cosines(layer, y, e.low(), e.high(), parts));
  }

  /**
   * As many modes as cells, enough to show the finest pattern, and over the lowest solid so many
   * that the rest of the heat's pattern dies out on its way up. They grow as the cells do, or what
   * a grid leaves out would not fall with the square of the cells' width.
   */
  private Cosines cosines(int layer, double[] planes, int from, int to, int parts) {
    double length = planes[to] - planes[from];
    double across = stack.heatedMetres() / fine;
    double wanted = length / Footprint.detailMetres(stack, layer) * across / CELLS_BY_DETAIL;
    if (layer == lowest) {
      double thickness = stack.layers().get(layer).thicknessMicrometres() * 1e-6;
      wanted = Math.max(wanted, MODES_BY_THICKNESS * length / thickness);
    }
    // Where heats are narrow, cells will get finer than usual, and modes with them.
    double narrow = SteadySolver.CELLS_BY_DETAIL * fine / Footprint.detailMetres(stack, lowest);
    double most = Math.min(MOST_MODES, MODES_BY_CELL * (to - from)) / parts;
    int ofOnePart = (int) Math.ceil(Math.min(most, wanted / Math.max(1, narrow)));
    return new Cosines(planes[from], length, Math.max(to - from, ofOnePart * parts));
  }

  /** Adds the contacts of a box's top. */
  private void meet(StackCase stack, int below) {
    Box lower = boxes.get(below);
    boolean last = lower.layer() == highest;
    if (last && filmed(stack)) {
      return; // its film is part of its compliance
    }
    int next = lower.layer() + 1;
    while (!last && stack.layers().get(next).crossing()) {
      next++;
    }
    if (last) {
      add(lower, below, Contact.COOLANT, stack.layers().size());
    }
    for (int above = 0; above < boxes.size() && !last; above++) {
      if (boxes.get(above).layer() == next) {
        add(lower, below, above, next);
      }
    }
  }

  private void add(Box lower, int below, int above, int next) {
    Box upper = above == Contact.COOLANT ? lower : boxes.get(above);
    Footprint.Extent e =
        new Footprint.Extent(
            Math.max(lower.left(), upper.left()),
            Math.min(lower.right(), upper.right()),
            Math.max(lower.low(), upper.low()),
            Math.min(lower.high(), upper.high()));
    if (e.left() >= e.right() || e.low() >= e.high()) {
      return;
    }
    boolean[][] open = new boolean[e.right() - e.left()][e.high() - e.low()];
    for (int i = 0; i < open.length; i++) {
      for (int j = 0; j < open[i].length; j++) {
        open[i][j] = true;
        for (int l = lower.layer() + 1; l < next; l++) {
          open[i][j] &= present[l][e.left() + i][e.low() + j];
        }
      }
    }
    // A joint that does not reach everywhere is as many contacts as it has parts; only one whose
    // parts are no rectangles has cells that are closed.
    List<Footprint.Extent> parts = new ArrayList<>();
    if (!Footprint.rectangles(open, parts)) {
      parts = List.of(Footprint.around(open));
    }
    for (Footprint.Extent part : parts) {
      contacts.add(contact(lower, below, upper, above, e, open, part));
    }
  }

  /** A part of where two boxes overlap, through the cells of it that are open. */
  private Contact contact(
      Box lower,
      int below,
      Box upper,
      int above,
      Footprint.Extent overlap,
      boolean[][] open,
      Footprint.Extent part) {
    Footprint.Extent e = part.moved(overlap.left(), overlap.low());
    boolean[][] own = new boolean[e.right() - e.left()][];
    double[][] area = new double[own.length][e.high() - e.low()];
    for (int i = 0; i < own.length; i++) {
      own[i] = Arrays.copyOfRange(open[part.left() + i], part.low(), part.high());
      for (int j = 0; j < area[i].length; j++) {
        area[i][j] = Planes.width(x, e.left() + i) * Planes.width(y, e.low() + j);
      }
    }
    return new Contact(
        below,
        above,
        e.left(),
        e.low(),
        own,
        area,
        trace(lower, e),
        above == Contact.COOLANT ? null : trace(upper, e),
        modes(x, 0, e.left(), e.right()),
        modes(y, 1, e.low(), e.high()));
  }

  private CellModes modes(double[] planes, int axis, int from, int to) {
    return known.computeIfAbsent(List.of(axis, from, to), key -> CellModes.of(planes, from, to));
  }

  private Trace trace(Box box, Footprint.Extent e) {
    return new Trace(box.x().means(x, e.left(), e.right()), box.y().means(y, e.low(), e.high()));
  }

  /** Whether the film lies on the highest solid itself, and so is part of its answer. */
  boolean filmed(StackCase stack) {
    return highest == stack.layers().size() - 1;
  }

  /** All cells of a box, as its modes see them. */
  Whole whole(int box) {
    return wholes.computeIfAbsent(
        box,
        b -> {
          Box own = boxes.get(b);
          return new Whole(
              own.x().means(x, own.left(), own.right()), own.y().means(y, own.low(), own.high()));
        });
  }

  /**
   * Means of a box's modes over all its cells.
   *
   * @param x a row for each column of cells
   * @param y a row for each row of cells
   */
  record Whole(double[][] x, double[][] y) {}

  /** The sum of a face's values times its cells' areas. */
  double sumOverArea(Box box, double[][] values) {
    double sum = 0;
    for (int i = 0; i < values.length; i++) {
      for (int j = 0; j < values[i].length; j++) {
        sum += values[i][j] * Planes.width(x, box.left() + i) * Planes.width(y, box.low() + j);
      }
    }
    return sum;
  }

  /** What the short part of a box's answer to heat takes from its modes, m. */
  double[][] nearSymbol(int box) {
    return nearSymbols.computeIfAbsent(
        box,
        b -> {
          Box own = boxes.get(b);
          double[] lx = own.x().eigenvalues();
          double[] ly = own.y().eigenvalues();
          NearField field = near(b);
          double[][] all = own.modes();
          for (int p = 0; p < lx.length; p++) {
            for (int q = 0; q < ly.length; q++) {
              all[p][q] = field.symbol(lx[p] + ly[q]);
            }
          }
          return all;
        });
  }

  /** Places on a box's underside. */
  Spot.Places places(
      int box, List<NearField.Span> columns, List<NearField.Span> rows, List<Patch> heats) {
    Box own = boxes.get(box);
    return Spot.Places.of(own, box, near(box), columns, rows, heats, boxOf);
  }

  /** Where a heat's peak is looked for; laid when it is first asked for, as means need none. */
  Spot.Places peaks(int heat) {
    return peaks.computeIfAbsent(
        heat,
        h -> {
          if (coarser != null) {
            return coarser.peaks(h).on(boxes.get(boxOf[h]));
          }
          List<Patch> heats = stack.heat().stream().map(HeatSource::patch).toList();
          Patch own = heats.get(h);
          return places(boxOf[h], Spot.grid(own, heats, true), Spot.grid(own, heats, false), heats);
        });
  }

  /** Places closer together, around one where a heat's peak is looked for. */
  Spot.Places closer(int heat, int column, int row) {
    return closer.computeIfAbsent(
        List.of(heat, column, row),
        key -> {
          if (coarser != null) {
            return coarser.closer(heat, column, row).on(boxes.get(boxOf[heat]));
          }
          Spot.Places places = peaks(heat);
          return places(
              boxOf[heat],
              Spot.around(places.columns(), column),
              Spot.around(places.rows(), row),
              stack.heat().stream().map(HeatSource::patch).toList());
        });
  }

  /** The cells of the underside's map; laid when it is first asked for. */
  synchronized UndersideMap map() {
    if (map == null) {
      map = UndersideMap.of(stack, this);
    }
    return map;
  }

  /** Cells of all contacts. */
  long cells() {
    long sum = 0;
    for (Contact c : contacts) {
      sum += (long) c.columns() * c.rows();
    }
    return sum;
  }
}
