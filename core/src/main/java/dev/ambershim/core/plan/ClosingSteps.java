package dev.ambershim.core.plan;

import static dev.ambershim.core.plan.Thing.BENCH;
import static dev.ambershim.core.plan.Thing.CHIP;
import static dev.ambershim.core.plan.Thing.LID;
import static dev.ambershim.core.plan.Thing.MACHINE;
import static dev.ambershim.core.plan.Thing.PLATE;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.Seat;
import dev.ambershim.core.physics.dosing.CloseTerms;
import dev.ambershim.core.physics.spread.PastePattern;
import java.util.List;

/** Closing the lid, and the cooler back on. */
final class ClosingSteps {
  /** In warm damp air glue may be through so much sooner; common practice. */
  private static final double EARLY = 0.8;

  private ClosingSteps() {}

  static void add(List<StepDraft> to, WorkCase work, Doses doses, Notation notation) {
    if (work.closes()) {
      if (work.seal() == Way.SEAL_NONE) {
        closeInSocket(to, work, doses, notation);
      } else {
        innerFilling(to, work, doses, notation);
        glued(to, work, doses, notation);
      }
    } else {
      if (work.liftsChip()) {
        to.add(chipIn(work, CHIP, LID, MACHINE));
        if (work.bare()) {
          held(to, work);
        }
      }
      if (work.bare() && work.metalOnDie()) {
        CoatingSteps.film(to, work, doses, notation);
      }
    }
    if (work.metalOnLid()) {
      CoatingSteps.filmOnLid(to, work, doses, notation);
    }
    MachineSteps.insulate(to, work);
    mount(to, work, notation);
    MachineSteps.close(to, work);
  }

  private static void innerFilling(
      List<StepDraft> to, WorkCase work, Doses doses, Notation notation) {
    if (work.metalOnDie()) {
      CoatingSteps.film(to, work, doses, notation);
    } else {
      to.add(innerPaste(work, notation));
    }
  }

  /** Paste between die and lid. */
  private static StepDraft innerPaste(WorkCase work, Notation notation) {
    double grams = Doses.innerPasteGrams(work);
    return new StepDraft("inner-paste", Phase.COAT, CHIP, BENCH)
        .title("Paste on the die")
        .action(
            "About "
                + notation.text(grams, Unit.GRAM)
                + " in all: a line along each die, or a dot in its middle. Spread it thin with a"
                + " card if the paste is stiff.")
        .reason("The lid spreads it; what the gap does not hold is pressed out beside the die.")
        .look("Every die has its paste, none is on the rim's line.")
        .wrong("A crumb in the paste", "dried out", "all off, fresh paste")
        .wrong("Paste on the glue's line", "too much", "wipe it off, or the glue will not hold")
        .needs(Supply.PASTE, grams)
        .minutes(2, 4, 8)
        .sketch(Sketch.PASTE)
        .risk(work.openRisk())
        .change(ChipState.Change.FILMED)
        .hold("Has every die its paste, and is the glue's line clean?");
  }

  /** Chip seated first, the clamp open; filled there; lid and clamp in one go. */
  private static void closeInSocket(
      List<StepDraft> to, WorkCase work, Doses doses, Notation notation) {
    if (!work.fixed()) {
      to.add(chipIn(work, CHIP, MACHINE));
    }
    innerFilling(to, work, doses, notation);
    boolean clamped = work.chip().seat() == Seat.CLAMP;
    to.add(
        new StepDraft("lid-on", Phase.CLOSE, CHIP, LID, MACHINE)
            .title(clamped ? "Lay the lid on, and clamp it" : "Lay the lid on")
            .action(
                "Take the collar off. Lower the lid straight down, mark to mark, without sliding."
                    + (clamped
                        ? " Hold it with one finger in the middle and close the clamp over it."
                        : " It lies loose until the cooler holds it: do not touch it again."))
            .reason("Nothing but pressure holds it; slid, it smears what lies on the die.")
            .look(
                clamped
                    ? "Line and dot meet. The lid did not move when the clamp closed."
                    : "Line and dot meet.")
            .wrong("It moved", "it was pulled or knocked", "lift it straight up, look, again")
            .minutes(2, 4, 8)
            .caution(Caution.BARE_DIE)
            .sketch(Sketch.ORIENTATION)
            .risk(work.metalRisk())
            .change(ChipState.Change.LID_ON)
            .atOnce()
            .hold(
                clamped
                    ? "Is the lid on, mark to mark, and clamped?"
                    : "Is the lid on, mark to mark?"));
  }

  private static void glued(List<StepDraft> to, WorkCase work, Doses doses, Notation notation) {
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
                work.metalOnDie()
                    ? "Lower the lid straight down, mark to mark. Do not slide it: metal would be"
                        + " pushed over the die's edge."
                    : "Lower the lid straight down, mark to mark, and press it once in the middle.")
            .reason(
                work.metalOnDie()
                    ? "The film joins at the first touch."
                    : "Slid, it draws air into the paste.")
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
                (work.fixed()
                        ? "Lay the board flat. Set a weight on the middle of the lid only, about "
                        : "Put the chip in a press or under a clamp with soft jaws, about ")
                    + notation.text(closing.press(), Unit.NEWTON)
                    + (work.fixed()
                        ? ", so that it cannot tip. Leave it alone."
                        : " on the middle of the lid only, as a hand presses. Leave it lying flat."))
            .reason("The glue must set while the lid is as low as it will ever be.")
            .look("The lid does not wander while you tighten. Nothing shows at the rim.")
            .wrong("Filling shows at the rim", "too much inside", "open it now, clean, again")
            .tools(work.fixed() ? "a weight that stands by itself" : "clamp with soft jaws")
            .minutes(2, 4, 8)
            .wait(
                EARLY * doses.cure().handlingMinutes(),
                doses.cure().handlingMinutes(),
                doses.cure().fullMinutes(),
                "the glue cures until the chip can be handled",
                "how wide it is pressed, humidity and warmth; the label comes first")
            .caution(Caution.FORCE)
            .risk(work.metalRisk())
            .atOnce()
            .hold("Has a dab of the same glue, laid beside it, set all through?"));
    if (!work.fixed()) {
      to.add(chipIn(work, CHIP, LID, MACHINE));
    }
  }

  private static StepDraft chipIn(WorkCase work, Thing... things) {
    boolean wet = work.filmedInSocket() || (work.closes() && work.seal() == Way.SEAL_NONE);
    boolean lever = work.chip().seat() == Seat.LEVER;
    String held =
        lever
            ? " Press the lever down."
            : work.bare()
                ? " Leave the clamp open: without a lid it cannot hold the chip."
                : wet ? " Leave the clamp open until the lid is on." : " Close the clamp.";
    return new StepDraft("chip-in", wet ? Phase.COAT : Phase.MOUNT, things)
        .title("Chip into the socket")
        .action(
            "Cover off the socket. Look into it with the lamp. Lower the chip straight down, mark"
                + " to mark; it drops in by itself."
                + held)
        .reason(
            lever ? "One bent pin can cost a memory channel." : "One bent contact can cost memory.")
        .look("It lies level in the socket, without a push.")
        .wrong(
            "It does not drop in",
            lever ? "turned, or a pin is bent" : "turned, or a contact is bent",
            "lift it, look, never press")
        .tools("lamp")
        .minutes(2, 4, 8)
        .caution(Caution.STATIC)
        .sketch(Sketch.ORIENTATION)
        .hold("Does the chip lie level, mark to mark?");
  }

  /** What holds a chip without its lid. */
  private static void held(List<StepDraft> to, WorkCase work) {
    if (work.ways().takes(Way.REST_FRAME)) {
      to.add(
          new StepDraft("frame", Phase.COAT, CHIP, MACHINE)
              .atOnce()
              .title("Frame over the chip")
              .action(
                  work.chip().seat() == Seat.LEVER
                      ? "Lay the frame around the substrate. Its screws crosswise, a quarter turn"
                          + " each, until they just hold."
                      : "Lay the frame over the substrate in place of the clamp. Its screws"
                          + " crosswise, a quarter turn each, until they just hold.")
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
    } else if (!work.chip().seat().holdsBare()) {
      to.add(
          new StepDraft("held", Phase.COAT, CHIP, MACHINE)
              .atOnce()
              .title("Hold the chip without its clamp")
              .action(
                  "Take the clamp's load plate off. A strip of polyimide tape over two edges of the"
                      + " substrate keeps the chip in place; the cooler will press it down.")
              .reason("The clamp presses the lid's ears, and there is no lid any more.")
              .look("The chip lies level. The tape stays clear of the die.")
              .wrong("It slides", "tape on one side only", "the other edge as well")
              .tools("screwdriver")
              .needs(Supply.POLYIMIDE_TAPE, 6)
              .minutes(3, 6, 12)
              .caution(Caution.BARE_DIE)
              .risk(work.mountRisk())
              .hold("Does the chip lie level, and stay where it is?"));
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
                (work.fixed()
                        ? "Straight down, no sliding. Every screw in by a few threads first, then by"
                            + " the plate's numbers, "
                        : "Straight down, no sliding. Every screw in by a few threads first, then"
                            + " crosswise, ")
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
