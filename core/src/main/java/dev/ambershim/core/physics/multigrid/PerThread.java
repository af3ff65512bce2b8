package dev.ambershim.core.physics.multigrid;

import java.util.function.Supplier;

/**
 * What each thread of a team needs for itself, made when it first asks. A team of one has it in a
 * field: solvers come and go by the thousand, and a thread would keep a place for each of them.
 *
 * @param <T> what it is
 */
final class PerThread<T> {
  private final Supplier<T> make;
  private final ThreadLocal<T> many;
  private T only;

  PerThread(Team team, Supplier<T> make) {
    this.make = make;
    many = team.threads() == 1 ? null : ThreadLocal.withInitial(make);
  }

  /** The calling thread's own. */
  T get() {
    if (many != null) {
      return many.get();
    }
    if (only == null) {
      only = make.get();
    }
    return only;
  }
}
