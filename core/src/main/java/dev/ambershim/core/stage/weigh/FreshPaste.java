package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.build.Ladder;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.plan.OwnPaste;
import java.util.Optional;

/**
 * The fresh paste under the cooler: a usual one, or one that a series of the person's own told of.
 *
 * <p>Pastes differ, and so do faces and pressures; of the prior's variance either has half (common
 * practice). A series says how one paste stands against the mean of n: with pastes as draws of one
 * normal spread, its logarithm given that difference is normal again (Gelman et al., <i>Bayesian
 * Data Analysis</i>, 2.5, from memory). What the n share, a series cannot tell.
 *
 * @param factor on a usual paste joint's resistance
 * @param trust how far that may lie off
 */
record FreshPaste(double factor, Prior trust) {
  /** Share of the variance of a paste joint that goes with the paste. */
  static final double OF_THE_PASTE = 0.5;

  private static final double STEP = 0.1;

  /** The paste of a chip as it is now, once it is fresh. */
  static FreshPaste of(Situation now, Optional<OwnPaste> own) {
    Prior usual = PriorTable.joint(Filling.PASTE);
    return own.filter(OwnPaste::sound)
        .map(told -> told(usual, told, kelvinPerLogarithm(now, told.watts())))
        .orElseGet(() -> new FreshPaste(1, usual));
  }

  /**
   * A paste by what was told of it.
   *
   * @param kelvinPerLogarithm how much hotter a joint e times as large would be at its power, K
   */
  static FreshPaste told(Prior usual, OwnPaste told, double kelvinPerLogarithm) {
    double all = usual.sigmaOfLogarithm() * usual.sigmaOfLogarithm();
    double apart = OF_THE_PASTE * all * (1 - 1.0 / told.candidates());
    double difference = told.kelvin() / kelvinPerLogarithm;
    double error = told.standardErrorKelvin() / kelvinPerLogarithm;
    double shrunk = apart / (apart + error * error);
    double sigma = Math.sqrt(all - apart * shrunk);
    return new FreshPaste(
        Math.exp(difference * shrunk),
        new Prior(
            usual.key(),
            told.from(),
            1,
            Math.exp(-Prior.ENDS * sigma),
            Math.exp(Prior.ENDS * sigma),
            usual.unit(),
            "own series, beside common practice"));
  }

  /** By the ladder in closed form: a paste joint's logarithm by the rise at some power. */
  private static double kelvinPerLogarithm(Situation now, double watts) {
    return watts * (total(now, Math.exp(STEP)) - total(now, Math.exp(-STEP))) / (2 * STEP);
  }

  private static double total(Situation now, double factor) {
    Build build = now.build();
    return Ladder.of(
            now.chip(),
            now.cooler(),
            new Build(
                build.lidOn(),
                build.glueMicrometres(),
                build.inner(),
                thicker(Joint.usual(Filling.PASTE), factor)))
        .totalKelvinPerWatt();
  }

  /** A joint of this paste where a usual one would be such. */
  Joint instead(Joint usual) {
    return factor == 1 ? usual : thicker(usual, factor);
  }

  private static Joint thicker(Joint joint, double factor) {
    return new Joint(
        joint.filling(),
        joint.bondLineMicrometres() * factor,
        joint.conductivityWattsPerMetreKelvin());
  }
}
