package dev.ambershim.logbook.store;

import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.ReadNotes;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
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

  /** A log packed: names and notes, then time and columns as doubles, all in one gzip stream. */
  static byte[] pack(RunLog log) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (DataOutputStream zip = new DataOutputStream(new GZIPOutputStream(out))) {
      zip.writeUTF(log.fileName());
      zip.writeInt(log.size());
      zip.writeInt(log.channels().size());
      for (Channel c : log.channels()) {
        zip.writeUTF(c.name());
        zip.writeUTF(c.unit());
        zip.writeUTF(c.role().name());
        zip.writeDouble(c.confidence());
      }
      writeNotes(zip, log.notes());
      zip.write(bytes(log.seconds()));
      for (Channel c : log.channels()) {
        zip.write(bytes(c.values()));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  /**
   * A log from its packed form.
   *
   * @throws UncheckedIOException if it is damaged; nothing is believed that its check sum does not
   *     cover
   */
  static RunLog unpack(byte[] packed) {
    try (DataInputStream zip =
        new DataInputStream(new GZIPInputStream(new ByteArrayInputStream(packed), 1 << 16))) {
      String fileName = zip.readUTF();
      int size = zip.readInt();
      int count = zip.readInt();
      // Deflate gains a thousandfold at most; more would not have come from so few bytes.
      if (size < 0 || count < 0 || 8L * size * (count + 1L) > 1100L * packed.length + 4096) {
        throw new IOException("a size that cannot be");
      }
      List<Channel> heads = new ArrayList<>();
      for (int i = count; i > 0; i--) {
        heads.add(
            new Channel(
                zip.readUTF(),
                zip.readUTF(),
                Role.valueOf(zip.readUTF()),
                zip.readDouble(),
                new double[size]));
      }
      ReadNotes notes = readNotes(zip);
      double[] seconds = new double[size];
      fill(zip, seconds);
      for (Channel head : heads) {
        fill(zip, head.values());
      }
      // Only at its end is the check sum looked at.
      if (zip.read() >= 0) {
        throw new IOException("more than it should hold");
      }
      return new RunLog(fileName, seconds, heads, notes);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (IllegalArgumentException e) {
      throw new UncheckedIOException(new IOException(e)); // a role that there is not
    }
  }

  private static void writeNotes(DataOutputStream zip, ReadNotes notes) throws IOException {
    zip.writeUTF(notes.encoding());
    zip.writeUTF(notes.delimiter());
    zip.writeBoolean(notes.decimalComma());
    zip.writeInt(notes.rowsRead());
    zip.writeInt(notes.rowsDropped());
    zip.writeInt(notes.cellsDropped());
    zip.writeInt(notes.remarks().size());
    for (String remark : notes.remarks()) {
      zip.writeUTF(remark);
    }
  }

  private static ReadNotes readNotes(DataInputStream zip) throws IOException {
    String encoding = zip.readUTF();
    String delimiter = zip.readUTF();
    boolean decimalComma = zip.readBoolean();
    int rowsRead = zip.readInt();
    int rowsDropped = zip.readInt();
    int cellsDropped = zip.readInt();
    List<String> remarks = new ArrayList<>();
    for (int i = zip.readInt(); i > 0; i--) {
      remarks.add(zip.readUTF());
    }
    return new ReadNotes(
        encoding, delimiter, decimalComma, rowsRead, rowsDropped, cellsDropped, remarks);
  }

  private static byte[] bytes(double[] figures) {
    ByteBuffer buffer = ByteBuffer.allocate(8 * figures.length);
    buffer.asDoubleBuffer().put(figures);
    return buffer.array();
  }

  private static void fill(DataInputStream zip, double[] figures) throws IOException {
    byte[] raw = new byte[8 * figures.length];
    zip.readFully(raw);
    ByteBuffer.wrap(raw).asDoubleBuffer().get(figures);
  }
}
