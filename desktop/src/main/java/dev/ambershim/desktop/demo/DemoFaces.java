package dev.ambershim.desktop.demo;

import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.fit.Instrument;
import dev.ambershim.core.physics.fit.Mount;
import dev.ambershim.core.physics.fit.Reading;
import dev.ambershim.core.physics.fit.Top;
import dev.ambershim.core.physics.fit.TopKind;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.Grit;
import dev.ambershim.core.physics.surface.LapPass;
import dev.ambershim.core.physics.surface.LapTerms;
import dev.ambershim.core.physics.surface.ProbedPoint;
import dev.ambershim.core.physics.surface.Relief;
import dev.ambershim.core.physics.surface.Surfaces;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;

/**
 * What the Lantern Lane workshop measured. Sorrel's lid is hollow in its middle, so that the plate
 * stood on its rim; a first pass has begun to bring it down. Fennel's shim came out of the laser
 * with a raised edge and stands proud of the dies until it is sanded.
 */
final class DemoFaces {
  private DemoFaces() {}

  private interface Height {
    double at(double x, double y);
  }

  private static List<ProbedPoint> probe(
      double halfX, double halfY, int n, double scatter, long seed, Height height) {
    SplittableRandom random = new SplittableRandom(seed);
    List<ProbedPoint> points = new ArrayList<>();
    for (int j = 0; j < n; j++) {
      for (int i = 0; i < n; i++) {
        double x = halfX * (2.0 * i / (n - 1) - 1);
        double y = halfY * (2.0 * j / (n - 1) - 1);
        double z = height.at(x, y) + scatter * random.nextGaussian();
        points.add(new ProbedPoint(round(x, 100), round(y, 100), round(z, 10)));
      }
    }
    return points;
  }

  private static double round(double value, double per) {
    return Math.round(value * per) / per;
  }

  private static Reading indicator(double... millimetres) {
    return Reading.of(Instrument.INDICATOR, millimetres);
  }

  private static Reading caliper(double... millimetres) {
    return Reading.of(Instrument.CALIPER, millimetres);
  }

  private static Top over(
      String name, TopKind kind, double x, double y, double w, double d, Reading height) {
    return new Top(name, kind, x, y, w, d, false, height);
  }

  private static Top socket(String corner, double x, double y, double one, double other) {
    return new Top("socket " + corner, TopKind.SOCKET, x, y, 0, 0, true, caliper(one, other));
  }

  /** Sorrel's heights: die, two rows of parts beside it, socket, a coil under the bracket. */
  static Heights sorrelHeights() {
    return new Heights(
        List.of(
            over("die", TopKind.DIE, 0, 0, 9.2, 19, indicator(0.781, 0.779, 0.780)),
            over("shim", TopKind.SHIM, 0, 0, 33, 33, indicator(0.724, 0.727)),
            over("row left", TopKind.PART, -9.6, 0, 1.0, 6, indicator(0.52, 0.515)),
            over("row right", TopKind.PART, 9.6, 2, 1.0, 4, indicator(0.518)),
            socket("left low", -20.5, -20.5, 6.86, 6.88),
            socket("right low", 20.5, -20.5, 6.87, 6.86),
            socket("left high", -20.5, 20.5, 6.90, 6.91),
            socket("right high", 20.5, 20.5, 6.88, 6.88),
            new Top("coil by the socket", TopKind.BRACKET, 38, 6, 8, 8, true, caliper(8.1, 8.05))),
        caliper(6.52, 6.53, 6.51),
        Reading.of(Instrument.DEPTH_ROD, 3.2, 3.25),
        caliper(3.12, 3.13, 3.12),
        indicator(0.751, 0.749),
        indicator(0.072, 0.07),
        null,
        0.5,
        0.3,
        new Mount(1.6, 4, 18.0, 4.0, 3.0, 4.5, false));
  }

  /** Sorrel's lid before and after a first pass, and its cold plate. */
  static Surfaces sorrelSurfaces() {
    Height hollow =
        (x, y) ->
            64 * (x * x + y * y) / 450
                + 5 * Math.exp(-((x - 9) * (x - 9) + (y + 11) * (y + 11)) / 9)
                + 0.2 * x;
    // What a first pass leaves: the rim is down, the middle as it was.
    Height begun = (x, y) -> Math.min(hollow.at(x, y), 34 + 0.15 * x);
    Height plate = (x, y) -> -9 * (x * x + y * y) / 450 + 0.1 * y;
    List<ProbedPoint> twice = new ArrayList<>(probe(13.2, 13.2, 7, 0.8, 31, hollow));
    twice.addAll(probe(13.2, 13.2, 3, 0.8, 32, hollow));
    List<ProbedPoint> again = new ArrayList<>(probe(13.2, 13.2, 7, 0.8, 33, begun));
    again.addAll(probe(13.2, 13.2, 3, 0.8, 34, begun));
    return new Surfaces(
        List.of(
            new Relief(Face.LID_TOP, "as it came", twice, 0),
            new Relief(Face.PLATE, "as it came", probe(20, 18, 5, 0.8, 35, plate), 0),
            new Relief(Face.LID_TOP, "after P400", again, 1)),
        List.of(new LapPass(Face.LID_TOP, Grit.P400, 400, 10, 120, 8.5, "")),
        LapTerms.USUAL);
  }

  /** Fennel's heights: three dies, and the shim with its raised edge. */
  static Heights fennelHeights() {
    return new Heights(
        List.of(
            over("chiplet 1", TopKind.DIE, -6.6, 7.5, 10.4, 7.2, indicator(0.618, 0.621)),
            over("chiplet 2", TopKind.DIE, 6.6, 7.5, 10.4, 7.2, indicator(0.624, 0.622)),
            over("hub die", TopKind.DIE, 0, -5.5, 12.8, 9.6, indicator(0.609, 0.612)),
            over("shim", TopKind.SHIM, 0, 0, 38, 38, indicator(0.641, 0.644, 0.638)),
            over("row below", TopKind.PART, 0, -14, 9, 1.2, indicator(0.41)),
            over("row left", TopKind.PART, -15.6, -3, 1.2, 7, indicator(0.40))),
        null,
        null,
        caliper(3.36, 3.35),
        null,
        null,
        null,
        0,
        1.2,
        new Mount(3.5, 4, 25.0, 5.0, 3.5, 5.0, false));
  }

  /** Fennel's cold plate and its dies' tops. */
  static Surfaces fennelSurfaces() {
    Height plate = (x, y) -> -6 * (x * x + y * y) / 600 + 2 * Math.exp(-(x * x + y * y) / 30);
    return new Surfaces(
        List.of(
            new Relief(Face.PLATE, "as it came", probe(22, 19, 7, 0.7, 41, plate), 0),
            new Relief(
                Face.DIE,
                "scraped",
                probe(11, 10.5, 5, 0.7, 42, (x, y) -> -3 * (x * x) / 120 + 0.2 * y),
                0)),
        List.of(),
        new LapTerms(Face.PLATE, false, null, null, null, null, null, null, null));
  }
}
