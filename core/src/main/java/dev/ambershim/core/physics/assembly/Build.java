package dev.ambershim.core.physics.assembly;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * The chip's state on one side of the work.
 *
 * @param lidOn whether the lid is on; without it the cold plate sits on the die
 * @param glueMicrometres glue line under the lid's rim
 * @param inner the joint between die and lid; not used while the lid is off
 * @param outer the joint under the cold plate: on the lid, or on the die when the lid is off
 */
@RecordBuilder
public record Build(boolean lidOn, double glueMicrometres, Joint inner, Joint outer)
    implements BuildBuilder.With {
  /**
   * Gap over the highest die that the lid's cavity and the glue leave, µm: cavity depth + glue line
   * − die height. Negative means that the lid would rest on the die.
   */
  public double innerGapMicrometres(Chip chip) {
    return chip.lid().cavityMillimetres() * 1000 + glueMicrometres - chip.highestDieMicrometres();
  }
}
