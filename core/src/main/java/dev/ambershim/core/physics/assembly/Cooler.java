package dev.ambershim.core.physics.assembly;

import dev.ambershim.core.physics.material.Material;
import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.OptionalDouble;

/**
 * The cooler, as its cold plate, the footprint of what takes heat off the plate's far face, and one
 * resistance from there to the room.
 *
 * @param name what the person calls it
 * @param widthMillimetres cold plate size in x
 * @param depthMillimetres cold plate size in y
 * @param thicknessMillimetres cold plate thickness
 * @param material cold plate material
 * @param resistanceKelvinPerWatt from the plate's far face to room air
 * @param kind what kind of cooler it is; null for another
 * @param finWidthMillimetres footprint of fins, channels or heat pipes in x; null for the whole
 *     plate
 * @param finDepthMillimetres the same in y
 * @param reachMillimetres how far the mount lets the plate come down below a lid's top; null for
 *     the usual
 * @param flowLitresPerHour coolant through the block; null if not known
 * @param warmsKelvin how much the coolant warms in the block under full load; null if not known
 * @param radiatorKelvinPerWatt from the coolant to room air; null for the kind's usual share
 * @param otherWatts heat of other blocks in the same loop under full load; null for none
 * @param inBaseKelvinPerWatt what of the resistance sits in the base; null for the kind's usual
 *     share
 * @param alongTimes how much better the plate conducts along itself than its metal; null for the
 *     kind's usual
 */
@RecordBuilder
public record Cooler(
    String name,
    double widthMillimetres,
    double depthMillimetres,
    double thicknessMillimetres,
    Material material,
    double resistanceKelvinPerWatt,
    CoolerClass kind,
    Double finWidthMillimetres,
    Double finDepthMillimetres,
    Double reachMillimetres,
    Double flowLitresPerHour,
    Double warmsKelvin,
    Double radiatorKelvinPerWatt,
    Double otherWatts,
    Double inBaseKelvinPerWatt,
    Double alongTimes)
    implements CoolerBuilder.With {
  /** Springs and standoffs usually leave this much, by common practice, mm. */
  public static final double USUAL_REACH = 3.5;

  /** A cooler of whose coolant nothing is known. */
  public Cooler(
      String name,
      double widthMillimetres,
      double depthMillimetres,
      double thicknessMillimetres,
      Material material,
      double resistanceKelvinPerWatt,
      CoolerClass kind,
      Double finWidthMillimetres,
      Double finDepthMillimetres,
      Double reachMillimetres) {
    this(
        name,
        widthMillimetres,
        depthMillimetres,
        thicknessMillimetres,
        material,
        resistanceKelvinPerWatt,
        kind,
        finWidthMillimetres,
        finDepthMillimetres,
        reachMillimetres,
        null,
        null,
        null,
        null,
        null,
        null);
  }

  /** Fills in what an older job does not say. */
  public Cooler {
    kind = kind == null ? CoolerClass.OTHER : kind;
    finWidthMillimetres = finWidthMillimetres == null ? widthMillimetres : finWidthMillimetres;
    finDepthMillimetres = finDepthMillimetres == null ? depthMillimetres : finDepthMillimetres;
    reachMillimetres = reachMillimetres == null ? USUAL_REACH : reachMillimetres;
  }

  /** A cooler of no particular kind whose fins cover the whole plate. */
  public static Cooler plain(
      String name,
      double widthMillimetres,
      double depthMillimetres,
      double thicknessMillimetres,
      Material material,
      double resistanceKelvinPerWatt) {
    return new Cooler(
        name,
        widthMillimetres,
        depthMillimetres,
        thicknessMillimetres,
        material,
        resistanceKelvinPerWatt,
        null,
        null,
        null,
        null);
  }

  /** Plate area in mm². */
  public double areaSquareMillimetres() {
    return widthMillimetres * depthMillimetres;
  }

  /** Width over which heat leaves the plate: the fins', as far as there is a plate, mm. */
  public double finnedWidthMillimetres() {
    return Math.min(finWidthMillimetres, widthMillimetres);
  }

  /** Depth over which heat leaves the plate, mm. */
  public double finnedDepthMillimetres() {
    return Math.min(finDepthMillimetres, depthMillimetres);
  }

  /** What of the resistance to the room sits in the base, and so has a place, K/W. */
  public double baseKelvinPerWatt() {
    return inBaseKelvinPerWatt == null
        ? resistanceKelvinPerWatt * kind.baseShare()
        : Math.min(inBaseKelvinPerWatt, resistanceKelvinPerWatt);
  }

  /** How much better the base conducts along itself than its metal. */
  public double along() {
    return alongTimes == null ? kind.across() : alongTimes;
  }

  /** Likely share of the resistance that lies between coolant and room; 0 without a coolant. */
  public double coolantShare() {
    return radiatorKelvinPerWatt == null || !kind.hasHoses()
        ? kind.coolantShare()
        : Math.min(radiatorKelvinPerWatt / resistanceKelvinPerWatt, 1);
  }

  /** What the heat passes after the base: it has no place, and no part in spreading, K/W. */
  public double beyondKelvinPerWatt() {
    return resistanceKelvinPerWatt - baseKelvinPerWatt();
  }

  /** Film coefficient over the fins' footprint that gives a resistance, W/m²·K. */
  public double filmWattsPerSquareMetreKelvin(double kelvinPerWatt) {
    return 1 / (kelvinPerWatt * finnedWidthMillimetres() * finnedDepthMillimetres() * 1e-6);
  }

  /** Heat that its coolant carries away, W; empty while flow or warming are not known. */
  public OptionalDouble carriedWatts() {
    return flowLitresPerHour == null || warmsKelvin == null
        ? OptionalDouble.empty()
        : OptionalDouble.of(CoolantBalance.watts(flowLitresPerHour, warmsKelvin));
  }
}
