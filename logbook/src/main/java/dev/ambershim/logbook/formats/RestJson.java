package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.fit.Feature;
import dev.ambershim.core.physics.fit.RestingContact;
import dev.ambershim.core.physics.fit.TouchChances;
import dev.ambershim.logbook.store.Json;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/** The published list of tops, read, and how a plate rests on them, written. */
public final class RestJson {
  private static final double HIGHEST = 100;
  private static final double WIDEST = 1000;

  /**
   * Tops and where the plate is pressed.
   *
   * @param features the tops
   * @param xLoad mm
   * @param yLoad mm
   * @param tolerances whether any top has one
   */
  public record Case(List<Feature> features, double xLoad, double yLoad, boolean tolerances) {}

  private record Resting(
      List<String> touching,
      double tiltDegrees,
      List<Clear> clearances,
      boolean stable,
      boolean rocking,
      Plane plane,
      List<TouchChances.Chance> chances,
      Integer draws) {}

  private record Clear(String name, double millimetres) {}

  private record Plane(double heightMillimetres, double xSlope, double ySlope) {}

  private record Tipping(
      List<String> touching,
      double tiltDegrees,
      List<Clear> clearances,
      boolean stable,
      String reason,
      String remedy) {}

  private RestJson() {}

  /**
   * Reads {@code FEATURES.rest.json}.
   *
   * @param file its name for messages
   * @throws Problem {@code rest.unreadable}, {@code rest.field} or {@code rest.unit}
   */
  public static Case read(String file, String json) {
    JsonNode node = Json.tree(file, json, "rest.unreadable", "the file");
    JsonNode load = node.path("loadMillimetres");
    if (load.size() != 2 || !load.get(0).isNumber() || !load.get(1).isNumber()) {
      throw problem(
          file,
          "rest.field",
          "loadMillimetres",
          "It is not there or not two numbers.",
          "Say where the plate is pressed, such as [0, 0].");
    }
    if (!(Math.abs(load.get(0).asDouble()) <= WIDEST
        && Math.abs(load.get(1).asDouble()) <= WIDEST)) {
      throw problem(
          file,
          "rest.unit",
          "loadMillimetres",
          "It lies too far out; this field is mm.",
          "Give where the plate is pressed, such as [0, 0].");
    }
    JsonNode all = node.path("features");
    if (!all.isArray()) {
      throw problem(
          file, "rest.field", "features", "It is not there or not a list.", "Give the tops.");
    }
    List<Feature> features = new ArrayList<>();
    boolean tolerances = false;
    for (int i = 0; i < all.size(); i++) {
      JsonNode one = all.get(i);
      String name = Json.name(one, "top " + i);
      double tolerance =
          one.hasNonNull("toleranceMillimetres")
              ? number(file, one, "toleranceMillimetres", name)
              : 0;
      if (tolerance < 0) {
        throw problem(
            file,
            "rest.field",
            name,
            "Its tolerance is below nought.",
            "Give how far it may be off to either side.");
      }
      tolerances |= tolerance > 0;
      double x = number(file, one, "xMillimetres", name);
      double y = number(file, one, "yMillimetres", name);
      double height = number(file, one, "heightMillimetres", name);
      if (Math.abs(height) > HIGHEST || tolerance > HIGHEST) {
        throw problem(
            file,
            "rest.unit",
            name,
            "A height of " + height + " mm looks like micrometres; this field is mm.",
            "Divide by 1000.");
      }
      if (Math.max(Math.abs(x), Math.abs(y)) > WIDEST) {
        throw problem(
            file,
            "rest.unit",
            name,
            "Its place looks like micrometres; this field is mm.",
            "Divide by 1000.");
      }
      features.add(Feature.of(name, x, y, height, tolerance));
    }
    return new Case(features, load.get(0).asDouble(), load.get(1).asDouble(), tolerances);
  }

  private static double number(String file, JsonNode node, String field, String name) {
    JsonNode found = node.path(field);
    if (!found.isNumber() || !Double.isFinite(found.asDouble())) {
      throw problem(
          file, "rest.field", name, field + " is not there or not a number.", "Give it in mm.");
    }
    return found.asDouble();
  }

  private static Problem problem(
      String file, String key, String field, String what, String remedy) {
    return new Problem(key, new Place(file, 0, 0, field), what, remedy);
  }

  /** The published block of a plate that rests. */
  public static ObjectNode of(
      List<Feature> features, RestingContact rest, Optional<TouchChances> chances) {
    return Json.published(
        new Resting(
            rest.touching(),
            rest.tiltDegrees(),
            IntStream.range(0, features.size())
                .mapToObj(i -> new Clear(features.get(i).name(), rest.clearances().get(i)))
                .toList(),
            true,
            rest.rocking(),
            new Plane(rest.heightMillimetres(), rest.xSlope(), rest.ySlope()),
            chances.map(TouchChances::chances).orElse(null),
            chances.map(TouchChances::draws).orElse(null)));
  }

  /** The block of a plate that tips. */
  public static ObjectNode unstable(Problem problem) {
    return Json.published(
        new Tipping(List.of(), Double.NaN, List.of(), false, problem.what(), problem.remedy()));
  }
}
