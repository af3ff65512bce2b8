package dev.ambershim.desktop.demo;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.RungEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.dosing.CloseTerms;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.dosing.MetalFace;
import dev.ambershim.core.physics.dosing.MetalPlace;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.physics.mounting.MountTerms;
import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.plan.Supply;
import dev.ambershim.core.runs.clocking.Outcome;
import dev.ambershim.core.runs.clocking.Rung;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.logbook.store.Attachment;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Readings;
import dev.ambershim.logbook.store.SeriesBook;
import dev.ambershim.logbook.store.Shelf;
import dev.ambershim.logbook.store.StoredJob;
import dev.ambershim.sensors.rig.Fault;
import dev.ambershim.sensors.rig.RigLog.Habit;
import dev.ambershim.sensors.rig.RigSetup;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The bench of the invented Lantern Lane workshop. Its logs come from the rig, on the jobs' own
 * chips and coolers with joints somewhat worse than usual, so that forecast and measurement agree
 * without being the same. Working them out takes a minute, so they are kept as resources; a test
 * works the first part of one out again.
 */
public final class DemoWorkshop {
  private final Logbook logbook;

  private DemoWorkshop(Logbook logbook) {
    this.logbook = logbook;
  }

  /** Every run of the demo. */
  static List<DemoRun> runs() {
    return Stream.of(
            sorrelRuns(sorrelJob()),
            fennelRuns(fennelJob()),
            mossRuns(mossJob()),
            tarnRuns(tarnJob()))
        .flatMap(List::stream)
        .toList();
  }

  /** Fills an empty logbook. */
  public static void fill(Logbook logbook) {
    DemoWorkshop workshop = new DemoWorkshop(logbook);
    workshop.keep(tarnJob(), tarnRuns(tarnJob()));
    workshop.keep(mossJob(), mossRuns(mossJob()));
    workshop.fennel();
    StoredJob sorrel = workshop.sorrel();
    Shelf.keep(logbook, shelf());
    SeriesBook.keep(logbook, List.of(DemoSeries.fivePastes()));
    logbook.keepSetting("lastJob", sorrel.id());
  }

  /** What lies on the workshop's shelf; the syringe is past its date. */
  private static List<ShelfItem> shelf() {
    return List.of(
        new ShelfItem("brown bottle", Supply.ALCOHOL, 250, 6, LocalDate.of(2029, 4, 1))
            .opened(LocalDate.of(2026, 4, 12)),
        new ShelfItem("wipes, blue box", Supply.WIPES, 100, 6, null),
        new ShelfItem("swabs", Supply.SWABS, 50, 4, null),
        new ShelfItem("gloves, size 8", Supply.GLOVES, 50, 8, LocalDate.of(2030, 1, 1)),
        new ShelfItem("syringe of 2023", Supply.METAL, 0.6, 14, LocalDate.of(2025, 5, 31))
            .bought(LocalDate.of(2023, 5, 30), "A 114"),
        new ShelfItem("vice tool, 37.5 mm", Supply.TOOL, 1, 30, null),
        new ShelfItem("grey paste", Supply.PASTE, 4, 8, LocalDate.of(2028, 2, 1))
            .bought(LocalDate.of(2026, 2, 3), "K 07"),
        new ShelfItem("marker", Supply.CRAYON, 1, 2, null),
        new ShelfItem("paper tape", Supply.MASKING_TAPE, 3000, 3, null));
  }

  /** Paste under the lid, eight cores: opened, liquid metal, lid glued back. */
  private StoredJob sorrel() {
    Job job = sorrelJob();
    Hours evenings = new Hours("16:00", "22:00", List.of(1, 2, 3, 4, 5, 6, 7));
    Job worked =
        job.withRungs(sorrelRungs())
            .withWork(job.work().withHours(evenings))
            .withHeights(DemoFaces.sorrelHeights())
            .withSurfaces(DemoFaces.sorrelSurfaces())
            .withCoat(benchOfWood(job.coat()))
            .withClosing(new CloseTerms(null, null, null, null, 45.0, 21.0, null))
            .withCare(DemoChecks.sorrel());
    return keep(worked, sorrelRuns(job));
  }

  private static Job sorrelJob() {
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
    return start.with(
        "Sorrel S8, bench machine",
        "Bench machine by the window. The first run was on a hot afternoon and hit the limit;"
            + " repeated next morning. Lid off with the vice tool, two faces filmed, four glue"
            + " dots, cured overnight.",
        cooler,
        start.before(),
        start.after());
  }

  /** The climbs of both sides as the workshop wrote them down, half an hour a rung. */
  private static List<RungEntry> sorrelRungs() {
    return List.of(
        rung(Side.BEFORE, 4400, 1.140, Outcome.PASSED, "", 78.5, 22.0),
        rung(Side.BEFORE, 4500, 1.165, Outcome.PASSED, "", 82.0, 22.0),
        rung(Side.BEFORE, 4600, 1.190, Outcome.PASSED, "", 86.0, 22.0),
        rung(Side.BEFORE, 4800, 1.245, Outcome.TOO_HOT, "", 97.0, 22.5),
        rung(Side.AFTER, 4600, 1.190, Outcome.PASSED, "", 64.5, 23.0),
        rung(Side.AFTER, 4800, 1.245, Outcome.PASSED, "", 71.5, 23.0),
        rung(Side.AFTER, 4900, 1.275, Outcome.PASSED, "", 75.5, 23.0),
        rung(Side.AFTER, 5000, 1.305, Outcome.FAILED, "wrong result", 79.0, 23.5));
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
  private StoredJob fennel() {
    Job job = fennelJob();
    return keep(
        job.withHeights(DemoFaces.fennelHeights())
            .withSurfaces(DemoFaces.fennelSurfaces())
            .withCoat(benchOfWood(job.coat()))
            .withMounting(smallTurns())
            .withCare(DemoChecks.fennel()),
        fennelRuns(job));
  }

  /** What the workshop says of its table, tools and hands. */
  private static CoatTerms benchOfWood(CoatTerms coat) {
    return coat.saying(MetalPlace.TABLE, MetalFace.PLASTIC)
        .saying(MetalPlace.TOOL, MetalFace.PLASTIC)
        .saying(MetalPlace.JEWELLERY, MetalFace.COVERED);
  }

  /** On bare dies the workshop turns by quarters. */
  private static MountTerms smallTurns() {
    return MountTerms.USUAL.withIncrement(0.25);
  }

  private static Job fennelJob() {
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
    return start.with(
        "Fennel F16, render box",
        "Solder sheared off in five passes, dies scraped flat with a plastic edge. Frame cut down"
            + " by 0.2 mm so that the cold plate comes down on the dies.",
        cooler,
        start.before(),
        after);
  }

  /** A laptop's bare die whose paste has dried: cleaned, pasted anew, pads renewed. */
  private static Job mossJob() {
    Job start = Job.from(StartingPoint.LAPTOP_BARE_DIE, "Moss L6");
    Build dried = new Build(false, 0, start.before().inner(), Joint.usual(Filling.DRIED_PASTE));
    Build fresh = new Build(false, 0, start.before().inner(), Joint.usual(Filling.PASTE));
    return start
        .with(
            "Moss L6, travel laptop",
            "Four years old, loud under load. Paste was crumbs; two pads on the power stages were"
                + " torn and replaced, 1.0 mm. Screws by the numbers on the plate.",
            start.cooler().withName("two pipes, one fan"),
            dried,
            fresh)
        .withHeatWatts(42);
  }

  /** A card with a large die: liquid metal for paste, parts around the die varnished. */
  private static Job tarnJob() {
    Job start = Job.from(StartingPoint.CARD_BARE_DIE, "Tarn G4");
    Build after =
        new Build(false, 0, start.before().inner(), new Joint(Filling.LIQUID_METAL, 30, 20));
    Job job =
        start.with(
            "Tarn G4, render card",
            "Nickel-plated plate, so liquid metal is possible. Row of parts beside the die varnished"
                + " twice, putty on the memory because no pad was thin enough.",
            start.cooler().withName("three fans, chamber"),
            start.before(),
            after);
    return job.withCoat(benchOfWood(job.coat()));
  }

  private static List<DemoRun> mossRuns(Job job) {
    return List.of(
        new DemoRun(
            Side.BEFORE,
            "moss-before.csv",
            rig(job, job.before(), Map.of(), 42, 3400, 23.0, 0.3, 105, 31),
            Habit.POINT,
            LocalDateTime.of(2026, 9, 5, 17, 30)),
        new DemoRun(
            Side.AFTER,
            "moss-after.csv",
            rig(job, job.after(), Map.of(), 42, 3400, 22.4, 0.1, 105, 34),
            Habit.POINT,
            LocalDateTime.of(2026, 9, 6, 10, 15)));
  }

  private static List<DemoRun> tarnRuns(Job job) {
    return List.of(
        new DemoRun(
            Side.BEFORE,
            "tarn-before.csv",
            rig(job, job.before(), Map.of(), 260, 2200, 22.1, 0.4, 105, 41),
            Habit.POINT,
            LocalDateTime.of(2026, 9, 19, 14, 0)),
        new DemoRun(
            Side.AFTER,
            "tarn-after.csv",
            rig(job, job.after(), Map.of(), 260, 2200, 22.8, 0.2, 105, 42),
            Habit.POINT,
            LocalDateTime.of(2026, 9, 20, 11, 45)));
  }

  private static List<DemoRun> sorrelRuns(Job job) {
    // The maker's paste has begun to dry, and the lid sits a little askew; the film came out thick.
    Build before = job.before();
    Map<Fault, Double> dried = Map.of(Fault.DRY_PASTE, 0.1, Fault.TILTED_COOLER, 0.3);
    Build after =
        new Build(
            true,
            job.after().glueMicrometres(),
            new Joint(Filling.LIQUID_METAL, 55, 18),
            job.after().outer());
    return List.of(
        new DemoRun(
            Side.BEFORE,
            "sorrel-before-hot-afternoon.csv",
            rig(job, before, dried, 162, 4700, 29.5, 1.6, 90, 11),
            Habit.POINT,
            LocalDateTime.of(2026, 6, 12, 15, 40)),
        new DemoRun(
            Side.BEFORE,
            "sorrel-before-morning.csv",
            rig(job, before, dried, 162, 4700, 21.4, 0.5, 105, 12),
            Habit.POINT,
            LocalDateTime.of(2026, 6, 13, 8, 5)),
        new DemoRun(
            Side.AFTER,
            "sorrel-after.csv",
            rig(job, after, Map.of(), 162, 4700, 22.8, -0.3, 105, 13),
            Habit.POINT,
            LocalDateTime.of(2026, 6, 15, 9, 20)));
  }

  private static List<DemoRun> fennelRuns(Job job) {
    return List.of(
        new DemoRun(
            Side.BEFORE,
            "fennel-before.csv",
            rig(job, job.before(), Map.of(), 214, 4450, 24.1, 0.7, 105, 21),
            Habit.COMMA,
            LocalDateTime.of(2026, 8, 2, 18, 10)),
        new DemoRun(
            Side.AFTER,
            "fennel-after.csv",
            rig(job, job.after(), Map.of(), 214, 4450, 25.0, 0.4, 105, 22),
            Habit.COMMA,
            LocalDateTime.of(2026, 8, 4, 19, 30)));
  }

  private static RigSetup rig(
      Job job,
      Build truth,
      Map<Fault, Double> faults,
      double watts,
      double megahertz,
      double room,
      double drift,
      double limit,
      long seed) {
    return new RigSetup(
        new Situation(job.chip(), job.cooler(), truth),
        watts,
        megahertz,
        1.215,
        1400,
        2600,
        room,
        drift,
        limit,
        faults,
        seed);
  }

  private StoredJob keep(Job job, List<DemoRun> runs) {
    StoredJob stored = logbook.create(job);
    for (DemoRun run : runs) {
      byte[] bytes = run.kept();
      String hash = Readings.sha256(bytes);
      logbook
          .files()
          .attach(
              new Attachment(hash, run.file(), bytes),
              Optional.of(LogReader.read(run.file(), bytes)));
      stored =
          logbook.edit(
              stored.id(),
              "run " + run.side().words() + ": " + run.file(),
              stored.job().withRun(RunEntry.of(run.side(), run.file(), hash)));
    }
    return stored;
  }
}
