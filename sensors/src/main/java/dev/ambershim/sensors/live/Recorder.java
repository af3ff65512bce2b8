package dev.ambershim.sensors.live;

import dev.ambershim.sensors.Source.Sample;
import dev.ambershim.sensors.Source.Sensor;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.List;

/**
 * Writes samples to a log as they come: commas, decimal points, elapsed seconds, a header with
 * units. Each sample is written at once, and forced to the disk at most a second after the one
 * before, so that no crash of program or machine takes more than the last two seconds.
 */
final class Recorder implements AutoCloseable {
  private static final long FORCE_EVERY_NANOSECONDS = 1_000_000_000L;

  private final Path file;
  private final FileChannel channel;
  private final StringBuilder line = new StringBuilder();
  private long forced = System.nanoTime();

  /**
   * Begins a log.
   *
   * @param notes lines above the header, for people
   * @throws UncheckedIOException if the file is there already or cannot be written
   */
  Recorder(Path file, List<String> notes, List<Sensor> sensors) {
    this.file = file;
    try {
      channel = FileChannel.open(file, StandardOpenOption.CREATE_NEW, StandardOpenOption.WRITE);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    for (String note : notes) {
      line.append("# ").append(note.replace('\n', ' ')).append('\n');
    }
    line.append("elapsed [s]");
    for (Sensor s : sensors) {
      line.append(",\"").append(s.name().replace("\"", "\"\""));
      line.append(s.unit().isEmpty() ? "\"" : " [" + s.unit() + "]\"");
    }
    line.append('\n');
    write(true);
  }

  /** The log's file. */
  Path file() {
    return file;
  }

  /** Keeps a sample. */
  void keep(Sample sample) {
    number(sample.seconds(), 1000);
    for (double figure : sample.figures()) {
      line.append(',');
      if (!Double.isNaN(figure)) {
        number(figure, 10_000);
      }
    }
    line.append('\n');
    write(System.nanoTime() - forced >= FORCE_EVERY_NANOSECONDS);
  }

  private void number(double figure, double grain) {
    double rounded = Math.rint(figure * grain) / grain;
    if (rounded == Math.rint(rounded)) {
      line.append((long) rounded);
    } else {
      line.append(rounded);
    }
  }

  private void write(boolean force) {
    try {
      ByteBuffer bytes = ByteBuffer.wrap(line.toString().getBytes(StandardCharsets.UTF_8));
      while (bytes.hasRemaining()) {
        channel.write(bytes);
      }
      line.setLength(0);
      if (force) {
        channel.force(false);
        forced = System.nanoTime();
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Override
  public void close() {
    try (channel) {
      channel.force(true);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
