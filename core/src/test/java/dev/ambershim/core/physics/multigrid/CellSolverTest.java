package dev.ambershim.core.physics.multigrid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.FourierChannel;
import dev.ambershim.core.physics.conduction.FourierChannel.Layer;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.conduction.Stacks;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** The steady solver against solutions that are known exactly. */
@Tag("slow")
class CellSolverTest {
  private static final double SHARE = 0.005;

  private static StackSolution refined(StackCase stack) {
    return CellSolver.plain().solve(stack, OptionalLong.empty(), SHARE);
  }

  private static StackSolution about(StackCase stack, long cells) {
    return CellSolver.plain().solve(stack, OptionalLong.of(cells), SHARE);
  }

  private static HeatSource heat(double x, double y, double w, double d, double watts) {
    return HeatSource.steady("core", new Patch(x, y, w, d), watts);
  }

  /** Incropera &amp; DeWitt, section 3.1: plane wall, R = Σ t/(kA) + contacts + 1/(hA). */
  @Test
  void aCompositeWallIsExact() {
    Patch face = new Patch(3, -2, 20, 10);
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, face, 700),
                StackLayer.joint("joint", 5, face, 50).withContact(4),
                StackLayer.solid("lid", 401, face, 2500).withContact(6)),
            List.of(HeatSource.steady("all", face, 100)),
            8000,
            25);
    StackSolution s = about(stack, 3000);
    double area = 20e-3 * 10e-3;
    double perWatt = (700e-6 / 120 + 50e-6 / 5 + 4e-6 + 2500e-6 / 401 + 6e-6 + 1.0 / 8000) / area;
    assertThat(s.sources().get(0).meanCelsius()).isCloseTo(25 + 100 * perWatt, within(1e-5));
    assertThat(s.sources().get(0).peakCelsius()).isCloseTo(25 + 100 * perWatt, within(1e-5));
    // Faces, from the cooled side: half of the lid's contact lies in series with the film.
    double lidTop = 25 + 100 * (1.0 / 8000 + 3e-6) / area;
    double lidBottom = lidTop + 100 * 2500e-6 / 401 / area;
    double jointTop = lidBottom + 100 * (3e-6 + 2e-6) / area;
    double jointBottom = jointTop + 100 * 50e-6 / 5 / area;
    assertThat(s.layers().get(2).topMeanCelsius()).isCloseTo(lidTop, within(1e-5));
    assertThat(s.layers().get(2).bottomMeanCelsius()).isCloseTo(lidBottom, within(1e-5));
    assertThat(s.layers().get(1).topMeanCelsius()).isCloseTo(jointTop, within(1e-5));
    assertThat(s.layers().get(1).bottomMeanCelsius()).isCloseTo(jointBottom, within(1e-5));
    assertThat(Math.abs(s.energyImbalanceRelative())).isLessThan(1e-8);
    assertThat(s.discretisationErrorKelvin()).isLessThan(1e-5);
  }

  @Test
  void anEccentricSourceOnAnIsotropicChannelAgreesWithItsSeries() {
    StackCase stack =
        new StackCase(
            List.of(StackLayer.solid("plate", 200, new Patch(0, 0, 30, 20), 4000)),
            List.of(heat(-6, 3, 5, 4, 50)),
            5000,
            20);
    FourierChannel exact = new FourierChannel(30e-3, 20e-3, 5000, new Layer(200, 4e-3, 0));
    double mean = 50 * exact.meanKelvinPerWatt(9e-3, 13e-3, 5e-3, 4e-3, 400);
    StackSolution s = refined(stack);
    assertThat(s.sources().get(0).meanCelsius() - 20).isCloseTo(mean, within(SHARE * mean));
    double off = Math.abs(s.sources().get(0).meanCelsius() - 20 - mean);
    assertThat(off).isLessThan(s.discretisationErrorKelvin());
  }

  @Test
  void theHottestPointAgreesWithTheSeries() {
    StackCase stack =
        new StackCase(
            List.of(StackLayer.solid("plate", 200, new Patch(0, 0, 30, 20), 4000)),
            List.of(heat(0, 0, 5, 4, 50)),
            5000,
            20);
    FourierChannel exact = new FourierChannel(30e-3, 20e-3, 5000, new Layer(200, 4e-3, 0));
    double peak = 50 * exact.pointKelvinPerWatt(15e-3, 10e-3, 15e-3, 10e-3, 5e-3, 4e-3, 1500);
    assertThat(refined(stack).peakCelsius() - 20).isCloseTo(peak, within(SHARE * peak));
  }

  /** Muzychka, Culham &amp; Yovanovich 2003: two layers, here with a joint between them. */
  @Test
  void anEccentricSourceOnTwoLayersAgreesWithItsSeries() {
    Patch face = new Patch(0, 0, 24, 18);
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, face, 700),
                StackLayer.joint("joint", 5, face, 50),
                StackLayer.solid("lid", 401, face, 3000)),
            List.of(heat(5, -4, 4, 6, 80)),
            9000,
            30);
    FourierChannel exact =
        new FourierChannel(
            24e-3, 18e-3, 9000, new Layer(120, 0.7e-3, 1e-5), new Layer(401, 3e-3, 0));
    double mean = 80 * exact.meanKelvinPerWatt(17e-3, 5e-3, 4e-3, 6e-3, 400);
    StackSolution s = refined(stack);
    assertThat(s.sources().get(0).meanCelsius() - 30).isCloseTo(mean, within(SHARE * mean));
  }

  @Test
  void theErrorFallsFasterThanTheSecondPowerOfTheCellSize() {
    StackCase stack =
        new StackCase(
            List.of(StackLayer.solid("plate", 200, new Patch(0, 0, 30, 20), 4000)),
            List.of(heat(-6, 3, 5, 4, 50)),
            5000,
            20);
    double mean =
        50
            * new FourierChannel(30e-3, 20e-3, 5000, new Layer(200, 4e-3, 0))
                .meanKelvinPerWatt(9e-3, 13e-3, 5e-3, 4e-3, 600);
    double coarse = Math.abs(about(stack, 6_000).sources().get(0).meanCelsius() - 20 - mean);
    double fine = Math.abs(about(stack, 400_000).sources().get(0).meanCelsius() - 20 - mean);
    // The cell size falls to about a quarter: (400/6)^(1/3) = 4.05.
    double order = Math.log(coarse / fine) / Math.log(Math.cbrt(400.0 / 6));
    assertThat(order).isBetween(2.5, 4.5);
  }

  /**
   * Even flux over a square of side a on a half-space: centre (2/π)·ln(1+√2), mean (2/π)·(ln(1+√2)
   * + (1−√2)/3) times q·a/k (Carslaw &amp; Jaeger, <i>Conduction of Heat in Solids</i>, 10.5, and
   * its mean over the square). The half-space is a block of 40 and one of 80 half sides, whose
   * effect falls as one over its size.
   */
  @Test
  void aSquareOnAHugeBlockIsOneOnAHalfSpace() {
    StackSolution near = square(40);
    StackSolution far = square(80);
    double flux = 1 / 4e-6;
    double unit = flux * 2e-3 / 100 * 2 / Math.PI;
    double log = Math.log(1 + Math.sqrt(2));
    double mean = 2 * far.sources().get(0).meanCelsius() - near.sources().get(0).meanCelsius();
    double centre = 2 * far.peakCelsius() - near.peakCelsius();
    assertThat(mean / (unit * (log + (1 - Math.sqrt(2)) / 3))).isCloseTo(1, within(SHARE));
    assertThat(centre / (unit * log)).isCloseTo(1, within(SHARE));
  }

  private static StackSolution square(double halfSides) {
    Patch block = new Patch(0, 0, 2 * halfSides, 2 * halfSides);
    StackLayer layer = StackLayer.solid("block", 100, block, 1000 * halfSides);
    return about(new StackCase(List.of(layer), List.of(heat(0, 0, 2, 2, 1)), 1e9, 0), 200_000);
  }

  @Test
  void severalDiesOnOneSubstrateKeepTheirSymmetry() {
    List<Patch> dies = List.of(new Patch(-8, 0, 6, 8), new Patch(8, 0, 6, 8));
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("dies", 120, dies.get(0), 700).over(dies),
                StackLayer.joint("joint", 20, dies.get(0), 40).over(dies),
                StackLayer.solid("lid", 401, new Patch(0, 0, 36, 30), 2500)),
            List.of(heat(-8, 0, 4, 4, 30), heat(8, 0, 4, 4, 30)),
            10000,
            25);
    StackSolution s = about(stack, 40_000);
    assertThat(s.sources().get(0).meanCelsius())
        .isCloseTo(s.sources().get(1).meanCelsius(), within(1e-5));
    assertThat(s.map().orElseThrow().at(0, 0)).isNaN();
    // The map is that of the finest grid alone.
    assertThat(s.map().orElseThrow().at(-8, 0))
        .isCloseTo(s.sources().get(0).peakCelsius(), within(0.01 * (s.peakCelsius() - 25)));
  }

  /**
   * With Kirchhoff's transform: ∫ k dT over the wall = flux × thickness (Carslaw &amp; Jaeger,
   * 1.6).
   */
  @Test
  void siliconConductsLessWhenHot() {
    Patch face = new Patch(0, 0, 10, 10);
    StackLayer die = StackLayer.solid("die", 148, face, 5000).withFall(StackLayer.Fall.SILICON);
    StackCase stack =
        new StackCase(List.of(die), List.of(HeatSource.steady("all", face, 200)), 1e5, 20);
    StackSolution s = about(stack, 60_000);
    double flux = 200 / 1e-4;
    double n = StackLayer.Fall.SILICON.exponent();
    assertThat(n).isCloseTo(1.40, within(0.005));
    assertThat(148 * StackLayer.Fall.SILICON.factor(400 - 273.15)).isCloseTo(98.9, within(1e-9));
    double top = 20 + flux / 1e5 + 273.15;
    double reference = 26.85 + 273.15;
    double power = Math.pow(top, 1 - n) - flux * 5e-3 * (n - 1) / 148 * Math.pow(reference, -n);
    double bottom = Math.pow(power, 1 / (1 - n)) - 273.15;
    assertThat(s.peakCelsius()).isCloseTo(bottom, within(SHARE * (bottom - 20)));
  }

  @Test
  void leakageAndTemperatureFindTheirBalance() {
    Patch face = new Patch(0, 0, 10, 10);
    HeatSource.Leakage leak = new HeatSource.Leakage(10, 60, 25);
    StackCase stack =
        new StackCase(
            List.of(StackLayer.solid("die", 120, face, 700)),
            List.of(new HeatSource("all", face, 80, Optional.of(leak))),
            20000,
            25);
    StackSolution s = about(stack, 2000);
    double perWatt = (700e-6 / 120 + 1.0 / 20000) / 1e-4;
    double t = s.sources().get(0).meanCelsius();
    assertThat(t).isCloseTo(25 + perWatt * (80 + leak.at(t)), within(1e-6));
    assertThat(s.heatWatts()).isCloseTo(80 + leak.at(t), within(1e-6));
    // The lower of the two balances: here the loop gain is below one.
    assertThat(perWatt * leak.slope(t)).isLessThan(1);
  }

  @Test
  void runawayIsRecognised() {
    Patch face = new Patch(0, 0, 10, 10);
    StackCase stack =
        new StackCase(
            List.of(StackLayer.solid("die", 120, face, 700)),
            List.of(
                new HeatSource("hot", face, 120, Optional.of(new HeatSource.Leakage(60, 60, 20)))),
            20000,
            25);
    assertThatThrownBy(() -> about(stack, 2000))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("Thermal runaway")
        .hasMessageContaining("hot");
  }

  @Test
  void jumpsAndFlatCellsDoNotStopIt() {
    // Conductivities from 0.4 to 400 and slices of 2 µm under columns of half a millimetre and
    // more.
    Patch die = new Patch(1, 0, 12, 9);
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, die, 700),
                StackLayer.solid("film", 0.4, die, 4),
                StackLayer.solid("gold", 317, die, 1),
                StackLayer.solid("lid", 400, new Patch(0, 0, 34, 34), 2000),
                StackLayer.solid("glass", 0.4, new Patch(0, 0, 34, 34), 20),
                StackLayer.solid("plate", 400, new Patch(0, 0, 60, 60), 4000)),
            List.of(heat(2, 1, 3, 3, 40)),
            6000,
            25);
    StackSolution s = about(stack, 80_000);
    assertThat(s.iterations()).isLessThan(20);
    assertThat(Math.abs(s.energyImbalanceRelative())).isLessThan(1e-6);
  }

  @Test
  void anyNumberOfThreadsGivesTheSameBits() {
    StackCase stack = Stacks.lidded();
    ExecutorService pool = Executors.newCachedThreadPool();
    try {
      StackSolution alone = about(stack, 150_000);
      for (int threads : new int[] {2, 2, 3}) {
        try (Team team = Team.of(threads, pool)) {
          StackSolution shared =
              new CellSolver(team, SolveWatch.NONE).solve(stack, OptionalLong.of(150_000), SHARE);
          assertThat(shared.map().orElseThrow().celsius())
              .isEqualTo(alone.map().orElseThrow().celsius());
        }
      }
    } finally {
      pool.shutdownNow();
    }
  }

  @Test
  void itCanBeWatchedAndStopped() {
    List<Double> shares = new ArrayList<>();
    SolveWatch watch = new SolveWatch(shares::add, () -> shares.size() > 6);
    assertThatThrownBy(
            () ->
                new CellSolver(Team.alone(), watch)
                    .solve(Stacks.lidded(), OptionalLong.of(50_000), SHARE))
        .isInstanceOf(CancellationException.class);
    assertThat(shares).isSorted().allMatch(s -> s >= 0 && s <= 1);
  }

  @Test
  void withoutHeatItIsAsCoolAsTheCoolant() {
    StackSolution s = about(Stacks.lidded().withWatts(new double[8]), 5000);
    assertThat(s.peakCelsius()).isEqualTo(25);
    assertThat(s.energyImbalanceRelative()).isZero();
  }

  /** Between crossed bars a bad conductor is told by small steps for long; the rest is larger. */
  @Test
  void whatCreepsBetweenCrossedBarsIsTold() {
    List<StackLayer> layers =
        List.of(
            StackLayer.solid("bar", 390, new Patch(0, 0, 10, 34), 2500),
            StackLayer.solid("skin", 0.5, new Patch(0, 0, 40, 40), 100),
            StackLayer.solid("bar across", 400, new Patch(0, 0, 34, 10), 4000));
    HeatSource core = HeatSource.steady("core", new Patch(2, 1, 3, 3), 50);
    StackCase stack = new StackCase(layers, List.of(core), 20_000, 30);
    StackSolution told = about(stack, 100_000);
    double apart = told.peakCelsius() - about(stack, 1_500_000).peakCelsius();
    assertThat(Math.abs(apart)).isLessThan(told.discretisationErrorKelvin());
  }

  /** The hottest place is found between cells: coarse ones tell it as well as the series. */
  @Test
  void theHottestPlaceIsFoundBetweenCells() {
    for (double x : new double[] {0, 0.37, -9.4}) {
      StackCase stack =
          new StackCase(
              List.of(StackLayer.solid("plate", 200, new Patch(0, 0, 30, 20), 2000)),
              List.of(heat(x, 1.3, 8, 6, 50)),
              5000,
              20);
      coarseAndFineAgree(stack);
    }
  }

  private static void coarseAndFineAgree(StackCase stack) {
    StackSolution coarse = about(stack, 20_000);
    StackSolution fine = about(stack, 800_000);
    double apart = Math.abs(coarse.peakCelsius() - fine.peakCelsius());
    assertThat(apart).isLessThan(0.002 * (fine.peakCelsius() - stack.coolantCelsius()));
    assertThat(apart).isLessThan(coarse.discretisationErrorKelvin());
  }

  /** Two rectangles that touch are one solid: heat beside their seam or on it goes on beyond it. */
  @Test
  void theHottestPlaceMayLieAtASeam() {
    List<Patch> angle = List.of(new Patch(0, -3, 16, 6), new Patch(-4, 3, 8, 6));
    StackLayer die = StackLayer.solid("die", 120, angle.get(0), 700).over(angle);
    for (double y : new double[] {-1.5, -0.2}) {
      coarseAndFineAgree(new StackCase(List.of(die), List.of(heat(-4, y, 4, 2.6, 40)), 20_000, 30));
    }
  }

  /** No box, so its error is this estimate; the finer grid is off by half as much or less. */
  @Test
  void theToldErrorOfAnAngledDieCoversTheTrueOne() {
    List<Patch> angle = List.of(new Patch(0, -3, 16, 6), new Patch(-4, 3, 8, 6));
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, angle.get(0), 600).over(angle),
                StackLayer.joint("metal", 80, angle.get(0), 30).over(angle),
                StackLayer.solid("lid", 390, new Patch(0.7, 0, 36, 34), 500),
                StackLayer.joint("paste", 20, new Patch(0.7, 0, 36, 34), 25),
                StackLayer.solid("plate", 400, new Patch(0, 1, 60, 50), 4000)),
            List.of(HeatSource.steady("core", new Patch(2, -3, 3, 3), 40)),
            20_000,
            30);
    StackSolution rough = about(stack, 60_000);
    StackSolution fine = about(stack, 600_000);
    double apart = rough.sources().get(0).meanCelsius() - fine.sources().get(0).meanCelsius();
    assertThat(rough.discretisationErrorKelvin())
        .isGreaterThan(Math.abs(apart) + fine.discretisationErrorKelvin() / 2);
  }
}
