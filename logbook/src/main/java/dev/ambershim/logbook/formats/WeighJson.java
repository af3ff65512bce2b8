package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.job.Reading;
import dev.ambershim.core.stage.weigh.FurtherReading;
import dev.ambershim.core.stage.weigh.Option;
import dev.ambershim.core.stage.weigh.OptionForecast;
import dev.ambershim.core.stage.weigh.Weighing;
import dev.ambershim.logbook.store.Json;
import java.util.Locale;

/** A weighing as a JSON tree. A figure that is not known is null. */
public final class WeighJson {
  private WeighJson() {}

  /** A weighing under the published keys. */
  public static ObjectNode of(Weighing weighing) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("advice", weighing.advice().sentence());
    ArrayNode reasons = node.putArray("reasons");
    weighing.reasons().forEach(reasons::add);
    weighing.recommended().ifPresent(k -> node.put("recommended", key(k.name())));
    node.put("heatWatts", weighing.question().heatWatts() * weighing.heatFactor());
    node.put("roomCelsius", weighing.question().roomCelsius() + weighing.whatIf().roomKelvin());
    node.put("riseNowKelvin", weighing.riseNowKelvin());
    node.put("spreadNowKelvin", weighing.spreadNowKelvin());
    node.set("spreadNow", interval(weighing.spreadNow()));
    node.put("innerJointToldFromCooler", weighing.toldApart());
    ArrayNode readings = node.putArray("readings");
    for (Reading r : weighing.question().readings()) {
      readings.add(Json.mapper().valueToTree(r));
    }
    ArrayNode further = node.putArray("furtherReadings");
    for (FurtherReading f : weighing.further()) {
      ObjectNode one = further.addObject();
      one.put("reading", f.what());
      one.put("gainSigmaKelvin", f.sigmaKelvin());
    }
    ArrayNode remainder = node.putArray("coreRemainderKelvin");
    weighing.remainderKelvin().forEach(remainder::add);
    ArrayNode options = node.putArray("options");
    weighing.ranked().forEach(o -> options.add(of(o)));
    node.put("wish", key(weighing.question().terms().wish().name()));
    ArrayNode bundles = node.putArray("bundles");
    for (OptionForecast bundle : weighing.bundles()) {
      ObjectNode one = of(bundle);
      ArrayNode parts = one.putArray("parts");
      bundle.option().kinds().forEach(k -> parts.add(key(k.name())));
      bundles.add(one);
    }
    return node;
  }

  private static ObjectNode of(OptionForecast f) {
    Option option = f.option();
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("kind", key(option.kind().name()));
    node.put("words", option.words());
    node.put("possible", option.possible());
    if (!option.possible()) {
      node.put("why", option.impossible().orElseThrow());
      return node;
    }
    node.put("how", option.how());
    node.put("gainKelvin", f.gainKelvin());
    node.set("gain", interval(f.gain()));
    node.put("chanceThatItMatters", f.chance());
    node.put("spreadKelvin", f.spreadKelvin());
    node.set("spread", interval(f.spread()));
    node.put("buyCoins", f.coins());
    node.put("costCoins", f.costCoins());
    node.put("handsHours", option.handsHours());
    node.put("waitHours", option.waitHours());
    node.put("oddsOfRuin", f.ruin());
    if (Double.isFinite(f.kelvinPerCoin())) {
      node.put("kelvinPerCoin", f.kelvinPerCoin());
    } else {
      node.putNull("kelvinPerCoin");
    }
    node.put("worthLeftCoins", f.netCoins());
    node.set("finding", ResultJson.of(f.finding()));
    return node;
  }

  private static ObjectNode interval(Interval interval) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("low", interval.low());
    node.put("high", interval.high());
    node.put("level", interval.level());
    return node;
  }

  private static String key(String name) {
    return name.toLowerCase(Locale.ROOT).replace('_', '-');
  }
}
