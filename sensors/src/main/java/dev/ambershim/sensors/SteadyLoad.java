package dev.ambershim.sensors;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.locks.LockSupport;

/**
 * A built-in steady load: each thread keeps the floating-point units busy with fused multiply-adds
 * that depend on nothing outside the core, without a pause. It is even from second to second, and
 * milder than the heaviest stress programs.
 */
public final class SteadyLoad implements Load {
  private static final int CHAINS = 8;
  private static final int ROUND = 200_000;

  private final List<Thread> threads = new ArrayList<>();
  private final int count;
  private final Pinning pinning;
  private Thread single;
  private volatile int alone = -1;
  private volatile boolean on;
  private volatile boolean ended;

  /** Kept where the compiler cannot see that nobody reads it. */
  private volatile double sink;

  /**
   * A load that is still off.
   *
   * @param threads how many, 1 or more; as many as the machine's processors load all of it
   */
  public SteadyLoad(int threads) {
    this(threads, Pinning.NONE);
  }

  /**
   * A load that can hold a thread to a core.
   *
   * @param pinning how
   */
  public SteadyLoad(int threads, Pinning pinning) {
    count = Math.max(1, threads);
    this.pinning = pinning;
  }

  @Override
  public synchronized boolean alone(int core) {
    if (ended || core >= pinning.cores()) {
      return false;
    }
    set(false);
    alone = core;
    if (core >= 0 && single == null) {
      single = new Thread(this::workAlone, "load of one core");
      single.setDaemon(true);
      single.start();
    }
    LockSupport.unpark(single);
    return true;
  }

  private void workAlone() {
    int held = -1;
    double[] x = new double[CHAINS];
    while (!ended) {
      int core = alone;
      if (core < 0) {
        LockSupport.park(this);
        continue;
      }
      if (core != held) {
        pinning.hold(core);
        held = core;
      }
      sink = round(x);
    }
  }

  /** How many threads a full load takes. */
  public static int allThreads() {
    return Runtime.getRuntime().availableProcessors();
  }

  @Override
  public synchronized void set(boolean wanted) {
    if (ended || on == wanted) {
      return;
    }
    on = wanted;
    if (threads.isEmpty()) {
      for (int i = 0; i < count; i++) {
        Thread thread = new Thread(this::work, "load " + i);
        thread.setDaemon(true);
        threads.add(thread);
        thread.start();
      }
    }
    threads.forEach(LockSupport::unpark);
  }

  private void work() {
    double[] x = new double[CHAINS];
    while (!ended) {
      if (!on) {
        LockSupport.park(this);
        continue;
      }
      sink = round(x);
    }
  }

  private static double round(double[] x) {
    for (int i = 0; i < ROUND; i++) {
      for (int c = 0; c < CHAINS; c++) {
        x[c] = Math.fma(x[c], 0.999_999, 1e-3 * c);
      }
    }
    double sum = 0;
    for (double v : x) {
      sum += v;
    }
    return sum;
  }

  /** A figure that the work leads to. */
  double result() {
    return sink;
  }

  @Override
  public void close() {
    ended = true;
    on = false;
    alone = -1;
    threads.forEach(LockSupport::unpark);
    LockSupport.unpark(single);
  }
}
