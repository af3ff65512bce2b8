package dev.ambershim.bench;

import org.openjdk.jmh.runner.Runner;
import org.openjdk.jmh.runner.RunnerException;
import org.openjdk.jmh.runner.options.OptionsBuilder;

/** Runs the JMH benchmarks in processes of their own. */
public final class Jmh {
  private Jmh() {}

  /** Runs them and prints what JMH prints. */
  public static void run() {
    try {
      new Runner(new OptionsBuilder().include(SolverJmh.class.getSimpleName()).build()).run();
    } catch (RunnerException e) {
      throw new IllegalStateException(e);
    }
  }
}
