package dev.ambershim.core.plan;

import static dev.ambershim.core.plan.Thing.BENCH;
import static dev.ambershim.core.plan.Thing.CHIP;
import static dev.ambershim.core.plan.Thing.LID;
import static dev.ambershim.core.plan.Thing.MACHINE;
import static dev.ambershim.core.plan.Thing.PLATE;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import java.util.List;

/** What is covered, and the liquid metal. */
final class CoatingSteps {
  private CoatingSteps() {}

  static void add(List<StepDraft> to, WorkCase work, Doses doses, Notation notation) {
    if (work.metalOnDie()) {
      if (work.cover() != Way.NO_COVER) {
        cover(to, work, doses);
      }
      if (work.bare() && work.ways().takes(Way.REST_SHIM)) {
        to.add(
            new StepDraft("shim", Phase.COAT, CHIP)
                .title("Lay the shim around the die")
                .action(
                    "Try it dry: it lies flat and clears the die by half a millimetre all around."
                        + " Fix it with two small dots of glue at the outside.")
                .reason("It keeps metal off the substrate and carries a tilted plate.")
                .look(
                    "It is a little lower than the die, about "
                        + notation.text(50, Unit.MICROMETRE)
                        + ".")
                .wrong(
                    "It is as high as the die", "the plate would rest on it", "take a thinner one")
                .needs(Supply.SHIM, 1)
                .minutes(5, 10, 20)
                .caution(Caution.GLUE)
                .risk(work.mountRisk())
                .hold("Is the shim flat, and lower than the die?"));
      }
    }
  }

  /** The film on die and lid or plate; whatever the chip sits in already holds it. */
  static void film(List<StepDraft> to, WorkCase work, Doses doses, Notation notation) {
    if (work.filmedInSocket()) {
      to.add(collar("collar", "Lay a collar around the chip", "the chip", CHIP, MACHINE));
    }
    filmOnDie(to, work, doses, notation);
  }

  private static StepDraft collar(String id, String title, String what, Thing... things) {
    return new StepDraft(id, Phase.COAT, things)
        .title(title)
        .action(
            "Cut a window for "
                + what
                + " into paper or tape and cover all of the board around it.")
        .reason("A drop that rolls off lands where it shorts something.")
        .look("No gap between collar and " + what + ".")
        .wrong("It shifts", "it is not stuck", "tape it down at all four sides")
        .needs(Supply.MASKING_TAPE, 40)
        .minutes(3, 6, 12)
        .hold("Is the board covered up to " + what + "?");
  }

  private static void cover(List<StepDraft> to, WorkCase work, Doses doses) {
    Way cover = work.cover();
    boolean varnish = cover == Way.VARNISH;
    if (varnish) {
      to.add(
          new StepDraft("mask", Phase.COAT, CHIP)
              .title("Mask the die")
              .action(
                  "Cut masking tape to the die's size, a hair smaller, and press it onto the die."
                      + " Nothing else is masked.")
              .reason("Varnish on the die's top holds the lid up.")
              .look("The tape ends just inside the die's edge.")
              .wrong("Tape hangs over", "varnish creeps along under it", "cut it smaller")
              .needs(Supply.MASKING_TAPE, 10)
              .minutes(3, 5, 10)
              .change(ChipState.Change.MASKED));
      to.add(
          new StepDraft("cover", Phase.COAT, CHIP)
              .title("First coat of varnish")
              .action(
                  "A thin coat over every part and contact around the die, right up to its side"
                      + " wall. Fill the gaps between the parts.")
              .reason("A drop of metal between two contacts shorts them.")
              .look("A closed shine; no bare contact, no bubble.")
              .wrong("It runs onto the die", "too much", "take it off with a swab of alcohol")
              .tools("fine brush")
              .needs(Supply.VARNISH, doses.cover().map(c -> c.wetMillilitres()).orElse(0.0))
              .minutes(5, 8, 15)
              .wait(10, 15, 30, "first coat dries", "coat, air and warmth; the label comes first")
              .caution(Caution.VARNISH)
              .sketch(Sketch.COVER)
              .risk(work.metalRisk()));
      to.add(
          new StepDraft("cover-again", Phase.COAT, CHIP)
              .title("Second coat of varnish")
              .action("The same once more, across the first. Only the same varnish over it.")
              .reason("Pinholes of two coats do not lie over each other.")
              .look("Even shine everywhere.")
              .wrong("The first coat lifts", "it was not dry", "let it dry, and begin again there")
              .tools("fine brush")
              .needs(Supply.VARNISH, doses.cover().map(c -> c.wetMillilitres()).orElse(0.0))
              .minutes(4, 6, 12)
              .wait(20, 30, 90, "second coat dries", "coat, air and warmth; the label comes first")
              .caution(Caution.VARNISH)
              .sketch(Sketch.COVER)
              .risk(work.metalRisk())
              .change(ChipState.Change.COVERED));
      to.add(
          new StepDraft("unmask", Phase.COAT, CHIP)
              .title("Take the mask off")
              .action("Lift the tape flat and slowly. Wipe the die once with alcohol.")
              .reason("Glue of the tape keeps the film from wetting.")
              .look("Clean silicon with a clean edge.")
              .wrong("Varnish comes off along", "it bridged the tape", "cut it with a wooden edge")
              .needs(Supply.ALCOHOL, 2)
              .needs(Supply.SWABS, 2)
              .minutes(2, 3, 6)
              .change(ChipState.Change.UNMASKED));
    } else {
      to.add(other(work).change(ChipState.Change.COVERED).sketch(Sketch.COVER));
    }
    to.add(
        new StepDraft("cover-look", Phase.COAT, CHIP)
            .title("Is everything covered?")
            .action(
                "Magnifier, lamp from the side: follow each part and contact around the die once"
                    + " around. Touch up what is bare, with the same material.")
            .reason("What is bare here is found by the first drop.")
            .look("No bare contact within five millimetres of the die, none higher than the die.")
            .wrong("The cover is higher than the die", "it would hold the lid up", "trim it flat")
            .tools("magnifier", "lamp")
            .minutes(2, 4, 8)
            .risk(work.metalRisk())
            .hold("Is every contact near the die covered, and the die free?"));
  }

  private static StepDraft other(WorkCase work) {
    StepDraft step =
        new StepDraft("cover", Phase.COAT, CHIP)
            .reason("A drop of metal between two contacts shorts them.")
            .look("Tight at the die's side, no fold, nothing higher than the die.")
            .risk(work.metalRisk());
    return switch (work.cover()) {
      case POLYIMIDE_TAPE ->
          step.title("Tape around the die")
              .action(
                  "Cut strips of polyimide tape to each side of the die, butted at the corners."
                      + " Rub every edge down with a wooden stick.")
              .wrong("An edge lifts", "dust or grease", "off, alcohol, a fresh strip")
              .needs(Supply.POLYIMIDE_TAPE, Doses.tape(work))
              .minutes(10, 15, 30);
      case VINYL_TAPE ->
          step.title("Tape around the die")
              .action(
                  "Cut strips of vinyl tape to each side of the die, one layer, butted at the"
                      + " corners. Rub every edge down.")
              .wrong(
                  "It curls when warm", "vinyl lets go when it gets hot", "take polyimide instead")
              .needs(Supply.VINYL_TAPE, Doses.tape(work))
              .minutes(10, 15, 30);
      case SILICONE_COVER ->
          step.title("Silicone around the die")
              .action(
                  "A thin layer of neutral-curing silicone over parts and contacts, drawn off flat"
                      + " with a card, lower than the die.")
              .wrong("It smells of vinegar", "it is not neutral, and eats contacts", "take it off")
              .needs(Supply.SILICONE, 1)
              .minutes(5, 10, 20)
              .wait(
                  120, 480, 1440, "silicone cures", "thickness and humidity; the label comes first")
              .caution(Caution.GLUE);
      default ->
          step.title("Foil around the die")
              .action(
                  "Cut a window in the foil, half a millimetre wider than the die. Stick it down"
                      + " flat with a thin double-sided tape.")
              .wrong("It bows up", "it is not stuck", "metal creeps under it: stick it again")
              .needs(Supply.FOIL, 1)
              .minutes(10, 20, 40);
    };
  }

  private static void filmOnDie(List<StepDraft> to, WorkCase work, Doses doses, Notation notation) {
    to.add(
        new StepDraft("film-die", Phase.COAT, CHIP, BENCH)
            .title("Film the die")
            .action(
                "A drop, across: "
                    + doses.drops(notation)
                    + ". Spread it with a swab in small circles until the silicon is wet like a"
                    + " mirror. Stay half a millimetre off the edge.")
            .reason("A thin closed film joins; what is too much is pressed out over the edge.")
            .look("A mirror with a sharp border, no ball, no dry spot.")
            .wrong("It rolls in balls", "grease or oxide", "rub harder; else off with it, alcohol")
            .wrong(
                "A drop fell beside the die",
                work.cover() == Way.NO_COVER
                    ? "nothing is covered: it shorts what it touches"
                    : "the cover holds it",
                "pick it up with a swab, then alcohol")
            .tools("syringe and needle")
            .needs(Supply.METAL, doses.metalGrams(work))
            .needs(Supply.SWABS, 2)
            .needs(Supply.GLOVES, 1)
            .minutes(5, 10, 20)
            .caution(Caution.METAL)
            .sketch(Sketch.FILM)
            .risk(work.metalRisk())
            .change(ChipState.Change.FILMED));
    if (work.ways().takes(Way.BOTH_FACES)) {
      boolean lid = work.closes();
      to.add(
          new StepDraft(lid ? "film-lid" : "film-plate", Phase.COAT, lid ? LID : PLATE, BENCH)
              .atOnce()
              .title(lid ? "Film the lid" : "Film the cold plate")
              .action(
                  "The same inside "
                      + (lid ? "your outline on the lid" : "the die's print on the plate")
                      + ", as thin as you can rub it. No drop may hang when you turn it over.")
              .reason("Two wet faces join at once; a dry one leaves gaps.")
              .look("A mirror that does not move when tilted.")
              .wrong("It hangs in a drop", "too much", "take it up with a dry swab")
              .needs(Supply.METAL, doses.metalGrams(work))
              .needs(Supply.SWABS, 2)
              .minutes(5, 10, 20)
              .caution(Caution.METAL)
              .sketch(Sketch.FILM)
              .risk(work.metalRisk()));
    }
    to.add(
        new StepDraft("film-look", Phase.COAT, CHIP, BENCH)
            .atOnce()
            .title("Is the film closed?")
            .action(
                "Lamp from the side: no dry spot, no ball, no bridge to the substrate, nothing on"
                    + " your gloves. Photograph it.")
            .reason(
                work.bare()
                    ? "You cannot look at it again once the cooler is on."
                    : "You cannot look at it again once the lid is on.")
            .look("Mirror to the border on every die.")
            .wrong("A bridge to the substrate", "too much at the edge", "swab it back inwards")
            .tools("lamp", "camera")
            .minutes(2, 3, 6)
            .record("a photo of the film")
            .risk(work.metalRisk())
            .holdPhoto("Is the film closed, thin and off the edge?"));
    to.add(WasteSteps.after("waste", CHIP, LID, PLATE, BENCH).atOnce());
  }

  static void filmOnLid(List<StepDraft> to, WorkCase work, Doses doses, Notation notation) {
    to.add(
        collar(
                work.metalOnDie() ? "collar-top" : "collar",
                "Lay a collar around the lid",
                "the lid",
                MACHINE,
                CHIP,
                LID)
            .change(ChipState.Change.COVERED));
    to.add(
        new StepDraft("film-top", Phase.COAT, CHIP, LID, BENCH)
            .title("Film the top of the lid")
            .action(
                "A drop of "
                    + doses.drops(notation)
                    + " in the middle, rubbed out in circles over the die's shadow and a centimetre"
                    + " around it. Stay three millimetres off the edge.")
            .reason("Only the shadow of the die counts; metal at the edge rolls off.")
            .look("A mirror that does not move when tilted.")
            .wrong("It rolls in balls", "grease or oxide", "rub harder; else off with it, alcohol")
            .tools("syringe and needle")
            .needs(Supply.METAL, doses.metalGrams(work))
            .needs(Supply.SWABS, 3)
            .needs(Supply.GLOVES, 1)
            .minutes(5, 10, 20)
            .caution(Caution.METAL)
            .sketch(Sketch.FILM)
            .risk(work.metalRisk())
            .change(ChipState.Change.FILMED));
    if (work.ways().takes(Way.BOTH_FACES)) {
      to.add(
          new StepDraft("film-plate", Phase.COAT, PLATE, BENCH)
              .atOnce()
              .title("Film the cold plate")
              .action("The same on the plate, over the same area, as thin as you can rub it.")
              .reason("Two wet faces join at once; a dry one leaves gaps.")
              .look("A mirror that does not move when tilted.")
              .wrong("It hangs in a drop", "too much", "take it up with a dry swab")
              .needs(Supply.METAL, doses.metalGrams(work))
              .needs(Supply.SWABS, 2)
              .minutes(5, 10, 20)
              .caution(Caution.METAL)
              .risk(work.metalRisk()));
    }
    to.add(
        new StepDraft(
                work.metalOnDie() ? "film-top-look" : "film-look", Phase.COAT, CHIP, LID, BENCH)
            .atOnce()
            .title("Is the film closed?")
            .action("Lamp from the side: no ball, no drop near the edge. Take the collar off.")
            .reason("You cannot look at it again once the cooler is on.")
            .look("Mirror over the die's shadow, dry metal at the edge.")
            .wrong("A drop near the edge", "too much", "swab it back inwards")
            .tools("lamp", "camera")
            .minutes(2, 3, 6)
            .record("a photo of the film")
            .risk(work.metalRisk())
            .holdPhoto("Is the film closed, thin and off the edge?"));
    to.add(
        WasteSteps.after(work.metalOnDie() ? "waste-top" : "waste", CHIP, LID, PLATE, BENCH)
            .atOnce());
  }
}
