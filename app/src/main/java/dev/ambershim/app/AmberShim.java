package dev.ambershim.app;

import dev.ambershim.cli.Commands;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.desktop.quickstart.DesktopApp;
import dev.ambershim.desktop.quickstart.LaunchOptions;
import dev.ambershim.logbook.store.DataFolder;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.IVersionProvider;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code amber-shim}: without a command the window, else the command. */
@Command(
    name = "amber-shim",
    mixinStandardHelpOptions = true,
    versionProvider = AmberShim.Version.class,
    description = "A bench companion for people who open processors.",
    footer = {
      "",
      "amber-shim bench WHAT measures speed as a ratio within one run; it is no part of the"
          + " application."
    })
public final class AmberShim implements Callable<Integer> {
  @Option(names = "--demo", description = "Show the demo in a scratch copy.")
  boolean demo;

  @Option(names = "--logbook", paramLabel = "DIR", description = "Use the logbook in this folder.")
  Path logbook;

  @Option(names = "--read-only", description = "Look only; another window may have it open.")
  boolean readOnly;

  @Option(
      names = "--picture",
      paramLabel = "FILE",
      description = "Write a picture of the window once it is up.")
  Path picture;

  @Parameters(
      arity = "0..*",
      paramLabel = "FILE",
      description = "Job bundles and logs to open the window with.")
  List<Path> files = List.of();

  /** Runs a command line and ends the process. */
  public static void main(String[] arguments) {
    if (arguments.length == 0 || (arguments.length == 1 && arguments[0].equals("--demo"))) {
      // The two usual ways to start need no command line, whose classes take a while to load.
      AmberShim window = new AmberShim();
      window.demo = arguments.length == 1;
      System.exit(window.call());
    }
    System.exit(Commands.run(commandLine(), arguments));
  }

  static CommandLine commandLine() {
    CommandLine line = Commands.under(new AmberShim());
    line.addSubcommand(new ScreenshotsCommand());
    return Commands.ready(line);
  }

  @Override
  public Integer call() {
    Path folder =
        logbook != null
            ? logbook
            : DataFolder.of(System.getenv(), Path.of(System.getProperty("user.home")));
    DesktopApp.run(
        new LaunchOptions(
            folder.toAbsolutePath(), demo, readOnly, Optional.ofNullable(picture), files()));
    return 0;
  }

  private List<Path> files() {
    for (Path file : files) {
      if (!Files.exists(file)) {
        throw new Problem(
            "file.missing",
            Place.file(file.toString()),
            "There is no such file or command.",
            "Look at the name; amber-shim --help lists the commands.");
      }
    }
    return files.stream().map(Path::toAbsolutePath).toList();
  }

  /** The version, from the archive's own manifest. */
  static final class Version implements IVersionProvider {
    @Override
    public String[] getVersion() {
      String version = AmberShim.class.getPackage().getImplementationVersion();
      return new String[] {"Amber Shim " + (version == null ? "(unpacked)" : version)};
    }
  }
}
