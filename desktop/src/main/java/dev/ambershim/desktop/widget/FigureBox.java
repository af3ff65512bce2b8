package dev.ambershim.desktop.widget;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.job.Job;
import dev.ambershim.desktop.model.JobModel;
import java.util.Objects;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;

/**
 * A box for one figure that may be left empty. Enter or leaving it keeps the figure, Escape brings
 * the kept one back; what is wrong with it is said on the shelf, and the box stays marked.
 */
public final class FigureBox extends TextField {
  private final JobModel model;
  private final Spec spec;
  private final Function<Job, Double> read;
  private final BiFunction<Job, Double, Job> write;
  private final Label unit = Labels.line("", "quiet");
  private String shown = "";

  /**
   * What may stand in it.
   *
   * @param label what it is, in messages and for screen readers
   * @param unit its unit
   * @param low least figure
   * @param high greatest figure
   * @param optional whether it may be empty
   */
  public record Spec(String label, Unit unit, double low, double high, boolean optional) {}

  /** A box of a width in letters. */
  public FigureBox(
      JobModel model,
      String id,
      Spec spec,
      int letters,
      Function<Job, Double> read,
      BiFunction<Job, Double, Job> write) {
    this.model = model;
    this.spec = spec;
    this.read = read;
    this.write = write;
    setId(id);
    setPrefColumnCount(letters);
    setMinWidth(USE_PREF_SIZE);
    setMaxWidth(USE_PREF_SIZE);
    setAccessibleText(spec.label());
    disableProperty().bind(model.readOnlyProperty());
    setOnAction(e -> keep());
    focusedProperty()
        .addListener(
            (o, was, is) -> {
              if (was) {
                keep();
              }
            });
    setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE && !getText().equals(shown)) {
            bring();
            e.consume();
          }
        });
    bring();
  }

  /** Its unit, as the person writes it. */
  public Label unit() {
    return unit;
  }

  /** Shows the job's figure, unless the person is typing here. */
  public void refresh() {
    if (!isFocused() || getText().equals(shown)) {
      bring();
    }
  }

  private void bring() {
    Job job = model.jobProperty().get();
    Double value = job == null ? null : read.apply(job);
    shown =
        value == null || value.isNaN()
            ? ""
            : model.notationProperty().get().editable(value, spec.unit());
    setText(shown);
    unit.setText(model.notationProperty().get().symbol(spec.unit()));
    getStyleClass().remove("wrong");
  }

  private void keep() {
    if (getText().strip().equals(shown) || model.jobProperty().get() == null) {
      return;
    }
    try {
      Double value = value();
      Double old = read.apply(model.jobProperty().get());
      if (!Objects.equals(value, old)) {
        model.edit(spec.label(), job -> write.apply(job, value));
      }
      bring();
    } catch (Problem problem) {
      if (!getStyleClass().contains("wrong")) {
        getStyleClass().add("wrong");
      }
      model.say(problem.getMessage());
    }
  }

  private Double value() {
    Notation notation = model.notationProperty().get();
    if (getText().isBlank()) {
      if (spec.optional()) {
        return null;
      }
      throw new Problem(
          "number.missing", Place.field(spec.label()), "This box is empty.", "Type a figure.");
    }
    double value = notation.read(getText(), spec.unit(), spec.label());
    if (!(value >= spec.low() && value <= spec.high())) {
      throw range(value, spec, notation);
    }
    return value;
  }

  /** That a figure is out of range, and which unit it looks like. */
  static Problem range(double value, Spec spec, Notation notation) {
    String slip = "";
    boolean millimetres = spec.unit() == Unit.MILLIMETRE;
    if (millimetres && value / 1000 >= spec.low() && Math.abs(value) > spec.high()) {
      slip =
          " "
              + notation.editable(value, spec.unit())
              + " looks like micrometres; this field is "
              + notation.symbol(spec.unit())
              + ".";
    } else if (spec.unit() == Unit.MICROMETRE && value > 0 && value * 1000 <= spec.high()) {
      slip =
          " "
              + notation.editable(value, spec.unit())
              + " looks like millimetres; this field is "
              + notation.symbol(spec.unit())
              + ".";
    }
    return new Problem(
        "number.range",
        Place.field(spec.label()),
        notation.editable(value, spec.unit())
            + " "
            + notation.symbol(spec.unit())
            + " is out of range.",
        "Type a figure from "
            + notation.editable(spec.low(), spec.unit())
            + " to "
            + notation.editable(spec.high(), spec.unit())
            + "."
            + slip);
  }
}
