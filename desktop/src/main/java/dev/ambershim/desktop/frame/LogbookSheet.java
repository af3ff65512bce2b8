package dev.ambershim.desktop.frame;

import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.logbook.store.JobHead;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.Locale;
import javafx.collections.transformation.FilteredList;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** All jobs, the last touched first, with a search; and the start of a new one. */
final class LogbookSheet {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");

  private LogbookSheet() {}

  static Node content(JobModel model, Runnable close, Runnable practise) {
    FilteredList<JobHead> found = new FilteredList<>(model.jobs());
    TextField search = new TextField();
    search.setId("search-jobs");
    search.setPromptText("Search jobs");
    search
        .textProperty()
        .addListener(
            (o, was, is) ->
                found.setPredicate(
                    head ->
                        head.title()
                            .toLowerCase(Locale.ROOT)
                            .contains(is.strip().toLowerCase(Locale.ROOT))));
    ListView<JobHead> list = new ListView<>(found);
    list.setId("jobs");
    list.setPrefHeight(240);
    list.setPlaceholder(Labels.line("No job yet. Begin one below.", "quiet"));
    list.setCellFactory(view -> new Cell());
    Runnable open =
        () -> {
          JobHead head = list.getSelectionModel().getSelectedItem();
          if (head != null) {
            model.open(head.id());
            close.run();
          }
        };
    list.setOnMouseClicked(
        e -> {
          if (e.getClickCount() == 2) {
            open.run();
          }
        });
    list.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            open.run();
          }
        });
    search.setOnAction(
        e -> {
          list.getSelectionModel().selectFirst();
          open.run();
        });
    list.getSelectionModel().selectFirst();
    Button go = new Button("Practise  Ctrl+Shift+D");
    go.setId("logbook-practise");
    go.setOnAction(e -> practise.run());
    HBox practice =
        new HBox(
            10,
            go,
            Labels.line("Find hidden faults on invented chips; nothing can break.", "hint"));
    practice.setAlignment(Pos.CENTER_LEFT);
    return new VBox(10, search, list, begin(model, close), practice, CopiesPane.row(model, close));
  }

  private static Node begin(JobModel model, Runnable close) {
    TextField title = new TextField();
    title.setId("new-title");
    title.setPromptText("Name of the chip or the job");
    title.setPrefWidth(210);
    ComboBox<String> kind = new ComboBox<>();
    kind.setId("new-kind");
    for (StartingPoint point : StartingPoint.values()) {
      kind.getItems().add(point.words());
    }
    kind.getSelectionModel().selectFirst();
    Button begin = new Button("Begin");
    begin.setId("begin-job");
    begin.getStyleClass().add("next");
    begin.setDisable(model.readOnly());
    Runnable act =
        () -> {
          model.create(point(kind.getValue()), title.getText());
          close.run();
        };
    begin.setOnAction(e -> act.run());
    title.setOnAction(e -> act.run());
    HBox row = new HBox(8, Labels.line("New job", "strong"), title, kind, begin);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private static StartingPoint point(String words) {
    return Arrays.stream(StartingPoint.values())
        .filter(p -> p.words().equals(words))
        .findFirst()
        .orElseThrow();
  }

  private static final class Cell extends ListCell<JobHead> {
    @Override
    protected void updateItem(JobHead head, boolean empty) {
      super.updateItem(head, empty);
      setText(
          empty || head == null
              ? ""
              : head.title()
                  + "   ·   "
                  + DAY.format(head.touched().atZone(ZoneId.systemDefault())));
    }
  }
}
