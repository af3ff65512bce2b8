package dev.ambershim.bench.coverage;

import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.ReadNotes;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * A run whose truth is known, stepped in time as two lumps: the chip on its plate, and the loop
 * that lags behind load and room alike. It knows nothing of how runs are judged.
 *
 * <p>The truth is {@link #trueRise}: the rise over a still room after endless full load.
 */
public final class TrueRun {
  /** Kelvin for each watt between chip and loop. */
  public double quickKelvinPerWatt = 0.2;

  /** Kelvin for each watt between loop and room. */
  public double slowKelvinPerWatt = 0.11;

  /** The loop's time constant. */
  public double loopSeconds = 120;

  public double watts = 160;
  public int cores = 4;
  public int seconds = 1800;

  /** The room at the start, and by how much it moves until the end. */
  public double roomCelsius = 22.5;

  public double roomMovesKelvin = 0;

  /** A room that comes and goes, such as by a heater: half its swing and its period. */
  public double roomSwingKelvin = 0;

  public double roomPeriodSeconds = 1500;

  /** Sensor noise, and its memory from second to second. */
  public double noiseKelvin = 0.6;

  public double memory = 0.8;

  /** Steps of the core sensors; 0 for none. */
  public double coreStep = 0;

  public boolean roomLogged = true;

  /** Where the hottest core is held, by taking power away; infinite for never. */
  public double limitCelsius = Double.POSITIVE_INFINITY;

  /** The rise of the mean core after endless full load. */
  public double trueRise() {
    return watts * (quickKelvinPerWatt + slowKelvinPerWatt);
  }

  /** The room at a time of the run. */
  public double room(double second) {
    double end = seconds + REST;
    return roomCelsius
        + roomMovesKelvin * second / end
        + roomSwingKelvin * Math.sin(2 * Math.PI * second / roomPeriodSeconds);
  }

  private static final int REST = 40;
  private static final double REST_WATTS = 18;
  private static final double CHIP_SECONDS = 4;

  /** The log. */
  public RunLog log(String name, long seed) {
    Random random = new Random(seed);
    int n = seconds + REST;
    double[] time = new double[n];
    double[][] core = new double[cores][n];
    double[] air = new double[n];
    double[] power = new double[n];
    double[] clock = new double[n];
    double loop = room(0) + REST_WATTS * slowKelvinPerWatt;
    double chip = loop + REST_WATTS * quickKelvinPerWatt;
    double common = random.nextGaussian() * noiseKelvin;
    boolean held = false;
    for (int i = 0; i < n; i++) {
      time[i] = i;
      boolean load = i >= REST;
      double shown = chip + common;
      double hottest = shown + offset(cores - 1);
      held = held ? hottest > limitCelsius - 2 : hottest > limitCelsius;
      double heat = !load ? REST_WATTS : held ? 0.85 * watts : watts;
      double clocks = !load ? 900 : held ? 4200 : 4700;
      // What is written is what a second's reading shows, before the second's heat is in.
      for (int c = 0; c < cores; c++) {
        core[c][i] = stepped(shown + offset(c) + 0.2 * random.nextGaussian());
      }
      air[i] = room(i) + 0.03 * random.nextGaussian();
      power[i] = heat + random.nextGaussian();
      clock[i] = clocks;
      for (int part = 0; part < 4; part++) {
        loop += (room(i) + heat * slowKelvinPerWatt - loop) * 0.25 / loopSeconds;
        chip += (loop + heat * quickKelvinPerWatt - chip) * 0.25 / CHIP_SECONDS;
      }
      common =
          memory * common + Math.sqrt(1 - memory * memory) * random.nextGaussian() * noiseKelvin;
    }
    List<Channel> channels = new ArrayList<>();
    for (int c = 0; c < cores; c++) {
      channels.add(new Channel("core " + c, "°C", Role.CORE, 1, core[c]));
    }
    if (roomLogged) {
      channels.add(new Channel("room", "°C", Role.ROOM, 1, air));
    }
    channels.add(new Channel("power", "W", Role.POWER, 1, power));
    channels.add(new Channel("clock", "MHz", Role.CLOCK, 1, clock));
    return new RunLog(
        name, time, channels, new ReadNotes("made", "none", false, n, 0, 0, List.of()));
  }

  /** Offsets of the cores sum to nothing. */
  private double offset(int core) {
    return 1.2 * (core - (cores - 1) / 2.0);
  }

  private double stepped(double celsius) {
    return coreStep > 0 ? Math.rint(celsius / coreStep) * coreStep : celsius;
  }
}
