package dev.ambershim.core.plan;

import static dev.ambershim.core.plan.Thing.BENCH;
import static dev.ambershim.core.plan.Thing.CHIP;
import static dev.ambershim.core.plan.Thing.LID;
import static dev.ambershim.core.plan.Thing.MACHINE;
import static dev.ambershim.core.plan.Thing.PLATE;

import dev.ambershim.core.physics.assembly.Seat;
import java.util.List;

/** From the cooler to the open chip. */
final class OpeningSteps {
  private OpeningSteps() {}

  static void add(List<StepDraft> to, WorkCase work) {
    MachineSteps.open(to, work);
    to.add(coolerOff(work));
    MachineSteps.pads(to, work);
    if (work.liftsChip()) {
      chipOut(to, work);
    }
    if (work.before().lidOn()) {
      to.add(
          new StepDraft("top-clean", Phase.OPEN, CHIP, LID)
              .title("Clean the top of the lid")
              .action(
                  "Wipe the old paste off with a dry wipe first, then with alcohol, from the rim"
                      + " inwards, until the wipe stays clean.")
              .reason("Paste makes the lid slip in the tool, and gets everywhere later.")
              .look("The lettering can be read. No paste on the rim or beside it.")
              .wrong(
                  "The wipe stays grey",
                  "paste sits in the lettering",
                  "go on; change the wipe more often")
              .needs(Supply.WIPES, 4)
              .needs(Supply.ALCOHOL, 5)
              .minutes(3, 5, 10)
              .caution(Caution.SOLVENT));
    }
    if (work.takesLidOff()) {
      lidOff(to, work);
    }
  }

  private static StepDraft coolerOff(WorkCase work) {
    StepDraft step =
        new StepDraft("cooler-off", Phase.OPEN, MACHINE, CHIP, LID, PLATE)
            .title("Take the cooler off")
            .tools(work.fixed() ? "precision screwdrivers" : "screwdriver")
            .minutes(5, 10, 25)
            .caution(Caution.HOT)
            .change(ChipState.Change.COOLER_OFF);
    if (work.fixed()) {
      return step.action(
              "Loosen the screws by the numbers on the plate, backwards, half a turn each. Lift the"
                  + " plate level; where it sticks, turn it a hair, and wait. Never pry at the die.")
          .reason(
              "Pried up on one side, it breaks the die's corner, and the die cannot be changed.")
          .look("Screws lie on the sketch. The plate comes up level.")
          .wrong(
              "It does not let go",
              "the paste is dry",
              "warm the plate with a hair dryer, then turn it a little to and fro");
    }
    if (work.chip().seat() == Seat.LEVER) {
      return step.action(
              "Run it warm first, then switch off. Loosen the screws crosswise. Twist the cooler to"
                  + " and fro until it lets go, then lift it. Never pull straight up.")
          .reason("The lever cannot hold pins against stuck paste: the chip comes out, pins bend.")
          .look("The chip stays in its socket, the lever still down.")
          .wrong(
              "The chip came out with the cooler",
              "the paste held better than the lever",
              "do not push it back; see Rescue (M) for pins and for a chip stuck to its cooler");
    }
    return step.action(
            "Loosen the screws crosswise, half a turn each. Twist the cooler a little to either"
                + " side until it lets go, then lift it. Never pull straight up.")
        .reason("Cold paste sticks; pulled straight up it can take the chip out of its socket.")
        .look("The chip stays in its socket.")
        .wrong(
            "It does not let go",
            "the paste is cold or dry",
            "run the machine warm again, switch off and unplug, then twist");
  }

  private static void chipOut(List<StepDraft> to, WorkCase work) {
    boolean lever = work.chip().seat() == Seat.LEVER;
    to.add(
        new StepDraft("chip-out", Phase.OPEN, MACHINE, CHIP, LID)
            .title("Take the chip out")
            .action(
                lever
                    ? "Lift the lever fully. Lift the chip by two edges, straight up, and press its"
                        + " pins into stiff foam that conducts."
                    : "Open the socket's clamp. Lift the chip by two edges, straight up, and lay it"
                        + " on soft foam, contacts down.")
            .reason("Nothing is sheared, scraped or brushed over an open socket.")
            .look("Note which corner carries the mark, and where it lay in the socket.")
            .wrong(
                lever ? "A pin is bent" : "A contact in the socket is bent",
                "the chip was tilted",
                "photograph it now; see Rescue (M), and straighten it under a magnifier")
            .tools(lever ? "foam that conducts" : "foam")
            .minutes(2, 4, 8)
            .caution(Caution.STATIC)
            .sketch(Sketch.ORIENTATION));
    to.add(
        new StepDraft("socket-cover", Phase.OPEN, MACHINE)
            .atOnce()
            .title("Cover the socket")
            .action(
                "At once: put the socket's cover on, or lay clean paper over it and tape it down.")
            .reason("One crumb of sealant or a screw in the contacts ends the board.")
            .look("Nothing can fall in.")
            .wrong("Something fell in", "contacts may bend", "lift it out with tweezers, lamp on")
            .tools("tweezers", "lamp")
            .needs(Supply.MASKING_TAPE, 20)
            .minutes(1, 2, 4)
            .hold("Is the socket covered?"));
  }

  private static void lidOff(List<StepDraft> to, WorkCase work) {
    boolean back = work.lidReturns();
    to.add(
        new StepDraft("marks", Phase.OPEN, CHIP, LID)
            .title(back ? "Mark lid and substrate" : "Mark the chip's corner")
            .action(
                back
                    ? "Draw a line over one side of the lid onto the substrate's margin, and a dot"
                        + " at the marked corner. Photograph it from above."
                    : "Draw a dot on the substrate at the marked corner. Photograph the chip from"
                        + " above.")
            .reason(
                back
                    ? "The lid must go back the same way round: its hollow is not the same all over."
                    : "Once the lid is gone, nothing else may tell which way round the chip goes.")
            .look("The marks still show when they are wiped once with alcohol.")
            .wrong(
                "The mark wipes off", "the marker is for paper", "scratch the lid's side lightly")
            .tools("camera")
            .needs(Supply.CRAYON, 0.02)
            .minutes(1, 3, 6)
            .record("a photo from above")
            .holdPhoto(
                back
                    ? "Are line and dot on lid and substrate, and on a photo?"
                    : "Is the corner marked, and on a photo?")
            .sketch(Sketch.ORIENTATION));
    if (work.opener() == Way.BLADE) {
      to.add(
          new StepDraft("cut", Phase.OPEN, CHIP, LID, BENCH)
              .title("Cut the sealant")
              .action(
                  "Push the corner of a thin blade into the sealant at a corner of the lid, held"
                      + " flat against the lid, no deeper than "
                      + depth(work)
                      + ". Saw along one side after the other. Never lever.")
              .reason("Only the sealant holds the lid; traces lie in the substrate just below it.")
              .look("The blade stays against the lid. It meets no hard thing.")
              .wrong(
                  "It meets something hard",
                  "the blade is at a part or in the substrate",
                  "pull it out, and come from the other side")
              .wrong(
                  "Green or gold dust on the blade",
                  "it cuts the substrate",
                  "stop; look under the magnifier before you go on")
              .tools("thin blade")
              .minutes(20, 45, 90)
              .caution(Caution.BLADE)
              .sketch(Sketch.BLADE)
              .risk(Step.OPEN_BLADE)
              .hold("Is the sealant cut on all sides, and the lid free to turn a little?"));
    } else {
      to.add(
          new StepDraft("seat", Phase.OPEN, CHIP, LID, BENCH)
              .title("Seat and clamp the chip")
              .action(
                  "Lay the chip in the tool's pocket, mark to mark. Bring the slider up to the lid"
                      + " by hand. Screw the clamp fully down on the substrate.")
              .reason(
                  "A loose clamp lets the chip rise, and then the edge pushes on the substrate"
                      + " instead of the lid.")
              .look("Push the substrate with a fingertip: it does not move, in no direction.")
              .wrong(
                  "It moves or rattles",
                  "the clamp does not hold",
                  "open, seat it again; never start like this")
              .tools("tool to shear the lid off")
              .needs(Supply.TOOL, 1)
              .minutes(2, 5, 10)
              .caution(Caution.FORCE)
              .sketch(Sketch.SHEAR)
              .risk(work.openRisk())
              .hold("Is the chip fully clamped, without play, and the slider only on the lid?"));
      to.add(work.soldered() ? passes(work) : turns(work));
    }
    to.add(
        new StepDraft("lift", Phase.OPEN, CHIP, LID)
            .title("Lift the lid straight up")
            .action(
                (work.opener() == Way.BLADE ? "" : "Take the chip out of the tool. ")
                    + (work.fixed()
                        ? "Take the lid by two edges and lift it straight up, level."
                        : "Hold the chip by its edges and lift the lid straight up with the other"
                            + " hand.")
                    + " Lay it down inside up.")
            .reason("The lid's rim is lower than the parts beside the die: tilted, it knocks them.")
            .look("It comes without force.")
            .wrong(
                "It still holds",
                "sealant or solder holds at one place",
                work.opener() == Way.BLADE
                    ? "cut there once more, flat; never pry it up"
                    : "back into the tool, from the other side; never pry it up")
            .minutes(1, 2, 5)
            .risk(work.several() ? Step.OPEN_SEVERAL : work.openRisk())
            .change(ChipState.Change.LID_OFF));
    if (back) {
      to.add(lidMark());
    }
    to.add(
        new StepDraft("open-look", Phase.OPEN, CHIP, LID)
            .title("Look at what you opened")
            .action(
                "Magnifier and slanting light: all corners of the die, the substrate around it,"
                    + " every small part, the print in the lid. Photograph all of it.")
            .reason("What broke while opening must be known before anything is cleaned away.")
            .look("Whole corners, no part tilted or gone, no line across the substrate.")
            .wrong(
                "A part is gone or tilted",
                "the lid took it along",
                "look for it in the sealant, keep it, and note its place")
            .wrong(
                "A crack in the die",
                "it was bent or knocked",
                "stop; note it in Clean, it decides there")
            .tools("magnifier", "camera")
            .minutes(3, 6, 12)
            .record("photos of die, substrate and lid; what differs from whole")
            .holdPhoto("Are die, substrate and small parts whole, and photographed?")
            .risk(work.openRisk()));
  }

  private static StepDraft lidMark() {
    return new StepDraft("lid-mark", Phase.OPEN, LID)
        .title("Mark where the die sat")
        .action(
            "Draw around the print of the die inside the lid, a little outside of it, and mark"
                + " the corner that lay over the marked corner.")
        .reason("The filling goes exactly there, and after cleaning the print is gone.")
        .look("The outline lies just outside the print.")
        .wrong("The print is blurred", "the lid slid", "measure from the lid's sides instead")
        .needs(Supply.CRAYON, 0.02)
        .minutes(1, 2, 5);
  }

  private static StepDraft turns(WorkCase work) {
    return new StepDraft("shear", Phase.OPEN, CHIP, LID, BENCH)
        .title("Shear the lid off")
        .action(
            "Turn the screw an eighth of a turn at a time, with a rest between. Go on until the lid"
                + " slides. You may hear a crack, or nothing at all.")
        .reason("Sealant gives way slowly; haste bends the substrate.")
        .look("The lid moves sideways, the substrate does not bow.")
        .wrong(
            "The substrate bows", "it is not clamped flat", "turn back at once, and seat it again")
        .wrong(
            "It gets very hard and nothing moves",
            "cold sealant, or solder that you did not expect",
            "turn back, warm the tool with a hair dryer, check what is under the lid")
        .tools("wrench of the tool")
        .minutes(3, 8, 20)
        .caution(Caution.FORCE)
        .sketch(Sketch.SHEAR)
        .risk(work.openRisk())
        .hold("Has the lid slid free, with the substrate flat?");
  }

  private static StepDraft passes(WorkCase work) {
    return new StepDraft("shear-passes", Phase.OPEN, CHIP, LID, BENCH)
        .title("Shear the solder in passes")
        .action(
            "Turn until the lid has moved half a millimetre. Back off, turn the chip half round,"
                + " clamp it again, push back. Four to eight passes, until it is free.")
        .reason(
            "Solder yields a little each time; pushed through at once it tears the die or its"
                + " corners.")
        .look("Each pass goes easier than the one before. The substrate stays flat.")
        .wrong(
            "A pass gets harder",
            "the slider has met a part or the substrate",
            "back off; look from the side with a lamp")
        .wrong(
            "The substrate bows", "it is not clamped flat", "turn back at once, and seat it again")
        .tools("wrench of the tool", "lamp")
        .minutes(15, 30, 60)
        .caution(Caution.FORCE)
        .sketch(Sketch.SHEAR)
        .risk(work.openRisk())
        .hold("Is the lid free after its passes, with the substrate flat?");
  }

  /** How deep a blade may go: the rim, less a margin. */
  private static String depth(WorkCase work) {
    long tenths = Math.round((work.chip().lid().rimMillimetres() - 0.5) * 10);
    return tenths / 10 + "." + tenths % 10 + " mm";
  }
}
