package dev.ambershim.core.physics.conduction;

import java.util.ArrayList;
import java.util.List;

/**
 * A stack of layers, heated from below and cooled from above; all other faces are adiabatic.
 *
 * @param layers from the lowest up
 * @param heat what enters over the underside of the lowest layer; overlaps add
 * @param filmWattsPerSquareMetreKelvin film coefficient on the top of the last layer
 * @param coolantCelsius temperature beyond the film
 */
public record StackCase(
    List<StackLayer> layers,
    List<HeatSource> heat,
    double filmWattsPerSquareMetreKelvin,
    double coolantCelsius) {
  /** A heated strip counts as if it were no longer than this many widths. */
  private static final double LONGEST_STRIP = 6;

  /** Copies its lists. */
  public StackCase {
    layers = List.copyOf(layers);
    heat = List.copyOf(heat);
  }

  /** The same stack with other heat, W in the order of the sources. */
  public StackCase withWatts(double[] watts) {
    List<HeatSource> other = new ArrayList<>();
    for (int i = 0; i < heat.size(); i++) {
      other.add(heat.get(i).withWatts(watts[i]));
    }
    return new StackCase(layers, other, filmWattsPerSquareMetreKelvin, coolantCelsius);
  }

  /** The same stack with one layer replaced. */
  public StackCase withLayer(int index, StackLayer layer) {
    List<StackLayer> other = new ArrayList<>(layers);
    other.set(index, layer);
    return new StackCase(other, heat, filmWattsPerSquareMetreKelvin, coolantCelsius);
  }

  /** The same stack with another film, W/m²·K. */
  public StackCase withFilm(double wattsPerSquareMetreKelvin) {
    return new StackCase(layers, heat, wattsPerSquareMetreKelvin, coolantCelsius);
  }

  /** The rectangle around all that is heated, or around the lowest layer where nothing is. */
  public Patch heated() {
    List<Patch> warm = heat.stream().map(HeatSource::patch).toList();
    StackLayer lowest = layers.get(0);
    return warm.isEmpty() ? lowest.bounds() : lowest.over(warm).bounds();
  }

  /**
   * The side of a square as large as what is heated, m; of a strip at least a part of its length,
   * or cells of a share of it would be too many.
   */
  public double heatedMetres() {
    Patch hull = heated();
    double longest = Math.max(hull.widthMillimetres(), hull.depthMillimetres());
    double square = Math.sqrt(hull.widthMillimetres() * hull.depthMillimetres());
    return 1e-3 * Math.max(square, longest / LONGEST_STRIP);
  }

  /** Heat of all sources without leakage, W. */
  public double watts() {
    return heat.stream().mapToDouble(HeatSource::watts).sum();
  }
}
