package dev.ambershim.sensors.rig;

import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.multigrid.Team;
import dev.ambershim.core.physics.multigrid.TransientSolver;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.sensors.Load;
import dev.ambershim.sensors.Source;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;

/**
 * A machine that is not there: dies, joints, lid and cold plate by the project's own conduction in
 * time, a loop of coolant and radiator (or heat pipes and fins) as two lumps with a fan and a pump
 * curve, leakage that grows with temperature, a chip that lowers its clock at its limit, sensors
 * with their own offsets that step by a degree, a room that drifts, and faults. One sample a
 * second; the same setup gives the same samples. It claims nothing about any real part.
 *
 * <p>Left out: the heat that the plate itself takes up while the coolant warms.
 */
public final class ConductionRig implements Source, Load {
  /** Right for all cores together; a core alone reads a fifth too much. */
  private static final int CELLS = 1200;

  /** Right for single cores to a hundredth. */
  private static final int FINE_CELLS = 8000;

  // The loop, by common practice: water, tubes and radiator; a kilogram of
  // aluminium fins for an air cooler.
  private static final double LOOP_JOULES_PER_KELVIN = 1400;
  private static final double PIPES_JOULES_PER_KELVIN = 900;

  /** Two flat pipes and a small stack of fins, as a laptop has them; common practice. */
  private static final double FLAT_JOULES_PER_KELVIN = 120;

  private static final double SHARE_OF_PIPES = 0.45;

  /** Heat transfer to air goes with the speed of the fan to this power; common practice. */
  private static final double FAN_POWER = 0.6;

  /** Heat transfer to water goes with its flow to this power; common practice. */
  private static final double FLOW_POWER = 0.5;

  /** What a bad pump leaves of the flow. */
  private static final double WEAK_FLOW = 0.12;

  /**
   * Water's flow warms on its way through the plate: K/W at full flow of about a litre a minute.
   */
  private static final double FLOW_KELVIN_PER_WATT = 0.007;

  /** Power of a core alone by its share of full load. */
  private static final double ALONE = 1.3;

  private static final double LEAKAGE_SHARE = 0.08;
  private static final double LEAKAGE_AT_CELSIUS = 60;
  private static final double LEAKAGE_DOUBLES_IN = 30;
  private static final double IDLE_SHARE = 0.07;
  private static final double CLOCK_STEP = 25;

  /** Dynamic power falls faster than the clock, since voltage falls with it. */
  private static final double CLOCK_POWER = 2.2;

  private final RigSetup setup;
  private final long nanosecondsEach;
  private final TransientSolver solver;
  private final List<HeatSource> heat;
  private final int cores;
  private final double airResistance;
  private final double flowResistance;
  private final double loopCapacity;
  private final Random random;
  private final double[] offsets;
  private final double[] means;
  private double coolant;
  private double room;
  private double roomNoise;
  private double wander;
  private double clockShare = 1;
  private boolean loaded;
  private int alone = -1;
  private long begin;
  private int second;

  /** A rig that gives its samples as fast as it can work them out. */
  public ConductionRig(RigSetup setup) {
    this(setup, 0);
  }

  /**
   * A rig at rest, long enough to be settled there.
   *
   * @param timesFaster how much faster than a real machine it runs; 0 for as fast as it can
   */
  public ConductionRig(RigSetup setup, double timesFaster) {
    this(setup, timesFaster, CELLS);
  }

  /**
   * A rig that is right for single cores, too, and takes some milliseconds for each sample.
   *
   * @param timesFaster as above
   */
  public static ConductionRig fine(RigSetup setup, double timesFaster) {
    return new ConductionRig(setup, timesFaster, FINE_CELLS);
  }

  private ConductionRig(RigSetup setup, double timesFaster, int cells) {
    this.setup = setup;
    nanosecondsEach = timesFaster > 0 ? Math.round(1e9 / timesFaster) : 0;
    Cooler cooler = setup.machine().cooler();
    double ofAir = cooler.kind().coolantShare() > 0 ? cooler.kind().coolantShare() : SHARE_OF_PIPES;
    double flow =
        setup.pumpTurnsPerMinute()
            / RigSetup.FULL_PUMP
            * (1 - (1 - WEAK_FLOW) * setup.fault(Fault.WEAK_PUMP));
    double fan = setup.fanTurnsPerMinute() / RigSetup.FULL_FAN;
    airResistance =
        ofAir * cooler.resistanceKelvinPerWatt() / Math.pow(Math.max(0.05, fan), FAN_POWER);
    boolean water = cooler.kind().coolantShare() > 0;
    flowResistance = water ? FLOW_KELVIN_PER_WATT / Math.max(0.02, flow) : 0;
    double filmResistance =
        Math.max(
            0.1 * cooler.resistanceKelvinPerWatt(),
            (1 - ofAir) * cooler.resistanceKelvinPerWatt() - FLOW_KELVIN_PER_WATT);
    double film =
        cooler.filmWattsPerSquareMetreKelvin(filmResistance)
            * (water ? Math.pow(Math.max(0.02, flow), FLOW_POWER) : 1);
    loopCapacity =
        water ? LOOP_JOULES_PER_KELVIN : hosed() ? PIPES_JOULES_PER_KELVIN : FLAT_JOULES_PER_KELVIN;
    StackCase stack = RigStack.of(setup, film);
    heat = stack.heat();
    cores = setup.machine().chip().cores();
    random = new Random(setup.seed());
    offsets = new double[cores];
    for (int i = 0; i < cores; i++) {
      offsets[i] = 0.8 * random.nextGaussian();
    }
    room = setup.roomCelsius();
    coolant = room + idleWatts() * airResistance;
    solver = new TransientSolver(stack, cells, Team.alone(), SolveWatch.NONE);
    means = new double[heat.size()];
    Arrays.fill(means, coolant);
    // A quarter of an hour at idle, in long steps.
    for (int i = 0; i < 15; i++) {
      remember(solver.step(60, watts(false, 1)));
    }
  }

  private double idleWatts() {
    return IDLE_SHARE * setup.watts();
  }

  /** Heat of each source, with leakage at its temperature of a moment ago. */
  private double[] watts(boolean load, double wandered) {
    double dynamic =
        load
            ? (1 - LEAKAGE_SHARE) * setup.watts() * Math.pow(clockShare, CLOCK_POWER) * wandered
            : idleWatts() * (1 - LEAKAGE_SHARE);
    double[] result = new double[heat.size()];
    for (int i = 0; i < result.length; i++) {
      double leak =
          LEAKAGE_SHARE
              * setup.watts()
              * (load ? 1 : 0.4)
              * Math.pow(2, (means[i] - LEAKAGE_AT_CELSIUS) / LEAKAGE_DOUBLES_IN);
      result[i] = heat.get(i).watts() * (dynamic + leak);
    }
    if (alone >= 0) {
      // A core that runs alone clocks higher than one among others.
      double full = (1 - LEAKAGE_SHARE) * setup.watts() * wandered;
      result[alone] += ALONE * heat.get(alone).watts() * full;
    }
    return result;
  }

  private void remember(double[] celsius) {
    for (int i = 0; i < means.length; i++) {
      // The stack's own zero is the room at the start; the coolant has moved from there.
      means[i] = celsius[i] + coolantLift();
    }
  }

  private double coolantLift() {
    return coolant - setup.roomCelsius();
  }

  @Override
  public String name() {
    return "the simulated rig";
  }

  /** Whether coolant and pump have sensors: all but what is built in is taken as a loop. */
  private boolean hosed() {
    return !setup.machine().cooler().kind().builtIn();
  }

  @Override
  public List<Sensor> sensors() {
    List<Sensor> all = new ArrayList<>();
    for (int i = 0; i < cores; i++) {
      all.add(new Sensor("core " + i, "°C", Role.CORE));
    }
    all.add(new Sensor("package", "°C", Role.PACKAGE));
    if (hosed()) {
      all.add(new Sensor("coolant", "°C", Role.COOLANT));
    }
    all.add(new Sensor("room air", "°C", Role.ROOM));
    all.add(new Sensor("chip power", "W", Role.POWER));
    all.add(new Sensor("clock", "MHz", Role.CLOCK));
    all.add(new Sensor("core voltage", "V", Role.VOLTAGE));
    all.add(new Sensor("fan", "rpm", Role.FAN));
    if (hosed()) {
      all.add(new Sensor("pump", "rpm", Role.PUMP));
    }
    all.add(new Sensor("throttling", "", Role.THROTTLE));
    return all;
  }

  @Override
  public void set(boolean on) {
    loaded = on;
    if (!on) {
      clockShare = 1;
    }
  }

  @Override
  public boolean alone(int core) {
    if (core >= cores) {
      return false;
    }
    set(false);
    alone = core;
    return true;
  }

  @Override
  public Optional<Sample> next() throws InterruptedException {
    if (nanosecondsEach > 0) {
      begin = second == 0 ? System.nanoTime() : begin;
      long wait = begin + second * nanosecondsEach - System.nanoTime();
      if (wait > 0) {
        TimeUnit.NANOSECONDS.sleep(wait);
      }
    } else if (Thread.interrupted()) {
      throw new InterruptedException();
    }
    wander = 0.85 * wander + 0.0053 * random.nextGaussian();
    roomNoise = 0.98 * roomNoise + 0.006 * random.nextGaussian();
    room = setup.roomCelsius() + setup.roomDriftKelvinPerHour() * second / 3600;
    double[] watts = watts(loaded, 1 + wander);
    double all = 0;
    for (double w : watts) {
      all += w;
    }
    // The water leaves the plate warmer than it comes; the plate sees the mean of both.
    coolant += (all - (coolant - flowResistance * all / 2 - room) / airResistance) / loopCapacity;
    remember(solver.step(1, watts));
    double[] figures = figures(all);
    Sample sample = new Sample(second, figures);
    govern();
    second++;
    return Optional.of(sample);
  }

  private double[] figures(double watts) {
    double[] figures = new double[sensors().size()];
    double hottest = Double.NEGATIVE_INFINITY;
    for (int i = 0; i < cores; i++) {
      double felt = means[i] + offsets[i] + 0.3 * random.nextGaussian();
      hottest = Math.max(hottest, felt);
      figures[i] = Math.rint(felt);
    }
    boolean throttled = loaded && clockShare < 1 - 0.5 * CLOCK_STEP / setup.megahertz();
    int at = cores;
    figures[at++] = Math.rint(2 * (hottest + 0.5)) / 2;
    double ofCoolant = coolant + 0.05 * random.nextGaussian();
    if (hosed()) {
      figures[at++] = Math.rint(10 * ofCoolant) / 10;
    }
    figures[at++] = Math.rint(100 * (room + roomNoise)) / 100;
    figures[at++] = Math.rint(10 * (watts + 0.6 * random.nextGaussian())) / 10;
    figures[at++] = loaded ? setup.megahertz() * clockShare : 1200;
    double volts = setup.volts() * (loaded ? 0.4 + 0.6 * clockShare : 0.68);
    figures[at++] = Math.rint(1000 * (volts + 0.002 * random.nextGaussian())) / 1000;
    figures[at++] = Math.rint(setup.fanTurnsPerMinute() + 6 * random.nextGaussian());
    double pump = setup.pumpTurnsPerMinute() * (1 - 0.1 * setup.fault(Fault.WEAK_PUMP));
    double turns = pump + 10 * random.nextGaussian();
    if (hosed()) {
      figures[at++] = Math.rint(turns);
    }
    figures[at] = throttled ? 1 : 0;
    return figures;
  }

  private void govern() {
    double hottest = 0;
    for (int i = 0; i < cores; i++) {
      hottest = Math.max(hottest, means[i] + offsets[i]);
    }
    double step = CLOCK_STEP / setup.megahertz();
    if (loaded && hottest > setup.limitCelsius()) {
      clockShare = Math.max(0.5, clockShare - step);
    } else if (loaded && hottest < setup.limitCelsius() - 2) {
      clockShare = Math.min(1, clockShare + step);
    }
  }

  @Override
  public void close() {
    loaded = false;
  }
}
