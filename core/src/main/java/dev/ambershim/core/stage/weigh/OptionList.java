package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.Lid;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.dosing.LidSeat;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.plan.OptionKind;
import dev.ambershim.core.plan.Step;
import dev.ambershim.core.plan.Terms;
import dev.ambershim.core.stage.weigh.Option.Fresh;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** All options for a chip as it is now, the impossible ones with their reason. */
final class OptionList {
  /** A flat lid made to measure is somewhat thicker, by common practice. */
  private static final double THICKER_LID_MILLIMETRES = 0.5;

  private static final Optional<Fresh> KEPT = Optional.empty();

  private final Situation now;
  private final Chip chip;
  private final Cooler cooler;
  private final Build build;
  private final Terms terms;
  private final Notation notation;
  private final double metal;
  private final Barred barred;
  private final FreshPaste paste;

  private OptionList(Situation now, Terms terms, Notation notation) {
    this.now = now;
    this.chip = now.chip();
    this.cooler = now.cooler();
    this.build = now.build();
    this.terms = terms;
    this.notation = notation;
    this.barred = new Barred(now, notation);
    this.paste = FreshPaste.of(now, Optional.ofNullable(terms.ownPaste()));
    this.metal =
        terms.advertised() ? PriorTable.METAL_ADVERTISED.likely() : PriorTable.METAL.likely();
  }

  /** The options, in the order of their kinds. */
  static List<Option> of(Situation now, Terms terms, Notation notation) {
    OptionList list = new OptionList(now, terms, notation);
    List<Option> all = new ArrayList<>();
    for (OptionKind kind : OptionKind.values()) {
      if (list.applies(kind)) {
        all.add(list.option(kind));
      }
    }
    return all;
  }

  /** Whether it is something else than what is there already, and there is what it is done to. */
  private boolean applies(OptionKind kind) {
    boolean lid = build.lidOn();
    boolean metalInside = lid && build.inner().filling() == Filling.LIQUID_METAL;
    boolean metalOutside = build.outer().filling() == Filling.LIQUID_METAL;
    return switch (kind) {
      case METAL_UNGLUED, METAL_GLUED -> lid && !metalInside;
      case METAL_ON_LID -> lid && !metalOutside;
      case LAP_TOP, METAL_LAPPED, COPPER_LID, BARE -> lid;
      case PASTE_INSIDE -> lid && !metalInside && !soldered();
      case METAL_ON_DIE -> !lid && !metalOutside;
      case METAL_RENEWED -> lid ? metalInside : metalOutside;
      case BARE_LAPPED -> !chip.seat().soldered();
      default -> true;
    };
  }

  /** How far the clock takes the heat: voltage goes with about half of it. */
  static double powerByClock(double factor) {
    return Math.pow(factor, PriorTable.BY_CLOCK.likely());
  }

  private Option option(OptionKind kind) {
    return switch (kind) {
      case FRESH_PASTE -> freshPaste();
      case LOWER_VOLTAGE ->
          slower(
              kind,
              "Set the voltage " + notation.text(terms.voltagePercent(), Unit.PERCENT) + " lower.",
              Math.pow(1 - terms.voltagePercent() / 100, PriorTable.BY_VOLTAGE.likely()),
              0,
              1.5);
      case LOWER_CLOCK ->
          slower(
              kind,
              "Set the clock "
                  + notation.text(terms.clockPercent(), Unit.PERCENT)
                  + " lower, the voltage following; it also works slower by that.",
              powerByClock(1 - terms.clockPercent() / 100),
              terms.clockPercent() * terms.coinsPerClockPercent(),
              0.5);
      case METAL_ON_LID -> metalOnLid();
      case BETTER_COOLER -> betterCooler();
      case LAP_TOP, LAP_PLATE -> lapped(kind);
      case METAL_ON_DIE -> bare(kind);
      case METAL_RENEWED ->
          build.lidOn() ? inside(kind, PriorTable.GLUE.likely(), 2.5, 24) : bare(kind);
      case PASTE_INSIDE -> pasteInside();
      case METAL_UNGLUED -> inside(kind, 0, 2, 0);
      case METAL_GLUED -> inside(kind, PriorTable.GLUE.likely(), 2.5, 24);
      case METAL_LAPPED, COPPER_LID -> flat(kind);
      case BARE, BARE_LAPPED -> bare(kind);
    };
  }

  private Option freshPaste() {
    boolean onDie = !build.lidOn();
    return new Option(
        OptionKind.FRESH_PASTE,
        (onDie
                ? "Clean the die and the cold plate and paste them anew"
                : "Clean lid and cold plate and paste them anew")
            + (terms.ownPaste() == null ? "." : " with " + terms.ownPaste().from() + "."),
        with(
            chip,
            cooler,
            new Build(build.lidOn(), build.glueMicrometres(), build.inner(), outerPaste())),
        KEPT,
        freshOuter(),
        Optional.empty(),
        1,
        onDie ? List.of(mount()) : List.of(),
        terms.pasteCoins(),
        0,
        0.5,
        0,
        Optional.empty());
  }

  /** The lid's top or the cold plate lapped flat, and fresh paste, which then lies thinner. */
  private Option lapped(OptionKind kind) {
    boolean top = kind == OptionKind.LAP_TOP;
    Joint thin = paste.instead(new Joint(Filling.PASTE, PriorTable.PASTE_LAPPED.likely(), 5));
    return new Option(
        kind,
        top
            ? "Take the chip out, lap the lid's top flat, and paste the cooler on anew."
            : "Lap the cold plate flat, and paste it on anew.",
        with(chip, cooler, new Build(build.lidOn(), build.glueMicrometres(), build.inner(), thin)),
        KEPT,
        Optional.of(new Fresh(PriorTable.PASTE_LAPPED, false)),
        Optional.empty(),
        1,
        build.lidOn() ? List.of() : List.of(mount()),
        terms.pasteCoins() + terms.paperCoins(),
        0,
        2.5,
        1,
        Optional.empty());
  }

  /** Opened, cleaned, fresh paste inside, the lid glued back. */
  private Option pasteInside() {
    Joint usual = Joint.usual(Filling.PASTE);
    double glue = PriorTable.GLUE.likely();
    double gap = new Build(true, glue, build.inner(), build.outer()).innerGapMicrometres(chip);
    double thick = Math.max(usual.bondLineMicrometres(), gap);
    Joint inner = new Joint(Filling.PASTE, thick, usual.conductivityWattsPerMetreKelvin());
    return new Option(
        OptionKind.PASTE_INSIDE,
        "Open it, clean it, fresh paste inside, glue the lid back, paste the cooler on.",
        with(chip, cooler, new Build(true, glue + thick - gap, inner, outerPaste())),
        fresh(Filling.PASTE),
        freshOuter(),
        Optional.empty(),
        1,
        opening(),
        openCoins() + terms.pasteCoins() + terms.sundryCoins(),
        0,
        2,
        24,
        barred.lidOff().or(barred::onBoard));
  }

  private Option slower(OptionKind kind, String how, double power, double lost, double hours) {
    return new Option(
        kind,
        how,
        now,
        KEPT,
        KEPT,
        Optional.empty(),
        power,
        List.of(),
        0,
        lost,
        hours,
        0,
        Optional.empty());
  }

  private Option metalOnLid() {
    Joint film = film(PriorTable.FILM_ON_LID.likely());
    return new Option(
        OptionKind.METAL_ON_LID,
        "Clean lid and cold plate and put a liquid-metal film between them.",
        with(chip, cooler, new Build(build.lidOn(), build.glueMicrometres(), build.inner(), film)),
        KEPT,
        Optional.of(new Fresh(PriorTable.FILM_ON_LID, true)),
        Optional.empty(),
        1,
        List.of(metalStep()),
        terms.metalCoins() + terms.sundryCoins(),
        0,
        1,
        0,
        barred.lidOff().or(barred::frozen).or(() -> barred.aluminium(build.lidOn())));
  }

  private Option betterCooler() {
    CoolerClass next = next(cooler);
    Cooler better = next.usual(next.words(), cooler.reachMillimetres());
    boolean none = better.resistanceKelvinPerWatt() > 0.93 * cooler.resistanceKelvinPerWatt();
    Optional<String> why =
        cooler.kind().builtIn()
            ? Optional.of("This cooler is built into its machine: no other kind fits.")
            : cooler.kind() == CoolerClass.COLD_POT
                ? Optional.of("Nothing cools more than an extreme-cold pot.")
                : none
                    ? Optional.of("This cooler is as good as the next kind already.")
                    : Optional.empty();
    return new Option(
        OptionKind.BETTER_COOLER,
        "Change the cooler for the next kind (" + next.words() + "), with fresh paste.",
        with(
            chip,
            better,
            new Build(build.lidOn(), build.glueMicrometres(), build.inner(), outerPaste())),
        KEPT,
        freshOuter(),
        Optional.of(PriorTable.cooler(next)),
        1,
        build.lidOn() ? List.of() : List.of(mount()),
        terms.coolerCoins() + terms.pasteCoins(),
        0,
        1.5,
        0,
        why);
  }

  private static CoolerClass next(Cooler cooler) {
    return switch (cooler.kind()) {
      case LOW_AIR, BOXED -> CoolerClass.LARGE_AIR_TOWER;
      case AIR_TOWER, SMALL_LOOP -> CoolerClass.LARGE_LOOP;
      case OTHER ->
          cooler.resistanceKelvinPerWatt() > 0.13
              ? CoolerClass.LARGE_LOOP
              : CoolerClass.OWN_LOOP_THICK;
      default -> CoolerClass.OWN_LOOP_THICK;
    };
  }

  /** Opened, filmed, the lid put back as it is. */
  private Option inside(OptionKind kind, double glue, double hands, double wait) {
    double gap = new Build(true, glue, build.inner(), build.outer()).innerGapMicrometres(chip);
    double thick = Math.max(PriorTable.FILM.likely(), gap);
    // A lid that would rest on the die stands on the film; its glue line fills the rest.
    double line = glue + thick - gap;
    Prior trust = gap > PriorTable.FILM.likely() ? PriorTable.GAP : PriorTable.FILM;
    List<String> reasons = new ArrayList<>();
    if (thick > LidSeat.DEEPEST_MICROMETRES) {
      reasons.add(
          "The lid's hollow is too deep: the film would be "
              + notation.text(thick, Unit.MICROMETRE)
              + " thick, and more than "
              + notation.text(LidSeat.DEEPEST_MICROMETRES, Unit.MICROMETRE)
              + " does not stay. Lap the rim, or take a lid made to measure.");
    }
    boolean glued = kind == OptionKind.METAL_GLUED;
    return new Option(
        kind,
        kind == OptionKind.METAL_RENEWED
            ? "Open it, take the old metal off, film die and lid anew, glue the lid back."
            : glued
                ? "Open it, clean it, film die and lid, glue the lid back, paste the cooler on."
                : "Open it, clean it, film die and lid, lay the lid on; the cooler holds it.",
        with(chip, cooler, new Build(true, line, film(thick), outerPaste())),
        Optional.of(new Fresh(trust, true)),
        freshOuter(),
        Optional.empty(),
        1,
        opening(metalStep()),
        openCoins() + terms.metalCoins() + terms.pasteCoins() + terms.sundryCoins(),
        0,
        hands + solderHours(),
        wait,
        barred
            .lidOff()
            .or(barred::onBoard)
            .or(barred::frozen)
            .or(() -> barred.aluminium(false))
            .or(() -> reasons.stream().findFirst()));
  }

  /** Opened, filmed, and a lid with flat faces whose rim leaves just the film. */
  private Option flat(OptionKind kind) {
    boolean copper = kind == OptionKind.COPPER_LID;
    Lid was = chip.lid();
    double thick = copper ? PriorTable.FILM_LAPPED.likely() : PriorTable.FILM.likely();
    double glue = PriorTable.GLUE.likely();
    // The rim is made to leave the film, or the glue is where the lid stands on the film anyway.
    double cavity = (chip.highestDieMicrometres() + thick - glue) / 1000;
    double kept = Math.min(cavity, was.cavityMillimetres());
    Lid lid =
        new Lid(
            was.widthMillimetres(),
            was.depthMillimetres(),
            was.thicknessMillimetres() + (copper ? THICKER_LID_MILLIMETRES : -0.05),
            copper ? cavity : kept,
            was.rimMillimetres(),
            copper ? Material.COPPER : was.material());
    double line = glue + (cavity - (copper ? cavity : kept)) * 1000;
    Joint outer = paste.instead(new Joint(Filling.PASTE, PriorTable.PASTE_LAPPED.likely(), 5));
    return new Option(
        kind,
        copper
            ? "Open it, clean it, film die and a flat copper lid made to measure, glue it on."
            : "As before, and lap the lid's top flat and its rim down to where the film is thin.",
        with(chip.withLid(lid), cooler, new Build(true, line, film(thick), outer)),
        Optional.of(new Fresh(copper ? PriorTable.FILM_LAPPED : PriorTable.FILM, true)),
        Optional.of(new Fresh(PriorTable.PASTE_LAPPED, false)),
        Optional.empty(),
        1,
        opening(metalStep()),
        openCoins()
            + terms.metalCoins()
            + terms.pasteCoins()
            + terms.sundryCoins()
            + (copper ? terms.lidCoins() : terms.paperCoins()),
        0,
        (copper ? 2.5 : 4.5) + solderHours(),
        24,
        barred
            .lidOff()
            .or(barred::onBoard)
            .or(barred::frozen)
            .or(() -> copper ? Optional.empty() : barred.aluminium(false)));
  }

  private Option bare(OptionKind kind) {
    boolean lapped = kind == OptionKind.BARE_LAPPED;
    Chip then = lapped ? withDiesLower(Barred.DIE_LAPPED_MICROMETRES) : chip;
    double thick = lapped ? PriorTable.FILM_LAPPED.likely() : PriorTable.FILM.likely();
    List<Step> steps = build.lidOn() ? opening(metalStep()) : new ArrayList<>(List.of(metalStep()));
    steps.add(mount());
    if (lapped) {
      steps.add(Step.LAP_DIE);
    }
    return new Option(
        kind,
        bareWords(kind),
        with(then, cooler, new Build(false, 0, build.inner(), film(thick))),
        KEPT,
        Optional.of(new Fresh(lapped ? PriorTable.FILM_LAPPED : PriorTable.FILM, true)),
        Optional.empty(),
        1,
        steps,
        (build.lidOn() ? openCoins() : 0)
            + terms.metalCoins()
            + terms.sundryCoins()
            + (terms.frame() && !chip.seat().soldered() ? terms.frameCoins() : 0)
            + (lapped ? terms.paperCoins() : 0),
        0,
        (lapped ? 5.5 : 3) + (build.lidOn() ? solderHours() : 0),
        1,
        barred
            .onBoard()
            .or(barred::frozen)
            .or(barred::plateAluminium)
            .or(barred::notCovered)
            .or(barred::outOfReach)
            .or(() -> lapped ? barred.tooThin() : Optional.empty()));
  }

  private String bareWords(OptionKind kind) {
    if (!build.lidOn()) {
      return switch (kind) {
        case METAL_RENEWED -> "Take the old metal off the die, and film die and cold plate anew.";
        case BARE_LAPPED -> "Clean the die, lap it flat, and set the cold plate on it with a film.";
        default -> "Clean the die, and set the cold plate on it with a liquid-metal film.";
      };
    }
    return kind == OptionKind.BARE_LAPPED
        ? "Open it, clean it, lap the die flat, and set the cold plate on it with a film."
        : "Open it, clean it, and set the cold plate on the die with a liquid-metal film.";
  }

  private Joint film(double micrometres) {
    return new Joint(Filling.LIQUID_METAL, micrometres, metal);
  }

  /** Fresh paste under the cooler, as far as it is known. */
  private Joint outerPaste() {
    return paste.instead(Joint.usual(Filling.PASTE));
  }

  private Optional<Fresh> freshOuter() {
    return Optional.of(new Fresh(paste.trust(), false));
  }

  private static Optional<Fresh> fresh(Filling filling) {
    return Optional.of(new Fresh(PriorTable.joint(filling), false));
  }

  private static Situation with(Chip chip, Cooler cooler, Build build) {
    return new Situation(chip, cooler, build);
  }

  private Chip withDiesLower(double micrometres) {
    return chip.withDies(
        chip.dies().stream()
            .map(d -> d.withHeightMicrometres(Math.max(d.heightMicrometres() - micrometres, 50)))
            .toList());
  }

  private boolean soldered() {
    return build.inner().filling() == Filling.SOLDER;
  }

  private double solderHours() {
    return soldered() ? 1.5 : 0;
  }

  /** Whether a blade opens it: as one likes, and always on a board; solder cannot be cut. */
  private boolean blade() {
    return !soldered() && (terms.blade() || chip.seat().soldered());
  }

  private double openCoins() {
    return blade() ? 0 : terms.toolCoins();
  }

  private Step metalStep() {
    return terms.guard() ? Step.METAL_GUARDED : Step.METAL_BARE;
  }

  private Step mount() {
    if (chip.seat().soldered()) {
      return Step.MOUNT_MADE;
    }
    return terms.frame() ? Step.MOUNT_FRAME : Step.MOUNT_BARE;
  }

  private List<Step> opening(Step then) {
    List<Step> steps = opening();
    steps.add(then);
    return steps;
  }

  private List<Step> opening() {
    List<Step> steps = new ArrayList<>();
    if (soldered()) {
      steps.add(Step.OPEN_SOLDER);
    } else {
      steps.add(blade() ? Step.OPEN_BLADE : Step.OPEN_TOOL);
    }
    if (chip.dies().size() > 1) {
      steps.add(Step.OPEN_SEVERAL);
    }
    if (soldered()) {
      steps.add(Step.CLEAN_SOLDER);
    }
    return steps;
  }
}
