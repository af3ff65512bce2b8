package dev.ambershim.core.runlog;

import java.util.List;
import java.util.Map;

/**
 * One log as it was read.
 *
 * @param fileName the file's name
 * @param seconds time of each sample since the first, never falling; shared, not to be written
 * @param channels the columns that hold figures
 * @param notes how it was read
 */
public record RunLog(String fileName, double[] seconds, List<Channel> channels, ReadNotes notes) {
  /** Copies its list. */
  public RunLog {
    channels = List.copyOf(channels);
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
