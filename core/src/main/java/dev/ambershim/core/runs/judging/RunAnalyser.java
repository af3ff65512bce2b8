package dev.ambershim.core.runs.judging;

import static dev.ambershim.core.runs.judging.SampleMeans.countOf;
import static dev.ambershim.core.runs.judging.SampleMeans.errorOf;
import static dev.ambershim.core.runs.judging.SampleMeans.max;
import static dev.ambershim.core.runs.judging.SampleMeans.meanOf;
import static dev.ambershim.core.runs.judging.SampleMeans.over;
import static dev.ambershim.core.runs.judging.SampleMeans.pick;
import static dev.ambershim.core.runs.judging.SampleMeans.present;
import static dev.ambershim.core.runs.judging.SampleMeans.rest;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.Disbelieved;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * Finds a run's loaded stretch, its settled part and its throttled samples, and works out the
 * settled figures with an error that allows for the resemblance of neighbouring samples.
 */
public final class RunAnalyser {
  private static final double LEAST_PLATEAU_SECONDS = 60;

  /** A core that lost more of its readings under load does not count; nor does such a run. */
  private static final double MOST_LOST = 0.5;

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

  private final RunLog log;
  private final OptionalDouble typedRoom;
  private final Set<String> without;
  private final List<String> leftOut = new ArrayList<>();
  private List<Channel> cores;
  private final List<String> remarks = new ArrayList<>();

  private RunAnalyser(RunLog read, OptionalDouble typedRoom, Set<String> without) {
    this.log = read.believed();
    this.typedRoom = typedRoom;
    this.without = without;
    List<Channel> named = log.with(Role.CORE);
    cores = named.isEmpty() ? log.with(Role.PACKAGE) : named;
    if (named.isEmpty() && !cores.isEmpty()) {
      remarks.add("No core temperatures; the package temperature stands in for them.");
    }
    for (Disbelieved d : log.disbelieved().orElse(List.of())) {
      remarks.add(d.words());
    }
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
    return new RunAnalyser(log, room, without).analyse();
  }

  /** Leaves out cores that lost most of their readings, and those that are told to. */
  private void leaveOut(LoadStretch load) {
    List<Channel> kept = new ArrayList<>();
    for (Channel core : cores) {
      double lost = lost(core, load);
      if (without.contains(core.name())) {
        leftOut.add(core.name());
        remarks.add(
            "\""
                + core.name()
                + "\" is left out, since it does not count in a run beside this one.");
      } else if (lost > MOST_LOST) {
        leftOut.add(core.name());
        remarks.add(
            "\""
                + core.name()
                + "\" does not count: "
                + Math.round(100 * lost)
                + " % of its readings under load cannot be (at most "
                + Math.round(100 * MOST_LOST)
                + " %).");
      } else {
        kept.add(core);
      }
    }
    cores = kept;
  }

  /** Share of a channel's readings under load that were taken out because they cannot be. */
  private double lost(Channel core, LoadStretch load) {
    int kept = 0;
    int lost = 0;
    for (Disbelieved d : log.disbelieved().orElse(List.of())) {
      if (d.channel().equals(core.name())) {
        lost += d.samples().get(load.from(), load.to()).cardinality();
      }
    }
    for (int i = load.from(); lost > 0 && i < load.to(); i++) {
      kept += Double.isNaN(core.values()[i]) ? 0 : 1;
    }
    return lost == 0 ? 0 : (double) lost / (kept + lost);
  }

  /** Mean over the cores that have a reading, to know the load by while some may be lost. */
  private double[] rough() {
    double[] sums = new double[log.size()];
    int[] counts = new int[log.size()];
    for (Channel c : cores) {
      double[] values = c.values();
      for (int i = 0; i < sums.length; i++) {
        if (!Double.isNaN(values[i])) {
          sums[i] += values[i];
          counts[i]++;
        }
      }
    }
    for (int i = 0; i < sums.length; i++) {
      sums[i] = counts[i] == 0 ? Double.NaN : sums[i] / counts[i];
    }
    return sums;
  }

  private RunAnalysis analyse() {
    if (cores.isEmpty()) {
      throw new Problem(
          "run.noTemperature",
          Place.file(log.fileName()),
          "No column is known as a core or package temperature.",
          "Say which column is which: the columns are "
              + String.join(
                  ", ", log.channels().stream().limit(12).map(c -> "\"" + c.name() + "\"").toList())
              + ".");
    }
    double[] power = only(Role.POWER);
    double[] clock = mean(Role.CLOCK);
    double[] room = room();
    boolean gaps = !log.disbelieved().orElse(List.of()).isEmpty() || !without.isEmpty();
    LoadStretch load;
    if (gaps) {
      load = load(rough(), power);
      leaveOut(load);
      if (cores.isEmpty()) {
        return unfit(
            load,
            Throttling.of(log, load, new double[log.size()], null, null),
            "most of its temperatures under load cannot be, so no core counts");
      }
    } else {
      load = null;
    }
    double[] mean = new double[log.size()];
    double[] hottest = new double[log.size()];
    over(cores, mean, hottest);
    if (load == null) {
      load = load(mean, power);
    }
    Throttling throttling = Throttling.of(log, load, hottest, clock, power);
    double[] rise = rise(mean, room);
    int[] under = present(rise, load);
    if (gaps && under.length < (1 - MOST_LOST) * (load.to() - load.from())) {
      return unfit(
          load,
          throttling,
          "in "
              + Math.round(100 - 100.0 * under.length / (load.to() - load.from()))
              + " % of its samples under load a reading cannot be (at most "
              + Math.round(100 * MOST_LOST)
              + " %)");
    }
    if (under.length < 2 * BatchMeans.FEWEST) {
      return unfit(
          load,
          throttling,
          "it holds only " + LogReader.count(under.length, "sample") + " under load");
    }
    double[] series = pick(rise, under);
    Truncation cut = Truncation.of(series);
    int[] tail = Arrays.copyOfRange(under, cut.start(), under.length);
    int[] used = Arrays.stream(tail).filter(i -> !throttling.samples()[i]).toArray();
    double throttledShare = 1 - (double) used.length / tail.length;
    double length = log.seconds()[tail[tail.length - 1]] - log.seconds()[tail[0]];
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
    String why = null;
    if (throttledShare > 0.5) {
      why = "it was throttled for most of its settled part";
    } else if (Double.isNaN(cut.driftKelvin())) {
      why =
          "it holds only "
              + LogReader.count(under.length, "sample")
              + " under load, too few to tell whether it settled";
    } else if (!cut.settled()) {
      why =
          "it never settled: it still changed by "
              + plain(Math.abs(cut.driftKelvin()))
              + " K between the halves of its last part";
    } else if (length < LEAST_PLATEAU_SECONDS || used.length < BatchMeans.FEWEST) {
      why = "its settled part lasts only " + Math.round(length) + " s";
    } else {
      why = stillWarming(left);
    }
    if (used.length < BatchMeans.FEWEST) {
      return unfit(load, throttling, why);
    }
    if (!throttling.how().isEmpty()) {
      remarks.add(
          LogReader.count(countOf(throttling.samples()), "throttled sample")
              + " found by "
              + throttling.how()
              + "; what they cost in heat is allowed for.");
    }
    double roomMean =
        room != null
            ? meanOf(room, tail)
            : typedRoom.isPresent() ? typedRoom.getAsDouble() : Double.NaN;
    if (room != null) {
      checkRoomDrift(room, tail);
    }
    // Where the chip held itself back, its cooler had less to carry: the readings between are too
    // cool for their power. Over all of the settled part rise goes with power all the same.
    double full = meanOf(power, used) / meanOf(power, tail);
    boolean byPower = full > LEAST_HELD && !Double.isNaN(roomMean);
    int[] counted = byPower ? tail : used;
    double factor = byPower ? full : 1;
    List<Double> each =
        cores.stream()
            .map(c -> at(meanOf(c.values(), counted) + left.kelvin(), roomMean, factor))
            .toList();
    SettledFigures settled =
        new SettledFigures(
            counted, rise, mean, cores, each, only(Role.PACKAGE), power, room, left, log.seconds());
    double hot = each.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
    double cool = each.stream().mapToDouble(Double::doubleValue).min().orElseThrow();
    double watts = meanOf(power, used);
    double riseMean =
        Double.isNaN(roomMean) ? Double.NaN : factor * (meanOf(rise, counted) + left.kelvin());
    double shift =
        moved(room, rise, counted, load)
            + meanOf(rise, used)
                * (byPower
                    ? EqualLoad.OPEN_SHARE * (factor - 1)
                    : held(throttledShare, throttling, clock, tail));
    return new RunAnalysis(
        log.fileName(),
        log.seconds()[load.from()],
        log.seconds()[load.to() - 1],
        log.seconds()[tail[0]],
        log.seconds()[tail[tail.length - 1]],
        used.length,
        Optional.ofNullable(why),
        at(meanOf(mean, counted) + left.kelvin(), roomMean, factor),
        hot,
        each.size() > 1 ? hot - cool : Double.NaN,
        at(meanOf(only(Role.PACKAGE), counted) + left.kelvin(), roomMean, factor),
        each,
        roomMean,
        room == null && typedRoom.isPresent(),
        riseMean,
        watts,
        meanOf(clock, used),
        conditions(used),
        watts > 0 ? riseMean / watts : Double.NaN,
        settled.figures(factor),
        settled.eachCore(factor),
        new RunDoubts(shift, errorOf(power, used)),
        secondsOf(throttling.samples()),
        countOf(throttling.samples()),
        throttledShare,
        leftOut,
        log.disbelieved().orElse(List.of()),
        remarks);
  }

  /** A temperature at another heat, by its rise over the room. */
  private static double at(double celsius, double room, double factor) {
    return factor == 1 ? celsius : room + (celsius - room) * factor;
  }

  /**
   * By what share a rise may be too low where a chip held itself back for a part, and no power
   * tells by how much: heat goes about with the square of the clock.
   */
  private static double held(double share, Throttling throttling, double[] clock, int[] tail) {
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

  /**
   * How a run's temperature followed the beginning of its load.
   *
   * @param room as for the analysis
   * @return empty if the log does not show it, or no split can be told
   */
  public static Optional<StepResponse> step(RunLog log, OptionalDouble room) {
    RunAnalyser run = new RunAnalyser(log, room, Set.of());
    if (run.cores.isEmpty()) {
      return Optional.empty();
    }
    double[] power = run.only(Role.POWER);
    LoadStretch load = run.load(run.rough(), power);
    run.leaveOut(load);
    if (run.cores.isEmpty()) {
      return Optional.empty();
    }
    double[] mean = new double[log.size()];
    double[] hottest = new double[log.size()];
    over(run.cores, mean, hottest);
    Throttling throttling = Throttling.of(run.log, load, hottest, run.mean(Role.CLOCK), power);
    return StepResponse.of(
        run.log.seconds(), run.rise(mean, run.room()), power, load, throttling.samples());
  }

  /** What is left to warm is added; a run that leaves too much open is refused. */
  private String stillWarming(StillWarming left) {
    boolean much = left.kelvin() > MOST_LEFT_KELVIN;
    if (much || 2 * left.standardError() > MOST_OPEN_KELVIN) {
      return "it was still warming: about "
          + plain(Math.max(0, left.kelvin()))
          + " K (± "
          + plain(2 * left.standardError())
          + ") were left; "
          + (left.minutes() > 0
              ? "about " + Math.round(Math.ceil(left.minutes())) + " minutes of load would do"
              : "a longer run would do");
    }
    if (left.kelvin() > WORTH_A_WORD_KELVIN) {
      remarks.add(
          "It was still warming a little: "
              + plain(left.kelvin())
              + " K (± "
              + plain(2 * left.standardError())
              + ") are added, by its fitted time constant.");
    }
    return null;
  }

  private double moved(double[] room, double[] rise, int[] used, LoadStretch load) {
    if (room != null) {
      return RunDoubts.lag(log.seconds(), room, used);
    }
    return typedRoom.isPresent()
        ? RunDoubts.trend(log.seconds(), rise, used, log.seconds()[load.from()])
        : 0;
  }

  private LoadStretch load(double[] mean, double[] power) {
    return power == null
        ? LoadStretch.of(mean, log.seconds(), 5)
        : LoadStretch.of(power, log.seconds(), 0.25 * max(power));
  }

  private double[] rise(double[] mean, double[] room) {
    double[] rise = mean.clone();
    for (int i = 0; i < rise.length; i++) {
      rise[i] -= room != null ? room[i] : typedRoom.orElse(0);
    }
    return rise;
  }

  private RunAnalysis unfit(LoadStretch load, Throttling throttling, String why) {
    double nan = Double.NaN;
    double from = log.seconds()[load.from()];
    double to = log.seconds()[Math.max(load.from(), load.to() - 1)];
    return new RunAnalysis(
        log.fileName(),
        from,
        to,
        to,
        to,
        0,
        Optional.of(why),
        nan,
        nan,
        nan,
        nan,
        List.of(),
        nan,
        false,
        nan,
        nan,
        nan,
        RunAnalysis.Conditions.UNKNOWN,
        nan,
        Map.of(),
        List.of(),
        RunDoubts.NONE,
        secondsOf(throttling.samples()),
        countOf(throttling.samples()),
        0,
        leftOut,
        log.disbelieved().orElse(List.of()),
        remarks);
  }

  private RunAnalysis.Conditions conditions(int[] used) {
    return new RunAnalysis.Conditions(
        meanOf(mean(Role.VOLTAGE), used),
        meanOf(mean(Role.FAN), used),
        meanOf(mean(Role.PUMP), used),
        meanOf(mean(Role.LOAD), used));
  }

  private double[] mean(Role role) {
    List<Channel> found = log.with(role);
    return found.isEmpty() ? null : average(found);
  }

  private void checkRoomDrift(double[] room, int[] used) {
    double first = meanOf(room, Arrays.copyOfRange(used, 0, used.length / 2));
    double second = meanOf(room, Arrays.copyOfRange(used, used.length / 2, used.length));
    if (Math.abs(second - first) > 0.3) {
      remarks.add(
          "The room changed by "
              + plain(Math.abs(second - first))
              + " K during the settled part; the rise allows for it, but a big cooler lags behind.");
    }
  }

  /** The channel of a role, or null if there is none with a reading. */
  private double[] only(Role role) {
    List<Channel> found = log.with(role);
    if (found.isEmpty()) {
      return null;
    }
    double[] values = found.get(0).values();
    for (double v : values) {
      if (!Double.isNaN(v)) {
        return values;
      }
    }
    return null;
  }

  /**
   * Room air, which changes slowly, so a gap takes the reading before it, or the first there is.
   */
  private double[] room() {
    double[] values = only(Role.ROOM);
    if (values == null) {
      if (!log.with(Role.ROOM).isEmpty()) {
        remarks.add("The room's column holds no reading that can be.");
      }
      return null;
    }
    double[] filled = values;
    for (int i = 1; i < values.length; i++) {
      if (Double.isNaN(filled[i])) {
        filled = filled == values ? values.clone() : filled;
        filled[i] = filled[i - 1];
      }
    }
    for (int i = values.length - 2; i >= 0; i--) {
      if (Double.isNaN(filled[i])) {
        filled = filled == values ? values.clone() : filled;
        filled[i] = filled[i + 1];
      }
    }
    return filled;
  }

  private double[] average(List<Channel> channels) {
    double[] mean = new double[log.size()];
    over(channels, mean, new double[log.size()]);
    return mean;
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
