package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.base.Notation;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.stat.correlation.PearsonsCorrelation;

/**
 * What of the uncertainty of a forecast each doubtful figure holds: the share of its variance that
 * would go if that figure alone were known exactly, by the straight line through the equally likely
 * cases (the squared correlation; Saltelli et al., <i>Global Sensitivity Analysis: The Primer</i>,
 * 1.2, from memory). Figures that the readings tie to each other may hold the same share twice.
 *
 * @param shares by what is doubtful, 0 to 1
 */
public record DoubtShares(Map<Doubt, Double> shares) {
  /** What is doubtful, with its place among the {@link Unknowns}. */
  public enum Doubt {
    INNER(Unknowns.INNER, "before.inner."),
    OUTER(Unknowns.OUTER, "before.outer."),
    SILICON(Unknowns.SILICON, ""),
    COOLER(Unknowns.COOLER, "cooler.resistance"),
    HEAT(Unknowns.HEAT, "heatWatts"),
    SENSORS(Unknowns.SENSORS, ""),
    COOLANT(Unknowns.COOLANT, "cooler.radiator"),
    HOT_PLACE(Unknowns.HOT_PLACE, "chip.cores"),
    PLACES(Unknowns.PLACES, "chip.cores"),
    FRESH_INNER(Unknowns.FRESH_INNER, "after.inner."),
    FRESH_OUTER(Unknowns.FRESH_OUTER, "after.outer."),
    METAL(Unknowns.METAL, ""),
    FRESH_COOLER(Unknowns.FRESH_COOLER, ""),
    GEOMETRY(Unknowns.GEOMETRY, ""),
    EXPONENT(Unknowns.EXPONENT, "");

    private final int place;
    private final String figures;

    Doubt(int place, String figures) {
      this.place = place;
      this.figures = figures;
    }
  }

  /** Nothing is known of the shares. */
  static final DoubtShares NONE = new DoubtShares(Map.of());

  /** Copies its map. */
  public DoubtShares {
    Map<Doubt, Double> copy = new EnumMap<>(Doubt.class);
    copy.putAll(shares);
    shares = Collections.unmodifiableMap(copy);
  }

  /**
   * The shares of a gain.
   *
   * @param draws equally likely cases of the unknowns, read only
   * @param gains of each case, K, read only
   */
  static DoubtShares of(double[][] draws, double[] gains) {
    Map<Doubt, Double> shares = new EnumMap<>(Doubt.class);
    for (Doubt doubt : Doubt.values()) {
      double[] values = Arrays.stream(draws).mapToDouble(z -> z[doubt.place]).toArray();
      double along = new PearsonsCorrelation().correlation(values, gains);
      shares.put(doubt, Double.isNaN(along) ? 0 : along * along);
    }
    return new DoubtShares(shares);
  }

  /** What a figure of the job holds, 0 to 1; empty for one whose doubt is not reckoned with. */
  public Optional<Double> of(String figure) {
    double sum = 0;
    boolean found = false;
    for (Map.Entry<Doubt, Double> entry : shares.entrySet()) {
      String figures = entry.getKey().figures;
      if (!figures.isEmpty() && figure.startsWith(figures)) {
        sum += entry.getValue();
        found = true;
      }
    }
    return found ? Optional.of(Math.min(1, sum)) : Optional.empty();
  }

  /** The share in a sentence. */
  public Optional<String> words(String figure, Notation notation) {
    return of(figure)
        .map(
            share ->
                (share < 0.01 ? "Under 1" : notation.fixed(100 * share, 0))
                    + " % of the uncertainty in the forecast"
                    + (figure.contains(".inner.") || figure.contains(".outer.")
                        ? " is this joint's."
                        : " comes from it."));
  }
}
