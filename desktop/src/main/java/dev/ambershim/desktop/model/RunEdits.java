package dev.ambershim.desktop.model;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Side;
import dev.ambershim.core.runs.reading.Role;

/** What a person can do to the runs of the job. */
public final class RunEdits {
  private final JobModel model;

  RunEdits(JobModel model) {
    this.model = model;
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
    model.traffic().remember(model.log(hash), channel, role);
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
