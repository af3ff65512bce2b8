package dev.ambershim.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What a start finds out about the machine, with stand-ins for what it asks. */
class SetupScriptTest {
  private static final Path SCRIPT = Path.of("..", "scripts", "setup.sh").toAbsolutePath();

  @TempDir Path folder;

  /** What a few lines of shell print, run under the launcher's own options. */
  private String shell(String... lines) throws IOException, InterruptedException {
    Path file = folder.resolve("try.sh");
    Files.writeString(
        file,
        "set -euo pipefail\nhome=/nowhere\n. '%s'\n%s\n"
            .formatted(SCRIPT, String.join("\n", lines)));
    Process process =
        new ProcessBuilder(List.of("bash", file.toString())).redirectErrorStream(true).start();
    String out = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(20, TimeUnit.SECONDS)).isTrue();
    return out.strip();
  }

  @Test
  void aLibraryAtTheHeadOfALongListIsThere() throws IOException, InterruptedException {
    // Longer than a pipe holds, so that whoever stops reading at the match breaks it off.
    String list = "ldconfig() { echo libfirst.so.1; seq 200000; echo liblast.so.9; }";
    String tell = "for l in libfirst.so.1 liblast.so.9 libnone.so.3; do";
    String ask = "  if has_library $l; then echo $l there; else echo $l missing; fi; done";
    assertThat(shell(list, tell, ask))
        .isEqualTo("libfirst.so.1 there\nliblast.so.9 there\nlibnone.so.3 missing");
  }

  @Test
  void theReleaseOfAJdkIsReadFromItsFile() throws IOException, InterruptedException {
    Path java = java("21.0.1");
    Files.writeString(folder.resolve("release"), "IMPLEMENTOR=\"x\"\nJAVA_VERSION=\"25.0.2\"\n");
    assertThat(shell("java_release '" + java + "'")).isEqualTo("25");
  }

  @Test
  void aJdkWithoutTheFileIsAsked() throws IOException, InterruptedException {
    assertThat(shell("java_release '" + java("21.0.1") + "'")).isEqualTo("21");
  }

  /** A program that says of itself what a Java of that release says. */
  private Path java(String version) throws IOException {
    Path java = folder.resolve("bin").resolve("java");
    Files.createDirectories(java.getParent());
    Files.writeString(
        java,
        "#!/bin/sh\necho 'openjdk version \"%s\" 2026-01-01' >&2\necho 'more words' >&2\n"
            .formatted(version));
    assertThat(java.toFile().setExecutable(true)).isTrue();
    return java;
  }
}
