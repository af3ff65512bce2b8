package dev.ambershim.core.job;

import static dev.ambershim.core.physics.assembly.Part.INNER;
import static dev.ambershim.core.physics.assembly.Part.LID;
import static dev.ambershim.core.physics.assembly.Part.OUTER;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure.Range;
import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Joint;
import java.util.ArrayList;
import java.util.List;

/**
 * The registry of every figure that a person types: name, unit, range, default, how to measure it,
 * and where it stands in the job. Ranges are common practice.
 */
public final class Figures {
  /** The part name for what belongs to the job as a whole. */
  public static final String JOB = "job";

  private static final Section<Job> ALL = new Section<>(j -> j, (j, other) -> other);

  /** Heat of the heaviest load. */
  public static final Figure HEAT =
      new Figure(
          "heatWatts",
          JOB,
          "heat",
          Unit.WATT,
          new Range(1, 1000),
          new Range(15, 450),
          "Read chip power from a log under your heaviest load.",
          ALL.must(Job::heatWatts, Job::withHeatWatts));

  /** The smallest difference that counts. */
  public static final Figure CARE =
      new Figure(
          "careKelvin",
          JOB,
          "smallest change that counts",
          Unit.KELVIN,
          new Range(0, 30),
          new Range(0.5, 5),
          "Your own choice; below it a change counts as nothing.",
          ALL.must(Job::careKelvin, Job::withCareKelvin));

  /** Standard deviation between mounts. */
  public static final Figure REMOUNT =
      new Figure(
          "remountKelvin",
          JOB,
          "scatter between mounts",
          Unit.KELVIN,
          new Range(0, 20),
          new Range(0.1, 2),
          "Standard deviation when the cooler comes off and on; 0.5 K is common practice.",
          ALL.must(Job::remountKelvin, Job::withRemountKelvin));

  /** Standard error of a room that was typed. */
  public static final Figure TYPED_ROOM =
      new Figure(
          "typedRoomKelvin",
          JOB,
          "error of a typed room",
          Unit.KELVIN,
          new Range(0, 10),
          new Range(0.1, 1),
          "How far your thermometer and its place may be off; 0.3 K is common practice.",
          ALL.must(Job::typedRoomKelvin, Job::withTypedRoomKelvin));

  private Figures() {}

  /** The figures of a part, for one side's build. */
  public static List<Figure> of(Job job, String part, Side side) {
    return all(job, side).stream().filter(f -> f.part().equals(part)).toList();
  }

  /** The figure of a name. */
  public static Figure named(Job job, String name, Side side) {
    return all(job, side).stream()
        .filter(f -> f.name().equals(name))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException(name));
  }

  /**
   * Checks every figure of a job, those of both builds among them.
   *
   * @throws dev.ambershim.core.base.Problem {@code field.range}, naming the figure
   */
  static void check(Job job) {
    for (Side side : Side.values()) {
      for (Figure figure : all(job, side)) {
        figure.check(job);
      }
    }
  }

  /** All figures, for one side's build. */
  public static List<Figure> all(Job job, Side side) {
    List<Figure> figures = new ArrayList<>(List.of(HEAT, CARE, REMOUNT, TYPED_ROOM));
    figures.addAll(ChipFigures.all(job.chip()));
    figures.addAll(build(side));
    figures.addAll(CoolerFigures.all(job.cooler()));
    figures.addAll(TermFigures.all());
    figures.addAll(LadderFigures.all());
    figures.addAll(HeightFigures.all(job.heights()));
    figures.addAll(LapFigures.all());
    figures.addAll(ShimFigures.all());
    figures.addAll(CoatFigures.metal());
    figures.addAll(CoatFigures.paste());
    figures.addAll(ClosingFigures.all());
    figures.addAll(MountFigures.all());
    figures.addAll(CareFigures.all());
    return figures;
  }

  /** The build of a side as a section. */
  static Section<Build> at(Side side) {
    return side == Side.BEFORE
        ? new Section<>(Job::before, Job::withBefore)
        : new Section<>(Job::after, Job::withAfter);
  }

  private static List<Figure> build(Side side) {
    Section<Build> build = at(side);
    String name = side.words();
    List<Figure> figures = new ArrayList<>();
    joint(figures, build.in(Build::inner, Build::withInner), name + ".inner.", INNER);
    figures.add(
        new Figure(
            name + ".glueMicrometres",
            LID,
            "glue line under the rim",
            Unit.MICROMETRE,
            new Range(0, 1000),
            new Range(0, 250),
            "Closed height less substrate, lid rim and nothing else; the old sealant counts.",
            build.must(Build::glueMicrometres, Build::withGlueMicrometres)));
    joint(figures, build.in(Build::outer, Build::withOuter), name + ".outer.", OUTER);
    return figures;
  }

  private static void joint(List<Figure> figures, Section<Joint> joint, String name, String part) {
    figures.add(
        new Figure(
            name + "bondLineMicrometres",
            part,
            "bond line",
            Unit.MICROMETRE,
            new Range(1, 1000),
            new Range(10, 300),
            "Closed height less the heights of the parts, or taken as usual for the filling.",
            joint.must(Joint::bondLineMicrometres, Joint::withBondLineMicrometres)));
    figures.add(
        new Figure(
            name + "conductivityWattsPerMetreKelvin",
            part,
            "conductivity",
            Unit.WATT_PER_METRE_KELVIN,
            new Range(0.2, 500),
            new Range(1, 90),
            "A published measurement; sellers' figures run high.",
            joint.must(
                Joint::conductivityWattsPerMetreKelvin,
                Joint::withConductivityWattsPerMetreKelvin)));
  }
}
