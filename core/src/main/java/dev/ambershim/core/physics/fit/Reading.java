package dev.ambershim.core.physics.fit;

import java.util.ArrayList;
import java.util.List;

/**
 * One height or length, read once or several times.
 *
 * @param instrument what it was read with
 * @param millimetres the readings; none while it is not measured
 */
public record Reading(Instrument instrument, List<Double> millimetres) {
  /** Not measured. */
  public static final Reading NONE = new Reading(Instrument.INDICATOR, List.of());

  /** Copies its list; an older job may leave either away. */
  public Reading {
    instrument = instrument == null ? Instrument.INDICATOR : instrument;
    millimetres = millimetres == null ? List.of() : List.copyOf(millimetres);
  }

  /** Readings with an instrument. */
  public static Reading of(Instrument instrument, double... millimetres) {
    List<Double> all = new ArrayList<>();
    for (double value : millimetres) {
      all.add(value);
    }
    return new Reading(instrument, all);
  }

  /** Whether there is any. */
  public boolean taken() {
    return !millimetres.isEmpty();
  }

  /** Their mean, mm; not a number while there is none. */
  public double mean() {
    return taken() ? millimetres.stream().mapToDouble(v -> v).average().orElseThrow() : Double.NaN;
  }

  /** Sum of squares about the mean, mm². */
  public double squares() {
    double mean = mean();
    return millimetres.stream().mapToDouble(v -> (v - mean) * (v - mean)).sum();
  }

  /** The same with one more reading. */
  public Reading and(double value) {
    List<Double> all = new ArrayList<>(millimetres);
    all.add(value);
    return new Reading(instrument, all);
  }
}
