package dev.ambershim.bench;

import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.multigrid.LiveCells;
import dev.ambershim.core.physics.multigrid.Team;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The conduction solver on one thread beside the plain sweep over the same cells. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class SolverJmh {
  /** About how many cells. */
  @Param({"100000", "1000000"})
  public long cells;

  private StackCase stack;
  private LiveCells live;
  private PlainSweep sweep;
  private int turn;

  /** Lays the grid. */
  @Setup
  public void lay() {
    stack = EightCores.stack();
    live = new LiveCells(stack, cells, Team.alone());
    int[] shape = live.shape();
    sweep = new PlainSweep(shape[0], shape[1], shape[2]);
    live.update(stack, SolveWatch.NONE);
  }

  /** One work unit. */
  @Benchmark
  public double sweep() {
    sweep.sweep(0, sweep.layers());
    return sweep.trace();
  }

  /** From the stack to a relative residual of 1e-8, with laying the grid. */
  @Benchmark
  public double solution() {
    return new LiveCells(stack, cells, Team.alone()).update(stack, SolveWatch.NONE).peakCelsius();
  }

  /** New temperatures after a changed joint. */
  @Benchmark
  public double warmUpdate() {
    turn++;
    return live.update(EightCores.stack(40 + turn % 5 * 5, 6000, 18, 18), SolveWatch.NONE)
        .peakCelsius();
  }
}
