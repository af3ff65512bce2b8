package dev.ambershim.core.physics.fit;

import dev.ambershim.core.physics.assembly.Chip;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Turns readings into chains. The scatter of one reading is pooled over everything that was read
 * with the same instrument, and the instrument's usual scatter counts as four more repeats, so that
 * two readings that happen to agree do not claim to be perfect (pooled variance, JCGM 100:2008,
 * 4.2.4; the weight of four is common practice).
 */
public final class Budget {
  private static final int USUAL_DEGREES = 4;

  private final Map<Instrument, Double> scatter = new EnumMap<>(Instrument.class);
  private final Map<Instrument, Integer> degrees = new EnumMap<>(Instrument.class);

  /** A budget over all readings of a chip. */
  public Budget(List<Reading> all) {
    for (Instrument i : Instrument.values()) {
      double squares = USUAL_DEGREES * i.scatterMillimetres() * i.scatterMillimetres();
      int freedom = USUAL_DEGREES;
      for (Reading r : all) {
        if (r.instrument() == i && r.millimetres().size() > 1) {
          squares += r.squares();
          freedom += r.millimetres().size() - 1;
        }
      }
      scatter.put(i, Math.sqrt(squares / freedom));
      degrees.put(i, freedom);
    }
  }

  /** A reading's mean and its doubt, as a source of its own. */
  public Chain chain(String name, Reading reading) {
    return Chain.of(
        reading.mean(),
        new Source(
            name,
            reading.instrument().limitMillimetres(),
            scatter.get(reading.instrument()) / Math.sqrt(reading.millimetres().size()),
            degrees.get(reading.instrument())));
  }

  /** The budget over everything that was read. */
  public static Budget of(Heights heights) {
    List<Reading> all = new ArrayList<>();
    heights.tops().forEach(t -> all.add(t.height()));
    all.addAll(
        List.of(
            heights.substrateOverBoard(),
            heights.plateOutOfBracket(),
            heights.lidTop(),
            heights.cavity(),
            heights.glue(),
            heights.newCavity()));
    return new Budget(all);
  }

  /** What the lid leaves over each die before a film fills it, by the die's name; none unread. */
  public static Map<String, Chain> innerGaps(Heights heights, Chip chip, boolean replacement) {
    Reading cavity = replacement ? heights.newCavity() : heights.cavity();
    Map<String, Chain> gaps = new LinkedHashMap<>();
    if (!cavity.taken() || !heights.glue().taken()) {
      return gaps;
    }
    Budget budget = of(heights);
    Chain room =
        budget.chain("depth of the hollow", cavity).plus(budget.chain("glue line", heights.glue()));
    for (Top top : heights.tops()) {
      boolean known =
          top.kind() == TopKind.DIE
              && top.height().taken()
              && !top.overBoard()
              && chip.dies().stream().anyMatch(d -> d.name().equals(top.name()));
      if (known) {
        gaps.put(top.name(), room.minus(budget.chain(top.name(), top.height())));
      }
    }
    return gaps;
  }
}
