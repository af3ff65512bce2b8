package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.NullNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.runs.series.Judged;
import dev.ambershim.core.runs.series.Mount;
import dev.ambershim.core.stage.series.SeriesAnswer;
import dev.ambershim.core.stage.series.SeriesPlan;
import dev.ambershim.logbook.store.Json;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/** A series' plan and its judgement, as JSON. */
public final class SeriesJson {
  private record Planned(
      List<List<String>> blocks,
      int mountsOfEach,
      JsonNode tellsKelvin,
      JsonNode mountsForCare,
      double hours,
      double grams,
      List<String> notes,
      FindingJson finding) {}

  private record Told(
      List<Rank> ranking,
      List<Two> pairs,
      List<Two> against,
      JsonNode mountsToPartTheBest,
      JsonNode next,
      double watts,
      double scatterKelvin,
      double freedom,
      boolean blocked,
      JsonNode benchDrift,
      JsonNode twoFactors,
      List<Odd> outliers,
      List<Lost> spoiled,
      int mounts,
      List<String> reasons,
      List<String> notes,
      FindingJson finding) {}

  private record Rank(
      String candidate,
      double riseKelvin,
      double low95,
      double high95,
      double chanceBest,
      String group,
      int mounts,
      JsonNode price) {
    static Rank of(Judged.Mean m) {
      return new Rank(
          m.candidate(),
          m.kelvin(),
          m.interval().low(),
          m.interval().high(),
          m.chanceBest(),
          m.group(),
          m.mounts(),
          orNull(m.price()));
    }
  }

  private record Two(
      String first,
      String second,
      double differenceKelvin,
      double low95,
      double high95,
      boolean told) {
    static Two of(Judged.Pair p) {
      return new Two(
          p.first(), p.second(), p.kelvin(), p.interval().low(), p.interval().high(), p.told());
    }
  }

  private record Drift(double kelvinPerMount, double low95, double high95, boolean takenOut) {}

  private record Factors(
      List<Two> first, List<Two> second, double chanceIfTheyAddUp, boolean addUp) {}

  private record Odd(String candidate, String block, double kelvin) {}

  private record Lost(String candidate, String block, String why) {
    static Lost of(Mount m) {
      return new Lost(m.candidate(), m.block(), m.spoiled());
    }
  }

  private SeriesJson() {}

  /** A plan. */
  public static ObjectNode of(SeriesPlan plan) {
    return Json.published(
        new Planned(
            plan.rota().blocks(),
            plan.rota().blocks().size(),
            orNull(
                Double.isFinite(plan.tellsKelvin())
                    ? OptionalDouble.of(plan.tellsKelvin())
                    : OptionalDouble.empty()),
            orNull(plan.mountsForCare()),
            plan.hours(),
            plan.grams(),
            plan.notes(),
            FindingJson.of(plan.told())));
  }

  /** A judgement. */
  public static ObjectNode of(SeriesAnswer answer) {
    Judged judged = answer.judged();
    return Json.published(
        new Told(
            judged.ranking().stream().map(Rank::of).toList(),
            judged.pairs().stream().map(Two::of).toList(),
            judged.against().stream().map(Two::of).toList(),
            orNull(judged.mountsToPart()),
            Json.orNull(judged.next().orElse(null)),
            judged.watts(),
            judged.scatterKelvin(),
            judged.freedom(),
            judged.blocked(),
            judged
                .drift()
                .<JsonNode>map(
                    d ->
                        Json.published(
                            new Drift(
                                d.perMount(),
                                d.interval().low(),
                                d.interval().high(),
                                judged.driftTakenOut())))
                .orElse(NullNode.getInstance()),
            answer
                .factors()
                .<JsonNode>map(
                    f ->
                        Json.published(
                            new Factors(
                                f.first().stream().map(Two::of).toList(),
                                f.second().stream().map(Two::of).toList(),
                                f.chance(),
                                f.addUp())))
                .orElse(NullNode.getInstance()),
            judged.outliers().stream()
                .map(o -> new Odd(o.mount().candidate(), o.mount().block(), o.kelvin()))
                .toList(),
            judged.spoiled().stream().map(Lost::of).toList(),
            judged.mounts().size(),
            answer.reasons(),
            answer.notes(),
            FindingJson.of(answer.told())));
  }

  private static JsonNode orNull(OptionalDouble figure) {
    return figure.isPresent()
        ? Json.mapper().getNodeFactory().numberNode(figure.getAsDouble())
        : NullNode.getInstance();
  }

  private static JsonNode orNull(OptionalInt count) {
    return count.isPresent()
        ? Json.mapper().getNodeFactory().numberNode(count.getAsInt())
        : NullNode.getInstance();
  }
}
