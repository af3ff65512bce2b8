package dev.ambershim.core.runs.judging;

import static dev.ambershim.core.runs.judging.SampleMeans.max;
import static dev.ambershim.core.runs.judging.SampleMeans.over;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.Disbelieved;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/** What a log's channels give to judge a run by: the cores that count, the room, the load. */
public final class RunChannels {
  /** A core that lost more of its readings under load does not count; nor does such a run. */
  static final double MOST_LOST = 0.5;

  private final RunLog log;
  private final OptionalDouble typedRoom;
  private final Set<String> without;
  private final List<String> leftOut = new ArrayList<>();
  private final List<String> remarks = new ArrayList<>();
  private List<Channel> cores;

  /**
   * The channels of a log.
   *
   * @param read as it was read; what cannot be is taken out
   * @param typedRoom room air for a log without one, °C
   * @param without names of cores that do not count
   */
  public RunChannels(RunLog read, OptionalDouble typedRoom, Set<String> without) {
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

  /** The log without what cannot be. */
  public RunLog log() {
    return log;
  }

  /** The cores that count. */
  public List<Channel> cores() {
    return cores;
  }

  List<String> leftOut() {
    return leftOut;
  }

  List<String> remarks() {
    return remarks;
  }

  void remark(String sentence) {
    remarks.add(sentence);
  }

  /** Room air in °C as the person read it, if the log has none. */
  OptionalDouble typedRoom() {
    return typedRoom;
  }

  /** Whether readings are missing, or cores do not count. */
  boolean gaps() {
    return !log.disbelieved().orElse(List.of()).isEmpty() || !without.isEmpty();
  }

  /**
   * Refuses a log without temperatures.
   *
   * @throws Problem {@code run.noTemperature}
   */
  public void needTemperatures() {
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
  }

  /** Leaves out cores that lost most of their readings, and those that are told to. */
  void leaveOut(LoadStretch load) {
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
  public double[] rough() {
    return Channel.mean(cores, log.size());
  }

  /** The loaded stretch, by power where there is any and else by the cores' mean. */
  LoadStretch load(double[] mean) {
    double[] power = only(Role.POWER);
    return power == null
        ? LoadStretch.of(mean, log.seconds(), 5)
        : LoadStretch.of(power, log.seconds(), 0.25 * max(power));
  }

  /** The cores' mean less the room, or the mean where there is no room. */
  double[] rise(double[] mean, double[] room) {
    double[] rise = mean.clone();
    for (int i = 0; i < rise.length; i++) {
      rise[i] -= room != null ? room[i] : typedRoom.orElse(0);
    }
    return rise;
  }

  /** How far the cores' steps may shift a whole log, K; cores of one chip step alike. */
  public double shiftKelvin() {
    return cores.isEmpty() ? 0 : Rounding.shift(cores.get(0).values());
  }

  /** The channel of a role, or null if there is none with a reading. */
  public double[] only(Role role) {
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

  /** Mean of a role's channels, or null if there are none. */
  double[] mean(Role role) {
    List<Channel> found = log.with(role);
    if (found.isEmpty()) {
      return null;
    }
    double[] mean = new double[log.size()];
    over(found, mean, new double[log.size()]);
    return mean;
  }

  /**
   * Room air, which changes slowly, so a gap takes the reading before it, or the first there is;
   * null without a reading.
   */
  public double[] room() {
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
}
