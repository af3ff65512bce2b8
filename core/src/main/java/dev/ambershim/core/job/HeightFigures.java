package dev.ambershim.core.job;

import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure.Range;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.fit.Mount;
import dev.ambershim.core.physics.fit.Top;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;

/** Where tops stand, where the cooler presses, and how it is held. Heights are {@link #HEIGHT}. */
public final class HeightFigures {
  /** The part name. */
  public static final String PART = "heights";

  /** What a height can be that was read with a caliper or an indicator, mm. */
  public static final Range HEIGHT = new Range(-20, 60);

  private static final Section<Heights> HEIGHTS = new Section<>(Job::heights, Job::withHeights);
  private static final Section<Mount> MOUNT = HEIGHTS.in(Heights::mount, Heights::withMount);
  private static final Range PRESSES = new Range(-60, 60);
  private static final Range PLACE = new Range(-150, 150);
  private static final Range SIZE = new Range(0, 150);

  private HeightFigures() {}

  static List<Figure> all(Heights heights) {
    List<Figure> figures = new ArrayList<>(held());
    for (int i = 0; i < heights.tops().size(); i++) {
      figures.addAll(top(i));
    }
    return figures;
  }

  /** A height that is read with a caliper or an indicator; it stands nowhere by itself. */
  public static Figure height(String label) {
    return new Figure(
        "height",
        PART,
        label,
        Unit.MILLIMETRE,
        HEIGHT,
        new Figure.Access(job -> null, (job, v) -> job, null, ""));
  }

  /** Where the cooler presses, and how it is held. */
  public static List<Figure> held() {
    List<Figure> figures = new ArrayList<>();
    figures.add(
        length(
            "xLoad",
            "presses right of the middle",
            PRESSES,
            HEIGHTS.must(Heights::xLoad, Heights::withXLoad)));
    figures.add(
        length(
            "yLoad",
            "presses above the middle",
            PRESSES,
            HEIGHTS.must(Heights::yLoad, Heights::withYLoad)));
    figures.addAll(mount());
    return figures;
  }

  private static List<Figure> mount() {
    return List.of(
        length(
            "mount.travelMillimetres",
            "bracket can still come down",
            new Range(0, 30),
            known(Mount::travelMillimetres, Mount::withTravelMillimetres)),
        length(
            "mount.squeezeMillimetres",
            "springs pressed together",
            new Range(0, 30),
            known(Mount::squeezeMillimetres, Mount::withSqueezeMillimetres)),
        new Figure(
            PART + ".mount.springNewtonsPerMillimetre",
            PART,
            "rate of a spring",
            Unit.NEWTON_PER_MILLIMETRE,
            new Range(0.1, 500),
            known(Mount::springNewtonsPerMillimetre, Mount::withSpringNewtonsPerMillimetre)),
        new Figure(
            PART + ".mount.screws",
            PART,
            "screws",
            Unit.COUNT,
            new Range(1, 12),
            known(
                m -> m.screws() == null ? null : m.screws().doubleValue(),
                (m, v) -> m.withScrews(v == null ? null : (Integer) (int) Math.round(v)))),
        length(
            "mount.threadMillimetres",
            "thread's diameter",
            new Range(1, 8),
            known(Mount::threadMillimetres, Mount::withThreadMillimetres)),
        length(
            "mount.engagedMillimetres",
            "thread engaged with the lid on",
            new Range(0, 30),
            known(Mount::engagedMillimetres, Mount::withEngagedMillimetres)));
  }

  /** Place and size of a top: right of the middle, above it, width, depth. */
  public static List<Figure> top(int index) {
    return List.of(
        top(
            index,
            "xMillimetres",
            "right of the middle",
            PLACE,
            Top::xMillimetres,
            Top::withXMillimetres),
        top(
            index,
            "yMillimetres",
            "above the middle",
            PLACE,
            Top::yMillimetres,
            Top::withYMillimetres),
        top(
            index,
            "widthMillimetres",
            "width",
            SIZE,
            Top::widthMillimetres,
            Top::withWidthMillimetres),
        top(
            index,
            "depthMillimetres",
            "depth",
            SIZE,
            Top::depthMillimetres,
            Top::withDepthMillimetres));
  }

  private static Figure top(
      int index,
      String name,
      String label,
      Range possible,
      ToDoubleFunction<Top> read,
      BiFunction<Top, Double, Top> write) {
    Section<Top> top = HEIGHTS.in(h -> h.tops().get(index), (h, t) -> h.withTop(index, t));
    return new Figure(
        PART + ".tops." + index + "." + name,
        "top",
        label,
        Unit.MILLIMETRE,
        possible,
        top.must(read, write));
  }

  /** A figure of the mount; it is known or it is not. */
  private static Figure.Access known(
      Function<Mount, Double> read, BiFunction<Mount, Double, Mount> write) {
    return MOUNT.may(read, write, m -> null);
  }

  private static Figure length(String name, String label, Range possible, Figure.Access access) {
    return new Figure(PART + "." + name, PART, label, Unit.MILLIMETRE, possible, access);
  }
}
