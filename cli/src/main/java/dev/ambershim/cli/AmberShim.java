package dev.ambershim.cli;

import dev.ambershim.core.problem.Problem;
import dev.ambershim.desktop.launch.DesktopApp;
import dev.ambershim.desktop.launch.LaunchOptions;
import dev.ambershim.logbook.files.DataFolder;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.IVersionProvider;
import picocli.CommandLine.Option;

/**
 * {@code amber-shim}: without a command the window, else the command. Exit code 0 ok, 1 our fault,
 * 2 bad input with one message on standard error.
 */
@Command(
    name = "amber-shim",
    mixinStandardHelpOptions = true,
    versionProvider = AmberShim.Version.class,
    description = "A bench companion for people who open processors.",
    subcommands = {
      CompareCommand.class,
      AnalyseCommand.class,
      HeadroomCommand.class,
      SolveCommand.class,
      WeighCommand.class,
      PlanCommand.class,
      RestCommand.class,
      FlatnessCommand.class,
      DoseCommand.class,
      SpreadCommand.class,
      MountCommand.class,
      RecordCommand.class,
      RestoreCommand.class,
      ScreenshotsCommand.class,
      BenchCommand.class
    })
public final class AmberShim implements Callable<Integer> {
  static final int OUR_FAULT = 1;
  static final int BAD_INPUT = 2;

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

  /** Runs a command line and ends the process. */
  public static void main(String[] arguments) {
    if (arguments.length == 0 || (arguments.length == 1 && arguments[0].equals("--demo"))) {
      // The two usual ways to start need no command line, whose classes take a while to load.
      AmberShim window = new AmberShim();
      window.demo = arguments.length == 1;
      System.exit(window.call());
    }
    System.exit(run(arguments));
  }

  /** Runs a command line; what no command can carry ends with one line, too. */
  private static int run(String... arguments) {
    CommandLine line = commandLine();
    try {
      return line.execute(arguments);
    } catch (OutOfMemoryError | StackOverflowError e) {
      line.getErr()
          .println(
              "amber-shim: What was given is too large for the memory at hand. Give a shorter file,"
                  + " or fewer of them.");
      return BAD_INPUT;
    } catch (RuntimeException | Error e) {
      line.getErr().println("amber-shim: our fault: " + e);
      return OUR_FAULT;
    }
  }

  static CommandLine commandLine() {
    CommandLine line = new CommandLine(new AmberShim());
    line.setCaseInsensitiveEnumValuesAllowed(true);
    // People write their figures with either mark, as in the window.
    line.registerConverter(Double.class, AmberShim::figure);
    line.registerConverter(double.class, AmberShim::figure);
    line.setExecutionExceptionHandler(
        (failure, where, parsed) -> {
          if (failure instanceof Problem problem) {
            where.getErr().println("amber-shim: " + problem.getMessage());
            return BAD_INPUT;
          }
          where.getErr().println("amber-shim: our fault: " + failure);
          if (System.getenv("AMBER_SHIM_TRACE") != null) {
            failure.printStackTrace(where.getErr());
          }
          return OUR_FAULT;
        });
    line.setParameterExceptionHandler(
        (failure, arguments) -> {
          String said = String.valueOf(failure.getMessage()).replaceAll("\\p{Cntrl}+", " ").strip();
          failure
              .getCommandLine()
              .getErr()
              .println(
                  "amber-shim: "
                      + said
                      + (said.endsWith(".") ? "" : ".")
                      + " Type amber-shim --help to see what can be asked.");
          return BAD_INPUT;
        });
    return line;
  }

  private static Double figure(String typed) {
    try {
      return Double.valueOf(typed.replace(',', '.'));
    } catch (NumberFormatException e) {
      throw new CommandLine.TypeConversionException("\"" + typed + "\" is no figure such as 22.5");
    }
  }

  @Override
  public Integer call() {
    Path folder =
        logbook != null
            ? logbook
            : DataFolder.of(System.getenv(), Path.of(System.getProperty("user.home")));
    DesktopApp.run(
        new LaunchOptions(folder.toAbsolutePath(), demo, readOnly, Optional.ofNullable(picture)));
    return 0;
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
