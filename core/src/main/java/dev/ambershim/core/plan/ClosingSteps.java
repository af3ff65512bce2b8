package dev.ambershim.core.plan;

import static dev.ambershim.core.plan.Thing.BENCH;
import static dev.ambershim.core.plan.Thing.CHIP;
import static dev.ambershim.core.plan.Thing.LID;
import static dev.ambershim.core.plan.Thing.MACHINE;
import static dev.ambershim.core.plan.Thing.PLATE;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.dosing.CloseTerms;
import dev.ambershim.core.physics.spread.PastePattern;
import java.util.List;

/** Closing the lid, and the cooler back on. */
final class ClosingSteps {
  private ClosingSteps() {}

  static void add(List<StepDraft> to, WorkCase work, Doses doses, Notation notation) {
    if (work.option().opens()) {
      if (work.closes()) {
        close(to, work, doses, notation);
      } else {
        bare(to, work);
      }
    }
    mount(to, work, notation);
  }

  private static void close(List<StepDraft> to, WorkCase work, Doses doses, Notation notation) {
    if (work.seal() == Way.SEAL_NONE) {
      to.add(chipIn(CHIP, MACHINE).atOnce());
      to.add(
          new StepDraft("lid-on", Phase.CLOSE, CHIP, LID, MACHINE)
              .title("Lay the lid on, and clamp it")
              .action(
                  "Lower the lid straight down, mark to mark, without sliding. Hold it with one"
                      + " finger in the middle and close the socket's clamp over it.")
              .reason("Nothing but clamp and cooler holds it; slid, it smears the film.")
              .look("Line and dot meet. The lid did not move when the clamp closed.")
              .wrong("It moved", "the clamp pulled it", "open, lift it straight up, look, again")
              .minutes(2, 4, 8)
              .caution(Caution.BARE_DIE)
              .sketch(Sketch.ORIENTATION)
              .risk(work.metalRisk())
              .change(ChipState.Change.LID_ON)
              .atOnce()
              .hold("Is the lid on, mark to mark, and clamped?"));
      return;
    }
    boolean around = work.seal() == Way.SEAL_AROUND;
    CloseTerms closing = work.terms().closing();
    String kind = closing.kind().words();
    String size = notation.text(closing.bead(Doses.gluePattern(work)), Unit.MILLIMETRE);
    to.add(
        new StepDraft("glue", Phase.CLOSE, CHIP, LID, BENCH)
            .atOnce()
            .title(around ? "Glue around the rim" : "Four dots of glue")
            .action(
                around
                    ? "A bead of "
                        + kind
                        + ", "
                        + size
                        + " across, along the old line on the substrate, with a gap of "
                        + notation.text(closing.vent(), Unit.MILLIMETRE)
                        + " at one side for air."
                    : "A dot of "
                        + kind
                        + ", "
                        + size
                        + " across, at each corner of the old line on the substrate. No more.")
            .reason("Glue under the rim is a height too: thin and even, or the lid stands off.")
            .look("No glue inside the rim, none near the die.")
            .wrong("Too much", "it lifts the lid and runs to the die", "wipe it all off, again")
            .needs(Supply.SILICONE, doses.glue().grams())
            .minutes(3, 6, 12)
            .caution(Caution.GLUE)
            .sketch(Sketch.GLUE)
            .risk(work.metalRisk()));
    to.add(
        new StepDraft("lid-on", Phase.CLOSE, CHIP, LID, BENCH)
            .title("Close the lid")
            .action(
                "Lower the lid straight down, mark to mark. Do not slide it: metal would be pushed"
                    + " over the die's edge.")
            .reason("The film joins at the first touch.")
            .look("Line and dot meet. The rim sits on the glue all around.")
            .wrong("It lies half a millimetre off", "it slid", "lift it straight up, look, again")
            .minutes(1, 2, 5)
            .caution(Caution.BARE_DIE)
            .sketch(Sketch.ORIENTATION)
            .risk(work.metalRisk())
            .change(ChipState.Change.LID_ON)
            .atOnce()
            .hold("Is the lid on, mark to mark?"));
    to.add(
        new StepDraft("press", Phase.CLOSE, CHIP, LID, BENCH)
            .title("Press, and let it cure")
            .action(
                "Put the chip in a press or under a clamp with soft jaws, about "
                    + notation.text(closing.press(), Unit.NEWTON)
                    + " on the middle of the lid only, as a hand presses. Leave it lying flat.")
            .reason("The glue must set while the lid is as low as it will ever be.")
            .look("The lid does not wander while you tighten. No metal at the rim.")
            .wrong("Metal shows at the rim", "too much in the film", "open it now, clean, again")
            .tools("clamp with soft jaws")
            .minutes(2, 4, 8)
            .wait(
                doses.cure().atLeastMinutes(),
                doses.cure().likelyMinutes(),
                doses.cure().safeMinutes(),
                "the glue cures",
                "how wide it is pressed, humidity and warmth; the label comes first")
            .caution(Caution.FORCE)
            .risk(work.metalRisk())
            .atOnce());
    to.add(chipIn(CHIP, LID, MACHINE));
  }

  private static StepDraft chipIn(Thing... things) {
    return new StepDraft("chip-in", Phase.MOUNT, things)
        .title("Chip into the socket")
        .action(
            "Cover off the socket. Look into it with the lamp. Lower the chip straight down, mark"
                + " to mark; it drops in by itself. Close the clamp.")
        .reason("One bent contact can cost a memory channel.")
        .look("It lies level in the socket, without a push.")
        .wrong("It does not drop in", "turned, or a contact is bent", "lift it, look, never press")
        .tools("lamp", "wrist strap")
        .minutes(2, 4, 8)
        .caution(Caution.STATIC)
        .sketch(Sketch.ORIENTATION)
        .hold("Does the chip lie level, mark to mark?");
  }

  private static void bare(List<StepDraft> to, WorkCase work) {
    to.add(chipIn(CHIP, MACHINE).atOnce());
    if (work.ways().takes(Way.REST_FRAME)) {
      to.add(
          new StepDraft("frame", Phase.MOUNT, CHIP, MACHINE)
              .atOnce()
              .title("Frame over the chip")
              .action(
                  "Lay the frame over the substrate in place of the clamp. Its screws crosswise,"
                      + " a quarter turn each, until they just hold.")
              .reason("It holds the chip evenly and stands beside the die like a fence.")
              .look("The die stands proud of the frame.")
              .wrong(
                  "Memory is missing later",
                  "the frame presses unevenly",
                  "open its screws, tighten them again by small turns")
              .tools("screwdriver")
              .needs(Supply.FRAME, 1)
              .minutes(5, 10, 20)
              .caution(Caution.BARE_DIE)
              .sketch(Sketch.TIGHTEN)
              .risk(Step.MOUNT_FRAME)
              .hold("Does the die stand proud of the frame, and nothing rocks?"));
    }
  }

  private static void mount(List<StepDraft> to, WorkCase work, Notation notation) {
    boolean onDie = work.bare();
    if (work.pasted()) {
      PastePattern paste = Doses.pastePattern(work);
      to.add(
          new StepDraft("paste", Phase.MOUNT, CHIP, LID, BENCH)
              .title(onDie ? "Paste on the die" : "Paste on the lid")
              .action(
                  pasteWords(paste, onDie)
                      + " "
                      + notation.text(Doses.pasteGrams(work), Unit.GRAM)
                      + " in all. No skin in it, no hair.")
              .reason("It must cover the shadow of the die; the rest of the lid counts for little.")
              .look(
                  paste == PastePattern.THIN_SPREAD
                      ? "Even grey, no hollow."
                      : "About as much as planned.")
              .wrong("A crumb in the paste", "dried out", "all off, fresh paste")
              .needs(Supply.PASTE, Doses.pasteGrams(work))
              .minutes(1, paste == PastePattern.THIN_SPREAD ? 5 : 2, 8)
              .sketch(Sketch.PASTE)
              .risk(onDie ? work.mountRisk() : null));
    }
    to.add(
        new StepDraft("mount", Phase.MOUNT, MACHINE, CHIP, LID, PLATE)
            .atOnce()
            .title("Set the cooler down and tighten")
            .action(
                "Straight down, no sliding. Every screw in by a few threads first, then crosswise, "
                    + turns(work.terms().mounting().step(), notation)
                    + " each, until the springs or stops hold.")
            .reason("Tightened on one side first, the plate tilts and pushes the joint out there.")
            .look("The gap under the bracket is the same all around.")
            .wrong("One screw stands higher", "it is tilted", "back half a turn all round, again")
            .tools("screwdriver")
            .minutes(5, 10, 25)
            .caution(onDie ? Caution.BARE_DIE : Caution.FORCE)
            .sketch(Sketch.TIGHTEN)
            .risk(onDie ? work.mountRisk() : null)
            .change(ChipState.Change.COOLER_ON)
            .hold("Is the cooler level, and every screw at its stop?"));
    if (work.metalOnDie() || work.metalOnLid()) {
      to.add(
          new StepDraft("waste", Phase.TIDY, BENCH)
              .title("Pack away the waste")
              .action(
                  "Swabs, wipes and gloves with metal on them into a bag, sealed and labelled. Wipe"
                      + " the bench with alcohol, look under the lamp for beads. Wash your hands.")
              .reason("A bead on the bench is on the next board tomorrow.")
              .look("No silver dot anywhere on bench, tools, sleeves.")
              .wrong(
                  "A bead on aluminium",
                  "it eats into it",
                  "wipe it off at once, keep an eye on it")
              .needs(Supply.BAG, 1)
              .needs(Supply.ALCOHOL, 10)
              .needs(Supply.WIPES, 3)
              .minutes(5, 10, 20)
              .caution(Caution.WASTE)
              .hold("Is all metal packed away, and the syringe capped?"));
    }
  }

  private static String pasteWords(PastePattern paste, boolean onDie) {
    String where = onDie ? "the die" : "the lid";
    return switch (paste) {
      case LINE -> "One line along the die, in the middle of " + where + ".";
      case TWO_LINES -> "Two lines beside each other along " + where + ".";
      case OWN -> "Your own strokes on " + where + ", as drawn in Coat and dose.";
      case CROSS -> "A cross over the middle of " + where + ", its arms to half-way out.";
      case FIVE_DOTS ->
          "One dot in the middle of " + where + " and four smaller ones half-way out.";
      case THIN_SPREAD -> "Spread it over all of " + where + " with a card, as thin as paper.";
      default -> "One dot in the middle of " + where + ".";
    };
  }

  private static String turns(double turns, Notation notation) {
    return turns == 0.5
        ? "half a turn"
        : turns == 0.25
            ? "a quarter turn"
            : notation.editable(turns, Unit.COUNT) + (turns == 1 ? " turn" : " turns");
  }
}
