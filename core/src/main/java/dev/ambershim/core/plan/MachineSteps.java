package dev.ambershim.core.plan;

import static dev.ambershim.core.plan.Thing.BENCH;
import static dev.ambershim.core.plan.Thing.CHIP;
import static dev.ambershim.core.plan.Thing.LID;
import static dev.ambershim.core.plan.Thing.MACHINE;
import static dev.ambershim.core.plan.Thing.PLATE;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.mounting.PadStock;
import java.util.List;

/**
 * The way to the cooler and back where it is more than a case's side panel: laptops, consoles,
 * cards, loops, extreme cold. All of it is common practice; a machine's own service manual comes
 * first.
 */
final class MachineSteps {
  private MachineSteps() {}

  /** From the closed machine to the cooler's screws. */
  static void open(List<StepDraft> to, WorkCase work) {
    switch (work.chip().seat()) {
      case BOARD -> {
        to.add(caseOpen());
        to.add(battery());
        to.add(cables());
      }
      case CARD -> {
        to.add(cardOut());
        to.add(shroud());
      }
      default -> {
        // The case's side panel came off with the power.
      }
    }
    if (work.cooler().kind().ownLoop()) {
      to.add(hoses());
    }
  }

  private static StepDraft caseOpen() {
    return new StepDraft("case-open", Phase.OPEN, MACHINE, CHIP, LID, PLATE)
        .title("Open the case")
        .action(
            "Turn the screws out and lay each on a sketch of the case, by its place and length. Lift"
                + " the cover a little and look for ribbon cables before you pull it away.")
        .reason("A long screw in a short hole goes through the board.")
        .look("Every screw lies on the sketch. Nothing holds the cover but its clips.")
        .wrong("A screw's head is worn", "wrong driver", "stop turning; see Rescue (M)")
        .wrong("The cover does not come", "a screw under a foot or label", "look; never pry")
        .tools("precision screwdrivers", "plastic pry tool", "paper for a sketch", "camera")
        .minutes(5, 12, 30)
        .caution(Caution.STATIC)
        .record("screws by place and length, a photo of the inside")
        .holdPhoto("Does every screw lie on the sketch, by place and length?");
  }

  private static StepDraft battery() {
    return new StepDraft("battery-off", Phase.OPEN, MACHINE, CHIP, LID, PLATE)
        .atOnce()
        .title("Unplug the battery")
        .action(
            "Pull the battery's plug straight out of its connector, by the plug, never the wires."
                + " Hold the power button for ten seconds. A console has only its clock's cell.")
        .reason("With the battery in, the board is live, and the first touch shorts it.")
        .look("The plug is out and bent aside so that it cannot slip back.")
        .wrong("The battery is swollen", "it may burn", "stop; have it replaced before anything")
        .tools("plastic pry tool")
        .minutes(1, 3, 8)
        .caution(Caution.BATTERY)
        .hold("Is the battery unplugged, and the board dead?");
  }

  private static StepDraft cables() {
    return new StepDraft("cables-off", Phase.OPEN, MACHINE, CHIP, LID, PLATE)
        .title("Ribbon and fan cables off")
        .action(
            "Photograph where each runs. Open the latch of a ribbon cable before you draw it out."
                + " Fan plugs come straight up, by the plug.")
        .reason("A torn ribbon or latch is a new board.")
        .look("The cooler and its fans are free of every cable.")
        .wrong("A latch breaks", "it was lifted on the wrong side", "tape holds the ribbon later")
        .tools("tweezers", "camera")
        .minutes(3, 8, 20)
        .caution(Caution.STATIC)
        .record("a photo of every cable");
  }

  private static StepDraft cardOut() {
    return new StepDraft("card-out", Phase.OPEN, MACHINE, CHIP, LID, PLATE)
        .title("Take the card out")
        .action(
            "Pull its power plugs. Undo its screws, press the slot's latch, draw the card straight"
                + " out. Lay it on foam, cooler down.")
        .reason("A card that hangs by one end cracks the slot or itself.")
        .look("No cable holds it. The slot is whole.")
        .wrong("It does not come", "the latch is still shut", "press the latch; never rock it")
        .tools("screwdriver", "foam")
        .minutes(3, 6, 12)
        .caution(Caution.STATIC);
  }

  private static StepDraft shroud() {
    return new StepDraft("shroud-off", Phase.OPEN, MACHINE, CHIP, LID, PLATE)
        .title("Screws by place and length")
        .action(
            "Lay every screw of plate and bracket on a sketch of the card, by place and length. Free"
                + " the fan's and lamp's plugs before the cooler is lifted.")
        .reason("A long screw in a short hole cracks the board; a wire tears when it is lifted.")
        .look("Only the screws around the chip still hold the cooler.")
        .wrong("A screw sits under a seal", "the warranty's mark", "see the warranty step")
        .tools("precision screwdrivers", "paper for a sketch", "camera")
        .minutes(4, 8, 20)
        .caution(Caution.STATIC)
        .record("screws by place and length")
        .holdPhoto("Does every screw lie on the sketch, and is every plug free?");
  }

  private static StepDraft hoses() {
    return new StepDraft("loop-aside", Phase.OPEN, MACHINE, CHIP, LID, PLATE)
        .title("Drain the loop, or bend it aside")
        .action(
            "If the hoses let you, turn the block aside with them on. Else drain the loop at its"
                + " lowest place into a bowl, and lay paper under every joint that you open.")
        .reason("Water on the board is worse than any paste.")
        .look("The block lifts without a hose pulling at it. Nothing drips.")
        .wrong("Water on the board", "a joint was not empty", "no power for two days; let it dry")
        .tools("bowl", "paper towels")
        .minutes(5, 20, 60)
        .hold("Is the block free, and every paper towel dry?");
  }

  /** What the neighbours' pads were like. */
  static void pads(List<StepDraft> to, WorkCase work) {
    if (work.fixed()) {
      to.add(
          new StepDraft("pads-note", Phase.OPEN, MACHINE, CHIP, PLATE)
              .title("Note the pads of the neighbours")
              .action(
                  "For memory, power stages and what else the plate cools: note where each pad or"
                      + " putty lies, on which side it stuck, and how thick it is.")
              .reason(
                  "A pad that is too thick holds the plate off the die; too thin cools nothing.")
              .look("Every print on the plate has its figure.")
              .wrong(
                  "A pad tears or crumbles", "it is old", "measure its pressed print, replace it")
              .tools("caliper", "plastic edge", "camera")
              .minutes(5, 10, 25)
              .record("place and thickness of each pad, mm; a photo")
              .holdPhoto("Is each pad's place and thickness written down?"));
      to.add(
          new StepDraft("board-cover", Phase.OPEN, MACHINE, CHIP)
              .title("Cover the board around the chip")
              .action(
                  "Cut a window for the chip into paper and tape it down on the board, so that no"
                      + " crumb, drop or tool can reach a part.")
              .reason("The chip cannot be lifted away, so the board must be kept clean.")
              .look("Only die and substrate can be seen.")
              .wrong("It shifts", "it is not stuck", "tape it at all four sides")
              .needs(Supply.MASKING_TAPE, 60)
              .minutes(3, 6, 12)
              .hold("Is the board covered up to the substrate?"));
    }
  }

  private static String padded(Double gapMillimetres, Notation notation) {
    String end = " Foils off both sides. In doubt take putty, which gives way.";
    if (gapMillimetres == null) {
      return "Cut each pad to its part, of the thickness that you noted; pressed, it loses about a"
          + " fifth."
          + end;
    }
    return PadStock.forGap(gapMillimetres)
        .map(
            pad ->
                "For your gap of "
                    + notation.text(gapMillimetres, Unit.MILLIMETRE)
                    + " cut pads of "
                    + notation.text(pad.sheetMillimetres(), Unit.MILLIMETRE)
                    + "; pressed, they lose "
                    + Math.round(100 * pad.squeezedShare())
                    + " %."
                    + end)
        .orElse(
            "No pad on sale fits your gap of "
                + notation.text(gapMillimetres, Unit.MILLIMETRE)
                + ": press putty into it.");
  }

  /** The pads go on again, and must not hold the plate off the die. */
  static void dryFit(List<StepDraft> to, WorkCase work, Notation notation) {
    if (!work.fixed()) {
      return;
    }
    to.add(
        new StepDraft("pads-on", Phase.MEASURE, MACHINE, PLATE)
            .title("Pads on the neighbours")
            .action(padded(work.terms().mounting().padGapMillimetres(), notation))
            .reason("Memory and power stages get hot first when a pad is missing.")
            .look("Each part on your list has its pad.")
            .wrong("A thickness is not to be had", "stock comes in steps", "putty, or two pads")
            .tools("scissors")
            .needs(Supply.PADS, 1)
            .minutes(5, 15, 40)
            .hold("Has every part on the list its pad?"));
    to.add(
        new StepDraft("pads-print", Phase.MEASURE, MACHINE, CHIP, PLATE)
            .title("Does the die touch before the pads?")
            .action(
                "A dab of paste on the die. Set the plate down, screws to their stops, lift it again. The"
                    + " print must be thin to the die's corners. Wipe both clean with alcohol.")
            .reason("Pads must not hold the plate off the die; you see it only on a print.")
            .look("A thin even print over all of the die. Pads are pressed, too.")
            .wrong("The print is thick", "a pad holds the plate off", "a thinner pad, or putty")
            .wrong("A part left no print in its pad", "the pad is too thin", "the next thickness")
            .tools("screwdriver")
            .needs(Supply.PASTE, 0.2)
            .needs(Supply.WIPES, 2)
            .needs(Supply.ALCOHOL, 5)
            .minutes(8, 15, 30)
            .caution(Caution.BARE_DIE)
            .risk(work.mountRisk())
            .holdPhoto("Is the print on the die thin to all corners, and then wiped off?"));
  }

  /** Lower standoffs or other screws, where a plate goes down onto a die that had a lid. */
  static void standoffs(List<StepDraft> to, WorkCase work, String down) {
    to.add(
        new StepDraft("standoffs", Phase.MEASURE, MACHINE, PLATE)
            .title("Lower the cooler's mount")
            .action(
                "The plate must come down by "
                    + down
                    + ". Fit shorter standoffs, or longer screws and softer springs, as the mount"
                    + " allows. Try it with nothing under the plate.")
            .reason("On standoffs made for the lid the plate hangs above the die.")
            .look("The plate can go lower than the die by a few tenths, and still be pressed.")
            .wrong("The screws bottom out", "they are too long", "shorter ones, or washers")
            .wrong("It does not reach", "the mount ends there", "leave the lid on")
            .tools("screwdriver", "depth gauge", "standoffs or screws that fit")
            .minutes(10, 20, 45)
            .record("how far it comes down, mm")
            .holdReading("Does the plate come down far enough, pressed all the way?", "mm"));
  }

  /** The board under a pot far below zero. */
  static void insulate(List<StepDraft> to, WorkCase work) {
    if (work.cold()) {
      to.add(
          new StepDraft("insulate", Phase.CLOSE, MACHINE)
              .title("Insulate the board")
              .action(
                  "Coat contacts around the socket, and press closed-cell foam over board, back and"
                      + " pot without a gap. Paper towels catch what runs off.")
              .reason("Air that reaches cold metal leaves water, and water shorts the board.")
              .look("No bare metal within a hand of the socket, front and back.")
              .wrong("Frost or drops appear", "air gets in", "power off, warm up, seal it again")
              .needs(Supply.INSULATION, 1)
              .minutes(30, 60, 120)
              .caution(Caution.COLD)
              .hold("Is the board sealed from air, front and back?"));
    }
  }

  /** From the mounted cooler to a machine that can be switched on. */
  static void close(List<StepDraft> to, WorkCase work) {
    if (work.cooler().kind().ownLoop()) {
      to.add(
          new StepDraft("loop-fill", Phase.MOUNT, MACHINE, CHIP, LID, PLATE)
              .title("Fill the loop and look for leaks")
              .action(
                  "Fill it, then run the pump alone, the board without power. Paper towels under"
                      + " every joint. Tip the case until no more air comes.")
              .reason("A leak shows on paper before it shows on the board.")
              .look("Dry paper after the wait, the level still.")
              .wrong("A towel is wet", "a joint leaks", "stop the pump; tighten or renew its ring")
              .tools("paper towels", "supply for the pump alone")
              .minutes(5, 15, 40)
              .wait(30, 60, 240, "the loop shows leaks", "how many joints were opened")
              .hold("Is every paper towel dry?"));
    }
    switch (work.chip().seat()) {
      case BOARD ->
          to.add(
              new StepDraft("case-close", Phase.MOUNT, MACHINE, CHIP, LID, PLATE)
                  .title("Cables on, battery last, case closed")
                  .action(
                      "Uncover the board. Fan and ribbon cables by your photo, latches shut. Then the"
                          + " battery. Cover on, each screw from the sketch to its place.")
                  .reason("A fan that is not plugged in cooks the chip in seconds.")
                  .look("No screw and no cable is left over.")
                  .wrong("A screw is left over", "it is inside, or forgotten", "open it, look")
                  .tools("precision screwdrivers")
                  .minutes(8, 15, 30)
                  .caution(Caution.BATTERY)
                  .hold("Is every cable in, and no screw left over?"));
      case CARD ->
          to.add(
              new StepDraft("card-in", Phase.MOUNT, MACHINE, CHIP, LID, PLATE)
                  .title("Card together and back in its slot")
                  .action(
                      "Uncover the board. Fan plugs in, screws from the sketch to their places. Card"
                          + " straight into the slot until the latch clicks, then its power plugs.")
                  .reason("A half-seated card or plug gets hot.")
                  .look("Latch shut, plugs fully home, no screw left over.")
                  .wrong("A screw is left over", "it is inside, or forgotten", "open it, look")
                  .tools("screwdriver")
                  .minutes(6, 12, 25)
                  .hold("Is the latch shut, and no screw left over?"));
      default -> {
        // Nothing was taken apart but the cooler.
      }
    }
  }

  /** After extreme cold the board is wet, whether it looks so or not. */
  static void dryOut(List<StepDraft> to, WorkCase work) {
    if (work.cold()) {
      to.add(
          new StepDraft("dry-out", Phase.TIDY, MACHINE, BENCH)
              .title("Warm up and dry out")
              .action(
                  "Power off. Let the pot warm up by itself, foam still on, a fan at the board. Then"
                      + " foam off, and dry it for a day before it gets power again.")
              .reason("What was frozen melts into the contacts after you have gone.")
              .look("No drop under the foam, none in the socket.")
              .wrong("Water in the socket", "the seal was open", "alcohol, air, another day")
              .needs(Supply.WIPES, 5)
              .needs(Supply.ALCOHOL, 10)
              .minutes(10, 20, 40)
              .wait(720, 1440, 2880, "the board dries", "how wet it was, air and warmth")
              .caution(Caution.COLD)
              .hold("Is the board dry, front, back and socket?"));
    }
  }
}
