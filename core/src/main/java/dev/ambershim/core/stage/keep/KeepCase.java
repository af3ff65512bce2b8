package dev.ambershim.core.stage.keep;

import dev.ambershim.core.runs.drift.Check;
import dev.ambershim.core.runs.drift.Scatter;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What Keep is asked about.
 *
 * @param checks the dated readings; at least one
 * @param watts the power to bring them to; empty takes their median
 * @param limit what the cores should not reach, if anything
 * @param scatter how far checks and mounts scatter
 * @param ageing what is known of such joints beforehand, if anything
 */
public record KeepCase(
    List<Check> checks,
    OptionalDouble watts,
    Optional<Limit> limit,
    Scatter scatter,
    Optional<Expected> ageing) {
  /**
   * What such joints do.
   *
   * @param kelvinPerYear growth of the rise to be expected, K a year at the reference power
   * @param deviation its standard deviation
   */
  public record Expected(double kelvinPerYear, double deviation) {
    /** A joint of which nothing is known: common practice. */
    public static final Expected ANY = new Expected(0.5, 1.5);
  }

  /** Copies its list. */
  public KeepCase {
    checks = List.copyOf(checks);
  }
}
