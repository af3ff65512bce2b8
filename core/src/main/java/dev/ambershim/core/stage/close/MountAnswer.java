package dev.ambershim.core.stage.close;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.assembly.Part;
import dev.ambershim.core.physics.assembly.Room;
import dev.ambershim.core.physics.build.BuildStack;
import dev.ambershim.core.physics.build.CoreLayout;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.mounting.Drive;
import dev.ambershim.core.physics.mounting.MountTerms;
import dev.ambershim.core.physics.mounting.PadStock;
import dev.ambershim.core.physics.mounting.PasteWedge;
import dev.ambershim.core.physics.mounting.PlateSeat;
import dev.ambershim.core.physics.mounting.ScrewForce;
import dev.ambershim.core.physics.mounting.Tightening;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.JointCost;
import dev.ambershim.core.stage.coat.PasteQuestion;
import dev.ambershim.core.stage.lap.LappingQuestion;
import dev.ambershim.core.stage.measure.FitQuestion;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How hard a job's cooler presses, how it is screwed down, and what uneven screws cost.
 *
 * @param tightening crosswise by the person's increment
 * @param naive one screw home after the other, for what it would do
 * @param wedge the wedge that uneven screws leave in paste; empty where liquid metal is, which
 *     carries nothing
 * @param finding the answer
 * @param checks each limit, kept or not, in words
 * @param kept whether all limits are kept
 */
public record MountAnswer(
    Tightening tightening,
    Tightening naive,
    Optional<PasteWedge> wedge,
    Finding finding,
    List<String> checks,
    boolean kept) {
  private static final int PLACES = 21;

  /** A wedge below this is no wedge. */
  private static final double LEVEL_MICROMETRES = 0.05;

  /** Copies its list. */
  public MountAnswer {
    checks = List.copyOf(checks);
  }

  /** Works it out. */
  public static MountAnswer of(Job job, Notation notation) {
    MountTerms terms = job.mounting();
    List<Patch> tops = PasteQuestion.faces(job);
    double w = job.chip().widthMillimetres();
    double d = job.chip().depthMillimetres();
    Tightening cross = Tightening.crosswise(terms, tops, w, d);
    Tightening naive = Tightening.oneAfterTheOther(terms, tops, w, d);
    PlateSeat end = cross.end();
    boolean onDie = !job.after().lidOn();
    boolean paste = job.after().outer().filling() != Filling.LIQUID_METAL;
    Optional<PasteWedge> wedge =
        paste && inside(tops, end)
            ? Optional.of(
                PasteWedge.of(
                    tops,
                    job.paste().kind().yieldPascal(),
                    end.totalNewtons(),
                    end.xMillimetres(),
                    end.yMillimetres()))
            : Optional.empty();
    List<String> checks = new ArrayList<>();
    boolean kept = true;
    OptionalDouble seat = terms.bears(job.chip().seat());
    if (seat.isPresent()) {
      kept =
          check(
              checks,
              "Socket and substrate",
              end.totalNewtons(),
              seat.getAsDouble(),
              Unit.NEWTON,
              notation);
    } else {
      checks.add(
          "No limit is known for a chip that is "
              + job.chip().seat().words()
              + ": press no harder than its own screws and springs did.");
    }
    kept &=
        check(
            checks,
            onDie ? "Bare silicon, in the mean" : "Lid, in the mean",
            end.meanMegapascals(),
            onDie ? terms.die() : terms.lid(),
            Unit.MEGAPASCAL,
            notation);
    boolean borne = kept;
    if (onDie) {
      kept &=
          check(
              checks,
              "Bare silicon, on an edge while you turn",
              cross.worst().seat().peakMegapascals(),
              terms.edge(),
              Unit.MEGAPASCAL,
              notation);
    }
    checks.add(
        "Tightening each screw fully in turn would tilt the plate by "
            + notation.fixed(naive.mostTiltDegrees(), 2)
            + "° and load an edge with "
            + about(naive.worst().seat().peakMegapascals(), notation)
            + "; crosswise in steps it is "
            + notation.fixed(cross.mostTiltDegrees(), 2)
            + "° and "
            + about(cross.worst().seat().peakMegapascals(), notation)
            + ".");
    if (job.chip().seat().soldered() && terms.padGapMillimetres() != null) {
      checks.add(pads(terms, end.totalNewtons(), notation));
    }
    return new MountAnswer(
        cross, naive, wedge, answer(job, cross, onDie, borne, kept, notation), checks, kept);
  }

  /** Which pad the neighbours want, and what it keeps from the die. */
  private static String pads(MountTerms terms, double newtons, Notation notation) {
    Optional<PadStock> pad = PadStock.forGap(terms.padGapMillimetres());
    String gap = notation.text(terms.padGapMillimetres(), Unit.MILLIMETRE);
    if (pad.isEmpty()) {
      return "No pad on sale fits a gap of " + gap + " over the neighbours: take putty.";
    }
    String sheet =
        "Pads of "
            + notation.text(pad.get().sheetMillimetres(), Unit.MILLIMETRE)
            + " fit the neighbours' gap of "
            + gap
            + "; they lose "
            + notation.fixed(100 * pad.get().squeezedShare(), 0)
            + " %";
    if (terms.padAreaSquareMillimetres() == null) {
      return sheet + ".";
    }
    double taken = pad.get().newtons(terms.padAreaSquareMillimetres());
    return sheet
        + " and take about "
        + notation.text(taken, Unit.NEWTON)
        + " of the "
        + notation.text(newtons, Unit.NEWTON)
        + (2 * taken > newtons
            ? ": too much for the die to be sure of its share, take putty."
            : ".");
  }

  /** Stiffness is common practice, so a pressure that hangs on it has one digit. */
  private static String about(double megapascals, Notation notation) {
    double place = Math.pow(10, Math.floor(Math.log10(Math.max(megapascals, 1e-3))));
    return "about "
        + notation.editable(Math.round(megapascals / place) * place, Unit.MEGAPASCAL)
        + " "
        + notation.symbol(Unit.MEGAPASCAL);
  }

  private static boolean inside(List<Patch> tops, PlateSeat end) {
    double left = tops.stream().mapToDouble(Patch::leftMillimetres).min().orElse(0);
    double right = tops.stream().mapToDouble(Patch::rightMillimetres).max().orElse(0);
    double low = tops.stream().mapToDouble(Patch::lowMillimetres).min().orElse(0);
    double high = tops.stream().mapToDouble(Patch::highMillimetres).max().orElse(0);
    return end.totalNewtons() > 0
        && end.xMillimetres() > left
        && end.xMillimetres() < right
        && end.yMillimetres() > low
        && end.yMillimetres() < high;
  }

  private static boolean check(
      List<String> to, String what, double value, double limit, Unit unit, Notation notation) {
    boolean kept = value <= limit;
    to.add(
        what
            + ": "
            + notation.text(value, unit)
            + " of "
            + notation.text(limit, unit)
            + (kept ? "." : ", which is too much."));
    return kept;
  }

  private static Finding answer(
      Job job, Tightening cross, boolean onDie, boolean borne, boolean kept, Notation notation) {
    MountTerms terms = job.mounting();
    PlateSeat end = cross.end();
    boolean torque = terms.drive() == Drive.TORQUE;
    double scatter = torque ? Interval.normalHalf(0.95) * ScrewForce.TORQUE_SCATTER : 0.1;
    // Screws that scatter one by one even each other out in their sum.
    double half = end.totalNewtons() * scatter / Math.sqrt(terms.screws());
    int each = (int) Math.ceil(cross.turns().size() / (double) terms.screws());
    String sentence =
        (terms.screws() == 4 ? "Four " : "Two ")
            + (torque ? "screws" : "springs")
            + " press with "
            + notation.text(end.totalNewtons(), Unit.NEWTON)
            + " in all: "
            + notation.text(end.meanMegapascals(), Unit.MEGAPASCAL)
            + (onDie ? " on the bare die. " : " on the lid. ")
            + (kept
                ? "Turn them crosswise, "
                    + notation.editable(terms.step(), Unit.COUNT)
                    + " of a turn at a time, "
                    + each
                    + " rounds."
                : borne
                    ? "But on the way an edge of the die gets "
                        + notation.text(cross.worst().seat().peakMegapascals(), Unit.MEGAPASCAL)
                        + ": turn less at a time."
                    : "That is more than it should bear: less torque, softer springs, or washers"
                        + " away.");
    List<Working.Input> inputs = new ArrayList<>();
    for (int s = 0; s < terms.screws(); s++) {
      inputs.add(
          new Working.Input(terms.places().get(s).name(), end.newtons().get(s), Unit.NEWTON));
    }
    inputs.add(new Working.Input("tilt at the end", end.tiltDegrees(), Unit.DEGREE));
    inputs.add(new Working.Input("force acts at x", end.xMillimetres(), Unit.MILLIMETRE));
    inputs.add(new Working.Input("force acts at y", end.yMillimetres(), Unit.MILLIMETRE));
    inputs.add(
        new Working.Input(
            "highest edge pressure on the way",
            cross.worst().seat().peakMegapascals(),
            Unit.MEGAPASCAL));
    return new Finding(
        "mount.force",
        sentence,
        end.totalNewtons(),
        Unit.NEWTON,
        Optional.of(Interval.around(end.totalNewtons(), half, 0.95)),
        new Working(
            torque
                ? "F = T/(K·d) each; the plate lies where screws, contact and socket are in balance"
                : "F = rate × squeeze each; the plate lies where springs, contact and socket are in"
                    + " balance",
            inputs,
            "Shigley, Mechanical Engineering Design, 8–8; limits, stiffness of contact and socket:"
                + " common practice",
            List.of(
                "Plate and die are rigid; their edges are sharp. A rounded edge bears more.",
                "The maker's limits come first; type them below.")));
  }

  /**
   * What the wedge costs on this chip; empty where there is none.
   *
   * @throws java.util.concurrent.CancellationException if the watch says so
   */
  public Optional<FitQuestion.Tilted> cost(Job job, SolveWatch watch) {
    if (wedge.isEmpty()) {
      return Optional.empty();
    }
    PasteWedge w = wedge.get();
    if (w.thickMicrometres() - w.thinMicrometres() < LEVEL_MICROMETRES) {
      return Optional.of(
          new FitQuestion.Tilted(0, 0, w.thinMicrometres(), w.thickMicrometres(), List.of()));
    }
    JointCost cost =
        new JointCost(
            BuildStack.likely(
                new Situation(job.chip(), job.cooler(), job.after()),
                job.heatWatts(),
                Room.USUAL_CELSIUS),
            Part.OUTER,
            CoreLayout.of(job.chip()).cores().size());
    JointCost.Cores level = cost.with(plane(job, w.micrometres(), 0, 0), 1, watch);
    JointCost.Cores tilted =
        cost.with(plane(job, w.micrometres(), w.xSlope(), w.ySlope()), 1, watch);
    return Optional.of(
        new FitQuestion.Tilted(
            tilted.meanCelsius() - level.meanCelsius(),
            tilted.spreadKelvin() - level.spreadKelvin(),
            w.thinMicrometres(),
            w.thickMicrometres(),
            FitQuestion.Tilted.cores(tilted, level)));
  }

  private static ThicknessMap plane(Job job, double middle, double xSlope, double ySlope) {
    Patch box = LappingQuestion.outline(job, Face.LID_TOP);
    double[] xs = new double[PLACES];
    double[] ys = new double[PLACES];
    double[][] thick = new double[PLACES][PLACES];
    for (int k = 0; k < PLACES; k++) {
      xs[k] = box.leftMillimetres() + box.widthMillimetres() * k / (PLACES - 1);
      ys[k] = box.lowMillimetres() + box.depthMillimetres() * k / (PLACES - 1);
    }
    for (int j = 0; j < PLACES; j++) {
      for (int i = 0; i < PLACES; i++) {
        thick[j][i] = Math.max(1, middle + xSlope * xs[i] + ySlope * ys[j]);
      }
    }
    return new ThicknessMap.Grid(xs, ys, thick);
  }
}
