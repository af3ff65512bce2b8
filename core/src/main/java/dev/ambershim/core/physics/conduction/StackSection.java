package dev.ambershim.core.physics.conduction;

import java.util.List;

/**
 * Temperatures in a cut through a stack's solids, from front to back at one place.
 *
 * @param yMillimetres where it is cut
 * @param pieces one for each solid that the cut meets, the lowest first
 */
public record StackSection(double yMillimetres, List<Piece> pieces) {
  /**
   * A solid in the cut.
   *
   * @param layer its name
   * @param xMillimetres places along it, rising from edge to edge
   * @param heightMillimetres places above the underside of the lowest solid, rising from face to
   *     face
   * @param celsius by place along it and height; read only
   */
  public record Piece(
      String layer, double[] xMillimetres, double[] heightMillimetres, double[][] celsius) {}

  /** Copies its list. */
  public StackSection {
    pieces = List.copyOf(pieces);
  }
}
