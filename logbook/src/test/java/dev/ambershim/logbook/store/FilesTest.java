package dev.ambershim.logbook.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import dev.ambershim.core.base.Problem;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Map;
import java.util.concurrent.atomic.AtomicBoolean;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Files from outside, and the folder for our own. */
class FilesTest {
  @TempDir Path folder;

  private static String refusal(Path file) {
    Problem p = catchThrowableOfType(Problem.class, () -> LogFiles.read(file));
    assertThat(p.getMessage()).contains(file.toString());
    assertThat(p.remedy()).isNotBlank();
    return p.key();
  }

  @Test
  void foldersAndMissingFiles() {
    assertThat(refusal(folder)).isEqualTo("file.folder");
    assertThat(refusal(folder.resolve("gone.csv"))).isEqualTo("file.missing");
  }

  @Test
  void aLinkToNothingIsMissing() throws IOException {
    Path link = Files.createSymbolicLink(folder.resolve("link.csv"), folder.resolve("gone.csv"));
    assertThat(refusal(link)).isEqualTo("file.missing");
  }

  @Test
  void aFileThatGrowsWhileItIsReadEndsAtAWholeLine() throws Exception {
    Path file = folder.resolve("growing.csv");
    Files.writeString(file, "time,core 0\n");
    AtomicBoolean stop = new AtomicBoolean();
    Thread logger =
        new Thread(
            () -> {
              try {
                for (int i = 0; !stop.get(); i++) {
                  Files.writeString(
                      file, i + ",6", StandardOpenOption.APPEND, StandardOpenOption.SYNC);
                  Files.writeString(file, "1.5\n", StandardOpenOption.APPEND);
                }
              } catch (IOException e) {
                throw new UncheckedIOException(e);
              }
            });
    logger.start();
    try {
      for (int i = 0; i < 200; i++) {
        long size = Files.size(file);
        String text = new String(LogFiles.read(file), StandardCharsets.UTF_8);
        assertThat(text.length()).isGreaterThanOrEqualTo((int) Math.min(size, 12));
        assertThat(text).startsWith("time,core 0\n");
      }
    } finally {
      stop.set(true);
      logger.join();
    }
  }

  @Test
  void wholeLinesOnly() {
    byte[] cut = LogFiles.wholeLines("a,b\n1,2\n3,".getBytes(StandardCharsets.UTF_8));
    assertThat(new String(cut, StandardCharsets.UTF_8)).isEqualTo("a,b\n1,2\n");
    byte[] one = "no line end".getBytes(StandardCharsets.UTF_8);
    assertThat(LogFiles.wholeLines(one)).isEqualTo(one);
  }

  /**
   * XDG Base Directory Specification 0.8: XDG_DATA_HOME, else ~/.local/share; relative is ignored.
   */
  @Test
  void theDataFolderFollowsTheSpecification() {
    Path home = Path.of("/home/someone");
    assertThat(DataFolder.of(Map.of("XDG_DATA_HOME", "/data"), home))
        .isEqualTo(Path.of("/data/amber-shim"));
    assertThat(DataFolder.of(Map.of(), home))
        .isEqualTo(Path.of("/home/someone/.local/share/amber-shim"));
    assertThat(DataFolder.of(Map.of("XDG_DATA_HOME", "data"), home))
        .isEqualTo(Path.of("/home/someone/.local/share/amber-shim"));
  }
}
