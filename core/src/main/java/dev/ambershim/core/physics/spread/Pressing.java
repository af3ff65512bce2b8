package dev.ambershim.core.physics.spread;

import java.util.List;

/**
 * How a plate comes down: with what force, and tilted how, stage after stage, as its screws are
 * turned. It comes as tilted as in the first stage; in each other one its tilt passes evenly into
 * the one that the stage ends with.
 *
 * @param stages the stages in their order; the last one lasts
 */
public record Pressing(List<Stage> stages) {
  /**
   * One stage.
   *
   * @param seconds how long it lasts
   * @param newtons force, above zero
   * @param xSlope rise of the plate in x at its end, mm per mm
   * @param ySlope rise of the plate in y at its end
   */
  public record Stage(double seconds, double newtons, double xSlope, double ySlope) {}

  /**
   * Copies its list.
   *
   * @throws IllegalArgumentException if there is no stage, or a force or a time is not above zero
   */
  public Pressing {
    stages = List.copyOf(stages);
    if (stages.isEmpty() || stages.stream().anyMatch(s -> !(s.newtons() > 0 && s.seconds() > 0))) {
      throw new IllegalArgumentException("a plate is pressed for a time, with a force above zero");
    }
  }

  /** One force, on a plate that stays level. */
  public static Pressing level(double newtons) {
    return new Pressing(List.of(new Stage(Double.POSITIVE_INFINITY, newtons, 0, 0)));
  }

  /** Whether the plate tilts on its way. */
  public boolean tilts() {
    return stages.stream().anyMatch(s -> s.xSlope() != 0 || s.ySlope() != 0);
  }

  private int index(double seconds) {
    double end = 0;
    for (int k = 0; k + 1 < stages.size(); k++) {
      end += stages.get(k).seconds();
      if (seconds < end - 1e-9) {
        return k;
      }
    }
    return stages.size() - 1;
  }

  /** The force at a time, N. */
  double newtons(double seconds) {
    return stages.get(index(seconds)).newtons();
  }

  /** Whether a time lies in the last stage. */
  boolean last(double seconds) {
    return index(seconds) == stages.size() - 1;
  }

  /** When the stage of a time ends, s; without end for the last. */
  double ends(double seconds) {
    return last(seconds) ? Double.POSITIVE_INFINITY : begins(index(seconds) + 1);
  }

  private double begins(int index) {
    return stages.subList(0, index).stream().mapToDouble(Stage::seconds).sum();
  }

  /** How fast the plate turns at a time, in x and y, 1/s. */
  double[] turning(double seconds) {
    int k = index(seconds);
    Stage to = stages.get(k);
    Stage from = stages.get(Math.max(0, k - 1));
    // The last stage lasts; a plate that is not level by then levels within a second.
    double time = Double.isInfinite(to.seconds()) ? 1 : to.seconds();
    boolean over = seconds - begins(k) > time;
    return over
        ? new double[2]
        : new double[] {(to.xSlope() - from.xSlope()) / time, (to.ySlope() - from.ySlope()) / time};
  }
}
