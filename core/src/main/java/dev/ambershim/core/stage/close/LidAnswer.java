package dev.ambershim.core.stage.close;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.dosing.CloseTerms;
import dev.ambershim.core.physics.dosing.Cure;
import dev.ambershim.core.physics.dosing.GlueLine;
import dev.ambershim.core.physics.dosing.LidDrift;
import dev.ambershim.core.physics.dosing.LidSeat;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.plan.Doses;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How a job's lid closes: what carries it, gap and glue, how long it cures, in words.
 *
 * @param seat how the lid lies
 * @param glue the glue
 * @param cure how long it cures
 * @param finding the answer
 * @param reasons what to know beside it
 */
public record LidAnswer(
    LidSeat seat, GlueLine glue, Cure cure, Finding finding, List<String> reasons) {
  /** Copies its list. */
  public LidAnswer {
    reasons = List.copyOf(reasons);
  }

  /** Works it out; empty if no lid is put on. */
  public static Optional<LidAnswer> of(Job job, Notation notation) {
    Doses doses = job.workCase().doses();
    return doses.seat().map(seat -> of(job, doses, seat, notation));
  }

  private static LidAnswer of(Job job, Doses doses, LidSeat seat, Notation notation) {
    GlueLine glue = doses.glue();
    Cure cure = doses.cure();
    double film =
        Math.max(
            LidSeat.FILM_MICROMETRES, seat.gaps().stream().mapToDouble(g -> g).min().orElse(0));
    String sentence =
        "The "
            + (seat.onDie() ? seat.carrier() + " carries the lid" : "rim carries the lid")
            + ": film "
            + notation.text(film, Unit.MICROMETRE)
            + ", glue line "
            + notation.text(seat.glueMicrometres(), Unit.MICROMETRE)
            + ". "
            + (glue.cubicMillimetres() == 0
                ? "Without glue, clamp and cooler hold it."
                : "Glue: skin "
                    + Notation.minutes(Math.ceil(cure.skinMinutes()))
                    + ", ready to handle "
                    + Notation.minutes(Math.ceil(cure.handlingMinutes()))
                    + ", full "
                    + Notation.minutes(Math.ceil(cure.fullMinutes()))
                    + ".");
    // What is wrong comes first: only the first reasons stand open under the answer.
    List<String> reasons = new ArrayList<>();
    CloseTerms terms = job.closing();
    if (!seat.reaches()) {
      reasons.add(
          "The glue stands lower than the gap under the rim, so it does not reach the lid: a thicker"
              + " bead, or dots that stand higher.");
    }
    if (seat.onDie() && seat.glueMicrometres() > 250) {
      reasons.add(
          "The rim hangs "
              + notation.text(seat.glueMicrometres(), Unit.MICROMETRE)
              + " over the substrate: look whether old sealant under the die's place or a wrong"
              + " cavity is to blame.");
    }
    drift(job)
        .ifPresent(
            d ->
                reasons.add(
                    "The lid may slide "
                        + notation.text(d.millimetres(), Unit.MILLIMETRE)
                        + " before its rim touches "
                        + d.what()
                        + "."));
    if (glue.cubicMillimetres() > 0) {
      reasons.add(
          notation.fixed(glue.grams() * 1000, 0)
              + " mg of "
              + terms.kind().words()
              + " over "
              + notation.text(glue.lengthMillimetres(), Unit.MILLIMETRE)
              + " under the rim; "
              + notation.text(terms.press(), Unit.NEWTON)
              + " can press it down to "
              + notation.text(glue.thicknessMicrometres(), Unit.MICROMETRE)
              + ", "
              + notation.text(glue.widthMillimetres(), Unit.MILLIMETRE)
              + " wide.");
      reasons.add(
          "Batches of glue and beads differ: it may be ready to handle after "
              + Notation.minutes(Math.ceil(cure.handling().low()))
              + " to "
              + Notation.minutes(Math.ceil(cure.handling().high()))
              + ". A dab of spare glue beside it shows when; the label comes first.");
    }
    reasons.add(
        "More press makes the film no thinner once a die carries; over a bare die keep it by hand"
            + " and in the middle.");
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(
        new Working.Input("cavity", job.chip().lid().cavityMillimetres() * 1000, Unit.MICROMETRE));
    inputs.add(
        new Working.Input("highest die", job.chip().highestDieMicrometres(), Unit.MICROMETRE));
    inputs.add(new Working.Input("film, at least", LidSeat.FILM_MICROMETRES, Unit.MICROMETRE));
    inputs.add(
        new Working.Input("glue pressed alone", glue.thicknessMicrometres(), Unit.MICROMETRE));
    inputs.add(new Working.Input("old sealant", terms.old(), Unit.MICROMETRE));
    inputs.add(new Working.Input("cured depth", cure.depthMillimetres(), Unit.MILLIMETRE));
    inputs.add(new Working.Input("cured through", cure.handlingMinutes(), Unit.MINUTE));
    inputs.add(new Working.Input("the same, early", cure.handling().low(), Unit.MINUTE));
    inputs.add(new Working.Input("the same, late", cure.handling().high(), Unit.MINUTE));
    return new LidAnswer(
        seat,
        glue,
        cure,
        new Finding(
            "close.film",
            sentence,
            film,
            Unit.MICROMETRE,
            Optional.empty(),
            new Working(
                "gap = cavity + glue line − die height, never below the film itself; the glue is"
                    + " pressed as a strip (Reynolds) or a dot (Stefan) until its skin, its yield"
                    + " stress or its fillers stop it; cured depth = k·√t",
                inputs,
                "Reynolds 1886, Stefan 1874; Comyn 1998 for the cure; flow and cure of the glue are"
                    + " common practice",
                List.of(
                    "Lid and substrate are taken as flat.", "The label of the glue comes first."))),
        reasons);
  }

  private static Optional<LidDrift> drift(Job job) {
    List<LidDrift.Thing> parts =
        job.heights().tops().stream()
            .filter(t -> t.kind() == TopKind.PART)
            .map(
                t ->
                    new LidDrift.Thing(
                        t.name(),
                        new Patch(
                            t.xMillimetres(),
                            t.yMillimetres(),
                            t.widthMillimetres(),
                            t.depthMillimetres())))
            .toList();
    return LidDrift.of(job.chip(), parts);
  }
}
