package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.JobRules;
import dev.ambershim.core.job.RunEntry;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.reading.LogReader;
import dev.ambershim.core.runs.reading.Role;
import dev.ambershim.core.runs.reading.RunLog;
import dev.ambershim.core.stage.Stage;
import dev.ambershim.logbook.store.Attachment;
import dev.ambershim.logbook.store.LogFiles;
import dev.ambershim.logbook.store.Logbook;
import dev.ambershim.logbook.store.Readings;
import dev.ambershim.logbook.store.ShapeRoles;
import dev.ambershim.logbook.store.StoredJob;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleConsumer;

/** What a person can do to the runs of the job. */
public final class RunEdits {
  private final JobModel model;

  RunEdits(JobModel model) {
    this.model = model;
  }

  /** Takes logs into the job. */
  public void add(List<Path> files, Side to) {
    if (model.jobProperty().get() == null) {
      model.say("Begin a job first: press Ctrl+N.");
      return;
    }
    String id = model.storedProperty().get().id();
    for (Path file : files) {
      model
          .edits()
          .change("reading " + file.getFileName(), progress -> added(id, file, to, progress));
    }
    model.stageProperty().set(to == Side.BEFORE ? Stage.BASELINE : Stage.PROVE);
  }

  /** Reads a log, judges it, and keeps it with the job; not for the JavaFX thread. */
  private JobEdits.Told added(String id, Path file, Side to, DoubleConsumer progress)
      throws IOException {
    Logbook logbook = model.logbook();
    String name = file.getFileName().toString();
    byte[] bytes = LogFiles.read(file);
    RunLog log = LogReader.read(name, bytes, progress);
    String hash = Readings.sha256(bytes);
    StoredJob now = logbook.load(id);
    if (now.job().runs().size() >= JobRules.MOST_RUNS) {
      throw new Problem(
          "job.many",
          Place.file(name),
          "The job has " + JobRules.MOST_RUNS + " runs; more are not taken.",
          "Begin a second job for the next ones.");
    }
    if (now.job().runs(to).stream().anyMatch(r -> r.sha256().equals(hash))) {
      return new JobEdits.Told(
          model.edits().step(now), name + " is already among the runs " + to.words() + ".");
    }
    RunEntry run = RunEntry.of(to, name, hash).withRoles(ShapeRoles.recall(logbook, log));
    model.edits().judging().judge(run, log);
    logbook.files().attach(new Attachment(hash, name, bytes), Optional.of(log));
    model.edits().judging().take(hash, log);
    StoredJob kept = logbook.edit(id, "run " + to.words() + ": " + name, now.job().withRun(run));
    return new JobEdits.Told(model.edits().step(kept), Message.told(name, to, log));
  }

  /** Takes a run out of the job. */
  public void remove(int index) {
    model.edit("remove run", old -> old.withoutRun(index));
  }

  /** Moves a run to the other side. */
  public void move(int index, Side to) {
    model.edit("run " + to.words(), old -> old.withRun(index, old.runs().get(index).on(to)));
  }

  /** Says which mount of its side a run belongs to. */
  public void setMount(int index, int mount) {
    model.edit("mount " + mount, old -> old.withRun(index, old.runs().get(index).ofMount(mount)));
  }

  /** Says what a column of a run is. */
  public void setRole(int index, String channel, Role role) {
    String hash = model.jobProperty().get().runs().get(index).sha256();
    model.traffic().remember(model.edits().judging().log(hash), channel, role);
    model.edit(
        "column " + channel + " is " + role.words(),
        old -> old.withRun(index, old.runs().get(index).withRole(channel, role)));
  }

  /**
   * Sets a run's room air as it was typed; nothing takes it away.
   *
   * @throws Problem if it is no temperature
   */
  public void setRoom(int index, String typed) {
    Double room =
        typed.isBlank()
            ? null
            : model.notationProperty().get().read(typed, Unit.CELSIUS, "room air");
    model.edit("room air", old -> old.withRun(index, old.runs().get(index).withRoom(room)));
  }
}
