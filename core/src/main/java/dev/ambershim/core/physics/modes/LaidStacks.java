package dev.ambershim.core.physics.modes;

import dev.ambershim.core.base.Latest;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import java.util.Map;

/**
 * Grids that were laid, kept for the stacks that come next on them. What is found on them does not
 * hang on what was asked before: each asker begins where the grids were laid. Safe for several
 * threads.
 */
public final class LaidStacks {
  /** A chip's options differ in a dozen joints and coolers; each takes some megabytes. */
  private static final int KEPT = 16;

  private record Key(StackCase stack, double share, boolean meansOnly) {}

  private final Map<Key, LiveStack> laid = new Latest<>(KEPT);

  /** As {@link LiveStack#LiveStack}. */
  public LiveStack of(StackCase stack, double share, SolveWatch watch) {
    return of(new Key(stack, share, false), watch);
  }

  /** As {@link LiveStack#forMeans}. */
  public LiveStack forMeans(StackCase stack, double share, SolveWatch watch) {
    return of(new Key(stack, share, true), watch);
  }

  private LiveStack of(Key key, SolveWatch watch) {
    LiveStack found;
    synchronized (laid) {
      found = laid.get(key);
    }
    // Two askers at a time may both lay: that takes longer, and comes to the same.
    if (found == null) {
      found =
          key.meansOnly()
              ? LiveStack.forMeans(key.stack(), key.share(), watch)
              : new LiveStack(key.stack(), key.share(), watch);
      synchronized (laid) {
        laid.put(key, found);
      }
    }
    return found.fork();
  }
}
