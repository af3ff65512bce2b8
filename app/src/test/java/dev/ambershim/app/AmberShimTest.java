package dev.ambershim.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.PrintWriter;
import java.io.StringWriter;
import org.junit.jupiter.api.Test;
import picocli.CommandLine;

/** The application's own options, and that every command is under it. */
class AmberShimTest {
  private static String run(String... words) {
    StringWriter out = new StringWriter();
    CommandLine line = AmberShim.commandLine();
    line.setOut(new PrintWriter(out));
    assertThat(line.execute(words)).isZero();
    return out.toString();
  }

  @Test
  void helpTellsOptionsAndCommands() {
    assertThat(run("--help"))
        .contains("--demo")
        .contains("--logbook")
        .contains("compare")
        .contains("screenshots")
        .contains("amber-shim bench");
    assertThat(run("compare", "--help")).contains("--before");
  }

  @Test
  void versionNamesTheApplication() {
    assertThat(run("--version")).startsWith("Amber Shim");
  }
}
