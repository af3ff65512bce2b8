package dev.ambershim.core.runs.reading;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import java.io.ByteArrayInputStream;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.CoderResult;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;

/**
 * A log's bytes and how they stand for text. UTF-8 and UTF-16 are known by their mark or by their
 * pattern; what is not valid UTF-8 is taken as Windows-1252, which gives every byte a meaning. The
 * text is never held as a whole: a long log would not fit beside its samples.
 *
 * @param encoding the encoding in words
 * @param charset how to decode the bytes
 * @param bytes the bytes, shared, not to be written
 * @param offset first byte after the byte order mark
 */
record LogBytes(String encoding, Charset charset, byte[] bytes, int offset) {
  private static final int LOOK = 4096;
  private static final int HEAD_BYTES = 1 << 17;

  /**
   * Finds a file's encoding.
   *
   * @throws Problem {@code log.empty} or {@code log.binary}
   */
  static LogBytes of(String fileName, byte[] bytes) {
    if (bytes.length == 0) {
      throw new Problem(
          "log.empty",
          Place.file(fileName),
          "The file is empty.",
          "Check that the logger had finished writing, and choose the file again.");
    }
    LogBytes found = marked(bytes);
    if (found == null) {
      found = unmarked(bytes);
    }
    refuseBinary(fileName, found.head());
    return found;
  }

  /** The bytes from the text's start, without the mark. */
  ByteArrayInputStream stream() {
    return new ByteArrayInputStream(bytes, offset, bytes.length - offset);
  }

  /** The text's beginning: enough lines to know its habits by; the last may be cut off. */
  String head() {
    int length = Math.min(bytes.length - offset, HEAD_BYTES);
    return new String(bytes, offset, length, charset);
  }

  private static LogBytes marked(byte[] b) {
    if (b.length >= 3 && (b[0] & 255) == 0xEF && (b[1] & 255) == 0xBB && (b[2] & 255) == 0xBF) {
      return new LogBytes("UTF-8 with mark", StandardCharsets.UTF_8, b, 3);
    }
    if (b.length >= 2 && (b[0] & 255) == 0xFF && (b[1] & 255) == 0xFE) {
      return new LogBytes("UTF-16", StandardCharsets.UTF_16LE, b, 2);
    }
    if (b.length >= 2 && (b[0] & 255) == 0xFE && (b[1] & 255) == 0xFF) {
      return new LogBytes("UTF-16", StandardCharsets.UTF_16BE, b, 2);
    }
    return null;
  }

  private static LogBytes unmarked(byte[] bytes) {
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
      return new LogBytes("UTF-16", StandardCharsets.UTF_16LE, bytes, 0);
    }
    if (evenZeros > look * 0.35 && oddZeros == 0) {
      return new LogBytes("UTF-16", StandardCharsets.UTF_16BE, bytes, 0);
    }
    if (plain(bytes)) {
      // Latin-1 decodes plain ASCII alike, and far faster.
      return new LogBytes("UTF-8", StandardCharsets.ISO_8859_1, bytes, 0);
    }
    return validUtf8(bytes)
        ? new LogBytes("UTF-8", StandardCharsets.UTF_8, bytes, 0)
        : codePage(bytes);
  }

  /**
   * The code page in which the text's beginning says most of what columns are called; Windows-1252,
   * which gives every byte a meaning, where none says anything.
   */
  private static LogBytes codePage(byte[] bytes) {
    String[] names = {"windows-1252", "windows-1250", "windows-1251", "GB18030"};
    String[] words = {"Windows-1252", "Windows-1250", "Windows-1251", "GB18030"};
    LogBytes best = null;
    int most = -1;
    for (int i = 0; i < names.length; i++) {
      if (Charset.isSupported(names[i])) {
        LogBytes page = new LogBytes(words[i], Charset.forName(names[i]), bytes, 0);
        String head = page.head();
        int known = ColumnWords.known(head.substring(0, Math.min(head.length(), LOOK)));
        if (known > most) {
          most = known;
          best = page;
        }
      }
    }
    return best;
  }

  private static boolean plain(byte[] bytes) {
    ByteBuffer eights = ByteBuffer.wrap(bytes);
    while (eights.remaining() >= 8) {
      if ((eights.getLong() & 0x8080808080808080L) != 0) {
        return false;
      }
    }
    while (eights.hasRemaining()) {
      if (eights.get() < 0) {
        return false;
      }
    }
    return true;
  }

  /**
   * Whether the bytes are UTF-8. A slip of the writer's does not make another encoding of it, so
   * fewer bad places than good letters beyond ASCII are passed over; they decode to a sign that is
   * no figure.
   */
  private static boolean validUtf8(byte[] bytes) {
    CharsetDecoder decoder =
        StandardCharsets.UTF_8
            .newDecoder()
            .onMalformedInput(CodingErrorAction.REPORT)
            .onUnmappableCharacter(CodingErrorAction.REPORT);
    ByteBuffer in = ByteBuffer.wrap(bytes);
    CharBuffer out = CharBuffer.allocate(1 << 13);
    long letters = 0;
    long bad = 0;
    int firstBad = -1;
    while (true) {
      CoderResult result = decoder.decode(in, out, true);
      out.flip();
      while (out.hasRemaining()) {
        letters += out.get() > 127 ? 1 : 0;
      }
      out.clear();
      if (result.isError()) {
        bad++;
        firstBad = firstBad < 0 ? in.position() : firstBad;
        in.position(in.position() + result.length());
      } else if (result.isUnderflow()) {
        return bad == 0 || (letters > 0 ? bad <= letters : slips(bytes, firstBad, bad));
      }
    }
  }

  /** Whether bad bytes are slips: few, and only after a header and first samples without any. */
  private static boolean slips(byte[] bytes, int firstBad, long bad) {
    int lines = 0;
    int before = 0;
    for (int i = 0; i < bytes.length; i++) {
      if (bytes[i] == '\n') {
        lines++;
        before += i < firstBad ? 1 : 0;
      }
    }
    return before >= 3 && bad * 10 <= lines;
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
