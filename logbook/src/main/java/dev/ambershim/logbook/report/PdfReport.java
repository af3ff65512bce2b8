package dev.ambershim.logbook.report;

import dev.ambershim.core.picture.Tone;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;

/** A report as PDF on A4, set in the shipped font. */
public final class PdfReport {
  private static final float MARGIN = 48;
  private static final float WIDTH = PDRectangle.A4.getWidth() - 2 * MARGIN;

  private final PDDocument document;
  private final PDFont regular;
  private final PDFont bold;
  private PDPageContentStream page;
  private float y;

  private PdfReport(PDDocument document) throws IOException {
    this.document = document;
    regular = ShippedFont.regular(document);
    bold = ShippedFont.bold(document);
  }

  /** The report as the bytes of a PDF file. */
  public static byte[] of(Report report) {
    try (PDDocument document = new PDDocument()) {
      document.getDocumentInformation().setTitle(report.title());
      PdfReport pdf = new PdfReport(document);
      pdf.newPage();
      pdf.text(report.title(), pdf.bold, 11, Tone.QUIET, 4);
      for (int i = 0; i < report.blocks().size(); i++) {
        if (report.blocks().get(i) instanceof Block.Heading && i + 1 < report.blocks().size()) {
          // A heading stays with what it heads.
          pdf.need(40 + heightOf(report.blocks().get(i + 1)));
        }
        pdf.add(report.blocks().get(i));
      }
      pdf.page.close();
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      document.save(out);
      return out.toByteArray();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private void newPage() throws IOException {
    if (page != null) {
      page.close();
    }
    PDPage sheet = new PDPage(PDRectangle.A4);
    document.addPage(sheet);
    page = new PDPageContentStream(document, sheet);
    y = PDRectangle.A4.getHeight() - MARGIN;
  }

  private void need(float height) throws IOException {
    if (y - height < MARGIN) {
      newPage();
    }
  }

  private void add(Block block) throws IOException {
    if (block instanceof Block.Answer a) {
      text(a.text(), bold, 19, Tone.INK, 10);
    } else if (block instanceof Block.Heading h) {
      y -= 10;
      text(h.text(), bold, 12, Tone.AMBER, 4);
    } else if (block instanceof Block.Paragraph p) {
      text(p.text(), regular, 10, Tone.INK, 5);
    } else if (block instanceof Block.Points p) {
      for (String t : p.texts()) {
        text("•  " + t, regular, 10, Tone.INK, 2);
      }
      y -= 4;
    } else if (block instanceof Block.Figure f) {
      figure(f);
    } else if (block instanceof Block.Check c) {
      check(c);
    } else if (block instanceof Block.Photo p) {
      photo(p);
    } else if (block instanceof Block.Table t) {
      table(t);
    }
  }

  private void text(String text, PDFont font, float size, Tone tone, float after)
      throws IOException {
    text(text, font, size, tone, after, 0);
  }

  private void text(String text, PDFont font, float size, Tone tone, float after, float indent)
      throws IOException {
    for (String line : wrapped(text, font, size, WIDTH - indent)) {
      need(size * 1.35f);
      y -= size * 1.25f;
      put(line, font, size, MARGIN + indent, y, tone);
    }
    y -= after;
  }

  /** A box to tick with its time before it and its lines under it, kept on one page. */
  private void check(Block.Check check) throws IOException {
    float indent = 78;
    int lines = 0;
    for (String line : check.lines()) {
      lines += wrapped(line, regular, 8.5f, WIDTH - indent).size();
    }
    need(22 + lines * 8.5f * 1.25f);
    y -= 13;
    put(check.time(), regular, 10, MARGIN, y, Tone.QUIET);
    page.setStrokingColor(PdfPainter.colour(Tone.INK));
    page.setLineWidth(0.8f);
    page.setLineDashPattern(new float[0], 0);
    page.addRect(MARGIN + indent - 18, y - 1.5f, 10, 10);
    page.stroke();
    put(check.title(), bold, 10, MARGIN + indent, y, Tone.INK);
    for (String line : check.lines()) {
      text(line, regular, 8.5f, Tone.INK, 0, indent);
    }
    y -= 5;
  }

  private void put(String text, PDFont font, float size, float x, float baseline, Tone tone)
      throws IOException {
    page.beginText();
    page.setFont(font, size);
    page.setNonStrokingColor(PdfPainter.colour(tone));
    page.newLineAtOffset(x, baseline);
    page.showText(PdfPainter.printable(font, text));
    page.endText();
  }

  private static List<String> wrapped(String text, PDFont font, float size, float width)
      throws IOException {
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    for (String word : PdfPainter.printable(font, text).split(" ", -1)) {
      String longer = line.isEmpty() ? word : line + " " + word;
      if (font.getStringWidth(longer) / 1000 * size > width && !line.isEmpty()) {
        lines.add(line.toString());
        line.setLength(0);
        line.append(word);
      } else {
        line.setLength(0);
        line.append(longer);
      }
    }
    lines.add(line.toString());
    return lines;
  }

  /** Height that the start of a block takes at least. */
  private static float heightOf(Block block) {
    return block instanceof Block.Figure f ? (float) f.picture().height() * scaleOf(f) + 24 : 30;
  }

  private static float scaleOf(Block.Figure figure) {
    return (float) Math.min(0.75, WIDTH / figure.picture().width());
  }

  private void figure(Block.Figure figure) throws IOException {
    float scale = scaleOf(figure);
    float height = (float) figure.picture().height() * scale;
    need(height + 24);
    y -= height;
    PdfPainter.paint(page, figure.picture(), MARGIN, y, scale, regular, bold);
    text(figure.caption(), regular, 9, Tone.QUIET, 8);
  }

  private void photo(Block.Photo photo) throws IOException {
    PDImageXObject image = PDImageXObject.createFromByteArray(document, photo.png(), "photo");
    float scale = Math.min(0.5f, Math.min(WIDTH / image.getWidth(), 300f / image.getHeight()));
    float height = image.getHeight() * scale;
    need(height + 24);
    y -= height;
    page.drawImage(image, MARGIN, y, image.getWidth() * scale, height);
    text(photo.caption(), regular, 9, Tone.QUIET, 8);
  }

  private void table(Block.Table table) throws IOException {
    int columns = table.rows().get(0).size();
    float size = columns > 4 ? 8 : 9;
    float[] widths = new float[columns];
    for (List<String> row : table.rows()) {
      for (int c = 0; c < columns; c++) {
        String cell = PdfPainter.printable(bold, row.get(c));
        widths[c] = Math.max(widths[c], bold.getStringWidth(cell) / 1000 * size + 10);
      }
    }
    boolean header = true;
    for (List<String> row : table.rows()) {
      need(size * 1.6f);
      y -= size * 1.5f;
      PDFont font = header ? bold : regular;
      float x = MARGIN;
      for (int c = 0; c < columns; c++) {
        String cell = PdfPainter.printable(font, row.get(c));
        float free = widths[c] - 10 - font.getStringWidth(cell) / 1000 * size;
        put(cell, font, size, c == 0 ? x : x + free, y, Tone.INK);
        x += widths[c];
      }
      header = false;
    }
    y -= 8;
  }
}
