package dev.ambershim.core.runs.everyday;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.runs.everyday.Everyday.RoomKnown;
import dev.ambershim.core.runs.everyday.Everyday.Use;
import dev.ambershim.core.runs.everyday.LagSearch.Reading;
import dev.ambershim.core.runs.everyday.ResponseFit.Fitted;
import dev.ambershim.core.runs.judging.RunChannels;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;

/**
 * The resistance by the response to a power that wanders (Ljung 1999, <i>System Identification</i>,
 * 4 and 7): the rise is the power as parts of the chip and its cooler see it that lag behind by a
 * second, by tens and by hundreds of seconds, each times its share of the resistance, with noise
 * that lasts from one block of seconds to the next. The lags are sought; what the log does not show
 * of them is in the interval.
 */
public final class EverydayFit {
  private static final double LEVEL = 0.95;
  private static final double BLOCK_SECONDS = 10;
  private static final int MOST_BLOCKS = 1500;
  private static final int MOST_STRETCHES = 6;

  /** More samples tell no more of lags of seconds, and take their time. */
  private static final int MOST_SAMPLES = 8000;

  /** Less tells nothing of a cooler, minutes. */
  private static final double LEAST_MINUTES = 10;

  private static final double LEAST_STRETCH_MINUTES = 4;

  /** Power that moves by less is steady: watts, and as a share of its mean. */
  private static final double LEAST_MOVED_WATTS = 4;

  private static final double LEAST_MOVED_SHARE = 0.06;

  /** A resistance that may be off by more is no check: common practice. */
  private static final double MOST_HALF_SHARE = 0.06;

  /** A sensor beside the intake, and cores whose own offsets stay: common practice, K. */
  private static final double LOGGED_ROOM_KELVIN = 0.2;

  /** A room that nobody read, K. */
  private static final double GUESSED_ROOM_KELVIN = 3;

  /** A chip is no sum of a few lags: leakage and fans bend it a little. Common practice. */
  private static final double MODEL_SHARE = 0.003;

  /** A log with fewer samples tells nothing of what shows within ten seconds, s. */
  private static final double COARSE_SECONDS = Everyday.QUICK_SECONDS / 2 + 0.5;

  private EverydayFit() {}

  /**
   * Works logs of one state and mount out together.
   *
   * @param logs with their roles
   * @param typedRoom room air for logs without a room, °C
   * @param typedKelvin standard error of a typed room
   * @throws Problem {@code run.noTemperature}, {@code everyday.noPower}, {@code everyday.noTime}
   */
  public static Everyday of(List<RunLog> logs, OptionalDouble typedRoom, double typedKelvin) {
    List<Stretch> all = new ArrayList<>();
    double[] roomKelvin = new double[logs.size()];
    RoomKnown room = RoomKnown.LOGGED;
    double block = Math.max(BLOCK_SECONDS, seconds(logs) / MOST_BLOCKS);
    for (int l = 0; l < logs.size(); l++) {
      RunChannels channels = new RunChannels(logs.get(l), typedRoom, Set.of());
      channels.needTemperatures();
      RunLog log = channels.log();
      double[] power = channels.only(Role.POWER);
      if (power == null) {
        throw new Problem(
            "everyday.noPower",
            Place.file(log.fileName()),
            "No column is known as the chip's power, without which ordinary use tells nothing.",
            "Say which column it is, or log the power too.");
      }
      double[] logged = channels.room();
      RoomKnown known =
          logged != null
              ? RoomKnown.LOGGED
              : typedRoom.isPresent() ? RoomKnown.TYPED : RoomKnown.GUESSED;
      room = known.compareTo(room) > 0 ? known : room;
      double[] cores = channels.rough();
      double[] rise = new double[cores.length];
      for (int i = 0; i < rise.length; i++) {
        rise[i] = cores[i] - (logged != null ? logged[i] : typedRoom.orElse(Room.USUAL_CELSIUS));
      }
      roomKelvin[l] =
          Math.hypot(
              channels.shiftKelvin(),
              switch (known) {
                case LOGGED -> LOGGED_ROOM_KELVIN;
                case TYPED -> typedKelvin;
                case GUESSED -> GUESSED_ROOM_KELVIN;
              });
      if (log.size() < 2) {
        throw new Problem(
            "everyday.noTime",
            Place.file(log.fileName()),
            "One line is no log.",
            "Log some minutes of ordinary use.");
      }
      int together = 1 + (log.size() - 1) / (MOST_SAMPLES / logs.size() + 1);
      all.addAll(
          Stretch.cut(
              means(log.seconds(), together),
              means(power, together),
              means(rise, together),
              block,
              l));
    }
    return of(all, roomKelvin, room);
  }

  /** Means of so many samples each, without those that are missing; the array itself for one. */
  private static double[] means(double[] values, int together) {
    if (together == 1) {
      return values;
    }
    double[] means = new double[(values.length + together - 1) / together];
    for (int m = 0; m < means.length; m++) {
      double sum = 0;
      int count = 0;
      for (int i = m * together; i < Math.min(values.length, (m + 1) * together); i++) {
        if (!Double.isNaN(values[i])) {
          sum += values[i];
          count++;
        }
      }
      means[m] = count == 0 ? Double.NaN : sum / count;
    }
    return means;
  }

  private static double seconds(List<RunLog> logs) {
    return logs.stream()
        .mapToDouble(l -> l.size() == 0 ? 0 : l.seconds()[l.size() - 1] - l.seconds()[0])
        .sum();
  }

  private static Everyday of(List<Stretch> all, double[] roomKelvin, RoomKnown room) {
    List<Stretch> stretches =
        all.stream()
            .filter(s -> s.minutes() >= LEAST_STRETCH_MINUTES && s.blocks() > 3)
            .sorted(Comparator.comparingDouble(Stretch::minutes).reversed())
            .limit(MOST_STRETCHES)
            .toList();
    double minutes = stretches.stream().mapToDouble(Stretch::minutes).sum();
    List<Stretch> seen = stretches.isEmpty() ? all : stretches;
    double[] watts =
        seen.stream().flatMapToDouble(s -> Arrays.stream(s.means(s.watts()))).sorted().toArray();
    double[] rises = seen.stream().flatMapToDouble(s -> Arrays.stream(s.means(s.rise()))).toArray();
    double mean = Arrays.stream(watts).average().orElse(Double.NaN);
    double rise = Arrays.stream(rises).average().orElse(Double.NaN);
    double moved =
        watts.length == 0 ? Double.NaN : percentile(watts, 0.95) - percentile(watts, 0.05);
    double usual = rise / mean;
    if (minutes < LEAST_MINUTES || !(usual > 0) || !Double.isFinite(usual)) {
      return new Everyday(
          Double.NaN,
          new Interval(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, LEVEL),
          minutes < LEAST_MINUTES ? Use.TOO_SHORT : Use.TOO_WIDE,
          moved,
          mean,
          minutes,
          room,
          Optional.empty());
    }
    double deviation =
        Math.sqrt(Arrays.stream(watts).map(w -> (w - mean) * (w - mean)).average().orElse(0));
    List<ResponseFit> fits =
        Stream.of(Stretch.Meter.values())
            .map(m -> new ResponseFit(stretches, usual, mean, deviation, roomKelvin, m))
            .toList();
    return told(LagSearch.of(fits), moved, mean, minutes, between(stretches), room);
  }

  /** Seconds from sample to sample, in the mean. */
  private static double between(List<Stretch> stretches) {
    double seconds = stretches.stream().mapToDouble(s -> 60 * s.minutes()).sum();
    int steps = stretches.stream().mapToInt(s -> s.seconds().length - 1).sum();
    return seconds / Math.max(1, steps);
  }

  private static double percentile(double[] sorted, double share) {
    return sorted[(int) Math.round(share * (sorted.length - 1))];
  }

  /**
   * All readings by their weights.
   *
   * @param seconds from sample to sample
   */
  private static Everyday told(
      List<Reading> readings,
      double moved,
      double mean,
      double minutes,
      double seconds,
      RoomKnown room) {
    double best = readings.stream().mapToDouble(Reading::logWeight).max().orElseThrow();
    double[] weights = readings.stream().mapToDouble(r -> Math.exp(r.logWeight() - best)).toArray();
    double all = Arrays.stream(weights).sum();
    for (int i = 0; i < weights.length; i++) {
      weights[i] /= all;
    }
    Mixed whole = mixed(readings, weights, Fitted::resistance, Fitted::variance);
    Mixed quick = mixed(readings, weights, Fitted::quick, Fitted::quickVariance);
    // Between two samples nobody knows when the power changed: the answer may have begun earlier.
    double blind = seconds / 2 * mixed(readings, weights, Fitted::quickPerSecond, f -> 0).value();
    double value = whole.value();
    double half = Interval.normalHalf(LEVEL) * whole.error();
    Use use =
        moved < Math.max(LEAST_MOVED_WATTS, LEAST_MOVED_SHARE * mean)
            ? Use.MOVED_TOO_LITTLE
            : half > MOST_HALF_SHARE * value ? Use.TOO_WIDE : Use.USABLE;
    return new Everyday(
        value,
        Interval.around(value, half, LEVEL),
        use,
        moved,
        mean,
        minutes,
        room,
        seconds > COARSE_SECONDS
            ? Optional.empty()
            : Optional.of(new Everyday.Quick(quick.value(), Math.hypot(quick.error(), blind))));
  }

  private record Mixed(double value, double error) {}

  /** A figure over all readings: their means strayed and their own doubts, and the model's. */
  private static Mixed mixed(
      List<Reading> readings,
      double[] weights,
      ToDoubleFunction<Fitted> figure,
      ToDoubleFunction<Fitted> variance) {
    double value = 0;
    for (int i = 0; i < weights.length; i++) {
      value += weights[i] * figure.applyAsDouble(readings.get(i).fitted());
    }
    double squares = 0;
    for (int i = 0; i < weights.length; i++) {
      Fitted f = readings.get(i).fitted();
      double off = figure.applyAsDouble(f) - value;
      squares += weights[i] * (variance.applyAsDouble(f) + off * off);
    }
    return new Mixed(value, Math.hypot(Math.sqrt(squares), MODEL_SHARE * value));
  }
}
