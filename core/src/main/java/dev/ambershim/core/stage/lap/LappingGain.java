package dev.ambershim.core.stage.lap;

import dev.ambershim.core.base.Finding;
import dev.ambershim.core.base.Interval;
import dev.ambershim.core.base.Notation;
import dev.ambershim.core.base.Unit;
import dev.ambershim.core.base.Working;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.surface.JointCost;
import dev.ambershim.core.physics.surface.MatingPair;
import dev.ambershim.core.physics.surface.ReliefMap;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What lapping one face of a mating pair would gain, in kelvin, on this chip under this cooler: the
 * joint as the two probed faces leave it, against the joint with one face brought to the target.
 *
 * @param pair the faces as they are
 * @param lapped the faces with the one lapped
 * @param asItIs the cores now
 * @param then the cores with it lapped
 * @param gain how much lower the cores' mean would be, K
 * @param interval where the gain lies, 90 %
 * @param spreadGain how much the spread would shrink, K
 */
public record LappingGain(
    MatingPair pair,
    MatingPair lapped,
    JointCost.Cores asItIs,
    JointCost.Cores then,
    double gain,
    Interval interval,
    double spreadGain) {
  /** What remains of a joint where the faces touch, µm; common practice for pastes and films. */
  private static final double LEAST_FILM = 10;

  /**
   * The faces of a joint.
   *
   * @param lower the lower face, as seen from above
   * @param upper the upper face, turned over
   * @param lapLower whether the lower one is lapped
   * @param target flatness to reach, µm
   * @param zone minimum zone of the face to lap, µm
   * @param zoneInterval where that lies; empty when not known
   * @param within left, right, low and high edge of where they meet, mm
   */
  public record Faces(
      ReliefMap lower,
      ReliefMap upper,
      boolean lapLower,
      double target,
      double zone,
      Optional<Interval> zoneInterval,
      double[] within) {}

  /**
   * Works it out.
   *
   * @param bondLineMicrometres the joint's mean thickness as described, with the faces as they are
   * @param lowFactor favourable factor on the filling's resistance
   * @param highFactor unfavourable factor
   */
  public static LappingGain of(
      JointCost cost,
      Faces faces,
      double bondLineMicrometres,
      double lowFactor,
      double highFactor,
      SolveWatch watch) {
    MatingPair pair = MatingPair.of(faces.lower(), faces.upper(), faces.within());
    double share = Math.min(1, faces.target() / Math.max(faces.zone(), 1e-9));
    MatingPair lapped = scaled(faces, share);
    double film = Math.max(LEAST_FILM, bondLineMicrometres - pair.meanMicrometres());
    JointCost.Cores now = cost.with(pair.joint(film), 1, watch);
    JointCost.Cores then = cost.with(lapped.joint(film), 1, watch);
    double gain = now.meanCelsius() - then.meanCelsius();
    // One doubt at a time, then both together as a root of squares (JCGM 100:2008, 5.1.2).
    double low = 0;
    double high = 0;
    for (double factor : new double[] {lowFactor, highFactor}) {
      double other =
          cost.with(pair.joint(film), factor, watch).meanCelsius()
              - cost.with(lapped.joint(film), factor, watch).meanCelsius()
              - gain;
      low += other < 0 ? other * other : 0;
      high += other > 0 ? other * other : 0;
    }
    if (faces.zoneInterval().isPresent()) {
      for (double zone :
          new double[] {faces.zoneInterval().get().low(), faces.zoneInterval().get().high()}) {
        double more = zone / Math.max(faces.zone(), 1e-9);
        double other =
            cost.with(scaled(faces, more).joint(film), 1, watch).meanCelsius()
                - then.meanCelsius()
                - gain;
        low += other < 0 ? other * other : 0;
        high += other > 0 ? other * other : 0;
      }
    }
    return new LappingGain(
        pair,
        lapped,
        now,
        then,
        gain,
        new Interval(gain - Math.sqrt(low), gain + Math.sqrt(high), 0.9),
        now.spreadKelvin() - then.spreadKelvin());
  }

  private static MatingPair scaled(Faces faces, double share) {
    return faces.lapLower()
        ? MatingPair.of(faces.lower().scaled(share), faces.upper(), faces.within())
        : MatingPair.of(faces.lower(), faces.upper().scaled(share), faces.within());
  }

  /**
   * The gain in a sentence.
   *
   * @param face what would be lapped
   * @param careKelvin the smallest difference that the person cares about
   * @param minutes how long the strokes take
   * @param plateProbed whether the other face was probed too
   */
  public Finding finding(
      String face, double careKelvin, Interval minutes, boolean plateProbed, Notation notation) {
    String gains =
        notation.text(Math.max(0, gain), Unit.KELVIN)
            + " ("
            + notation.range(
                new Interval(Math.max(0, interval.low()), Math.max(0, interval.high()), 0.9),
                Unit.KELVIN)
            + ")";
    String strokes =
        Notation.minutes(minutes.low()) + " to " + Notation.minutes(minutes.high()) + " of strokes";
    String sentence;
    if (interval.high() < careKelvin) {
      sentence =
          "Lapping the "
              + face
              + " would gain "
              + gains
              + ", less than the "
              + notation.text(careKelvin, Unit.KELVIN)
              + " you care about; not worth an evening.";
    } else if (interval.low() >= careKelvin) {
      sentence =
          "Lapping the " + face + " would gain " + gains + ", for " + strokes + "; worth doing.";
    } else {
      sentence =
          "Lapping the "
              + face
              + " would gain "
              + gains
              + ", for "
              + strokes
              + ". Whether that is more than the "
              + notation.text(careKelvin, Unit.KELVIN)
              + " you care about, these figures cannot tell.";
    }
    List<Working.Input> inputs = new ArrayList<>();
    inputs.add(new Working.Input("mean gap now", pair.meanMicrometres(), Unit.MICROMETRE));
    inputs.add(new Working.Input("widest gap now", pair.widestMicrometres(), Unit.MICROMETRE));
    inputs.add(new Working.Input("mean gap lapped", lapped.meanMicrometres(), Unit.MICROMETRE));
    inputs.add(new Working.Input("cores' mean now", asItIs.meanCelsius(), Unit.CELSIUS));
    inputs.add(new Working.Input("cores' mean lapped", then.meanCelsius(), Unit.CELSIUS));
    inputs.add(new Working.Input("spread now", asItIs.spreadKelvin(), Unit.KELVIN));
    inputs.add(new Working.Input("spread lapped", then.spreadKelvin(), Unit.KELVIN));
    List<String> limits = new ArrayList<>();
    limits.add("Both faces are taken as stiff; a thin plate that is pressed hard gives a little.");
    limits.add(
        "The joint's mean thickness now is the one described; lapping takes the gaps off it.");
    limits.add("The interval holds the filling's conductivity and the probing's scatter.");
    if (!plateProbed) {
      limits.add("The other face was not probed and is taken as flat.");
    }
    return new Finding(
        "lap.gain",
        sentence,
        gain,
        Unit.KELVIN,
        Optional.of(interval),
        new Working(
            "the upper face beds down on the highest places of both; gap = its plane less both"
                + " heights; conduction through film and gap, solved with and without the lapping",
            inputs,
            "conduction by the layers' own modes; common practice: a lapped lid gains 2 to 3 K in ambient cooling",
            limits));
  }
}
