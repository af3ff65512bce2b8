package dev.ambershim.desktop.stage.open;

import dev.ambershim.core.base.MomentText;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.plan.Kit;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.plan.Supply;
import dev.ambershim.core.plan.Use;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.model.Outlook;
import dev.ambershim.desktop.model.WorkModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import dev.ambershim.desktop.widget.Picks;
import dev.ambershim.desktop.widget.Strip;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;

/** What the plan needs against the shelf, what to buy, and the packs on the shelf. */
final class KitPanel extends Column {
  private final JobModel model;
  private final WorkModel bench;
  private final Label sentence = Labels.line("", "strong");
  private final GridPane needs = new GridPane();
  private final GridPane packs = new GridPane();
  private final ComboBox<String> supply = new ComboBox<>();
  private final TextField name = field("pack-name", 150, "name");
  private final TextField amount = field("pack-amount", 70, "amount");
  private final Label unit = Labels.line("", "quiet");
  private final TextField coins = field("pack-coins", 60, "price");
  private final TextField until = field("pack-until", 100, "good until");
  private final TextField lot = field("pack-lot", 70, "lot");
  private final Label wrong = Labels.line("", "hint", "wrong");
  private Kit shownKit;
  private List<ShelfItem> shownShelf;
  private List<Use> shownUsed;
  private Notation shownIn;

  KitPanel(JobModel model) {
    super(8);
    this.model = model;
    bench = model.workbench();
    getStyleClass().add("panel");
    sentence.setId("kit-sentence");
    needs.setHgap(14);
    needs.setVgap(3);
    needs.setId("kit-needs");
    packs.setHgap(14);
    packs.setVgap(3);
    packs.setId("kit-packs");
    wrong.setId("pack-wrong");
    supply.setId("pack-supply");
    supply.setAccessibleText("kind of supply");
    supply.getItems().setAll(Arrays.stream(Supply.values()).map(Supply::words).toList());
    Picks.follow(supply, words -> suggest());
    Button add = new Button("Put on the shelf");
    add.setId("add-pack");
    add.disableProperty().bind(model.readOnlyProperty());
    add.setOnAction(e -> add());
    until.setOnAction(e -> add());
    HBox adding = new Strip(6, supply, name, amount, unit, coins, until, lot, add);
    adding.setAlignment(Pos.CENTER_LEFT);
    Button stock = new Button("Put all that is missing on the shelf, as usual packs");
    stock.setId("stock-missing");
    stock.disableProperty().bind(model.readOnlyProperty());
    stock.setOnAction(e -> stockMissing());
    getChildren()
        .addAll(
            sentence,
            needs,
            stock,
            Labels.line("On the shelf, for all jobs", "strong"),
            packs,
            adding,
            wrong);
    say("");
  }

  private static TextField field(String id, double width, String prompt) {
    TextField field = new Box();
    field.setId(id);
    field.setPrefWidth(width);
    field.setPromptText(prompt);
    field.setAccessibleText(prompt);
    return field;
  }

  private void say(String text) {
    wrong.setText(text);
    wrong.setVisible(!text.isEmpty());
    wrong.setManaged(!text.isEmpty());
  }

  private Supply picked() {
    return Arrays.stream(Supply.values())
        .filter(s -> s.words().equals(supply.getValue()))
        .findFirst()
        .orElse(null);
  }

  /** Fills in a usual pack of what was picked. */
  private void suggest() {
    Supply picked = picked();
    if (picked != null) {
      ShelfItem usual = ShelfItem.usual(picked, today());
      name.setText(usual.name());
      amount.setText(figure(usual.amount()));
      unit.setText(picked.unit());
      coins.setText(figure(usual.coins()));
      until.setText(usual.until() == null ? "" : usual.until().toString());
    }
  }

  private LocalDate today() {
    return bench.now().atZone(bench.zone()).toLocalDate();
  }

  private String figure(double value) {
    return model.notationProperty().get().editable(value, Unit.COUNT);
  }

  private void add() {
    Supply what = picked();
    try {
      if (what == null) {
        throw new Problem(
            "shelf.supply", Place.field("what it is"), "Nothing is picked.", "Pick what it is.");
      }
      Notation notation = model.notationProperty().get();
      ShelfItem item =
          ShelfItem.checked(
                  name.getText(),
                  what,
                  notation.read(amount.getText(), Unit.COUNT, "amount"),
                  coins.getText().isBlank()
                      ? 0
                      : notation.read(coins.getText(), Unit.COUNT, "price"),
                  until.getText().isBlank()
                      ? null
                      : MomentText.readDay(until.getText(), "good until"))
              .bought(today(), lot.getText());
      say("");
      bench.editShelf(
          all -> {
            all.removeIf(i -> i.name().equals(item.name()) && i.supply() == item.supply());
            all.add(item);
            return all;
          });
    } catch (Problem problem) {
      say(problem.getMessage());
    }
  }

  private void stockMissing() {
    Outlook now = bench.outlookProperty().get();
    if (now == null) {
      return;
    }
    LocalDate today = today();
    List<Kit.Line> missing = now.kit().shopping();
    bench.editShelf(
        all -> {
          for (Kit.Line line : missing) {
            ShelfItem usual = ShelfItem.usual(line.supply(), today);
            String fresh = usual.name() + " of " + today;
            all.add(
                new ShelfItem(
                        fresh,
                        usual.supply(),
                        usual.amount() * line.packs(),
                        usual.coins() * line.packs(),
                        usual.until())
                    .bought(today, ""));
          }
          return all;
        });
  }

  void show(Outlook now) {
    Notation writing = model.notationProperty().get();
    if (now.kit().equals(shownKit)
        && now.shelf().equals(shownShelf)
        && now.used().equals(shownUsed)
        && writing.equals(shownIn)) {
      return;
    }
    shownKit = now.kit();
    shownShelf = now.shelf();
    shownUsed = now.used();
    shownIn = writing;
    sentence.setText("Kit: " + now.kit().sentence(model.notationProperty().get()));
    needs.getChildren().clear();
    int row = 0;
    needs.addRow(
        row++,
        Labels.line("what", "quiet"),
        Labels.line("needed", "quiet"),
        Labels.line("on the shelf", "quiet"),
        Labels.line("to buy", "quiet"));
    for (Kit.Line line : now.kit().lines()) {
      String buy =
          line.enough()
              ? "–"
              : line.packs()
                  + (line.packs() == 1 ? " pack, " : " packs, ")
                  + model.notationProperty().get().text(line.coins(), Unit.COIN);
      String left =
          amount(line.left(), line.supply())
              + (line.gone() > 0
                  ? ", " + amount(line.gone(), line.supply()) + " past its date"
                  : "");
      needs.addRow(
          row++,
          Labels.line(line.supply().words()),
          Labels.line(amount(line.needed(), line.supply())),
          Labels.line(left),
          Labels.line(buy, line.enough() ? "quiet" : "strong"));
    }
    lookup("#stock-missing").setVisible(!now.kit().shopping().isEmpty());
    lookup("#stock-missing").setManaged(!now.kit().shopping().isEmpty());
    showPacks(now);
  }

  private void showPacks(Outlook now) {
    packs.getChildren().clear();
    for (int i = 0; i < now.shelf().size(); i++) {
      ShelfItem item = now.shelf().get(i);
      Button remove = new Button("Take off");
      remove.setId("remove-pack-" + i);
      remove.setDisable(model.readOnly());
      remove.setOnAction(
          e ->
              bench.editShelf(
                  all -> {
                    all.remove(item);
                    return all;
                  }));
      String good =
          item.until() == null
              ? ""
              : (item.good(today()) ? "good until " : "past its date, ") + item.until();
      packs.addRow(
          i,
          Labels.line(item.name()),
          Labels.line(
              amount(Kit.left(item, now.used()), item.supply())
                  + " of "
                  + amount(item.amount(), item.supply())),
          Labels.line(good, item.good(today()) ? "quiet" : "strong"),
          new Strip(6, open(item, i), remove),
          Labels.line(told(item, now), "quiet"));
    }
  }

  private Button open(ShelfItem item, int place) {
    Button open = new Button("Opened today");
    open.setWrapText(true);
    open.setId("open-pack-" + place);
    open.setVisible(item.opened() == null);
    open.setManaged(item.opened() == null);
    open.setDisable(model.readOnly());
    open.setOnAction(
        e ->
            bench.editShelf(
                all -> {
                  all.replaceAll(i -> i.equals(item) ? i.opened(today()) : i);
                  return all;
                }));
    return open;
  }

  /** When it was bought and opened, its lot, and the jobs that used it. */
  private static String told(ShelfItem item, Outlook now) {
    List<String> told = new ArrayList<>();
    if (item.opened() != null) {
      told.add("opened " + item.opened());
    } else if (item.bought() != null) {
      told.add("bought " + item.bought());
    }
    if (!item.lot().isEmpty()) {
      told.add("lot " + item.lot());
    }
    List<String> users = now.users(item);
    if (!users.isEmpty()) {
      told.add("used for " + String.join(", ", users));
    }
    return String.join("; ", told);
  }

  private String amount(double value, Supply supply) {
    Notation notation = model.notationProperty().get();
    return notation.fixed(value, value < 10 && value != Math.rint(value) ? 2 : 0)
        + " "
        + supply.unit();
  }
}
