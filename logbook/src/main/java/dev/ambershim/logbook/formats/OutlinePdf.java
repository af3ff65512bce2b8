package dev.ambershim.logbook.formats;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.logbook.report.ShippedFont;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.locationtech.jts.geom.Coordinate;

/** Rings on an A4 page at true size, with a bar to check the print by a ruler. */
final class OutlinePdf {
  /** Points in a millimetre: 72 in an inch of 25.4 mm. */
  private static final float POINTS = 72 / 25.4f;

  private static final float MARGIN = 20 * POINTS;
  private static final int BAR = 50;

  private OutlinePdf() {}

  static byte[] of(String title, List<Coordinate[]> rings) {
    double[] box = OutlineFiles.box(rings);
    float width = (float) (box[1] - box[0]) * POINTS;
    float height = (float) (box[3] - box[2]) * POINTS;
    PDRectangle sheet = PDRectangle.A4;
    if (width > sheet.getWidth() - 2 * MARGIN || height > sheet.getHeight() - 5 * MARGIN) {
      throw new Problem(
          "outline.page",
          Place.field("page"),
          "The outline is larger than an A4 page.",
          "Write it as SVG or DXF.");
    }
    try (PDDocument document = new PDDocument()) {
      document.getDocumentInformation().setTitle(title);
      PDPage page = new PDPage(sheet);
      document.addPage(page);
      PDFont font = ShippedFont.regular(document);
      try (PDPageContentStream out = new PDPageContentStream(document, page)) {
        float top = sheet.getHeight() - MARGIN;
        say(out, font, 12, MARGIN, top, title);
        say(
            out,
            font,
            9,
            MARGIN,
            top - 16,
            "Print at 100 %, without fitting to the page. Lay a ruler on the bar: it is "
                + BAR
                + " mm long.");
        out.setLineWidth(0.15f * POINTS);
        float y = top - 40;
        out.moveTo(MARGIN, y);
        out.lineTo(MARGIN + BAR * POINTS, y);
        for (int tick = 0; tick <= BAR; tick += 10) {
          out.moveTo(MARGIN + tick * POINTS, y - 3);
          out.lineTo(MARGIN + tick * POINTS, y + 3);
        }
        out.stroke();
        float left = (sheet.getWidth() - width) / 2;
        float low = y - 25 - height;
        out.setLineWidth(0.1f * POINTS);
        for (Coordinate[] ring : rings) {
          for (int i = 0; i + 1 < ring.length; i++) {
            float px = left + (float) (ring[i].x - box[0]) * POINTS;
            float py = low + (float) (ring[i].y - box[2]) * POINTS;
            if (i == 0) {
              out.moveTo(px, py);
            } else {
              out.lineTo(px, py);
            }
          }
          out.closePath();
        }
        out.stroke();
      }
      ByteArrayOutputStream bytes = new ByteArrayOutputStream();
      document.save(bytes);
      return bytes.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void say(
      PDPageContentStream out, PDFont font, float size, float x, float y, String text)
      throws IOException {
    out.beginText();
    out.setFont(font, size);
    out.newLineAtOffset(x, y);
    out.showText(text);
    out.endText();
  }
}
