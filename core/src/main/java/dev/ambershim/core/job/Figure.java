package dev.ambershim.core.job;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Sentence;
import dev.ambershim.core.base.Unit;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;

/**
 * A figure of a job that a person may type. All that is known of it stands here: boxes, rules,
 * commands and hints ask it.
 *
 * @param name stable name, such as {@code chip.lid.thicknessMillimetres}
 * @param part the part of the section, or the stage, that it belongs to
 * @param label what a person calls it
 * @param unit its unit
 * @param possible what makes sense at all
 * @param usual what is usual, by common practice; outside it the person is asked to look again
 * @param how how to measure it, a sentence
 * @param access where it stands in a job
 */
public record Figure(
    String name,
    String part,
    String label,
    Unit unit,
    Range possible,
    Range usual,
    String how,
    Access access) {
  /**
   * From one value to another, both within.
   *
   * @param low least
   * @param high greatest
   */
  public record Range(double low, double high) {
    /** Whether a value lies within; not a number does not. */
    public boolean holds(double value) {
      return value >= low && value <= high;
    }
  }

  /**
   * The way to a figure and back.
   *
   * @param read the figure of a job; null if it is not said
   * @param write the job with another; null takes it away where it may be missing
   * @param otherwise what is reckoned with where nothing is said, null if that is not known; null
   *     altogether for a figure that must be there
   * @param empty what an empty box says where what is reckoned with is not known
   */
  public record Access(
      Function<Job, Double> read,
      BiFunction<Job, Double, Job> write,
      Function<Job, Double> otherwise,
      String empty) {}

  /** A figure of which everything possible is usual. */
  Figure(String name, String part, String label, Unit unit, Range possible, Access access) {
    this(name, part, label, unit, possible, possible, "", access);
  }

  /** Its name as one word. */
  public String id() {
    return name.replace('.', '-');
  }

  /** Whether it may be left empty. */
  public boolean optional() {
    return access.otherwise() != null;
  }

  /** The figure in a job; null if it is not said. */
  public Double read(Job job) {
    return access.read().apply(job);
  }

  /** What is reckoned with while nothing is said, if that is known. */
  public Optional<Double> otherwise(Job job) {
    return optional() ? Optional.ofNullable(access.otherwise().apply(job)) : Optional.empty();
  }

  /** The figure as a box shows it: the bare number, empty if it is not said. */
  public String shown(Job job, Notation notation) {
    Double value = read(job);
    return value == null || value.isNaN() ? "" : notation.editable(value, unit);
  }

  /** What an empty box says: what is reckoned with then, or that it is not known. */
  public String prompt(Job job, Notation notation) {
    return otherwise(job).map(v -> notation.editable(v, unit)).orElse(access.empty());
  }

  /**
   * The job with this figure replaced.
   *
   * @param value null for none, where it may be left empty
   * @throws Problem {@code field.range} if it makes no sense, {@code field.missing} if it is needed
   */
  public Job write(Job job, Double value, Notation notation) {
    return access.write().apply(job, checked(value, notation, label));
  }

  /**
   * What a person typed, in the kept unit; null if it was left empty and may be.
   *
   * @throws Problem as {@link #write}, or {@code number.unreadable}
   */
  public Double typed(String text, Notation notation) {
    return checked(text.isBlank() ? null : notation.read(text, unit, label), notation, label);
  }

  /**
   * Checks the figure of a job that a person did not type, and names it as a file does.
   *
   * @throws Problem as {@link #write}
   */
  void check(Job job) {
    checked(read(job), Notation.METRIC, name + " (" + label + ")");
  }

  private Double checked(Double value, Notation notation, String called) {
    if (value == null && !optional()) {
      throw new Problem(
          "field.missing", Place.field(called), "This box is empty.", "Type a figure.");
    }
    if (value != null && !possible.holds(value)) {
      String symbol = notation.symbol(unit);
      String behind = symbol.isEmpty() ? "" : " " + symbol;
      throw new Problem(
          "field.range",
          Place.field(called),
          notation.editable(value, unit) + behind + " is out of range.",
          "Type a figure from "
              + notation.editable(possible.low(), unit)
              + " to "
              + notation.editable(possible.high(), unit)
              + behind
              + "."
              + slip(value, notation));
    }
    return value;
  }

  /**
   * Checks a value that was given under another name, such as an option of a command.
   *
   * @return the value
   * @throws Problem as {@link #write}
   */
  public double given(String called, double value) {
    return checked(value, Notation.METRIC, called);
  }

  /** A word of doubt about a figure that is possible but unusual. */
  public Optional<String> doubt(double value, Notation notation) {
    if (usual.holds(value)) {
      return Optional.empty();
    }
    return Optional.of(
        "Usual is "
            + notation.number(usual.low(), unit)
            + " to "
            + notation.text(usual.high(), unit)
            + ". Measure again if in doubt.");
  }

  /** What it is, how to measure it, and what is usual. */
  public String help(Notation notation) {
    return (Sentence.begin(label)
            + ". "
            + how
            + " "
            + (usual.equals(possible) ? "Possible is " : "Usual is ")
            + notation.number(usual.low(), unit)
            + " to "
            + notation.text(usual.high(), unit)
            + ".")
        .replaceAll(" +", " ");
  }

  /** Whether the figure looks like one in the neighbouring unit. */
  private String slip(double value, Notation notation) {
    if (unit == Unit.MICROMETRE && value != 0 && usual.holds(value * 1000)) {
      return looksLike("millimetres", value, notation);
    }
    if (unit == Unit.MILLIMETRE && usual.holds(value / 1000)) {
      return looksLike("micrometres", value, notation);
    }
    return "";
  }

  private String looksLike(String other, double value, Notation notation) {
    return " "
        + notation.editable(value, unit)
        + " looks like "
        + other
        + "; this field is "
        + notation.symbol(unit)
        + ".";
  }
}
