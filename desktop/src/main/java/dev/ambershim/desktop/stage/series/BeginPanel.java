package dev.ambershim.desktop.stage.series;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.plan.ShelfItem;
import dev.ambershim.core.stage.series.SeriesKnown;
import dev.ambershim.core.stage.series.SeriesPlan;
import dev.ambershim.core.stage.series.SeriesTerms;
import dev.ambershim.desktop.model.JobModel;
import dev.ambershim.desktop.widget.Box;
import dev.ambershim.desktop.widget.Column;
import dev.ambershim.desktop.widget.Labels;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** The beginning of a series: what is compared, and what that takes. */
final class BeginPanel extends Column {
  private final JobModel shell;
  private final SeriesModel model;
  private final TextField name = box("series-name", 16, "five pastes");
  private final TextField candidates =
      box("series-candidates", 34, "with commas between: ash, birch, clay");
  private final TextField fixed = box("series-fixed", 34, "chip, load, clock, voltage, fan");
  private final ComboBox<String> shelf = new ComboBox<>();
  private final HBox shelved = Labels.named("or from your shelf", shelf);
  private final Map<String, Double> prices = new HashMap<>();
  private final TextField care = box("series-care", 5, "");
  private final TextField scatter = box("series-scatter", 5, "");
  private final TextField mounts = box("series-mounts", 4, "as many as it takes");
  private final TextField hours = box("series-hours", 4, "no end");
  private final TextField warmUps = box("series-warm-ups", 3, "");
  private final Label own = Labels.line("", "quiet");
  private int asked;
  private final Label units = Labels.line("");
  private final Label told = Labels.line("", "strong");
  private final VBox notes = new Column(3);
  private final Label wrong = Labels.line("", "hint", "wrong");

  BeginPanel(JobModel shell, SeriesModel model) {
    super(8);
    this.shell = shell;
    this.model = model;
    getStyleClass().add("panel");
    mounts.setPrefColumnCount(11);
    told.setId("series-plan");
    wrong.setId("series-plan-wrong");
    Button go = new Button("Begin it");
    go.setId("series-begin");
    go.getStyleClass().add("next");
    go.disableProperty().bind(shell.readOnlyProperty());
    go.setOnAction(e -> trying(this::begin));
    candidates.setOnAction(e -> trying(this::begin));
    for (TextField field : List.of(candidates, care, scatter, mounts, hours, warmUps)) {
      field.textProperty().addListener((o, was, is) -> look());
    }
    FlowPane line =
        new FlowPane(
            14,
            6,
            Labels.named("Smallest difference that matters", care, units),
            Labels.named("Scatter between mounts", scatter, Labels.line("K"), own),
            Labels.named("Mounts of each", mounts),
            Labels.named("Hours", hours),
            Labels.named("Warm-ups before each run", warmUps),
            go);
    line.setAlignment(Pos.CENTER_LEFT);
    getChildren()
        .addAll(
            Labels.line("A new series", "strong"),
            Labels.named("Name", name),
            Labels.named("Candidates", candidates),
            shelved,
            Labels.named("The same at every mount", fixed),
            line,
            told,
            notes,
            wrong);
    shelf.setId("series-shelf");
    shelf.setAccessibleText("a paste from the shelf");
    shelf.setOnAction(e -> fromShelf());
    model.shelfProperty().addListener((o, was, is) -> offer(is));
    offer(model.shelfProperty().get());
    usual();
    own.setId("series-own-scatter");
    shell.notationProperty().addListener((o, was, is) -> usual());
    model.ownScatterProperty().addListener((o, was, is) -> usual());
    shell.jobProperty().addListener((o, was, is) -> thisChip());
    thisChip();
  }

  private static TextField box(String id, int letters, String prompt) {
    TextField field = new Box();
    field.setId(id);
    field.setPrefColumnCount(letters);
    field.setPromptText(prompt);
    return field;
  }

  private void usual() {
    Notation n = shell.notationProperty().get();
    units.setText(n.symbol(Unit.KELVIN));
    care.setText(n.editable(SeriesTerms.USUAL.careKelvin(), Unit.KELVIN));
    scatter.setText(
        n.editable(
            model.ownScatterProperty().get().orElse(SeriesTerms.USUAL.remountKelvin()),
            Unit.KELVIN));
    own.setText(
        model.ownScatterProperty().get().isPresent() ? "your own, by your series" : "usual");
    warmUps.setText(n.editable(SeriesTerms.USUAL.warmUps(), Unit.COUNT));
    ((Label) ((HBox) scatter.getParent()).getChildren().get(2)).setText(n.symbol(Unit.KELVIN));
  }

  /** What is open is likely what is mounted on. */
  private void thisChip() {
    Job job = shell.jobProperty().get();
    if (job != null && fixed.getText().isBlank()) {
      fixed.setText(
          job.chip().name()
              + ", "
              + shell.notationProperty().get().text(job.heatWatts(), Unit.WATT)
              + " of heat");
    }
  }

  private void offer(List<ShelfItem> items) {
    shelf.getItems().setAll(items.stream().map(ShelfItem::name).toList());
    shelved.setVisible(!items.isEmpty());
    shelved.setManaged(!items.isEmpty());
  }

  /** Adds a pack, with what one mount of it costs. */
  private void fromShelf() {
    int place = shelf.getSelectionModel().getSelectedIndex();
    if (place < 0) {
      return;
    }
    ShelfItem item = model.shelfProperty().get().get(place);
    String name = SeriesKnown.candidateName(item);
    if (!named().contains(name)) {
      prices.put(name, item.coins() / item.amount() * SeriesTerms.USUAL.mountGrams());
      candidates.setText(
          candidates.getText().isBlank() ? name : candidates.getText() + ", " + name);
    }
  }

  private List<String> named() {
    return Arrays.stream(candidates.getText().split("[,;]"))
        .map(String::strip)
        .filter(c -> !c.isEmpty())
        .toList();
  }

  private SeriesTerms terms() {
    Notation n = shell.notationProperty().get();
    return new SeriesTerms(
        n.read(care.getText(), Unit.KELVIN, "smallest difference"),
        n.read(scatter.getText(), Unit.KELVIN, "scatter"),
        SeriesTerms.USUAL.mountMinutes(),
        SeriesTerms.USUAL.mountGrams(),
        (int) Math.round(n.read(warmUps.getText(), Unit.COUNT, "warm-ups")));
  }

  private OptionalInt mounts() {
    return mounts.getText().isBlank()
        ? OptionalInt.empty()
        : OptionalInt.of(
            (int)
                Math.round(
                    shell.notationProperty().get().read(mounts.getText(), Unit.COUNT, "mounts")));
  }

  private Optional<Double> hours() {
    return hours.getText().isBlank()
        ? Optional.empty()
        : Optional.of(shell.notationProperty().get().read(hours.getText(), Unit.HOUR, "hours"));
  }

  /** What the plan would tell, as one types. */
  private void look() {
    told.setText("");
    notes.getChildren().clear();
    wrong.setText("");
    if (named().size() < 2) {
      return;
    }
    int question = ++asked;
    trying(
        () -> {
          SeriesTerms terms = terms();
          SeriesPlan.check(named());
          model.plan(
              named(),
              mounts(),
              hours(),
              terms,
              1,
              plan -> {
                if (question == asked) {
                  show(plan);
                }
              },
              problem -> {
                if (question == asked) {
                  wrong.setText(problem.getMessage());
                }
              });
        });
  }

  private void show(SeriesPlan plan) {
    told.setText(plan.sentence());
    notes.getChildren().clear();
    plan.notes().forEach(n -> notes.getChildren().add(Labels.line(n, "hint")));
  }

  private void begin() {
    SeriesPlan.check(named());
    asked++;
    model.begin(name.getText(), named(), mounts(), hours(), terms(), fixed.getText(), prices);
    name.clear();
    prices.clear();
    candidates.clear();
  }

  private void trying(Runnable action) {
    try {
      action.run();
      wrong.setText("");
    } catch (Problem problem) {
      wrong.setText(problem.getMessage());
    }
  }
}
