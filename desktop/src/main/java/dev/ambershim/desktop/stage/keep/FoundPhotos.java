package dev.ambershim.desktop.stage.keep;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Found;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.PhotoPair;
import dev.ambershim.core.plan.Photo;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Desk;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Strip;
import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;

/** Photos of a face then and now: to pick them, and to see them side by side. */
final class FoundPhotos extends FlowPane {
  private static final String NONE = "no photo from the work";
  private static final double WIDEST = 300;

  private final JobModel shell;
  private final Button pick = new Button("Photo of it now…");
  private final ComboBox<String> then = new ComboBox<>();
  private final TextField thenWidth = width("found-then-width", "width then");
  private final TextField nowWidth = width("found-now-width", "width now");
  private final Label chosen = Labels.line("", "quiet");
  private final Map<String, Image> known = new HashMap<>();
  private List<Photo> offered = List.of();
  private Photo now;

  FoundPhotos(JobModel shell, Desk desk) {
    super(8, 6);
    this.shell = shell;
    pick.setId("found-photo");
    pick.disableProperty().bind(shell.readOnlyProperty());
    pick.setOnAction(
        e ->
            desk.files()
                .photo()
                .ifPresent(
                    file ->
                        shell
                            .workbench()
                            .keepPhoto(
                                file,
                                photo -> {
                                  now = photo;
                                  chosen.setText(photo.name());
                                })));
    then.setId("found-then");
    then.setAccessibleText("photo from the work");
    setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            pick,
            chosen,
            Labels.line("beside"),
            then,
            Labels.line("Widths shown, if you know them:"),
            thenWidth,
            nowWidth,
            Labels.line("", "quiet"));
    offer(List.of());
  }

  private static TextField width(String id, String prompt) {
    TextField field = new Box();
    field.setId(id);
    field.setPromptText(prompt);
    field.setAccessibleText(prompt);
    field.setPrefColumnCount(7);
    return field;
  }

  /** Offers the photos of a job for "then". */
  void offer(Job job) {
    offer(job.photos().stream().distinct().toList());
    ((Label) getChildren().get(getChildren().size() - 1))
        .setText(shell.notationProperty().get().symbol(Unit.MILLIMETRE));
  }

  private void offer(List<Photo> photos) {
    if (photos.equals(offered) && !then.getItems().isEmpty()) {
      return;
    }
    offered = List.copyOf(photos);
    List<String> names = new ArrayList<>(List.of(NONE));
    offered.forEach(p -> names.add(names.size() + " " + p.name()));
    then.getItems().setAll(names);
    then.getSelectionModel().select(offered.isEmpty() ? 0 : names.size() - 1);
  }

  /** What was picked and typed; null while no photo was. */
  PhotoPair typed() {
    if (now == null) {
      return null;
    }
    int place = then.getSelectionModel().getSelectedIndex();
    return new PhotoPair(
            place > 0 ? offered.get(place - 1) : null, now, read(thenWidth), read(nowWidth))
        .checked();
  }

  private Double read(TextField field) {
    Notation notation = shell.notationProperty().get();
    return field.getText().isBlank()
        ? null
        : (Double) notation.read(field.getText(), Unit.MILLIMETRE, field.getPromptText());
  }

  void clear() {
    now = null;
    chosen.setText("");
    thenWidth.clear();
    nowWidth.clear();
  }

  /** Both photos side by side, at one scale where that is known. */
  Node pair(Found found) {
    PhotoPair pair = found.photos();
    HBox both = new Strip(14);
    both.setId("found-pair");
    if (pair.then() != null) {
      both.getChildren().add(captioned(pair.then(), "then", pair.share(true)));
    }
    both.getChildren().add(captioned(pair.now(), Notation.date(found.date()), pair.share(false)));
    if (pair.then() != null) {
      both.getChildren()
          .add(
              Labels.line(
                  pair.oneScale() ? "at one scale" : "not at one scale: a width is missing",
                  "hint"));
    }
    return both;
  }

  private Node captioned(Photo photo, String words, double share) {
    ImageView view = new ImageView(known.get(photo.sha256()));
    view.setPreserveRatio(true);
    view.setFitWidth(WIDEST * share);
    view.setAccessibleText(photo.name() + ", " + words);
    if (view.getImage() == null) {
      shell
          .workbench()
          .photo(
              photo,
              (int) (2 * WIDEST),
              png -> {
                Image image = new Image(new ByteArrayInputStream(png));
                known.put(photo.sha256(), image);
                view.setImage(image);
              });
    }
    return new Column(2, view, Labels.line(words, "hint"));
  }
}
