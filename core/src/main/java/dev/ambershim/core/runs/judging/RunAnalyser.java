package dev.ambershim.core.runs.judging;

import static dev.ambershim.core.runs.judging.SampleMeans.countOf;
import static dev.ambershim.core.runs.judging.SampleMeans.errorOf;
import static dev.ambershim.core.runs.judging.SampleMeans.meanOf;
import static dev.ambershim.core.runs.judging.SampleMeans.over;
import static dev.ambershim.core.runs.judging.SampleMeans.pick;
import static dev.ambershim.core.runs.judging.SampleMeans.present;
import static dev.ambershim.core.runs.judging.SampleMeans.rest;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Finds a run's loaded stretch, its settled part and its throttled samples, and works out the
 * settled figures with an error that allows for the resemblance of neighbouring samples.
 */
public final class RunAnalyser {
  private static final double LEAST_PLATEAU_SECONDS = 60;

  /** What may be left to warm, and added, K; common practice. */
  private static final double MOST_LEFT_KELVIN = 3;

  /** How far what is left may be unknown, two standard errors, K; common practice. */
  private static final double MOST_OPEN_KELVIN = 3;

  private static final double WORTH_A_WORD_KELVIN = 0.15;

  /** Below this, the power in all of the settled part is that of full load. */
  private static final double LEAST_HELD = 1.0005;

  /** Heat that a throttling chip gives up, where nothing tells; common practice. */
  private static final double USUAL_DROP = 0.2;

  /** A log of so many samples is worth more than one thread. */
  static final int LONG = 50_000;

  private final RunChannels channels;
  private final RunLog log;
  private final double[] power;
  private final double[] clock;
  private final double[] room;

  private RunAnalyser(RunChannels channels) {
    channels.needTemperatures();
    this.channels = channels;
    log = channels.log();
    power = channels.only(Role.POWER);
    clock = channels.mean(Role.CLOCK);
    room = channels.room();
  }

  /**
   * Works out a run.
   *
   * @param room room air in °C as the person read it, used where the log has no room channel
   * @throws Problem {@code run.noTemperature} if no channel is a core or the package
   */
  public static RunAnalysis analyse(RunLog log, OptionalDouble room) {
    return analyse(log, room, Set.of());
  }

  /**
   * The same without some cores, so that runs are compared over the same ones.
   *
   * @param without names of the cores that do not count
   */
  public static RunAnalysis analyse(RunLog log, OptionalDouble room, Set<String> without) {
    return new RunAnalyser(new RunChannels(log, room, without)).analyse();
  }

  /**
   * How a run's temperature followed the beginning of its load.
   *
   * @param room as for the analysis
   * @return empty if the log does not show it, or no split can be told
   */
  public static Optional<StepResponse> step(RunLog log, OptionalDouble room) {
    RunChannels channels = new RunChannels(log, room, Set.of());
    if (channels.cores().isEmpty()) {
      return Optional.empty();
    }
    LoadStretch load = channels.load(channels.rough());
    channels.leaveOut(load);
    if (channels.cores().isEmpty()) {
      return Optional.empty();
    }
    double[] power = channels.only(Role.POWER);
    double[] mean = new double[log.size()];
    double[] hottest = new double[log.size()];
    over(channels.cores(), mean, hottest);
    RunLog believed = channels.log();
    Throttling throttling =
        Throttling.of(believed, load, hottest, channels.mean(Role.CLOCK), power);
    return StepResponse.of(
        believed.seconds(),
        channels.rise(mean, channels.room()),
        power,
        load,
        throttling.samples());
  }

  private RunAnalysis analyse() {
    LoadStretch load = null;
    if (channels.gaps()) {
      load = channels.load(channels.rough());
      channels.leaveOut(load);
      if (channels.cores().isEmpty()) {
        return unfit(
            load,
            Throttling.of(log, load, new double[log.size()], null, null),
            "most of its temperatures under load cannot be, so no core counts");
      }
    }
    double[] mean = new double[log.size()];
    double[] hottest = new double[log.size()];
    over(channels.cores(), mean, hottest);
    if (load == null) {
      load = channels.load(mean);
    }
    Throttling throttling = Throttling.of(log, load, hottest, clock, power);
    double[] rise = channels.rise(mean, room);
    int[] under = present(rise, load);
    Optional<String> tooFew = tooFew(under, load);
    if (tooFew.isPresent()) {
      return unfit(load, throttling, tooFew.get());
    }
    Stretch stretch = Stretch.of(log, rise, under, load, throttling);
    Optional<String> why = whyUnfit(stretch, under.length);
    if (stretch.used().length < BatchMeans.FEWEST) {
      return unfit(load, throttling, why.orElseThrow());
    }
    if (!throttling.how().isEmpty()) {
      channels.remark(
          LogReader.count(countOf(throttling.samples()), "throttled sample")
              + " found by "
              + throttling.how()
              + "; what they cost in heat is allowed for.");
    }
    if (room != null) {
      checkRoomDrift(stretch.tail());
    }
    return analysis(load, throttling, settled(stretch, mean, rise, load, throttling), why);
  }

  /** Why a run has too few readings under load to be looked at. */
  private Optional<String> tooFew(int[] under, LoadStretch load) {
    int all = load.to() - load.from();
    if (channels.gaps() && under.length < (1 - RunChannels.MOST_LOST) * all) {
      return Optional.of(
          "in "
              + Math.round(100 - 100.0 * under.length / all)
              + " % of its samples under load a reading cannot be (at most "
              + Math.round(100 * RunChannels.MOST_LOST)
              + " %)");
    }
    return under.length < 2 * BatchMeans.FEWEST
        ? Optional.of("it holds only " + LogReader.count(under.length, "sample") + " under load")
        : Optional.empty();
  }

  /**
   * The settled part as samples.
   *
   * @param tail all its samples
   * @param used those that were not throttled
   * @param cut where it begins, and whether it is at rest
   * @param left what it had still to warm
   * @param seconds its length
   */
  private record Stretch(
      int[] tail, int[] used, Truncation cut, StillWarming left, double seconds) {
    static Stretch of(
        RunLog log, double[] rise, int[] under, LoadStretch load, Throttling throttling) {
      Truncation cut = Truncation.of(pick(rise, under));
      int[] tail = Arrays.copyOfRange(under, cut.start(), under.length);
      int[] used = Arrays.stream(tail).filter(i -> !throttling.samples()[i]).toArray();
      StillWarming left =
          StillWarming.of(
              log.seconds(),
              rise,
              under,
              throttling.samples(),
              tail,
              meanOf(rise, tail) - rest(rise, load),
              load.from() > 0);
      if (!cut.settled() && !Double.isNaN(cut.driftKelvin())) {
        // What still creeps by the cooler's own law is known, and no reason to refuse a run.
        cut = Truncation.judge(pick(left.added(log.seconds(), rise), under), cut.start());
      }
      double seconds = log.seconds()[tail[tail.length - 1]] - log.seconds()[tail[0]];
      return new Stretch(tail, used, cut, left, seconds);
    }

    double throttledShare() {
      return 1 - (double) used.length / tail.length;
    }
  }

  /** Why a run cannot be judged by its settled part. */
  private Optional<String> whyUnfit(Stretch stretch, int underLoad) {
    Truncation cut = stretch.cut();
    if (stretch.throttledShare() > 0.5) {
      return Optional.of("it was throttled for most of its settled part");
    }
    if (Double.isNaN(cut.driftKelvin())) {
      return Optional.of(
          "it holds only "
              + LogReader.count(underLoad, "sample")
              + " under load, too few to tell whether it settled");
    }
    if (!cut.settled()) {
      return Optional.of(
          "it never settled: it still changed by "
              + plain(Math.abs(cut.driftKelvin()))
              + " K between the halves of its last part");
    }
    if (stretch.seconds() < LEAST_PLATEAU_SECONDS || stretch.used().length < BatchMeans.FEWEST) {
      return Optional.of("its settled part lasts only " + Math.round(stretch.seconds()) + " s");
    }
    return stillWarming(stretch.left());
  }

  private Settled settled(
      Stretch stretch, double[] mean, double[] rise, LoadStretch load, Throttling throttling) {
    int[] tail = stretch.tail();
    int[] used = stretch.used();
    StillWarming left = stretch.left();
    OptionalDouble typed = channels.typedRoom();
    double air =
        room != null ? meanOf(room, tail) : typed.isPresent() ? typed.getAsDouble() : Double.NaN;
    // Where the chip held itself back, its cooler had less to carry: the readings between are too
    // cool for their power. Over all of the settled part rise goes with power all the same.
    double full = meanOf(power, used) / meanOf(power, tail);
    boolean byPower = full > LEAST_HELD && !Double.isNaN(air);
    int[] counted = byPower ? tail : used;
    double factor = byPower ? full : 1;
    double[] chip = channels.only(Role.PACKAGE);
    List<Double> each =
        channels.cores().stream()
            .map(c -> at(meanOf(c.values(), counted) + left.kelvin(), air, factor))
            .toList();
    SettledFigures figures =
        new SettledFigures(
            counted, rise, mean, channels.cores(), each, chip, power, room, left, log.seconds());
    double open =
        byPower
            ? EqualLoad.OPEN_SHARE * (factor - 1)
            : held(stretch.throttledShare(), throttling, tail);
    double shift = moved(rise, counted, load) + meanOf(rise, used) * open;
    return new Settled(
        log.seconds()[tail[0]],
        log.seconds()[tail[tail.length - 1]],
        used.length,
        cores(
            each,
            at(meanOf(mean, counted) + left.kelvin(), air, factor),
            at(meanOf(chip, counted) + left.kelvin(), air, factor)),
        air,
        room == null && typed.isPresent(),
        Double.isNaN(air) ? Double.NaN : factor * (meanOf(rise, counted) + left.kelvin()),
        meanOf(power, used),
        meanOf(clock, used),
        conditions(used),
        figures.figures(factor),
        figures.eachCore(factor),
        new RunDoubts(shift, errorOf(power, used)),
        stretch.throttledShare());
  }

  private static Settled.Cores cores(List<Double> each, double mean, double chip) {
    double hot = each.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
    double cool = each.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
    return new Settled.Cores(mean, hot, each.size() > 1 ? hot - cool : Double.NaN, chip, each);
  }

  /** A temperature at another heat, by its rise over the room. */
  private static double at(double celsius, double room, double factor) {
    return factor == 1 ? celsius : room + (celsius - room) * factor;
  }

  /**
   * By what share a rise may be too low where a chip held itself back for a part, and no power
   * tells by how much: heat goes about with the square of the clock.
   */
  private double held(double share, Throttling throttling, int[] tail) {
    if (share == 0) {
      return 0;
    }
    if (clock == null) {
      return share * USUAL_DROP;
    }
    int[] back = Arrays.stream(tail).filter(i -> throttling.samples()[i]).toArray();
    int[] free = Arrays.stream(tail).filter(i -> !throttling.samples()[i]).toArray();
    double ratio = meanOf(clock, back) / meanOf(clock, free);
    return share * Math.max(0, 1 - ratio * ratio);
  }

  /** What is left to warm is added; a run that leaves too much open is refused. */
  private Optional<String> stillWarming(StillWarming left) {
    boolean much = left.kelvin() > MOST_LEFT_KELVIN;
    boolean sure = left.kelvin() > 2 * left.standardError();
    if (much || 2 * left.standardError() > MOST_OPEN_KELVIN) {
      return Optional.of(
          (sure ? "it was still warming: about " : "it may have been still warming: about ")
              + plain(Math.max(0, left.kelvin()))
              + " K (± "
              + plain(2 * left.standardError())
              + (sure ? ") were left; " : ") could be left; ")
              + (left.minutes() > 0
                  ? "about " + Math.round(Math.ceil(left.minutes())) + " minutes of load would do"
                  : "a longer run would do"));
    }
    if (left.kelvin() > WORTH_A_WORD_KELVIN) {
      channels.remark(
          "It was still warming a little: "
              + plain(left.kelvin())
              + " K (± "
              + plain(2 * left.standardError())
              + ") are added, by its fitted time constant.");
    }
    return Optional.empty();
  }

  private double moved(double[] rise, int[] used, LoadStretch load) {
    if (room != null) {
      return RunDoubts.lag(log.seconds(), room, used);
    }
    return channels.typedRoom().isPresent()
        ? RunDoubts.trend(log.seconds(), rise, used, log.seconds()[load.from()])
        : 0;
  }

  private RunAnalysis unfit(LoadStretch load, Throttling throttling, String why) {
    double to = log.seconds()[Math.max(load.from(), load.to() - 1)];
    return analysis(load, throttling, Settled.none(to), Optional.of(why));
  }

  private RunAnalysis analysis(
      LoadStretch load, Throttling throttling, Settled settled, Optional<String> why) {
    return new RunAnalysis(
        log.fileName(),
        log.seconds()[load.from()],
        log.seconds()[Math.max(load.from(), load.to() - 1)],
        settled,
        why,
        secondsOf(throttling.samples()),
        countOf(throttling.samples()),
        channels.leftOut(),
        log.disbelieved().orElse(List.of()),
        channels.remarks());
  }

  private RunAnalysis.Conditions conditions(int[] used) {
    return new RunAnalysis.Conditions(
        meanOf(channels.mean(Role.VOLTAGE), used),
        meanOf(channels.mean(Role.FAN), used),
        meanOf(channels.mean(Role.PUMP), used),
        meanOf(channels.mean(Role.LOAD), used));
  }

  private void checkRoomDrift(int[] used) {
    double first = meanOf(room, Arrays.copyOfRange(used, 0, used.length / 2));
    double second = meanOf(room, Arrays.copyOfRange(used, used.length / 2, used.length));
    if (Math.abs(second - first) > 0.3) {
      channels.remark(
          "The room changed by "
              + plain(Math.abs(second - first))
              + " K during the settled part; the rise allows for it, but a big cooler lags behind.");
    }
  }

  private double secondsOf(boolean[] marks) {
    double sum = 0;
    for (int i = 0; i < marks.length; i++) {
      if (marks[i]) {
        int next = Math.min(i + 1, marks.length - 1);
        sum += i < marks.length - 1 ? log.seconds()[next] - log.seconds()[i] : 0;
      }
    }
    return sum;
  }

  private static String plain(double kelvin) {
    return Notation.METRIC.fixed(kelvin, 1);
  }
}
