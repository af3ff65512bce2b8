package dev.ambershim.core.job;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure.Range;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.LapTerms;
import dev.ambershim.core.physics.surface.Surfaces;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;

/** How a face is lapped. */
public final class LapFigures {
  /** The part name. */
  public static final String PART = "lap";

  /** So much may come off a die, mm; common practice. */
  private static final double DIE_MAY_LOSE = 0.1;

  private static final String NAME = "surfaces.terms.";

  private static final Section<LapTerms> TERMS =
      new Section<>(Job::surfaces, Job::withSurfaces).in(Surfaces::terms, Surfaces::withTerms);

  private LapFigures() {}

  /** All of them, in the order in which a person meets them. */
  public static List<Figure> all() {
    return List.of(
        of(
            "targetMicrometres",
            "flatness to reach",
            Unit.MICROMETRE,
            new Range(0.5, 500),
            LapTerms::targetMicrometres,
            LapTerms::withTargetMicrometres,
            LapTerms::target),
        of(
            "platingMicrometres",
            "plating",
            Unit.MICROMETRE,
            new Range(0, 100),
            LapTerms::platingMicrometres,
            LapTerms::withPlatingMicrometres,
            LapTerms::plating),
        new Figure(
            NAME + "floorMillimetres",
            PART,
            "least thickness to leave",
            Unit.MILLIMETRE,
            new Range(0, 50),
            new Figure.Access(
                job -> job.surfaces().terms().floorMillimetres(),
                (job, v) -> TERMS.put().apply(job, job.surfaces().terms().withFloorMillimetres(v)),
                job -> usualFloor(job, job.surfaces().terms().face()),
                "")),
        of(
            "newtons",
            "press",
            Unit.NEWTON,
            new Range(0.5, 200),
            LapTerms::newtons,
            LapTerms::withNewtons,
            LapTerms::press),
        of(
            "strokeMillimetres",
            "stroke, one way",
            Unit.MILLIMETRE,
            new Range(5, 500),
            LapTerms::strokeMillimetres,
            LapTerms::withStrokeMillimetres,
            LapTerms::stroke),
        of(
            "offsetMillimetres",
            "hand off the middle",
            Unit.MILLIMETRE,
            new Range(0.1, 30),
            LapTerms::offsetMillimetres,
            LapTerms::withOffsetMillimetres,
            LapTerms::offset));
  }

  /** Least thickness to leave of a face where nothing is said, mm; common practice. */
  public static double usualFloor(Job job, Face face) {
    return switch (face) {
      case DIE -> job.chip().highestDieMicrometres() / 1000 - DIE_MAY_LOSE;
      case LAP -> 0;
      default -> 1;
    };
  }

  private static Figure of(
      String name,
      String label,
      Unit unit,
      Range possible,
      Function<LapTerms, Double> read,
      BiFunction<LapTerms, Double, LapTerms> write,
      Function<LapTerms, Double> otherwise) {
    return new Figure(NAME + name, PART, label, unit, possible, TERMS.may(read, write, otherwise));
  }
}
