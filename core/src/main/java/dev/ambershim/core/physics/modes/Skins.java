package dev.ambershim.core.physics.modes;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.Planes;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Thin solids, such as a paste or a plating that is given as a layer of its own. A box for each
 * needs cells as fine as it is thin around its edges; but what spreads inside them is little. So
 * heat is let through them straight up, and what that leaves out is told: by the theorem of least
 * dissipation (Maxwell, <i>Treatise</i>, 283) at most the power that the sheet would dissipate
 * sideways, and around its rim what a fin would carry (Carslaw &amp; Jaeger, 4.5).
 */
final class Skins {
  private static final double THICKEST_MICROMETRES = 300;

  /** Of what the better solid beside it carries sideways. */
  private static final double MOST_SHARE = 0.02;

  /** Beyond it some eighty steps are not enough. */
  private static final double CREEP = 4000;

  /** Planes closer than this are one, m. */
  private static final double CLOSE = 1e-9;

  /** The theorem holds for the heats' mean by watts; one heat alone may see more of it. */
  private static final double SAFETY = 2;

  private Skins() {}

  /**
   * Whether solids touch without a joint where one is so thin, or so bad a conductor, that the
   * fluxes on its two sides hang together closely, and where it meets its neighbours on one side
   * lies partly beside where it does on the other: then the gradients creep. Steps go with the root
   * of how much easier the widest pattern spreads in a neighbour than in the skin.
   */
  static boolean creep(StackCase stack) {
    for (int l = 1; l < stack.layers().size(); l++) {
      StackLayer below = stack.layers().get(l - 1);
      StackLayer above = stack.layers().get(l);
      if (below.crossing() || above.crossing()) {
        continue;
      }
      double a = below.conductivityWattsPerMetreKelvin();
      double b = above.conductivityWattsPerMetreKelvin();
      if ((a > CREEP * b * slender(above) && !nested(stack, l))
          || (b > CREEP * a * slender(below) && !nested(stack, l - 1))) {
        return true;
      }
    }
    return false;
  }

  /**
   * Whether heat crowds at the rim of a contact within a bad conductor so thin that its modes do
   * not show how it spreads there. Grids then come near the truth by steps that are not even.
   */
  static boolean crowd(StackCase stack, Boxes boxes) {
    for (Contact contact : boxes.contacts) {
      if (contact.cooled()) {
        continue;
      }
      Box lower = boxes.boxes.get(contact.below());
      Box upper = boxes.boxes.get(contact.above());
      StackLayer below = stack.layers().get(lower.layer());
      StackLayer above = stack.layers().get(upper.layer());
      boolean touch = upper.layer() == lower.layer() + 1;
      if (touch && (crowds(contact, below, lower, above) || crowds(contact, above, upper, below))) {
        return true;
      }
    }
    return false;
  }

  private static boolean crowds(Contact contact, StackLayer own, Box box, StackLayer other) {
    boolean rim =
        contact.columns() < box.right() - box.left() || contact.rows() < box.high() - box.low();
    double finest = Math.sqrt(Preconditioner.SEEN * Math.min(box.x().highest(), box.y().highest()));
    return rim
        && Preconditioner.ALIKE * own.conductivityWattsPerMetreKelvin()
            < other.conductivityWattsPerMetreKelvin()
        && own.thicknessMicrometres() * 1e-6 * finest < Math.PI;
  }

  /** Thickness over the length of the widest pattern. */
  private static double slender(StackLayer layer) {
    double width = layer.bounds().widthMillimetres();
    double longest = Math.max(width, layer.bounds().depthMillimetres());
    return Math.PI * layer.thicknessMicrometres() / (1e3 * longest);
  }

  /**
   * Whether the rectangles in which a solid meets its neighbours on one side and on the other lie
   * within each other or apart, as {@link Preconditioner} ties them.
   */
  private static boolean nested(StackCase stack, int layer) {
    StackLayer own = stack.layers().get(layer);
    List<Patch> below = beside(stack, layer, -1).map(o -> meeting(own, o)).orElse(List.of());
    List<Patch> above = beside(stack, layer, 1).map(o -> meeting(own, o)).orElse(List.of());
    return below.stream()
        .allMatch(
            b ->
                above.stream()
                    .allMatch(
                        a -> overlap(a, b).filter(o -> !same(o, a) && !same(o, b)).isEmpty()));
  }

  /** Where two layers overlap. */
  private static List<Patch> meeting(StackLayer one, StackLayer other) {
    return one.patches().stream()
        .flatMap(a -> other.patches().stream().flatMap(b -> overlap(a, b).stream()))
        .toList();
  }

  private static Optional<Patch> overlap(Patch a, Patch b) {
    double left = Math.max(Footprint.low(a, true), Footprint.low(b, true));
    double right = Math.min(Footprint.high(a, true), Footprint.high(b, true));
    double low = Math.max(Footprint.low(a, false), Footprint.low(b, false));
    double high = Math.min(Footprint.high(a, false), Footprint.high(b, false));
    return right - left > CLOSE && high - low > CLOSE
        ? Optional.of(
            new Patch(
                500 * (left + right), 500 * (low + high), 1e3 * (right - left), 1e3 * (high - low)))
        : Optional.empty();
  }

  private static boolean same(Patch a, Patch b) {
    return Math.abs(Footprint.low(a, true) - Footprint.low(b, true)) < CLOSE
        && Math.abs(Footprint.high(a, true) - Footprint.high(b, true)) < CLOSE
        && Math.abs(Footprint.low(a, false) - Footprint.low(b, false)) < CLOSE
        && Math.abs(Footprint.high(a, false) - Footprint.high(b, false)) < CLOSE;
  }

  private static boolean thin(StackCase stack, int layer) {
    StackLayer own = stack.layers().get(layer);
    double beside = Math.max(sheetBeside(stack, layer, -1), sheetBeside(stack, layer, 1));
    return !own.crossing()
        && own.fall().isEmpty()
        && own.thicknessMicrometres() <= THICKEST_MICROMETRES
        && sheet(own) <= MOST_SHARE * beside
        && layer > Footprint.solid(stack, true);
  }

  /** Conductivity times thickness: what carries heat sideways, W/K. */
  private static double sheet(StackLayer layer) {
    return layer.conductivityWattsPerMetreKelvin() * layer.thicknessMicrometres() * 1e-6;
  }

  /** The same of the next solid, below or above; 0 if there is none. */
  private static double sheetBeside(StackCase stack, int layer, int step) {
    return beside(stack, layer, step).map(Skins::sheet).orElse(0.0);
  }

  /** The next solid, below or above. */
  private static Optional<StackLayer> beside(StackCase stack, int layer, int step) {
    for (int l = layer + step; l >= 0 && l < stack.layers().size(); l += step) {
      if (!stack.layers().get(l).crossing()) {
        return Optional.of(stack.layers().get(l));
      }
    }
    return Optional.empty();
  }

  /** The stack with heat going straight through its thin solids; empty if it has none. */
  static Optional<StackCase> straight(StackCase stack) {
    List<StackLayer> layers = new ArrayList<>();
    boolean any = false;
    for (int l = 0; l < stack.layers().size(); l++) {
      StackLayer own = stack.layers().get(l);
      boolean thin = thin(stack, l);
      layers.add(thin ? own.asInterface() : own);
      any |= thin;
    }
    return any
        ? Optional.of(
            new StackCase(
                layers,
                stack.heat(),
                stack.filmWattsPerSquareMetreKelvin(),
                stack.coolantCelsius()))
        : Optional.empty();
  }

  /**
   * How far the sources may be off because heat spreads in thin solids after all, K.
   *
   * @param stack with its thin solids
   * @param field the solution of the straight stack
   */
  static double doubt(StackCase stack, BoxField field) {
    double watts = field.wattsOfAll();
    if (watts == 0) {
      return 0;
    }
    double kelvin = 0;
    for (int c = 0; c < field.boxes().contacts.size(); c++) {
      Contact contact = field.boxes().contacts.get(c);
      int below = field.boxes().boxes.get(contact.below()).layer();
      int last =
          contact.cooled()
              ? stack.layers().size()
              : field.boxes().boxes.get(contact.above()).layer();
      for (int l = below + 1; l < last; l++) {
        if (thin(stack, l)) {
          kelvin += sideways(field, c, l) / watts + rim(field, c, l, last);
        }
      }
    }
    return SAFETY * kelvin;
  }

  /**
   * What a skin over a contact would dissipate sideways under the temperatures that it has, W·K.
   */
  private static double sideways(BoxField field, int index, int skin) {
    Boxes boxes = field.boxes();
    Contact contact = boxes.contacts.get(index);
    Box below = boxes.boxes.get(contact.below());
    StackLayer own = field.stack().layers().get(skin);
    double[][] before = contact.cells();
    for (int l = below.layer() + 1; l < skin; l++) {
      JointCells.add(
          field.stack().layers().get(l), boxes.x, contact.left(), boxes.y, contact.low(), before);
    }
    double face = JointCells.face(field.stack().layers().get(below.layer())) + JointCells.face(own);
    double thickness = own.thicknessMicrometres() * 1e-6;
    double body = thickness / own.conductivityWattsPerMetreKelvin();
    double[][] solid = field.rises().top(contact.below());
    double[][] low = contact.cells();
    double[][] top = contact.cells();
    for (int i = 0; i < low.length; i++) {
      for (int j = 0; j < low[i].length; j++) {
        double flux = field.through()[index][i][j] / contact.area()[i][j];
        low[i][j] =
            solid[contact.left() - below.left() + i][contact.low() - below.low() + j]
                - flux * (before[i][j] + face);
        top[i][j] = low[i][j] - flux * body;
      }
    }
    double sum = 0;
    for (int i = 0; i < low.length; i++) {
      double width = Planes.width(boxes.x, contact.left() + i);
      for (int j = 0; j < low[i].length; j++) {
        double depth = Planes.width(boxes.y, contact.low() + j);
        if (contact.open()[i][j] && i + 1 < low.length && contact.open()[i + 1][j]) {
          double apart = (width + Planes.width(boxes.x, contact.left() + i + 1)) / 2;
          sum += depth * apart * pair(low, top, i, j, i + 1, j, apart);
        }
        if (contact.open()[i][j] && j + 1 < low[i].length && contact.open()[i][j + 1]) {
          double apart = (depth + Planes.width(boxes.y, contact.low() + j + 1)) / 2;
          sum += width * apart * pair(low, top, i, j, i, j + 1, apart);
        }
      }
    }
    return own.conductivityWattsPerMetreKelvin() * thickness * sum;
  }

  /** Differences from cell to cell of both faces, whose slope goes evenly from one to the other. */
  private static double pair(
      double[][] low, double[][] top, int i, int j, int m, int n, double apart) {
    double a = (low[m][n] - low[i][j]) / apart;
    double b = (top[m][n] - top[i][j]) / apart;
    return (a * a + a * b + b * b) / 3;
  }

  /**
   * Where a skin reaches beyond its contact it works as a fin, and its length widens the contact.
   *
   * @param last the layer above the contact, or how many layers there are
   * @return K that the wider contact would save
   */
  private static double rim(BoxField field, int index, int skin, int last) {
    Boxes boxes = field.boxes();
    Contact contact = boxes.contacts.get(index);
    double[][] specific = JointCells.of(field.stack(), boxes, contact);
    double wider = 0;
    double area = 0;
    double drop = 0;
    for (int i = 0; i < contact.columns(); i++) {
      for (int j = 0; j < contact.rows(); j++) {
        if (contact.open()[i][j]) {
          int x = contact.left() + i;
          int y = contact.low() + j;
          double width = Planes.width(boxes.x, x);
          double depth = Planes.width(boxes.y, y);
          area += width * depth;
          drop += Math.abs(field.through()[index][i][j]) * specific[i][j];
          int below = boxes.boxes.get(contact.below()).layer();
          wider += depth * fin(field, below, skin, last, x - 1, y);
          wider += depth * fin(field, below, skin, last, x + 1, y);
          wider += width * fin(field, below, skin, last, x, y - 1);
          wider += width * fin(field, below, skin, last, x, y + 1);
        }
      }
    }
    return wider / area * drop / area;
  }

  /** How far heat goes along a skin beside its contact, m; 0 where it cannot or need not. */
  private static double fin(BoxField field, int below, int skin, int last, int x, int y) {
    boolean[][][] present = field.boxes().present;
    boolean inside = x >= 0 && y >= 0 && x < present[skin].length && y < present[skin][0].length;
    if (!inside || !present[skin][x][y]) {
      return 0;
    }
    StackCase stack = field.stack();
    StackLayer own = stack.layers().get(skin);
    double thickness = own.thicknessMicrometres() * 1e-6;
    double half = thickness / own.conductivityWattsPerMetreKelvin() / 2;
    double up = last == stack.layers().size() ? 1 / stack.filmWattsPerSquareMetreKelvin() : 0;
    double down = 0;
    for (int l = skin + 1; l < last; l++) {
      up += beyond(stack.layers().get(l), present[l][x][y]);
    }
    if (last < stack.layers().size() && !present[last][x][y]) {
      up = Double.POSITIVE_INFINITY;
    }
    for (int l = below + 1; l < skin; l++) {
      down += beyond(stack.layers().get(l), present[l][x][y]);
    }
    if (!present[below][x][y]) {
      down = Double.POSITIVE_INFINITY;
    }
    double out = Math.min(up, down);
    boolean straight = Double.isFinite(up) && Double.isFinite(down);
    return straight || Double.isInfinite(out)
        ? 0
        : Math.sqrt(own.conductivityWattsPerMetreKelvin() * thickness * (half + out));
  }

  private static double beyond(StackLayer joint, boolean present) {
    return present
        ? joint.thicknessMicrometres() * 1e-6 / joint.conductivityWattsPerMetreKelvin()
            + 2 * JointCells.face(joint)
        : Double.POSITIVE_INFINITY;
  }
}
