package dev.ambershim.logbook.report;

import dev.ambershim.core.picture.Mark;
import dev.ambershim.core.picture.Picture;
import java.util.Locale;

/** Pictures as SVG 1.1 in the paper colours. */
public final class SvgPainter {
  private SvgPainter() {}

  /** The picture as one {@code <svg>} element. */
  public static String paint(Picture picture) {
    StringBuilder out = new StringBuilder();
    out.append(
        String.format(
            Locale.ROOT,
            "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %.1f %.1f\" width=\"%.1f\""
                + " height=\"%.1f\" role=\"img\" font-family=\"Lato, sans-serif\"><title>%s</title>",
            picture.width(),
            picture.height(),
            picture.width(),
            picture.height(),
            escape(picture.description())));
    for (Mark mark : picture.marks()) {
      if (mark instanceof Mark.Box b) {
        out.append(
            String.format(
                Locale.ROOT,
                "<rect x=\"%.2f\" y=\"%.2f\" width=\"%.2f\" height=\"%.2f\" fill=\"%s\"/>",
                b.x(),
                b.y(),
                b.width(),
                b.height(),
                b.fill().hex(false)));
      } else if (mark instanceof Mark.Raster r) {
        raster(out, r);
      } else if (mark instanceof Mark.Line l) {
        out.append(
            String.format(
                Locale.ROOT,
                "<line x1=\"%.2f\" y1=\"%.2f\" x2=\"%.2f\" y2=\"%.2f\" stroke=\"%s\""
                    + " stroke-width=\"%.2f\"%s/>",
                l.x1(),
                l.y1(),
                l.x2(),
                l.y2(),
                l.tone().hex(false),
                l.width(),
                l.dashed() ? " stroke-dasharray=\"4 3\"" : ""));
      } else if (mark instanceof Mark.Trace t) {
        trace(out, t);
      } else if (mark instanceof Mark.Band b) {
        out.append("<polygon fill=\"").append(b.tone().hex(false)).append("\" points=\"");
        points(out, b.outlineXs(), b.outlineYs());
      } else if (mark instanceof Mark.Words w) {
        words(out, w);
      }
    }
    return out.append("</svg>").toString();
  }

  private static void raster(StringBuilder out, Mark.Raster r) {
    double w = r.width() / r.columns();
    double h = r.height() / r.rows();
    for (int c = 0; c < r.colours().length; c++) {
      if (r.colours()[c] >= 0) {
        int row = c / r.columns();
        out.append(
            String.format(
                Locale.ROOT,
                "<rect x=\"%.2f\" y=\"%.2f\" width=\"%.2f\" height=\"%.2f\" fill=\"#%06x\"/>",
                r.x() + c % r.columns() * w,
                r.y() + row * h,
                w,
                h,
                r.colours()[c]));
      }
    }
  }

  private static void trace(StringBuilder out, Mark.Trace t) {
    out.append("<polyline fill=\"none\" stroke=\"").append(t.tone().hex(false));
    out.append(String.format(Locale.ROOT, "\" stroke-width=\"%.2f\" points=\"", t.width()));
    points(out, t.xs(), t.ys());
  }

  private static void points(StringBuilder out, double[] xs, double[] ys) {
    for (int i = 0; i < xs.length; i++) {
      out.append(String.format(Locale.ROOT, "%.1f,%.1f ", xs[i], ys[i]));
    }
    out.append("\"/>");
  }

  private static void words(StringBuilder out, Mark.Words w) {
    String anchor = w.anchor().name().toLowerCase(Locale.ROOT);
    out.append(
        String.format(
            Locale.ROOT,
            "<text x=\"%.2f\" y=\"%.2f\" fill=\"%s\" font-size=\"%.1f\" text-anchor=\"%s\"%s>%s</text>",
            w.x(),
            w.y(),
            w.tone().hex(false),
            w.size(),
            anchor,
            w.strong() ? " font-weight=\"700\"" : "",
            escape(w.text())));
  }

  static String escape(String text) {
    return text.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }
}
