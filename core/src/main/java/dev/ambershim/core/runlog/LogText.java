package dev.ambershim.core.runlog;

import dev.ambershim.core.problem.Place;
import dev.ambershim.core.problem.Problem;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/**
 * A log's bytes as text. UTF-8 and UTF-16 are known by their mark or by their pattern; what is not
 * valid UTF-8 is taken as Windows-1252, which gives every byte a meaning.
 *
 * @param encoding the encoding in words
 * @param text the text without a byte order mark, line ends as they were
 */
record LogText(String encoding, String text) {
  private static final int LOOK = 4096;

  /**
   * Decodes a file.
   *
   * @throws Problem {@code log.empty} or {@code log.binary}
   */
  static LogText decode(String fileName, byte[] bytes) {
    if (bytes.length == 0) {
      throw new Problem(
          "log.empty",
          Place.file(fileName),
          "The file is empty.",
          "Check that the logger had finished writing, and choose the file again.");
    }
    LogText text = decodeMarked(bytes);
    if (text == null) {
      text = decodeUnmarked(bytes);
    }
    refuseBinary(fileName, text.text());
    return text;
  }

  private static LogText decodeMarked(byte[] b) {
    if (b.length >= 3 && (b[0] & 255) == 0xEF && (b[1] & 255) == 0xBB && (b[2] & 255) == 0xBF) {
      return new LogText("UTF-8 with mark", new String(b, 3, b.length - 3, StandardCharsets.UTF_8));
    }
    if (b.length >= 2 && (b[0] & 255) == 0xFF && (b[1] & 255) == 0xFE) {
      return new LogText("UTF-16", new String(b, 2, b.length - 2, StandardCharsets.UTF_16LE));
    }
    if (b.length >= 2 && (b[0] & 255) == 0xFE && (b[1] & 255) == 0xFF) {
      return new LogText("UTF-16", new String(b, 2, b.length - 2, StandardCharsets.UTF_16BE));
    }
    return null;
  }

  private static LogText decodeUnmarked(byte[] bytes) {
    int look = Math.min(bytes.length, LOOK) & ~1;
    int evenZeros = 0;
    int oddZeros = 0;
    for (int i = 0; i < look; i++) {
      if (bytes[i] == 0) {
        if ((i & 1) == 0) {
          evenZeros++;
        } else {
          oddZeros++;
        }
      }
    }
    // Mostly-Latin text in UTF-16 has a zero in nearly every second byte, and only there.
    if (oddZeros > look * 0.35 && evenZeros == 0) {
      return new LogText("UTF-16", new String(bytes, StandardCharsets.UTF_16LE));
    }
    if (evenZeros > look * 0.35 && oddZeros == 0) {
      return new LogText("UTF-16", new String(bytes, StandardCharsets.UTF_16BE));
    }
    try {
      String text =
          StandardCharsets.UTF_8
              .newDecoder()
              .onMalformedInput(CodingErrorAction.REPORT)
              .onUnmappableCharacter(CodingErrorAction.REPORT)
              .decode(ByteBuffer.wrap(bytes))
              .toString();
      return new LogText("UTF-8", text);
    } catch (CharacterCodingException e) {
      return new LogText("Windows-1252", new String(bytes, Charset.forName("windows-1252")));
    }
  }

  private static void refuseBinary(String fileName, String text) {
    int look = Math.min(text.length(), LOOK);
    int control = 0;
    for (int i = 0; i < look; i++) {
      char c = text.charAt(i);
      if (c < ' ' && c != '\n' && c != '\r' && c != '\t' && c != '\f') {
        control++;
      }
    }
    if (control > look / 100) {
      throw new Problem(
          "log.binary",
          Place.file(fileName),
          "This is not a text file.",
          "Export the log as CSV or text from the logger, and choose that file.");
    }
  }
}
