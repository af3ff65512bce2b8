package dev.ambershim.core.job;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.dosing.CloseTerms;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.fit.ShimTerms;
import dev.ambershim.core.physics.mounting.MountTerms;
import dev.ambershim.core.physics.spread.PasteTerms;
import dev.ambershim.core.physics.surface.Surfaces;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.plan.Step;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.plan.WorkCase;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.core.plan.WorkTerms;
import dev.ambershim.core.runs.clocking.LadderTerms;
import dev.ambershim.core.runs.judging.Judging;
import dev.ambershim.core.runs.judging.RunMark;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * One chip's story.
 *
 * @param title what the person calls the job
 * @param notes free words
 * @param chip the chip
 * @param cooler the cooler
 * @param before the build before the work
 * @param after the build after it
 * @param heatWatts the heat to reckon with until a run has told it
 * @param careKelvin the smallest difference that the person cares about
 * @param remountKelvin standard deviation between mounts to reckon with while it is not measured
 * @param typedRoomKelvin standard error of a room that was typed
 * @param runs the logs, in the order they came
 * @param compared which states the person wants compared, or null
 * @param rungs tries of the clock that were written down by hand
 * @param ladder what the clock is tried under
 * @param marks times in the runs that were marked on a chart
 * @param readings settled states that were read by hand before the work
 * @param terms prices, ways of working and odds
 * @param ruinedAt the step at which the chip was lost, or null
 * @param work how the job is worked, and what was done so far
 * @param heights what stands how high on the chip and around it
 * @param surfaces faces that were probed and lapped
 * @param shim how a shim, a mask or a stencil is cut
 * @param coat with what and onto what liquid metal goes, and what covers the parts
 * @param paste what paste goes on, how and how much
 * @param closing how the lid is glued
 * @param mounting how the cooler is screwed down
 * @param evidence what speaks for or against a cause besides the runs
 * @param care the chip in use after the work
 */
@RecordBuilder
public record Job(
    String title,
    String notes,
    Chip chip,
    Cooler cooler,
    Build before,
    Build after,
    double heatWatts,
    double careKelvin,
    Double remountKelvin,
    Double typedRoomKelvin,
    List<RunEntry> runs,
    Compared compared,
    List<RungEntry> rungs,
    LadderTerms ladder,
    List<RunMark> marks,
    List<Reading> readings,
    Terms terms,
    Step ruinedAt,
    WorkLog work,
    Heights heights,
    Surfaces surfaces,
    ShimTerms shim,
    CoatTerms coat,
    PasteTerms paste,
    CloseTerms closing,
    MountTerms mounting,
    CauseEvidence evidence,
    Care care)
    implements JobBuilder.With {
  /** Below this most people would not open a chip: common practice. */
  private static final double USUAL_CARE_KELVIN = 1;

  /** Copies its lists, and fills in what an older job does not say. */
  public Job {
    remountKelvin = remountKelvin == null ? Judging.USUAL_REMOUNT_KELVIN : remountKelvin;
    typedRoomKelvin = typedRoomKelvin == null ? Judging.USUAL_TYPED_ROOM_KELVIN : typedRoomKelvin;
    runs = List.copyOf(runs);
    rungs = rungs == null ? List.of() : List.copyOf(rungs);
    ladder = ladder == null ? LadderTerms.USUAL : ladder;
    marks = marks == null ? List.of() : List.copyOf(marks);
    readings = readings == null ? List.of() : List.copyOf(readings);
    terms = terms == null ? Terms.USUAL : terms;
    work = work == null ? WorkLog.EMPTY : work;
    heights = heights == null ? Heights.NONE : heights;
    surfaces = surfaces == null ? Surfaces.NONE : surfaces;
    shim = shim == null ? ShimTerms.USUAL : shim;
    coat = coat == null ? CoatTerms.USUAL : coat;
    paste = paste == null ? PasteTerms.USUAL : paste;
    closing = closing == null ? CloseTerms.USUAL : closing;
    mounting = mounting == null ? MountTerms.USUAL : mounting;
    evidence = evidence == null ? CauseEvidence.NONE : evidence;
    care = care == null ? Care.NONE : care;
  }

  /** A new job from a starting point. */
  public static Job from(StartingPoint point, String title) {
    return JobBuilder.builder()
        .title(title)
        .notes("")
        .chip(point.chip(title))
        .cooler(point.usualCooler())
        .before(point.asBought())
        .after(point.afterwards())
        .heatWatts(point.heatWatts())
        .careKelvin(USUAL_CARE_KELVIN)
        .mounting(MountTerms.usualOn(point.chip(title).seat()))
        .runs(List.of())
        .build();
  }

  /** Every photo that it names: of its steps, and of openings later. */
  public List<Photo> photos() {
    List<Photo> all = new ArrayList<>();
    work.entries().forEach(e -> all.addAll(e.photos()));
    for (Found found : care.found()) {
      if (found.photos() != null) {
        all.add(found.photos().now());
        if (found.photos().then() != null) {
          all.add(found.photos().then());
        }
      }
    }
    return all;
  }

  /** By what its runs are judged. */
  public Judging judging() {
    return new Judging(careKelvin, remountKelvin, typedRoomKelvin);
  }

  /** The build of a side. */
  public Build build(Side side) {
    return side == Side.BEFORE ? before : after;
  }

  /** The runs of a side. */
  public List<RunEntry> runs(Side side) {
    return runs.stream().filter(r -> r.side() == side).toList();
  }

  /** The states that its runs are of, those before the work first. */
  public List<String> states() {
    return Stream.of(Side.values())
        .flatMap(side -> runs(side).stream())
        .map(RunEntry::stateName)
        .distinct()
        .toList();
  }

  /** The same job with other states compared. */
  public Job comparing(Compared other) {
    return withCompared(other);
  }

  /** The same job with other words, cooler and builds. */
  public Job with(String newTitle, String newNotes, Cooler other, Build from, Build to) {
    return with(job -> job.title(newTitle).notes(newNotes).cooler(other).before(from).after(to));
  }

  /** The same job with one more rung by hand. */
  public Job withRung(RungEntry rung) {
    List<RungEntry> all = new ArrayList<>(rungs);
    all.add(rung);
    return withRungs(all);
  }

  /** The same job without the rung at a place. */
  public Job withoutRung(int index) {
    List<RungEntry> all = new ArrayList<>(rungs);
    all.remove(index);
    return withRungs(all);
  }

  /** The same job with the chip lost at a step. */
  public Job ruined(Step at) {
    return withRuinedAt(at);
  }

  /** What it says of materials and heights. */
  public WorkTerms workTerms() {
    return new WorkTerms(coat, paste, closing, mounting, heights, surfaces);
  }

  /** What a plan of it is made for. */
  public WorkCase workCase() {
    return new WorkCase(chip, cooler, before, after, WorkWays.of(this), workTerms());
  }

  /** The same job with one more run. */
  public Job withRun(RunEntry run) {
    List<RunEntry> all = new ArrayList<>(runs);
    all.add(run);
    return withRuns(all);
  }

  /** The same job with the run at a place replaced. */
  public Job withRun(int index, RunEntry run) {
    List<RunEntry> all = new ArrayList<>(runs);
    all.set(index, run);
    return withRuns(all);
  }

  /** The same job without the run at a place. */
  public Job withoutRun(int index) {
    List<RunEntry> all = new ArrayList<>(runs);
    all.remove(index);
    return withRuns(all);
  }
}
