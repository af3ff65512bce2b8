package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.JobRules;
import dev.ambershim.logbook.store.DiskFull;
import dev.ambershim.logbook.store.Logbook;
import java.util.Optional;
import org.slf4j.LoggerFactory;

/**
 * A job that could not be opened or worked out; all others are in reach.
 *
 * @param id its key in the logbook
 * @param title its title
 * @param what what is wrong, a sentence or two
 */
public record Trouble(String id, String title, String what) {
  /** What a failure of any kind comes to. */
  static Trouble of(Logbook logbook, String id, String title, Throwable failure) {
    LoggerFactory.getLogger(Trouble.class).error("the job {} did not open", id, failure);
    return new Trouble(id, title, unsound(logbook, id).orElseGet(() -> words(failure)));
  }

  /** What the rules of jobs find wrong, which says more than the failure that it led to. */
  private static Optional<String> unsound(Logbook logbook, String id) {
    try {
      JobRules.sound(logbook.load(id).job());
      return Optional.empty();
    } catch (Problem problem) {
      return Optional.of(problem.getMessage());
    } catch (RuntimeException | Error other) {
      return Optional.empty();
    }
  }

  private static String words(Throwable failure) {
    if (failure instanceof Problem problem) {
      return problem.getMessage();
    }
    if (failure instanceof OutOfMemoryError) {
      return "There is not enough memory to work it out. Open it without its runs, and take some out.";
    }
    return DiskFull.of(failure)
        .map(Problem::getMessage)
        .orElse("Something in it was not foreseen (" + failure.getClass().getSimpleName() + ").");
  }
}
