package dev.ambershim.core.physics.conduction;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A layer of the stack: one material over one or several rectangles. In an interface layer heat
 * crosses in z only.
 *
 * @param name what messages call it
 * @param conductivityWattsPerMetreKelvin conductivity, at {@code fall}'s reference where there is
 *     one
 * @param fall how the conductivity falls with temperature, if it does
 * @param patches its rectangles; overlaps count once
 * @param thicknessMicrometres thickness; a grid map replaces it
 * @param crossing whether it is an interface layer
 * @param contactSquareMillimetreKelvinPerWatt contact resistance, the total of both faces; half of
 *     it lies at each face
 * @param map how its thickness changes from place to place
 * @param heatCapacityJoulesPerCubicMetreKelvin volumetric heat capacity, for transients
 */
public record StackLayer(
    String name,
    double conductivityWattsPerMetreKelvin,
    Optional<Fall> fall,
    List<Patch> patches,
    double thicknessMicrometres,
    boolean crossing,
    double contactSquareMillimetreKelvinPerWatt,
    Optional<ThicknessMap> map,
    OptionalDouble heatCapacityJoulesPerCubicMetreKelvin) {
  /**
   * Conductivity by a power law: k = k₀ · (T / T₀)^−n with absolute temperatures. Silicon's 148
   * W/m·K at 300 K and 98.9 at 400 K (Incropera &amp; DeWitt, Table A.1) give n = 1.40.
   *
   * @param referenceCelsius T₀
   * @param exponent n
   */
  public record Fall(double referenceCelsius, double exponent) {
    /** Silicon after Incropera &amp; DeWitt, Table A.1: 148 W/m·K at 26.85 °C. */
    public static final Fall SILICON =
        new Fall(26.85, Math.log(148 / 98.9) / Math.log(400.0 / 300.0));

    /** Factor on the conductivity at a temperature. */
    public double factor(double celsius) {
      return Math.pow((celsius + 273.15) / (referenceCelsius + 273.15), -exponent);
    }

    /** Logarithm of that factor, which takes a fraction of the time. */
    public double logarithm(double celsius) {
      return -exponent * Math.log((celsius + 273.15) / (referenceCelsius + 273.15));
    }
  }

  /** Copies its list. */
  public StackLayer {
    patches = List.copyOf(patches);
  }

  /** A solid layer over one rectangle. */
  public static StackLayer solid(
      String name, double wattsPerMetreKelvin, Patch patch, double micrometres) {
    return new StackLayer(
        name,
        wattsPerMetreKelvin,
        Optional.empty(),
        List.of(patch),
        micrometres,
        false,
        0,
        Optional.empty(),
        OptionalDouble.empty());
  }

  /** An even interface layer over one rectangle. */
  public static StackLayer joint(
      String name, double wattsPerMetreKelvin, Patch patch, double micrometres) {
    return solid(name, wattsPerMetreKelvin, patch, micrometres).asInterface();
  }

  /** The same layer as an interface. */
  public StackLayer asInterface() {
    return new StackLayer(
        name,
        conductivityWattsPerMetreKelvin,
        fall,
        patches,
        thicknessMicrometres,
        true,
        contactSquareMillimetreKelvinPerWatt,
        map,
        heatCapacityJoulesPerCubicMetreKelvin);
  }

  /** The same layer over other rectangles. */
  public StackLayer over(List<Patch> other) {
    return new StackLayer(
        name,
        conductivityWattsPerMetreKelvin,
        fall,
        other,
        thicknessMicrometres,
        crossing,
        contactSquareMillimetreKelvinPerWatt,
        map,
        heatCapacityJoulesPerCubicMetreKelvin);
  }

  /** The same layer with a contact resistance, mm²·K/W for both faces together. */
  public StackLayer withContact(double squareMillimetreKelvinPerWatt) {
    return new StackLayer(
        name,
        conductivityWattsPerMetreKelvin,
        fall,
        patches,
        thicknessMicrometres,
        crossing,
        squareMillimetreKelvinPerWatt,
        map,
        heatCapacityJoulesPerCubicMetreKelvin);
  }

  /** The same layer, as an interface, with a thickness map. */
  public StackLayer withMap(ThicknessMap thickness) {
    return new StackLayer(
        name,
        conductivityWattsPerMetreKelvin,
        fall,
        patches,
        thicknessMicrometres,
        true,
        contactSquareMillimetreKelvinPerWatt,
        Optional.of(thickness),
        heatCapacityJoulesPerCubicMetreKelvin);
  }

  /** The same layer with a volumetric heat capacity, J/m³·K. */
  public StackLayer withHeatCapacity(double joulesPerCubicMetreKelvin) {
    return new StackLayer(
        name,
        conductivityWattsPerMetreKelvin,
        fall,
        patches,
        thicknessMicrometres,
        crossing,
        contactSquareMillimetreKelvinPerWatt,
        map,
        OptionalDouble.of(joulesPerCubicMetreKelvin));
  }

  /** The same layer with a conductivity that falls with temperature. */
  public StackLayer withFall(Fall law) {
    return new StackLayer(
        name,
        conductivityWattsPerMetreKelvin,
        Optional.of(law),
        patches,
        thicknessMicrometres,
        crossing,
        contactSquareMillimetreKelvinPerWatt,
        map,
        heatCapacityJoulesPerCubicMetreKelvin);
  }

  /** The smallest rectangle around all patches. */
  public Patch bounds() {
    double left = Double.POSITIVE_INFINITY;
    double right = Double.NEGATIVE_INFINITY;
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (Patch p : patches) {
      left = Math.min(left, p.leftMillimetres());
      right = Math.max(right, p.rightMillimetres());
      low = Math.min(low, p.lowMillimetres());
      high = Math.max(high, p.highMillimetres());
    }
    return new Patch((left + right) / 2, (low + high) / 2, right - left, high - low);
  }

  /** Whether a point lies in the footprint. */
  public boolean holds(double xMillimetres, double yMillimetres) {
    return patches.stream().anyMatch(p -> p.holds(xMillimetres, yMillimetres));
  }

  /** Thickness at a place, µm. */
  public double thicknessAt(double xMillimetres, double yMillimetres) {
    return map.map(m -> m.micrometres(this, xMillimetres, yMillimetres))
        .orElse(thicknessMicrometres);
  }
}
