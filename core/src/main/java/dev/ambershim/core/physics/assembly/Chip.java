package dev.ambershim.core.physics.assembly;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;

/**
 * A processor as it lies on the bench.
 *
 * @param name what the person calls it
 * @param kind the kind in words, such as "desktop, one die, paste under the lid"
 * @param widthMillimetres substrate size in x
 * @param depthMillimetres substrate size in y
 * @param substrateMillimetres substrate thickness
 * @param cores count of cores that report a temperature
 * @param dies its dies, at least one
 * @param lid its lid, kept here even while it is off
 * @param seat what it sits in; null for the usual, a clamp over its lid
 */
@RecordBuilder
public record Chip(
    String name,
    String kind,
    double widthMillimetres,
    double depthMillimetres,
    double substrateMillimetres,
    int cores,
    List<Die> dies,
    Lid lid,
    Seat seat)
    implements ChipBuilder.With {
  /** A chip in the usual seat. */
  public Chip(
      String name,
      String kind,
      double widthMillimetres,
      double depthMillimetres,
      double substrateMillimetres,
      int cores,
      List<Die> dies,
      Lid lid) {
    this(
        name,
        kind,
        widthMillimetres,
        depthMillimetres,
        substrateMillimetres,
        cores,
        dies,
        lid,
        null);
  }

  /**
   * Copies its list of dies, and fills in what an older job does not say.
   *
   * @throws IllegalArgumentException if there is no die
   */
  public Chip {
    dies = List.copyOf(dies);
    seat = seat == null ? Seat.CLAMP : seat;
    if (dies.isEmpty()) {
      throw new IllegalArgumentException("a chip has at least one die");
    }
  }

  /** The same with one die replaced. */
  public Chip withDie(int index, Die die) {
    List<Die> all = new ArrayList<>(dies);
    all.set(index, die);
    return withDies(all);
  }

  /** Area of all dies together, mm². */
  public double dieAreaSquareMillimetres() {
    double sum = 0;
    for (Die die : dies) {
      sum += die.areaSquareMillimetres();
    }
    return sum;
  }

  /** Height of the highest die above the substrate, µm. */
  public double highestDieMicrometres() {
    double highest = 0;
    for (Die die : dies) {
      highest = Math.max(highest, die.heightMicrometres());
    }
    return highest;
  }
}
