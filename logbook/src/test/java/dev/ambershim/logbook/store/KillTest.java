package dev.ambershim.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.logbook.Fixture;
import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A process that edits is killed without warning, again and again on the same logbook. It must open
 * each time, and hold at least the last edit that the process had confirmed. Two logbooks go
 * through it side by side, 54 kills in all.
 */
@Execution(ExecutionMode.CONCURRENT)
class KillTest {
  private static final int KILLS = 25;

  @TempDir Path folder;

  @ParameterizedTest
  @ValueSource(longs = {7, 8})
  void nothingConfirmedIsEverLost(long seed) throws IOException, InterruptedException {
    Random random = new Random(seed);
    int confirmed = 0;
    for (int kill = 0; kill < KILLS; kill++) {
      int last = confirmed;
      Process process =
          new ProcessBuilder(
                  ProcessHandle.current().info().command().orElse("java"),
                  "-Xshare:auto",
                  "-XX:TieredStopAtLevel=1",
                  "-cp",
                  System.getProperty("java.class.path"),
                  EditForever.class.getName(),
                  folder.toString())
              .redirectError(ProcessBuilder.Redirect.INHERIT)
              .start();
      try (BufferedReader out = process.inputReader(StandardCharsets.UTF_8)) {
        // Some edits are heard, then the blow falls at a moment of chance.
        int heard = 1 + random.nextInt(6);
        String line = out.readLine();
        while (line != null) {
          last = Integer.parseInt(line);
          if (--heard == 0) {
            Thread.sleep(0, random.nextInt(999_999));
            // By its handle, so that what the process had said can still be read to the end.
            assertThat(process.toHandle().destroyForcibly()).isTrue();
          }
          line = out.readLine();
        }
      }
      assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
      assertThat(process.exitValue()).as("killed, not failed").isEqualTo(137);
      try (Logbook logbook = Fixture.open(folder)) {
        StoredJob stored = logbook.load(logbook.list().get(0).id());
        int kept = Integer.parseInt(stored.job().title());
        assertThat(kept).as("after kill %d", kill).isGreaterThanOrEqualTo(last);
        assertThat(kept).isGreaterThan(confirmed);
        confirmed = kept;
      }
    }
    assertThat(confirmed).isGreaterThanOrEqualTo(KILLS);
  }
}
