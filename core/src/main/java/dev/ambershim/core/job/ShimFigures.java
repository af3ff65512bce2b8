package dev.ambershim.core.job;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure.Range;
import dev.ambershim.core.physics.fit.ShimTerms;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;

/** How a shim, a mask or a stencil is cut. */
public final class ShimFigures {
  /** The part name. */
  public static final String PART = "shim";

  private static final Section<ShimTerms> SHIM = new Section<>(Job::shim, Job::withShim);

  private ShimFigures() {}

  /** All of them, in the order in which a person meets them. */
  public static List<Figure> all() {
    return List.of(
        of(
            "dieClearanceMillimetres",
            "clear of the die",
            Unit.MILLIMETRE,
            new Range(0, 5),
            ShimTerms::dieClearanceMillimetres,
            ShimTerms::withDieClearanceMillimetres),
        of(
            "partClearanceMillimetres",
            "clear of parts",
            Unit.MILLIMETRE,
            new Range(0, 5),
            ShimTerms::partClearanceMillimetres,
            ShimTerms::withPartClearanceMillimetres),
        of(
            "insetMillimetres",
            "inside the substrate's edge",
            Unit.MILLIMETRE,
            new Range(0, 20),
            ShimTerms::insetMillimetres,
            ShimTerms::withInsetMillimetres),
        of(
            "cornerMillimetres",
            "corner radius",
            Unit.MILLIMETRE,
            new Range(0, 5),
            ShimTerms::cornerMillimetres,
            ShimTerms::withCornerMillimetres),
        of(
            "kerfMillimetres",
            "kerf of the cut",
            Unit.MILLIMETRE,
            new Range(0, 2),
            ShimTerms::kerfMillimetres,
            ShimTerms::withKerfMillimetres),
        of(
            "webMillimetres",
            "least width of a bridge",
            Unit.MILLIMETRE,
            new Range(0.1, 10),
            ShimTerms::webMillimetres,
            ShimTerms::withWebMillimetres),
        of(
            "rimMicrometres",
            "raised edge",
            Unit.MICROMETRE,
            new Range(0, 300),
            ShimTerms::rimMicrometres,
            ShimTerms::withRimMicrometres),
        new Figure(
            PART + ".foilMicrometres",
            PART,
            "foil",
            Unit.MICROMETRE,
            new Range(10, 3000),
            SHIM.found(ShimTerms::foilMicrometres, ShimTerms::withFoilMicrometres, "the best")));
  }

  private static Figure of(
      String name,
      String label,
      Unit unit,
      Range possible,
      Function<ShimTerms, Double> read,
      BiFunction<ShimTerms, Double, ShimTerms> write) {
    return new Figure(
        PART + "." + name,
        PART,
        label,
        unit,
        possible,
        SHIM.may(read, write, s -> read.apply(ShimTerms.USUAL)));
  }
}
