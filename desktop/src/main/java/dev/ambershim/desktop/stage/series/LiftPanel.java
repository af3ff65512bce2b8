package dev.ambershim.desktop.stage.series;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.core.stage.series.Series;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Thumbnails;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;

/** The print of the mount that was made last: a photo, and how much of the face it covered. */
final class LiftPanel extends Column {
  private static final double SMALL = 88;

  private final JobModel shell;
  private final SeriesModel model;
  private final Label of = Labels.line("");
  private final TextField covered = new Box();
  private final Thumbnails print;

  /**
   * A panel.
   *
   * @param trying does something, and shows what is wrong with it
   */
  LiftPanel(JobModel shell, Desk desk, SeriesModel model, Consumer<Runnable> trying) {
    super(6);
    this.shell = shell;
    this.model = model;
    print = new Thumbnails(shell.workbench(), SMALL);
    covered.setId("series-covered");
    covered.setPrefColumnCount(4);
    covered.setPromptText("100");
    covered.setOnAction(e -> trying.accept(this::keep));
    Button photo = new Button("Photo of its print…");
    photo.setId("series-print");
    photo.disableProperty().bind(shell.readOnlyProperty());
    photo.setOnAction(
        e ->
            desk.files()
                .photo()
                .ifPresent(
                    file ->
                        shell
                            .workbench()
                            .keepPhoto(file, p -> trying.accept(() -> model.lifted(read(), p)))));
    Button keep = new Button("Note it");
    keep.setId("series-lifted");
    keep.disableProperty().bind(shell.readOnlyProperty());
    keep.setOnAction(e -> trying.accept(this::keep));
    of.setId("series-last");
    FlowPane line =
        new FlowPane(14, 6, of, Labels.named("covered", covered, Labels.line("%")), keep, photo);
    line.setAlignment(Pos.CENTER_LEFT);
    getChildren().addAll(line, print);
  }

  private void keep() {
    model.lifted(read(), null);
  }

  private Double read() {
    Notation n = shell.notationProperty().get();
    return covered.getText().isBlank()
        ? null
        : (Double) n.read(covered.getText(), Unit.PERCENT, "covered");
  }

  /** Shows the mount that was made last. */
  void show(Series now) {
    boolean there = now != null && now.last().isPresent();
    setVisible(there);
    setManaged(there);
    if (there) {
      Series.Made last = now.last().orElseThrow();
      of.setText("The print of " + last.candidate() + ", block " + last.block() + ", once lifted:");
      if (!covered.isFocused()) {
        covered.setText(
            last.coveredPercent() == null
                ? ""
                : shell.notationProperty().get().editable(last.coveredPercent(), Unit.PERCENT));
      }
      List<Photo> photos = last.print() == null ? List.of() : List.of(last.print());
      print.show(photos);
      print.setManaged(!photos.isEmpty());
    }
  }
}
