package dev.ambershim.bench.coverage;

/**
 * How often intervals held.
 *
 * @param name what was asked
 * @param tried how many cases were made
 * @param told how many got an interval at all
 * @param held how many of these held the truth
 * @param claimed how many said that something changed, where nothing had
 * @param halfWidth mean half-width, in the figure's unit
 */
public record Coverage(String name, int tried, int told, int held, int claimed, double halfWidth) {
  /** Share that held, of those that were told; not a number where none was. */
  public double heldShare() {
    return told == 0 ? Double.NaN : (double) held / told;
  }

  /** Share of all cases that claimed a change. */
  public double claimedShare() {
    return (double) claimed / tried;
  }

  /** Share of all cases that got an interval. */
  public double toldShare() {
    return (double) told / tried;
  }
}
