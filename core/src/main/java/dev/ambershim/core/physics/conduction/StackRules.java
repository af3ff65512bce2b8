package dev.ambershim.core.physics.conduction;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.util.ArrayList;
import java.util.List;

/** Refuses stacks that cannot be, with the layer's name and what to do. */
public final class StackRules {
  /** Anything larger than this is a slip of units, mm. */
  private static final double WIDEST_MILLIMETRES = 2000;

  private static final double THICKEST_MICROMETRES = 1e6;
  private static final double THINNEST_MICROMETRES = 0.01;

  /** A tenth of a watt for a square metre and kelvin is far below still air; less is a slip. */
  private static final double LEAST_FILM = 0.1;

  /** Below the best vacuum panel there is. */
  private static final double LEAST_CONDUCTIVITY = 1e-3;

  private static final double NARROWEST_MILLIMETRES = 1e-3;

  private StackRules() {}

  /**
   * Checks a stack.
   *
   * @throws Problem {@code stack.…}, naming the layer or the heat
   */
  public static void check(StackCase stack) {
    if (stack.layers().isEmpty()) {
      throw problem("stack.empty", "layers", "There is no layer.", "Give at least one.");
    }
    stack.layers().forEach(StackRules::layer);
    if (stack.layers().stream().allMatch(StackLayer::crossing)) {
      throw problem(
          "stack.solid",
          "layers",
          "Every layer is an interface, so nothing carries heat sideways.",
          "Make at least one layer solid.");
    }
    for (int i = 1; i < stack.layers().size(); i++) {
      touch(stack.layers().get(i - 1), stack.layers().get(i));
    }
    stack.heat().forEach(h -> heat(stack.layers().get(0), h));
    double film = stack.filmWattsPerSquareMetreKelvin();
    if (!(film >= LEAST_FILM && film <= 1e9)) {
      throw problem(
          "stack.cooling",
          "cooling",
          "A film coefficient of " + film + " W/m²·K does not cool.",
          "Give a figure from 0.1 to 1e9, such as 20000; still air alone has about 5.");
    }
    celsius("cooling", "temperature", stack.coolantCelsius());
  }

  private static void layer(StackLayer layer) {
    String name = "layer \"" + layer.name() + "\"";
    double k = layer.conductivityWattsPerMetreKelvin();
    if (!(k >= LEAST_CONDUCTIVITY && k <= 1e5)) {
      throw problem(
          "stack.conductivity",
          name,
          "A conductivity of " + k + " W/m·K cannot be.",
          "Give a figure from 0.001 to 100000; air has 0.026.");
    }
    double t = layer.thicknessMicrometres();
    boolean grid = layer.map().filter(m -> m instanceof ThicknessMap.Grid).isPresent();
    if (!grid && !(t >= THINNEST_MICROMETRES && t <= THICKEST_MICROMETRES)) {
      throw problem(
          "stack.thickness",
          name,
          "A thickness of " + t + " µm cannot be.",
          "Give micrometres, from 0.01 to 1000000.");
    }
    double contact = layer.contactSquareMillimetreKelvinPerWatt();
    if (!(contact >= 0 && contact <= 1e6)) {
      throw problem(
          "stack.contact",
          name,
          "A contact resistance of " + contact + " mm²·K/W cannot be.",
          "Give zero or more, up to 1000000.");
    }
    if (layer.heatCapacityJoulesPerCubicMetreKelvin().isPresent()) {
      double c = layer.heatCapacityJoulesPerCubicMetreKelvin().getAsDouble();
      if (!(c >= 0 && c <= 1e9)) {
        throw problem(
            "stack.capacity",
            name,
            "A heat capacity of " + c + " J/m³·K cannot be.",
            "Give zero or more, such as 3.4e6 for copper.");
      }
    }
    layer
        .fall()
        .ifPresent(
            f -> {
              celsius(name, "reference temperature", f.referenceCelsius());
              if (!(Math.abs(f.exponent()) <= 4)) {
                throw problem(
                    "stack.fall",
                    name,
                    "An exponent of " + f.exponent() + " cannot be.",
                    "Give a figure from −4 to 4; silicon has about 1.4.");
              }
            });
    if (layer.patches().isEmpty()) {
      throw problem("stack.footprint", name, "It has no footprint.", "Give its centre and size.");
    }
    layer.patches().forEach(p -> patch(name, p));
    layer.map().ifPresent(m -> map(name, layer, m));
  }

  private static void patch(String name, Patch p) {
    if (!(p.widthMillimetres() >= NARROWEST_MILLIMETRES
        && p.depthMillimetres() >= NARROWEST_MILLIMETRES
        && p.widthMillimetres() <= WIDEST_MILLIMETRES
        && p.depthMillimetres() <= WIDEST_MILLIMETRES)) {
      throw problem(
          "stack.size",
          name,
          "A size of " + p.widthMillimetres() + " × " + p.depthMillimetres() + " mm cannot be.",
          "Give millimetres from 0.001 to 2000.");
    }
    if (!(Math.abs(p.xMillimetres()) <= WIDEST_MILLIMETRES
        && Math.abs(p.yMillimetres()) <= WIDEST_MILLIMETRES)) {
      throw problem(
          "stack.centre",
          name,
          "Its centre lies at "
              + p.xMillimetres()
              + ", "
              + p.yMillimetres()
              + " mm, which cannot be.",
          "Give millimetres from −2000 to 2000.");
    }
  }

  private static void celsius(String name, String what, double celsius) {
    if (!(celsius > -273.15 && celsius <= 2000)) {
      throw problem(
          "stack.temperature",
          name,
          "A " + what + " of " + celsius + " °C cannot be.",
          "Give a figure above −273.15 and up to 2000 °C.");
    }
  }

  private static void heat(StackLayer lowest, HeatSource h) {
    String name = "heat \"" + h.name() + "\"";
    patch(name, h.patch());
    if (!(h.watts() >= 0 && h.watts() <= 1e6)) {
      throw problem(
          "stack.watts",
          name,
          "A heat of " + h.watts() + " W cannot be.",
          "Give zero or more, up to 1000000 W.");
    }
    h.leakage()
        .ifPresent(
            l -> {
              celsius(name, "reference temperature", l.referenceCelsius());
              if (!(l.watts() >= 0 && l.watts() <= 1e6 && l.doublingKelvin() > 0.1)) {
                throw problem(
                    "stack.leakage",
                    name,
                    "Leakage of "
                        + l.watts()
                        + " W that doubles in "
                        + l.doublingKelvin()
                        + " K cannot be.",
                    "Give zero or more watts, and a doubling of more than 0.1 K.");
              }
            });
    if (!covers(lowest, h.patch())) {
      throw problem(
          "stack.heat",
          name,
          "It reaches outside layer \"" + lowest.name() + "\".",
          "Move it, shrink it, or enlarge the layer.");
    }
  }

  /** Whether the union of the layer's rectangles covers a rectangle, to a nanometre or so. */
  private static boolean covers(StackLayer layer, Patch p) {
    double slack = 1e-6;
    List<Double> xs = new ArrayList<>(List.of(p.leftMillimetres(), p.rightMillimetres()));
    List<Double> ys = new ArrayList<>(List.of(p.lowMillimetres(), p.highMillimetres()));
    for (Patch q : layer.patches()) {
      xs.add(Math.min(p.rightMillimetres(), Math.max(p.leftMillimetres(), q.leftMillimetres())));
      xs.add(Math.min(p.rightMillimetres(), Math.max(p.leftMillimetres(), q.rightMillimetres())));
      ys.add(Math.min(p.highMillimetres(), Math.max(p.lowMillimetres(), q.lowMillimetres())));
      ys.add(Math.min(p.highMillimetres(), Math.max(p.lowMillimetres(), q.highMillimetres())));
    }
    xs.sort(null);
    ys.sort(null);
    for (int i = 1; i < xs.size(); i++) {
      for (int j = 1; j < ys.size(); j++) {
        boolean sliver = xs.get(i) - xs.get(i - 1) <= slack || ys.get(j) - ys.get(j - 1) <= slack;
        if (!sliver
            && !layer.holds((xs.get(i) + xs.get(i - 1)) / 2, (ys.get(j) + ys.get(j - 1)) / 2)) {
          return false;
        }
      }
    }
    return true;
  }

  private static void touch(StackLayer below, StackLayer above) {
    for (Patch a : below.patches()) {
      for (Patch b : above.patches()) {
        double width =
            Math.min(a.rightMillimetres(), b.rightMillimetres())
                - Math.max(a.leftMillimetres(), b.leftMillimetres());
        double depth =
            Math.min(a.highMillimetres(), b.highMillimetres())
                - Math.max(a.lowMillimetres(), b.lowMillimetres());
        if (width > 1e-6 && depth > 1e-6) {
          return;
        }
      }
    }
    throw problem(
        "stack.floating",
        "layer \"" + above.name() + "\"",
        "It floats free: it nowhere lies over layer \"" + below.name() + "\".",
        "Move one of them so that their footprints overlap.");
  }

  private static void map(String name, StackLayer layer, ThicknessMap map) {
    if (map instanceof ThicknessMap.Grid grid) {
      shape(name, grid);
    }
    List<Double> xs = new ArrayList<>();
    List<Double> ys = new ArrayList<>();
    for (Patch p : layer.patches()) {
      xs.add(p.leftMillimetres());
      xs.add(p.rightMillimetres());
      ys.add(p.lowMillimetres());
      ys.add(p.highMillimetres());
    }
    if (map instanceof ThicknessMap.Grid grid) {
      // Bilinear between the lines, so the least value lies at a crossing of lines and edges.
      for (double x : grid.xMillimetres()) {
        xs.add(x);
      }
      for (double y : grid.yMillimetres()) {
        ys.add(y);
      }
    }
    for (double x : xs) {
      for (double y : ys) {
        if (layer.holds(x, y)) {
          double t = layer.thicknessAt(x, y);
          if (!(t >= THINNEST_MICROMETRES && t <= THICKEST_MICROMETRES)) {
            throw problem(
                "stack.map",
                name,
                "Its thickness map gives "
                    + Math.round(t * 1000) / 1000.0
                    + " µm at "
                    + x
                    + ", "
                    + y
                    + " mm.",
                "A joint is thicker than zero everywhere; raise the thickness or lessen the slope.");
          }
        }
      }
    }
  }

  private static void shape(String name, ThicknessMap.Grid grid) {
    boolean fits =
        grid.xMillimetres().length > 0
            && grid.yMillimetres().length > 0
            && grid.micrometres().length == grid.yMillimetres().length;
    for (double[] row : grid.micrometres()) {
      fits &= row.length == grid.xMillimetres().length;
    }
    if (!fits || !rises(grid.xMillimetres()) || !rises(grid.yMillimetres())) {
      throw problem(
          "stack.map",
          name,
          "Its thickness map does not fit together.",
          "Give xMillimetres and yMillimetres that rise, and one row of micrometres for each y with"
              + " one figure for each x.");
    }
  }

  private static boolean rises(double[] values) {
    for (int i = 0; i < values.length; i++) {
      if (!Double.isFinite(values[i]) || (i > 0 && !(values[i] > values[i - 1]))) {
        return false;
      }
    }
    return true;
  }

  private static Problem problem(String key, String where, String what, String remedy) {
    return new Problem(key, Place.field(where), what, remedy);
  }
}
