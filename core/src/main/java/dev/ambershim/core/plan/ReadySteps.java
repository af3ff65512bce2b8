package dev.ambershim.core.plan;

import static dev.ambershim.core.plan.Thing.BENCH;
import static dev.ambershim.core.plan.Thing.CHIP;
import static dev.ambershim.core.plan.Thing.LID;
import static dev.ambershim.core.plan.Thing.MACHINE;
import static dev.ambershim.core.plan.Thing.PLATE;

import java.util.List;

/** Before anything is touched: does it run as it should, and is all at hand? */
final class ReadySteps {
  /** The step at which everything is laid out. */
  static final String KIT = "kit";

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
    to.add(settings());
    if (work.settingsOnly()) {
      return;
    }
    if (work.takesLidOff() || work.fixed() || work.lapsTop()) {
      to.add(warranty(work));
    }
    to.add(
        new StepDraft(KIT, Phase.READY, BENCH)
            .title("Lay out the kit")
            .action(
                "Put every supply and tool on the list on the bench, on plastic or paper, never on"
                    + " bare aluminium. Good light, and two hours without visitors.")
            .reason("You will not want to look for swabs while the die is open.")
            .look("Nothing on the list is missing or past its date.")
            .wrong(
                "Something is missing",
                "you would have to stop with the chip open",
                "get it first; the shopping list has it")
            .tools("plastic tray")
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
    to.add(powerOff(work));
  }

  private static StepDraft settings() {
    return new StepDraft("settings-saved", Phase.READY, MACHINE, CHIP, LID, PLATE)
        .title("Save the board's settings")
        .action(
            "Save them as a profile, or photograph every page: memory, voltages, clocks, fans, boot"
                + " order. Copy what must not be lost off the drive.")
        .reason("A board that is worked on may forget them, and the runs must stay comparable.")
        .look("You could type all of it in again from what you kept.")
        .wrong("It cannot be saved", "the board has no profiles", "photograph each page")
        .tools("camera")
        .minutes(3, 6, 12)
        .record("the settings, or a photo of each page");
  }

  private static StepDraft warranty(WorkCase work) {
    return new StepDraft("warranty", Phase.READY, BENCH)
        .title(work.lapsTop() ? "Lapping ends the warranty" : "Opening ends the warranty")
        .action(
            work.takesLidOff()
                ? "Look up what the maker and the shop say, and until when. A lid that was off"
                    + " can be told."
                : work.lapsTop()
                    ? "Look up what the maker and the shop say, and until when. A lapped lid can be"
                        + " told, and its lettering is gone."
                    : "Look up what the maker and the shop say, and until when. Note seals over screws"
                        + " before you break one.")
        .reason("Afterwards a fault is yours to pay for.")
        .look("You know the date, and would open it all the same.")
        .wrong("It still matters to you", "a fault later would cost you", "leave it closed")
        .minutes(2, 5, 15)
        .caution(Caution.WARRANTY)
        .hold("Do you accept that the warranty ends here?");
  }

  private static StepDraft powerOff(WorkCase work) {
    String action =
        switch (work.chip().seat()) {
          case BOARD ->
              "Shut down fully, not to sleep. Pull the charger or the plug and everything else that"
                  + " is plugged in. Hold the power button for ten seconds.";
          case CARD ->
              "Shut down. Switch the supply off, pull the plug, press the power button once. Wait a"
                  + " minute; a card holds its charge longer than a board.";
          default ->
              "Shut down. Switch the supply off, pull the plug, press the power button once. Wait"
                  + " a minute, then open the case.";
        };
    return new StepDraft("power-off", Phase.READY, MACHINE, CHIP, LID, PLATE)
        .title("Switch off, unplug, discharge")
        .action(action)
        .reason("The board keeps a charge for a while, and standby voltage as long as it can.")
        .look("No lamp on the board is lit.")
        .wrong("A lamp stays lit", "it still has power", "find the plug that is still in")
        .minutes(2, 4, 8)
        .caution(Caution.MAINS)
        .hold("Is the plug out and every lamp dark?");
  }
}
