package dev.ambershim.core.job;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure.Range;
import dev.ambershim.core.physics.mounting.MountTerms;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;

/** How the cooler is screwed down, and what socket, lid and die may bear. */
public final class MountFigures {
  /** The part name. */
  public static final String PART = "mounting";

  private static final int MOST_SCREWS = 4;

  private static final Section<MountTerms> MOUNTING =
      new Section<>(Job::mounting, Job::withMounting);

  private final List<Figure> figures = new ArrayList<>();

  private MountFigures() {}

  /** All of them, in the order in which a person meets them. */
  public static List<Figure> all() {
    MountFigures all = new MountFigures();
    all.screws();
    all.limits();
    all.pads();
    for (int screw = 0; screw < MOST_SCREWS; screw++) {
      all.extra(screw);
    }
    return all.figures;
  }

  private void screws() {
    add(
        "acrossMillimetres",
        "screws apart, across",
        Unit.MILLIMETRE,
        new Range(10, 500),
        MountTerms::acrossMillimetres,
        MountTerms::withAcrossMillimetres,
        MountTerms::across);
    add(
        "alongMillimetres",
        "screws apart, along",
        Unit.MILLIMETRE,
        new Range(10, 500),
        MountTerms::alongMillimetres,
        MountTerms::withAlongMillimetres,
        MountTerms::along);
    add(
        "threadMillimetres",
        "thread, across",
        Unit.MILLIMETRE,
        new Range(1, 12),
        MountTerms::threadMillimetres,
        MountTerms::withThreadMillimetres,
        MountTerms::thread);
    add(
        "pitchMillimetres",
        "pitch",
        Unit.MILLIMETRE,
        new Range(0.1, 5),
        MountTerms::pitchMillimetres,
        MountTerms::withPitchMillimetres,
        MountTerms::pitch);
    add(
        "increment",
        "turns at a time",
        Unit.TURN,
        new Range(0.05, 4),
        MountTerms::increment,
        MountTerms::withIncrement,
        MountTerms::step);
    add(
        "springNewtonsPerMillimetre",
        "rate of a spring",
        Unit.NEWTON_PER_MILLIMETRE,
        new Range(0.1, 1000),
        MountTerms::springNewtonsPerMillimetre,
        MountTerms::withSpringNewtonsPerMillimetre,
        MountTerms::rate);
    add(
        "squeezeMillimetres",
        "spring pressed by",
        Unit.MILLIMETRE,
        new Range(0.05, 50),
        MountTerms::squeezeMillimetres,
        MountTerms::withSqueezeMillimetres,
        MountTerms::squeeze);
    add(
        "torqueNewtonMetres",
        "torque",
        Unit.NEWTON_METRE,
        new Range(0.001, 20),
        MountTerms::torqueNewtonMetres,
        MountTerms::withTorqueNewtonMetres,
        MountTerms::torque);
    add(
        "nutFactor",
        "nut factor K",
        Unit.NUMBER,
        new Range(0.05, 1),
        MountTerms::nutFactor,
        MountTerms::withNutFactor,
        MountTerms::nut);
  }

  private void limits() {
    add(
        "socketNewtons",
        "socket may bear",
        Unit.NEWTON,
        new Range(1, 5000),
        MountTerms::socketNewtons,
        MountTerms::withSocketNewtons,
        t -> null);
    add(
        "lidMegapascals",
        "lid may bear",
        Unit.MEGAPASCAL,
        new Range(0.01, 100),
        MountTerms::lidMegapascals,
        MountTerms::withLidMegapascals,
        MountTerms::lid);
    add(
        "dieMegapascals",
        "bare die may bear",
        Unit.MEGAPASCAL,
        new Range(0.01, 100),
        MountTerms::dieMegapascals,
        MountTerms::withDieMegapascals,
        MountTerms::die);
    add(
        "edgeMegapascals",
        "edge of a die may bear",
        Unit.MEGAPASCAL,
        new Range(0.01, 1000),
        MountTerms::edgeMegapascals,
        MountTerms::withEdgeMegapascals,
        MountTerms::edge);
  }

  private void pads() {
    add(
        "padGapMillimetres",
        "gap under the neighbours' pads",
        Unit.MILLIMETRE,
        new Range(0.05, 10),
        MountTerms::padGapMillimetres,
        MountTerms::withPadGapMillimetres,
        t -> null);
    add(
        "padAreaSquareMillimetres",
        "area of all their pads",
        Unit.SQUARE_MILLIMETRE,
        new Range(1, 20_000),
        MountTerms::padAreaSquareMillimetres,
        MountTerms::withPadAreaSquareMillimetres,
        t -> null);
  }

  private void extra(int screw) {
    String name = MountTerms.USUAL.places().get(screw).name();
    figures.add(
        new Figure(
            PART + ".extraTurns." + screw,
            PART,
            "more turns, " + name,
            Unit.TURN,
            new Range(-20, 20),
            MOUNTING.may(
                t -> t.extra(screw) == 0 ? null : t.extra(screw),
                (t, v) -> t.withExtra(screw, v == null ? 0 : v),
                t -> 0.0)));
  }

  private void add(
      String name,
      String label,
      Unit unit,
      Range possible,
      Function<MountTerms, Double> read,
      BiFunction<MountTerms, Double, MountTerms> write,
      Function<MountTerms, Double> otherwise) {
    figures.add(
        new Figure(
            PART + "." + name, PART, label, unit, possible, MOUNTING.may(read, write, otherwise)));
  }
}
