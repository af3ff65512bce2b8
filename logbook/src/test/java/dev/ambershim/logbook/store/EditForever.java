package dev.ambershim.logbook.store;

import dev.ambershim.core.job.Job;
import dev.ambershim.logbook.Fixture;
import java.nio.file.Path;
import java.time.Clock;

/**
 * A process of its own that edits until it is killed, and says each edit once it is kept; with a
 * second argument it ends by itself after so many.
 */
final class EditForever {
  private EditForever() {}

  public static void main(String[] arguments) {
    Logbook logbook = Logbook.open(Path.of(arguments[0]), Access.WRITE, Clock.systemUTC());
    String id =
        logbook.list().isEmpty()
            ? logbook.create(Fixture.job("0")).id()
            : logbook.list().get(0).id();
    int n = Integer.parseInt(logbook.load(id).job().title());
    int last = arguments.length > 1 ? n + Integer.parseInt(arguments[1]) : Integer.MAX_VALUE;
    while (n < last) {
      n++;
      Job job = logbook.load(id).job();
      Job next =
          job.with(
              Integer.toString(n),
              "x".repeat(n % 7 * 1000),
              job.cooler(),
              job.before(),
              job.after());
      logbook.edit(id, "edit " + n, next);
      if (n % 5 == 0) {
        // Before it is told: a blow between the two rightly leaves the edit undone.
        logbook.undo(id);
        logbook.redo(id);
      }
      System.out.println(n);
    }
    logbook.close();
  }
}
