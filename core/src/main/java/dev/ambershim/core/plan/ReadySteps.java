package dev.ambershim.core.plan;

import static dev.ambershim.core.plan.Thing.BENCH;
import static dev.ambershim.core.plan.Thing.CHIP;
import static dev.ambershim.core.plan.Thing.LID;
import static dev.ambershim.core.plan.Thing.MACHINE;
import static dev.ambershim.core.plan.Thing.PLATE;

import java.util.List;

/** Before anything is touched: does it run as it should, and is all at hand? */
final class ReadySteps {
  private ReadySteps() {}

  static void add(List<StepDraft> to, WorkCase work) {
    to.add(
        new StepDraft("proof-first", Phase.READY, MACHINE, CHIP, LID, PLATE)
            .title("Proof run at factory settings")
            .action(
                "Set clock, voltage and fans to what the maker set. Run a steady load for half an"
                    + " hour and keep the log in Baseline (Ctrl+J).")
            .reason(
                "A fault that was there before is not yours, and without this figure nobody can say"
                    + " later whether the work helped.")
            .look("Temperatures that settle. No error, no throttling, every core reports.")
            .wrong(
                "It crashes or computes wrong at factory settings",
                "the fault was there before",
                "stop here and find that fault first")
            .wrong(
                "It throttles",
                "the run is too hot to compare",
                "lower the load until it settles below the limit")
            .tools("computer", "a steady load")
            .minutes(5, 10, 20)
            .wait(25, 35, 60, "the run settles", "how long coolant and case take to warm through")
            .record(
                work.ways().takes(Way.BY_HIGHEST)
                    ? "rise of the hottest core, clock, voltage, power, room air"
                    : "mean rise of the cores, clock, voltage, power, room air")
            .holdReading("Did the run settle at factory settings, without a fault?", "rise, K"));
    if (work.settingsOnly()) {
      return;
    }
    to.add(
        new StepDraft("kit", Phase.READY, BENCH)
            .title("Lay out the kit")
            .action(
                "Put everything from the kit list on the bench, on plastic or paper, never on bare"
                    + " aluminium. Good light, a magnifier, two hours without visitors.")
            .reason("You will not want to look for swabs while the die is open.")
            .look("Nothing on the list is missing or past its date.")
            .wrong(
                "Something is missing",
                "you would have to stop with the chip open",
                "get it first; the shopping list has it")
            .tools("magnifier", "lamp", "plastic tray")
            .needs(Supply.GLOVES, 1)
            .minutes(5, 10, 20)
            .hold("Is everything on the list here?"));
    if (work.takesLidOff()
        && work.opener() == Way.VICE_TOOL
        && work.ways().takes(Way.TOOL_TO_COME)) {
      to.add(
          new StepDraft("tool", Phase.READY, BENCH)
              .title("Get the tool")
              .action(
                  "Order or borrow a tool made for this size of substrate. When it is there, try it"
                      + " on the closed chip: the pocket holds the substrate without play.")
              .reason("A tool for another size rides over the edge and bends the substrate.")
              .look("The slider meets the lid's side, not the substrate.")
              .wrong(
                  "The chip rattles in the pocket",
                  "it is the wrong size",
                  "send it back; do not pack it with paper")
              .needs(Supply.TOOL, 1)
              .minutes(5, 15, 30)
              .wait(1440, 4320, 10080, "the tool is on its way", "the seller")
              .hold("Does the tool hold this chip without play?"));
    }
    to.add(
        new StepDraft("power-off", Phase.READY, MACHINE, CHIP, LID, PLATE)
            .title("Switch off, unplug, discharge")
            .action(
                "Shut down. Switch the supply off, pull the plug, press the power button once. Wait"
                    + " a minute, then open the case.")
            .reason("The board keeps a charge for a while, and standby voltage as long as it can.")
            .look("No lamp on the board is lit.")
            .wrong("A lamp stays lit", "it still has power", "find the plug that is still in")
            .minutes(2, 4, 8)
            .caution(Caution.MAINS)
            .hold("Is the plug out and every lamp dark?"));
  }
}
