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
  void theErrorFallsWithAboutTheSecondPowerOfTheCellSize() {
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
    assertThat(order).isBetween(1.5, 2.6);
  }

  /**
   * Isoflux disc on a half-space: mean 8/(3π²ka), centre 1/(πka). Carslaw &amp; Jaeger,
   * <i>Conduction of Heat in Solids</i>, 2nd ed., section 8.2. The disc is made of strips, the
   * half-space of a block of 80 and one of 160 radii, whose effect falls as one over its size.
   */
  @Test
  void aDiscOnAHugeBlockIsOneOnAHalfSpace() {
    double[] near = disc(80);
    double[] far = disc(160);
    double mean = 2 * far[0] - near[0];
    double centre = 2 * far[1] - near[1];
    double k = 100;
    double a = 1e-3;
    assertThat(mean / (8 / (3 * Math.PI * Math.PI * k * a))).isCloseTo(1, within(SHARE));
    assertThat(centre / (1 / (Math.PI * k * a))).isCloseTo(1, within(SHARE));
  }

  /** Mean and centre rise for one watt. */
  private static double[] disc(double radii) {
    int strips = 12;
    List<HeatSource> heat = new ArrayList<>();
    double area = 0;
    for (int i = 0; i < strips; i++) {
      double y = -1 + (i + 0.5) * 2 / strips;
      area += 2 * Math.sqrt(1 - y * y) * 2 / strips;
    }
    for (int i = 0; i < strips; i++) {
      double y = -1 + (i + 0.5) * 2 / strips;
      double width = 2 * Math.sqrt(1 - y * y);
      double share = width * 2 / strips / area;
      heat.add(HeatSource.steady("strip", new Patch(0, y, width, 2.0 / strips), share));
    }
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid(
                    "block", 100, new Patch(0, 0, 2 * radii, 2 * radii), 1000 * radii)),
            heat,
            1e9,
            0);
    StackSolution s = about(stack, 700_000);
    double mean = 0;
    for (int i = 0; i < strips; i++) {
      mean += heat.get(i).watts() * s.sources().get(i).meanCelsius();
    }
    // Strips of equal height make a disc of slightly another area.
    double same = Math.sqrt(area / Math.PI);
    return new double[] {mean * same, s.peakCelsius() * same};
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
    assertThat(s.map().orElseThrow().at(-8, 0))
        .isCloseTo(s.sources().get(0).peakCelsius(), within(1e-4));
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
    StackSolution told = about(stack, 200_000);
    double apart = told.peakCelsius() - about(stack, 3_000_000).peakCelsius();
    assertThat(Math.abs(apart)).isLessThan(told.discretisationErrorKelvin());
  }

  @Test
  void theErrorEstimateTrustsOrdersFromAHalfToOneAndAHalf() {
    assertThat(CellSolver.error(4, 2, 1)).isCloseTo(1.25, within(1e-12));
    double most = 1.25 / (Math.pow(2, 1.5) - 1);
    assertThat(CellSolver.error(9, 3.5, 1.5)).isCloseTo(2 * 1.25 / 1.75, within(1e-12));
    assertThat(CellSolver.error(21, 5, 1)).isCloseTo(4 * most, within(1e-12));
    assertThat(CellSolver.error(100, 4, 1)).isCloseTo(3 * most, within(1e-12));
    assertThat(CellSolver.error(4.5, 3, 2)).isCloseTo(1.25 / 0.5, within(1e-12));
    assertThat(CellSolver.error(3.1, 2, 1)).isCloseTo(1.25 / (Math.sqrt(2) - 1), within(1e-12));
    // Values that swing are not trusted any further than the last step.
    assertThat(CellSolver.error(1, 3, 2)).isCloseTo(1.25, within(1e-12));
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
