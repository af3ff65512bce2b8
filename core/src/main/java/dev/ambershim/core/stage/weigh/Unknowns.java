package dev.ambershim.core.stage.weigh;

import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.build.Response;
import dev.ambershim.core.physics.build.SiliconAt;
import dev.ambershim.core.physics.build.Situation;
import dev.ambershim.core.stage.weigh.Option.Fresh;
import java.util.Optional;

/**
 * The doubtful figures of a forecast as independent standard normal numbers, and what they stand
 * for. The first nine belong to the chip as it is now; readings tell of them. The others belong to
 * what is made anew, and to what is reckoned.
 */
final class Unknowns {
  static final int INNER = 0;
  static final int OUTER = 1;
  static final int SILICON = 2;
  static final int COOLER = 3;
  static final int HEAT = 4;
  static final int SENSORS = 5;
  static final int COOLANT = 6;

  /** The hot place inside each core, which no joint reaches. */
  static final int HOT_PLACE = 7;

  /** Where the cores lie: closer together than taken, they feel joint and die more. */
  static final int PLACES = 8;

  /** How many belong to the chip as it is now. */
  static final int NOW = 9;

  static final int FRESH_INNER = 9;
  static final int FRESH_OUTER = 10;
  static final int METAL = 11;
  static final int FRESH_COOLER = 12;

  /** Plate, fins, lid and contact, where an option changes them. */
  static final int GEOMETRY = 13;

  /** How heat goes with voltage or clock. */
  static final int EXPONENT = 14;

  /** How many there are. */
  static final int ALL = 15;

  /** Share of the chip's heat that enters in cores, as the layout has it. */
  private static final double IN_CORES = 0.75;

  /** The dies' mean by the cores', as a share of their rise: common practice. */
  private static final double DIE_SHARE = 0.9;

  private static final double SILICON_SIGMA = PriorTable.SILICON.sigmaOfLogarithm();
  private static final double PLACES_SIGMA = PriorTable.PLACES.sigmaOfLogarithm();
  private static final double HOT_PLACE_SIGMA = PriorTable.HOT_PLACE.sigmaOfLogarithm();
  private static final double METAL_SIGMA = PriorTable.METAL.sigmaOfLogarithm();
  private static final double GEOMETRY_SIGMA = PriorTable.GEOMETRY.sigmaOfLogarithm();
  private static final double HEAT_SIGMA = PriorTable.HEAT.sigmaOfLogarithm();
  private static final double SENSORS_SIGMA = PriorTable.SENSORS.sigma();

  private final double inner;
  private final double outer;
  private final double cooler;
  private final double coolantShare;
  private final double shareSigma;
  private final double likelyCooler;
  private final double otherWatts;
  private final boolean lid;
  private final double hotPlace;

  /** The unknowns of a situation. */
  Unknowns(Situation now) {
    inner = PriorTable.joint(now.build().inner().filling()).sigmaOfLogarithm();
    outer = PriorTable.joint(now.build().outer().filling()).sigmaOfLogarithm();
    CoolerClass kind = now.cooler().kind();
    cooler = PriorTable.cooler(kind).sigmaOfLogarithm();
    lid = now.build().lidOn();
    hotPlace = PriorTable.HOT_PLACE.likely() * IN_CORES / Math.max(1, now.chip().cores());
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
    double places = places(z);
    return new double[] {
      inner * z[INNER] + (lid ? places : 0),
      outer * z[OUTER] + (lid ? 0 : places),
      SILICON_SIGMA * z[SILICON] - places / 2,
      cooler * z[COOLER]
    };
  }

  private static double places(double[] z) {
    return PLACES_SIGMA * z[PLACES];
  }

  /** Sensors over the cores' mean by the hot place inside each, K for each watt of the chip. */
  double hotPlaceKelvinPerWatt(double[] z) {
    return hotPlace * Math.exp(HOT_PLACE_SIGMA * z[HOT_PLACE]);
  }

  /**
   * Figures with silicon as it conducts at the die's temperature.
   *
   * @param logs figures as {@link #now} or {@link After#logs} gives them; overwritten
   * @param heatWatts heat through the joints
   * @param room room air, °C
   */
  static double[] warmed(Response at, double[] logs, double heatWatts, double room) {
    double rise = heatWatts * at.nearMeanKelvinPerWatt(logs);
    return warmed(at.situation(), logs, rise, room);
  }

  /** The same where the cores' rise is known. */
  static double[] warmed(Situation at, double[] logs, double riseKelvin, double room) {
    logs[2] += SiliconAt.logarithm(at.cooler(), room + DIE_SHARE * riseKelvin);
    return logs;
  }

  /** What the cores' sensors show over the room for some heat, less what is common to them, K. */
  double riseKelvin(Response at, double[] logs, double[] z, double heatWatts, double room) {
    return heatWatts
        * (at.meanKelvinPerWatt(warmed(at, logs, heatWatts, room)) + hotPlaceKelvinPerWatt(z));
  }

  /** What the unknowns are after an option. */
  After after(Option option) {
    return new After(option);
  }

  /**
   * The unknowns after one option. What does not change from draw to draw is kept, as there are
   * many thousand draws.
   */
  final class After {
    private final Option option;
    private final boolean bare;
    private final boolean freshInner;
    private final boolean freshOuter;
    private final double innerSigma;
    private final double outerSigma;
    private final double innerMetal;
    private final double outerMetal;
    private final double coolerSigma;
    private final double powerSigma;
    private final boolean reshapes;

    private After(Option option) {
      this.option = option;
      bare = !option.situation().build().lidOn();
      freshInner = option.inner().isPresent();
      freshOuter = option.outer().isPresent();
      innerSigma = sigma(option.inner());
      outerSigma = sigma(option.outer());
      innerMetal = metal(option.inner());
      outerMetal = metal(option.outer());
      coolerSigma = option.cooler().map(Prior::sigmaOfLogarithm).orElse(Double.NaN);
      powerSigma = option.powerSigma();
      reshapes = option.reshapes();
    }

    private static double sigma(Optional<Fresh> joint) {
      return joint.map(j -> j.trust().sigmaOfLogarithm()).orElse(0.0);
    }

    private static double metal(Optional<Fresh> joint) {
      return joint.filter(Fresh::metal).isPresent() ? METAL_SIGMA : 0;
    }

    /** The option. */
    Option option() {
      return option;
    }

    /** Figures as a response takes them, relative to the option's own likely figures. */
    double[] logs(double[] z) {
      double[] logs = now(z);
      double places = places(z);
      if (freshInner) {
        logs[0] = innerSigma * z[FRESH_INNER] - innerMetal * z[METAL] + places;
      }
      if (freshOuter) {
        logs[1] = outerSigma * z[FRESH_OUTER] - outerMetal * z[METAL] + (bare ? places : 0);
      }
      if (!Double.isNaN(coolerSigma)) {
        logs[3] = coolerSigma * z[FRESH_COOLER];
      }
      return logs;
    }

    /** Heat after the option by heat before it. */
    double powerFactor(double[] z) {
      double likely = option.powerFactor();
      return powerSigma == 0 ? likely : likely * Math.exp(powerSigma * z[EXPONENT]);
    }

    /** What a changed geometry leaves open, as a factor on the resistance. */
    double geometry(double[] z) {
      return reshapes ? Math.exp(GEOMETRY_SIGMA * z[GEOMETRY]) : 1;
    }
  }

  /** Heat through the joints by the power reading. */
  double heat(double[] z) {
    return Math.exp(HEAT_SIGMA * z[HEAT]);
  }

  /** How much too high all core sensors read, K. */
  double sensorsKelvin(double[] z) {
    return SENSORS_SIGMA * z[SENSORS];
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
