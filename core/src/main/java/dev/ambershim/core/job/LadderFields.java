package dev.ambershim.core.job;

import dev.ambershim.core.base.Unit;
import java.util.List;

/** What the clock ladder is climbed under, as a person may edit it. Usual: common practice. */
public final class LadderFields {
  /** The part name for the clock ladder. */
  public static final String LADDER = "ladder";

  private LadderFields() {}

  static List<Field> all() {
    return List.of(
        new Field(
            "ladder.limitCelsius",
            LADDER,
            "hottest core you allow",
            Unit.CELSIUS,
            30,
            125,
            70,
            100,
            "Some kelvin under where the chip throttles; the maker's limit comes first."),
        new Field(
            "ladder.stepMegahertz",
            LADDER,
            "step between rungs",
            Unit.MEGAHERTZ,
            5,
            1000,
            25,
            200,
            "Smaller steps tell more and take longer."));
  }
}
