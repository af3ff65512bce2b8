package dev.ambershim.core.plan;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.material.Filling;

/**
 * What a plan is made for.
 *
 * @param chip the chip
 * @param cooler the cooler
 * @param before the build before the work
 * @param after the build after it
 * @param ways what was planned, and how the person works
 * @param terms what is known of metal, cover, glue, paste, screws and heights
 */
public record WorkCase(
    Chip chip, Cooler cooler, Build before, Build after, Ways ways, WorkTerms terms) {
  /** A case of which nothing more is known. */
  public WorkCase(Chip chip, Cooler cooler, Build before, Build after, Ways ways) {
    this(chip, cooler, before, after, ways, WorkTerms.USUAL);
  }

  /** How much it takes, and what bars it. */
  public Doses doses() {
    return Doses.of(this);
  }

  /** What is to be done: as planned, unless the builds say that it cannot be that. */
  public OptionKind option() {
    return ways.option() != null && fits(ways.option()) ? ways.option() : guess();
  }

  /** The option in words. */
  public String words() {
    return option().words(after.lidOn());
  }

  private boolean fits(OptionKind planned) {
    boolean stays = before.lidOn() == after.lidOn();
    boolean same = stays && after.inner().equals(before.inner());
    return switch (planned) {
      case LOWER_VOLTAGE, LOWER_CLOCK -> after.equals(before);
      case FRESH_PASTE, BETTER_COOLER, LAP_PLATE -> same && !metal(after);
      case LAP_TOP -> same && after.lidOn() && !metal(after);
      case METAL_ON_LID -> same && after.lidOn() && metal(after);
      case METAL_UNGLUED, METAL_GLUED, METAL_LAPPED, COPPER_LID ->
          stays && after.lidOn() && metalInside(after);
      case METAL_RENEWED ->
          stays && repeat() && (after.lidOn() ? metalInside(after) : metal(after));
      case PASTE_INSIDE -> after.lidOn() && !metalInside(after);
      case METAL_ON_DIE -> !before.lidOn() && !after.lidOn() && metal(after);
      case BARE, BARE_LAPPED ->
          !after.lidOn() && (before.lidOn() || planned == OptionKind.BARE_LAPPED);
    };
  }

  private static boolean metal(Build build) {
    return build.outer().filling() == Filling.LIQUID_METAL;
  }

  private static boolean metalInside(Build build) {
    return build.inner().filling() == Filling.LIQUID_METAL;
  }

  /** By the builds alone: whether what lies under the lid changes. */
  private boolean opens() {
    return before.lidOn() ? !after.lidOn() || !after.inner().equals(before.inner()) : after.lidOn();
  }

  private OptionKind guess() {
    if (opens()) {
      if (!after.lidOn()) {
        return OptionKind.BARE;
      }
      if (!metalInside(after)) {
        return OptionKind.PASTE_INSIDE;
      }
      if (before.lidOn() && metalInside(before)) {
        return OptionKind.METAL_RENEWED;
      }
      return ways.takes(Way.SEAL_NONE) ? OptionKind.METAL_UNGLUED : OptionKind.METAL_GLUED;
    }
    if (!after.lidOn() && metal(after)) {
      return metal(before) ? OptionKind.METAL_RENEWED : OptionKind.METAL_ON_DIE;
    }
    return metal(after) && !metal(before) ? OptionKind.METAL_ON_LID : OptionKind.FRESH_PASTE;
  }

  /** Whether only settings are changed, and nothing is taken apart. */
  public boolean settingsOnly() {
    return option() == OptionKind.LOWER_VOLTAGE || option() == OptionKind.LOWER_CLOCK;
  }

  /** Whether the cooler is changed for another. */
  public boolean newCooler() {
    return option() == OptionKind.BETTER_COOLER;
  }

  /** Whether the chip never leaves its board. */
  public boolean fixed() {
    return chip.seat().soldered();
  }

  /** Whether die and substrate are worked on. */
  public boolean worksOnDie() {
    return !settingsOnly() && (takesLidOff() || !before.lidOn());
  }

  /** Whether the chip comes out of its socket: for all work on the die but a wipe and paste. */
  public boolean liftsChip() {
    boolean wiped = !before.lidOn() && !after.lidOn() && !metalOnDie() && !repeat() && !lapsDie();
    return !fixed() && (lapsTop() || (worksOnDie() && !wiped));
  }

  /** Whether the work makes a chip with a lid one without. */
  public boolean goesBare() {
    return before.lidOn() && !after.lidOn();
  }

  /** Whether the lid comes off and goes on again. */
  public boolean lidReturns() {
    return closes() && takesLidOff() && !newLid();
  }

  /**
   * Whether the die is filmed where it will run: a lidless chip is seated and held before it is
   * filmed, and no clamp moves over a wet film.
   */
  public boolean filmedInSocket() {
    return !fixed() && metalOnDie() && (bare() || seal() == Way.SEAL_NONE);
  }

  /** Whether paste goes between die and lid. */
  public boolean pasteOnDieUnderLid() {
    return closes() && !metalOnDie();
  }

  /** Whether a lid that stays on is lapped on its top. */
  public boolean lapsTop() {
    return option() == OptionKind.LAP_TOP;
  }

  /** Whether the cold plate is lapped. */
  public boolean lapsPlate() {
    return option() == OptionKind.LAP_PLATE;
  }

  /** Whether a dry start tells if the chip lives before it is closed: where solder was sheared. */
  public boolean startsDry() {
    return takesLidOff() && soldered() && !fixed();
  }

  /** Whether the cooler takes the chip far below zero. */
  public boolean cold() {
    return cooler.kind() == CoolerClass.COLD_POT;
  }

  /** Whether the lid is taken off. */
  public boolean takesLidOff() {
    return option().opens() && before.lidOn();
  }

  /** Whether the work is on the bare die, at its end. */
  public boolean bare() {
    return !after.lidOn();
  }

  /** Whether a lid is put on. */
  public boolean closes() {
    return option().opens() && after.lidOn();
  }

  /** Whether the lid is held by solder. */
  public boolean soldered() {
    return before.lidOn() && before.inner().filling() == Filling.SOLDER;
  }

  /** Whether old liquid metal lies on die or lid from an earlier time. */
  public boolean repeat() {
    return before.lidOn()
        ? before.inner().filling() == Filling.LIQUID_METAL
        : before.outer().filling() == Filling.LIQUID_METAL;
  }

  /** Whether liquid metal from an earlier time lies on anything that is cleaned. */
  public boolean metalWasThere() {
    boolean onPlate = before.outer().filling() == Filling.LIQUID_METAL && !settingsOnly();
    return onPlate || (worksOnDie() && repeat());
  }

  /** Whether solder is dissolved with liquid metal. */
  public boolean dissolves() {
    return takesLidOff() && soldered() && ways.takes(Way.DISSOLVE);
  }

  /** Whether more than one die lies under the lid. */
  public boolean several() {
    return chip.dies().size() > 1;
  }

  /** Whether liquid metal goes onto the die. */
  public boolean metalOnDie() {
    if (settingsOnly()) {
      return false;
    }
    return after.lidOn() ? option().opens() && metalInside(after) : metal(after);
  }

  /** Whether liquid metal goes between lid and cold plate. */
  public boolean metalOnLid() {
    return after.lidOn() && !settingsOnly() && metal(after);
  }

  /** Whether liquid metal meets the cold plate. */
  public boolean metalOnPlate() {
    return metalOnLid() || (bare() && metalOnDie());
  }

  /** Whether the cold plate is pasted. */
  public boolean pasted() {
    return !settingsOnly() && after.outer().filling() != Filling.LIQUID_METAL;
  }

  /** Whether the lid is a new one. */
  public boolean newLid() {
    return option() == OptionKind.COPPER_LID;
  }

  /** Whether the lid is lapped. */
  public boolean lapsLid() {
    return option() == OptionKind.METAL_LAPPED;
  }

  /** Whether the die is lapped. */
  public boolean lapsDie() {
    return option() == OptionKind.BARE_LAPPED;
  }

  /** How the lid comes off; solder cannot be cut, and no tool holds a chip on its board. */
  public Way opener() {
    if (soldered()) {
      return Way.VICE_TOOL;
    }
    return fixed() ? Way.BLADE : ways.of(School.OPENER);
  }

  /** How the lid is held afterwards. */
  public Way seal() {
    if (option() == OptionKind.METAL_UNGLUED) {
      return Way.SEAL_NONE;
    }
    Way seal = ways.of(School.SEAL);
    return option() == OptionKind.METAL_GLUED && seal == Way.SEAL_NONE ? Way.SEAL_CORNERS : seal;
  }

  /** What covers the parts around the die. */
  public Way cover() {
    return ways.takes(Way.NO_PARTS) ? Way.NO_COVER : ways.of(School.COVER);
  }

  /** The risk of opening. */
  public Step openRisk() {
    if (soldered()) {
      return Step.OPEN_SOLDER;
    }
    return opener() == Way.BLADE ? Step.OPEN_BLADE : Step.OPEN_TOOL;
  }

  /** The risk of liquid metal. */
  Step metalRisk() {
    return cover() == Way.NO_COVER ? Step.METAL_BARE : Step.METAL_GUARDED;
  }

  /** The risk of mounting on the die. */
  public Step mountRisk() {
    if (fixed()) {
      return Step.MOUNT_MADE;
    }
    return ways.takes(Way.REST_NEITHER) ? Step.MOUNT_BARE : Step.MOUNT_FRAME;
  }

  /** How chip and lid come to the bench. */
  public ChipState arrival() {
    return before.lidOn() ? ChipState.CLOSED : ChipState.BARE;
  }

  /** Whether a school has a say in this case. */
  public boolean asks(School school) {
    return switch (school) {
      case OPENER -> takesLidOff() && !soldered() && !fixed();
      case TOOL -> takesLidOff() && opener() == Way.VICE_TOOL;
      case NEAR -> metalOnDie();
      case COVER -> metalOnDie() && !ways.takes(Way.NO_PARTS);
      case SOLDER -> takesLidOff() && soldered();
      case POLISH -> worksOnDie();
      case FACES -> metalOnDie() || metalOnLid();
      case SEAL -> closes();
      case PASTE -> pasted();
      case REST -> bare() && !settingsOnly() && !fixed();
      case REOPEN -> metalOnDie() || metalOnLid();
      case JUDGE -> true;
    };
  }
}
