package dev.ambershim.core.physics.fit;

/**
 * What a height was read with: the limits of its error, taken as even between them (JCGM 100:2008,
 * 4.3.7), and the usual scatter of one reading by hand. Both are common practice; a certificate or
 * the person's own repeats are better.
 */
public enum Instrument {
  INDICATOR("indicator on a stand", 0.005, 0.003),
  MICROMETER("micrometer", 0.004, 0.003),
  CALIPER("caliper", 0.03, 0.015),
  DEPTH_ROD("caliper's depth rod", 0.04, 0.03),
  FEELER("feeler gauge", 0.01, 0.01),
  DRAWING("maker's drawing", 0.1, 0);

  private final String words;
  private final double limit;
  private final double scatter;

  Instrument(String words, double limit, double scatter) {
    this.words = words;
    this.limit = limit;
    this.scatter = scatter;
  }

  /** In words. */
  public String words() {
    return words;
  }

  /** Its error lies within plus and minus this, mm. */
  public double limitMillimetres() {
    return limit;
  }

  /** Usual standard deviation of one reading, mm. */
  public double scatterMillimetres() {
    return scatter;
  }
}
