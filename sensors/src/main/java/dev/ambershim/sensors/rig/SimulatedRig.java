package dev.ambershim.sensors.rig;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Two first-order stages in series, one quick and one slow, with a wandering load, a room that
 * drifts, sensors that step by a degree for cores, and a chip that lowers its clock at its limit.
 * One sample a second; the same settings give the same samples.
 */
public final class SimulatedRig {
  /** Memory of the load's wander from second to second. */
  private static final double MEMORY = 0.85;

  private final RigSettings settings;
  private final Random random;
  private double fastRise;
  private double slowRise;
  private double wander;
  private double clockShare = 1;
  private int second;

  /** A rig at rest, long enough off to be settled there. */
  public SimulatedRig(RigSettings settings) {
    this.settings = settings;
    random = new Random(settings.seed());
    fastRise = settings.idleWatts() * settings.fastKelvinPerWatt();
    slowRise = settings.idleWatts() * settings.slowKelvinPerWatt();
  }

  /** Count of samples of the whole run. */
  public int length() {
    return settings.restSeconds() + settings.loadSeconds() + settings.coolSeconds();
  }

  /** The whole run. */
  public List<RigSample> run() {
    List<RigSample> samples = new ArrayList<>();
    for (int i = 0; i < length(); i++) {
      samples.add(next());
    }
    return samples;
  }

  /** The next second. */
  public RigSample next() {
    boolean load =
        second >= settings.restSeconds()
            && second < settings.restSeconds() + settings.loadSeconds();
    double room =
        settings.roomCelsius()
            + settings.roomDriftKelvin() * second / length()
            + 0.04 * random.nextGaussian();
    double full = settings.watts() - settings.idleWatts();
    // Dynamic power falls faster than clock, since voltage falls with it.
    double watts =
        load ? settings.idleWatts() + full * Math.pow(clockShare, 2.2) : settings.idleWatts();
    wander =
        MEMORY * wander
            + Math.sqrt(1 - MEMORY * MEMORY) * settings.noiseKelvin() * random.nextGaussian();
    fastRise += (watts * settings.fastKelvinPerWatt() - fastRise) / settings.fastSeconds();
    slowRise += (watts * settings.slowKelvinPerWatt() - slowRise) / settings.slowSeconds();
    double mean = room + fastRise + slowRise + (load ? wander : 0.2 * wander);
    double strength = watts / settings.watts();
    List<Double> cores = new ArrayList<>();
    double hottest = Double.NEGATIVE_INFINITY;
    for (double offset : settings.coreOffsetsKelvin()) {
      double t = mean + offset * strength + 0.35 * random.nextGaussian();
      hottest = Math.max(hottest, t);
      cores.add((double) Math.round(t));
    }
    boolean throttled = load && clockShare < 0.985;
    double megahertz = load ? settings.megahertz() * clockShare : 1200;
    RigSample sample =
        new RigSample(
            second,
            cores,
            Math.rint(hottest * 2 + 1) / 2,
            room + slowRise * 0.9,
            room,
            watts + 0.8 * random.nextGaussian(),
            Math.rint(megahertz / 25) * 25,
            throttled);
    govern(load, hottest);
    second++;
    return sample;
  }

  private void govern(boolean load, double hottest) {
    if (!load) {
      clockShare = 1;
    } else if (hottest > settings.limitCelsius()) {
      clockShare = Math.max(0.6, clockShare - 0.01);
    } else if (hottest < settings.limitCelsius() - 2) {
      clockShare = Math.min(1, clockShare + 0.004);
    }
  }
}
