package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.runs.judging.Comparison;
import dev.ambershim.core.runs.judging.Figure;
import dev.ambershim.core.runs.judging.FigureChange;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.SideSummary;
import dev.ambershim.core.runs.judging.StepResponse;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.Disbelieved;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.logbook.store.Json;
import java.util.List;

/** Findings, comparisons and runs as JSON trees. A figure that is not known is null. */
public final class ResultJson {
  private ResultJson() {}

  /** A comparison under the published keys. */
  public static ObjectNode of(Comparison comparison) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("verdict", comparison.verdict().words());
    node.put("sentence", comparison.sentence());
    ArrayNode reasons = node.putArray("reasons");
    comparison.reasons().forEach(reasons::add);
    ObjectNode change = node.putObject("change");
    figure(change, "riseKelvin", comparison.changeKelvin());
    figure(change, "low95Kelvin", comparison.interval().map(i -> i.low()).orElse(Double.NaN));
    figure(change, "high95Kelvin", comparison.interval().map(i -> i.high()).orElse(Double.NaN));
    change.put("inCoreTemperatureOnly", !comparison.inRise());
    node.set("before", side(comparison.before()));
    node.set("after", side(comparison.after()));
    changes(node.putArray("figures"), comparison.figures());
    changes(node.putArray("cores"), comparison.cores());
    node.put("mountsEachSideToTell", comparison.mountsToTell());
    node.set("working", working(comparison.working()));
    return node;
  }

  private static void changes(ArrayNode array, List<FigureChange> changes) {
    for (FigureChange c : changes) {
      ObjectNode one = array.addObject();
      one.put("name", c.name());
      one.put("unit", c.figure() == Figure.RESISTANCE ? "K/W" : "K");
      figure(one, "before", c.before());
      figure(one, "after", c.after());
      figure(one, "change", c.change());
      figure(one, "low95", c.interval().low());
      figure(one, "high95", c.interval().high());
    }
  }

  private static void conditions(ObjectNode node, RunAnalysis.Conditions c) {
    figure(node, "voltageVolts", c.voltageVolts());
    figure(node, "fanTurnsPerMinute", c.fanTurnsPerMinute());
    figure(node, "pumpTurnsPerMinute", c.pumpTurnsPerMinute());
    figure(node, "loadPercent", c.loadPercent());
  }

  /** How a run's temperature followed its load. */
  public static ObjectNode of(StepResponse step) {
    ObjectNode node = Json.mapper().createObjectNode();
    part(node.putObject("quick"), step.quickKelvin(), step.quickInterval(), step.quickSeconds());
    part(node.putObject("slow"), step.slowKelvin(), step.slowInterval(), step.slowSeconds());
    figure(node, "powerStepWatts", step.powerStepWatts());
    figure(node, "quickKelvinPerWatt", step.quickKelvinPerWatt());
    figure(node, "slowKelvinPerWatt", step.slowKelvinPerWatt());
    figure(node, "recoverySeconds", step.recoverySeconds());
    return node;
  }

  private static void part(ObjectNode node, double kelvin, Interval interval, double seconds) {
    figure(node, "kelvin", kelvin);
    figure(node, "low95Kelvin", interval.low());
    figure(node, "high95Kelvin", interval.high());
    figure(node, "timeConstantSeconds", seconds);
  }

  private static ObjectNode side(SideSummary side) {
    ObjectNode node = Json.mapper().createObjectNode();
    figure(node, "riseKelvin", side.riseKelvin());
    figure(node, "meanCoreCelsius", side.meanCoreCelsius());
    figure(node, "hottestCoreCelsius", side.hottestCoreCelsius());
    figure(node, "spreadKelvin", side.spreadKelvin());
    figure(node, "powerWatts", side.powerWatts());
    figure(node, "clockMegahertz", side.clockMegahertz());
    figure(node, "roomCelsius", side.roomCelsius());
    figure(node, "packageCelsius", side.packageCelsius());
    conditions(node, side.conditions());
    figure(node, "resistanceKelvinPerWatt", side.resistanceKelvinPerWatt());
    figure(node, "plateauSeconds", side.plateauSeconds());
    figure(node, "throttledSeconds", side.throttledSeconds());
    node.put("runs", side.runs());
    return node;
  }

  /** One run: how it was read, what each channel is, and its settled figures. */
  public static ObjectNode of(RunLog log, RunAnalysis run) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("file", log.fileName());
    node.put("fit", run.unfit().isEmpty());
    run.unfit().ifPresent(why -> node.put("unfit", why));
    figure(node, "riseKelvin", run.riseKelvin());
    figure(node, "meanCoreCelsius", run.meanCoreCelsius());
    figure(node, "hottestCoreCelsius", run.hottestCoreCelsius());
    figure(node, "spreadKelvin", run.spreadKelvin());
    figure(node, "powerWatts", run.powerWatts());
    figure(node, "clockMegahertz", run.clockMegahertz());
    figure(node, "roomCelsius", run.roomCelsius());
    figure(node, "packageCelsius", run.packageCelsius());
    conditions(node, run.conditions());
    figure(node, "resistanceKelvinPerWatt", run.resistanceKelvinPerWatt());
    figure(node, "settledFromSeconds", run.settledFromSeconds());
    figure(node, "plateauSeconds", run.plateauSeconds());
    figure(node, "throttledSeconds", run.throttledSeconds());
    node.put("throttledSamples", run.throttledSamples());
    run.error()
        .ifPresent(
            e -> {
              figure(node, "riseStandardErrorKelvin", e.standardError());
              figure(node, "riseHalfWidth95Kelvin", e.halfWidth(0.95));
            });
    ArrayNode cores = node.putArray("coreCelsius");
    run.coreCelsius().forEach(cores::add);
    ArrayNode out = node.putArray("coresLeftOut");
    run.leftOut().forEach(out::add);
    ArrayNode channels = node.putArray("channels");
    for (Channel c : log.channels()) {
      ObjectNode channel = channels.addObject();
      channel.put("name", c.name());
      channel.put("unit", c.unit());
      channel.put("role", c.role() == Role.UNUSED ? "not used" : c.role().words());
      channel.put("confidence", c.confidence());
    }
    ObjectNode read = node.putObject("read");
    read.put("encoding", log.notes().encoding());
    read.put("delimiter", log.notes().delimiter());
    read.put("decimalComma", log.notes().decimalComma());
    read.put("rows", log.notes().rowsRead());
    read.put("rowsDropped", log.notes().rowsDropped());
    read.put("cellsDropped", log.notes().cellsDropped());
    ArrayNode disbelieved = read.putArray("disbelieved");
    for (Disbelieved d : log.disbelieved().orElse(List.of())) {
      ObjectNode one = disbelieved.addObject();
      one.put("channel", d.channel());
      one.put("readings", d.count());
      one.put("outsideRange", d.outside());
      one.put("noReading", d.signs());
      one.put("jumps", d.jumps());
    }
    ArrayNode remarks = read.putArray("remarks");
    log.notes().remarks().forEach(remarks::add);
    run.remarks().forEach(remarks::add);
    return node;
  }

  /** A finding with its working. */
  public static ObjectNode of(Finding finding) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("key", finding.key());
    node.put("sentence", finding.sentence());
    figure(node, "value", finding.value());
    node.put("unit", finding.unit().symbol());
    finding
        .interval()
        .ifPresent(
            i -> {
              ObjectNode interval = node.putObject("interval");
              figure(interval, "low", i.low());
              figure(interval, "high", i.high());
              interval.put("level", i.level());
            });
    node.set("working", working(finding.working()));
    return node;
  }

  private static ObjectNode working(Working working) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("formula", working.formula());
    ArrayNode inputs = node.putArray("inputs");
    for (Working.Input input : working.inputs()) {
      ObjectNode one = inputs.addObject();
      one.put("name", input.name());
      figure(one, "value", input.value());
      one.put("unit", input.unit().symbol());
    }
    node.put("source", working.source());
    ArrayNode limits = node.putArray("limits");
    working.limits().forEach(limits::add);
    return node;
  }

  private static void figure(ObjectNode node, String key, double value) {
    if (Double.isFinite(value)) {
      node.put(key, value);
    } else {
      node.putNull(key);
    }
  }
}
