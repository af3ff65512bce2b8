package dev.ambershim.logbook;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.logbook.store.Access;
import dev.ambershim.logbook.store.Attachment;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Readings;
import dev.ambershim.logbook.store.StoredJob;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Locale;
import java.util.Optional;

/** Logbooks, jobs and logs for the tests of this module. */
public final class Fixture {
  private Fixture() {}

  /** A logbook whose clock stands still. */
  public static Logbook open(Path folder) {
    return Logbook.open(
        folder, Access.WRITE, Clock.fixed(Instant.parse("2026-03-01T10:00:00Z"), ZoneOffset.UTC));
  }

  /** A job without runs. */
  public static Job job(String title) {
    return Job.from(StartingPoint.DESKTOP_ONE_DIE_PASTE, title);
  }

  /** A settled log of ten minutes. */
  public static byte[] log(double core) {
    StringBuilder text =
        new StringBuilder("time [s],core 0 [°C],core 1 [°C],room [°C],power [W]\n");
    for (int i = 0; i < 600; i++) {
      double wave = 0.4 * Math.sin(i * 1.7) + 0.3 * Math.cos(i * 0.37);
      text.append(
          String.format(
              Locale.ROOT, "%d,%.2f,%.2f,22.00,160.0\n", i, core + wave, core + 4 + wave));
    }
    return text.toString().getBytes(StandardCharsets.UTF_8);
  }

  /** A job with a run on each side, kept in a logbook. */
  public static StoredJob complete(Logbook logbook, String title) {
    StoredJob stored = logbook.create(job(title));
    stored = take(logbook, stored, Side.BEFORE, "before.csv", log(80));
    return take(logbook, stored, Side.AFTER, "after.csv", log(68));
  }

  /** The job with one more run. */
  public static StoredJob take(
      Logbook logbook, StoredJob stored, Side side, String name, byte[] bytes) {
    String hash = Readings.sha256(bytes);
    logbook
        .files()
        .attach(new Attachment(hash, name, bytes), Optional.of(LogReader.read(name, bytes)));
    return logbook.edit(
        stored.id(), "run " + name, stored.job().withRun(RunEntry.of(side, name, hash)));
  }
}
