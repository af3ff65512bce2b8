package dev.ambershim.core.plan;

import static dev.ambershim.core.plan.Thing.CHIP;
import static dev.ambershim.core.plan.Thing.LID;
import static dev.ambershim.core.plan.Thing.PLATE;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.surface.Face;
import java.util.List;

/** What gets lapped, and whether the parts fit while everything is dry. */
final class FittingSteps {
  private static final String STROKES = "Figures of eight, a quarter turn every twenty strokes.";

  private FittingSteps() {}

  static void add(List<StepDraft> to, WorkCase work, Notation notation) {
    if (work.lapsTop()) {
      lapTop(to, work);
    }
    if (work.lapsPlate()) {
      lapPlate(to, work);
    }
    if (!work.worksOnDie()) {
      return;
    }
    if (work.newLid()) {
      to.add(
          new StepDraft("lid-new", Phase.MEASURE, LID)
              .title("Look at the new lid")
              .action(
                  "Wash it, wipe it with alcohol, look at rim and inside under slanting light. Rub"
                      + " burrs off on wet paper. Mark one corner.")
              .reason("A burr of the mill is thicker than the film.")
              .look("A rule lies on it without light. The rim is even.")
              .wrong("Bare copper darkens with metal", "it takes gallium up", "use a little more")
              .needs(Supply.LID, 1)
              .needs(Supply.ALCOHOL, 5)
              .needs(Supply.WIPES, 3)
              .tools("steel rule", "lamp")
              .minutes(5, 10, 20)
              .caution(Caution.SOLVENT)
              .hold("Is the new lid clean, flat to the rule and without burr?"));
    }
    if (work.lapsLid()) {
      to.add(
          new StepDraft("lap-lid", Phase.LAP, LID)
              .title("Lap the lid")
              .action(
                  LapOrder.papers(work, Face.LID_TOP)
                          .map(p -> "Wet paper on glass, strokes by paper: " + p + ". ")
                          .orElse("Wet paper on glass, coarse to fine. ")
                      + STROKES
                      + " Top first, then the rim.")
              .reason("A flat lid needs less paste, and a lower rim leaves a thinner film.")
              .look("An even pattern from edge to edge before the next grit.")
              .wrong("One side wears first", "uneven hand", "turn it, press in the middle only")
              .tools("plate of glass", "water")
              .needs(Supply.PAPER, 1)
              .minutes(45, 90, 150)
              .caution(Caution.DUST)
              .record("strokes for each grit, thickness before and after")
              .hold("Is the pattern even from edge to edge?"));
      to.add(wash("wash-lid", LID));
    }
    if (work.lapsDie()) {
      to.add(
          new StepDraft("lap-die", Phase.LAP, CHIP)
              .title("Lap the die")
              .action(
                  "A flat block with wet papers over the masked chip, its own weight, short strokes"
                      + LapOrder.papers(work, Face.DIE).map(p -> ": " + p).orElse("")
                      + ". Measure the height after every fifty.")
              .reason("A die bows like a saddle; flat, it takes a film of few micrometres.")
              .look("The pattern reaches all corners. The height falls evenly.")
              .wrong(
                  "A corner chips",
                  "it was tilted",
                  "stop; splinters are sharp: tape picks them up; note it in Clean")
              .wrong(
                  "Less than " + notation.text(400, Unit.MICROMETRE) + " of silicon left",
                  "it gets fragile",
                  "stop here")
              .tools("flat block", "depth gauge", "water")
              .needs(Supply.PAPER, 1)
              .needs(Supply.MASKING_TAPE, 20)
              .minutes(60, 120, 200)
              .caution(Caution.DUST)
              .risk(Step.LAP_DIE)
              .record("height of each die before and after, µm")
              .holdReading("Is the die even, and still thick enough?", "lowest die height, µm"));
      to.add(rinse("wash-die").risk(Step.LAP_DIE));
    }
    if (work.closes()) {
      to.add(
          new StepDraft("lid-dry", Phase.MEASURE, CHIP, LID)
              .title("Lay the lid on dry")
              .action(
                  "Mark to mark, nothing inside, no glue. Press on each corner in turn: it must not rock."
                      + " Measure the whole height at four corners.")
              .reason("It shows whether the lid stands on its rim or on the die.")
              .look("Four heights within " + notation.text(50, Unit.MICROMETRE) + " of each other.")
              .wrong("It rocks over the middle", "it stands on the die", "the glue fills the rest")
              .wrong("It rocks on the rim", "sealant or a burr is left", "back to cleaning")
              .tools("caliper or indicator")
              .minutes(3, 6, 12)
              .caution(Caution.BARE_DIE)
              .record("heights at four corners, mm")
              .risk(work.several() ? Step.OPEN_SEVERAL : work.openRisk())
              .holdReading("Does the lid lie still, mark to mark?", "widest difference, mm"));
    } else {
      heights(to, work);
      if (work.goesBare()) {
        MachineSteps.standoffs(to, work, notation.text(down(work), Unit.MILLIMETRE));
      }
      MachineSteps.dryFit(to, work, notation);
    }
  }

  /** How much lower the plate sits without the lid, mm. */
  private static double down(WorkCase work) {
    double glue = work.before().glueMicrometres() - work.chip().highestDieMicrometres();
    return work.chip().lid().thicknessMillimetres()
        + work.chip().lid().cavityMillimetres()
        + glue / 1000;
  }

  private static void lapTop(List<StepDraft> to, WorkCase work) {
    to.add(
        new StepDraft("contacts-tape", Phase.LAP, CHIP)
            .title("Tape over the chip's contacts")
            .action(
                "Polyimide tape over the whole underside and the board's margin up to the lid, every"
                    + " edge rubbed down. The lid's breathing hole gets its own piece.")
            .reason("Wet grit between contacts, or under the lid, does not come out again.")
            .look("Only the lid's top is free.")
            .wrong("An edge lifts", "grease", "off, alcohol, a fresh strip")
            .needs(Supply.POLYIMIDE_TAPE, 30)
            .minutes(4, 8, 15)
            .caution(Caution.STATIC)
            .hold("Is all but the lid's top sealed?"));
    to.add(
        lap("lap-top", work, Face.LID_TOP, LID, CHIP)
            .title("Lap the lid's top")
            .record("strokes for each grit, thickness before and after")
            .hold("Is the pattern even from edge to edge?"));
    to.add(
        new StepDraft("wash-top", Phase.LAP, CHIP, LID)
            .title("Wipe off the grit")
            .action(
                "Wipe the lid with wet wipes, then alcohol, until they stay clean. Only then lift the"
                    + " tape, and wipe the contacts with alcohol. Let it dry well.")
            .reason("One grain of grit is thicker than the joint.")
            .look("No grey on the wipe, no water under the tape.")
            .wrong("Water got under the tape", "an edge was loose", "rinse in alcohol, dry a day")
            .needs(Supply.ALCOHOL, 15)
            .needs(Supply.WIPES, 6)
            .minutes(5, 10, 20)
            .wait(30, 60, 240, "it dries", "water left under the tape")
            .caution(Caution.SOLVENT)
            .hold("Is it clean and dry, contacts too?"));
  }

  private static void lapPlate(List<StepDraft> to, WorkCase work) {
    to.add(
        lap("lap-plate", work, Face.PLATE, PLATE)
            .title("Lap the cold plate")
            .record("strokes for each grit")
            .hold("Is the pattern even from edge to edge?"));
    to.add(wash("wash-plate", PLATE));
  }

  private static StepDraft lap(String id, WorkCase work, Face face, Thing... things) {
    return new StepDraft(id, Phase.LAP, things)
        .action(
            LapOrder.papers(work, face)
                .map(p -> "Wet paper on glass, strokes by paper: " + p + ". " + STROKES)
                .orElse(
                    "Probe it first: then papers and strokes stand here. Wet paper on glass, coarse"
                        + " to fine. "
                        + STROKES))
        .reason("A flat face needs less paste.")
        .look("An even pattern from edge to edge before the next grit.")
        .wrong("One side wears first", "uneven hand", "turn it, press in the middle only")
        .wrong("Copper shows through", "the plating is off there", "no harm under paste")
        .tools("plate of glass", "spray bottle")
        .needs(Supply.PAPER, 1)
        .needs(Supply.WATER, 200)
        .minutes(45, 90, 150)
        .caution(Caution.DUST);
  }

  private static void heights(List<StepDraft> to, WorkCase work) {
    to.add(
        new StepDraft("heights", Phase.MEASURE, CHIP, PLATE)
            .title("What touches first?")
            .action(
                work.fixed()
                    ? "Measure from the substrate up: die, each part beside it, stiffener or frame,"
                        + " memory around it. Three times each, the mean counts."
                    : "Measure from the substrate up: die, each part beside it, frame or shim, the"
                        + " socket's corners. Three times each, the mean counts.")
            .reason("If anything but the die touches first, the joint stays open or a part breaks.")
            .look("The die is higher than everything under the plate.")
            .wrong(
                "Something is higher than the die",
                "the plate would rest on it",
                "lower the frame or leave it off; do not file a part")
            .tools("depth gauge")
            .minutes(5, 10, 20)
            .caution(Caution.STATIC)
            .record("heights over the substrate, mm")
            .risk(work.mountRisk())
            .holdReading(
                "Is the die higher than everything else under the plate?", "by so much, mm"));
  }

  private static StepDraft wash(String id, Thing thing) {
    return new StepDraft(id, Phase.LAP, thing)
        .title("Wash off the grit")
        .action(
            "Rinse it under running water, a soft brush into every corner, then alcohol until the"
                + " swab stays clean. Let it dry well.")
        .reason("One grain of grit is thicker than the joint.")
        .look("No grey on the swab.")
        .wrong("Grey keeps coming", "grit sits in a corner", "brush again; do not wipe it around")
        .tools("soft brush")
        .needs(Supply.ALCOHOL, 10)
        .needs(Supply.SWABS, 4)
        .minutes(5, 8, 15)
        .wait(15, 30, 60, "it dries", "water left in corners")
        .caution(Caution.DUST);
  }

  /** A chip is rinsed with what leaves nothing behind, and dries before it gets power. */
  private static StepDraft rinse(String id) {
    return new StepDraft(id, Phase.LAP, CHIP)
        .title("Rinse the chip")
        .action(
            "Rinse it with deionised water from a bottle, a soft brush between the parts, then with"
                + " alcohol. Never tap water: its salts stay. Blow it dry, and leave it warm.")
        .reason("One grain of grit is thicker than the film, and wet contacts short.")
        .look("No grey on the swab, no drop under a part.")
        .wrong("Grey keeps coming", "grit sits between parts", "brush again; do not wipe it around")
        .tools("soft brush", "hand blower")
        .needs(Supply.WATER, 100)
        .needs(Supply.ALCOHOL, 20)
        .needs(Supply.SWABS, 4)
        .minutes(5, 10, 20)
        .wait(60, 120, 480, "the chip dries before it gets power", "water left under parts")
        .caution(Caution.SOLVENT)
        .hold("Is it dry under every part?");
  }
}
