package dev.ambershim.desktop.stage.conduct;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.desktop.model.JobModel;
import java.nio.file.Path;
import java.util.List;

/**
 * The room as the person read it at a run's start and end: the run rises from their mean. A channel
 * that tells the room comes first.
 */
final class RoomReadings {
  /** More wander than this spoils a comparison to tenths; common practice. */
  private static final double WANDER_KELVIN = 0.3;

  private final JobModel model;
  private final Double start;
  private List<String> files = List.of();

  /**
   * Of a run that is to begin.
   *
   * @param start the reading at the start, °C, or null
   */
  RoomReadings(JobModel model, Double start) {
    this.model = model;
    this.start = start;
  }

  /** The logs that came of the run; they are in the job, or on their way. */
  void of(List<Path> logs) {
    files = logs.stream().map(f -> f.getFileName().toString()).toList();
    if (start != null) {
      // Behind the logs on the line of work, so that the runs are there when it is their turn.
      model.work().submit("", progress -> start, room -> keep(room));
    }
  }

  /**
   * Takes the reading at the end.
   *
   * @return what there is to say of it
   * @throws Problem if it is no temperature
   */
  String end(String typed) {
    Notation n = model.notationProperty().get();
    double end = n.read(typed, Unit.CELSIUS, "room at the end");
    double mean = start == null ? end : (start + end) / 2;
    keep(mean);
    if (start == null) {
      return "Kept: the run rises from " + n.text(end, Unit.CELSIUS) + ".";
    }
    double wander = Math.abs(end - start);
    return "Kept: the run rises from "
        + n.text(mean, Unit.CELSIUS)
        + (wander > WANDER_KELVIN
            ? ". The room wandered by "
                + n.text(wander, Unit.KELVIN)
                + ", so tenths of a kelvin mean little."
            : ". The room held.");
  }

  private void keep(double room) {
    model.edit("room air", job -> with(job, room));
  }

  private Job with(Job job, double room) {
    Job changed = job;
    for (int i = 0; i < job.runs().size(); i++) {
      RunEntry run = job.runs().get(i);
      if (files.contains(run.fileName())) {
        changed = changed.withRun(i, run.withRoom(room));
      }
    }
    return changed;
  }
}
