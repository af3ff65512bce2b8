package dev.ambershim.desktop.stage.measure;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.ShimFigures;
import dev.ambershim.core.physics.fit.ShimTerms;
import dev.ambershim.core.physics.fit.ShimTerms.Sheet;
import dev.ambershim.core.stage.measure.MeasureAnswer;
import dev.ambershim.core.stage.measure.ShimOutline;
import dev.ambershim.core.stage.measure.ShimPicture;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.AnswerPane;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.FigureBox;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PickBar;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.Strip;
import dev.ambershim.logbook.formats.OutlineFiles;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;

/** The sheet to cut: shim, mask or stencil, what is wrong with it, and the file for the cutter. */
final class ShimPanel extends Column {
  private static final double HEIGHT = 300;

  private final JobModel model;
  private final AnswerPane answer = new AnswerPane("What must be cut?", "shim-answer");
  private final PictureView picture = new PictureView();
  private final PickBar<Sheet> sheets;
  private final List<FigureBox> figures = new ArrayList<>();
  private final GridPane grid = new GridPane();
  private final Button write = new Button("Write for the cutter (SVG, DXF, PDF)");
  private MeasureAnswer shown;

  ShimPanel(JobModel model, Desk shell) {
    super(8);
    this.model = model;
    getStyleClass().add("panel");
    answer.lookup("#shim-answer").getStyleClass().setAll("label", "strong");
    picture.setId("shim-picture");
    picture.setMinHeight(HEIGHT);
    picture.setPrefHeight(HEIGHT);
    picture.setPrefWidth(HEIGHT);
    sheets =
        new PickBar<>(
            List.of(Sheet.values()),
            Sheet::words,
            t -> "sheet-" + t.name(),
            sheet ->
                model.edit(
                    "sheet: " + sheet.words(), job -> job.withShim(job.shim().withSheet(sheet))));
    ShimFigures.all().forEach(this::add);
    grid.setHgap(10);
    grid.setVgap(5);
    write.setId("write-shim");
    write.setOnAction(
        e ->
            shell
                .files()
                .outlineTarget(model.jobProperty().get().shim().sheet().words())
                .ifPresent(this::write));
    HBox.setHgrow(picture, Priority.ALWAYS);
    HBox middle = new Strip(10, picture, grid);
    middle.setAlignment(Pos.TOP_LEFT);
    getChildren()
        .addAll(
            sheets,
            answer,
            middle,
            Labels.line(
                "Cut it on scrap first and lay it on the chip. Laser fumes of plastics are harmful:"
                    + " cut with extraction, by the machine's own rules.",
                "hint"),
            write);
  }

  private void add(Figure figure) {
    FigureBox box = new FigureBox(model, figure, 6);
    grid.add(Labels.line(figure.label()), 0, figures.size());
    grid.add(box, 1, figures.size());
    grid.add(box.unit(), 2, figures.size());
    figures.add(box);
  }

  private void write(Path file) {
    if (shown == null || shown.sheet().isEmpty()) {
      return;
    }
    ShimOutline outline = shown.sheet().get();
    ShimTerms terms = shown.job().shim();
    String title = terms.sheet().words() + ", " + shown.job().chip().name();
    model
        .work()
        .submit(
            "writing " + file.getFileName(),
            progress -> {
              OutlineFiles.write(file, title, outline.rings());
              return file;
            },
            done ->
                model.say(
                    "Written: "
                        + done.getFileName()
                        + (outline.flaws().isEmpty()
                            ? "."
                            : ", though " + outline.flaws().size() + " flaws are not mended.")));
  }

  void refresh() {
    figures.forEach(FigureBox::refresh);
    sheets.show(model.jobProperty().get().shim().sheet());
  }

  void refresh(MeasureAnswer now) {
    shown = now;
    write.setDisable(now.sheet().isEmpty());
    picture.setVisible(now.sheet().isPresent());
    if (now.sheet().isEmpty()) {
      answer.show(now.sheetSentence());
      return;
    }
    ShimOutline outline = now.sheet().get();
    Notation notation = model.notationProperty().get();
    answer.show(now.sheetSentence(), now.sheetNotes());
    picture.show(
        (w, h) ->
            ShimPicture.of(outline, now.job().chip(), now.job().heights().tops(), notation, w, h),
        model.themeProperty().get().dark());
  }
}
