package dev.ambershim.core.plan;

import static dev.ambershim.core.plan.Thing.CHIP;
import static dev.ambershim.core.plan.Thing.LID;
import static dev.ambershim.core.plan.Thing.MACHINE;
import static dev.ambershim.core.plan.Thing.PLATE;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import java.util.List;

/** The first start, the proof, and what is noted for later. */
final class ProvingSteps {
  private ProvingSteps() {}

  static void add(List<StepDraft> to, WorkCase work, Notation notation) {
    if (work.settingsOnly()) {
      boolean volts = work.option() == OptionKind.LOWER_VOLTAGE;
      to.add(
          new StepDraft("settings", Phase.START, MACHINE, CHIP, LID, PLATE)
              .title(volts ? "Set the voltage lower" : "Set the clock lower")
              .action(
                  volts
                      ? "Lower the core voltage by a small step in the board's settings, restart,"
                          + " run the load for ten minutes. Go on while it computes right."
                      : "Lower the highest clock in the board's settings, restart, run the load for"
                          + " ten minutes.")
              .reason("Heat falls with the square of the voltage, and about so with the clock.")
              .look("No error in ten minutes of load.")
              .wrong("It crashes or computes wrong", "the voltage is too low", "one step back up")
              .minutes(30, 90, 180)
              .record("clock, voltage, how long it ran")
              .hold("Does it compute right at the new setting?"));
    } else {
      to.add(start(work, notation));
    }
    to.add(
        new StepDraft("proof-after", Phase.PROVE, MACHINE, CHIP, LID, PLATE)
            .title("Proof run after the work")
            .action(
                "The same load, clock, voltage and fans as before. Half an hour, the log into Prove"
                    + " (Ctrl+9, then Ctrl+J).")
            .reason("Only equal runs can be compared.")
            .look(
                work.ways().takes(Way.BY_HIGHEST)
                    ? "The hottest core against the one before."
                    : "The mean of the cores against the one before.")
            .wrong(
                "One core far above the rest", "a dry spot in the film", "see Prove for its place")
            .wrong("All are as hot as before", "joint or mount", "mount again before you open it")
            .minutes(5, 8, 15)
            .wait(25, 35, 60, "the run settles", "how long coolant and case take to warm through")
            .record("rise, spread, clock, voltage, power, room air")
            .holdReading("Did the run settle without a fault?", "rise, K"));
    if (!work.settingsOnly()) {
      MachineSteps.dryOut(to, work);
    }
    to.add(
        new StepDraft("note-next", Phase.TIDY, MACHINE)
            .title("Note when to look again")
            .action(
                work.ways().takes(Way.BY_CALENDAR)
                    ? "Put a date twelve months from now into your calendar. Then open it, look at"
                        + " the film, and renew it."
                    : "Make the same run once a month and keep it in Keep. Open it only when the rise"
                        + " has grown by more than you care about.")
            .reason("Metal goes into copper and paste dries; the run tells, a feeling does not.")
            .look("Reference load, room air and figure stand in the job.")
            .wrong("The rise creeps up", "the joint ages", "compare in Prove; renew when it pays")
            .minutes(1, 3, 5));
  }

  private static StepDraft start(WorkCase work, Notation notation) {
    StepDraft step =
        new StepDraft("first-start", Phase.START, MACHINE, CHIP, LID, PLATE)
            .title("First start")
            .action(
                "Fans and pump plugged in? Then power on, straight into the board's settings. Watch"
                    + " the temperature for five minutes without load.")
            .reason("A joint that does not touch shows within seconds, before anything is lost.")
            .look("All memory there, temperature creeping, not jumping; fans turn.")
            .minutes(5, 10, 20)
            .caution(Caution.MAINS)
            .wrong(
                "The chip is not detected, nothing starts",
                work.fixed()
                    ? "a cable, the battery, or a short"
                    : "a contact, the chip turned, or a short",
                work.fixed()
                    ? "power off; look at every plug and ribbon, and for metal; see Rescue (M)"
                    : "power off; take it out, look at marks, contacts and for metal; try again");
    if (work.liftsChip()) {
      step.wrong(
          "Memory or a slot is missing",
          work.bare()
              ? "frame or clamp press unevenly"
              : "the clamp presses unevenly, or a contact",
          "power off; loosen the " + (work.bare() ? "frame" : "clamp") + ", tighten it evenly");
    }
    return step.wrong(
            "Over "
                + notation.whole(80, Unit.CELSIUS)
                + " "
                + notation.symbol(Unit.CELSIUS)
                + " at once",
            work.bare()
                ? "the plate does not touch the die"
                : "cooler not touching, or the pump stands still",
            "power off within seconds; check pump and screws, then mount again")
        .record("idle temperature after five minutes, memory found")
        .holdReading("Is all of it detected, and does it stay cool?", "idle, °C");
  }
}
