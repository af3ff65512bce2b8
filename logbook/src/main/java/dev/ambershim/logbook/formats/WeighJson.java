package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.job.Reading;
import dev.ambershim.core.stage.weigh.FurtherReading;
import dev.ambershim.core.stage.weigh.Option;
import dev.ambershim.core.stage.weigh.OptionForecast;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.logbook.store.Json;
import java.util.List;
import java.util.Locale;

/** A weighing under the published keys. */
public final class WeighJson {
  private record Weighed(
      String advice,
      List<String> reasons,
      String recommended,
      double heatWatts,
      double roomCelsius,
      double riseNowKelvin,
      double spreadNowKelvin,
      FindingJson.Range spreadNow,
      boolean innerJointToldFromCooler,
      List<JsonNode> readings,
      List<Further> furtherReadings,
      List<Double> coreRemainderKelvin,
      List<Record> options,
      String wish,
      List<Optioned> bundles,
      List<String> logsNotFound) {}

  private record Further(String reading, double gainSigmaKelvin) {
    static Further of(FurtherReading f) {
      return new Further(f.what(), f.sigmaKelvin());
    }
  }

  private record Optioned(
      String kind,
      String words,
      boolean possible,
      String how,
      double gainKelvin,
      FindingJson.Range gain,
      double chanceThatItMatters,
      double spreadKelvin,
      FindingJson.Range spread,
      double buyCoins,
      double costCoins,
      FindingJson.Range cost,
      double handsHours,
      double mostHandsHours,
      double waitHours,
      double oddsOfRuin,
      FindingJson.Range ruin,
      double kelvinPerCoin,
      double worthLeftCoins,
      FindingJson.Range worthLeft,
      double chanceThatItPays,
      FindingJson finding,
      List<String> parts) {
    static Optioned of(OptionForecast f, List<String> parts) {
      Option option = f.option();
      return new Optioned(
          key(option.kind()),
          option.words(),
          true,
          option.how(),
          f.gainKelvin(),
          FindingJson.Range.of(f.gain()),
          f.chance(),
          f.spreadKelvin(),
          FindingJson.Range.of(f.spread()),
          f.coins(),
          f.costCoins(),
          FindingJson.Range.of(f.price().range()),
          option.handsHours(),
          option.mostHandsHours(),
          option.waitHours(),
          f.ruin(),
          FindingJson.Range.of(f.price().ruinRange()),
          f.kelvinPerCoin(),
          f.netCoins(),
          FindingJson.Range.of(f.price().netRange()),
          f.price().pays(),
          FindingJson.of(f.finding()),
          parts);
    }
  }

  /** An option that is not possible has no figures. */
  private record Barred(String kind, String words, boolean possible, String why) {
    static Barred of(Option option) {
      return new Barred(
          key(option.kind()), option.words(), false, option.impossible().orElseThrow());
    }
  }

  private WeighJson() {}

  /**
   * A weighing.
   *
   * @param missing logs of the job that were not found
   */
  public static ObjectNode of(Weighing weighing, List<String> missing) {
    return Json.published(
        new Weighed(
            weighing.advice().sentence(),
            weighing.reasons(),
            weighing.recommended().map(WeighJson::key).orElse(null),
            weighing.question().heatWatts() * weighing.heatFactor(),
            weighing.question().roomCelsius() + weighing.whatIf().roomKelvin(),
            weighing.riseNowKelvin(),
            weighing.spreadNowKelvin(),
            FindingJson.Range.of(weighing.spreadNow()),
            weighing.toldApart(),
            weighing.question().readings().stream().map(WeighJson::reading).toList(),
            weighing.further().stream().map(Further::of).toList(),
            weighing.remainderKelvin(),
            weighing.ranked().stream().map(WeighJson::option).toList(),
            key(weighing.question().terms().wish()),
            weighing.bundles().stream()
                .map(b -> Optioned.of(b, b.option().kinds().stream().map(WeighJson::key).toList()))
                .toList(),
            missing));
  }

  /** As a job has it, with what was not read as null. */
  private static JsonNode reading(Reading reading) {
    return Json.mapper().valueToTree(reading);
  }

  private static Record option(OptionForecast f) {
    return f.option().possible() ? Optioned.of(f, null) : Barred.of(f.option());
  }

  private static String key(Enum<?> kind) {
    return kind.name().toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
