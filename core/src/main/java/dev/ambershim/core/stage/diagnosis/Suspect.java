package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.runs.causes.CauseKind;

/**
 * One way in which things may be wrong, precise enough to be solved: a shape, where it lies, and
 * what else strays. Each stands for the truths around it; together they cover a cause.
 *
 * @param kind the cause that it counts for
 * @param shape of a joint or the film
 * @param seat which mounts show the shape
 * @param stray what else strays beside it
 * @param core whose sensor or power strays; −1 where none is meant
 * @param prior how likely it is before any evidence
 */
record Suspect(CauseKind kind, Shape shape, Seat seat, Stray stray, int core, double prior) {
  /**
   * Which mounts show a shape.
   *
   * @param turns whether it turns with the cooler
   * @param onlyMount the one mount that shows it, from 1; 0 if all do
   */
  record Seat(boolean turns, int onlyMount) {
    static final Seat ALL = new Seat(false, 0);
    static final Seat TURNING = new Seat(true, 0);

    static Seat only(int mount) {
      return new Seat(false, mount);
    }

    boolean shows(int mount) {
      return onlyMount == 0 || onlyMount == mount;
    }
  }

  /** What strays beside a shape, with its likely size and how far it may lie from that. */
  enum Stray {
    NOTHING(0, 0),
    /** The loop's share on top. */
    LOOP(0.9, 0.6),
    /** Warm air at the intake, K. */
    AIR(6, 3.5),
    /** A sensor that reads too much, K. */
    SENSOR_HIGH(8, 4),
    SENSOR_LOW(-8, 4),
    /** A core's share on top. */
    POWER(0.45, 0.25),
    /** All cores' share, either way. */
    ALL_POWER(0, 0.25),
    /** Everything, several times as far as usual. */
    EVERYTHING(0, 0),
    /** Readings that are not worth much. */
    NOISE(0, 0);

    private final double likely;
    private final double spread;

    Stray(double likely, double spread) {
      this.likely = likely;
      this.spread = spread;
    }

    double likely() {
      return likely;
    }

    double spread() {
      return spread;
    }

    /** The cause that it is by itself. */
    CauseKind kind() {
      return switch (this) {
        case NOTHING -> CauseKind.AS_IT_SHOULD_BE;
        case LOOP, AIR -> CauseKind.COOLANT_WARM;
        case SENSOR_HIGH, SENSOR_LOW -> CauseKind.SENSOR_OFF;
        case POWER -> CauseKind.CORE_DRAWS_MORE;
        case ALL_POWER, EVERYTHING, NOISE -> CauseKind.NONE_OF_THESE;
      };
    }
  }

  Suspect {
    if (!(prior > 0)) {
      throw new IllegalArgumentException("a suspect needs a prior: " + kind + " " + shape);
    }
  }

  /** Whether two causes come together. */
  boolean pair() {
    return shape.form() != Shape.Form.NONE && stray != Stray.NOTHING;
  }

  /** The shape as it lies at a mount. */
  StackModel.Turned at(int mount, double turnedDegrees) {
    if (!seat.shows(mount)) {
      return new StackModel.Turned(Shape.NONE, 0);
    }
    return new StackModel.Turned(shape, seat.turns() ? turnedDegrees : 0);
  }

  /** The same suspect, seen at other mounts. */
  Suspect sitting(Seat other) {
    return new Suspect(kind, shape, other, stray, core, prior);
  }

  /** The same suspect about another shape of its form. */
  Suspect about(Shape other) {
    return new Suspect(kind, other, seat, stray, core, prior);
  }
}
