package dev.ambershim.logbook.report;

import dev.ambershim.core.picture.Mark;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.picture.Tone;
import java.awt.Color;
import java.io.IOException;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDFont;

/** Pictures on a PDF page in the paper colours. */
final class PdfPainter {
  private PdfPainter() {}

  static Color colour(Tone tone) {
    return Color.decode(tone.hex(false));
  }

  /** Paints with the picture's lower left corner at {@code (x, y)}. */
  static void paint(
      PDPageContentStream page,
      Picture picture,
      float x,
      float y,
      float scale,
      PDFont regular,
      PDFont bold)
      throws IOException {
    float top = y + (float) picture.height() * scale;
    for (Mark mark : picture.marks()) {
      if (mark instanceof Mark.Box b) {
        page.setNonStrokingColor(colour(b.fill()));
        page.addRect(
            x + (float) b.x() * scale,
            top - (float) (b.y() + b.height()) * scale,
            (float) b.width() * scale,
            (float) b.height() * scale);
        page.fill();
      } else if (mark instanceof Mark.Raster r) {
        raster(page, r, x, top, scale);
      } else if (mark instanceof Mark.Line l) {
        page.setStrokingColor(colour(l.tone()));
        page.setLineWidth((float) l.width() * scale);
        page.setLineDashPattern(l.dashed() ? new float[] {3, 2} : new float[0], 0);
        page.moveTo(x + (float) l.x1() * scale, top - (float) l.y1() * scale);
        page.lineTo(x + (float) l.x2() * scale, top - (float) l.y2() * scale);
        page.stroke();
      } else if (mark instanceof Mark.Trace t && t.xs().length > 1) {
        page.setStrokingColor(colour(t.tone()));
        page.setLineWidth((float) t.width() * scale);
        page.setLineDashPattern(new float[0], 0);
        page.moveTo(x + (float) t.xs()[0] * scale, top - (float) t.ys()[0] * scale);
        for (int i = 1; i < t.xs().length; i++) {
          page.lineTo(x + (float) t.xs()[i] * scale, top - (float) t.ys()[i] * scale);
        }
        page.stroke();
      } else if (mark instanceof Mark.Band b && b.xs().length > 0) {
        page.setNonStrokingColor(colour(b.tone()));
        double[] xs = b.outlineXs();
        double[] ys = b.outlineYs();
        page.moveTo(x + (float) xs[0] * scale, top - (float) ys[0] * scale);
        for (int i = 1; i < xs.length; i++) {
          page.lineTo(x + (float) xs[i] * scale, top - (float) ys[i] * scale);
        }
        page.closePath();
        page.fill();
      } else if (mark instanceof Mark.Words w) {
        words(page, w, x, top, scale, w.strong() ? bold : regular);
      }
    }
  }

  private static void raster(
      PDPageContentStream page, Mark.Raster r, float x, float top, float scale) throws IOException {
    float w = (float) r.width() / r.columns() * scale;
    float h = (float) r.height() / r.rows() * scale;
    for (int c = 0; c < r.colours().length; c++) {
      if (r.colours()[c] >= 0) {
        int row = c / r.columns();
        page.setNonStrokingColor(new Color(r.colours()[c]));
        page.addRect(
            x + (float) r.x() * scale + c % r.columns() * w,
            top - (float) r.y() * scale - (row + 1) * h,
            w,
            h);
        page.fill();
      }
    }
  }

  private static void words(
      PDPageContentStream page, Mark.Words w, float x, float top, float scale, PDFont font)
      throws IOException {
    String text = printable(font, w.text());
    float size = (float) w.size() * scale;
    float width = font.getStringWidth(text) / 1000 * size;
    float shift =
        switch (w.anchor()) {
          case START -> 0;
          case MIDDLE -> -width / 2;
          case END -> -width;
        };
    page.beginText();
    page.setFont(font, size);
    page.setNonStrokingColor(colour(w.tone()));
    page.newLineAtOffset(x + (float) w.x() * scale + shift, top - (float) w.y() * scale);
    page.showText(text);
    page.endText();
  }

  /** The text with a question mark for every sign that the font lacks. */
  static String printable(PDFont font, String text) throws IOException {
    StringBuilder out = new StringBuilder();
    for (int i = 0; i < text.length(); ) {
      int c = text.codePointAt(i);
      String sign = Character.toString(c);
      out.append(has(font, sign) ? sign : Character.isWhitespace(c) ? " " : "?");
      i += Character.charCount(c);
    }
    return out.toString();
  }

  private static boolean has(PDFont font, String sign) throws IOException {
    try {
      font.encode(sign);
      return true;
    } catch (IllegalArgumentException e) {
      return false;
    }
  }
}
