package dev.ambershim.core.stage.diagnosis;

import dev.ambershim.core.runs.causes.CauseKind;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A cause with what the evidence makes of it.
 *
 * @param kind what is wrong
 * @param joint the joint that it sits in
 * @param probability among all causes, 0 to 1
 * @param kelvin what it costs the mean core at full load
 * @param shape the likeliest shape that it has
 * @param core the likeliest core whose sensor or power it is; −1 where none is meant
 * @param power by what share the whole chip seems to draw more than was told, or less if negative;
 *     empty unless that is what {@link CauseKind#NONE_OF_THESE} comes to
 */
public record Cause(
    CauseKind kind,
    Optional<String> joint,
    double probability,
    double kelvin,
    Shape shape,
    int core,
    OptionalDouble power) {
  /** A cause that says nothing of the power reading. */
  public Cause(
      CauseKind kind,
      Optional<String> joint,
      double probability,
      double kelvin,
      Shape shape,
      int core) {
    this(kind, joint, probability, kelvin, shape, core, OptionalDouble.empty());
  }

  /** Whether it can be put right without opening the chip. */
  public boolean reversible(String outermost) {
    return switch (kind) {
      case COOLER_WEAK, COOLANT_WARM, SENSOR_OFF, CORE_DRAWS_MORE -> true;
      case TOO_THICK, TILTED, GAP -> joint.filter(outermost::equals).isPresent();
      case AS_IT_SHOULD_BE, NONE_OF_THESE -> false;
    };
  }
}
