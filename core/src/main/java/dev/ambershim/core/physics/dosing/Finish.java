package dev.ambershim.core.physics.dosing;

/**
 * How rough a face is. Ra and what the valleys hold below the tops, about two and a half times Ra,
 * are common practice.
 */
public enum Finish {
  POLISHED("polished", 0.05),
  LAPPED("lapped", 0.3),
  AS_MADE("as it came", 0.8),
  SCRATCHED("scratched", 2.5);

  private final String words;
  private final double ra;

  Finish(String words, double ra) {
    this.words = words;
    this.ra = ra;
  }

  /** In words. */
  public String words() {
    return words;
  }

  /** Metal that its valleys hold, µm over the whole face. */
  public double valleysMicrometres() {
    return 2.5 * ra;
  }
}
