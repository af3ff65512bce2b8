package dev.ambershim.core.runs.reading;

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
