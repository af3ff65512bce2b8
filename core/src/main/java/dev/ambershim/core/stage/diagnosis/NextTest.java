package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.runs.causes.Trial;

/**
 * A test and what it is expected to tell.
 *
 * @param trial the test
 * @param informationBits by how much the doubt about the cause falls in the mean (Lindley 1956)
 * @param minutes what it takes
 */
public record NextTest(Trial trial, double informationBits, double minutes) {
  /** A test that tells less than this is not worth its minutes, bits. */
  private static final double NOTHING = 0.02;

  /** Whether it tells enough to be worth its minutes at all. */
  public boolean tells() {
    return informationBits >= NOTHING;
  }

  /** What its information is worth for its minutes and its risk. */
  double worth() {
    return trial.worth(informationBits, minutes);
  }
}
