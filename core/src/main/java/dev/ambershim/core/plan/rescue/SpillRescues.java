package dev.ambershim.core.plan.rescue;

import static dev.ambershim.core.plan.rescue.Branch.FILM;
import static dev.ambershim.core.plan.rescue.Branch.METER;
import static dev.ambershim.core.plan.rescue.Branch.ask;
import static dev.ambershim.core.plan.rescue.Branch.end;
import static dev.ambershim.core.plan.rescue.Branch.rework;
import static dev.ambershim.core.plan.rescue.Branch.tree;

import dev.ambershim.core.plan.Accident;
import dev.ambershim.core.plan.Caution;
import dev.ambershim.core.plan.Mishap.Harm;
import java.util.List;

/** What lies where it must not. */
final class SpillRescues {
  private SpillRescues() {}

  static Rescue spilledOff() {
    return tree(
        Accident.METAL_SPILLED_OFF,
        Caution.METAL,
        ask(
            "Is all of it picked up, seen by magnifier, with the light from the side?",
            "Pick beads up with a swab dipped in metal, or a syringe. Then alcohol, away from the"
                + " chip. Look under and between parts.",
            ask(
                "Did any of it touch bare aluminium or a contact of the socket?",
                "Heat sinks, frames and coolers may be aluminium; it turns grey and crumbles.",
                ask(
                    "Is the contact or part clean, even and dry under the magnifier?",
                    "Wipe it with alcohol twice, with fresh swabs. Aluminium that was wetted stays"
                        + " suspect.",
                    end(
                        Harm.MENDED,
                        "Go on. Look at the aluminium again in a week: what crumbles is replaced.",
                        FILM,
                        40),
                    rework("A wetted contact or a crumbling part is not safe to power.")),
                end(Harm.MENDED, "Nothing is left of it. Fresh gloves, and go on.", FILM, 20)),
            end(
                Harm.WORSE,
                "Leave the board off. Take it apart as far as you need to reach every bead, and"
                    + " begin this again.",
                FILM,
                60)),
        "Stop. No power: pull plug and battery before anything else.",
        "Do not wipe: it spreads. Do not blow: it scatters.");
  }

  static Rescue spilledOn() {
    return tree(
        Accident.METAL_SPILLED_ON,
        Caution.MAINS,
        ask(
            "Did anything smoke, spark or smell?",
            "Look and smell at a distance, with the power off.",
            ask(
                "Do the big capacitors around the chip read more than a few ohms to ground?",
                METER + " Well under 1 ohm on every one is a short.",
                end(
                    Harm.WORSE,
                    "It may have survived. Pick up every bead as for a board without power, and"
                        + " try it outside the case first.",
                    FILM,
                    90),
                rework("Something is shorted.")),
            end(
                Harm.WORSE,
                "Pick up every bead as for a board without power, wash with alcohol, dry an hour,"
                    + " then measure to ground before you power it.",
                FILM,
                90)),
        "Power off at the wall, not by the button. Battery out.",
        "Touch nothing for a minute: the supply keeps a charge.");
  }

  static Rescue metalRan() {
    return tree(
        Accident.METAL_RAN,
        Caution.METAL,
        ask(
            "Is every bead inside the cover or on bare lacquer?",
            "Lift the cooler. Magnifier around the die, and under it if the board stood upright.",
            end(
                Harm.MENDED,
                "It harmed nothing. Pick it up, clean die and cover, and film it again with less.",
                FILM,
                45),
            ask(
                "Do the parts that it touches read more than 10 ohms across?",
                METER,
                end(
                    Harm.MENDED,
                    "Pick it up, wash with alcohol, cover those parts, and film it again with"
                        + " less.",
                    List.of("cover", "mask", "alcohol-die"),
                    60),
                ask(
                    "Do they after all of it is picked up and washed?",
                    "Pick it up with a swab dipped in metal, wash twice with alcohol, dry, measure"
                        + " again.",
                    end(
                        Harm.MENDED,
                        "The short is gone. Cover those parts, and film it again with less.",
                        List.of("cover", "mask", "alcohol-die"),
                        60),
                    rework("The short stays, so it lies under a part or inside.")))),
        "Power off, plug and battery out.",
        "Keep the board flat, so that it runs no further.");
  }

  static Rescue pasteInSocket() {
    return tree(
        Accident.PASTE_IN_SOCKET,
        Caution.SOLVENT,
        ask(
            "Is it liquid metal, or a paste with metal in it?",
            "Its label says so. Silver-bright and rolling is liquid metal.",
            rework("Metal between the contacts shorts them, and it cannot be swabbed out."),
            ask(
                "Is it off every contact, under the magnifier?",
                "Drip alcohol on it, let it run off with the board held upside down, again and"
                    + " again. Never a swab or a brush: contacts hook on.",
                end(
                    Harm.MENDED,
                    "Dry it for two hours, look at every contact, and go on.",
                    List.of("chip-in", "alcohol-die"),
                    150),
                end(
                    Harm.WORSE,
                    "Plain paste does not conduct: a trace of it does no harm, a lump keeps a"
                        + " contact open. Repeat it once more.",
                    List.of("chip-in", "alcohol-die"),
                    60))),
        "Power stays off.",
        "Do not press the chip into it.");
  }
}
