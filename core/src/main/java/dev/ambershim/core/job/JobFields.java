package dev.ambershim.core.job;

import static dev.ambershim.core.physics.assembly.Part.DIE;
import static dev.ambershim.core.physics.assembly.Part.INNER;
import static dev.ambershim.core.physics.assembly.Part.LID;
import static dev.ambershim.core.physics.assembly.Part.OUTER;
import static dev.ambershim.core.physics.assembly.Part.PLATE;
import static dev.ambershim.core.physics.assembly.Part.SUBSTRATE;

import dev.ambershim.core.base.Unit;
import java.util.ArrayList;
import java.util.List;

/** Every figure of a job that a person may edit, by part. Ranges are common practice. */
public final class JobFields {
  /** The part name for what belongs to the job as a whole. */
  public static final String JOB = "job";

  private JobFields() {}

  /** The job with the words at a path replaced, such as {@code title} or {@code chip.name}. */
  public static Job withWords(Job job, String path, String text) {
    return new RecordPath(path).with(job, text);
  }

  /** The figures of a part, for one side's build. */
  public static List<Field> figures(Job job, String part, Side side) {
    return all(job, side).stream().filter(f -> f.part().equals(part)).toList();
  }

  /** The picks of a part, for one side's build. */
  public static List<Choice> choices(String part, Side side) {
    String build = side.words();
    List<Choice> all =
        List.of(
            Choice.lid(build + ".lidOn", "lid"),
            Choice.metal("chip.lid.material", LID, "lid material"),
            Choice.filling(build + ".inner", INNER, "filling"),
            Choice.filling(build + ".outer", OUTER, "filling"),
            Choice.coolerKind(),
            Choice.metal("cooler.material", PLATE, "plate material"),
            Choice.ruinedAt(),
            Choice.ways("terms.blade", TermFields.WORTH, "open with", "a blade", "a vice tool"),
            Choice.ways(
                "terms.guard", TermFields.WORTH, "parts around the die", "covered", "left bare"),
            Choice.ways("terms.frame", TermFields.WORTH, "bare die in", "a frame", "nothing"),
            Choice.ways(
                "terms.advertised",
                TermFields.WORTH,
                "liquid metal conducts",
                "as advertised",
                "as published"));
    return all.stream().filter(c -> c.part().equals(part)).toList();
  }

  /** All figures, for one side's build. */
  public static List<Field> all(Job job, Side side) {
    List<Field> fields = new ArrayList<>();
    fields.add(
        new Field(
            "heatWatts",
            JOB,
            "heat",
            Unit.WATT,
            1,
            1000,
            60,
            350,
            "Read chip power from a log under your heaviest load."));
    fields.add(
        new Field(
            "careKelvin",
            JOB,
            "smallest difference you care about",
            Unit.KELVIN,
            0,
            30,
            0.5,
            5,
            "Your own choice; below it a change counts as nothing."));
    fields.add(
        new Field(
            "remountKelvin",
            JOB,
            "scatter between mounts",
            Unit.KELVIN,
            0,
            20,
            0.1,
            2,
            "Standard deviation when the cooler comes off and on; 0.3 K is common practice."));
    fields.add(
        new Field(
            "chip.widthMillimetres",
            SUBSTRATE,
            "substrate width",
            Unit.MILLIMETRE,
            5,
            150,
            20,
            80,
            "Caliper across the board edge to edge, left to right."));
    fields.add(
        new Field(
            "chip.depthMillimetres",
            SUBSTRATE,
            "substrate depth",
            Unit.MILLIMETRE,
            5,
            150,
            20,
            80,
            "Caliper across the board edge to edge, front to back."));
    fields.add(
        new Field(
            "chip.substrateMillimetres",
            SUBSTRATE,
            "substrate thickness",
            Unit.MILLIMETRE,
            0.3,
            4,
            0.7,
            2,
            "Caliper at a bare corner of the board."));
    fields.add(
        new Field(
            "chip.cores",
            SUBSTRATE,
            "cores",
            Unit.COUNT,
            1,
            256,
            2,
            64,
            "Count the core temperatures in your log."));
    for (int i = 0; i < job.chip().dies().size(); i++) {
      String at = "chip.dies." + i + ".";
      String name = job.chip().dies().get(i).name();
      fields.add(
          new Field(
              at + "widthMillimetres",
              DIE,
              name + ", width",
              Unit.MILLIMETRE,
              1,
              60,
              5,
              30,
              "Caliper over the bare silicon, jaws barely closed; or from a straight photo with a"
                  + " ruler beside it."));
      fields.add(
          new Field(
              at + "depthMillimetres",
              DIE,
              name + ", depth",
              Unit.MILLIMETRE,
              1,
              60,
              5,
              30,
              "As the width, the other way."));
      fields.add(
          new Field(
              at + "heightMicrometres",
              DIE,
              name + ", height over substrate",
              Unit.MICROMETRE,
              100,
              3000,
              300,
              1200,
              "Indicator or depth rod from the board up to the die, three places, mean."));
      fields.add(
          new Field(
              at + "xMillimetres",
              DIE,
              name + ", centre right of middle",
              Unit.MILLIMETRE,
              -60,
              60,
              -15,
              15,
              "Ruler from the board's edges to the die's."));
      fields.add(
          new Field(
              at + "yMillimetres",
              DIE,
              name + ", centre above middle",
              Unit.MILLIMETRE,
              -60,
              60,
              -15,
              15,
              "Ruler from the board's edges to the die's."));
    }
    joint(fields, side.words() + ".inner.", INNER);
    fields.add(
        new Field(
            side.words() + ".glueMicrometres",
            LID,
            "glue line under the rim",
            Unit.MICROMETRE,
            0,
            1000,
            0,
            250,
            "Closed height less substrate, lid rim and nothing else; the old sealant counts."));
    fields.add(
        new Field(
            "chip.lid.widthMillimetres",
            LID,
            "lid width",
            Unit.MILLIMETRE,
            5,
            120,
            20,
            75,
            "Caliper across the lid's top face."));
    fields.add(
        new Field(
            "chip.lid.depthMillimetres",
            LID,
            "lid depth",
            Unit.MILLIMETRE,
            5,
            120,
            20,
            75,
            "Caliper across the lid's top face, the other way."));
    fields.add(
        new Field(
            "chip.lid.thicknessMillimetres",
            LID,
            "lid thickness over the die",
            Unit.MILLIMETRE,
            0.3,
            8,
            1.5,
            4,
            "With the lid off: whole height by caliper, less the depth of its hollow."));
    fields.add(
        new Field(
            "chip.lid.cavityMillimetres",
            LID,
            "depth of the hollow",
            Unit.MILLIMETRE,
            0.05,
            3,
            0.4,
            1.2,
            "Depth rod from the rim's foot to the inner face."));
    fields.add(
        new Field(
            "chip.lid.rimMillimetres",
            LID,
            "rim width",
            Unit.MILLIMETRE,
            0.5,
            15,
            2,
            6,
            "Caliper over the rim's foot."));
    joint(fields, side.words() + ".outer.", OUTER);
    fields.add(
        new Field(
            "cooler.widthMillimetres",
            PLATE,
            "plate width",
            Unit.MILLIMETRE,
            10,
            200,
            30,
            90,
            "Caliper or ruler over the cold plate's contact face."));
    fields.add(
        new Field(
            "cooler.depthMillimetres",
            PLATE,
            "plate depth",
            Unit.MILLIMETRE,
            10,
            200,
            30,
            90,
            "As the width, the other way."));
    fields.add(
        new Field(
            "cooler.thicknessMillimetres",
            PLATE,
            "plate thickness",
            Unit.MILLIMETRE,
            0.5,
            30,
            1,
            8,
            "From the maker's drawing, or by caliper where the edge shows it."));
    fields.add(
        new Field(
            "cooler.resistanceKelvinPerWatt",
            PLATE,
            "plate to room air",
            Unit.KELVIN_PER_WATT,
            0.005,
            3,
            0.03,
            0.4,
            "Coolant or plate temperature over room air, divided by chip power."));
    fields.add(
        new Field(
            "cooler.finWidthMillimetres",
            PLATE,
            "fins or channels, width",
            Unit.MILLIMETRE,
            5,
            200,
            20,
            80,
            "How far fins, channels or heat pipes reach behind the plate; from a photo inside."));
    fields.add(
        new Field(
            "cooler.finDepthMillimetres",
            PLATE,
            "fins or channels, depth",
            Unit.MILLIMETRE,
            5,
            200,
            20,
            80,
            "As the width, the other way."));
    fields.add(
        new Field(
            "cooler.reachMillimetres",
            PLATE,
            "room to come down",
            Unit.MILLIMETRE,
            0,
            20,
            1,
            6,
            "How much lower the mount can hold the plate than on a lid: springs, standoffs, frame."));
    fields.addAll(TermFields.all());
    fields.addAll(LadderFields.all());
    return fields;
  }

  private static void joint(List<Field> fields, String at, String part) {
    fields.add(
        new Field(
            at + "bondLineMicrometres",
            part,
            "bond line",
            Unit.MICROMETRE,
            1,
            1000,
            10,
            300,
            "Closed height less the heights of the parts, or taken as usual for the filling."));
    fields.add(
        new Field(
            at + "conductivityWattsPerMetreKelvin",
            part,
            "conductivity",
            Unit.WATT_PER_METRE_KELVIN,
            0.2,
            500,
            1,
            90,
            "A published measurement; sellers' figures run high."));
  }
}
