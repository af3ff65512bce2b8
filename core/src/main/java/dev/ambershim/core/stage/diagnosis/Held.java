package dev.ambershim.core.stage.diagnosis;

/**
 * A suspect after the evidence.
 *
 * @param suspect what it stands for; its shape is the one that the lines were drawn about
 * @param origin what its prior is about
 * @param throughLoop how a reading without its coolant is understood
 * @param normal the readings as straight lines
 * @param belief its unknowns
 * @param log logarithm of prior times evidence
 * @param probability among all suspects
 */
record Held(
    Suspect suspect,
    Suspect origin,
    boolean throughLoop,
    Normal normal,
    Normal.Belief belief,
    double log,
    double probability) {
  Held weighing(double share) {
    return new Held(suspect, origin, throughLoop, normal, belief, log, share);
  }
}
