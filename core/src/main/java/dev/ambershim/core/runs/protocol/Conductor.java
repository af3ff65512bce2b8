package dev.ambershim.core.runs.protocol;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.runs.judging.Truncation;
import dev.ambershim.core.runs.reading.Role;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Conducts a run: takes one sample after the other and says which phase it is in, whether the
 * plateau has settled, whether the conditions hold, and when it has to stop. Time is the samples'
 * own; nothing here waits or starts anything.
 */
public final class Conductor {
  /** Room air may wander by this through a plateau. */
  public static final double ROOM_KELVIN = 0.3;

  private static final double CLOCK_SHARE = 0.02;
  private static final double VOLTAGE_SHARE = 0.03;
  private static final double TURNS_SHARE = 0.10;
  private static final double POWER_SHARE = 0.05;

  /** A temperature above this is a sensor's slip and no temperature. */
  private static final double NO_TEMPERATURE = 150;

  private static final double LOST_SECONDS = 5;
  private static final double STALLED_SECONDS = 10;

  // A runaway still climbs fast, and does not slow down, long after the quick part has risen.
  private static final double RUNAWAY_KELVIN_PER_SECOND = 0.4;
  private static final int RUNAWAY_WINDOW = 10;
  private static final double RUNAWAY_FROM_SECONDS = 30;

  private static final int SETTLED_EVERY = 10;
  private static final double SETTLED_KELVIN = 0.5;

  private final List<Phase> phases;
  private final Protocol protocol;
  private final Notation notation;
  private final List<Role> roles;
  private final List<String> names;
  private final double[] lastSeen;
  private final boolean[] everSeen;

  private double begin = Double.NaN;
  private double last;
  private Phase phase;
  private Series rise = new Series();
  private Series room = new Series();
  private Series clock = new Series();
  private Series power = new Series();
  private Series volts = new Series();
  private Series fan = new Series();
  private Series pump = new Series();
  private final Series hottest = new Series();
  private final Series times = new Series();
  private double loadSince = Double.NaN;
  private int rushing;
  private Optional<Boolean> settled = Optional.empty();
  private double drift = Double.NaN;
  private Stop stop;

  /**
   * Prepares a run.
   *
   * @param roles what each figure of a sample stands for
   * @param names what each is called, for messages
   * @param notation how sentences write figures
   */
  public Conductor(Protocol protocol, List<Role> roles, List<String> names, Notation notation) {
    this.protocol = protocol;
    this.roles = List.copyOf(roles);
    this.names = List.copyOf(names);
    this.notation = notation;
    phases = protocol.phases();
    phase = phases.get(0);
    lastSeen = new double[roles.size()];
    everSeen = new boolean[roles.size()];
  }

  /** Ends the run because the person says so. */
  public void stop() {
    if (stop == null) {
      stop = new Stop(Stop.Kind.BY_PERSON, "You stopped it.");
    }
  }

  /** Ends the run because the source has no more samples. */
  public void lost(String what) {
    if (stop == null) {
      stop = new Stop(Stop.Kind.LOST_SENSOR, what);
    }
  }

  /** Why the run has ended, once it has. */
  public Optional<Stop> stopped() {
    return Optional.ofNullable(stop);
  }

  /**
   * Takes a sample.
   *
   * @param seconds its time, from any origin, never falling
   * @param figures in the order of the roles; not a number where there is none
   */
  public Status accept(double seconds, double[] figures) {
    if (Double.isNaN(begin)) {
      begin = seconds;
      last = seconds;
      Arrays.fill(lastSeen, seconds);
    }
    double now = seconds - begin;
    enter(now);
    List<Double> cores = cores(figures);
    double hot = hottest(figures);
    double chip = first(figures, Role.POWER);
    double air = first(figures, Role.ROOM);
    double mean = cores.stream().mapToDouble(c -> c).average().orElse(first(figures, Role.PACKAGE));
    double above = mean - air;
    hottest.add(hot);
    times.add(Double.isNaN(hot) ? Double.NaN : now);
    if (phase.kind() == Phase.Kind.PLATEAU) {
      rise.add(Double.isNaN(above) ? mean : above);
      room.add(air);
      clock.add(mean(figures, Role.CLOCK));
      power.add(chip);
      volts.add(first(figures, Role.VOLTAGE));
      fan.add(first(figures, Role.FAN));
      pump.add(first(figures, Role.PUMP));
      if (rise.size % SETTLED_EVERY == 0) {
        settle();
      }
    }
    judge(seconds, now, figures, hot);
    last = seconds;
    return new Status(
        now,
        phase,
        Math.max(0, phase.toSeconds() - now),
        stop != null ? 0 : Math.max(0, protocol.lengthSeconds() - now),
        settled,
        drift,
        conditions(),
        cores,
        hot,
        above,
        chip,
        stopped());
  }

  private void enter(double now) {
    Phase here = phases.get(phases.size() - 1);
    for (Phase p : phases) {
      if (now < p.toSeconds()) {
        here = p;
        break;
      }
    }
    if (here.equals(phase)) {
      if (here.kind().load() && Double.isNaN(loadSince)) {
        loadSince = now;
      }
      return;
    }
    boolean was = phase.kind().load();
    phase = here;
    rise = new Series();
    room = new Series();
    clock = new Series();
    power = new Series();
    volts = new Series();
    fan = new Series();
    pump = new Series();
    settled = Optional.empty();
    drift = Double.NaN;
    if (!here.kind().load()) {
      loadSince = Double.NaN;
    } else if (!was) {
      loadSince = now;
    }
  }

  private void settle() {
    Truncation cut = Truncation.of(rise.figures());
    drift = cut.driftKelvin();
    // Early on, noise alone makes halves that still differ pass the test; a person waits for more.
    settled =
        Double.isNaN(drift)
            ? Optional.empty()
            : Optional.of(cut.settled() && Math.abs(drift) <= SETTLED_KELVIN);
  }

  private void judge(double seconds, double now, double[] figures, double hot) {
    if (stop != null) {
      return;
    }
    if (hot >= protocol.stopCelsius()) {
      stop =
          new Stop(
              Stop.Kind.TOO_HOT,
              "It reached "
                  + notation.text(hot, Unit.CELSIUS)
                  + "; your limit is "
                  + notation.text(protocol.stopCelsius(), Unit.CELSIUS)
                  + ".");
      return;
    }
    if (seconds - last > STALLED_SECONDS) {
      stop =
          new Stop(
              Stop.Kind.LOST_SENSOR, "No sample came for " + Math.round(seconds - last) + " s.");
      return;
    }
    String lost = lost(seconds, figures);
    if (!lost.isEmpty()) {
      stop = new Stop(Stop.Kind.LOST_SENSOR, "\"" + lost + "\" gave no figure for 5 s.");
      return;
    }
    if (runaway(now)) {
      stop =
          new Stop(
              Stop.Kind.RUNAWAY,
              "It climbed by more than "
                  + notation.fixed(RUNAWAY_KELVIN_PER_SECOND, 1)
                  + " K a second without slowing down: a runaway, or the cooler is not on.");
      return;
    }
    if (now >= protocol.lengthSeconds()) {
      stop = new Stop(Stop.Kind.DONE, "It went through to its end.");
    }
  }

  /** The first channel that matters and has gone silent. */
  private String lost(double seconds, double[] figures) {
    String lost = "";
    for (int i = 0; i < figures.length; i++) {
      boolean matters =
          roles.get(i) == Role.CORE || roles.get(i) == Role.PACKAGE || roles.get(i) == Role.POWER;
      boolean temperature = roles.get(i) != Role.POWER;
      boolean seen = !Double.isNaN(figures[i]) && !(temperature && figures[i] > NO_TEMPERATURE);
      if (seen) {
        lastSeen[i] = seconds;
        everSeen[i] = true;
      } else if (matters
          && (everSeen[i] || seconds - begin > LOST_SECONDS)
          && seconds - lastSeen[i] >= LOST_SECONDS
          && lost.isEmpty()) {
        lost = names.get(i);
      }
    }
    return lost;
  }

  private boolean runaway(double now) {
    int n = hottest.size;
    boolean fast = false;
    if (n > 2 * RUNAWAY_WINDOW && now - loadSince > RUNAWAY_FROM_SECONDS) {
      double late = slope(0);
      double early = slope(RUNAWAY_WINDOW);
      fast = late > RUNAWAY_KELVIN_PER_SECOND && late > 0.9 * early;
    }
    rushing = fast ? rushing + 1 : 0;
    return rushing >= 5;
  }

  /** Climb over a window that ends so many samples ago, K/s. */
  private double slope(int ago) {
    return (hottest.back(ago) - hottest.back(ago + RUNAWAY_WINDOW))
        / (times.back(ago) - times.back(ago + RUNAWAY_WINDOW));
  }

  private List<Status.Condition> conditions() {
    List<Status.Condition> result = new ArrayList<>();
    if (phase.kind() != Phase.Kind.PLATEAU) {
      return result;
    }
    if (room.known()) {
      double wander = room.range();
      result.add(
          new Status.Condition(
              "room air",
              wander <= ROOM_KELVIN,
              "wandered by " + notation.text(wander, Unit.KELVIN)));
    }
    share(result, "clock", clock, CLOCK_SHARE);
    share(result, "power", power, POWER_SHARE);
    Protocol.Settings set = protocol.settings();
    asSet(result, "clock", clock, set.clockMegahertz(), CLOCK_SHARE);
    asSet(result, "voltage", volts, set.volts(), VOLTAGE_SHARE);
    asSet(result, "fan", fan, set.fanTurnsPerMinute(), TURNS_SHARE);
    asSet(result, "pump", pump, set.pumpTurnsPerMinute(), TURNS_SHARE);
    return result;
  }

  private static void share(List<Status.Condition> to, String name, Series series, double allowed) {
    if (!series.known()) {
      return;
    }
    double off = Math.abs(series.recent() / series.mean() - 1);
    to.add(
        new Status.Condition(
            name, off <= allowed, "within " + Math.round(1000 * off) / 10.0 + " % of its mean"));
  }

  /** Whether the machine does what the person set. */
  private static void asSet(
      List<Status.Condition> to, String name, Series series, Double set, double allowed) {
    if (set == null || !series.known()) {
      return;
    }
    double off = set == 0 ? series.recent() : Math.abs(series.recent() / set - 1);
    if (off > allowed) {
      to.add(
          new Status.Condition(
              name + " as set",
              false,
              "off by " + Math.round(1000 * off) / 10.0 + " % of what you set"));
    }
  }

  private List<Double> cores(double[] figures) {
    List<Double> cores = new ArrayList<>();
    for (int i = 0; i < figures.length; i++) {
      if (roles.get(i) == Role.CORE) {
        cores.add(figures[i]);
      }
    }
    return cores;
  }

  private double hottest(double[] figures) {
    double hot = Double.NaN;
    for (int i = 0; i < figures.length; i++) {
      boolean counts = roles.get(i) == Role.CORE || roles.get(i) == Role.PACKAGE;
      if (counts && figures[i] <= NO_TEMPERATURE && !(figures[i] <= hot)) {
        hot = figures[i];
      }
    }
    return hot;
  }

  private double first(double[] figures, Role role) {
    int at = roles.indexOf(role);
    return at < 0 ? Double.NaN : figures[at];
  }

  private double mean(double[] figures, Role role) {
    double sum = 0;
    int n = 0;
    for (int i = 0; i < figures.length; i++) {
      if (roles.get(i) == role && !Double.isNaN(figures[i])) {
        sum += figures[i];
        n++;
      }
    }
    return n == 0 ? Double.NaN : sum / n;
  }

  /** Figures as they come; those that are not numbers are left out. */
  private static final class Series {
    private double[] figures = new double[256];
    private int size;
    private double sum;
    private double low = Double.POSITIVE_INFINITY;
    private double high = Double.NEGATIVE_INFINITY;

    void add(double figure) {
      if (Double.isNaN(figure)) {
        return;
      }
      if (size == figures.length) {
        figures = Arrays.copyOf(figures, 2 * size);
      }
      figures[size++] = figure;
      sum += figure;
      // A minute's noise is not the room's wander: ends are those of means of ten.
      if (size >= 10) {
        double ten = recent();
        low = Math.min(low, ten);
        high = Math.max(high, ten);
      }
    }

    boolean known() {
      return size >= 10;
    }

    double[] figures() {
      return Arrays.copyOf(figures, size);
    }

    double mean() {
      return sum / size;
    }

    double recent() {
      double ten = 0;
      int n = Math.min(10, size);
      for (int i = 0; i < n; i++) {
        ten += figures[size - 1 - i];
      }
      return ten / n;
    }

    double range() {
      return high - low;
    }

    double back(int samples) {
      return figures[size - 1 - samples];
    }
  }
}
