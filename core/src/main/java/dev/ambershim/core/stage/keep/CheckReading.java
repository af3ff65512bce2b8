package dev.ambershim.core.stage.keep;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.runs.everyday.Everyday;
import dev.ambershim.core.runs.everyday.EverydayFit;
import dev.ambershim.core.runs.judging.BatchMeans;
import dev.ambershim.core.runs.judging.RunAnalyser;
import dev.ambershim.core.runs.judging.RunAnalysis;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A check from a log: by its settled part where it has one, else by the wandering power. */
public final class CheckReading {
  private static final Pattern DAY = Pattern.compile("\\b20\\d\\d-\\d\\d-\\d\\d\\b");

  /** Power whose standard deviation is a larger share of its mean is no steady load. */
  private static final double STEADY_SHARE = 0.06;

  private static final double LEAST_PLATEAU_SECONDS = 240;
  private static final double LEAST_LOAD_SHARE = 0.4;

  private CheckReading() {}

  /**
   * Reads a check.
   *
   * @param log with the roles of its columns
   * @param typedRoom room air for a log without a room, °C
   * @param typedKelvin standard error of a typed room
   * @param day its day
   * @throws Problem {@code check.…} if the log tells none, and why
   */
  public static KeptCheck of(
      RunLog log, OptionalDouble typedRoom, double typedKelvin, LocalDate day) {
    boolean roomless = typedRoom.isEmpty() && log.with(Role.ROOM).isEmpty();
    if (roomless) {
      throw new Problem(
          "check.room",
          Place.file(log.fileName()),
          "The log does not tell the room.",
          "Type the room beside the button, then add the log again.");
    }
    Optional<RunAnalysis> run = settled(log, typedRoom);
    if (run.isPresent()) {
      return of(log, run.get(), typedKelvin, day);
    }
    Everyday told = EverydayFit.of(List.of(log), typedRoom, typedKelvin);
    if (!told.usable()) {
      throw new Problem(
          "check.unusable",
          Place.file(log.fileName()),
          "It has no settled part, and ordinary use tells too little.",
          EverydayWords.why(told, Notation.METRIC));
    }
    return quick(
        check(
            log,
            KeptCheck.From.EVERYDAY,
            told.resistance() * told.meanWatts(),
            told.meanWatts(),
            told.standardError() * told.meanWatts(),
            null,
            day,
            null,
            null),
        told);
  }

  /**
   * A check from a run that was judged.
   *
   * @param run its settled part, over a room
   */
  public static KeptCheck of(RunLog log, RunAnalysis run, double typedKelvin, LocalDate day) {
    double own = run.error().map(BatchMeans::standardError).orElse(0.0);
    KeptCheck check =
        check(
            log,
            KeptCheck.From.RUN,
            run.riseKelvin(),
            run.powerWatts(),
            run.roomTyped() ? Math.hypot(own, typedKelvin) : own,
            coolant(log, run),
            day,
            known(run.conditions().fanTurnsPerMinute()),
            known(run.conditions().pumpTurnsPerMinute()));
    return response(log, run, typedKelvin).map(told -> quick(check, told)).orElse(check);
  }

  /** How the chip answered the load's coming and going, if the log shows that. */
  private static Optional<Everyday> response(RunLog log, RunAnalysis run, double typedKelvin) {
    try {
      return Optional.of(
          EverydayFit.of(List.of(log), OptionalDouble.of(run.roomCelsius()), typedKelvin));
    } catch (Problem none) {
      return Optional.empty();
    }
  }

  /** The check with its quick part, at the check's own power. */
  private static KeptCheck quick(KeptCheck check, Everyday told) {
    return told.quick()
        .filter(q -> told.use() != Everyday.Use.MOVED_TOO_LITTLE && q.usable())
        .filter(q -> q.resistance() * check.watts() < check.riseKelvin())
        .map(
            q ->
                check
                    .withQuickKelvin(q.resistance() * check.watts())
                    .withQuickErrorKelvin(q.error() * check.watts()))
        .orElse(check);
  }

  private static KeptCheck check(
      RunLog log,
      KeptCheck.From from,
      double rise,
      double watts,
      double error,
      Double coolant,
      LocalDate day,
      Double fan,
      Double pump) {
    return new KeptCheck(day, from, log.fileName(), rise, watts, error, coolant, "", 1)
        .withFanTurns(fan)
        .withPumpTurns(pump)
        .checked();
  }

  private static Double known(double turns) {
    return turns > 0 ? (Double) turns : null;
  }

  private static Optional<RunAnalysis> settled(RunLog log, OptionalDouble typedRoom) {
    try {
      return Optional.of(RunAnalyser.analyse(log, typedRoom, Set.of()))
          .filter(a -> a.unfit().isEmpty() && a.hasRoom() && a.powerWatts() > 0)
          .filter(a -> steady(log, a));
    } catch (Problem none) {
      // What has no settled part may still be ordinary use.
      return Optional.empty();
    }
  }

  /**
   * Whether the log is of one load that held for long enough; tasks that come and go are ordinary
   * use, though one of them may look settled for a while.
   */
  private static boolean steady(RunLog log, RunAnalysis run) {
    double whole = log.seconds()[log.size() - 1] - log.seconds()[0];
    if (run.plateauSeconds() < LEAST_PLATEAU_SECONDS
        || run.loadToSeconds() - run.loadFromSeconds() < LEAST_LOAD_SHARE * whole) {
      return false;
    }
    double[] watts = log.with(Role.POWER).get(0).values();
    double sum = 0;
    double squares = 0;
    int count = 0;
    for (int i = 0; i < log.size(); i++) {
      double at = log.seconds()[i];
      if (at >= run.settledFromSeconds()
          && at <= run.settledToSeconds()
          && !Double.isNaN(watts[i])) {
        sum += watts[i];
        squares += watts[i] * watts[i];
        count++;
      }
    }
    double mean = sum / count;
    return Math.sqrt(Math.max(0, squares / count - mean * mean)) <= STEADY_SHARE * mean;
  }

  /** The coolant over the room in the settled part, if both were logged. */
  private static Double coolant(RunLog log, RunAnalysis run) {
    List<Channel> coolant = log.with(Role.COOLANT);
    if (coolant.isEmpty()) {
      return null;
    }
    double sum = 0;
    int count = 0;
    for (int i = 0; i < log.size(); i++) {
      double at = log.seconds()[i];
      double value = coolant.get(0).values()[i];
      if (at >= run.settledFromSeconds() && at <= run.settledToSeconds() && !Double.isNaN(value)) {
        sum += value;
        count++;
      }
    }
    double over = sum / count - run.roomCelsius();
    return count > 0 && over > 0 && over < run.riseKelvin() ? (Double) over : null;
  }

  /** The day that a log's first lines name, if they name one. */
  public static Optional<LocalDate> day(byte[] head) {
    Matcher found = DAY.matcher(new String(head, StandardCharsets.UTF_8).replace("\0", ""));
    while (found.find()) {
      Optional<LocalDate> day = day(found);
      if (day.isPresent()) {
        return day;
      }
    }
    return Optional.empty();
  }

  /** A number of another kind may look like a day. */
  private static Optional<LocalDate> day(Matcher found) {
    try {
      return Optional.of(LocalDate.parse(found.group()));
    } catch (DateTimeException none) {
      return Optional.empty();
    }
  }
}
