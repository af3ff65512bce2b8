package dev.ambershim.desktop.demo;

import dev.ambershim.core.assembly.Build;
import dev.ambershim.core.assembly.Cooler;
import dev.ambershim.core.assembly.CoolerClass;
import dev.ambershim.core.assembly.Joint;
import dev.ambershim.core.assembly.StartingPoint;
import dev.ambershim.core.clocking.Outcome;
import dev.ambershim.core.clocking.Rung;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.RungEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.material.Filling;
import dev.ambershim.core.material.Material;
import dev.ambershim.core.runlog.LogReader;
import dev.ambershim.logbook.store.Attachment;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Readings;
import dev.ambershim.logbook.store.StoredJob;
import dev.ambershim.sensors.rig.RigLog;
import dev.ambershim.sensors.rig.RigLog.Habit;
import dev.ambershim.sensors.rig.RigSettings;
import dev.ambershim.sensors.rig.SimulatedRig;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The bench of the invented Lantern Lane workshop. The truth behind its logs lies near what
 * conduction gives for the jobs' builds, with the joints somewhat worse than usual, so that
 * forecast and measurement agree without being the same; a test holds it there.
 */
public final class DemoWorkshop {
  // Mean of the cores over the room, K/W, somewhat worse than the forecast's likely figures.
  static final double SORREL_BEFORE = 0.368;
  static final double SORREL_AFTER = 0.266;
  static final double FENNEL_BEFORE = 0.230;
  static final double FENNEL_AFTER = 0.200;

  private static final List<Double> EIGHT_LIDDED =
      List.of(-6.5, 3.0, 8.5, 5.5, -9.0, 1.0, 4.5, -7.0);
  private static final List<Double> EIGHT_FILMED =
      List.of(-3.0, 1.5, 4.0, 2.5, -4.5, 0.5, 2.5, -3.5);
  private static final List<Double> SIXTEEN =
      List.of(
          -4.0, 2.0, 3.5, 1.0, -2.5, 4.0, 0.5, -1.5, -3.5, 1.5, 3.0, 0.0, -2.0, 3.5, -1.0, -4.5);

  private final Logbook logbook;

  private DemoWorkshop(Logbook logbook) {
    this.logbook = logbook;
  }

  /** Fills an empty logbook. */
  public static void fill(Logbook logbook) {
    DemoWorkshop workshop = new DemoWorkshop(logbook);
    workshop.fennel();
    StoredJob sorrel = workshop.sorrel();
    logbook.keepSetting("lastJob", sorrel.id());
  }

  /** Paste under the lid, eight cores: opened, liquid metal, lid glued back. */
  private StoredJob sorrel() {
    Job start = Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, "Sorrel S8");
    Cooler cooler =
        new Cooler(
            "Millpond 240 loop",
            46,
            42,
            2.4,
            Material.COPPER,
            0.12,
            CoolerClass.LARGE_LOOP,
            34.0,
            30.0,
            3.5);
    Job job =
        start.with(
            "Sorrel S8, bench machine",
            "Bench machine by the window. The first run was on a hot afternoon and hit the limit;"
                + " repeated next morning. Lid off with the vice tool, two faces filmed, four glue"
                + " dots, cured overnight.",
            cooler,
            start.before(),
            start.after());
    List<Made> runs = new ArrayList<>();
    runs.add(
        new Made(
            Side.BEFORE,
            "sorrel-before-hot-afternoon.csv",
            rig(EIGHT_LIDDED, 162, 4700, SORREL_BEFORE, 29.5, 1.6, 96, 11),
            LocalDateTime.of(2026, 6, 12, 15, 40)));
    runs.add(
        new Made(
            Side.BEFORE,
            "sorrel-before-morning.csv",
            rig(EIGHT_LIDDED, 162, 4700, SORREL_BEFORE, 21.4, 0.5, 105, 12),
            LocalDateTime.of(2026, 6, 13, 8, 5)));
    runs.add(
        new Made(
            Side.AFTER,
            "sorrel-after.csv",
            rig(EIGHT_FILMED, 159, 4700, SORREL_AFTER, 22.8, -0.3, 105, 13),
            LocalDateTime.of(2026, 6, 15, 9, 20)));
    return keep(job.withRungs(sorrelRungs()), runs, Habit.POINT);
  }

  /** The climbs of both sides as the workshop wrote them down, half an hour a rung. */
  private static List<RungEntry> sorrelRungs() {
    return List.of(
        rung(Side.BEFORE, 4500, 1.150, Outcome.PASSED, "", 78.0, 22.0),
        rung(Side.BEFORE, 4600, 1.180, Outcome.PASSED, "", 82.0, 22.0),
        rung(Side.BEFORE, 4800, 1.250, Outcome.TOO_HOT, "", 94.0, 22.5),
        rung(Side.AFTER, 4600, 1.180, Outcome.PASSED, "", 64.5, 23.0),
        rung(Side.AFTER, 4800, 1.250, Outcome.PASSED, "", 72.0, 23.0),
        rung(Side.AFTER, 4900, 1.280, Outcome.PASSED, "", 75.5, 23.0),
        rung(Side.AFTER, 5000, 1.310, Outcome.FAILED, "wrong result", 79.5, 23.5));
  }

  private static RungEntry rung(
      Side side,
      double megahertz,
      double volts,
      Outcome outcome,
      String how,
      double hottest,
      double room) {
    return new RungEntry(
        side, new Rung(megahertz, volts, outcome, how, hottest, room, null, 30.0, "", null));
  }

  /**
   * Two chiplets and a hub die, soldered: lid left off, liquid metal straight to the cold plate.
   */
  private void fennel() {
    Job start = Job.from(StartingPoint.DESKTOP_CHIPLETS_SOLDER, "Fennel F16");
    Cooler cooler =
        new Cooler(
            "Kiln 360 loop",
            52,
            46,
            4.5,
            Material.COPPER,
            0.085,
            CoolerClass.OWN_LOOP_THICK,
            42.0,
            38.0,
            3.5);
    Joint bare = new Joint(Filling.LIQUID_METAL, 45, 20);
    Build after = new Build(false, 0, start.before().inner(), bare);
    Job job =
        start.with(
            "Fennel F16, render box",
            "Solder sheared off in five passes, dies scraped flat with a plastic edge. Frame cut down"
                + " by 0.2 mm so that the cold plate comes down on the dies.",
            cooler,
            start.before(),
            after);
    List<Made> runs = new ArrayList<>();
    runs.add(
        new Made(
            Side.BEFORE,
            "fennel-before.csv",
            rig(SIXTEEN, 214, 4450, FENNEL_BEFORE, 24.1, 0.7, 105, 21),
            LocalDateTime.of(2026, 8, 2, 18, 10)));
    runs.add(
        new Made(
            Side.AFTER,
            "fennel-after.csv",
            rig(SIXTEEN, 211, 4450, FENNEL_AFTER, 25.0, 0.4, 105, 22),
            LocalDateTime.of(2026, 8, 4, 19, 30)));
    keep(job, runs, Habit.COMMA);
  }

  private static RigSettings rig(
      List<Double> offsets,
      double watts,
      double megahertz,
      double kelvinPerWatt,
      double room,
      double drift,
      double limit,
      long seed) {
    // What the coolant takes over the room: somewhat less than half of either cooler.
    double slow = 0.046;
    return new RigSettings(
        offsets,
        watts,
        24,
        megahertz,
        kelvinPerWatt - slow,
        slow,
        4,
        110,
        room,
        drift,
        limit,
        0.6,
        60,
        1800,
        120,
        seed);
  }

  private record Made(Side side, String file, RigSettings settings, LocalDateTime start) {}

  private StoredJob keep(Job job, List<Made> runs, Habit habit) {
    StoredJob stored = logbook.create(job);
    for (Made made : runs) {
      String text = RigLog.write(new SimulatedRig(made.settings()).run(), habit, made.start());
      byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
      String hash = Readings.sha256(bytes);
      logbook.attach(
          new Attachment(hash, made.file(), bytes),
          Optional.of(LogReader.read(made.file(), bytes)));
      stored =
          logbook.edit(
              stored.id(),
              "run " + made.side().words() + ": " + made.file(),
              stored.job().withRun(RunEntry.of(made.side(), made.file(), hash)));
    }
    return stored;
  }
}
