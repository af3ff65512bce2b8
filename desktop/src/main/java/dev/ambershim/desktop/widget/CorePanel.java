package dev.ambershim.desktop.widget;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.RunResult;
import dev.ambershim.core.picture.CoreMapPicture;
import dev.ambershim.core.runs.judging.HotSpots;
import dev.ambershim.core.stage.CoreMaps;
import dev.ambershim.desktop.model.JobModel;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.layout.VBox;

/** The cores on the dies, what their pattern hints at, and how quick and slow part the rise. */
public final class CorePanel extends Column {
  private static final int BESIDE = 8;
  private static final double EACH_BESIDE = 185;
  private static final double EACH_BELOW = 150;

  private final JobModel model;
  private final PictureView picture = new PictureView();
  private final VBox words = new Column(3);

  /** An empty panel; its picture gets the id that tests find it by. */
  public CorePanel(JobModel model, String id) {
    this.model = model;
    picture.setId(id);
    words.setId(id + "-words");
    getStyleClass().add("panel");
    getChildren().addAll(picture, words);
    hide();
  }

  private void hide() {
    setVisible(false);
    setManaged(false);
  }

  /**
   * Shows maps.
   *
   * @param both whether before, after and the change are shown, or before alone
   * @param runs whose steps are told
   */
  public void show(CoreMaps maps, boolean both, List<RunResult> runs) {
    Notation n = model.notationProperty().get();
    Unit unit = maps.rise() ? Unit.KELVIN : Unit.CELSIUS;
    List<CoreMapPicture.Panel> panels = new ArrayList<>();
    if (both && !maps.before().isEmpty() && !maps.after().isEmpty()) {
      List<Double> all = new ArrayList<>(maps.before());
      all.addAll(maps.after());
      CoreMapPicture.Panel scale = CoreMapPicture.Panel.of("", all, unit);
      panels.add(same("before", maps.before(), scale));
      panels.add(same("after", maps.after(), scale));
      if (!maps.change().isEmpty()) {
        panels.add(CoreMapPicture.Panel.of("change", maps.change(), Unit.KELVIN));
      }
    } else if (!maps.before().isEmpty()) {
      panels.add(
          CoreMapPicture.Panel.of(maps.rise() ? "over room air" : "cores", maps.before(), unit));
    }
    if (panels.isEmpty() || maps.cores().isEmpty()) {
      hide();
      return;
    }
    setVisible(true);
    setManaged(true);
    // Many cores need the whole width for each map, one below the other.
    boolean many = maps.cores().size() > BESIDE && panels.size() > 1;
    picture.setMinHeight(many ? EACH_BELOW * panels.size() : EACH_BESIDE);
    picture.setPrefHeight(picture.getMinHeight());
    picture.show(
        (w, h) -> CoreMapPicture.of(maps.dies(), maps.cores(), panels, n, w, h),
        model.themeProperty().get().dark());
    words.getChildren().clear();
    for (HotSpots.Hint hint : maps.hints()) {
      words.getChildren().add(Labels.line("Hint: " + hint.sentence() + " " + hint.test()));
    }
    told(runs, n).forEach(t -> words.getChildren().add(Labels.line(t, "hint")));
    words
        .getChildren()
        .add(
            Labels.line(
                "Where each core lies is taken by the usual rows; your chip may differ.", "hint"));
  }

  /** How each run's rise parts into quick and slow. */
  private static List<String> told(List<RunResult> runs, Notation n) {
    List<String> told = new ArrayList<>();
    for (RunResult run : runs) {
      String which = run.entry().side().words() + ", " + run.entry().fileName() + ": ";
      run.step().ifPresent(step -> told.add(which + step.sentence(n)));
    }
    return told;
  }

  private static CoreMapPicture.Panel same(
      String name, List<Double> figures, CoreMapPicture.Panel scale) {
    return new CoreMapPicture.Panel(name, figures, scale.unit(), scale.low(), scale.high());
  }
}
