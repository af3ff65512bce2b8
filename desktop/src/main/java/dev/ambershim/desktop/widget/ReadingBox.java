package dev.ambershim.desktop.widget;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Figure;
import dev.ambershim.core.job.HeightFigures;
import dev.ambershim.core.job.Job;
import dev.ambershim.core.physics.fit.Instrument;
import dev.ambershim.core.physics.fit.Reading;
import dev.ambershim.desktop.model.JobModel;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.HBox;

/** Readings of one height, with blanks between them, and what they were taken with. */
public final class ReadingBox extends HBox {
  private final JobModel model;
  private final String label;
  private final Function<Job, Reading> read;
  private final BiFunction<Job, Reading, Job> write;
  private final TextField box = new Box();
  private Reading shown;
  private Notation shownIn;

  /** A box for a reading of the job. */
  public ReadingBox(
      JobModel model,
      String id,
      String label,
      Function<Job, Reading> read,
      BiFunction<Job, Reading, Job> write) {
    super(6);
    this.model = model;
    this.label = label;
    this.read = read;
    this.write = write;
    box.setId(id);
    box.setPrefColumnCount(13);
    box.setPromptText("readings, " + model.notationProperty().get().symbol(Unit.MILLIMETRE));
    box.setAccessibleText(label);
    box.disableProperty().bind(model.readOnlyProperty());
    box.setOnAction(e -> keep());
    box.focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was) {
                keep();
              }
            });
    box.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            bring();
          }
        });
    refresh();
  }

  private Reading now() {
    return read.apply(model.jobProperty().get());
  }

  /** Shows the job's readings, unless the person is typing here. */
  public void refresh() {
    Reading now = now();
    Notation notation = model.notationProperty().get();
    if (now.equals(shown) && notation.equals(shownIn)) {
      return;
    }
    boolean other = shown == null || shown.instrument() != now.instrument();
    if (!box.isFocused() || shown == null || box.getText().equals(text(shown, shownIn))) {
      shown = now;
      shownIn = notation;
      bring();
    }
    if (other) {
      getChildren().setAll(box, instrument(now));
    }
  }

  private static String text(Reading reading, Notation notation) {
    return reading.millimetres().stream()
        .map(v -> notation.editable(v, Unit.MILLIMETRE))
        .collect(Collectors.joining("  "));
  }

  private void bring() {
    Filled.with(box, text(shown, shownIn));
    box.getStyleClass().remove("wrong");
  }

  private Node instrument(Reading now) {
    return Picks.onDemand(
        now.instrument().words(),
        box.getId() + "-with",
        model.readOnly(),
        () -> {
          ComboBox<String> pick = new ComboBox<>();
          pick.getItems()
              .setAll(Arrays.stream(Instrument.values()).map(Instrument::words).toList());
          pick.setValue(now().instrument().words());
          Picks.follow(
              pick,
              words ->
                  model.edit(
                      label + ", read with",
                      job ->
                          write.apply(
                              job,
                              new Reading(
                                  Arrays.stream(Instrument.values())
                                      .filter(i -> i.words().equals(words))
                                      .findFirst()
                                      .orElseThrow(),
                                  read.apply(job).millimetres()))));
          return pick;
        });
  }

  private void keep() {
    if (box.getText().equals(text(shown, shownIn)) || model.jobProperty().get() == null) {
      return;
    }
    try {
      Notation notation = model.notationProperty().get();
      Figure height = HeightFigures.height(label);
      List<Double> values = new ArrayList<>();
      for (String word : box.getText().strip().split("[\\s;]+", -1)) {
        if (word.isEmpty() || word.equals(notation.symbol(Unit.MILLIMETRE))) {
          continue;
        }
        double value = height.typed(word, notation);
        values.add(value);
      }
      Reading typed = new Reading(now().instrument(), values);
      model.edit(label, job -> write.apply(job, typed));
      shown = now();
      shownIn = notation;
      bring();
    } catch (Problem problem) {
      if (!box.getStyleClass().contains("wrong")) {
        box.getStyleClass().add("wrong");
      }
      model.say(problem.getMessage());
    }
  }
}
