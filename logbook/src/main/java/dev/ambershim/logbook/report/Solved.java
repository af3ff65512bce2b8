package dev.ambershim.logbook.report;

import dev.ambershim.core.physics.build.Responses;
import java.util.concurrent.Executors;

/** What this process has solved: window, commands and reports share it, and its threads. */
public final class Solved {
  /** Solves on one thread for each processor; they end with the process. */
  public static final Responses SHARED =
      new Responses(
          Executors.newFixedThreadPool(
              Runtime.getRuntime().availableProcessors(),
              r -> {
                Thread thread = new Thread(r, "solve");
                thread.setDaemon(true);
                return thread;
              }));

  private Solved() {}
}
