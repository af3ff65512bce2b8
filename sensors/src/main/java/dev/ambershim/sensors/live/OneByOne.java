package dev.ambershim.sensors.live;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.causes.CoreState;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.sensors.Load;
import dev.ambershim.sensors.Source;
import dev.ambershim.sensors.Source.Sample;
import dev.ambershim.sensors.Source.Sensor;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.IntStream;

/**
 * One core after another: idle for a while, then each core alone for a stated time. What the cores
 * read at the end of each is one settled state: the chip and its lid settle in seconds, and how far
 * the coolant has come is read beside it.
 */
public final class OneByOne {
  /** Idle, each core, and how long the mean at the end of each is taken, s. */
  public record Times(int idleSeconds, int eachSeconds, int meanSeconds) {
    /** A few minutes for a chip of eight cores. */
    public static final Times USUAL = new Times(60, 40, 12);
  }

  /**
   * How far it is.
   *
   * @param core that is loaded; −1 for none
   * @param seconds since the begin
   * @param all how long it takes
   * @param hottestCelsius the hottest core
   */
  public record Status(int core, double seconds, double all, double hottestCelsius) {}

  private final Source source;
  private final Load load;
  private final Times times;
  private final double stopCelsius;
  private final OptionalDouble typedRoom;
  private final int[] cores;
  private final int power;
  private final int room;
  private final int coolant;

  /**
   * Sets it up.
   *
   * @param typedRoom the air, as a person read it; counts where no sensor tells it
   * @throws Problem {@code record.cores} if the source does not tell the cores one by one, {@code
   *     record.room} if nobody tells the air or the coolant, or {@code record.alone} if the load
   *     cannot be held to a core
   */
  public OneByOne(
      Source source, Load load, Times times, double stopCelsius, OptionalDouble typedRoom) {
    this.source = source;
    this.load = load;
    this.times = times;
    this.stopCelsius = stopCelsius;
    this.typedRoom = typedRoom;
    List<Sensor> sensors = source.sensors();
    cores =
        IntStream.range(0, sensors.size())
            .filter(i -> sensors.get(i).role() == Role.CORE)
            .toArray();
    power = first(sensors, Role.POWER);
    room = first(sensors, Role.ROOM);
    coolant = first(sensors, Role.COOLANT);
    if (cores.length < 2 || power < 0) {
      throw new Problem(
          "record.cores",
          Place.field("--one-by-one"),
          "The sensors do not tell the power and every core's temperature.",
          "Use a machine or a log that tells both.");
    }
    if (room < 0 && coolant < 0 && typedRoom.isEmpty()) {
      throw new Problem(
          "record.room",
          Place.field("room"),
          "No sensor tells the room or the coolant here.",
          "Read the air at the intake, and type it in as the room.");
    }
    if (!load.alone(-1)) {
      throw new Problem(
          "record.alone",
          Place.field("--one-by-one"),
          "The load cannot be held to one core here.",
          "Use the built-in load on Linux, or the rig.");
    }
  }

  private static int first(List<Sensor> sensors, Role role) {
    return IntStream.range(0, sensors.size())
        .filter(i -> sensors.get(i).role() == role)
        .findFirst()
        .orElse(-1);
  }

  /**
   * Conducts it, and keeps every sample.
   *
   * @param log the log to begin, if one is wanted; the last column says which core is loaded, −1
   *     for none
   * @param watch told each second
   * @param cancelled asked each second
   * @return the settled states so far; all of them if nothing ended it
   * @throws Problem {@code record.hot} at the limit, {@code record.lost} if no sample comes
   * @throws InterruptedException if the thread is told to stop
   */
  public List<CoreState> conduct(
      Optional<Path> log, Consumer<Status> watch, BooleanSupplier cancelled)
      throws InterruptedException {
    List<Sensor> sensors = new ArrayList<>(source.sensors());
    sensors.add(new Sensor("loaded core", "", Role.UNUSED));
    List<CoreState> all = new ArrayList<>();
    Optional<Recorder> recorder =
        log.map(
            file ->
                new Recorder(
                    file, List.of("source: " + source.name(), "one core after another"), sensors));
    try {
      for (int core = -1; core < cores.length && !cancelled.getAsBoolean(); core++) {
        if (!load.alone(core)) {
          break;
        }
        phase(core, recorder, watch, cancelled).ifPresent(all::add);
      }
    } finally {
      load.alone(-1);
      recorder.ifPresent(Recorder::close);
    }
    return all;
  }

  private Optional<CoreState> phase(
      int core, Optional<Recorder> recorder, Consumer<Status> watch, BooleanSupplier cancelled)
      throws InterruptedException {
    int lasting = core < 0 ? times.idleSeconds : times.eachSeconds;
    List<double[]> end = new ArrayList<>();
    double from = Double.NaN;
    double at = 0;
    while (at < lasting && !cancelled.getAsBoolean()) {
      Sample sample =
          source
              .next()
              .orElseThrow(
                  () ->
                      new Problem(
                          "record.lost",
                          Place.NOWHERE,
                          "No sample came any more.",
                          "Look whether the sensors still answer, and begin again."));
      from = Double.isNaN(from) ? sample.seconds() : from;
      at = sample.seconds() - from + 1;
      double[] with = Arrays.copyOf(sample.figures(), sample.figures().length + 1);
      with[with.length - 1] = core;
      recorder.ifPresent(r -> r.keep(new Sample(sample.seconds(), with)));
      double hottest =
          Arrays.stream(cores).mapToDouble(c -> sample.figures()[c]).max().orElse(Double.NaN);
      watch.accept(
          new Status(
              core,
              sample.seconds(),
              times.idleSeconds + (double) cores.length * times.eachSeconds,
              hottest));
      if (hottest >= stopCelsius) {
        throw new Problem(
            "record.hot",
            Place.NOWHERE,
            "A core reached " + hottest + " °C, and the load was ended.",
            "Look to the cooler first; or set a higher limit if the chip may get hotter.");
      }
      if (at > lasting - times.meanSeconds) {
        end.add(sample.figures());
      }
    }
    return at < lasting ? Optional.empty() : Optional.of(settled(core, end));
  }

  private CoreState settled(int core, List<double[]> end) {
    return new CoreState(
        core,
        mean(end, power),
        Arrays.stream(cores).mapToObj(c -> mean(end, c)).toList(),
        room < 0 ? typedRoom : optional(end, room),
        optional(end, coolant));
  }

  private static OptionalDouble optional(List<double[]> end, int sensor) {
    double mean = sensor < 0 ? Double.NaN : mean(end, sensor);
    return Double.isNaN(mean) ? OptionalDouble.empty() : OptionalDouble.of(mean);
  }

  private static double mean(List<double[]> end, int sensor) {
    return end.stream()
        .mapToDouble(f -> f[sensor])
        .filter(f -> !Double.isNaN(f))
        .average()
        .orElse(Double.NaN);
  }

  /** How long it takes, s. */
  public double seconds() {
    return times.idleSeconds + (double) cores.length * times.eachSeconds;
  }
}
