package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.logbook.store.Json;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Reads and writes {@code ambershim/stack-1}. Fields that it does not know are passed over. */
public final class StackJson {
  /** The format that is read. */
  public static final String FORMAT = "ambershim/stack-1";

  private static final String CONDUCTIVITY = "conductivityWattsPerMetreKelvin";
  private static final String THICKNESS = "thicknessMicrometres";
  private static final String CENTRE = "centreMillimetres";
  private static final String SIZE = "sizeMillimetres";

  private final String file;

  private StackJson(String file) {
    this.file = file;
  }

  /**
   * A stack from JSON. Whether it can be is for the solver to say.
   *
   * @param file the file's name for messages
   * @throws Problem {@code stack.unreadable}, {@code stack.version} or {@code stack.field}, with
   *     the file, the line or the layer
   */
  public static StackCase read(String file, String json) {
    return read(file, Json.tree(file, json, "stack.unreadable", "the case"));
  }

  /** As {@link #read(String, String)}, from a part of a file. */
  static StackCase read(String file, JsonNode node) {
    return new StackJson(file).stack(node);
  }

  /** A stack as {@link #read} takes it; what it has for time is left out. */
  static ObjectNode of(StackCase stack) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("format", FORMAT);
    ArrayNode layers = node.putArray("layers");
    for (StackLayer layer : stack.layers()) {
      ObjectNode one = layers.addObject();
      one.put("name", layer.name());
      one.put(CONDUCTIVITY, layer.conductivityWattsPerMetreKelvin());
      layer
          .fall()
          .ifPresent(
              f ->
                  one.putObject("conductivityFall")
                      .put("referenceCelsius", f.referenceCelsius())
                      .put("exponent", f.exponent()));
      ArrayNode patches = one.putArray("patches");
      layer.patches().forEach(p -> place(patches.addObject(), p));
      one.put(THICKNESS, layer.thicknessMicrometres());
      if (layer.crossing()) {
        one.put("interface", true);
        one.put(
            "contactResistanceSquareMillimetreKelvinPerWatt",
            layer.contactSquareMillimetreKelvinPerWatt());
      }
      layer.map().ifPresent(m -> map(one.putObject("thicknessMap"), m));
    }
    ArrayNode heats = node.putArray("heat");
    for (HeatSource heat : stack.heat()) {
      ObjectNode one = heats.addObject();
      one.put("name", heat.name());
      place(one, heat.patch());
      one.put("watts", heat.watts());
    }
    node.putObject("cooling")
        .put("filmCoefficientWattsPerSquareMetreKelvin", stack.filmWattsPerSquareMetreKelvin())
        .put("temperatureCelsius", stack.coolantCelsius());
    return node;
  }

  private static void place(ObjectNode node, Patch patch) {
    node.putArray(CENTRE).add(patch.xMillimetres()).add(patch.yMillimetres());
    node.putArray(SIZE).add(patch.widthMillimetres()).add(patch.depthMillimetres());
  }

  private static void map(ObjectNode node, ThicknessMap map) {
    if (map instanceof ThicknessMap.Grid grid) {
      node.put("kind", "grid");
      node.set("xMillimetres", Json.mapper().valueToTree(grid.xMillimetres()));
      node.set("yMillimetres", Json.mapper().valueToTree(grid.yMillimetres()));
      node.set("micrometres", Json.mapper().valueToTree(grid.micrometres()));
    } else if (map instanceof ThicknessMap.Plane plane) {
      node.put("kind", "plane")
          .putArray("slopeMicrometresPerMillimetre")
          .add(plane.xSlope())
          .add(plane.ySlope());
    }
  }

  private StackCase stack(JsonNode node) {
    String format = node.path("format").asText("");
    if (format.isEmpty()) {
      throw problem(
          "stack.version",
          "format",
          "The file is empty, or does not say its format.",
          "Begin it with \"format\": \"" + FORMAT + "\".");
    }
    if (!format.equals(FORMAT)) {
      throw problem(
          "stack.version",
          "format",
          "The format is \"" + format + "\".",
          "This version reads \"" + FORMAT + "\".");
    }
    List<StackLayer> layers = new ArrayList<>();
    JsonNode all = list(node, "layers", "layers");
    for (int i = 0; i < all.size(); i++) {
      layers.add(layer(all.get(i), i));
    }
    List<HeatSource> heat = new ArrayList<>();
    if (node.hasNonNull("heat")) {
      JsonNode sources = list(node, "heat", "heat");
      for (int i = 0; i < sources.size(); i++) {
        heat.add(source(sources.get(i), i));
      }
    }
    JsonNode cooling = node.path("cooling");
    return new StackCase(
        layers,
        heat,
        number(cooling, "filmCoefficientWattsPerSquareMetreKelvin", "cooling"),
        number(cooling, "temperatureCelsius", "cooling"));
  }

  private StackLayer layer(JsonNode node, int index) {
    String name = Json.name(node, "layer " + index);
    String where = "layer \"" + name + "\"";
    Optional<ThicknessMap> map =
        node.hasNonNull("thicknessMap")
            ? Optional.of(map(node.get("thicknessMap"), where))
            : Optional.empty();
    boolean grid = map.filter(m -> m instanceof ThicknessMap.Grid).isPresent();
    Optional<StackLayer.Fall> fall =
        node.hasNonNull("conductivityFall")
            ? Optional.of(
                new StackLayer.Fall(
                    number(node.get("conductivityFall"), "referenceCelsius", where),
                    number(node.get("conductivityFall"), "exponent", where)))
            : Optional.empty();
    OptionalDouble capacity =
        node.hasNonNull("volumetricHeatCapacityJoulesPerCubicMetreKelvin")
            ? OptionalDouble.of(
                number(node, "volumetricHeatCapacityJoulesPerCubicMetreKelvin", where))
            : OptionalDouble.empty();
    return new StackLayer(
        name,
        number(node, CONDUCTIVITY, where),
        fall,
        patches(node, where),
        grid && !node.hasNonNull(THICKNESS) ? 1 : number(node, THICKNESS, where),
        node.path("interface").asBoolean(false) || map.isPresent(),
        node.hasNonNull("contactResistanceSquareMillimetreKelvinPerWatt")
            ? number(node, "contactResistanceSquareMillimetreKelvinPerWatt", where)
            : 0,
        map,
        capacity);
  }

  private List<Patch> patches(JsonNode node, String where) {
    if (!node.hasNonNull("patches")) {
      return List.of(patch(node, where));
    }
    List<Patch> all = new ArrayList<>();
    for (JsonNode patch : list(node, "patches", where)) {
      all.add(patch(patch, where));
    }
    return all;
  }

  private Patch patch(JsonNode node, String where) {
    double[] centre = row(node, CENTRE, where);
    double[] size = row(node, SIZE, where);
    if (centre.length != 2 || size.length != 2) {
      throw problem(
          "stack.field",
          where,
          "Its " + CENTRE + " or " + SIZE + " has not two figures.",
          "Give [x, y] for both, in mm.");
    }
    return new Patch(centre[0], centre[1], size[0], size[1]);
  }

  private HeatSource source(JsonNode node, int index) {
    String name = Json.name(node, "heat " + index);
    String where = "heat \"" + name + "\"";
    Optional<HeatSource.Leakage> leakage =
        node.hasNonNull("leakage")
            ? Optional.of(
                new HeatSource.Leakage(
                    number(node.get("leakage"), "watts", where),
                    number(node.get("leakage"), "referenceCelsius", where),
                    number(node.get("leakage"), "doublingKelvin", where)))
            : Optional.empty();
    return new HeatSource(name, patch(node, where), number(node, "watts", where), leakage);
  }

  private ThicknessMap map(JsonNode node, String where) {
    String kind = node.path("kind").asText("");
    return switch (kind) {
      case "plane" -> {
        double[] slope = row(node, "slopeMicrometresPerMillimetre", where);
        if (slope.length != 2) {
          throw problem(
              "stack.field", where, "Its map's slope has not two figures.", "Give [x, y].");
        }
        yield new ThicknessMap.Plane(slope[0], slope[1]);
      }
      case "grid" -> {
        JsonNode rows = list(node, "micrometres", where);
        double[][] micrometres = new double[rows.size()][];
        for (int j = 0; j < micrometres.length; j++) {
          micrometres[j] = numbers(rows.get(j), "micrometres, row " + j, where);
        }
        yield new ThicknessMap.Grid(
            row(node, "xMillimetres", where), row(node, "yMillimetres", where), micrometres);
      }
      default ->
          throw problem(
              "stack.field",
              where,
              "Its map is of the kind \"" + kind + "\".",
              "Kinds are plane and grid.");
    };
  }

  private JsonNode list(JsonNode node, String field, String where) {
    JsonNode found = node.path(field);
    if (!found.isArray()) {
      throw missing(field, where, "a list");
    }
    return found;
  }

  private double number(JsonNode node, String field, String where) {
    JsonNode found = node.path(field);
    if (found.isTextual()) {
      throw problem(
          "stack.field",
          where,
          field + " is text, not a number.",
          "Write it with a point and without quotation marks, such as 30.5.");
    }
    if (!found.isNumber()) {
      throw missing(field, where, "a number");
    }
    return found.asDouble();
  }

  private double[] row(JsonNode node, String field, String where) {
    return numbers(node.path(field), field, where);
  }

  private double[] numbers(JsonNode found, String field, String where) {
    boolean fits = found.isArray();
    double[] values = new double[found.size()];
    for (int i = 0; fits && i < values.length; i++) {
      fits = found.get(i).isNumber();
      values[i] = found.get(i).asDouble();
    }
    if (!fits) {
      throw missing(field, where, "a list of numbers");
    }
    return values;
  }

  private Problem missing(String field, String where, String kind) {
    return problem("stack.field", where, field + " is not there or not " + kind + ".", "Give it.");
  }

  private Problem problem(String key, String where, String what, String remedy) {
    return new Problem(key, new Place(file, 0, 0, where), what, remedy);
  }
}
