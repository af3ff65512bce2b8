package dev.ambershim.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.logbook.Fixture;
import java.io.BufferedReader;
import java.io.File;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.spi.ToolProvider;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A process that edits is killed without warning, again and again on the same logbook. It must open
 * each time, and hold at least the last edit that the process had confirmed. Two logbooks go
 * through it side by side, fifty kills in all.
 */
@Execution(ExecutionMode.CONCURRENT)
@Tag("slow")
class KillTest {
  private static final int KILLS = Integer.getInteger("kills", 25);

  @TempDir static Path shared;
  @TempDir Path folder;
  private static String classpath;

  /**
   * Classes as one run of the process had them, so that the many starts take a third of the time.
   * The archive of classes knows files only, so folders of classes are packed first.
   */
  @BeforeAll
  static void archiveClasses() throws IOException, InterruptedException {
    ToolProvider jar = ToolProvider.findFirst("jar").orElseThrow();
    List<String> files = new ArrayList<>();
    String all =
        System.getProperty("surefire.test.class.path", System.getProperty("java.class.path"));
    for (String entry : all.split(File.pathSeparator, -1)) {
      if (!entry.isEmpty() && Files.isDirectory(Path.of(entry))) {
        String packed = shared.resolve(files.size() + ".jar").toString();
        assertThat(jar.run(System.out, System.err, "cf", packed, "-C", entry, ".")).isZero();
        files.add(packed);
      } else if (entry.endsWith(".jar") && !entry.contains("logback")) {
        // Setting up a log that says nothing takes as long as the edits.
        files.add(entry);
      }
    }
    // Taken out of its archive once, not at every start.
    NativeStore.extract(shared);
    classpath = String.join(File.pathSeparator, files);
    Process process =
        start(shared.resolve("logbook"), "-XX:ArchiveClassesAtExit=" + archive(), "6");
    try (BufferedReader out = process.inputReader(StandardCharsets.UTF_8)) {
      for (int n = 1; n <= 6; n++) {
        assertThat(out.readLine()).isEqualTo(Integer.toString(n));
      }
    }
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
  }

  private static Path archive() {
    return shared.resolve("classes.jsa");
  }

  private static Process start(Path logbook, String flag, String... more) throws IOException {
    List<String> words =
        new ArrayList<>(
            List.of(
                ProcessHandle.current().info().command().orElse("java"),
                flag,
                "-Xlog:cds=off",
                "-Xlog:cds+dynamic=off",
                "-XX:TieredStopAtLevel=1",
                "-XX:+UseSerialGC",
                "-Dslf4j.internal.verbosity=ERROR",
                "-Dorg.sqlite.lib.path=" + shared,
                "-Dorg.sqlite.lib.name=" + System.mapLibraryName("sqlitejdbc"),
                "-cp",
                classpath,
                EditForever.class.getName(),
                logbook.toString()));
    words.addAll(List.of(more));
    return new ProcessBuilder(words).redirectError(ProcessBuilder.Redirect.INHERIT).start();
  }

  @ParameterizedTest
  @ValueSource(longs = {7, 8})
  void nothingConfirmedIsEverLost(long seed) throws IOException, InterruptedException {
    Random random = new Random(seed);
    int confirmed = 0;
    for (int kill = 0; kill < KILLS; kill++) {
      int last = confirmed;
      Process process = start(folder, "-XX:SharedArchiveFile=" + archive());
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
