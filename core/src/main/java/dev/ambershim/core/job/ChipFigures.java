package dev.ambershim.core.job;

import static dev.ambershim.core.physics.assembly.Part.DIE;
import static dev.ambershim.core.physics.assembly.Part.LID;
import static dev.ambershim.core.physics.assembly.Part.SUBSTRATE;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure.Access;
import dev.ambershim.core.job.Figure.Range;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Lid;
import java.util.ArrayList;
import java.util.List;

/** Measures of substrate, dies and lid. */
final class ChipFigures {
  static final Section<Chip> CHIP = new Section<>(Job::chip, Job::withChip);
  static final Section<Lid> LID_SECTION = CHIP.in(Chip::lid, Chip::withLid);

  private ChipFigures() {}

  static List<Figure> all(Chip chip) {
    List<Figure> figures = new ArrayList<>();
    figures.add(
        board(
            "widthMillimetres",
            "substrate width",
            new Range(5, 150),
            new Range(20, 80),
            "Caliper across the board edge to edge, left to right.",
            CHIP.must(Chip::widthMillimetres, Chip::withWidthMillimetres)));
    figures.add(
        board(
            "depthMillimetres",
            "substrate depth",
            new Range(5, 150),
            new Range(20, 80),
            "Caliper across the board edge to edge, front to back.",
            CHIP.must(Chip::depthMillimetres, Chip::withDepthMillimetres)));
    figures.add(
        board(
            "substrateMillimetres",
            "substrate thickness",
            new Range(0.3, 4),
            new Range(0.7, 2),
            "Caliper at a bare corner of the board.",
            CHIP.must(Chip::substrateMillimetres, Chip::withSubstrateMillimetres)));
    figures.add(
        new Figure(
            "chip.cores",
            SUBSTRATE,
            "cores",
            Unit.COUNT,
            new Range(1, 256),
            new Range(1, 64),
            "Count the core temperatures in your log.",
            CHIP.must(Chip::cores, (c, v) -> c.withCores((int) Math.round(v)))));
    for (int i = 0; i < chip.dies().size(); i++) {
      die(figures, i, chip.dies().get(i).name());
    }
    lid(figures);
    return figures;
  }

  private static Figure board(
      String name, String label, Range possible, Range usual, String how, Access access) {
    return new Figure(
        "chip." + name, SUBSTRATE, label, Unit.MILLIMETRE, possible, usual, how, access);
  }

  private static void die(List<Figure> figures, int index, String name) {
    Section<Die> die = CHIP.in(c -> c.dies().get(index), (c, d) -> c.withDie(index, d));
    String at = "chip.dies." + index + ".";
    Range size = new Range(1, 60);
    Range usual = new Range(5, 30);
    Range place = new Range(-60, 60);
    Range near = new Range(-30, 30);
    figures.add(
        new Figure(
            at + "widthMillimetres",
            DIE,
            name + ", width",
            Unit.MILLIMETRE,
            size,
            usual,
            "Caliper over the bare silicon, jaws barely closed; or from a straight photo with a"
                + " ruler beside it.",
            die.must(Die::widthMillimetres, Die::withWidthMillimetres)));
    figures.add(
        new Figure(
            at + "depthMillimetres",
            DIE,
            name + ", depth",
            Unit.MILLIMETRE,
            size,
            usual,
            "As the width, the other way.",
            die.must(Die::depthMillimetres, Die::withDepthMillimetres)));
    figures.add(
        new Figure(
            at + "heightMicrometres",
            DIE,
            name + ", height over substrate",
            Unit.MICROMETRE,
            new Range(100, 3000),
            new Range(300, 1200),
            "Indicator or depth rod from the board up to the die, three places, mean.",
            die.must(Die::heightMicrometres, Die::withHeightMicrometres)));
    figures.add(
        new Figure(
            at + "xMillimetres",
            DIE,
            name + ", centre right of middle",
            Unit.MILLIMETRE,
            place,
            near,
            "Ruler from the board's edges to the die's.",
            die.must(Die::xMillimetres, Die::withXMillimetres)));
    figures.add(
        new Figure(
            at + "yMillimetres",
            DIE,
            name + ", centre above middle",
            Unit.MILLIMETRE,
            place,
            near,
            "Ruler from the board's edges to the die's.",
            die.must(Die::yMillimetres, Die::withYMillimetres)));
  }

  private static void lid(List<Figure> figures) {
    figures.add(
        lid(
            "widthMillimetres",
            "lid width",
            new Range(5, 120),
            new Range(20, 75),
            "Caliper across the lid's top face.",
            LID_SECTION.must(Lid::widthMillimetres, Lid::withWidthMillimetres)));
    figures.add(
        lid(
            "depthMillimetres",
            "lid depth",
            new Range(5, 120),
            new Range(20, 75),
            "Caliper across the lid's top face, the other way.",
            LID_SECTION.must(Lid::depthMillimetres, Lid::withDepthMillimetres)));
    figures.add(
        lid(
            "thicknessMillimetres",
            "lid thickness over the die",
            new Range(0.3, 8),
            new Range(1.5, 4),
            "With the lid off: whole height by caliper, less the depth of its hollow.",
            LID_SECTION.must(Lid::thicknessMillimetres, Lid::withThicknessMillimetres)));
    figures.add(
        lid(
            "cavityMillimetres",
            "depth of the hollow",
            new Range(0.05, 3),
            new Range(0.4, 1.2),
            "Depth rod from the rim's foot to the inner face.",
            LID_SECTION.must(Lid::cavityMillimetres, Lid::withCavityMillimetres)));
    figures.add(
        lid(
            "rimMillimetres",
            "rim width",
            new Range(0.5, 15),
            new Range(2, 6),
            "Caliper over the rim's foot.",
            LID_SECTION.must(Lid::rimMillimetres, Lid::withRimMillimetres)));
  }

  private static Figure lid(
      String name, String label, Range possible, Range usual, String how, Access access) {
    return new Figure(
        "chip.lid." + name, LID, label, Unit.MILLIMETRE, possible, usual, how, access);
  }
}
