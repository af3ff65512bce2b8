package dev.ambershim.core.stage.coat;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Sentence;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.dosing.Bar;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.dosing.Drop;
import dev.ambershim.core.physics.dosing.Insulation;
import dev.ambershim.core.physics.dosing.LidSeat;
import dev.ambershim.core.physics.dosing.Meeting;
import dev.ambershim.core.physics.dosing.MetalDose;
import dev.ambershim.core.physics.dosing.Verdict;
import dev.ambershim.core.plan.Doses;
import dev.ambershim.core.plan.WorkCase;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.core.stage.StageAnswer;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a job takes of liquid metal and cover, and what must never meet. How paste ends is told by
 * {@link PasteAnswer}.
 *
 * @param job what it was worked out for
 * @param doses the amounts
 * @param odds for each film, how often the wanted dose goes wrong
 * @param finding the answer; empty if no liquid metal is used and nothing bars the plan
 * @param reasons what to know beside it
 * @param notes what to watch
 */
public record CoatAnswer(
    Job job,
    Doses doses,
    List<MetalDose.Odds> odds,
    Optional<Finding> finding,
    List<String> reasons,
    List<String> notes)
    implements StageAnswer {
  /** Copies its lists. */
  public CoatAnswer {
    odds = List.copyOf(odds);
    reasons = List.copyOf(reasons);
    notes = List.copyOf(notes);
  }

  /** Works it out. */
  public static CoatAnswer of(Job job, Notation notation) {
    WorkCase work = job.workCase();
    Doses doses = work.doses();
    CoatTerms coat = job.coat();
    List<MetalDose.Odds> odds = new ArrayList<>();
    List<String> reasons = new ArrayList<>();
    for (MetalDose dose : doses.films()) {
      MetalDose.Odds found = dose.odds(dose.wantedCubicMillimetres(), coat);
      odds.add(found);
      if (dose.place().gapMicrometres() > LidSeat.SURE_MICROMETRES) {
        reasons.add(
            "The gap over "
                + dose.place().name()
                + " is deeper than a brushed film bridges ("
                + notation.text(LidSeat.SURE_MICROMETRES, Unit.MICROMETRE)
                + "): expect it uneven.");
      }
      reasons.add(reason(dose, found, coat, doses.films().size() > 1, notation));
    }
    Optional<Finding> finding =
        doses.films().isEmpty() && doses.bars().isEmpty()
            ? Optional.empty()
            : Optional.of(answer(doses, coat, notation));
    doses.bars().stream().skip(1).forEach(b -> reasons.add(0, b.sentence()));
    if (work.pasted()) {
      reasons.add(
          "Paste: "
              + notation.text(Doses.pasteGrams(work), Unit.GRAM)
              + " as "
              + Doses.pastePattern(work).withArticle()
              + ".");
    }
    return new CoatAnswer(job, doses, odds, finding, reasons, notes(doses, coat, notation));
  }

  private static String size(Drop drop, Notation notation) {
    double shown = notation.shown(drop.ballMillimetres(), Unit.MILLIMETRE);
    return notation.fixed(shown, notation.inches() ? 3 : 1)
        + " "
        + notation.symbol(Unit.MILLIMETRE);
  }

  /** A size with so many digits that it differs from another, as far as it does. */
  private static String size(Drop drop, Optional<Drop> other, Notation notation) {
    String own = size(drop, notation);
    if (other.isEmpty() || !size(other.get(), notation).equals(own)) {
      return own;
    }
    double shown = notation.shown(drop.ballMillimetres(), Unit.MILLIMETRE);
    return notation.fixed(shown, notation.inches() ? 4 : 2)
        + " "
        + notation.symbol(Unit.MILLIMETRE);
  }

  private static Finding answer(Doses doses, CoatTerms coat, Notation notation) {
    if (!doses.bars().isEmpty()) {
      Bar bar = doses.bars().get(0);
      return new Finding(
          bar.key(),
          "Stop. " + bar.sentence(),
          Double.NaN,
          Unit.COUNT,
          Optional.empty(),
          new Working(
              "every face that the metal can meet is looked up; one that it must never meet, a second"
                  + " cover over the first, or a gap over 150 µm bars the plan",
              List.of(),
              "electrode potentials: CRC Handbook (from memory); mechanisms and limits: common"
                  + " practice",
              List.of("Nothing overrides it but the remedy.")));
    }
    MetalDose main = doses.films().get(0);
    String faces = main.faces() == 2 ? "on each face" : "on one face";
    StringBuilder sentence = new StringBuilder();
    // What bars the dose comes before the dose.
    for (MetalDose dose : doses.films()) {
      if (!dose.fits()) {
        sentence
            .append("No amount over the ")
            .append(dose.place().name())
            .append(" is enough and harmless in nine cases of ten: ")
            .append(dose.runs() ? "lay the board flat" : "cover the parts")
            .append(", mask around the die, or weigh the dose. ");
      }
    }
    if (doses.films().size() == 1) {
      sentence.append(main.fits() ? "A drop " : "Filling it would take a drop ");
      sentence.append(size(main.drop(), notation)).append(" across ").append(faces).append(".");
    } else {
      sentence.append("Drops ").append(faces).append(": ");
      List<String> each = new ArrayList<>();
      doses.films().forEach(f -> each.add(f.place().name() + " " + size(f.drop(), notation)));
      sentence.append(String.join(", ", each)).append(" across.");
    }
    Optional<Drop> most = main.mostDrop();
    if (main.fits()) {
      sentence
          .append(doses.films().size() > 1 ? " On " + main.place().name() + ", under " : " Under ")
          .append(size(main.leastDrop(), most, notation))
          .append(" it goes dry in one case of ten; ");
      sentence.append(
          most.map(
                  m ->
                      "at "
                          + size(m, Optional.of(main.leastDrop()), notation)
                          + (main.runs()
                              ? " it runs down a standing board."
                              : " it reaches " + main.place().part() + "."))
              .orElse("too much reaches nothing that it could harm."));
    }
    return new Finding(
        "dose.metal",
        sentence.toString(),
        main.drop().ballMillimetres(),
        Unit.MILLIMETRE,
        main.fits() && most.isPresent()
            ? Optional.of(
                new Interval(main.leastDrop().ballMillimetres(), most.get().ballMillimetres(), 1))
            : Optional.empty(),
        working(main, coat));
  }

  private static Working working(MetalDose dose, CoatTerms coat) {
    return new Working(
        "volume = area × gap + what both faces' valleys hold + what they take in over a year, and"
            + " so much more that nine doses of ten are enough; drop = (6V/π)^⅓; what is more stands as a bead along the edge",
        List.of(
            new Working.Input(
                "film area", dose.place().areaSquareMillimetres(), Unit.SQUARE_MILLIMETRE),
            new Working.Input("gap", dose.place().gapMicrometres(), Unit.MICROMETRE),
            new Working.Input("gap, low", dose.place().lowGapMicrometres(), Unit.MICROMETRE),
            new Working.Input("gap, high", dose.place().highGapMicrometres(), Unit.MICROMETRE),
            new Working.Input("in the gap", dose.gapCubicMillimetres(), Unit.CUBIC_MILLIMETRE),
            new Working.Input(
                "in the valleys", dose.valleysCubicMillimetres(), Unit.CUBIC_MILLIMETRE),
            new Working.Input("taken in", dose.takenInCubicMillimetres(), Unit.CUBIC_MILLIMETRE),
            new Working.Input(
                "density",
                coat.alloy().gramsPerCubicCentimetre(coat.warmth()),
                Unit.GRAM_PER_CUBIC_CENTIMETRE),
            new Working.Input(
                "to the nearest part",
                dose.place().partMillimetres() == null
                    ? Double.NaN
                    : dose.place().partMillimetres(),
                Unit.MILLIMETRE),
            new Working.Input(
                "room beside the film", dose.place().roomMillimetres(), Unit.MILLIMETRE)),
        "density: published, gallium's expansion by Assael et al. 2012; beads on a standing board:"
            + " Furmidge 1962; roughness, what faces take in and how unevenly it comes out: common"
            + " practice",
        List.of(
            "The film is taken to lie all over the face; rubbing in takes more at first.",
            "Uptake goes on after the year, ever slower; look at the film when it is due.",
            "A knock can throw a bead further than it would reach by itself."));
  }

  private static String reason(
      MetalDose dose, MetalDose.Odds odds, CoatTerms coat, boolean several, Notation notation) {
    Drop drop = dose.drop();
    return (several ? Sentence.begin(dose.place().name()) + ": " : "")
        + notation.fixed(drop.milligrams(coat.alloy(), coat.warmth()), 1)
        + " mg, or "
        + notation.text(1000 * drop.travelMillimetres(coat.bore()), Unit.MICROMETRE)
        + " of travel in a "
        + notation.text(coat.bore(), Unit.MILLIMETRE)
        + " syringe: risk "
        + Math.round(100 * odds.dry())
        + " % of dry places, "
        + Math.round(100 * odds.reaches())
        + (dose.runs() ? " % of running." : " % of reaching too far.");
  }

  private static List<String> notes(Doses doses, CoatTerms coat, Notation notation) {
    List<String> notes = new ArrayList<>();
    if (doses.films().isEmpty()) {
      return notes;
    }
    notes.add(
        "Too little: dry spots and bare corners at once, or after months when the faces have taken"
            + " it in; some cores run hot. Then open it and add.");
    notes.add(
        "Too much: it is pressed out and stands in beads. Look before you close; take it up with a"
            + " dry swab. Once it shorts a part, power off and clean all of it away.");
    if (doses.films().stream().anyMatch(f -> f.place().part().contains("not measured"))) {
      notes.add(
          "No part near the die is measured: one at "
              + notation.text(1.5, Unit.MILLIMETRE)
              + " is assumed. Measure it in Measure, or type its distance below.");
    }
    int first =
        doses.meetings().stream()
            .filter(m -> m.place().inJoint() && m.face().firstLookMonths() > 0)
            .mapToInt(m -> m.face().firstLookMonths())
            .min()
            .orElse(0);
    if (first > 0) {
      notes.add("First look at the film after " + first + " months.");
    }
    if (coat.warmth() < coat.alloy().meltsCelsius() + 2) {
      notes.add(
          "It is solid at "
              + notation.text(coat.alloy().meltsCelsius(), Unit.CELSIUS)
              + ": warm syringe and faces before you begin.");
    }
    doses.cover().map(Insulation::notes).ifPresent(notes::addAll);
    return notes;
  }

  /** The meetings, those that must not be first. */
  public List<Meeting> meetings() {
    List<Meeting> all = new ArrayList<>();
    for (Verdict verdict : List.of(Verdict.NEVER, Verdict.WATCH, Verdict.FINE)) {
      doses.meetings().stream().filter(m -> m.verdict() == verdict).forEach(all::add);
    }
    return all;
  }

  @Override
  public Stage stage() {
    return Stage.COAT;
  }

  @Override
  public String sentence() {
    return finding
        .map(Finding::sentence)
        .orElse(
            job.workCase().pasted()
                ? "This job uses paste and no liquid metal."
                : "Nothing is coated in this job: only settings change.");
  }
}
