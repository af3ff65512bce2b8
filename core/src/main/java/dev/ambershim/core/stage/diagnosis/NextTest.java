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
  /** What its information is worth for its minutes and its risk. */
  double worth() {
    return trial.worth(informationBits, minutes);
  }
}
