package dev.ambershim.core.stage.lap;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.LapPass;
import dev.ambershim.core.physics.surface.LapTerms;
import dev.ambershim.core.physics.surface.LappingPlan;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.physics.surface.Surfaces;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a lapping plan says in words. */
public final class LapWords {
  private LapWords() {}

  /** How much must come off, and how long that takes. */
  public static Finding plan(LappingPlan plan, Notation notation) {
    String flat = notation.text(plan.flatness(), Unit.MICROMETRE);
    String target = notation.text(plan.terms().target(), Unit.MICROMETRE);
    String sentence;
    Optional<Interval> interval = Optional.empty();
    if (plan.steps().isEmpty()) {
      sentence =
          "The "
              + plan.terms().face().words()
              + " is flat to "
              + flat
              + ", within the "
              + target
              + " that you want: stop here.";
    } else {
      Interval minutes = plan.minutes();
      double low = plan.steps().stream().mapToDouble(s -> s.interval().low()).sum();
      double high = plan.steps().stream().mapToDouble(s -> s.interval().high()).sum();
      interval = Optional.of(new Interval(low, high, 0.95));
      sentence =
          "From "
              + flat
              + " to "
              + target
              + ": "
              + notation.text(plan.wholeMicrometres(), Unit.MICROMETRE)
              + " off the highest place, about "
              + round(plan.strokes(), notation)
              + " strokes ("
              + round(low, notation)
              + " to "
              + round(high, notation)
              + "; "
              + Notation.minutes(minutes.low())
              + " to "
              + Notation.minutes(minutes.high())
              + ").";
    }
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(new Working.Input("flatness now", plan.flatness(), Unit.MICROMETRE));
    inputs.add(new Working.Input("wanted", plan.terms().target(), Unit.MICROMETRE));
    inputs.add(new Working.Input("press", plan.terms().press(), Unit.NEWTON));
    inputs.add(new Working.Input("stroke", plan.terms().stroke(), Unit.MILLIMETRE));
    inputs.add(new Working.Input("face that touches now", 100 * plan.contactNow(), Unit.PERCENT));
    inputs.add(new Working.Input("plating", plan.terms().plating(), Unit.MICROMETRE));
    inputs.add(new Working.Input("own passes measured", plan.measured(), Unit.COUNT));
    for (LappingPlan.Step s : plan.steps()) {
      inputs.add(new Working.Input("P" + s.grit().number(), s.strokes(), Unit.STROKE));
    }
    return new Finding(
        "lap.plan",
        sentence,
        plan.strokes(),
        Unit.STROKE,
        interval,
        new Working(
            "volume above the wanted level = rate × press × path; finer papers take out the scratches"
                + " of the one before",
            inputs,
            "Preston 1927; grains ISO 6344-3; rates, scratches and pace are common practice until"
                + " your own passes replace them",
            List.of(
                "The face is taken to end parallel to its least-squares plane, as turning sees to.",
                "Worn paper cuts less; change it when it slides.")));
  }

  private static String round(double strokes, Notation notation) {
    double step = strokes < 100 ? 5 : strokes < 1000 ? 10 : 100;
    return notation.whole(Math.max(step, step * Math.round(strokes / step)), Unit.COUNT);
  }

  /** The lapping log of a face: probings and passes in their order, a line each. */
  public static List<String> log(Surfaces surfaces, Face face, Notation notation) {
    List<String> lines = new ArrayList<>();
    int pass = 0;
    probings(lines, surfaces, face, 0, notation);
    for (LapPass p : surfaces.passes()) {
      if (p.face() != face) {
        continue;
      }
      pass++;
      lines.add(
          "Pass "
              + pass
              + ": P"
              + p.grit().number()
              + ", "
              + notation.whole(p.strokes(), Unit.COUNT)
              + " strokes, "
              + (p.removedMicrometres() == null
                  ? "not measured"
                  : notation.fixed(notation.shown(p.removedMicrometres(), Unit.MICROMETRE), 1)
                      + " "
                      + notation.symbol(Unit.MICROMETRE)
                      + " off"));
      probings(lines, surfaces, face, pass, notation);
    }
    return lines;
  }

  private static void probings(
      List<String> lines, Surfaces surfaces, Face face, int stage, Notation notation) {
    for (Relief r : surfaces.reliefs()) {
      if (r.face() == face && r.stage() == stage) {
        String flat = "";
        try {
          double zone = FaceReport.shape(r.points()).flatness().zoneMicrometres();
          flat = ": flat to " + notation.text(zone, Unit.MICROMETRE);
        } catch (Problem few) {
          flat = ", too few to say more";
        }
        lines.add(
            "Probed "
                + (r.note().isEmpty() ? "" : r.note() + " ")
                + "at "
                + r.points().size()
                + " places"
                + flat);
      }
    }
  }

  /** What lapping does to the spread between cores. */
  public static String spread(LappingGain gain, Notation notation) {
    return "Core spread "
        + notation.text(gain.asItIs().spreadKelvin(), Unit.KELVIN)
        + " now, "
        + notation.text(gain.then().spreadKelvin(), Unit.KELVIN)
        + " lapped; the joint is "
        + notation.text(gain.pair().widestMicrometres(), Unit.MICROMETRE)
        + " thicker at its widest than where the faces touch.";
  }

  /** Press and turning, paper by paper. */
  private static String each(LappingPlan plan, Notation notation) {
    List<String> papers = new ArrayList<>();
    for (LappingPlan.Step s : plan.steps()) {
      papers.add(
          "P"
              + s.grit().number()
              + " at "
              + notation.fixed(plan.terms().press(), 0)
              + " N ("
              + notation.fixed(s.kilopascals(), 0)
              + " kPa on what touches), a quarter turn every "
              + round(s.turnStrokes(), notation)
              + " strokes.");
    }
    return String.join(" ", papers);
  }

  /**
   * What to watch, a sentence each.
   *
   * @param floorMillimetres least thickness to leave
   * @param ruinPercent odds of losing a die that is lapped
   */
  public static List<String> notes(
      LappingPlan plan, double floorMillimetres, double ruinPercent, Notation notation) {
    List<String> notes = new ArrayList<>();
    LapTerms terms = plan.terms();
    if (!plan.steps().isEmpty()) {
      notes.add(
          each(plan, notation)
              + " Press within "
              + notation.text(plan.kernMillimetres(), Unit.MILLIMETRE)
              + " of the middle: farther out the far edge lifts and the near one is rounded.");
      if (plan.breakThrough().happens()) {
        notes.add(
            "The plating goes first "
                + plan.breakThrough().where()
                + ", after about "
                + round(plan.breakThrough().strokes(), notation)
                + " strokes of P"
                + plan.steps().get(0).grit().number()
                + " ("
                + round(plan.breakThrough().interval().low(), notation)
                + " to "
                + round(plan.breakThrough().interval().high(), notation)
                + "); at the end "
                + Math.round(100 * plan.bareShare())
                + " % is bare. Bare copper takes up gallium and stains; it stays"
                + " usable.");
      }
      boolean low = plan.leftMillimetres() < floorMillimetres;
      notes.add(
          notation.fixed(notation.shown(plan.leftMillimetres(), Unit.MILLIMETRE), 3)
              + " "
              + notation.symbol(Unit.MILLIMETRE)
              + " are left"
              + (low
                  ? ", less than the "
                      + notation.text(floorMillimetres, Unit.MILLIMETRE)
                      + " you want to leave: do not lap that far."
                  : "; at least "
                      + notation.text(floorMillimetres, Unit.MILLIMETRE)
                      + " is wanted."));
    }
    if (!plan.canBeShown()) {
      notes.add(
          "One probing scatters by "
              + notation.text(plan.scatter(), Unit.MICROMETRE)
              + ", so "
              + notation.text(terms.target(), Unit.MICROMETRE)
              + " cannot be shown by it: probe each place "
              + plan.probingsNeeded()
              + " times.");
    }
    notes.add(
        terms.extremeCold()
            ? "Stop when the face is flat to "
                + notation.text(terms.target(), Unit.MICROMETRE)
                + " all over, also where no die lies under it: a paste that is thick in one place"
                + " and thin in another cracks there. Leave it at P"
                + terms.last().number()
                + ", so that paste holds on; polishing is a matter of school."
            : "Stop when it is flat to "
                + notation.text(terms.target(), Unit.MICROMETRE)
                + " or when the gain left is less than you care about, whichever is first. Polish or"
                + " leave it, a matter of school: past P1200 no kelvin comes of it.");
    if (terms.face() == Face.DIE) {
      notes.add(
          "Lapping silicon is for experts: "
              + notation.fixed(ruinPercent, 1)
              + " % risk of ruining the chip, by the odds you keep in Weigh.");
    }
    notes.add(
        plan.measured() == 0
            ? "The rate is common practice, known within a factor of three. Measure your first pass."
            : "The rate is your own, from "
                + plan.measured()
                + (plan.measured() == 1 ? " measured pass." : " measured passes."));
    return notes;
  }

  /** Cautions at this step. */
  public static List<String> cautions(LapTerms terms) {
    List<String> all = new ArrayList<>();
    all.add(
        "Sand wet. Dust of nickel, copper and silicon stays out of lungs, eyes and skin: gloves, and"
            + " wipe up the slurry before it dries. Nickel can bring on an allergy.");
    if (terms.face() == Face.DIE) {
      all.add(
          "A die chips at its edges: no coarse paper, light press, never over an edge of the paper,"
              + " and keep water off the substrate.");
    }
    if (terms.face() == Face.LID_TOP || terms.face() == Face.LID_UNDERSIDE) {
      all.add("Lap the lid off the chip, or with the chip's contacts covered and dry.");
    }
    if (terms.extremeCold()) {
      all.add(
          "Benching in extreme cold is for those trained for it; mains and refrigerants for those"
              + " licensed.");
    }
    all.add("Local rules say how slurry and wipes are thrown away. Lapping ends the warranty.");
    return all;
  }
}
