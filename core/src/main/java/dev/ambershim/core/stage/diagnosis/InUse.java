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
import java.util.function.Function;
import java.util.function.Predicate;

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
    boolean jumped = jumped(whole);
    boolean crept = crept(whole);
    if (!jumped && !crept) {
      return Optional.empty();
    }
    Sign plain = jumped ? Sign.JUMPED : Sign.CREPT;
    return part(
            c -> c.coolantKelvin() != null && c.coolantKelvin() > 0,
            KeptCheck::overCoolant,
            KeptCheck::coolant)
        .map(near -> near ? Sign.OVER_COOLANT_ROSE : Sign.COOLANT_ROSE)
        .or(
            () ->
                part(c -> c.quickKelvin() != null, KeptCheck::quick, KeptCheck::slow)
                    .map(near -> near ? Sign.QUICK_ROSE : Sign.SLOW_ROSE))
        .or(() -> Optional.of(plain));
  }

  /**
   * Whether what lies near the die rose, true, or what lies beyond, false; empty where neither or
   * both did, or too few checks tell.
   */
  private Optional<Boolean> part(
      Predicate<KeptCheck> known,
      Function<KeptCheck, Check> near,
      Function<KeptCheck, Check> beyond) {
    List<KeptCheck> read =
        checks.stream()
            .filter(known)
            .filter(c -> near.apply(c).riseKelvin() > 0 && beyond.apply(c).riseKelvin() > 0)
            .toList();
    if (read.size() < DriftFit.FEWEST) {
      return Optional.empty();
    }
    boolean nearRose = rises(read.stream().map(near).toList());
    boolean beyondRose = rises(read.stream().map(beyond).toList());
    return nearRose == beyondRose ? Optional.empty() : Optional.of(nearRose);
  }

  private boolean rises(List<Check> course) {
    Drift drift = drift(course);
    return jumped(drift) || crept(drift);
  }

  private static boolean jumped(Drift drift) {
    return drift.largestJump().filter(j -> j.kelvin() > 0).isPresent();
  }

  private static boolean crept(Drift drift) {
    return drift.trend() == Trend.CREEPING && drift.line().filter(l -> l.perYear() > 0).isPresent();
  }

  private Drift drift(List<Check> course) {
    return DriftFit.of(
        course, OptionalDouble.of(watts), new Scatter(Scatter.USUAL.checkKelvin(), remountKelvin));
  }
}
