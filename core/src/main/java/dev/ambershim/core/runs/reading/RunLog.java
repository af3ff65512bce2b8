package dev.ambershim.core.runs.reading;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One log as it was read.
 *
 * @param fileName the file's name
 * @param seconds time of each sample since the first, never falling; shared, not to be written
 * @param channels the columns that hold figures
 * @param notes how it was read
 * @param disbelieved the readings that were taken out because they cannot be; empty until they were
 *     looked for
 */
public record RunLog(
    String fileName,
    double[] seconds,
    List<Channel> channels,
    ReadNotes notes,
    Optional<List<Disbelieved>> disbelieved) {
  /** Copies its lists. */
  public RunLog {
    channels = List.copyOf(channels);
    disbelieved = disbelieved.map(List::copyOf);
  }

  /** A log as it was read. */
  public RunLog(String fileName, double[] seconds, List<Channel> channels, ReadNotes notes) {
    this(fileName, seconds, channels, notes, Optional.empty());
  }

  /** The same log with gaps in place of readings that cannot be. */
  public RunLog believed() {
    return disbelieved.isPresent() ? this : Credible.of(this);
  }

  /**
   * Every so many samples of a log whose readings are believed already, for what needs no more.
   *
   * @param most about how many are left; a shorter log stays as it is
   */
  public RunLog thinned(int most) {
    int stride = seconds.length / most;
    if (stride < 2) {
      return this;
    }
    List<Channel> thin =
        channels.stream()
            .map(
                c ->
                    new Channel(
                        c.name(), c.unit(), c.role(), c.confidence(), every(c.values(), stride)))
            .toList();
    return new RunLog(fileName, every(seconds, stride), thin, notes, Optional.of(List.of()));
  }

  private static double[] every(double[] values, int stride) {
    double[] some = new double[(values.length + stride - 1) / stride];
    Arrays.setAll(some, i -> values[i * stride]);
    return some;
  }

  /** The channels of a role, in the file's order. */
  public List<Channel> with(Role role) {
    return channels.stream().filter(c -> c.role() == role).toList();
  }

  /** Count of samples. */
  public int size() {
    return seconds.length;
  }

  /**
   * The same log with roles that a person gave by channel name; other channels keep theirs, but
   * give way where a role can stand only once.
   */
  public RunLog withRoles(Map<String, Role> said) {
    if (said.isEmpty()) {
      return this;
    }
    List<Channel> changed =
        channels.stream()
            .map(
                c -> {
                  Role role = said.get(c.name());
                  if (role != null) {
                    return c.as(role);
                  }
                  boolean taken = c.role().single() && said.containsValue(c.role());
                  return taken ? c.as(Role.UNUSED) : c;
                })
            .toList();
    return new RunLog(fileName, seconds, changed, notes);
  }
}
