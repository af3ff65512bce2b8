package dev.ambershim.desktop.frame;

import dev.ambershim.core.stage.keep.ChipLine;
import dev.ambershim.core.stage.keep.OwnAgeing;
import dev.ambershim.desktop.model.AllChips;
import dev.ambershim.desktop.model.Archived;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.PictureView;
import dev.ambershim.desktop.widget.Strip;
import dev.ambershim.logbook.store.JobHead;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import javafx.beans.value.ChangeListener;
import javafx.beans.value.WeakChangeListener;
import javafx.collections.MapChangeListener;
import javafx.collections.WeakMapChangeListener;
import javafx.collections.transformation.FilteredList;
import javafx.collections.transformation.SortedList;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** All jobs, the last touched first, with a search; and the start of a new one. */
final class LogbookSheet {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm");

  /** How wide the sheet likes to be, pixels. */
  private static final double WIDTH = 760;

  private LogbookSheet() {}

  static Node content(
      JobModel model, Runnable close, Runnable begin, Runnable practise, Runnable series) {
    FilteredList<JobHead> found = new FilteredList<>(model.jobs());
    TextField search = new Box();
    search.setId("search-jobs");
    search.setPromptText("Search jobs");
    search.setAccessibleText("search jobs");
    CheckBox away = new CheckBox("archived too");
    away.setId("show-archived");
    Runnable find =
        () -> {
          Set<String> hidden = away.isSelected() ? Set.of() : model.archived().idsProperty().get();
          String sought = search.getText().strip().toLowerCase(Locale.ROOT);
          found.setPredicate(
              head ->
                  !hidden.contains(head.id())
                      && head.title().toLowerCase(Locale.ROOT).contains(sought));
        };
    search.textProperty().addListener((o, was, is) -> find.run());
    away.setOnAction(e -> find.run());
    SortedList<JobHead> sorted = new SortedList<>(found);
    ComboBox<String> order = new ComboBox<>();
    order.setId("sort-jobs");
    order.setAccessibleText("how the jobs are sorted");
    for (Order o : Order.values()) {
      order.getItems().add(o.words);
    }
    order.getSelectionModel().selectFirst();
    Runnable sort =
        () ->
            sorted.setComparator(
                Order.values()[order.getSelectionModel().getSelectedIndex()].of(model));
    order.setOnAction(e -> sort.run());
    ListView<JobHead> list = new ListView<>(sorted);
    list.setId("jobs");
    list.setAccessibleText("jobs");
    list.setPrefHeight(300);
    list.setPlaceholder(Labels.line("No job yet. Begin one: Ctrl+N.", "quiet"));
    list.setCellFactory(view -> new Cell(model));
    VBox aged = new Column(2);
    aged.setId("own-ageing");
    Runnable age =
        () ->
            aged.getChildren()
                .setAll(
                    OwnAgeing.words(
                            model.chips().lines().values().stream()
                                .flatMap(line -> line.aged().stream())
                                .toList(),
                            model.notationProperty().get())
                        .stream()
                        .map(words -> Labels.line(words, "hint"))
                        .toList());
    age.run();
    MapChangeListener<String, ChipLine> told =
        change -> {
          sort.run();
          list.refresh();
          age.run();
        };
    model.chips().lines().addListener(new WeakMapChangeListener<>(told));
    // The list holds what listens for it, for as long as it is shown.
    list.getProperties().put(AllChips.class, told);
    Button archive = new Button("Archive");
    archive.setId("archive-job");
    Runnable offer =
        () -> {
          JobHead head = list.getSelectionModel().getSelectedItem();
          archive.setDisable(head == null || model.readOnly());
          archive.setText(put(model, head) ? "Bring back" : "Archive");
        };
    ChangeListener<Set<String>> archived =
        (o, was, is) -> {
          find.run();
          offer.run();
          list.refresh();
        };
    model.archived().idsProperty().addListener(new WeakChangeListener<>(archived));
    list.getProperties().put(Archived.class, archived);
    list.getSelectionModel().selectedItemProperty().addListener((o, was, is) -> offer.run());
    archive.setOnAction(
        e -> {
          JobHead head = list.getSelectionModel().getSelectedItem();
          model.archived().put(head.id(), !put(model, head));
        });
    find.run();
    offer.run();
    model.archived().look();
    model.chips().look();
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
    Button compare = new Button("Which is best?  Ctrl+Shift+S");
    compare.setId("logbook-series");
    compare.setOnAction(e -> series.run());
    Button fresh = new Button("Begin a job  Ctrl+N");
    fresh.setId("logbook-begin");
    fresh.getStyleClass().add("next");
    fresh.setDisable(model.readOnly());
    fresh.setOnAction(e -> begin.run());
    FlowPane practice =
        new FlowPane(
            10,
            6,
            fresh,
            go,
            compare,
            Labels.line("Hidden faults to find; pastes to rank.", "hint"));
    FlowPane top = new FlowPane(8, 6, search, order, away, archive);
    search.setPrefColumnCount(24);
    practice.setPrefWrapLength(WIDTH);
    top.setPrefWrapLength(WIDTH);
    list.widthProperty()
        .addListener(
            (o, was, is) -> {
              if (tight(was.doubleValue()) != tight(is.doubleValue())) {
                list.refresh();
              }
            });
    return new Column(10, top, list, aged, practice, CopiesPane.row(model, close));
  }

  /** Whether a list has no room for the course and for the due day beside the words. */
  private static boolean tight(double width) {
    return width > 0 && width < 620;
  }

  private static boolean put(JobModel model, JobHead head) {
    return head != null && model.archived().idsProperty().get().contains(head.id());
  }

  /** How the jobs are sorted. */
  private enum Order {
    TOUCHED("last touched first"),
    NAME("by name"),
    DUE("next check first");

    private final String words;

    Order(String words) {
      this.words = words;
    }

    Comparator<JobHead> of(JobModel model) {
      return switch (this) {
        case TOUCHED -> Comparator.comparing(JobHead::touched).reversed();
        case NAME -> Comparator.comparing(head -> head.title().toLowerCase(Locale.ROOT));
        case DUE ->
            Comparator.comparing(
                head ->
                    Optional.ofNullable(model.chips().lines().get(head.id()))
                        .flatMap(ChipLine::due)
                        .orElse(LocalDate.MAX));
      };
    }
  }

  /** A job: title, what its chip does, its course, when a check is due. */
  private static final class Cell extends ListCell<JobHead> {
    private static final double COURSE_WIDTH = 90;
    private static final double COURSE_HEIGHT = 30;

    private final JobModel model;
    private final Label title = Labels.line("", "strong");
    private final Label said = Labels.line("", "quiet");
    private final Label gain = Labels.line("", "quiet");
    private final Label due = Labels.line("", "quiet");
    private final PictureView course = new PictureView();
    private final VBox words = new Column(1, title, said);
    private final VBox end = new Column(1, due, gain);
    private final HBox row = new Strip(12);

    Cell(JobModel model) {
      this.model = model;
      words.setMinWidth(0);
      course.setPrefSize(COURSE_WIDTH, COURSE_HEIGHT);
      course.setMinSize(COURSE_WIDTH, COURSE_HEIGHT);
      course.setMaxSize(COURSE_WIDTH, COURSE_HEIGHT);
      due.setMinWidth(Region.USE_PREF_SIZE);
      gain.setMinWidth(Region.USE_PREF_SIZE);
      row.setAlignment(Pos.CENTER_LEFT);
      row.setPadding(new Insets(4, 0, 4, 0));
      setContentDisplay(ContentDisplay.GRAPHIC_ONLY);
      setPrefWidth(0);
    }

    @Override
    protected void updateItem(JobHead head, boolean empty) {
      super.updateItem(head, empty);
      if (empty || head == null) {
        setGraphic(null);
        setText(null);
        return;
      }
      String touched = DAY.format(head.touched().atZone(ZoneId.systemDefault()));
      Optional<ChipLine> line = Optional.ofNullable(model.chips().lines().get(head.id()));
      LocalDate today = LocalDate.ofInstant(model.workbench().now(), ZoneId.systemDefault());
      boolean tight = tight(getListView().getWidth());
      end.setAlignment(tight ? Pos.CENTER_LEFT : Pos.CENTER_RIGHT);
      row.getChildren()
          .setAll(
              tight
                  ? List.of(new Column(1, words, end))
                  : List.of(words, Labels.spring(), course, end));
      title.setText(head.title());
      said.setText(
          (put(model, head) ? "Archived. " : "")
              + line.flatMap(ChipLine::sentence).orElse("last touched " + touched));
      gain.setText(line.flatMap(ChipLine::gain).orElse(""));
      due.setText(line.map(l -> l.dueOn(today)).orElse(""));
      due.getStyleClass().remove("warn");
      if (line.filter(l -> l.late(today)).isPresent()) {
        due.getStyleClass().add("warn");
      }
      boolean drawn = line.filter(l -> l.sentence().isPresent()).isPresent();
      course.setVisible(drawn);
      line.filter(l -> drawn)
          .ifPresent(l -> course.show(l::course, model.themeProperty().get().dark()));
      setText(head.title());
      setGraphic(row);
    }
  }
}
