package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.judging.StepResponse;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.Disbelieved;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.logbook.store.Json;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** One run: how it was read, what each channel is, and its settled figures. */
public final class RunJson {
  private record Run(
      String file,
      boolean fit,
      String unfit,
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
      double settledFromSeconds,
      double plateauSeconds,
      double throttledSeconds,
      int throttledSamples,
      Double riseStandardErrorKelvin,
      Double riseHalfWidth95Kelvin,
      List<Double> coreCelsius,
      List<String> coresLeftOut,
      List<Listed> channels,
      Read read,
      String side,
      ObjectNode step,
      List<String> hints) {}

  private record Listed(String name, String unit, String role, double confidence) {
    static Listed of(Channel c) {
      return new Listed(
          c.name(),
          c.unit(),
          c.role() == Role.UNUSED ? "not used" : c.role().words(),
          c.confidence());
    }
  }

  private record Read(
      String encoding,
      String delimiter,
      boolean decimalComma,
      int rows,
      int rowsDropped,
      int cellsDropped,
      List<NotBelieved> disbelieved,
      List<String> remarks) {
    static Read of(RunLog log, RunAnalysis run) {
      return new Read(
          log.notes().encoding(),
          log.notes().delimiter(),
          log.notes().decimalComma(),
          log.notes().rowsRead(),
          log.notes().rowsDropped(),
          log.notes().cellsDropped(),
          log.disbelieved().orElse(List.of()).stream().map(NotBelieved::of).toList(),
          Stream.concat(log.notes().remarks().stream(), run.remarks().stream()).toList());
    }
  }

  private record NotBelieved(
      String channel, int readings, int outsideRange, int noReading, int jumps) {
    static NotBelieved of(Disbelieved d) {
      return new NotBelieved(d.channel(), d.count(), d.outside(), d.signs(), d.jumps());
    }
  }

  private RunJson() {}

  /** A run of a job. */
  public static ObjectNode of(RunLog log, RunAnalysis run, Side side) {
    return of(log, run, side.words(), Optional.empty(), List.of());
  }

  /**
   * A run by itself.
   *
   * @param step how its temperature followed its load, if there was a step
   * @param hints what the person may do about what was read
   */
  public static ObjectNode of(
      RunLog log, RunAnalysis run, Optional<StepResponse> step, List<String> hints) {
    return of(log, run, null, step, hints);
  }

  private static ObjectNode of(
      RunLog log, RunAnalysis run, String side, Optional<StepResponse> step, List<String> hints) {
    RunAnalysis.Conditions at = run.conditions();
    return Json.published(
        new Run(
            log.fileName(),
            run.unfit().isEmpty(),
            run.unfit().orElse(null),
            run.riseKelvin(),
            run.meanCoreCelsius(),
            run.hottestCoreCelsius(),
            run.spreadKelvin(),
            run.powerWatts(),
            run.clockMegahertz(),
            run.roomCelsius(),
            run.packageCelsius(),
            at.voltageVolts(),
            at.fanTurnsPerMinute(),
            at.pumpTurnsPerMinute(),
            at.loadPercent(),
            run.resistanceKelvinPerWatt(),
            run.settledFromSeconds(),
            run.plateauSeconds(),
            run.throttledSeconds(),
            run.throttledSamples(),
            run.error().map(e -> e.standardError()).orElse(null),
            run.error().map(e -> e.halfWidth(0.95)).orElse(null),
            run.coreCelsius(),
            run.leftOut(),
            log.channels().stream().map(Listed::of).toList(),
            Read.of(log, run),
            side,
            step.map(ResultJson::of).orElse(null),
            hints.isEmpty() ? null : hints));
  }
}
