package dev.ambershim.core.job;

import dev.ambershim.core.runs.reading.Role;
import java.util.Collections;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;

/**
 * A log that belongs to a job. The log itself is kept by its hash.
 *
 * @param side before or after the work
 * @param mount which mount of its side, from 1: the cooler came off between two mounts
 * @param fileName the file's name when it came in
 * @param sha256 hash of its bytes, in small hexadecimal letters
 * @param roles roles that the person gave, by channel name
 * @param roomCelsius room air as the person read it, or null
 * @param state what the person calls the chip's state, such as "half a year later"; empty takes the
 *     side's name
 */
public record RunEntry(
    Side side,
    int mount,
    String fileName,
    String sha256,
    Map<String, Role> roles,
    Double roomCelsius,
    String state) {
  /** Copies its map, in a fixed order, and fills in the mount that an older job does not say. */
  public RunEntry {
    mount = Math.max(1, mount);
    state = state == null ? "" : state.strip();
    roles = Collections.unmodifiableMap(new TreeMap<>(roles == null ? Map.of() : roles));
  }

  /** A fresh entry without corrections. */
  public static RunEntry of(Side side, String fileName, String sha256) {
    return new RunEntry(side, 1, fileName, sha256, Map.of(), null, "");
  }

  /** Room air as typed, if it was. */
  public OptionalDouble typedRoom() {
    return roomCelsius == null ? OptionalDouble.empty() : OptionalDouble.of(roomCelsius);
  }

  /** The same run on a side. */
  public RunEntry on(Side other) {
    return new RunEntry(other, mount, fileName, sha256, roles, roomCelsius, state);
  }

  /** The same run of a mount. */
  public RunEntry ofMount(int other) {
    return new RunEntry(side, other, fileName, sha256, roles, roomCelsius, state);
  }

  /** The same run of a state; an empty name takes the side's. */
  public RunEntry inState(String other) {
    String plain = other.strip().equals(side.words()) ? "" : other;
    return new RunEntry(side, mount, fileName, sha256, roles, roomCelsius, plain);
  }

  /** The name of its state. */
  public String stateName() {
    return state.isEmpty() ? side.words() : state;
  }

  /** The same run with roles that were said before for logs of its shape. */
  public RunEntry withRoles(Map<String, Role> said) {
    return new RunEntry(side, mount, fileName, sha256, said, roomCelsius, state);
  }

  /** The same run with one more role said. */
  public RunEntry withRole(String channel, Role role) {
    Map<String, Role> said = new TreeMap<>(roles);
    said.put(channel, role);
    return new RunEntry(side, mount, fileName, sha256, said, roomCelsius, state);
  }

  /** The same run with room air as typed; null takes it away. */
  public RunEntry withRoom(Double celsius) {
    return new RunEntry(side, mount, fileName, sha256, roles, celsius, state);
  }
}
