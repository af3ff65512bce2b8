package dev.ambershim.cli;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.logbook.store.Copies;
import dev.ambershim.logbook.store.DataFolder;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code restore}: puts a dated copy of the logbook in its place; what is there is set aside. */
@Command(
    name = "restore",
    mixinStandardHelpOptions = true,
    description = "Put a copy of the logbook back. What is there now is set aside in its folder.")
final class RestoreCommand implements Callable<Integer> {
  @Spec CommandSpec spec;

  @Option(names = "--list", description = "Only list the copies.")
  boolean list;

  @Option(
      names = "--from",
      paramLabel = "DATE",
      description = "The day of the copy, such as 2026-05-17; else the newest that holds jobs.")
  String from;

  @Option(names = "--logbook", paramLabel = "DIR", description = "The logbook's folder.")
  Path logbook;

  @Override
  public Integer call() {
    Path folder =
        (logbook != null
                ? logbook
                : DataFolder.of(System.getenv(), Path.of(System.getProperty("user.home"))))
            .toAbsolutePath();
    PrintWriter out = spec.commandLine().getOut();
    if (list) {
      List<Copies.Copy> copies = Copies.of(folder);
      copies.forEach(c -> out.println(words(c)));
      if (copies.isEmpty()) {
        out.println("There is no copy of the logbook in " + folder + " yet.");
      }
    } else {
      Copies.Copy taken = Copies.restore(folder, day(), Clock.systemUTC());
      out.println("Put back: " + words(taken) + ". What was there is set aside in " + folder + ".");
    }
    out.flush();
    return 0;
  }

  private Optional<LocalDate> day() {
    try {
      return Optional.ofNullable(from).map(LocalDate::parse);
    } catch (DateTimeParseException e) {
      throw new Problem(
          "copy.day",
          Place.field("--from"),
          "\"" + from + "\" is no day.",
          "Write it as 2026-05-17; --list shows the days there are.",
          e);
    }
  }

  private static String words(Copies.Copy copy) {
    return copy.day()
        + "  "
        + (copy.jobs() < 0
            ? "cannot be read"
            : copy.jobs() + (copy.jobs() == 1 ? " job" : " jobs"));
  }
}
