package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.stage.weigh.Option.Fresh;
import java.util.Optional;

/**
 * The doubtful figures of a forecast as independent standard normal numbers, and what they stand
 * for. The first seven belong to the chip as it is now; readings tell of them. The others belong to
 * what is made anew.
 */
final class Unknowns {
  static final int INNER = 0;
  static final int OUTER = 1;
  static final int SILICON = 2;
  static final int COOLER = 3;
  static final int HEAT = 4;
  static final int SENSORS = 5;
  static final int COOLANT = 6;

  /** How many belong to the chip as it is now. */
  static final int NOW = 7;

  static final int FRESH_INNER = 7;
  static final int FRESH_OUTER = 8;
  static final int METAL = 9;
  static final int FRESH_COOLER = 10;

  /** How many there are. */
  static final int ALL = 11;

  private final double inner;
  private final double outer;
  private final double cooler;
  private final double coolantShare;
  private final double shareSigma;
  private final double likelyCooler;
  private final double otherWatts;

  /** The unknowns of a situation. */
  Unknowns(Situation now) {
    inner = PriorTable.joint(now.build().inner().filling()).sigmaOfLogarithm();
    outer = PriorTable.joint(now.build().outer().filling()).sigmaOfLogarithm();
    CoolerClass kind = now.cooler().kind();
    cooler = PriorTable.cooler(kind).sigmaOfLogarithm();
    coolantShare = now.cooler().coolantShare();
    shareSigma =
        now.cooler().radiatorKelvinPerWatt() == null
            ? PriorTable.COOLANT_SHARE.sigma()
            : coolantShare * PriorTable.RADIATOR.sigmaOfLogarithm();
    likelyCooler = now.cooler().resistanceKelvinPerWatt();
    otherWatts = now.cooler().otherWatts() == null ? 0 : now.cooler().otherWatts();
  }

  /** Logarithms of the factors as they are now, as a response takes them. */
  double[] now(double[] z) {
    return new double[] {
      inner * z[INNER],
      outer * z[OUTER],
      PriorTable.SILICON.sigmaOfLogarithm() * z[SILICON],
      cooler * z[COOLER]
    };
  }

  /** The same after an option, relative to the option's own likely figures. */
  double[] then(double[] z, Option option) {
    double[] logs = now(z);
    logs[0] = fresh(option.inner(), z, FRESH_INNER).orElse(logs[0]);
    logs[1] = fresh(option.outer(), z, FRESH_OUTER).orElse(logs[1]);
    if (option.cooler().isPresent()) {
      logs[3] = option.cooler().get().sigmaOfLogarithm() * z[FRESH_COOLER];
    }
    return logs;
  }

  private static Optional<Double> fresh(Optional<Fresh> joint, double[] z, int place) {
    return joint.map(
        j ->
            j.trust().sigmaOfLogarithm() * z[place]
                - (j.metal() ? PriorTable.METAL.sigmaOfLogarithm() * z[METAL] : 0));
  }

  /** Heat through the joints by the power reading. */
  double heat(double[] z) {
    return Math.exp(PriorTable.HEAT.sigmaOfLogarithm() * z[HEAT]);
  }

  /** How much too high all core sensors read, K. */
  double sensorsKelvin(double[] z) {
    return PriorTable.SENSORS.sigma() * z[SENSORS];
  }

  /** Share of the cooler's resistance between coolant and room; 0 without a coolant. */
  double coolantShare(double[] z) {
    if (coolantShare == 0) {
      return 0;
    }
    double share = coolantShare + shareSigma * z[COOLANT];
    return Math.max(0.02, Math.min(0.98, share));
  }

  /** Coolant over room for some heat of the chip and that of the loop's other blocks, K. */
  double coolantKelvin(double[] z, double watts) {
    return (watts * heat(z) + otherWatts) * coolantShare(z) * likelyCooler * Math.exp(now(z)[3]);
  }

  /** How much warmer the loop's other blocks make the coolant, K; 0 without any. */
  double liftKelvin(double[] z) {
    return otherWatts == 0 ? 0 : coolantKelvin(z, 0);
  }
}
