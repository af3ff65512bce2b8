package dev.ambershim.core.plan.rescue;

import static dev.ambershim.core.plan.rescue.Branch.CLEAN;
import static dev.ambershim.core.plan.rescue.Branch.HERE;
import static dev.ambershim.core.plan.rescue.Branch.METER;
import static dev.ambershim.core.plan.rescue.Branch.ask;
import static dev.ambershim.core.plan.rescue.Branch.end;
import static dev.ambershim.core.plan.rescue.Branch.rework;
import static dev.ambershim.core.plan.rescue.Branch.tree;

import dev.ambershim.core.plan.Accident;
import dev.ambershim.core.plan.Caution;
import dev.ambershim.core.plan.Mishap.Harm;
import java.util.List;

/** What a slip of hand, blade or tool has done. */
final class DamageRescues {
  private DamageRescues() {}

  static Rescue partOff() {
    Node shorted =
        ask(
            "Do the two pads where it sat read more than 10 ohms against each other?",
            METER + " Near zero means solder or metal bridges them.",
            ask(
                "Are there other parts of the same size in the same row?",
                "Magnifier. Equal parts side by side usually share one supply.",
                end(
                    Harm.WORSE,
                    "One of many equal capacitors can be missing. Go on; prove it with a long run"
                        + " at full load.",
                    HERE,
                    15),
                rework("It stood alone, so the chip may need it.")),
            rework("The pads are shorted."));
    return tree(
        Accident.PART_OFF,
        Caution.STATIC,
        ask(
            "Did you find the part, whole, and are its pads on the substrate whole?",
            "Magnifier. Look in the sealant, on the lid and on the blade. Keep it on tape.",
            ask(
                "Can you, or someone you know, solder it back?",
                "It takes hot air, flux and a steady hand; a trial on a dead board first.",
                end(
                    Harm.MENDED,
                    "Have it soldered back. Then clean off the flux and look again before you go"
                        + " on.",
                    CLEAN,
                    60),
                shorted),
            shorted),
        "Stop. Put no power on it.",
        "Photograph the place.");
  }

  static Rescue substrateCut() {
    return tree(
        Accident.SUBSTRATE_CUT,
        Caution.STATIC,
        ask(
            "Does copper or gold show in the scratch?",
            "Magnifier and slanting light. Lacquer alone is a dull line of one colour.",
            ask(
                "Is a trace cut through, or do two traces touch?",
                "Magnifier, ten times. Follow each shiny line from one side of the scratch to the"
                    + " other.",
                rework("A cut trace is a lost connection."),
                end(
                    Harm.MENDED,
                    "Seal it with a thin coat of varnish, so that nothing bridges it later. Then go"
                        + " on.",
                    CLEAN,
                    30)),
            end(Harm.NONE, "Only the lacquer is scratched. Note it, and go on.", HERE, 3)),
        "Stop scraping.",
        "Wipe the place with alcohol, so that you can see it.");
  }

  static Rescue dieChipped() {
    return tree(
        Accident.DIE_CHIPPED,
        Caution.BLADE,
        ask(
            "Does a crack run from the chip into the die?",
            "Magnifier, light from the side. A crack is a fine dark line that does not wipe off.",
            end(
                Harm.LOST,
                "A cracked die may start once, and fails when it gets hot. Try it only if you have"
                    + " nothing to lose.",
                HERE,
                5),
            ask(
                "Is the chip smaller than half a millimetre?",
                "Compare it with the width of a pencil lead, which is half a millimetre.",
                end(
                    Harm.WORSE,
                    "Its margin carries no circuits. Pick splinters up with tape, clean it again,"
                        + " and try it before you close it.",
                    List.of("dry-start", "alcohol-die"),
                    15),
                ask(
                    "Does a dry start reach the board's settings?",
                    "Clean it. Chip in, a smear of paste, the plate laid on by hand; half a minute.",
                    end(
                        Harm.WORSE,
                        "It lives. Clean it and go on; prove it with a long run.",
                        CLEAN,
                        30),
                    end(Harm.LOST, "The chip does not start any more.", HERE, 0)))),
        "Stop. Splinters of silicon are sharp: eye protection, pick them up with tape.",
        "Photograph the edge.");
  }

  static Rescue dieScratched() {
    return tree(
        Accident.DIE_SCRATCHED,
        null,
        ask(
            "Does a fingernail catch in it?",
            "Draw the nail across it once, lightly, over a clean die.",
            ask(
                "Does a dry start reach the board's settings?",
                "Chip in, a smear of paste, the plate laid on by hand; half a minute.",
                end(
                    Harm.WORSE,
                    "The back of the die is bare silicon, and it lives. Fill the scratch with the"
                        + " film or paste, and go on.",
                    CLEAN,
                    30),
                end(Harm.LOST, "The chip does not start any more.", HERE, 0)),
            end(
                Harm.NONE,
                "A scratch that no nail feels costs nothing: the back of the die is bare silicon.",
                HERE,
                2)),
        "Stop; take the blade or pad away from the die.");
  }

  static Rescue pinsBent() {
    return tree(
        Accident.PINS_BENT,
        Caution.STATIC,
        ask(
            "Is a pin or contact broken off?",
            "Magnifier, row by row, from two sides. The rows must line up from every side.",
            ask(
                "Do you know that it is one of many for ground or supply?",
                "A map of the contacts tells; without one, take it as a signal.",
                end(
                    Harm.WORSE,
                    "It may run without one of many. Try it, and test all memory and slots.",
                    List.of("chip-in"),
                    30),
                rework("A signal is gone.")),
            ask(
                "Is it straight again, in line from two sides, and equally high?",
                "A needle or a mechanical pencil without lead. Bend once, a little past, never to"
                    + " and fro.",
                end(
                    Harm.MENDED,
                    "Lower the chip without force. If it does not drop in, lift it and look again.",
                    List.of("chip-in"),
                    30),
                end(
                    Harm.WORSE,
                    "Stop before it breaks. Someone with a microscope can set it straight.",
                    List.of("chip-in"),
                    60))),
        "Stop. Do not press the chip in.",
        "Photograph it from straight above and from the side.");
  }

  static Rescue chipStuck() {
    return tree(
        Accident.CHIP_STUCK,
        Caution.FORCE,
        ask(
            "Is a pin bent or broken?",
            "Look along the rows from two sides before you loosen anything.",
            end(
                Harm.WORSE,
                "Loosen it as below, pins free in the air; then see bent pins.",
                List.of("cooler-off"),
                40),
            ask(
                "Does it come off with warmth and a twist?",
                "Warm plate and chip with a hair dryer, slide dental floss into the joint, twist;"
                    + " hold the chip by its edges. Never a blade, never pry.",
                end(
                    Harm.MENDED,
                    "Look at pins and parts, then go on.",
                    List.of("top-clean", "alcohol-die"),
                    20),
                end(
                    Harm.MENDED,
                    "Lay it in alcohol up to the joint for an hour, the contacts dry, and twist"
                        + " again.",
                    List.of("top-clean", "alcohol-die"),
                    90))),
        "Do not push the chip back into the socket with the cooler on it.",
        "Lay the cooler down, chip up.");
  }

  static Rescue screwStripped() {
    return tree(
        Accident.SCREW_STRIPPED,
        Caution.FORCE,
        ask(
            "Does the right driver turn it with a rubber band between, pressed hard?",
            "Take the driver that fills the head. Press more than you turn.",
            end(Harm.MENDED, "Put a new screw in its place, of the same length.", HERE, 15),
            ask(
                "Can the plate be held evenly without it?",
                "Three of four screws tilt a plate: it can not. A cover may do without one.",
                end(
                    Harm.WORSE,
                    "Leave it, and note it. Never on a cold plate or a frame.",
                    HERE,
                    5),
                end(
                    Harm.WORSE,
                    "Have it drilled out, board and chip covered against every chip of metal; then"
                        + " a new screw or nut.",
                    HERE,
                    60))),
        "Stop turning: each slip wears it more.");
  }

  static Rescue lidDropped() {
    return tree(
        Accident.LID_DROPPED,
        null,
        ask(
            "Is the glue still soft, and less than ten minutes old?",
            "Touch a dab of it that lies beside.",
            ask(
                "Is filling smeared over the die's edge, on parts or on the glue's line?",
                "Lift the lid straight up. Magnifier around the die.",
                end(
                    Harm.MENDED,
                    "Clean off filling and glue, all of it, and do both again.",
                    List.of("alcohol-die"),
                    60),
                end(
                    Harm.NONE,
                    "Set it down again, mark to mark, and press it.",
                    List.of("lid-on"),
                    3)),
            ask(
                "Is it off by less than a millimetre, and is its rim level?",
                "Measure from the substrate's edges on two sides.",
                end(
                    Harm.NONE,
                    "Leave it: it covers the die, and force would tear the joint. Let it cure.",
                    HERE,
                    2),
                end(
                    Harm.WORSE,
                    "Let it cure, then open it again as before, and begin with cleaning.",
                    List.of("seat", "cut", "alcohol-die"),
                    120))),
        "Do not slide it: metal or paste goes where it must not.");
  }
}
