package dev.ambershim.desktop.stage.open;

import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.plan.WorkLog;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.HoursPanel;
import java.time.Instant;

/** The hours, the start and the end that are wanted for the work on the open job. */
record JobTimes(JobModel model) implements HoursPanel.Timed {
  private WorkLog log() {
    return model.jobProperty().get() == null ? null : model.jobProperty().get().work();
  }

  @Override
  public Hours hours() {
    return log() == null ? null : log().hours();
  }

  @Override
  public Instant startAt() {
    return log().startAt();
  }

  @Override
  public Instant doneBy() {
    return log().doneBy();
  }

  @Override
  public void setHours(Hours hours) {
    model.workbench().setHours(hours);
  }

  @Override
  public void between(Instant startAt, Instant doneBy) {
    model.workbench().edit("start and end", old -> old.between(startAt, doneBy));
  }
}
