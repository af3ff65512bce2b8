package dev.ambershim.logbook.store;

import dev.ambershim.core.runlog.Channel;
import dev.ambershim.core.runlog.ReadNotes;
import dev.ambershim.core.runlog.Role;
import dev.ambershim.core.runlog.RunLog;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.DoubleBuffer;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;

/** What was read from a log: packed for the store, or as plain CSV for people; and file hashes. */
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

  /** All of a log but its samples. */
  private record Head(String fileName, int samples, List<Column> columns, ReadNotes notes) {}

  private record Column(String name, String unit, Role role, double confidence) {}

  /** A log packed: its head as JSON, then time and columns as doubles, all in one gzip stream. */
  static byte[] pack(RunLog log) {
    List<Column> columns = new ArrayList<>();
    log.channels()
        .forEach(c -> columns.add(new Column(c.name(), c.unit(), c.role(), c.confidence())));
    byte[] head =
        Json.pretty(new Head(log.fileName(), log.size(), columns, log.notes()))
            .getBytes(StandardCharsets.UTF_8);
    ByteBuffer samples = ByteBuffer.allocate(8 * log.size() * (columns.size() + 1));
    samples.asDoubleBuffer().put(log.seconds());
    for (int i = 0; i < columns.size(); i++) {
      samples.asDoubleBuffer().put((i + 1) * log.size(), log.channels().get(i).values());
    }
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (DataOutputStream zip = new DataOutputStream(new GZIPOutputStream(out))) {
      zip.writeInt(head.length);
      zip.write(head);
      zip.write(samples.array());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  /** A log from its packed form. */
  static RunLog unpack(byte[] packed) {
    try (DataInputStream zip =
        new DataInputStream(new GZIPInputStream(new ByteArrayInputStream(packed), 1 << 16))) {
      byte[] text = zip.readNBytes(zip.readInt());
      Head head = Json.mapper().readValue(text, Head.class);
      DoubleBuffer samples = ByteBuffer.wrap(zip.readAllBytes()).asDoubleBuffer();
      double[] seconds = new double[head.samples()];
      samples.get(seconds);
      List<Channel> channels = new ArrayList<>();
      for (Column c : head.columns()) {
        double[] values = new double[head.samples()];
        samples.get(values);
        channels.add(new Channel(c.name(), c.unit(), c.role(), c.confidence(), values));
      }
      return new RunLog(head.fileName(), seconds, channels, head.notes());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
