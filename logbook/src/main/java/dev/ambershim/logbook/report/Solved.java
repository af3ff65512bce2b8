package dev.ambershim.logbook.report;

import dev.ambershim.core.physics.build.Responses;
import dev.ambershim.core.stage.diagnosis.Diagnosed;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;

/** What this process has solved: window, commands and reports share it, and its threads. */
public final class Solved {
  /** Helps the thread that asks; one thread for each further processor, ending with the process. */
  public static final Executor HELPERS =
      Executors.newFixedThreadPool(
          Math.max(1, Runtime.getRuntime().availableProcessors() - 1),
          r -> {
            Thread thread = new Thread(r, "solve");
            thread.setDaemon(true);
            return thread;
          });

  /** What was solved, by the thread that asks and its helpers. */
  public static final Responses SHARED = new Responses(HELPERS);

  /** Causes that were worked out, by the thread that asks alone: the helpers are for answers. */
  public static final Diagnosed CAUSES = new Diagnosed(Runnable::run);

  private Solved() {}
}
