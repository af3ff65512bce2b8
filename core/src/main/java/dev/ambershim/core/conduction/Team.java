package dev.ambershim.core.conduction;

import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicReference;
import java.util.concurrent.locks.LockSupport;
import java.util.function.IntConsumer;

/**
 * Shares rows among threads. Every row is worked by exactly one thread and sums are formed row by
 * row, so results do not depend on how many threads there are. The threads are the caller's: they
 * come from an executor and go back to it on {@link #close()}.
 */
public final class Team implements AutoCloseable {
  /** Below this many cells waking another thread costs more than it saves. */
  private static final long WORTH_SHARING = 40_000;

  private static final int SPINS = 20_000;

  private final int threads;
  private final Thread[] waiting;
  private final AtomicInteger round = new AtomicInteger();
  private final AtomicInteger busy = new AtomicInteger();
  private final AtomicReference<Throwable> failure = new AtomicReference<>();
  private volatile boolean closed;
  private int rows;
  private Block work;

  private Team(int threads) {
    this.threads = threads;
    this.waiting = new Thread[threads];
  }

  /** The calling thread alone. */
  public static Team alone() {
    return new Team(1);
  }

  /**
   * The calling thread and some from an executor, which must be able to run them all at once.
   *
   * @param threads how many in all, at least 1
   */
  public static Team of(int threads, Executor executor) {
    Team team = new Team(Math.max(1, threads));
    for (int i = 1; i < team.threads; i++) {
      int me = i;
      executor.execute(() -> team.serve(me));
    }
    return team;
  }

  /** How many threads there are. */
  public int threads() {
    return threads;
  }

  /** Works on rows from the first to before the last. */
  interface Block {
    void over(int first, int past);
  }

  /** Runs {@code work} once for each row below {@code rows}; {@code cells} tells if it is much. */
  void each(int rows, long cells, IntConsumer work) {
    blocks(
        rows,
        cells,
        (first, past) -> {
          for (int j = first; j < past; j++) {
            work.accept(j);
          }
        });
  }

  /** Runs {@code work} on blocks of neighbouring rows that together make up all. */
  void blocks(int rows, long cells, Block work) {
    if (threads == 1 || cells < WORTH_SHARING || rows < threads) {
      work.over(0, rows);
      return;
    }
    this.rows = rows;
    this.work = work;
    busy.set(threads - 1);
    round.incrementAndGet();
    for (int i = 1; i < threads; i++) {
      Thread sleeper = waiting[i];
      if (sleeper != null) {
        LockSupport.unpark(sleeper);
      }
    }
    try {
      block(0);
    } finally {
      while (busy.get() > 0) {
        Thread.onSpinWait();
      }
    }
    this.work = null; // what it holds on to may be large
    Throwable failed = failure.getAndSet(null);
    if (failed != null) {
      throw new IllegalStateException(failed);
    }
  }

  private void block(int me) {
    int from = (int) ((long) rows * me / threads);
    int to = (int) ((long) rows * (me + 1) / threads);
    work.over(from, to);
  }

  private void serve(int me) {
    int seen = 0;
    waiting[me] = Thread.currentThread();
    while (true) {
      int spins = 0;
      while (round.get() == seen && !closed) {
        if (spins++ < SPINS) {
          Thread.onSpinWait();
        } else {
          LockSupport.parkNanos(this, 1_000_000);
        }
      }
      if (closed) {
        return;
      }
      seen++;
      try {
        block(me);
      } catch (Throwable t) {
        failure.set(t);
      } finally {
        busy.decrementAndGet();
      }
    }
  }

  /** Sends the threads back. */
  @Override
  public void close() {
    closed = true;
    for (int i = 1; i < threads; i++) {
      LockSupport.unpark(waiting[i]);
    }
  }
}
