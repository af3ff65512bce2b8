package dev.ambershim.core.stage.diagnosis;

/**
 * A joint's thickness from place to place, as far as the readings see it.
 *
 * @param joint its name
 * @param xMillimetres places, rising
 * @param yMillimetres places, rising
 * @param micrometres a row for each y
 * @param seen how much of the doubt the readings took away, from 0, unknown, to 1; a row for each y
 * @param usualMicrometres what it should be
 * @param kelvinPerMicrometre what a micrometre all over the joint costs the mean core at full load
 */
public record JointMap(
    String joint,
    double[] xMillimetres,
    double[] yMillimetres,
    double[][] micrometres,
    double[][] seen,
    double usualMicrometres,
    double kelvinPerMicrometre) {
  /** The same map under another name. */
  JointMap called(String name) {
    return new JointMap(
        name, xMillimetres, yMillimetres, micrometres, seen, usualMicrometres, kelvinPerMicrometre);
  }
}
