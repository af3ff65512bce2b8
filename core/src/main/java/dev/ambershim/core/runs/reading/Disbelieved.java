package dev.ambershim.core.runs.reading;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;

/**
 * Readings of a channel that were taken out because they cannot be.
 *
 * @param channel the channel's name
 * @param role what it stands for
 * @param outside readings outside the role's range
 * @param signs readings that stand for "no reading", such as 0 or 255 amid others
 * @param jumps readings to which no heat can jump
 * @param example one of them, in the role's unit
 * @param samples which samples they were; shared, not to be written
 */
public record Disbelieved(
    String channel, Role role, int outside, int signs, int jumps, double example, BitSet samples) {
  /** Both together. */
  Disbelieved with(Disbelieved other) {
    BitSet both = (BitSet) samples.clone();
    both.or(other.samples);
    return new Disbelieved(
        channel,
        role,
        outside + other.outside,
        signs + other.signs,
        jumps + other.jumps,
        example,
        both);
  }

  /** How many in all. */
  public int count() {
    return outside + signs + jumps;
  }

  /** What was found, in a sentence. */
  public String words() {
    List<String> kinds = new ArrayList<>();
    if (outside > 0) {
      kinds.add(
          outside
              + " outside "
              + plain(role.lowest())
              + " to "
              + plain(role.highest())
              + " "
              + role.unit().symbol());
    }
    if (signs > 0) {
      kinds.add(signs + " that stand for a missing reading");
    }
    if (jumps > 0) {
      kinds.add(jumps + " to which no heat can jump");
    }
    return LogReader.count(count(), "reading")
        + " of \""
        + channel
        + "\" cannot be right and "
        + (count() == 1 ? "is" : "are")
        + " left out ("
        + String.join(", ", kinds)
        + "; one says "
        + plain(example)
        + " "
        + role.unit().symbol()
        + ").";
  }

  private static String plain(double figure) {
    return figure == Math.rint(figure) && Math.abs(figure) < 1e6
        ? String.valueOf((long) figure)
        : String.format(Locale.ROOT, "%.4g", figure);
  }
}
