package dev.ambershim.cli;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.JobRules;
import dev.ambershim.logbook.store.Json;
import dev.ambershim.logbook.store.LogFiles;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;

/** A job that a command was given as a file. */
final class JobInput {
  private JobInput() {}

  /**
   * Reads and checks it.
   *
   * @throws Problem naming the file
   */
  static Job read(Path file) {
    Job job = Json.read(file.toString(), new String(LogFiles.read(file), StandardCharsets.UTF_8));
    try {
      JobRules.check(job);
      return job;
    } catch (Problem problem) {
      throw problem.in(file.toString());
    }
  }
}
