package dev.ambershim.core.job;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure.Range;
import dev.ambershim.core.physics.dosing.CloseTerms;
import dev.ambershim.core.plan.Doses;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;

/** How the lid is glued. */
public final class ClosingFigures {
  /** The part name. */
  public static final String PART = "closing";

  private static final Section<CloseTerms> CLOSING = new Section<>(Job::closing, Job::withClosing);

  private ClosingFigures() {}

  /** All of them, in the order in which a person meets them. */
  public static List<Figure> all() {
    return List.of(
        new Figure(
            PART + ".beadMillimetres",
            PART,
            "bead, or dot, across",
            Unit.MILLIMETRE,
            new Range(0.1, 10),
            new Figure.Access(
                job -> job.closing().beadMillimetres(),
                (job, v) -> job.withClosing(job.closing().withBeadMillimetres(v)),
                job -> job.closing().bead(Doses.gluePattern(job.workCase())),
                "")),
        of(
            "ventMillimetres",
            "gap for air",
            Unit.MILLIMETRE,
            new Range(0, 100),
            CloseTerms::ventMillimetres,
            CloseTerms::withVentMillimetres,
            CloseTerms::vent),
        of(
            "newtons",
            "press on the lid",
            Unit.NEWTON,
            new Range(1, 1000),
            CloseTerms::newtons,
            CloseTerms::withNewtons,
            CloseTerms::press),
        of(
            "humidityPercent",
            "humidity",
            Unit.PERCENT,
            new Range(5, 100),
            CloseTerms::humidityPercent,
            CloseTerms::withHumidityPercent,
            CloseTerms::humidity),
        of(
            "celsius",
            "warmth of the air",
            Unit.CELSIUS,
            new Range(0, 60),
            CloseTerms::celsius,
            CloseTerms::withCelsius,
            CloseTerms::warmth),
        of(
            "oldMicrometres",
            "old sealant left on",
            Unit.MICROMETRE,
            new Range(0, 2000),
            CloseTerms::oldMicrometres,
            CloseTerms::withOldMicrometres,
            CloseTerms::old));
  }

  private static Figure of(
      String name,
      String label,
      Unit unit,
      Range possible,
      Function<CloseTerms, Double> read,
      BiFunction<CloseTerms, Double, CloseTerms> write,
      Function<CloseTerms, Double> otherwise) {
    return new Figure(
        PART + "." + name, PART, label, unit, possible, CLOSING.may(read, write, otherwise));
  }
}
