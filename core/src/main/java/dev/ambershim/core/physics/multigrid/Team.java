package dev.ambershim.core.physics.multigrid;

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
  private IntConsumer work;

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

  /** Runs a few large tasks, each once; who is free takes the next. */
  public void tasks(int count, IntConsumer work) {
    if (threads == 1) {
      for (int i = 0; i < count; i++) {
        work.accept(i);
      }
      return;
    }
    AtomicInteger next = new AtomicInteger();
    all(
        me -> {
          for (int i = next.getAndIncrement(); i < count; i = next.getAndIncrement()) {
            work.accept(i);
          }
        });
  }

  /** Runs {@code work} on blocks of neighbouring rows that together make up all. */
  void blocks(int rows, long cells, Block work) {
    if (isAlone(rows, cells)) {
      work.over(0, rows);
    } else {
      all(me -> work.over(border(rows, me), border(rows, me + 1)));
    }
  }

  /**
   * Runs stages on rows, each on a row as soon as the stage before it has done that row and its
   * neighbours, so that what one stage leaves is still near the processor when the next wants it.
   */
  void wave(int rows, long cells, IntConsumer... stages) {
    int reach = stages.length;
    if (isAlone(rows, cells) || rows < 2 * reach * threads) {
      wave(0, rows, false, false, stages);
      return;
    }
    all(me -> wave(border(rows, me), border(rows, me + 1), me > 0, me < threads - 1, stages));
    // What waits for rows on both sides of a border is left.
    all(
        me -> {
          int border = border(rows, me);
          for (int s = 1; me > 0 && s < reach; s++) {
            for (int row = border - s; row < border + s; row++) {
              stages[s].accept(row);
            }
          }
        });
  }

  /** A wave over a block; each stage stays one row further from the borders than the one before. */
  private static void wave(
      int first, int past, boolean below, boolean above, IntConsumer[] stages) {
    for (int at = first; at < past + stages.length; at++) {
      for (int s = 0; s < stages.length; s++) {
        int row = at - s;
        if (row >= (below ? first + s : first) && row < (above ? past - s : past)) {
          stages[s].accept(row);
        }
      }
    }
  }

  private boolean isAlone(int rows, long cells) {
    return threads == 1 || cells < WORTH_SHARING || rows < threads;
  }

  private int border(int rows, int thread) {
    return (int) ((long) rows * thread / threads);
  }

  /** Runs {@code work} once on each thread, with its number. */
  private void all(IntConsumer work) {
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
      work.accept(0);
    } finally {
      while (busy.get() > 0) {
        Thread.onSpinWait();
      }
    }
    this.work = null; // what it holds on to may be large
    Throwable failed = failure.getAndSet(null);
    if (failed instanceof RuntimeException known) {
      throw known;
    }
    if (failed != null) {
      throw new IllegalStateException(failed);
    }
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
        work.accept(me);
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
