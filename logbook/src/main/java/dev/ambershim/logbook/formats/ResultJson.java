package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.runs.judging.Comparison;
import dev.ambershim.core.runs.judging.Figure;
import dev.ambershim.core.runs.judging.FigureChange;
import dev.ambershim.core.runs.judging.SideSummary;
import dev.ambershim.core.runs.judging.StepResponse;
import dev.ambershim.logbook.store.Json;
import java.util.List;

/** Findings, comparisons and steps of load under the published keys. */
public final class ResultJson {
  private record Compared(
      String verdict,
      String sentence,
      List<String> reasons,
      Change change,
      Side before,
      Side after,
      List<Changed> figures,
      List<Changed> cores,
      int mountsEachSideToTell,
      FindingJson.Worked working) {}

  private record Change(
      double riseKelvin, double low95Kelvin, double high95Kelvin, boolean inCoreTemperatureOnly) {}

  private record Changed(
      String name,
      String unit,
      double before,
      double after,
      double change,
      double low95,
      double high95) {
    static Changed of(FigureChange c) {
      return new Changed(
          c.name(),
          c.figure() == Figure.RESISTANCE ? "K/W" : "K",
          c.before(),
          c.after(),
          c.change(),
          c.interval().low(),
          c.interval().high());
    }
  }

  private record Side(
      double riseKelvin,
      double meanCoreCelsius,
      double hottestCoreCelsius,
      double spreadKelvin,
      double powerWatts,
      double clockMegahertz,
      double roomCelsius,
      double packageCelsius,
      double voltageVolts,
      double fanTurnsPerMinute,
      double pumpTurnsPerMinute,
      double loadPercent,
      double resistanceKelvinPerWatt,
      double plateauSeconds,
      double throttledSeconds,
      int runs) {
    static Side of(SideSummary s) {
      return new Side(
          s.riseKelvin(),
          s.meanCoreCelsius(),
          s.hottestCoreCelsius(),
          s.spreadKelvin(),
          s.powerWatts(),
          s.clockMegahertz(),
          s.roomCelsius(),
          s.packageCelsius(),
          s.conditions().voltageVolts(),
          s.conditions().fanTurnsPerMinute(),
          s.conditions().pumpTurnsPerMinute(),
          s.conditions().loadPercent(),
          s.resistanceKelvinPerWatt(),
          s.plateauSeconds(),
          s.throttledSeconds(),
          s.runs());
    }
  }

  private record Stepped(
      Part quick,
      Part slow,
      double powerStepWatts,
      double quickKelvinPerWatt,
      double slowKelvinPerWatt,
      double recoverySeconds) {}

  private record Part(
      double kelvin, double low95Kelvin, double high95Kelvin, double timeConstantSeconds) {
    static Part of(double kelvin, Interval interval, double seconds) {
      return new Part(kelvin, interval.low(), interval.high(), seconds);
    }
  }

  private ResultJson() {}

  /** A comparison. */
  public static ObjectNode of(Comparison c) {
    return Json.published(
        new Compared(
            c.verdict().words(),
            c.sentence(),
            c.reasons(),
            new Change(
                c.changeKelvin(),
                c.interval().map(Interval::low).orElse(Double.NaN),
                c.interval().map(Interval::high).orElse(Double.NaN),
                !c.inRise()),
            Side.of(c.before()),
            Side.of(c.after()),
            c.figures().stream().map(Changed::of).toList(),
            c.cores().stream().map(Changed::of).toList(),
            c.mountsToTell(),
            FindingJson.Worked.of(c.working())));
  }

  /** How a run's temperature followed its load. */
  public static ObjectNode of(StepResponse step) {
    return Json.published(
        new Stepped(
            Part.of(step.quickKelvin(), step.quickInterval(), step.quickSeconds()),
            Part.of(step.slowKelvin(), step.slowInterval(), step.slowSeconds()),
            step.powerStepWatts(),
            step.quickKelvinPerWatt(),
            step.slowKelvinPerWatt(),
            step.recoverySeconds()));
  }

  /** A finding with its working. */
  public static ObjectNode of(Finding finding) {
    return Json.published(FindingJson.of(finding));
  }
}
