package dev.ambershim.desktop.demo;

import dev.ambershim.core.job.Side;
import dev.ambershim.sensors.Source;
import dev.ambershim.sensors.rig.ConductionRig;
import dev.ambershim.sensors.rig.RigLog;
import dev.ambershim.sensors.rig.RigLog.Habit;
import dev.ambershim.sensors.rig.RigSetup;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;

/**
 * A run of the demo: a minute of rest, half an hour of load, two minutes of rest on the rig. Its
 * log is kept as a resource, packed; {@link #main} makes all of them anew.
 *
 * @param side before or after the work
 * @param file name of its log
 * @param setup what stood on the rig
 * @param habit how its log is written
 * @param start when it began
 */
public record DemoRun(Side side, String file, RigSetup setup, Habit habit, LocalDateTime start) {
  private static final int REST = 60;
  private static final int LOAD = 1800;
  private static final int AFTER = 120;

  /** Its log, as it is kept. */
  byte[] kept() {
    try (InputStream in =
        new GZIPInputStream(DemoRun.class.getResourceAsStream(file + ".gz"), 1 << 15)) {
      return in.readAllBytes();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** Its log as the rig makes it, as far as some seconds of load. */
  String made(int load) {
    ConductionRig rig = new ConductionRig(setup);
    try {
      int after = load < LOAD ? 0 : AFTER;
      List<Source.Sample> samples = RigLog.run(rig, REST, Math.min(load, LOAD), after);
      return RigLog.write(rig.sensors(), samples, habit, start);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  /**
   * Makes the demo's logs anew, into the folder that is named; with a second word, those so begun.
   */
  public static void main(String[] folder) throws IOException {
    String begin = folder.length > 1 ? folder[1] : "";
    for (DemoRun run :
        DemoWorkshop.runs().stream().filter(r -> r.file().startsWith(begin)).toList()) {
      try (OutputStream out =
          new GZIPOutputStream(Files.newOutputStream(Path.of(folder[0], run.file() + ".gz")))) {
        out.write(run.made(LOAD).getBytes(StandardCharsets.UTF_8));
      }
    }
  }
}
