package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.stage.diagnosis.CaseReading;
import dev.ambershim.core.stage.diagnosis.Cause;
import dev.ambershim.core.stage.diagnosis.DiagnosisAnswer;
import dev.ambershim.core.stage.diagnosis.DiagnosisCase;
import dev.ambershim.core.stage.diagnosis.Doubts;
import dev.ambershim.core.stage.diagnosis.JointMap;
import dev.ambershim.core.stage.diagnosis.NextTest;
import dev.ambershim.core.stage.diagnosis.Ranking;
import dev.ambershim.logbook.store.Json;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/** Reads {@code ambershim/diagnose-1}, and writes what is made of it. */
public final class DiagnoseJson {
  /** The format that is read. */
  public static final String FORMAT = "ambershim/diagnose-1";

  private final String file;

  private record Answered(
      List<Ranked> causes, List<Mapped> jointMaps, List<Next> next, FindingJson finding) {}

  private record Ranked(
      String cause,
      String joint,
      String core,
      double probability,
      double kelvin,
      String sentence) {}

  private record Mapped(
      String joint,
      double[] xMillimetres,
      double[] yMillimetres,
      double[][] micrometres,
      double[][] seen,
      double usualMicrometres) {}

  private record Next(
      String test, double informationBits, double minutes, String risk, String sentence) {}

  private DiagnoseJson(String file) {
    this.file = file;
  }

  /**
   * A case from JSON. Whether it can be is for the diagnosis to say.
   *
   * @param file the file's name for messages
   * @throws Problem {@code diagnose.unreadable}, {@code diagnose.version}, {@code diagnose.field}
   *     or {@code stack.…}, with the file and the line or the reading
   */
  public static DiagnosisCase read(String file, String json) {
    return new DiagnoseJson(file).given(Json.tree(file, json, "diagnose.unreadable", "the case"));
  }

  private DiagnosisCase given(JsonNode node) {
    String format = node.path("format").asText("");
    if (!format.equals(FORMAT)) {
      throw problem(
          "diagnose.version",
          "format",
          format.isEmpty()
              ? "The file is empty, or does not say its format."
              : "The format is \"" + format + "\".",
          "This version reads \"" + FORMAT + "\".");
    }
    if (!node.path("stack").isObject()) {
      throw missing("stack", "", "a case of solve");
    }
    JsonNode all = node.path("readings");
    if (!all.isArray()) {
      throw missing("readings", "", "a list");
    }
    List<CaseReading> readings = new ArrayList<>();
    for (int i = 0; i < all.size(); i++) {
      readings.add(reading(all.get(i), i));
    }
    return new DiagnosisCase(
        StackJson.read(file, node.get("stack")),
        optional(node, "loopKelvinPerWatt", ""),
        readings,
        signs(node.path("signs")),
        Doubts.OF_A_CASE);
  }

  private CaseReading reading(JsonNode node, int index) {
    String name = Json.name(node, "reading " + index);
    String where = "reading \"" + name + "\"";
    if (!node.isObject()) {
      throw problem("diagnose.field", where, "It is no object.", "Give its figures by name.");
    }
    OptionalDouble mount = optional(node, "mount", where);
    if (mount.isPresent() && mount.getAsDouble() != Math.rint(mount.getAsDouble())) {
      throw missing("mount", where, "a whole number");
    }
    return new CaseReading(
        name,
        (int) mount.orElse(1),
        optional(node, "coolerTurnedDegrees", where).orElse(0),
        optional(node, "roomCelsius", where),
        optional(node, "coolantCelsius", where),
        optional(node, "lidCelsius", where),
        byName(node, "wattsByCore", where),
        byName(node, "coreCelsius", where),
        slow(optional(node, "slowKelvinPerWatt", where)));
  }

  /** The slow part of a rise, as exact as it is told. */
  private static Optional<CaseReading.Slow> slow(OptionalDouble kelvinPerWatt) {
    return kelvinPerWatt.isPresent()
        ? Optional.of(new CaseReading.Slow(kelvinPerWatt.getAsDouble(), 0))
        : Optional.empty();
  }

  /** Figures by name; what is null is not known. */
  private Map<String, Double> byName(JsonNode node, String field, String where) {
    JsonNode found = node.path(field);
    Map<String, Double> all = new LinkedHashMap<>();
    if (found.isMissingNode() || found.isNull()) {
      return all;
    }
    if (!found.isObject()) {
      throw missing(field, where, "a figure for each core");
    }
    found
        .properties()
        .forEach(
            one -> {
              if (!one.getValue().isNull()) {
                all.put(one.getKey(), number(one.getValue(), field + ", " + one.getKey(), where));
              }
            });
    return all;
  }

  private Set<Sign> signs(JsonNode node) {
    Set<Sign> signs = EnumSet.noneOf(Sign.class);
    for (JsonNode one : node) {
      signs.add(
          Stream.of(Sign.values())
              .filter(s -> s.key().equals(one.asText()))
              .findFirst()
              .orElseThrow(
                  () ->
                      problem(
                          "diagnose.field",
                          "signs",
                          "There is no sign \"" + one.asText() + "\".",
                          "Signs are "
                              + Stream.of(Sign.values())
                                  .map(Sign::key)
                                  .collect(Collectors.joining(", "))
                              + ".")));
    }
    return signs;
  }

  private OptionalDouble optional(JsonNode node, String field, String where) {
    return node.hasNonNull(field)
        ? OptionalDouble.of(number(node.get(field), field, where))
        : OptionalDouble.empty();
  }

  private double number(JsonNode found, String field, String where) {
    if (!found.isNumber() || !Double.isFinite(found.asDouble())) {
      throw missing(field, where, "a number");
    }
    return found.asDouble();
  }

  private Problem missing(String field, String where, String kind) {
    return problem(
        "diagnose.field",
        where.isEmpty() ? field : where,
        field + " is not there or not " + kind + ".",
        "Give it.");
  }

  private Problem problem(String key, String where, String what, String remedy) {
    return new Problem(key, new Place(file, 0, 0, where), what, remedy);
  }

  private record Read(
      String name,
      int mount,
      double coolerTurnedDegrees,
      Double roomCelsius,
      Double coolantCelsius,
      Double lidCelsius,
      Double slowKelvinPerWatt,
      Map<String, Double> wattsByCore,
      Map<String, Double> coreCelsius) {
    static Read of(CaseReading r) {
      return new Read(
          r.name(),
          r.mount(),
          r.turnedDegrees(),
          orNull(r.roomCelsius()),
          orNull(r.coolantCelsius()),
          orNull(r.lidCelsius()),
          r.slow().map(CaseReading.Slow::kelvinPerWatt).orElse(null),
          new TreeMap<>(r.watts()),
          new TreeMap<>(r.coreCelsius()));
    }

    private static Double orNull(OptionalDouble value) {
      return value.isPresent() ? value.getAsDouble() : null;
    }
  }

  /** Readings as a case has them. */
  public static List<ObjectNode> readings(List<CaseReading> readings) {
    return readings.stream().map(r -> Json.published(Read.of(r))).toList();
  }

  /** A case as {@link #read} takes it. */
  public static ObjectNode of(DiagnosisCase given) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("format", FORMAT);
    given.loopKelvinPerWatt().ifPresent(l -> node.put("loopKelvinPerWatt", l));
    node.set("stack", StackJson.of(given.stack()));
    node.putArray("readings").addAll(readings(given.readings()));
    if (!given.signs().isEmpty()) {
      given.signs().stream().map(Sign::key).sorted().forEach(node.putArray("signs")::add);
    }
    return node;
  }

  /** The published answer. */
  public static ObjectNode of(DiagnosisAnswer answer) {
    Ranking ranking = answer.ranking();
    return Json.published(
        new Answered(
            IntStream.range(0, ranking.causes().size()).mapToObj(i -> ranked(answer, i)).toList(),
            ranking.maps().stream().map(DiagnoseJson::mapped).toList(),
            IntStream.range(0, ranking.next().size()).mapToObj(i -> next(answer, i)).toList(),
            FindingJson.of(answer.told())));
  }

  private static Ranked ranked(DiagnosisAnswer answer, int at) {
    Cause cause = answer.ranking().causes().get(at);
    return new Ranked(
        cause.kind().words(),
        cause.joint().orElse(null),
        cause.core() < 0 ? null : answer.given().stack().heat().get(cause.core()).name(),
        cause.probability(),
        cause.kelvin(),
        answer.causes().get(at));
  }

  private static Mapped mapped(JointMap map) {
    return new Mapped(
        map.joint(),
        map.xMillimetres(),
        map.yMillimetres(),
        map.micrometres(),
        map.seen(),
        map.usualMicrometres());
  }

  private static Next next(DiagnosisAnswer answer, int at) {
    NextTest test = answer.ranking().next().get(at);
    return new Next(
        test.trial().words(),
        test.informationBits(),
        test.minutes(),
        test.trial().risk().words(),
        answer.tests().get(at));
  }
}
