package dev.ambershim.core.picture;

import static dev.ambershim.core.physics.assembly.Part.DIE;
import static dev.ambershim.core.physics.assembly.Part.INNER;
import static dev.ambershim.core.physics.assembly.Part.LID;
import static dev.ambershim.core.physics.assembly.Part.OUTER;
import static dev.ambershim.core.physics.assembly.Part.PLATE;
import static dev.ambershim.core.physics.assembly.Part.SUBSTRATE;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Cooler;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.Lid;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.material.Material;
import dev.ambershim.core.picture.Mark.Anchor;
import dev.ambershim.core.picture.Picture.Pen;
import dev.ambershim.core.plan.ChipState;
import java.util.ArrayList;
import java.util.List;

/**
 * The cross-section of chip and cooler along x, to scale: one scale across, another for heights,
 * both stated. A loupe shows the joints, which are too thin for that, at a third scale. Dies behind
 * each other are drawn side by side where they lie in x.
 */
public final class SectionPicture {
  private static final double LOUPE_HEIGHT = 96;
  private static final double MOST_PLATE_MILLIMETRES = 6;

  /** How far around a die its parts are covered. */
  private static final double RING_MILLIMETRES = 4;

  private final Chip chip;
  private final Cooler cooler;
  private final Build build;
  private final ChipState state;
  private final Notation notation;
  private final Pen pen = new Pen();
  private final double width;
  private final double height;

  private double perMillimetre;
  private double perHeight;
  private double ground;
  private double centre;

  private SectionPicture(
      Chip chip,
      Cooler cooler,
      Build build,
      ChipState state,
      Notation notation,
      double width,
      double height) {
    this.chip = chip;
    this.cooler = cooler;
    this.build = build;
    this.state = state;
    this.notation = notation;
    this.width = width;
    this.height = height;
  }

  /** Draws the section into a given size. */
  public static Picture of(
      Chip chip, Cooler cooler, Build build, Notation notation, double width, double height) {
    ChipState whole = build.lidOn() ? ChipState.CLOSED : ChipState.BARE;
    return new SectionPicture(chip, cooler, build, whole, notation, width, height).draw();
  }

  /**
   * Draws the section as the chip lies on the bench.
   *
   * @param build the build before the work, or the one after it once the new filling is in
   */
  public static Picture onBench(
      Chip chip,
      Cooler cooler,
      Build build,
      ChipState state,
      Notation notation,
      double width,
      double height) {
    return new SectionPicture(chip, cooler, build, state, notation, width, height).draw();
  }

  /** Whether it is put together as the build says, cooler and all. */
  private boolean whole() {
    return state.cooler() && state.lid() == build.lidOn();
  }

  private Picture draw() {
    double plateWidth = cooler.widthMillimetres();
    double widest = Math.max(plateWidth, chip.widthMillimetres());
    double plate = Math.min(cooler.thicknessMillimetres(), MOST_PLATE_MILLIMETRES);
    double dieTop = chip.highestDieMicrometres() / 1000;
    double inner = build.lidOn() ? build.inner().bondLineMicrometres() / 1000 : 0;
    double lid = build.lidOn() ? chip.lid().thicknessMillimetres() : 0;
    double outer = build.outer().bondLineMicrometres() / 1000;
    double total = chip.substrateMillimetres() + dieTop + inner + lid + outer + plate;
    double top = 22;
    double room = height - top - LOUPE_HEIGHT - 26;
    perMillimetre = (width - 16) / widest;
    perHeight = room / total;
    centre = width / 2;
    ground = top + room;
    double z = 0;
    slab(0, chip.widthMillimetres(), z, chip.substrateMillimetres(), Tone.SUBSTRATE, SUBSTRATE);
    z += chip.substrateMillimetres();
    if (build.lidOn() && state.lid()) {
      cavity(z, dieTop + inner);
    } else if (state.sealant() && !whole()) {
      rims(z, Math.max(0.06, build.glueMicrometres() / 1000));
    }
    for (Die die : chip.dies()) {
      double h = die.heightMicrometres() / 1000;
      slab(die.xMillimetres(), die.widthMillimetres(), z, h, Tone.SILICON, DIE);
      edges(die, z, h);
      if (!whole() && !state.lid()) {
        onDie(die, z);
      } else if (build.lidOn()) {
        double gap = dieTop + inner - h;
        slab(
            die.xMillimetres(),
            die.widthMillimetres(),
            z + h,
            gap,
            tone(build.inner().filling()),
            INNER);
      }
    }
    z += dieTop + inner;
    if (!whole()) {
      if (state.lid()) {
        slab(0, chip.lid().widthMillimetres(), z, lid, tone(chip.lid().material()), LID);
      }
    } else if (build.lidOn()) {
      slab(0, chip.lid().widthMillimetres(), z, lid, tone(chip.lid().material()), LID);
      z += lid;
      slab(
          0,
          Math.min(chip.lid().widthMillimetres(), plateWidth),
          z,
          outer,
          tone(build.outer().filling()),
          OUTER);
    } else {
      for (Die die : chip.dies()) {
        slab(
            die.xMillimetres(),
            die.widthMillimetres(),
            z,
            outer,
            tone(build.outer().filling()),
            OUTER);
      }
    }
    z += outer;
    if (whole()) {
      slab(0, plateWidth, z, plate, tone(cooler.material()), PLATE);
    }
    pen.words(
        8,
        14,
        "Heights drawn "
            + notation.fixed(perHeight / perMillimetre, 1)
            + " times as large as widths",
        Tone.QUIET,
        11,
        Anchor.START);
    scaleBar();
    if (whole()) {
      loupe();
    } else {
      benchWords();
    }
    return pen.picture(width, height, words());
  }

  private void cavity(double z, double depth) {
    Lid lid = chip.lid();
    double half = lid.widthMillimetres() / 2;
    slab(0, lid.widthMillimetres(), z, depth, Tone.GAP, "");
    double glue = Math.min(depth, build.glueMicrometres() / 1000);
    for (int side = -1; side <= 1; side += 2) {
      double x = side * (half - lid.rimMillimetres() / 2);
      slab(x, lid.rimMillimetres(), z, glue, Tone.GLUE, LID);
      slab(x, lid.rimMillimetres(), z + glue, depth - glue, tone(lid.material()), LID);
    }
  }

  /** Where the lid's rim stood. */
  private void rims(double z, double depth) {
    double half = chip.lid().widthMillimetres() / 2;
    for (int side = -1; side <= 1; side += 2) {
      double x = side * (half - chip.lid().rimMillimetres() / 2);
      slab(x, chip.lid().rimMillimetres(), z, depth, Tone.GLUE, LID);
    }
  }

  /** What lies on a die and beside it while the chip is open; thin layers are drawn thicker. */
  private void onDie(Die die, double z) {
    double h = die.heightMicrometres() / 1000;
    double width = die.widthMillimetres();
    if (state.covered()) {
      for (int side = -1; side <= 1; side += 2) {
        slab(
            die.xMillimetres() + side * (width / 2 + RING_MILLIMETRES / 2),
            RING_MILLIMETRES,
            z,
            0.1,
            Tone.COVER,
            SUBSTRATE);
      }
    }
    Filling old = build.lidOn() ? build.inner().filling() : build.outer().filling();
    if (state.filmed()) {
      slab(die.xMillimetres(), width, z + h, 0.08, Tone.GALLIUM, INNER);
    } else if (state.masked()) {
      slab(die.xMillimetres(), width, z + h, 0.1, Tone.COVER, DIE);
    } else if (state.residue()) {
      slab(die.xMillimetres(), width * 0.9, z + h, 0.1, tone(old), INNER);
    }
  }

  private void benchWords() {
    double top = height - LOUPE_HEIGHT + 12;
    pen.words(8, top + 2, "As it lies on the bench", Tone.QUIET, 11, Anchor.START);
    double y = top + 22;
    for (String part : state.words().split(", ", -1)) {
      pen.words(8, y, part, Tone.INK, 13, Anchor.START);
      y += 17;
    }
  }

  /** Marks a die's sides, since dies that lie behind each other overlap in the section. */
  private void edges(Die die, double z, double h) {
    for (int end = -1; end <= 1; end += 2) {
      double x = centre + (die.xMillimetres() + end * die.widthMillimetres() / 2) * perMillimetre;
      pen.line(x, ground - z * perHeight, x, ground - (z + h) * perHeight, Tone.PANEL, 1);
    }
  }

  /** A slab around {@code x} from {@code z} upwards; a line's width stays visible. */
  private void slab(double x, double w, double z, double h, Tone tone, String part) {
    double pixels = Math.max(1, h * perHeight);
    pen.box(
        centre + (x - w / 2) * perMillimetre,
        ground - z * perHeight - pixels,
        w * perMillimetre,
        pixels,
        tone,
        part);
  }

  private void scaleBar() {
    double y = ground + 12;
    double length = 10 * perMillimetre;
    pen.line(8, y, 8 + length, y, Tone.INK, 1.5);
    pen.line(8, y - 3, 8, y + 3, Tone.INK, 1.5);
    pen.line(8 + length, y - 3, 8 + length, y + 3, Tone.INK, 1.5);
    pen.words(14 + length, y + 4, notation.text(10, Unit.MILLIMETRE), Tone.QUIET, 11, Anchor.START);
  }

  private void loupe() {
    List<Joint> joints = new ArrayList<>();
    if (build.lidOn()) {
      joints.add(build.inner());
    }
    joints.add(build.outer());
    double thickest = joints.stream().mapToDouble(Joint::bondLineMicrometres).max().orElse(1);
    double scale = Math.min(0.5, 38 / thickest);
    double top = height - LOUPE_HEIGHT + 12;
    pen.words(8, top + 2, "Joints through the loupe", Tone.QUIET, 11, Anchor.START);
    double column = (width - 16) / joints.size();
    for (int i = 0; i < joints.size(); i++) {
      Joint joint = joints.get(i);
      double x = 8 + i * column;
      double thick = Math.max(1, joint.bondLineMicrometres() * scale);
      double base = height - 24;
      boolean insideLid = build.lidOn() && i == 0;
      Tone above = insideLid ? tone(chip.lid().material()) : tone(cooler.material());
      Tone below = insideLid || !build.lidOn() ? Tone.SILICON : tone(chip.lid().material());
      String part = insideLid ? INNER : OUTER;
      pen.box(x, base - 6, column - 10, 6, below, "");
      pen.box(x, base - 6 - thick, column - 10, thick, tone(joint.filling()), part);
      pen.box(x, base - 12 - thick, column - 10, 6, above, "");
      pen.words(
          x,
          base + 14,
          joint.filling().words()
              + ", "
              + notation.text(joint.bondLineMicrometres(), Unit.MICROMETRE),
          Tone.INK,
          12,
          Anchor.START);
    }
  }

  private String words() {
    if (!whole()) {
      return "Cross-section of " + chip.name() + " on the bench: " + state.words() + ".";
    }
    String inner =
        build.lidOn()
            ? build.inner().filling().words()
                + " of "
                + notation.text(build.inner().bondLineMicrometres(), Unit.MICROMETRE)
                + " under the lid, "
            : "no lid, ";
    return "Cross-section of "
        + chip.name()
        + ": "
        + inner
        + build.outer().filling().words()
        + " of "
        + notation.text(build.outer().bondLineMicrometres(), Unit.MICROMETRE)
        + " under the cold plate.";
  }

  private static Tone tone(Filling filling) {
    return switch (filling) {
      case LIQUID_METAL -> Tone.GALLIUM;
      case SOLDER -> Tone.SOLDER;
      default -> Tone.PASTE;
    };
  }

  private static Tone tone(Material material) {
    return switch (material) {
      case COPPER -> Tone.COPPER;
      case SILICON -> Tone.SILICON;
      case SUBSTRATE -> Tone.SUBSTRATE;
      default -> Tone.NICKEL;
    };
  }
}
