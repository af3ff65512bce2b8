package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.Flatness;
import dev.ambershim.core.physics.surface.HighSpot;
import dev.ambershim.core.physics.surface.Outlier;
import dev.ambershim.core.physics.surface.ReferencePlane;
import dev.ambershim.core.stage.measure.FaceFinding;
import dev.ambershim.logbook.store.Json;
import java.util.List;

/** A face report as JSON. */
public final class FlatnessJson {
  private record Face(
      int points,
      int probings,
      LeastSquares leastSquares,
      Zone minimumZone,
      double bowMicrometres,
      double twistMicrometres,
      double slopeMicrometres,
      String shape,
      Double scatterMicrometres,
      List<Spot> highSpots,
      List<Off> outliers,
      FindingJson finding) {}

  private record LeastSquares(double fltt, double fltp, double fltv, double fltq, Plane plane) {
    static LeastSquares of(Flatness flat) {
      return new LeastSquares(
          flat.flttMicrometres(),
          flat.fltpMicrometres(),
          flat.fltvMicrometres(),
          flat.fltqMicrometres(),
          Plane.of(flat.plane()));
    }
  }

  private record Zone(double fltt, Plane plane, Double low95, Double high95) {}

  private record Plane(
      double micrometres,
      double xSlopeMicrometresPerMillimetre,
      double ySlopeMicrometresPerMillimetre) {
    static Plane of(ReferencePlane plane) {
      return new Plane(plane.micrometres(), plane.xSlope(), plane.ySlope());
    }
  }

  private record Spot(double xMillimetres, double yMillimetres, double micrometres) {
    static Spot of(HighSpot s) {
      return new Spot(s.xMillimetres(), s.yMillimetres(), s.micrometres());
    }
  }

  private record Off(double xMillimetres, double yMillimetres, double fromNeighboursMicrometres) {
    static Off of(Outlier o) {
      return new Off(o.point().xMillimetres(), o.point().yMillimetres(), o.micrometres());
    }
  }

  private FlatnessJson() {}

  /** The published block. */
  public static ObjectNode of(FaceReport report, String face) {
    Flatness flat = report.flatness();
    return Json.published(
        new Face(
            report.points().size(),
            report.probings(),
            LeastSquares.of(flat),
            new Zone(
                flat.zoneMicrometres(),
                Plane.of(flat.zone()),
                report.zone().map(Interval::low).orElse(null),
                report.zone().map(Interval::high).orElse(null)),
            report.form().bowMicrometres(),
            report.form().twistMicrometres(),
            report.form().slopeMicrometres(),
            report.form().shape().words(),
            report.scatterMicrometres().orElse(null),
            report.highSpots().stream().map(Spot::of).toList(),
            report.outliers().stream().map(Off::of).toList(),
            FindingJson.of(FaceFinding.of(report, face, Notation.METRIC))));
  }
}
