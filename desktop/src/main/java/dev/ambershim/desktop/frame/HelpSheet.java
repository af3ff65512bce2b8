package dev.ambershim.desktop.frame;

import dev.ambershim.desktop.model.Handbook;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.HandbookText;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Scroll;
import dev.ambershim.desktop.widget.Strip;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** The handbook: the page for the place one is in, the others beside it, and a search. */
final class HelpSheet {
  private static final double LIST_WIDTH = 250;
  private static final double PAGE_WIDTH = 640;
  private static final double HEIGHT = 560;

  private final Handbook book = Handbook.read();
  private final ListView<Handbook.Hit> list = new ListView<>();
  private final TextField search = new Box();
  private final Scroll page = new Scroll();

  private HelpSheet() {}

  /**
   * The handbook at a page.
   *
   * @param name the page's
   * @param keys shows the key map
   * @param wrong saves a report of what went wrong
   * @param version of the application
   */
  static Node content(String name, Runnable keys, Runnable wrong, String version) {
    return new HelpSheet().build(name, keys, wrong, version);
  }

  private Node build(String name, Runnable keys, Runnable wrong, String version) {
    search.setId("help-search");
    search.setPromptText("search the handbook");
    search.setAccessibleText("search the handbook");
    list.setId("help-list");
    list.setAccessibleText("pages of the handbook");
    list.setPrefWidth(LIST_WIDTH);
    list.setMinWidth(LIST_WIDTH);
    VBox.setVgrow(list, Priority.ALWAYS);
    list.setPlaceholder(Labels.line("Nothing in the handbook has all of these words.", "quiet"));
    list.setCellFactory(view -> new Cell());
    page.setId("help-page");
    page.setFitToWidth(true);
    page.setPrefSize(PAGE_WIDTH, HEIGHT);
    Button map = new Button("All keys");
    map.setId("help-keys");
    map.setOnAction(e -> keys.run());
    Button save = new Button("Save a report of what went wrong");
    save.setId("help-wrong");
    save.setOnAction(e -> wrong.run());
    search.textProperty().addListener((o, was, is) -> fill(is));
    search.setOnAction(e -> list.getSelectionModel().selectFirst());
    list.getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null) {
                show(is.page());
              }
            });
    fill("");
    go(name);
    VBox left = new Column(8, search, list, map, save, Labels.line(version, "hint"));
    left.setMaxWidth(LIST_WIDTH);
    return new Strip(14, left, page);
  }

  private void fill(String sought) {
    List<Handbook.Hit> hits =
        sought.isBlank()
            ? book.pages().stream().map(p -> new Handbook.Hit(p, "", "")).toList()
            : book.search(sought);
    list.getItems().setAll(hits);
  }

  /** Goes to a page by a link or its name. */
  private void go(String link) {
    book.page(link, true)
        .ifPresent(
            p -> {
              search.clear();
              list.getItems().stream()
                  .filter(h -> h.page().equals(p))
                  .findFirst()
                  .ifPresent(list.getSelectionModel()::select);
              show(p);
            });
  }

  private void show(Handbook.Page shown) {
    VBox text = HandbookText.of(shown.markdown(), this::go);
    text.setId("help-text");
    text.getStyleClass().add("page");
    page.setContent(text);
    page.setVvalue(0);
  }

  /** A page, or where in it something was found. */
  private static final class Cell extends ListCell<Handbook.Hit> {
    Cell() {
      setPrefWidth(0);
      setWrapText(true);
    }

    @Override
    protected void updateItem(Handbook.Hit hit, boolean empty) {
      super.updateItem(hit, empty);
      if (empty || hit == null) {
        setText(null);
        return;
      }
      String words = hit.words().length() > 90 ? hit.words().substring(0, 90) + "…" : hit.words();
      setText(hit.page().title() + (words.isEmpty() ? "" : ": " + words));
    }
  }
}
