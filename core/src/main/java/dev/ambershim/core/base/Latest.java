package dev.ambershim.core.base;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * What was worked out lately: a map that forgets what was asked for longest ago. Used by one thread
 * at a time.
 */
public final class Latest<K, V> extends LinkedHashMap<K, V> {
  private static final long serialVersionUID = 1L;

  private final int most;

  /** An empty map that keeps so many. */
  public Latest(int most) {
    super(16, 0.75f, true);
    this.most = most;
  }

  @Override
  protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
    return size() > most;
  }
}
