package dev.ambershim.logbook.report;

import static dev.ambershim.logbook.report.SvgPainter.escape;

import java.util.Base64;
import java.util.List;

/** A report as one HTML file that needs nothing else. */
public final class HtmlReport {
  private static final String STYLE =
      """
      body{font-family:Lato,"Open Sans",sans-serif;font-variant-numeric:tabular-nums;color:#26221d;
      background:#f6f2ea;max-width:760px;margin:2em auto;padding:0 1em;line-height:1.45}
      .answer{font-size:1.7em;font-weight:700;line-height:1.2;border-left:6px solid #9a5a00;
      padding-left:.6em}
      h2{margin-top:1.6em;font-size:1.15em}
      figure{margin:1em 0;display:inline-block}
      figcaption{color:#6a6156;font-size:.9em}
      svg{max-width:100%;height:auto;background:#fffdf8}
      img{max-width:100%;height:auto}
      table{border-collapse:collapse;font-size:.9em;margin:.6em 0}
      td,th{padding:.2em .7em;text-align:right;border-bottom:1px solid #ddd5c7}
      td:first-child,th:first-child{text-align:left}
      @media print{body{background:#fff}}
      """;

  private HtmlReport() {}

  /** The report as HTML. */
  public static String of(Report report) {
    StringBuilder out = new StringBuilder();
    out.append("<!DOCTYPE html>\n<html lang=\"en\"><head><meta charset=\"utf-8\"><title>")
        .append(escape(report.title()))
        .append("</title><style>")
        .append(STYLE)
        .append("</style></head><body>\n<h1>")
        .append(escape(report.title()))
        .append("</h1>\n");
    for (Block block : report.blocks()) {
      append(out, block);
    }
    return out.append("</body></html>\n").toString();
  }

  private static void append(StringBuilder out, Block block) {
    if (block instanceof Block.Answer a) {
      out.append("<p class=\"answer\">").append(escape(a.text())).append("</p>\n");
    } else if (block instanceof Block.Heading h) {
      out.append("<h2>").append(escape(h.text())).append("</h2>\n");
    } else if (block instanceof Block.Paragraph p) {
      out.append("<p>").append(escape(p.text())).append("</p>\n");
    } else if (block instanceof Block.Points p) {
      out.append("<ul>");
      p.texts().forEach(t -> out.append("<li>").append(escape(t)).append("</li>"));
      out.append("</ul>\n");
    } else if (block instanceof Block.Figure f) {
      out.append("<figure>")
          .append(SvgPainter.paint(f.picture()))
          .append("<figcaption>")
          .append(escape(f.caption()))
          .append("</figcaption></figure>\n");
    } else if (block instanceof Block.Check c) {
      out.append("<p><b>").append(escape(c.time())).append(" &#9744; ");
      out.append(escape(c.title())).append("</b>");
      c.lines().forEach(line -> out.append("<br>").append(escape(line)));
      out.append("</p>\n");
    } else if (block instanceof Block.Photo p) {
      out.append("<figure><img alt=\"")
          .append(escape(p.caption()))
          .append("\" src=\"data:image/png;base64,")
          .append(Base64.getEncoder().encodeToString(p.png()))
          .append("\"><figcaption>")
          .append(escape(p.caption()))
          .append("</figcaption></figure>\n");
    } else if (block instanceof Block.Table t) {
      table(out, t);
    }
  }

  private static void table(StringBuilder out, Block.Table table) {
    out.append("<table>");
    String cell = "th";
    for (List<String> row : table.rows()) {
      out.append("<tr>");
      for (String text : row) {
        out.append('<').append(cell).append('>').append(escape(text));
        out.append("</").append(cell).append('>');
      }
      out.append("</tr>");
      cell = "td";
    }
    out.append("</table>\n");
  }
}
