package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.job.Job;
import dev.ambershim.core.job.KeptCheck;
import dev.ambershim.core.runs.causes.Sign;
import dev.ambershim.core.runs.drift.Check;
import dev.ambershim.core.runs.drift.Drift;
import dev.ambershim.core.runs.drift.DriftFit;
import dev.ambershim.core.runs.drift.Scatter;
import dev.ambershim.core.runs.drift.Trend;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The course of a chip in use, and what it says of the cause where the chip got hotter.
 *
 * @param checks its checks, the oldest first
 * @param watts the power that they are brought to
 * @param remountKelvin standard deviation between mounts, K
 */
public record InUse(List<KeptCheck> checks, double watts, double remountKelvin) {
  /** A chip that is not in use yet. */
  static final InUse NOT_YET = new InUse(List.of(), 1, 0);

  /** Copies its list. */
  public InUse {
    checks = List.copyOf(checks);
  }

  /** A job's. */
  public static InUse of(Job job) {
    return new InUse(job.care().checks(), job.heatWatts(), job.remountKelvin());
  }

  /** The sign that the checks give, if they give one. */
  public Optional<Sign> sign() {
    return checks.size() < DriftFit.FEWEST
        ? Optional.empty()
        : sign(drift(checks.stream().map(KeptCheck::whole).toList()));
  }

  /**
   * The same with the drift of the whole rise worked out.
   *
   * @param whole what the checks say of cores over room
   */
  public Optional<Sign> sign(Drift whole) {
    boolean jumped = whole.largestJump().filter(j -> j.kelvin() > 0).isPresent();
    boolean crept =
        whole.trend() == Trend.CREEPING && whole.line().filter(l -> l.perYear() > 0).isPresent();
    if (!jumped && !crept) {
      return Optional.empty();
    }
    Sign plain = jumped ? Sign.JUMPED : Sign.CREPT;
    List<KeptCheck> read =
        checks.stream()
            .filter(c -> c.coolantKelvin() != null && c.coolantKelvin() > 0)
            .filter(c -> c.riseKelvin() > c.coolantKelvin())
            .toList();
    if (read.size() < DriftFit.FEWEST) {
      return Optional.of(plain);
    }
    boolean cooler = moves(read.stream().map(KeptCheck::coolant).toList());
    boolean joint = moves(read.stream().map(KeptCheck::overCoolant).toList());
    if (cooler == joint) {
      return Optional.of(plain);
    }
    return Optional.of(cooler ? Sign.COOLANT_ROSE : Sign.OVER_COOLANT_ROSE);
  }

  private boolean moves(List<Check> course) {
    Trend trend = drift(course).trend();
    return trend == Trend.CREEPING || trend == Trend.JUMPED;
  }

  private Drift drift(List<Check> course) {
    return DriftFit.of(
        course, OptionalDouble.of(watts), new Scatter(Scatter.USUAL.checkKelvin(), remountKelvin));
  }
}
