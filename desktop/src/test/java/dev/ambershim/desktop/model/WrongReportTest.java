package dev.ambershim.desktop.model;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WrongReportTest {
  private static final Map<String, String> SYSTEM =
      Map.of("user.home", "/home/ada", "user.name", "ada", "host.name", "mill", "os.name", "Linux");

  @TempDir Path folder;

  @Test
  void noPathAndNoNameIsInIt() throws IOException {
    Path log = folder.resolve("amber-shim.log");
    Files.writeString(
        log,
        """
        2026-03-01 09:00:00.000 ERROR model.Work the log /home/ada/runs/first try.csv failed
        2026-03-01 09:00:01.000 ERROR store.Logbook /mnt/Ada Example/logbook.sqlite is busy on mill
        \tat dev.ambershim.core.Runs.of(Runs.java:12)
        """);
    String report = WrongReport.of("0.1.0", log, SYSTEM);
    assertThat(report).startsWith("Amber Shim 0.1.0\n").contains("os.name: Linux");
    assertThat(report)
        .doesNotContain("/home", "ada", "runs/", "/mnt", "mill")
        .contains("ERROR model.Work", "<path>", "Runs.java:12");
  }

  @Test
  void onlyTheLastLinesAreInIt() throws IOException {
    Path log = folder.resolve("amber-shim.log");
    Files.writeString(log, "line 1\n".repeat(1) + "line 2\n".repeat(1000));
    assertThat(WrongReport.of("x", log, SYSTEM)).doesNotContain("line 1").contains("line 2");
    assertThat(WrongReport.of("x", folder.resolve("none"), SYSTEM)).contains("There is none yet.");
  }

  @Test
  void windowsPathsGoToo() {
    assertThat(WrongReport.plain("C:\\Users\\ada\\log.csv is gone", SYSTEM))
        .isEqualTo("<path>.csv is gone");
  }
}
