package dev.ambershim.core.plan;

import static dev.ambershim.core.plan.Thing.BENCH;
import static dev.ambershim.core.plan.Thing.CHIP;
import static dev.ambershim.core.plan.Thing.LID;
import static dev.ambershim.core.plan.Thing.MACHINE;
import static dev.ambershim.core.plan.Thing.PLATE;

import dev.ambershim.core.physics.material.Filling;
import java.util.List;

/** Everything old off, and judged whether it may be used again. */
final class CleaningSteps {
  private CleaningSteps() {}

  static void add(List<StepDraft> to, WorkCase work) {
    if (work.worksOnDie()) {
      if (work.takesLidOff()) {
        sealant(to, work);
      }
      die(to, work);
      if (work.lidReturns()) {
        lid(to, work);
      }
    }
    plate(to, work);
    if (work.metalWasThere() || work.dissolves()) {
      to.add(WasteSteps.after("waste-old", CHIP, LID, PLATE, BENCH));
    }
    if (work.startsDry()) {
      to.add(dryStart());
    }
  }

  private static StepDraft dryStart() {
    return new StepDraft("dry-start", Phase.CLEAN, MACHINE, CHIP, LID, PLATE)
        .title("Dry start: does the chip live?")
        .action(
            "Chip into the socket, held without force. A thin smear of paste on the die, the plate"
                + " laid on by hand. Power on until the board's settings show, then off at once.")
        .reason("Shearing solder kills more chips than all the rest; know it before you film.")
        .look("The settings show the chip and all memory. Half a minute is enough.")
        .wrong(
            "Nothing shows",
            "a contact, a part, or the die",
            "power off; see Rescue (M): contacts first, then the parts around the die")
        .wrong("It gets hot at once", "the plate does not touch", "power off, set it level, again")
        .tools("screwdriver", "lamp")
        .needs(Supply.PASTE, 0.2)
        .needs(Supply.ALCOHOL, 10)
        .needs(Supply.SWABS, 4)
        .minutes(15, 25, 45)
        .caution(Caution.MAINS)
        .record("what it showed")
        .hold("Did it start, and is it out again, wiped clean, unplugged, the socket covered?");
  }

  private static void sealant(List<StepDraft> to, WorkCase work) {
    to.add(
        new StepDraft("sealant-chip", Phase.CLEAN, CHIP)
            .title("Sealant off the substrate")
            .action(
                "Push the sealant off with a plastic or wooden edge, along the line and away from"
                    + " the die. All of it, down to the bare lacquer. Never a blade here.")
            .reason(
                "What stays lifts the lid by just its own thickness, and the joint inside with it.")
            .look("A fingernail drawn over the line meets nothing.")
            .wrong(
                "Copper or gold shows in a scratch",
                "the lacquer is cut",
                "stop; look under the magnifier whether a trace is cut, and note it")
            .wrong("It smears", "the sealant is warm", "let it cool; rub it off with a swab end")
            .tools("plastic edge", "wooden stick")
            .minutes(10, 20, 40)
            .caution(Caution.STATIC)
            .risk(work.openRisk())
            .change(ChipState.Change.SEALANT_OFF)
            .hold("Is every trace of sealant off the substrate?"));
    if (work.lidReturns()) {
      to.add(
          new StepDraft("sealant-lid", Phase.CLEAN, LID)
              .title("Sealant off the lid's rim")
              .action(
                  "Scrape the rim clean with a plastic edge; a blade held flat may do on the metal."
                      + " Go around twice.")
              .reason("A crumb under the rim tilts the lid.")
              .look("The rim shines evenly all around.")
              .wrong(
                  "A burr on the rim", "the blade cut", "rub it flat on wet paper, once or twice")
              .tools("plastic edge")
              .minutes(5, 10, 20)
              .caution(Caution.BLADE));
    }
  }

  private static void die(List<StepDraft> to, WorkCase work) {
    to.add(dieOff(work).change(ChipState.Change.CLEANED));
    boolean polish = work.ways().takes(Way.POLISH_FACES);
    if (polish) {
      to.add(
          new StepDraft("polish-die", Phase.CLEAN, CHIP)
              .title("Polish the die")
              .action(
                  "A dab of polish on a swab, small circles over the silicon only, no pressure,"
                      + " until the swab picks up no more grey.")
              .reason("Traces of solder or crust keep the film from wetting.")
              .look("An even mirror, edges as sharp as before.")
              .wrong("Polish beside the die", "too much", "swab it off before it dries")
              .needs(Supply.POLISH, 0.5)
              .needs(Supply.SWABS, 3)
              .minutes(5, 10, 20)
              .risk(work.openRisk()));
    }
    to.add(
        new StepDraft("alcohol-die", Phase.CLEAN, CHIP)
            .title("Alcohol until the swab stays clean")
            .action(
                "Alcohol of 90 % or more on a lint-free swab: die, substrate, between the parts."
                    + " A fresh swab each time, until it stays white. Then let it dry.")
            .reason(
                work.metalOnDie()
                    ? "Grease and dust keep film and cover from holding."
                    : "Grease and dust keep paste from holding, and from pressing thin.")
            .look("The last swab is white. No lint under the lamp.")
            .wrong("White bloom as it dries", "water in the alcohol", "repeat with fresh alcohol")
            .needs(Supply.ALCOHOL, 10)
            .needs(Supply.SWABS, 8)
            .minutes(5, 10, 20)
            .wait(
                work.fixed() ? 15 : 5,
                work.fixed() ? 30 : 10,
                work.fixed() ? 60 : 20,
                work.fixed() ? "the board dries" : "the chip dries",
                "air and warmth")
            .caution(Caution.SOLVENT)
            .hold("Did the last swab stay clean?"));
    to.add(
        new StepDraft("look-chip", Phase.CLEAN, CHIP)
            .title("Judge die and substrate")
            .action(
                "Magnifier and slanting light over die, substrate and every part. Note each flaw in"
                    + " Clean (Ctrl+4): it says what it means.")
            .reason("A flaw is cheapest to find now.")
            .look("Scratch, chipped edge, gouge, stain, pit, crack, a part loose or gone.")
            .wrong("A flaw that you cannot place", "it may be old", "compare with the first photos")
            .tools("magnifier", "lamp")
            .minutes(3, 5, 10)
            .record("each flaw, with a photo")
            .hold("May die and substrate be used again?"));
  }

  private static StepDraft dieOff(WorkCase work) {
    Filling old = work.before().lidOn() ? work.before().inner().filling() : outer(work);
    if (work.dissolves()) {
      return new StepDraft("solder-die", Phase.CLEAN, CHIP)
          .title("Dissolve the solder")
          .action(
              "One pinhead of liquid metal on the solder, rubbed in with a swab until it turns to"
                  + " mush. Wipe the mush off towards the middle. Repeat drop by drop.")
          .reason("Liquid metal takes indium up; no edge comes near the die.")
          .look("Grey silicon shows. Nothing runs over the die's edge.")
          .wrong(
              "Mush runs onto the substrate",
              "too much at a time",
              "stop it with a dry swab, then alcohol; look between the parts")
          .tools("dropper needle")
          .needs(Supply.METAL, Doses.metalForSolder(work))
          .needs(Supply.SWABS, 12)
          .needs(Supply.BAG, 1)
          .minutes(30, 50, 90)
          .caution(Caution.METAL)
          .risk(Step.CLEAN_SOLDER);
    }
    if (old == Filling.SOLDER) {
      return new StepDraft("solder-die", Phase.CLEAN, CHIP)
          .title("Scrape the solder off")
          .action(
              "A fresh blade lying almost flat on the die, pushed, not pulled, from the edge"
                  + " inwards. Thin shavings, many strokes. Polish or swab off the rest.")
          .reason("Solder is soft and silicon hard, but a tilted corner of steel scratches it.")
          .look("Shavings curl. The blade never leaves the die on the far side.")
          .wrong(
              "A scratch that catches a nail",
              "the blade tilted",
              "new blade, flatter; note the scratch in Clean")
          .wrong(
              "A corner of the die splinters",
              "the blade was under its edge",
              "splinters are sharp: pick them up with tape; note it in Clean")
          .wrong(
              "Shavings between the parts",
              "they short them",
              "tilt and tap the chip, then a soft brush")
          .tools("blades", "soft brush")
          .needs(Supply.SWABS, 4)
          .minutes(30, 45, 80)
          .caution(Caution.BLADE)
          .sketch(Sketch.SCRAPE)
          .risk(Step.CLEAN_SOLDER);
    }
    if (old == Filling.LIQUID_METAL) {
      return new StepDraft("metal-die", Phase.CLEAN, CHIP)
          .title("Old liquid metal off the die")
          .action(
              "Wipe up what is still wet with dry swabs, inwards. Rub the dry crust with a pinhead"
                  + " of fresh liquid metal: it softens and comes off. Then alcohol.")
          .reason(
              "After months part of it has gone into the copper; what is left is a black crust that"
                  + " conducts badly.")
          .look("Grey, even silicon. Every bead beside the die is caught.")
          .wrong(
              "Metal on skin",
              "it stains and irritates",
              "wash it off with soap and water; take rings off first")
          .wrong(
              "Beads roll over the substrate",
              "it was pushed outwards",
              "pick them up with a swab dipped in metal; count the parts around")
          .needs(Supply.METAL, 0.05)
          .needs(Supply.SWABS, 8)
          .needs(Supply.BAG, 1)
          .minutes(10, 20, 40)
          .caution(Caution.METAL)
          .risk(work.metalRisk());
    }
    return new StepDraft("paste-die", Phase.CLEAN, CHIP)
        .title("Paste off the die")
        .action(
            "Swab the paste off dry, from the edge inwards, then with alcohol. Go between the small"
                + " parts with the tip.")
        .reason(
            work.metalOnDie()
                ? "Paste under a film keeps it from wetting."
                : "Old paste under new makes the joint as thick as both.")
        .look("Grey, even silicon with sharp edges.")
        .wrong("Hard crumbs", "the paste has dried out", "let alcohol stand on it for two minutes")
        .wrong("Alcohol runs under parts", "too wet a swab", "half an hour to dry before power")
        .needs(Supply.SWABS, 6)
        .needs(Supply.ALCOHOL, 5)
        .minutes(5, 8, 15)
        .caution(Caution.SOLVENT)
        .risk(work.before().lidOn() ? work.openRisk() : work.mountRisk());
  }

  private static Filling outer(WorkCase work) {
    return work.before().outer().filling();
  }

  private static void lid(List<StepDraft> to, WorkCase work) {
    Filling old = work.before().inner().filling();
    StepDraft off =
        new StepDraft("lid-inside", Phase.CLEAN, LID)
            .title("Old filling off the lid")
            .reason(
                work.metalOnDie()
                    ? "The film must wet the lid as well as the die."
                    : "Old paste under new makes the joint as thick as both.")
            .look("Even metal inside your outline.")
            .minutes(old == Filling.SOLDER ? 20 : 5, old == Filling.SOLDER ? 30 : 8, 45)
            .needs(Supply.SWABS, 5);
    if (old == Filling.SOLDER) {
      off.action(
              "Scrape solder out of the lid with a blade held flat, then rub until no gold or grey"
                  + " patch is left inside the outline.")
          .wrong(
              "A gold patch stays",
              "plating made for solder",
              "rub it off: gold and indium left there make the metal brittle over the years")
          .caution(Caution.BLADE);
    } else if (old == Filling.LIQUID_METAL) {
      off.action(
              "Wipe up what is wet, rub crust with fresh liquid metal, then alcohol. Copper stays"
                  + " silvery: it is an alloy, and does no harm.")
          .wrong(
              "A dry black crust that does not come off",
              "gallium has gone into the metal",
              "wet paper, flat, until it is even")
          .needs(Supply.METAL, 0.05)
          .caution(Caution.METAL);
    } else {
      off.action("Wipe the paste out dry, then with alcohol, corners last.")
          .wrong("A stained patch", "old paste on plating", "leave it if it is smooth")
          .needs(Supply.ALCOHOL, 5)
          .caution(Caution.SOLVENT);
    }
    to.add(off);
    if (work.ways().takes(Way.POLISH_FACES)) {
      to.add(
          new StepDraft("polish-lid", Phase.CLEAN, LID)
              .title("Polish the lid inside")
              .action(
                  "Polish inside the outline with a swab, then wipe all of it off with alcohol.")
              .reason("Crust and solder traces keep the film from wetting.")
              .look("Even shine; no copper shows at the edge of the plating.")
              .wrong("Copper shows", "the plating is through", "no harm; it takes up more metal")
              .needs(Supply.POLISH, 0.5)
              .needs(Supply.SWABS, 3)
              .minutes(5, 8, 15));
    }
    to.add(
        new StepDraft("alcohol-lid", Phase.CLEAN, LID)
            .title("Alcohol on the lid")
            .action("Alcohol on a fresh wipe, inside and rim, until it stays clean. Let it dry.")
            .reason("Grease keeps filling and glue from holding.")
            .look("The wipe stays white.")
            .wrong("It stays grey", "polish or paste in a corner", "a swab for the corners")
            .needs(Supply.ALCOHOL, 5)
            .needs(Supply.WIPES, 3)
            .minutes(3, 5, 10)
            .wait(5, 10, 20, "the lid dries", "air and warmth")
            .caution(Caution.SOLVENT)
            .hold("Did the last wipe stay clean?"));
    to.add(
        new StepDraft("look-lid", Phase.CLEAN, LID)
            .title("Judge the lid")
            .action(
                "Slanting light inside and over the rim. Note stains, pits, black crust and lifted"
                    + " plating in Clean (Ctrl+4).")
            .reason("Lifted plating comes off later, and lifts the joint with it.")
            .look("Plating tight, rim even, no burr.")
            .wrong("Plating lifts at an edge", "it was cut or eaten", "take another lid, or lap it")
            .tools("magnifier", "lamp")
            .minutes(2, 4, 8)
            .record("each flaw, with a photo")
            .hold("May the lid be used again?"));
  }

  private static void plate(List<StepDraft> to, WorkCase work) {
    boolean old = outer(work) == Filling.LIQUID_METAL && !work.newCooler();
    StepDraft clean =
        new StepDraft("plate-clean", Phase.CLEAN, PLATE)
            .title(work.newCooler() ? "Clean the new cold plate" : "Clean the cold plate")
            .reason("Whatever you leave on it ends up in the joint.")
            .look("The wipe stays clean. Your nail meets nothing.")
            .needs(Supply.WIPES, 4)
            .needs(Supply.ALCOHOL, 5)
            .minutes(4, 8, 15)
            .caution(old ? Caution.METAL : Caution.SOLVENT);
    if (work.newCooler()) {
      clean
          .action("Take the film off the new plate. Wipe it with alcohol: it ships with grease.")
          .wrong(
              "A print in the metal", "packing or machining", "leave it if your nail glides over")
          .needs(Supply.COOLER, 1);
    } else if (old) {
      clean
          .action(
              "Wipe up what is wet, rub crust with fresh liquid metal, then alcohol. Bare copper"
                  + " stays silvery, which does no harm.")
          .wrong(
              "Deep black pits", "aluminium or a gap in the plating", "do not use it with metal");
    } else {
      clean
          .action("Dry wipe first, then alcohol until the wipe stays clean. Mind screws and fins.")
          .wrong("Rings that stay", "marks of turning", "leave them; they are part of the plate");
    }
    to.add(clean);
    to.add(
        new StepDraft("plate-look", Phase.CLEAN, PLATE)
            .title("Judge the cold plate")
            .action(
                "Slanting light over the plate. Lay a steel rule across it both ways against the"
                    + " lamp: light under it is a hollow.")
            .reason("A hollow or a lump of plating costs more than any paste wins.")
            .look("Scratch, stain, pit, black crust, lifted plating, hollow or hump.")
            .wrong(
                "It is aluminium",
                "silver-white all through, very light",
                "never with liquid metal: it falls apart")
            .tools("steel rule", "lamp")
            .minutes(2, 4, 8)
            .record("each flaw, with a photo")
            .hold(
                work.metalOnPlate()
                    ? "May the plate be used again, and is it copper or nickel, not aluminium?"
                    : "May the plate be used again?"));
  }
}
