package dev.ambershim.logbook.formats;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.logbook.store.WholeFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Coordinate;

/** Writes closed rings, in mm with y upwards, in the format that the file's ending asks for. */
public final class OutlineFiles {
  private OutlineFiles() {}

  /**
   * Writes rings.
   *
   * @param title what it is, for people
   * @param rings each closed: the last corner is the first again
   * @throws Problem {@code outline.kind} for another ending, {@code file.unwritten}
   */
  public static void write(Path target, String title, List<Coordinate[]> rings) {
    String name = target.getFileName().toString().toLowerCase(Locale.ROOT);
    byte[] bytes;
    if (name.endsWith(".svg")) {
      bytes = OutlineSvg.of(title, rings).getBytes(StandardCharsets.UTF_8);
    } else if (name.endsWith(".dxf")) {
      bytes = OutlineDxf.of(rings).getBytes(StandardCharsets.US_ASCII);
    } else if (name.endsWith(".pdf")) {
      bytes = OutlinePdf.of(title, rings);
    } else {
      throw new Problem(
          "outline.kind",
          Place.file(target.getFileName().toString()),
          "The ending tells no format that outlines are written in.",
          "Use .svg, .dxf or .pdf.");
    }
    WholeFile.write(target, bytes);
  }

  /** A figure as it stands in files: a tenth of a micrometre is finer than any cut. */
  static String figure(double millimetres) {
    String text = String.format(Locale.ROOT, "%.4f", millimetres + 0.0);
    return text.equals("-0.0000") ? "0.0000" : text;
  }

  /** Left, right, low and high edge of all rings, mm. */
  static double[] box(List<Coordinate[]> rings) {
    double[] box = {
      Double.POSITIVE_INFINITY,
      Double.NEGATIVE_INFINITY,
      Double.POSITIVE_INFINITY,
      Double.NEGATIVE_INFINITY
    };
    for (Coordinate[] ring : rings) {
      for (Coordinate c : ring) {
        box[0] = Math.min(box[0], c.x);
        box[1] = Math.max(box[1], c.x);
        box[2] = Math.min(box[2], c.y);
        box[3] = Math.max(box[3], c.y);
      }
    }
    return box;
  }
}
