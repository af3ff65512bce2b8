package dev.ambershim.core.plan;

import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.dosing.Bar;
import dev.ambershim.core.physics.dosing.CoatTerms;
import dev.ambershim.core.physics.dosing.Cover;
import dev.ambershim.core.physics.dosing.Cure;
import dev.ambershim.core.physics.dosing.Drop;
import dev.ambershim.core.physics.dosing.FilmPlace;
import dev.ambershim.core.physics.dosing.GlueLine;
import dev.ambershim.core.physics.dosing.GluePattern;
import dev.ambershim.core.physics.dosing.Insulation;
import dev.ambershim.core.physics.dosing.LidSeat;
import dev.ambershim.core.physics.dosing.Meeting;
import dev.ambershim.core.physics.dosing.MetalDose;
import dev.ambershim.core.physics.dosing.MetalFace;
import dev.ambershim.core.physics.dosing.MetalPlace;
import dev.ambershim.core.physics.fit.Budget;
import dev.ambershim.core.physics.fit.Chain;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.physics.mounting.ScrewForce;
import dev.ambershim.core.physics.spread.BondLine;
import dev.ambershim.core.physics.spread.PastePattern;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How much a plan takes of metal, cover, glue and paste, and what bars it. Loss on swab and nozzle
 * comes on top in the kit; it is common practice.
 *
 * @param films liquid metal, place by place; empty if none is used
 * @param meetings what it can meet
 * @param cover the cover around the dies, if there is one
 * @param glue glue under the lid
 * @param seat how a closed lid lies, if one is put on
 * @param cure how long the glue cures
 * @param bars why the plan must not go on
 */
public record Doses(
    List<MetalDose> films,
    List<Meeting> meetings,
    Optional<Insulation> cover,
    GlueLine glue,
    Optional<LidSeat> seat,
    Cure cure,
    List<Bar> bars) {
  /** Half as much again stays on the swab. */
  private static final double METAL_LOSS = 1.5;

  /** Some of the paste is pressed out before all is covered. */
  private static final double PASTE_LOSS = 1.4;

  /** Under a lid as much again is laid on, as nobody can see whether it reached the corners. */
  private static final double INNER_PASTE = 2;

  /**
   * On a bare die the paste must reach every corner, and stiff paste stops before it is as thin as
   * its bond line. By the program's own flow of a dot over dies of 10 to 30 mm it takes so much of
   * what the bond line holds, times the die's length by its width to a power.
   */
  private static final double DIE_PASTE_LOSS = 2.2;

  private static final double DIE_PASTE_LENGTH = 1.35;

  /** A ring of cover around a die. */
  private static final double RING_MILLIMETRES = 5;

  /** How far the film on a lid reaches over the die's shadow, and stays off the lid's edge. */
  private static final double AROUND_MILLIMETRES = 10;

  private static final double OFF_EDGE_MILLIMETRES = 3;

  /** What is near a die when nobody has looked yet. */
  private static final double UNKNOWN_PART_MILLIMETRES = 1.5;

  private static final double HOTTEST_CELSIUS = 95;

  /** A usual part near a die, where none was measured, µm. */
  private static final double PART_MICROMETRES = 400;

  /** Copies its lists. */
  public Doses {
    films = List.copyOf(films);
    meetings = List.copyOf(meetings);
    bars = List.copyOf(bars);
  }

  /** What a case takes. */
  public static Doses of(WorkCase work) {
    CoatTerms coat = work.terms().coat();
    GluePattern pattern = gluePattern(work);
    GlueLine glue = GlueLine.of(work.chip().lid(), pattern, work.terms().closing());
    Optional<LidSeat> seat =
        work.closes()
            ? Optional.of(LidSeat.of(work.chip(), glue, work.terms().closing().old()))
            : Optional.empty();
    List<MetalDose> films = new ArrayList<>();
    boolean both = work.ways().takes(Way.BOTH_FACES);
    List<Bar> bars = new ArrayList<>();
    if (work.metalOnDie()) {
      for (int i = 0; i < work.chip().dies().size(); i++) {
        films.add(MetalDose.of(onDie(work, seat, i, bars), coat, both));
      }
    }
    if (work.metalOnLid()) {
      films.add(MetalDose.of(onLid(work), coat, both));
    }
    List<Meeting> meetings = films.isEmpty() ? List.of() : meetings(work);
    if (!films.isEmpty() && work.cold()) {
      bars.add(
          new Bar(
              "dose.frozen",
              "liquid metal",
              "Under an extreme-cold pot it freezes: as sold, this alloy does at about "
                  + Math.round(coat.alloy().freezesCelsius())
                  + " °C, and then it cracks and lets go.",
              "Take a paste made for extreme cold."));
    }
    meetings.forEach(m -> m.bar().ifPresent(bars::add));
    Optional<Insulation> cover =
        work.metalOnDie() && work.cover() != Way.NO_COVER
            ? Optional.of(
                Insulation.of(cover(work), coat, ring(work), room(work, seat), HOTTEST_CELSIUS))
            : Optional.empty();
    cover.ifPresent(c -> bars.addAll(c.bars()));
    return new Doses(
        films,
        meetings,
        cover,
        work.closes() ? glue : GlueLine.NONE,
        seat,
        work.closes() ? Cure.of(glue, pattern, work.terms().closing()) : Cure.NONE,
        bars);
  }

  /** How the glue is laid. */
  public static GluePattern gluePattern(WorkCase work) {
    return switch (work.seal()) {
      case SEAL_AROUND -> GluePattern.AROUND;
      case SEAL_NONE -> GluePattern.NONE;
      default -> GluePattern.CORNERS;
    };
  }

  /** The cover that a way stands for. */
  private static Cover cover(WorkCase work) {
    return switch (work.cover()) {
      case POLYIMIDE_TAPE -> Cover.POLYIMIDE_TAPE;
      case VINYL_TAPE -> Cover.VINYL_TAPE;
      case SILICONE_COVER -> Cover.SILICONE;
      case FOIL_COVER -> Cover.FOIL;
      default -> Cover.VARNISH;
    };
  }

  /** The paste pattern that a way stands for, unless the terms say another. */
  public static PastePattern pastePattern(WorkCase work) {
    if (work.terms().paste().pattern() != null) {
      return work.terms().paste().pattern();
    }
    return switch (work.ways().of(School.PASTE)) {
      case LINE -> PastePattern.LINE;
      case CROSS -> PastePattern.CROSS;
      case FIVE_DOTS -> PastePattern.FIVE_DOTS;
      case THIN_SPREAD -> PastePattern.THIN_SPREAD;
      default -> PastePattern.DOT;
    };
  }

  private static FilmPlace onDie(WorkCase work, Optional<LidSeat> seat, int index, List<Bar> bars) {
    Die die = work.chip().dies().get(index);
    Build after = work.after();
    double gap =
        seat.map(s -> s.gaps().get(index))
            .orElseGet(
                () ->
                    after.outer().bondLineMicrometres()
                        + work.chip().highestDieMicrometres()
                        - die.heightMicrometres());
    double low = gap * 0.75;
    double high = gap * 1.4;
    Optional<Chain> measured =
        work.closes()
            ? Optional.ofNullable(
                Budget.innerGaps(work.terms().heights(), work.chip(), work.newLid())
                    .get(die.name()))
            : Optional.empty();
    if (measured.isPresent()) {
      gap = measured.get().nominal() * 1000;
      // Nine cases in ten, by the root of the sum of squares.
      double half = Interval.normalHalf(0.9) * measured.get().standardMillimetres() * 1000;
      low = gap - half;
      high = gap + half;
    }
    if (gap > LidSeat.DEEPEST_MICROMETRES) {
      bars.add(
          new Bar(
              "dose.tooDeep",
              "gap over " + die.name(),
              Math.round(gap)
                  + " µm are too deep for a film of liquid metal: it would not hold, and creep"
                  + " out.",
              work.closes()
                  ? "Lap the rim down, take off old sealant, use less glue, or keep to paste."
                  : "Even the dies out, or keep to paste."));
    }
    double film = Math.max(LidSeat.FILM_MICROMETRES, gap);
    double room = Math.max(0.05, (die.heightMicrometres() + film) / 1000);
    Nearest near = nearest(work, die);
    return new FilmPlace(
        die.name(),
        die.widthMillimetres(),
        die.depthMillimetres(),
        film,
        Math.min(film, Math.max(LidSeat.THIN_MICROMETRES, low)),
        Math.max(film, Math.max(LidSeat.THICK_MICROMETRES, high)),
        room,
        near.millimetres(),
        near.what(),
        face(work, MetalPlace.DIE),
        face(work, work.closes() ? MetalPlace.LID_INSIDE : MetalPlace.PLATE));
  }

  /** What is nearest to a die, and how far. */
  private record Nearest(Double millimetres, String what) {}

  private static Nearest nearest(WorkCase work, Die die) {
    if (work.ways().takes(Way.NO_PARTS)) {
      return new Nearest(null, "");
    }
    CoatTerms coat = work.terms().coat();
    if (coat.partMillimetres() != null) {
      return new Nearest(coat.partMillimetres(), "the nearest part");
    }
    Nearest least = null;
    for (Top top : work.terms().heights().tops()) {
      if (top.kind() == TopKind.PART) {
        double x =
            Math.abs(top.xMillimetres() - die.xMillimetres())
                - (top.widthMillimetres() + die.widthMillimetres()) / 2;
        double y =
            Math.abs(top.yMillimetres() - die.yMillimetres())
                - (top.depthMillimetres() + die.depthMillimetres()) / 2;
        double away = Math.max(0.05, Math.hypot(Math.max(0, x), Math.max(0, y)));
        if (least == null || away < least.millimetres()) {
          least = new Nearest(away, "the part \"" + top.name() + "\"");
        }
      }
    }
    return least == null
        ? new Nearest(UNKNOWN_PART_MILLIMETRES, "a part that was not measured yet")
        : least;
  }

  private static FilmPlace onLid(WorkCase work) {
    Chip chip = work.chip();
    Patch box = box(chip);
    double width =
        Math.min(
            box.widthMillimetres() + 2 * AROUND_MILLIMETRES,
            chip.lid().widthMillimetres() - 2 * OFF_EDGE_MILLIMETRES);
    double depth =
        Math.min(
            box.depthMillimetres() + 2 * AROUND_MILLIMETRES,
            chip.lid().depthMillimetres() - 2 * OFF_EDGE_MILLIMETRES);
    double film = Math.max(LidSeat.FILM_MICROMETRES, work.after().outer().bondLineMicrometres());
    double edge =
        Math.min(
            (chip.lid().widthMillimetres() - width) / 2,
            (chip.lid().depthMillimetres() - depth) / 2);
    return new FilmPlace(
        "lid",
        width,
        depth,
        film,
        film * 0.7,
        film * 1.5,
        film / 1000,
        edge,
        "the lid's edge",
        face(work, MetalPlace.LID_TOP),
        face(work, MetalPlace.PLATE));
  }

  private static Patch box(Chip chip) {
    double x = 0;
    double y = 0;
    for (Die d : chip.dies()) {
      x = Math.max(x, Math.abs(d.xMillimetres()) + d.widthMillimetres() / 2);
      y = Math.max(y, Math.abs(d.yMillimetres()) + d.depthMillimetres() / 2);
    }
    return new Patch(0, 0, 2 * x, 2 * y);
  }

  /** What a place is made of: as said, else by the parts as they are described. */
  private static MetalFace face(WorkCase work, MetalPlace place) {
    return work.terms().coat().said(place).orElseGet(() -> usual(work, place));
  }

  private static MetalFace usual(WorkCase work, MetalPlace place) {
    Material lid = work.chip().lid().material();
    return switch (place) {
      case LID_INSIDE, LID_TOP ->
          work.newLid()
              ? MetalFace.COPPER
              : lid == Material.COPPER || lid == Material.NICKEL ? MetalFace.NICKEL : of(lid);
      case PLATE -> of(work.cooler().material());
      case PARTS ->
          work.cover() == Way.NO_COVER && !work.ways().takes(Way.NO_PARTS)
              ? MetalFace.TIN
              : MetalFace.COVERED;
      default -> place.faces().get(0);
    };
  }

  private static MetalFace of(Material material) {
    return switch (material) {
      case ALUMINIUM -> MetalFace.ALUMINIUM;
      case SILVER -> MetalFace.SILVER;
      case NICKEL -> MetalFace.NICKEL;
      default -> MetalFace.COPPER;
    };
  }

  private static List<Meeting> meetings(WorkCase work) {
    List<Meeting> all = new ArrayList<>();
    for (MetalPlace place : MetalPlace.values()) {
      boolean meets =
          switch (place) {
            case DIE, PARTS -> work.metalOnDie();
            case LID_INSIDE -> work.metalOnDie() && work.closes();
            case LID_TOP -> work.metalOnLid();
            case PLATE -> work.metalOnPlate();
            default -> true;
          };
      if (meets) {
        all.add(new Meeting(place, face(work, place), work.terms().coat().said(place).isPresent()));
      }
    }
    return all;
  }

  /** Area around the dies that gets covered, mm². */
  private static double ring(WorkCase work) {
    double area = 0;
    for (Die die : work.chip().dies()) {
      area +=
          (die.widthMillimetres() + 2 * RING_MILLIMETRES)
                  * (die.depthMillimetres() + 2 * RING_MILLIMETRES)
              - die.areaSquareMillimetres();
    }
    return area;
  }

  /** Room over the parts that are covered, µm. */
  private static double room(WorkCase work, Optional<LidSeat> seat) {
    double part =
        work.terms().heights().tops().stream()
            .filter(t -> t.kind() == TopKind.PART && t.height().taken() && !t.overBoard())
            .mapToDouble(t -> t.height().mean() * 1000)
            .max()
            .orElse(Math.min(PART_MICROMETRES, work.chip().highestDieMicrometres() / 2));
    double above =
        seat.map(s -> work.chip().lid().cavityMillimetres() * 1000 + s.glueMicrometres())
            .orElse(work.chip().highestDieMicrometres());
    return above - part;
  }

  /** Liquid metal for one face of the joint, with what stays on the swab, g. */
  double metalGrams(WorkCase work) {
    CoatTerms coat = work.terms().coat();
    return METAL_LOSS
        * films.stream()
            .mapToDouble(f -> f.drop().milligrams(coat.alloy(), coat.warmth()) / 1000)
            .sum();
  }

  /** Liquid metal that dissolves the solder on the dies: about its own volume, g. */
  static double metalForSolder(WorkCase work) {
    CoatTerms coat = work.terms().coat();
    double volume =
        work.chip().dieAreaSquareMillimetres() * work.before().inner().bondLineMicrometres() / 1000;
    return new Drop(volume).milligrams(coat.alloy(), coat.warmth()) / 1000;
  }

  /** Tape of 12 mm width around the dies, cm. */
  static double tape(WorkCase work) {
    double length = 0;
    for (Die die : work.chip().dies()) {
      length += 2 * (die.widthMillimetres() + die.depthMillimetres() + 4 * RING_MILLIMETRES);
    }
    return length / 10;
  }

  /** Paste between dies and lid, g: what the joint holds, and what is pressed out beside it. */
  static double innerPasteGrams(WorkCase work) {
    double line = work.after().inner().bondLineMicrometres();
    return work.chip().dieAreaSquareMillimetres()
        * line
        / 1000
        * INNER_PASTE
        * work.terms().paste().kind().gramsPerCubicCentimetre()
        / 1000;
  }

  /** Paste under the cold plate, g: as said, else what its bond line holds and a little more. */
  public static double pasteGrams(WorkCase work) {
    if (work.terms().paste().grams() != null) {
      return work.terms().paste().grams();
    }
    double area =
        work.bare()
            ? work.chip().dieAreaSquareMillimetres()
            : work.chip().lid().areaSquareMillimetres();
    double line =
        BondLine.metres(
            work.terms().paste().kind().yieldPascal(),
            ScrewForce.ofAll(work.terms().mounting()) / (area * 1e-6));
    return area
        * line
        * 1000
        * (work.bare() ? dieLoss(work) : PASTE_LOSS)
        * work.terms().paste().kind().gramsPerCubicCentimetre()
        / 1000;
  }

  /** What a dot on bare dies takes by what their bond line holds. */
  private static double dieLoss(WorkCase work) {
    double sum = 0;
    for (Die die : work.chip().dies()) {
      double longer = Math.max(die.widthMillimetres(), die.depthMillimetres());
      double shorter = Math.min(die.widthMillimetres(), die.depthMillimetres());
      sum += die.areaSquareMillimetres() * Math.pow(longer / shorter, DIE_PASTE_LENGTH);
    }
    return DIE_PASTE_LOSS * sum / work.chip().dieAreaSquareMillimetres();
  }

  /** Each drop in words: "1.4 mm", or by die. */
  public String drops(Notation notation) {
    List<String> words = new ArrayList<>();
    for (MetalDose dose : films) {
      double shown = notation.shown(dose.drop().ballMillimetres(), Unit.MILLIMETRE);
      words.add(
          (films.size() > 1 ? dose.place().name() + " " : "")
              + notation.fixed(shown, notation.inches() ? 3 : 1)
              + " "
              + notation.symbol(Unit.MILLIMETRE));
    }
    return String.join(", ", words);
  }
}
