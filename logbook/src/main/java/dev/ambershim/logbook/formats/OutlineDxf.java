package dev.ambershim.logbook.formats;

import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Coordinate;

/**
 * Rings as DXF in ASCII, release 12 (AC1009), which every cutter reads: closed POLYLINE entities on
 * the layers OPENINGS and EDGE. Figures are millimetres, and the header says so. Group codes after
 * the published DXF reference.
 */
final class OutlineDxf {
  private OutlineDxf() {}

  static String of(List<Coordinate[]> rings) {
    StringBuilder out = new StringBuilder();
    pair(out, 0, "SECTION");
    pair(out, 2, "HEADER");
    pair(out, 9, "$ACADVER");
    pair(out, 1, "AC1009");
    pair(out, 9, "$INSUNITS");
    pair(out, 70, "4");
    pair(out, 9, "$MEASUREMENT");
    pair(out, 70, "1");
    pair(out, 0, "ENDSEC");
    pair(out, 0, "SECTION");
    pair(out, 2, "TABLES");
    pair(out, 0, "TABLE");
    pair(out, 2, "LAYER");
    pair(out, 70, "2");
    layer(out, "OPENINGS", 1);
    layer(out, "EDGE", 7);
    pair(out, 0, "ENDTAB");
    pair(out, 0, "ENDSEC");
    pair(out, 0, "SECTION");
    pair(out, 2, "ENTITIES");
    double[] box = OutlineFiles.box(rings);
    for (Coordinate[] ring : rings) {
      double[] own = OutlineFiles.box(List.<Coordinate[]>of(ring));
      boolean edge = own[0] <= box[0] + 1e-9 && own[1] >= box[1] - 1e-9;
      String layer = edge ? "EDGE" : "OPENINGS";
      pair(out, 0, "POLYLINE");
      pair(out, 8, layer);
      pair(out, 66, "1");
      point(out, 0, 0);
      pair(out, 70, "1");
      for (int i = 0; i + 1 < ring.length; i++) {
        pair(out, 0, "VERTEX");
        pair(out, 8, layer);
        point(out, ring[i].x, ring[i].y);
      }
      pair(out, 0, "SEQEND");
      pair(out, 8, layer);
    }
    pair(out, 0, "ENDSEC");
    pair(out, 0, "EOF");
    return out.toString();
  }

  private static void layer(StringBuilder out, String name, int colour) {
    pair(out, 0, "LAYER");
    pair(out, 2, name);
    pair(out, 70, "0");
    pair(out, 62, Integer.toString(colour));
    pair(out, 6, "CONTINUOUS");
  }

  private static void point(StringBuilder out, double x, double y) {
    pair(out, 10, OutlineFiles.figure(x));
    pair(out, 20, OutlineFiles.figure(y));
    pair(out, 30, "0.0");
  }

  private static void pair(StringBuilder out, int code, String value) {
    out.append(String.format(Locale.ROOT, "%3d", code)).append("\r\n");
    out.append(value).append("\r\n");
  }
}
