package dev.ambershim.core.plan.rescue;

import static dev.ambershim.core.plan.rescue.Branch.HERE;
import static dev.ambershim.core.plan.rescue.Branch.METER;
import static dev.ambershim.core.plan.rescue.Branch.MOUNT;
import static dev.ambershim.core.plan.rescue.Branch.ask;
import static dev.ambershim.core.plan.rescue.Branch.end;
import static dev.ambershim.core.plan.rescue.Branch.rework;
import static dev.ambershim.core.plan.rescue.Branch.tree;

import dev.ambershim.core.plan.Accident;
import dev.ambershim.core.plan.Caution;
import dev.ambershim.core.plan.Mishap.Harm;
import java.util.List;

/** A machine that does not start as it should. */
final class StartRescues {
  private StartRescues() {}

  static Rescue noStart() {
    Node contacts =
        ask(
            "Does it start with the chip taken out and seated again?",
            "Look at marks, contacts and pins under the lamp, tighten the clamp or frame evenly.",
            end(Harm.MENDED, "It was the seat. Go on.", List.of("first-start"), 25),
            ask(
                "Do the capacitors around the die read more than a few ohms to ground?",
                METER,
                ask(
                    "Does the board start with another chip, or the chip on another board?",
                    "A friend or a shop may have one that fits.",
                    end(
                        Harm.LOST,
                        "Whichever does not run elsewhere is dead. Note which.",
                        HERE,
                        60),
                    end(Harm.LOST, "Chip or board is dead. A shop can tell which.", HERE, 60)),
                rework("Something is shorted: metal or a part.")));
    return tree(
        Accident.NO_START,
        Caution.MAINS,
        ask(
            "Are all plugs in, the supply on, and do fans or a lamp react?",
            "Board supply, chip supply, front button, battery, ribbon cables. Fans twitch on most.",
            ask(
                "Does it start with the settings cleared and one memory module?",
                "Power off, plug out. Clear the settings as the board's manual says, then try.",
                end(
                    Harm.MENDED,
                    "It was the settings or memory. Put your saved settings back.",
                    List.of("first-start"),
                    20),
                contacts),
            ask(
                "Does it react after every plug was pushed in again?",
                "Plug out first. Push each plug in until it clicks, the chip's supply above all.",
                end(Harm.MENDED, "A plug was loose. Go on.", List.of("first-start"), 10),
                contacts)),
        "Power off at the wall.",
        "Do not press the button again and again.");
  }

  static Rescue memoryCode() {
    return tree(
        Accident.MEMORY_CODE,
        Caution.MAINS,
        ask(
            "Does all memory show with the cooler and clamp or frame loosened and set evenly?",
            "Plug out. Loosen crosswise, tighten by small turns; uneven force lifts contacts.",
            end(Harm.MENDED, "It was uneven force. Go on.", List.of("first-start"), 20),
            ask(
                "Does one module run in each slot by itself?",
                "Try one module in one slot after the other.",
                end(
                    Harm.MENDED,
                    "It was a module or its seat. Wipe its contacts with alcohol, push it in"
                        + " fully.",
                    List.of("first-start"),
                    20),
                ask(
                    "Is a contact or pin bent, dirty or gone for that slot?",
                    "Take the chip out. Lamp and magnifier over socket and chip.",
                    end(
                        Harm.WORSE,
                        "Clean or straighten it: see bent pins or paste in the socket.",
                        List.of("chip-in", "first-start"),
                        40),
                    end(
                        Harm.WORSE,
                        "A part or trace for that slot may be hurt. It runs with the slots that"
                            + " work.",
                        HERE,
                        10)))),
        "Power off, plug out.");
  }

  static Rescue chipCode() {
    return tree(
        Accident.CHIP_CODE,
        Caution.MAINS,
        ask(
            "Does it start with settings cleared?",
            "Plug out. Clear the settings as the board's manual says.",
            end(
                Harm.MENDED,
                "It was a setting. Put your saved settings back one by one.",
                List.of("first-start"),
                15),
            ask(
                "Is the chip the right way round, its contacts clean, every part beside the die"
                    + " there?",
                "Take it out. Marks, contacts, magnifier around the die against your first photos.",
                ask(
                    "Does it start when seated again with even force?",
                    "Clamp or frame by small turns, crosswise.",
                    end(Harm.MENDED, "It was the seat. Go on.", List.of("first-start"), 20),
                    end(
                        Harm.LOST,
                        "Try chip and board apart, with parts that are known to run.",
                        HERE,
                        60)),
                end(
                    Harm.WORSE,
                    "Clean or mend what you found: see bent pins, or a part knocked off.",
                    List.of("chip-in", "first-start"),
                    40))),
        "Power off, plug out.");
  }

  static Rescue hotAtOnce() {
    return tree(
        Accident.HOT_AT_ONCE,
        Caution.HOT,
        ask(
            "Do all fans and the pump run?",
            "See or feel them. A pump hums; its hose gets warm within a minute or two.",
            ask(
                "Is the cooler level, with every screw at its stop?",
                "Compare the gap under the bracket at all four corners.",
                ask(
                    "Does the print, with the cooler lifted, cover the whole die or its shadow?",
                    "Lift the cooler. Thick on one side is tilt; a bare corner is a gap.",
                    end(
                        Harm.WORSE,
                        "The outer joint is sound. Then it is the inner one, or a sensor: see why"
                            + " it is hot in Prove.",
                        MOUNT,
                        30),
                    end(
                        Harm.MENDED,
                        "Clean it and mount it again. If the plate does not come down to the die,"
                            + " check standoffs, frame and pads.",
                        List.of("standoffs", "pads-on", "plate-clean", "paste", "mount"),
                        40)),
                end(Harm.MENDED, "Loosen all, set it level, tighten crosswise.", MOUNT, 20)),
            end(
                Harm.MENDED,
                "Plug them in, or bleed the loop. A fan or pump that stands cooks the chip.",
                List.of("first-start"),
                15)),
        "Power off within seconds.",
        "Let it cool until you can touch it.");
  }
}
