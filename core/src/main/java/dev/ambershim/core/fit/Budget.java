package dev.ambershim.core.fit;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Turns readings into chains. The scatter of one reading is pooled over everything that was read
 * with the same instrument, and the instrument's usual scatter counts as four more repeats, so that
 * two readings that happen to agree do not claim to be perfect (pooled variance, JCGM 100:2008,
 * 4.2.4; the weight of four is common practice).
 */
final class Budget {
  private static final int USUAL_DEGREES = 4;

  private final Map<Instrument, Double> scatter = new EnumMap<>(Instrument.class);
  private final Map<Instrument, Integer> degrees = new EnumMap<>(Instrument.class);

  /** A budget over all readings of a chip. */
  Budget(List<Reading> all) {
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
  Chain chain(String name, Reading reading) {
    return Chain.of(
        reading.mean(),
        new Source(
            name,
            reading.instrument().limitMillimetres(),
            scatter.get(reading.instrument()) / Math.sqrt(reading.millimetres().size()),
            degrees.get(reading.instrument())));
  }
}
