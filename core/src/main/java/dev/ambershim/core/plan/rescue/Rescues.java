package dev.ambershim.core.plan.rescue;

import dev.ambershim.core.plan.Accident;
import dev.ambershim.core.plan.Caution;
import dev.ambershim.core.plan.Mishap.Harm;
import dev.ambershim.core.plan.rescue.Node.Ask;
import dev.ambershim.core.plan.rescue.Node.End;
import java.util.List;
import java.util.Optional;

/** The trees, one for each mishap. */
final class Rescues {
  private static final String METER =
      "Power off, battery out. Meter on ohms: one lead on ground, the other on either side of a"
          + " capacitor.";

  private static final List<String> CLEAN = List.of("alcohol-die", "top-clean", "plate-clean");
  private static final List<String> FILM =
      List.of("alcohol-die", "film-top", "paste", "plate-clean");
  private static final List<String> MOUNT = List.of("plate-clean", "paste", "mount");
  private static final List<String> HERE = List.of();

  private Rescues() {}

  static Rescue of(Accident accident) {
    return switch (accident) {
      case PART_OFF -> partOff();
      case SUBSTRATE_CUT -> substrateCut();
      case DIE_CHIPPED -> dieChipped();
      case DIE_SCRATCHED -> dieScratched();
      case METAL_SPILLED_OFF -> spilledOff();
      case METAL_SPILLED_ON -> spilledOn();
      case METAL_RAN -> metalRan();
      case PINS_BENT -> pinsBent();
      case PASTE_IN_SOCKET -> pasteInSocket();
      case NO_START -> noStart();
      case MEMORY_CODE -> memoryCode();
      case CHIP_CODE -> chipCode();
      case HOT_AT_ONCE -> hotAtOnce();
      case CHIP_STUCK -> chipStuck();
      case SCREW_STRIPPED -> screwStripped();
      case LID_DROPPED -> lidDropped();
    };
  }

  private static Rescue tree(Accident accident, Caution caution, Node first, String... stop) {
    return new Rescue(accident, Optional.ofNullable(caution), List.of(stop), first);
  }

  private static Ask ask(String check, String how, Node yes, Node no) {
    return new Ask(check, how, yes, no);
  }

  private static End end(Harm harm, String what, List<String> from, int minutes) {
    return new End(harm, what, from, minutes);
  }

  private static End rework(String what) {
    return end(Harm.LOST, what + " Only someone who solders such parts can mend it.", HERE, 0);
  }

  private static Rescue partOff() {
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

  private static Rescue substrateCut() {
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

  private static Rescue dieChipped() {
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

  private static Rescue dieScratched() {
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

  private static Rescue spilledOff() {
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

  private static Rescue spilledOn() {
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

  private static Rescue metalRan() {
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

  private static Rescue pinsBent() {
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

  private static Rescue pasteInSocket() {
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

  private static Rescue noStart() {
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

  private static Rescue memoryCode() {
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

  private static Rescue chipCode() {
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

  private static Rescue hotAtOnce() {
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

  private static Rescue chipStuck() {
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

  private static Rescue screwStripped() {
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

  private static Rescue lidDropped() {
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
