package dev.ambershim.sensors.live;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.runs.reading.Channel;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.sensors.Source;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;

/**
 * A log that another program is still writing, followed line by line. When it has grown it is read
 * again as a whole: what a line means can depend on the lines before it, and reading is quick.
 */
public final class GrowingLog implements Source {
  private static final long POLL_MILLISECONDS = 200;
  private static final long WAIT_MILLISECONDS = 1000;

  private final Path file;
  private final long patienceMilliseconds;
  private RunLog log;
  private long length = -1;
  private Object key;
  private int given;

  /**
   * Follows a log.
   *
   * @param fromStart whether the lines that are there already count; else only what comes
   * @param patienceMilliseconds how long to wait for the next line
   * @throws Problem if nothing can be read from it yet
   */
  public GrowingLog(Path file, boolean fromStart, long patienceMilliseconds) {
    this.file = file;
    this.patienceMilliseconds = patienceMilliseconds;
    if (!grown()) {
      throw new Problem(
          "log.empty",
          Place.file(file.toString()),
          "There is no whole line in it yet.",
          "Start the logger first, then follow its log.");
    }
    given = fromStart ? 0 : log.size();
  }

  @Override
  public String name() {
    return file.getFileName().toString();
  }

  @Override
  public List<Sensor> sensors() {
    return log.channels().stream().map(c -> new Sensor(c.name(), c.unit(), c.role())).toList();
  }

  @Override
  public double patienceSeconds() {
    return patienceMilliseconds / 1000.0;
  }

  @Override
  public Optional<Sample> next() throws InterruptedException {
    long wait = Math.min(patienceMilliseconds, WAIT_MILLISECONDS);
    long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(wait);
    while (given >= log.size()) {
      if (!grown()) {
        if (System.nanoTime() >= end) {
          return Optional.empty();
        }
        TimeUnit.MILLISECONDS.sleep(POLL_MILLISECONDS);
      }
    }
    int i = given++;
    double[] figures = log.channels().stream().mapToDouble(c -> c.values()[i]).toArray();
    return Optional.of(new Sample(log.seconds()[i], figures));
  }

  /** Reads the log again if it has grown; whether it has more lines now. */
  private boolean grown() {
    try {
      BasicFileAttributes attributes = Files.readAttributes(file, BasicFileAttributes.class);
      long now = attributes.size();
      if (now < length || (key != null && !key.equals(attributes.fileKey()))) {
        throw new Problem(
            "log.cut",
            Place.file(file.toString()),
            now < length
                ? "The log became shorter while it was followed."
                : "The log was replaced by another file while it was followed.",
            "Begin the run again; what was recorded is kept.");
      }
      if (now == length) {
        return false;
      }
      key = attributes.fileKey();
      byte[] bytes = Files.readAllBytes(file);
      int end = bytes.length;
      while (end > 0 && bytes[end - 1] != '\n') {
        end--;
      }
      if (end == 0) {
        return false;
      }
      RunLog read = LogReader.read(file.toString(), Arrays.copyOf(bytes, end));
      if (log != null && !names(read).equals(names(log))) {
        throw new Problem(
            "log.changed",
            Place.file(file.toString()),
            "Its columns have changed while it was followed.",
            "Begin the run again.");
      }
      if (log != null && read.size() < log.size()) {
        throw new Problem(
            "log.cut",
            Place.file(file.toString()),
            "The log's lines are other ones than before.",
            "Begin the run again; what was recorded is kept.");
      }
      boolean more = log == null || read.size() > log.size();
      log = read;
      length = now;
      return more;
    } catch (IOException e) {
      throw new Problem(
          "file.unread",
          Place.file(file.toString()),
          "The log can no longer be read.",
          "Check that its disk is still there.",
          e);
    }
  }

  private static List<String> names(RunLog log) {
    return log.channels().stream().map(Channel::name).toList();
  }

  @Override
  public void close() {
    // The file is opened and closed at each reading.
  }
}
