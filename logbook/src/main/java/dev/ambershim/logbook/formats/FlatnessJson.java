package dev.ambershim.logbook.formats;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.Flatness;
import dev.ambershim.core.physics.surface.HighSpot;
import dev.ambershim.core.physics.surface.Outlier;
import dev.ambershim.core.physics.surface.ReferencePlane;
import dev.ambershim.core.stage.measure.FaceFinding;
import dev.ambershim.logbook.store.Json;

/** A face report as JSON. */
public final class FlatnessJson {
  private FlatnessJson() {}

  /** The published block. */
  public static ObjectNode of(FaceReport report, String face) {
    ObjectNode node = Json.mapper().createObjectNode();
    Flatness flat = report.flatness();
    node.put("points", report.points().size());
    node.put("probings", report.probings());
    ObjectNode least = node.putObject("leastSquares");
    least.put("fltt", flat.flttMicrometres());
    least.put("fltp", flat.fltpMicrometres());
    least.put("fltv", flat.fltvMicrometres());
    least.put("fltq", flat.fltqMicrometres());
    least.set("plane", plane(flat.plane()));
    ObjectNode zone = node.putObject("minimumZone");
    zone.put("fltt", flat.zoneMicrometres());
    zone.set("plane", plane(flat.zone()));
    report
        .zone()
        .ifPresent(
            z -> {
              zone.put("low95", z.low());
              zone.put("high95", z.high());
            });
    node.put("bowMicrometres", report.form().bowMicrometres());
    node.put("twistMicrometres", report.form().twistMicrometres());
    node.put("slopeMicrometres", report.form().slopeMicrometres());
    node.put("shape", report.form().shape().words());
    report.scatterMicrometres().ifPresent(s -> node.put("scatterMicrometres", s));
    ArrayNode spots = node.putArray("highSpots");
    for (HighSpot s : report.highSpots()) {
      ObjectNode one = spots.addObject();
      one.put("xMillimetres", s.xMillimetres());
      one.put("yMillimetres", s.yMillimetres());
      one.put("micrometres", s.micrometres());
    }
    ArrayNode outliers = node.putArray("outliers");
    for (Outlier o : report.outliers()) {
      ObjectNode one = outliers.addObject();
      one.put("xMillimetres", o.point().xMillimetres());
      one.put("yMillimetres", o.point().yMillimetres());
      one.put("fromNeighboursMicrometres", o.micrometres());
    }
    node.set("finding", ResultJson.of(FaceFinding.of(report, face, Notation.METRIC)));
    return node;
  }

  private static ObjectNode plane(ReferencePlane plane) {
    ObjectNode node = Json.mapper().createObjectNode();
    node.put("micrometres", plane.micrometres());
    node.put("xSlopeMicrometresPerMillimetre", plane.xSlope());
    node.put("ySlopeMicrometresPerMillimetre", plane.ySlope());
    return node;
  }
}
