package dev.ambershim.cli;

import dev.ambershim.core.base.Problem;
import java.util.List;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/**
 * All commands, and how a command line ends: exit code 0 ok, 1 our fault, 2 bad input with one
 * message on standard error.
 */
public final class Commands {
  static final int OUR_FAULT = 1;
  static final int BAD_INPUT = 2;

  /** What stands above the commands where there is no window. */
  @Command(name = "amber-shim", mixinStandardHelpOptions = true)
  static final class Alone {}

  private Commands() {}

  /** A command line of the commands alone. */
  static CommandLine commandLine() {
    return under(new Alone());
  }

  /**
   * A command line with the commands under another one.
   *
   * @param top annotated as a command of the command-line library
   */
  public static CommandLine under(Object top) {
    CommandLine line = new CommandLine(top);
    List.of(
            new CompareCommand(),
            new AnalyseCommand(),
            new HeadroomCommand(),
            new SolveCommand(),
            new DiagnoseCommand(),
            new DriftCommand(),
            new EverydayCommand(),
            new SeriesCommand(),
            new WeighCommand(),
            new PlanCommand(),
            new RestCommand(),
            new FlatnessCommand(),
            new DoseCommand(),
            new SpreadCommand(),
            new MountCommand(),
            new RecordCommand(),
            new RestoreCommand())
        .forEach(line::addSubcommand);
    return line;
  }

  /** Gives a command line, once it is whole, our converters and our ends. */
  public static CommandLine ready(CommandLine line) {
    line.setCaseInsensitiveEnumValuesAllowed(true);
    // People write their figures with either mark, as in the window.
    line.registerConverter(Double.class, Commands::figure);
    line.registerConverter(double.class, Commands::figure);
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

  /** Runs a command line; what no command can carry ends with one line, too. */
  public static int run(CommandLine line, String... arguments) {
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
}
