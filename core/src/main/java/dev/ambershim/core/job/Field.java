package dev.ambershim.core.job;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Place;
import dev.ambershim.core.base.Problem;
import dev.ambershim.core.base.Unit;
import java.util.Optional;

/**
 * A figure of a job that a person may edit.
 *
 * @param path where it stands in the job
 * @param part the part of the section that it belongs to
 * @param label its name
 * @param unit its unit
 * @param low least value that makes sense at all
 * @param high greatest value that makes sense at all
 * @param usualLow least value that is usual
 * @param usualHigh greatest value that is usual
 * @param how how to measure it, a sentence
 */
public record Field(
    String path,
    String part,
    String label,
    Unit unit,
    double low,
    double high,
    double usualLow,
    double usualHigh,
    String how) {
  /** The figure in a job. */
  public double read(Job job) {
    return ((Number) new RecordPath(path).get(job)).doubleValue();
  }

  /**
   * The job with this figure replaced.
   *
   * @throws Problem {@code field.range} if it makes no sense
   */
  public Job write(Job job, double value, Notation notation) {
    if (!(value >= low && value <= high)) {
      throw new Problem(
          "field.range",
          Place.field(label),
          notation.text(value, unit) + " is out of range.",
          "Type a figure from "
              + notation.number(low, unit)
              + " to "
              + notation.text(high, unit)
              + "."
              + slip(value, notation));
    }
    RecordPath place = new RecordPath(path);
    Object typed = place.get(job) instanceof Integer ? (Object) (int) Math.round(value) : value;
    return place.with(job, typed);
  }

  /** A word of doubt about a figure that is possible but unusual. */
  public Optional<String> doubt(double value, Notation notation) {
    if (value >= usualLow && value <= usualHigh) {
      return Optional.empty();
    }
    return Optional.of(
        "Usual is "
            + notation.number(usualLow, unit)
            + " to "
            + notation.text(usualHigh, unit)
            + ". Measure again if in doubt.");
  }

  /** Whether the figure looks like one in the neighbouring unit. */
  private String slip(double value, Notation notation) {
    if (unit == Unit.MICROMETRE && value * 1000 >= usualLow && value * 1000 <= usualHigh) {
      return " "
          + notation.editable(value, unit)
          + " looks like millimetres; this field is "
          + notation.symbol(unit)
          + ".";
    }
    if (unit == Unit.MILLIMETRE && value / 1000 >= usualLow && value / 1000 <= usualHigh) {
      return " "
          + notation.editable(value, unit)
          + " looks like micrometres; this field is "
          + notation.symbol(unit)
          + ".";
    }
    return "";
  }
}
