package dev.ambershim.logbook.store;

import dev.ambershim.core.runlog.Channel;
import dev.ambershim.core.runlog.RunLog;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;

/** What was read from a log, as plain CSV: seconds, then a column a channel; and file hashes. */
public final class Readings {
  private Readings() {}

  /** Hash of bytes in small hexadecimal letters. */
  public static String sha256(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  /** The samples as CSV with a header; a missing figure is an empty cell. */
  public static String csv(RunLog log) {
    StringBuilder out = new StringBuilder(log.size() * (log.channels().size() + 1) * 7);
    out.append("seconds");
    for (Channel c : log.channels()) {
      String name = c.name() + (c.unit().isEmpty() ? "" : " [" + c.unit() + "]");
      out.append(",\"").append(name.replace("\"", "\"\"")).append('"');
    }
    out.append('\n');
    for (int i = 0; i < log.size(); i++) {
      number(out, log.seconds()[i]);
      for (Channel c : log.channels()) {
        out.append(',');
        if (!Double.isNaN(c.values()[i])) {
          number(out, c.values()[i]);
        }
      }
      out.append('\n');
    }
    return out.toString();
  }

  private static void number(StringBuilder out, double value) {
    if (value == Math.rint(value) && Math.abs(value) < 1e15) {
      out.append((long) value);
    } else {
      out.append(value);
    }
  }

  static byte[] compressed(RunLog log) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (GZIPOutputStream zip = new GZIPOutputStream(out)) {
      zip.write(csv(log).getBytes(StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  static String text(byte[] compressed) {
    try (GZIPInputStream zip = new GZIPInputStream(new ByteArrayInputStream(compressed))) {
      return new String(zip.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
