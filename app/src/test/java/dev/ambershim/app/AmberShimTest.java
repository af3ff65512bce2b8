package dev.ambershim.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
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

  /** The man page that is installed names every command and every option. */
  @Test
  void theManPageNamesAllThatThereIs() throws IOException {
    Path page = Path.of("..", "packaging", "amber-shim.1");
    String text = Files.readString(page).replace("\\", "");
    CommandLine line = AmberShim.commandLine();
    line.getSubcommands().keySet().stream()
        .filter(c -> !c.equals("help"))
        .forEach(c -> assertThat(text).contains("\n.B " + c + "\n"));
    line.getCommandSpec().options().stream()
        .map(o -> o.longestName())
        .filter(o -> !o.equals("--version"))
        .forEach(o -> assertThat(text).contains(o));
  }

  /** The launchers must know which words open no window. */
  @Test
  void theLaunchersKnowEveryCommand() throws IOException {
    String flags = Files.readString(Path.of("..", "scripts", "flags.sh"));
    AmberShim.commandLine().getSubcommands().keySet().stream()
        .filter(c -> !c.equals("screenshots") && !c.equals("help"))
        .forEach(c -> assertThat(flags).containsPattern("[(|\\s]\\s*" + c + "\\s*[|)]"));
  }

  @Test
  void aFileThatIsNotThereIsSaid() {
    StringWriter err = new StringWriter();
    CommandLine line = AmberShim.commandLine();
    line.setErr(new PrintWriter(err));
    assertThat(line.execute("compre")).isEqualTo(2);
    assertThat(err.toString()).contains("compre").contains("no such file or command");
  }

  @Test
  void versionNamesTheApplication() {
    assertThat(run("--version")).startsWith("Amber Shim");
  }
}
