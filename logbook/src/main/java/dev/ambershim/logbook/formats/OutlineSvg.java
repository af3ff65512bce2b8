package dev.ambershim.logbook.formats;

import java.util.List;
import org.locationtech.jts.geom.Coordinate;

/**
 * Rings as SVG 1.1: a user unit is a millimetre, and width and height say so. One path, so that
 * openings stay open however it is filled (even-odd).
 */
final class OutlineSvg {
  private static final double BORDER = 2;

  private OutlineSvg() {}

  static String of(String title, List<Coordinate[]> rings) {
    double[] box = OutlineFiles.box(rings);
    double width = box[1] - box[0] + 2 * BORDER;
    double height = box[3] - box[2] + 2 * BORDER;
    StringBuilder path = new StringBuilder();
    for (Coordinate[] ring : rings) {
      for (int i = 0; i + 1 < ring.length; i++) {
        path.append(i == 0 ? "M" : "L")
            .append(OutlineFiles.figure(ring[i].x - box[0] + BORDER))
            .append(' ')
            // SVG counts y downwards.
            .append(OutlineFiles.figure(box[3] - ring[i].y + BORDER))
            .append(' ');
      }
      path.append("Z ");
    }
    return "<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n"
        + "<svg xmlns=\"http://www.w3.org/2000/svg\" version=\"1.1\" width=\""
        + OutlineFiles.figure(width)
        + "mm\" height=\""
        + OutlineFiles.figure(height)
        + "mm\" viewBox=\"0 0 "
        + OutlineFiles.figure(width)
        + " "
        + OutlineFiles.figure(height)
        + "\">\n<title>"
        + title.replace("&", "&amp;").replace("<", "&lt;")
        + "</title>\n<path fill=\"none\" stroke=\"#000000\" stroke-width=\"0.05\""
        + " fill-rule=\"evenodd\" d=\""
        + path.toString().strip()
        + "\"/>\n</svg>\n";
  }
}
