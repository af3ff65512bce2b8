package dev.ambershim.logbook.report;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;

/** The font that is shipped with the application, for PDF. */
public final class ShippedFont {
  private ShippedFont() {}

  /** The usual face. */
  public static PDFont regular(PDDocument document) throws IOException {
    return load(document, "Lato-Regular.ttf");
  }

  /** The bold face. */
  public static PDFont bold(PDDocument document) throws IOException {
    return load(document, "Lato-Bold.ttf");
  }

  private static PDFont load(PDDocument document, String file) throws IOException {
    try (InputStream in =
        ShippedFont.class.getResourceAsStream("/dev/ambershim/logbook/fonts/" + file)) {
      byte[] face = in.readAllBytes();
      hideLigatures(face);
      return PDType0Font.load(document, new ByteArrayInputStream(face));
    }
  }

  /**
   * Hides the font's table of substitutions: letters that are drawn as one sign are lost to whoever
   * copies or searches the text, and the library has no switch for it. A font file begins with a
   * directory of tables, 16 bytes each after 12 of head (OpenType, "The OpenType font file").
   */
  private static void hideLigatures(byte[] face) {
    int tables = (face[4] & 0xff) << 8 | (face[5] & 0xff);
    for (int at = 12; at < 12 + 16 * tables; at += 16) {
      if (new String(face, at, 4, StandardCharsets.US_ASCII).equals("GSUB")) {
        face[at] = 'X';
      }
    }
  }
}
