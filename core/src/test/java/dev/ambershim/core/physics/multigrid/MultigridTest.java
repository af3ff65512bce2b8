package dev.ambershim.core.physics.multigrid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.Stacks;
import java.util.List;
import java.util.Random;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicIntegerArray;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The multigrid's parts: its order of columns, its way between grids, its cycle. */
class MultigridTest {
  /** Two dies beside each other and off the middle, so that their layer has rows with a hole. */
  private static StackCase twoDies() {
    List<Patch> dies = List.of(new Patch(-6, 1, 7, 8), new Patch(5, -2, 5, 5));
    Patch lid = new Patch(0, 0, 30, 26);
    return new StackCase(
        List.of(
            StackLayer.solid("dies", 120, dies.get(0), 600).over(dies),
            StackLayer.joint("inner", 20, dies.get(0), 40).over(dies),
            StackLayer.solid("lid", 401, lid, 2000)),
        List.of(HeatSource.steady("a", new Patch(-6, 1, 3, 3), 25)),
        7000,
        25);
  }

  private static Conductances matrix(StackCase stack, long cells) {
    return Conductances.of(StackGrid.ofAbout(stack, cells), null);
  }

  /** A field of chance where there are cells, in zigzags. */
  private static float[][] chance(Conductances a, MultigridLevel level, long seed) {
    Random random = new Random(seed);
    float[][] field = level.field();
    for (int row = 0; row < a.ny * a.nz; row++) {
      double[] area = a.pattern[row % a.nz].area[row / a.nz];
      for (int i = 0; i < a.nx; i++) {
        field[row][i] = area[i] > 0 ? (float) random.nextGaussian() : 0;
      }
    }
    for (int pair = 0; pair < level.pairs(); pair++) {
      Chequer.turn(pair, a.nz, field);
    }
    return field;
  }

  private static double product(float[][] a, float[][] b) {
    double sum = 0;
    for (int row = 0; row < a.length; row++) {
      for (int i = 0; i < a[row].length; i++) {
        sum += (double) a[row][i] * b[row][i];
      }
    }
    return sum;
  }

  private static float[][] cycled(Multigrid grids, float[][] right) {
    float[][] wanted = grids.finest().wanted;
    for (int row = 0; row < right.length; row++) {
      System.arraycopy(right[row], 0, wanted[row], 0, right[row].length);
    }
    float[][] solution = grids.cycle(Team.alone(), pair -> {});
    float[][] copy = new float[solution.length][];
    for (int row = 0; row < copy.length; row++) {
      copy[row] = solution[row].clone();
    }
    return copy;
  }

  /** Conjugate gradients ask for a symmetric, positive preconditioner. */
  @Test
  void theCycleIsSymmetricAndPositive() {
    for (StackCase stack : List.of(Stacks.lidded(), twoDies())) {
      Conductances a = matrix(stack, 6000);
      Multigrid grids = new Multigrid(a, Team.alone());
      float[][] u = chance(a, grids.finest(), 1);
      float[][] v = chance(a, grids.finest(), 2);
      float[][] bu = cycled(grids, u);
      float[][] bv = cycled(grids, v);
      double size = Math.sqrt(product(u, bu) * product(v, bv));
      assertThat(product(u, bu)).isPositive();
      assertThat(product(v, bv)).isPositive();
      assertThat(product(u, bv)).isCloseTo(product(v, bu), within(1e-4 * size));
    }
  }

  /**
   * Smoothing by coloured lines with transfers of third order leaves less than a tenth of any wave
   * on even grids; local Fourier analysis (Trottenberg, Oosterlee &amp; Schüller, chapter 4) of
   * this cycle, done by hand for waves along one side. Cells that grow by two thirds from one to
   * the next, as those at an edge do, are not joined evenly, and more is left of what lies there.
   */
  @Test
  void aCycleLeavesLittleOfAnyError() {
    assertThat(leftByACycle(Stacks.lidded())).isBetween(0.01, 0.15);
    assertThat(leftByACycle(twoDies())).isBetween(0.01, 0.3);
  }

  /** The share of the most stubborn error's energy norm that a cycle leaves. */
  private static double leftByACycle(StackCase stack) {
    Conductances a = matrix(stack, 40_000);
    Multigrid grids = new Multigrid(a, Team.alone());
    MultigridLevel finest = grids.finest();
    float[][] error = chance(a, finest, 3);
    float[][] right = finest.field();
    double share = 0;
    for (int round = 0; round < 20; round++) {
      for (int pair = 0; pair < finest.pairs(); pair++) {
        finest.negativeProduct(pair, error, right);
      }
      double before = -product(error, right);
      float[][] correction = cycled(grids, right);
      for (int row = 0; row < error.length; row++) {
        for (int i = 0; i < error[row].length; i++) {
          error[row][i] += correction[row][i];
        }
      }
      for (int pair = 0; pair < finest.pairs(); pair++) {
        finest.negativeProduct(pair, error, right);
      }
      double after = -product(error, right);
      share = Math.sqrt(after / before);
      float scale = (float) (1 / Math.sqrt(product(error, error)));
      for (float[] row : error) {
        for (int i = 0; i < row.length; i++) {
          row[i] *= scale;
        }
      }
    }
    return share;
  }

  /** Two grids and the way between them. */
  private record Way(Conductances fine, Conductances coarse, Transfer transfer) {
    static Way of(StackCase stack) {
      Conductances fine = matrix(stack, 6000);
      int[] gi = fine.x.groups(2.8 * fine.x.narrowWidth());
      int[] gj = fine.y.groups(2.8 * fine.x.narrowWidth());
      Conductances coarse = fine.joined(gi, gj);
      return new Way(fine, coarse, new Transfer(fine, coarse, gi, gj));
    }
  }

  /** What both halves of a restriction make of one field, and interpolation of another. */
  @Test
  void restrictionIsInterpolationTransposed() {
    Way way = Way.of(twoDies());
    Conductances fine = way.fine;
    Conductances coarse = way.coarse;
    Transfer transfer = way.transfer;
    MultigridLevel level = new MultigridLevel(fine, transfer, Team.alone());
    float[][] u = chance(fine, level, 4);
    float[][] v = new float[coarse.ny * coarse.nz][coarse.nx];
    Random random = new Random(5);
    for (int row = 0; row < v.length; row++) {
      double[] area = coarse.pattern[row % coarse.nz].area[row / coarse.nz];
      for (int i = 0; i < coarse.nx; i++) {
        v[row][i] = area[i] > 0 ? (float) random.nextGaussian() : 0;
      }
    }
    int rows = u.length;
    Transfer.Narrowed narrowed =
        new Transfer.Narrowed(new float[rows][fine.nx], new float[rows][], new float[rows][]);
    double there = 0;
    for (int j = 0; j < fine.ny; j++) {
      for (int k = 0; k < fine.nz; k++) {
        float[] own = u[(j & ~1) * fine.nz + k];
        float[] sum = new float[fine.nx];
        transfer.interpolate(j, k, v, sum, new Transfer.Scratch(coarse.nx));
        for (int i = 0; i < fine.nx; i++) {
          there += (double) own[i] * sum[i];
        }
        transfer.narrow(j, k, own, narrowed, new Transfer.Scratch(coarse.nx));
      }
    }
    double back = 0;
    for (int j = 0; j < coarse.ny; j++) {
      for (int k = 0; k < coarse.nz; k++) {
        float[] to = new float[coarse.nx];
        transfer.collect(j, k, narrowed, to);
        for (int i = 0; i < coarse.nx; i++) {
          back += (double) to[i] * v[j * coarse.nz + k][i];
        }
      }
    }
    assertThat(Math.abs(there)).isGreaterThan(1);
    assertThat(back).isCloseTo(there, within(1e-4 * Math.abs(there)));
  }

  /** A field that is even stays so up to the edges, and around the hole between two dies. */
  @Test
  void anEvenFieldIsCarriedEvenly() {
    Way way = Way.of(twoDies());
    Conductances fine = way.fine;
    Conductances coarse = way.coarse;
    Transfer transfer = way.transfer;
    float[][] ones = new float[coarse.ny * coarse.nz][coarse.nx];
    for (int row = 0; row < ones.length; row++) {
      double[] area = coarse.pattern[row % coarse.nz].area[row / coarse.nz];
      for (int i = 0; i < coarse.nx; i++) {
        // Where there is no cell stands what would be seen if it were read.
        ones[row][i] = area[i] > 0 ? 1 : 1000;
      }
    }
    int seen = 0;
    for (int j = 0; j < fine.ny; j++) {
      for (int k = 0; k < fine.nz; k++) {
        float[] sum = new float[fine.nx];
        transfer.interpolate(j, k, ones, sum, new Transfer.Scratch(coarse.nx));
        for (int i = j % 2; i < fine.nx; i += 2) {
          if (fine.pattern[k].area[j][i] > 0) {
            assertThat(sum[i]).isCloseTo(1, within(1e-5f));
            seen++;
          }
        }
      }
    }
    assertThat(seen).isGreaterThan(1000);
  }

  /** It must not pass for a solution, nor stay as the start of the next. */
  @Test
  void whatIsNotANumberIsRefused() {
    Conductances a = matrix(twoDies(), 6000);
    ConjugateGradients solver = new ConjugateGradients(a, Team.alone());
    double[][] right = a.field();
    double[][] x = a.field();
    right[0][0] = Double.NaN;
    assertThatThrownBy(() -> solver.solve(right, x, 1e-8, SolveWatch.NONE))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("not a number");
    assertThat(x).isEqualTo(a.field());
  }

  @Test
  void twoTurnsChangeNothing() {
    float[] first = {1, 2, 3, 4, 5};
    float[] second = {6, 7, 8, 9, 10};
    Chequer.turn(first, second);
    assertThat(first).containsExactly(1, 7, 3, 9, 5);
    assertThat(second).containsExactly(6, 2, 8, 4, 10);
    Chequer.turn(first, second);
    assertThat(first).containsExactly(1, 2, 3, 4, 5);
  }

  /** Each stage must find its row and the neighbours done by the stage before, and not beyond. */
  @ParameterizedTest
  @ValueSource(ints = {1, 2, 3, 5})
  void aWaveKeepsTheOrderOfStages(int threads) {
    int rows = 103;
    AtomicIntegerArray done = new AtomicIntegerArray(rows);
    AtomicIntegerArray wrong = new AtomicIntegerArray(1);
    ExecutorService pool = Executors.newCachedThreadPool();
    try (Team team = Team.of(threads, pool)) {
      for (int round = 0; round < 50; round++) {
        for (int row = 0; row < rows; row++) {
          done.set(row, 0);
        }
        team.wave(
            rows,
            1_000_000,
            row -> stage(0, row, done, wrong),
            row -> stage(1, row, done, wrong),
            row -> stage(2, row, done, wrong),
            row -> stage(3, row, done, wrong));
        for (int row = 0; row < rows; row++) {
          assertThat(done.get(row)).isEqualTo(4);
        }
      }
    } finally {
      pool.shutdown();
    }
    assertThat(wrong.get(0)).isZero();
  }

  private static void stage(int stage, int row, AtomicIntegerArray done, AtomicIntegerArray wrong) {
    for (int near = Math.max(0, row - 1); near <= Math.min(done.length() - 1, row + 1); near++) {
      int count = done.get(near);
      boolean right = near == row ? count == stage : count == stage || count == stage + 1;
      if (!right && !(stage == 0 && near != row)) {
        wrong.incrementAndGet(0);
      }
    }
    done.incrementAndGet(row);
  }
}
