package dev.ambershim.core.runs.clocking;

import dev.ambershim.core.runs.judging.BatchMeans;
import dev.ambershim.core.runs.judging.Figure;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.Optional;

/**
 * A run as a rung of the clock ladder: at the clock it held, passed if it settled, throttled if the
 * chip lowered its clock for more than a hundredth of the load, else stopped before it told.
 * Whether it was too hot is the ladder's to judge; that a result was wrong is not in a log.
 */
public final class RunRung {
  private static final double THROTTLED_SHARE = 0.01;

  private RunRung() {}

  /** The rung of a run; empty if its log tells no clock. */
  public static Optional<Rung> of(RunLog log, RunAnalysis run) {
    double load = run.loadToSeconds() - run.loadFromSeconds();
    boolean throttled = run.throttledSeconds() > THROTTLED_SHARE * load;
    // A run that never settled has no mean clock, but it had one.
    boolean held = !throttled && !Double.isNaN(run.clockMegahertz());
    double clock = held ? run.clockMegahertz() : highest(log, run);
    if (!(clock >= 100 && clock <= 12_000)) {
      return Optional.empty();
    }
    Outcome outcome =
        throttled ? Outcome.THROTTLED : run.unfit().isPresent() ? Outcome.STOPPED : Outcome.PASSED;
    BatchMeans hottest = run.figures().get(Figure.HOTTEST);
    BatchMeans rise = hottest == null ? run.figures().get(Figure.RISE) : hottest;
    return Optional.of(
        new Rung(
            Math.rint(clock),
            within(run.conditions().voltageVolts(), 0.3, 2.5),
            outcome,
            run.unfit().orElse(""),
            within(run.hottestCoreCelsius(), -200, 150),
            within(run.roomCelsius(), -200, 60),
            within(run.powerWatts(), 0.5, 2000),
            load / 60,
            run.fileName(),
            rise == null ? null : rise.standardError()));
  }

  /** The clock before it was lowered: the highest of the load. */
  private static double highest(RunLog log, RunAnalysis run) {
    double highest = Double.NaN;
    for (Channel c : log.with(Role.CLOCK)) {
      for (int i = 0; i < log.size(); i++) {
        double second = log.seconds()[i];
        if (second >= run.loadFromSeconds()
            && second <= run.loadToSeconds()
            && !(c.values()[i] <= highest)) {
          highest = c.values()[i];
        }
      }
    }
    return highest;
  }

  private static Double within(double value, double low, double high) {
    return value >= low && value <= high ? value : null;
  }
}
