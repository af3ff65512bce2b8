package dev.ambershim.desktop.stage.series;

import dev.ambershim.core.plan.Hours;
import dev.ambershim.core.stage.series.SeriesTimes;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.HoursPanel;
import dev.ambershim.desktop.widget.Labels;
import java.time.Instant;
import javafx.scene.control.Label;

/** When the mounts that are left are made, and the hours for that. */
final class TimesPanel extends Column {
  private final SeriesModel model;
  private final Label told = Labels.line("", "strong");
  private final HoursPanel hours;

  TimesPanel(JobModel shell, SeriesModel model) {
    super(8);
    this.model = model;
    getStyleClass().add("panel");
    told.setId("series-times");
    hours = new HoursPanel(shell, new Timed(model), false);
    hours.getStyleClass().remove("panel");
    getChildren().addAll(told, hours);
    model.timesProperty().addListener((o, was, is) -> show());
    model.notInTimeProperty().addListener((o, was, is) -> show());
  }

  /** Shows what is set now. */
  void show() {
    String wrong = model.notInTimeProperty().get();
    boolean there =
        model.shownProperty().get() != null
            && (model.timesProperty().get().isPresent() || !wrong.isEmpty());
    setVisible(there);
    setManaged(there);
    if (there) {
      told.setText(model.timesProperty().get().map(SeriesTimes::sentence).orElse(wrong));
      hours.show();
    }
  }

  private record Timed(SeriesModel model) implements HoursPanel.Timed {
    @Override
    public Hours hours() {
      return model.shownProperty().get() == null ? null : model.shownProperty().get().hours();
    }

    @Override
    public Instant startAt() {
      return model.shownProperty().get().startAt();
    }

    @Override
    public Instant doneBy() {
      return null;
    }

    @Override
    public void setHours(Hours hours) {
      model.time(s -> s.withHours(hours));
    }

    @Override
    public void between(Instant startAt, Instant doneBy) {
      model.time(s -> s.withStartAt(startAt));
    }
  }
}
