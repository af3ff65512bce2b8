package dev.ambershim.desktop.quickstart;

import dev.ambershim.core.job.Job;
import dev.ambershim.desktop.model.Failures;
import dev.ambershim.desktop.model.Opened;
import dev.ambershim.desktop.widget.HandbookText;
import dev.ambershim.logbook.store.Json;
import org.slf4j.LoggerFactory;

/** What is done beside the window once it stands, as nobody needs it before they have looked. */
public final class WhatCanWait {
  private WhatCanWait() {}

  /**
   * Begins it.
   *
   * @return the thread that it runs on
   */
  public static Thread begin(Opened opened) {
    Thread later =
        new Thread(
            () -> {
              Failures.logTo(opened.logbook().folder());
              HandbookText.prepare();
              opened.stored().ifPresent(kept -> compare(kept.job()));
            },
            "what can wait");
    later.setDaemon(true);
    later.start();
    return later;
  }

  /**
   * The first time that two jobs are compared, Java makes the code for each of a hundred records,
   * which takes as long as an answer. It is made here, and not for the first figure that is typed.
   */
  private static void compare(Job job) {
    if (!Json.read("job", Json.write(job)).equals(job)) {
      LoggerFactory.getLogger(WhatCanWait.class).warn("a job is not read as it was written");
    }
  }
}
