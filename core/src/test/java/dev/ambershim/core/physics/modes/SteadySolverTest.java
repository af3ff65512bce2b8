package dev.ambershim.core.physics.modes;

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
import dev.ambershim.core.physics.conduction.ThicknessMap;
import dev.ambershim.core.physics.multigrid.CellSolver;
import dev.ambershim.core.physics.multigrid.Team;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The modal solver against solutions that are known exactly, and against the multigrid. */
@Tag("slow")
class SteadySolverTest {
  private static final double SHARE = 0.001;

  private static StackSolution solved(StackCase stack) {
    return SteadySolver.plain().solve(stack, OptionalLong.empty(), SHARE);
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
    StackSolution s = solved(stack);
    double area = 20e-3 * 10e-3;
    double perWatt = (700e-6 / 120 + 50e-6 / 5 + 4e-6 + 2500e-6 / 401 + 6e-6 + 1.0 / 8000) / area;
    assertThat(s.sources().get(0).meanCelsius()).isCloseTo(25 + 100 * perWatt, within(1e-6));
    assertThat(s.sources().get(0).peakCelsius()).isCloseTo(25 + 100 * perWatt, within(1e-4));
    double lidTop = 25 + 100 * (1.0 / 8000 + 3e-6) / area;
    double lidBottom = lidTop + 100 * 2500e-6 / 401 / area;
    double jointTop = lidBottom + 100 * (3e-6 + 2e-6) / area;
    double jointBottom = jointTop + 100 * 50e-6 / 5 / area;
    assertThat(s.layers().get(2).topMeanCelsius()).isCloseTo(lidTop, within(1e-6));
    assertThat(s.layers().get(2).bottomMeanCelsius()).isCloseTo(lidBottom, within(1e-6));
    assertThat(s.layers().get(1).topMeanCelsius()).isCloseTo(jointTop, within(1e-6));
    assertThat(s.layers().get(1).bottomMeanCelsius()).isCloseTo(jointBottom, within(1e-6));
    assertThat(Math.abs(s.energyImbalanceRelative())).isLessThan(1e-12);
  }

  /** Incropera &amp; DeWitt, 3.1: a paste may be given as a solid, too. */
  @Test
  void aWallOfSolidsThatTouchIsExactHoweverBadlyOneConducts() {
    Patch face = new Patch(0, 0, 20, 20);
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, face, 700),
                StackLayer.solid("glue", 0.4, face, 100),
                StackLayer.solid("lid", 400, face, 2000)),
            List.of(HeatSource.steady("all", face, 100)),
            5000,
            25);
    double perArea = 700e-6 / 120 + 100e-6 / 0.4 + 2e-3 / 400 + 1.0 / 5000;
    assertThat(solved(stack).sources().get(0).meanCelsius())
        .isCloseTo(25 + 100 / 4e-4 * perArea, within(1e-3));
  }

  /**
   * A plate that is cut in two is still one plate. Nothing but the solids holds the heat through
   * the cut, and cells are finest at its edges, where nothing is to be seen of them.
   */
  @Test
  void aSolidThatIsCutInTwoIsTheSameSolid() {
    Patch face = new Patch(1, 0, 60, 50);
    StackLayer die = StackLayer.solid("die", 120, new Patch(0, 0, 24, 12), 700);
    StackLayer joint = StackLayer.joint("joint", 30, new Patch(0, 0, 24, 12), 40);
    List<HeatSource> cores = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      cores.add(heat(-10.5 + 3 * i, 1, 2.2, 3, 10 + i));
    }
    StackSolution whole =
        solved(
            new StackCase(
                List.of(die, joint, StackLayer.solid("plate", 237, face, 5400)), cores, 9000, 30));
    StackSolution cut =
        solved(
            new StackCase(
                List.of(
                    die,
                    joint,
                    StackLayer.solid("base", 237, face, 5000),
                    StackLayer.solid("fins", 237, face, 400)),
                cores,
                9000,
                30));
    double told = whole.discretisationErrorKelvin() + cut.discretisationErrorKelvin();
    assertThat(told).isLessThan(2 * SHARE * (whole.peakCelsius() - 30));
    for (int s = 0; s < cores.size(); s++) {
      assertThat(cut.sources().get(s).meanCelsius())
          .isCloseTo(whole.sources().get(s).meanCelsius(), within(told));
    }
    assertThat(cut.iterations()).isLessThan(20);
  }

  /** Joints below the first and above the last solid are resistances in series. */
  @Test
  void jointsAtBothEndsAreInSeries() {
    Patch face = new Patch(0, 0, 10, 10);
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.joint("foil", 10, face, 100).withContact(2),
                StackLayer.solid("die", 120, face, 700).withContact(8),
                StackLayer.joint("paste", 5, face, 50).withContact(4)),
            List.of(HeatSource.steady("all", face, 100)),
            8000,
            25);
    StackSolution s = solved(stack);
    double film = 1.0 / 8000 + 2e-6;
    double paste = 50e-6 / 5;
    double die = 700e-6 / 120;
    double perArea = film + paste + 2e-6 + 4e-6 + die + 4e-6 + 1e-6 + 100e-6 / 10;
    assertThat(s.sources().get(0).meanCelsius()).isCloseTo(25 + 1e6 * perArea, within(1e-6));
    assertThat(s.layers().get(0).bottomMeanCelsius()).isCloseTo(25 + 1e6 * perArea, within(1e-6));
    assertThat(s.layers().get(2).topMeanCelsius()).isCloseTo(25 + 1e6 * film, within(1e-6));
    assertThat(s.layers().get(2).bottomMeanCelsius())
        .isCloseTo(25 + 1e6 * (film + paste), within(1e-6));
    assertThat(Math.abs(s.energyImbalanceRelative())).isLessThan(1e-12);
  }

  /**
   * Yovanovich, Muzychka &amp; Culham 1999. One solid has no contact, so nothing is cut in cells.
   */
  @Test
  void aSourceOnAnIsotropicChannelAgreesWithItsSeries() {
    StackCase stack =
        new StackCase(
            List.of(StackLayer.solid("plate", 200, new Patch(0, 0, 30, 20), 4000)),
            List.of(heat(-6, 3, 5, 4, 50), heat(8, -5, 0.4, 0.3, 3)),
            5000,
            20);
    FourierChannel exact = new FourierChannel(30e-3, 20e-3, 5000, new Layer(200, 4e-3, 0));
    StackSolution alone = solved(stack.withWatts(new double[] {50, 0}));
    double mean = 50 * exact.meanKelvinPerWatt(9e-3, 13e-3, 5e-3, 4e-3, 3000);
    assertThat(alone.sources().get(0).meanCelsius() - 20).isCloseTo(mean, within(1e-5 * mean));
    double small = 3 * exact.meanKelvinPerWatt(23e-3, 5e-3, 0.4e-3, 0.3e-3, 3000);
    StackSolution other = solved(stack.withWatts(new double[] {0, 3}));
    assertThat(other.sources().get(1).meanCelsius() - 20).isCloseTo(small, within(1e-3 * small));
    double peak = 3 * exact.pointKelvinPerWatt(23e-3, 5e-3, 23e-3, 5e-3, 0.4e-3, 0.3e-3, 4000);
    assertThat(other.peakCelsius() - 20).isCloseTo(peak, within(1e-3 * peak));
    // Maxwell's reciprocity: each warms the other alike.
    double there = (alone.sources().get(1).meanCelsius() - 20) / 50;
    double back = (other.sources().get(0).meanCelsius() - 20) / 3;
    assertThat(there).isCloseTo(back, within(1e-5 * back));
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
    double mean = 80 * exact.meanKelvinPerWatt(17e-3, 5e-3, 4e-3, 6e-3, 2000);
    double peak = 80 * exact.pointKelvinPerWatt(17e-3, 5e-3, 17e-3, 5e-3, 4e-3, 6e-3, 1500);
    StackSolution s = solved(stack);
    assertThat(s.sources().get(0).meanCelsius() - 30).isCloseTo(mean, within(SHARE * mean));
    // The peak lies beside the middle of an eccentric source, and never below it.
    assertThat(s.peakCelsius() - 30).isBetween(peak * (1 - SHARE), peak * 1.03);
    double off = Math.abs(s.sources().get(0).meanCelsius() - 30 - mean);
    assertThat(off).isLessThan(s.discretisationErrorKelvin());
  }

  /** Threads share grids, boxes and contacts, not sums; a smaller error asks for more grids. */
  @ParameterizedTest
  @ValueSource(doubles = {SHARE, SHARE / 5, SHARE / 15})
  void anyNumberOfThreadsGivesTheSameBits(double share) {
    StackCase stack = Stacks.lidded();
    StackSolution alone = SteadySolver.plain().solve(stack, OptionalLong.empty(), share);
    ExecutorService others = Executors.newFixedThreadPool(3);
    try (Team team = Team.of(4, others)) {
      StackSolution shared =
          new SteadySolver(team, SolveWatch.NONE).solve(stack, OptionalLong.empty(), share);
      assertThat(shared.sources()).isEqualTo(alone.sources());
      assertThat(shared.layers()).isEqualTo(alone.layers());
      assertThat(shared.discretisationErrorKelvin()).isEqualTo(alone.discretisationErrorKelvin());
    } finally {
      others.shutdown();
    }
  }

  /** A thin die shows every cell of its joint; the told error must cover that. */
  @Test
  void theToldErrorCoversAThinDieToo() {
    Patch face = new Patch(0, 0, 8, 12);
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 133, face, 175),
                StackLayer.joint("joint", 30, face, 30).withContact(0.6),
                StackLayer.solid("lid", 390, face, 1700)),
            List.of(heat(-0.8, 1.1, 0.8, 1.6, 30)),
            20000,
            0);
    FourierChannel exact =
        new FourierChannel(
            8e-3, 12e-3, 20000, new Layer(133, 175e-6, 1.6e-6), new Layer(390, 1.7e-3, 0));
    double mean = 30 * exact.meanKelvinPerWatt(3.2e-3, 7.1e-3, 0.8e-3, 1.6e-3, 2500);
    StackSolution s = solved(stack);
    assertThat(Math.abs(s.sources().get(0).meanCelsius() - mean))
        .isLessThan(s.discretisationErrorKelvin());
    assertThat(s.sources().get(0).meanCelsius()).isCloseTo(mean, within(0.0015 * mean));
  }

  @Test
  void extrapolationGainsAtLeastTheSecondOrder() {
    StackCase stack = Stacks.lidded();
    double[] watts = stack.heat().stream().mapToDouble(HeatSource::watts).toArray();
    double truth =
        SteadySolver.on(stack, 0.7e-3, Team.alone(), SolveWatch.NONE)
            .solution(false)
            .sources()
            .get(1)
            .meanCelsius();
    double[] off = new double[3];
    int[] parts = {2, 4, 8};
    for (int g = 0; g < 3; g++) {
      SteadyBoxes boxes = new SteadyBoxes(Boxes.of(stack, 2e-3, parts[g]).orElseThrow());
      BoxField field = boxes.solve(stack, watts, 1e-9, SolveWatch.NONE);
      off[g] = Math.abs(field.meansCelsius()[1] - truth);
      assertThat(boxes.steps()).isLessThan(20);
    }
    assertThat(Math.log(off[0] / off[1]) / Math.log(2)).isGreaterThan(1.5);
    assertThat(Math.log(off[1] / off[2]) / Math.log(2)).isGreaterThan(1.7);
  }

  @Test
  void theMultigridSaysTheSame() {
    Patch die = new Patch(0.6, -0.4, 16, 10);
    List<StackCase> stacks = new ArrayList<>(List.of(Stacks.lidded()));
    StackLayer map =
        StackLayer.joint("joint", 20, die, 60)
            .withContact(2)
            .withMap(
                new ThicknessMap.Grid(
                    new double[] {-6, 0, 7},
                    new double[] {-4, 1, 4},
                    new double[][] {{30, 60, 50}, {80, 40, 30}, {40, 50, 90}}));
    List<HeatSource> heat = List.of(heat(-4, 1, 4, 3, 60), heat(5, -2, 3, 4, 40));
    stacks.add(
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, die, 700),
                map,
                StackLayer.solid("lid", 390, new Patch(0, 0, 30, 32), 2000),
                StackLayer.joint("paste", 5, new Patch(1, 0, 24, 36), 80)
                    .withMap(new ThicknessMap.Plane(1.2, -0.7)),
                StackLayer.solid("plate", 390, new Patch(0, 2, 50, 44), 4000),
                StackLayer.solid("fins", 390, new Patch(0, 2, 40, 36), 1000)),
            heat,
            9000,
            25));
    List<Patch> dies = List.of(new Patch(-7, 1, 8, 9), new Patch(6, -1, 9, 7));
    stacks.add(
        new StackCase(
            List.of(
                StackLayer.solid("dies", 120, dies.get(0), 700).over(dies),
                StackLayer.joint("bare joint", 20, dies.get(0), 40).over(dies),
                StackLayer.solid("plate", 390, new Patch(0, 0, 46, 40), 4000),
                StackLayer.joint("fins", 390, new Patch(2, 0, 36, 30), 150)),
            List.of(heat(-7, 1, 5, 6, 60), heat(6, -1, 4, 4, 50)),
            12000,
            25));
    for (StackCase stack : stacks) {
      StackSolution modes = solved(stack);
      StackSolution cells =
          new CellSolver(Team.alone(), SolveWatch.NONE)
              .solve(stack, OptionalLong.of(1_000_000), SHARE);
      double rise = modes.peakCelsius() - 25;
      for (int s = 0; s < stack.heat().size(); s++) {
        assertThat(modes.sources().get(s).meanCelsius())
            .isCloseTo(
                cells.sources().get(s).meanCelsius(),
                within(cells.discretisationErrorKelvin() + 0.001 * rise));
        assertThat(modes.sources().get(s).peakCelsius())
            .isCloseTo(
                cells.sources().get(s).peakCelsius(),
                within(cells.discretisationErrorKelvin() + 0.001 * rise));
      }
      for (int l = 0; l < stack.layers().size(); l++) {
        assertThat(modes.layers().get(l).topMeanCelsius())
            .isCloseTo(cells.layers().get(l).topMeanCelsius(), within(0.002 * rise));
        assertThat(modes.layers().get(l).bottomMeanCelsius())
            .isCloseTo(cells.layers().get(l).bottomMeanCelsius(), within(0.002 * rise));
      }
      assertThat(Math.abs(modes.energyImbalanceRelative())).isLessThan(1e-9);
    }
  }

  @Test
  void aMirroredStackHasMirroredTemperatures() {
    StackCase stack = Stacks.lidded().withWatts(new double[] {30, 5, 8, 1, 0, 12, 3, 9});
    List<HeatSource> mirrored = new ArrayList<>();
    for (HeatSource h : stack.heat()) {
      Patch p = h.patch();
      Patch other =
          new Patch(
              -p.xMillimetres(), p.yMillimetres(), p.widthMillimetres(), p.depthMillimetres());
      mirrored.add(HeatSource.steady(h.name(), other, h.watts()));
    }
    StackSolution a = solved(stack);
    StackSolution b =
        solved(
            new StackCase(
                stack.layers(),
                mirrored,
                stack.filmWattsPerSquareMetreKelvin(),
                stack.coolantCelsius()));
    for (int s = 0; s < 8; s++) {
      assertThat(a.sources().get(s).meanCelsius())
          .isCloseTo(b.sources().get(s).meanCelsius(), within(1e-5));
    }
  }

  @Test
  void everyResistanceThatGrowsMakesItHotter() {
    StackCase stack = Stacks.lidded();
    double cool = solved(stack).meanOfSourcesCelsius();
    for (int l : new int[] {1, 3}) {
      StackLayer joint = stack.layers().get(l);
      assertThat(solved(stack.withLayer(l, joint.withContact(5))).meanOfSourcesCelsius())
          .isGreaterThan(cool);
    }
    assertThat(solved(stack.withFilm(3000)).meanOfSourcesCelsius()).isGreaterThan(cool);
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
    StackSolution s = solved(stack);
    double flux = 200 / 1e-4;
    double n = StackLayer.Fall.SILICON.exponent();
    double top = 20 + flux / 1e5 + 273.15;
    double reference = 26.85 + 273.15;
    double power = Math.pow(top, 1 - n) - flux * 5e-3 * (n - 1) / 148 * Math.pow(reference, -n);
    double bottom = Math.pow(power, 1 / (1 - n)) - 273.15;
    assertThat(s.sources().get(0).meanCelsius()).isCloseTo(bottom, within(1e-5 * (bottom - 20)));
    assertThat(Math.abs(s.energyImbalanceRelative())).isLessThan(1e-9);
  }

  /** A local heat on falling silicon under a joint, against the multigrid's Picard rounds. */
  @Test
  void fallingSiliconUnderAJointAgreesWithTheMultigrid() {
    StackCase plain = Stacks.lidded();
    StackCase stack = plain.withLayer(0, plain.layers().get(0).withFall(StackLayer.Fall.SILICON));
    StackSolution modes = solved(stack);
    StackSolution cells =
        new CellSolver(Team.alone(), SolveWatch.NONE).solve(stack, OptionalLong.of(300_000), SHARE);
    for (int s = 0; s < 8; s++) {
      assertThat(modes.sources().get(s).meanCelsius())
          .isCloseTo(
              cells.sources().get(s).meanCelsius(),
              within(cells.discretisationErrorKelvin() + 0.05));
    }
    assertThat(modes.peakCelsius()).isGreaterThan(solved(plain).peakCelsius());
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
    StackSolution s = solved(stack);
    double perWatt = (700e-6 / 120 + 1.0 / 20000) / 1e-4;
    double t = s.sources().get(0).meanCelsius();
    assertThat(t).isCloseTo(25 + perWatt * (80 + leak.at(t)), within(1e-5));
    assertThat(s.heatWatts()).isCloseTo(80 + leak.at(t), within(1e-5));
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
    assertThatThrownBy(() -> solved(stack))
        .isInstanceOf(Problem.class)
        .hasMessageContaining("Thermal runaway")
        .hasMessageContaining("hot");
  }

  /** An L of two rectangles that touch is no box; the multigrid takes it. */
  @Test
  void whatIsNotMadeOfBoxesGoesToTheMultigrid() {
    List<Patch> corner = List.of(new Patch(0, 0, 10, 10), new Patch(8, -2, 6, 6));
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, corner.get(0), 700).over(corner),
                StackLayer.solid("lid", 390, new Patch(0, 0, 30, 30), 2000)),
            List.of(heat(0, 0, 4, 4, 40)),
            8000,
            25);
    StackSolution s = SteadySolver.plain().solve(stack, OptionalLong.of(20_000), 0.01);
    assertThat(s.map().orElseThrow().at(9, -2)).isBetween(25.0, s.peakCelsius());
    // Two that touch and make a rectangle are one box.
    List<Patch> halves = List.of(new Patch(-2.5, 0, 5, 10), new Patch(2.5, 0, 5, 10));
    StackCase split = stack.withLayer(0, stack.layers().get(0).over(halves));
    StackCase whole = stack.withLayer(0, stack.layers().get(0).over(List.of(corner.get(0))));
    StackSolution one = solved(whole);
    StackSolution two = solved(split);
    assertThat(two.peakCelsius())
        .isCloseTo(
            one.peakCelsius(),
            within(one.discretisationErrorKelvin() + two.discretisationErrorKelvin()));
  }

  @Test
  void itCanBeWatchedAndStopped() {
    List<Double> shares = new ArrayList<>();
    SolveWatch watch = new SolveWatch(shares::add, () -> shares.size() > 1);
    assertThatThrownBy(
            () ->
                new SteadySolver(Team.alone(), watch)
                    .solve(Stacks.lidded(), OptionalLong.empty(), 1e-9))
        .isInstanceOf(CancellationException.class);
    assertThat(shares).isSorted().allMatch(s -> s >= 0 && s <= 1);
  }

  @Test
  void withoutHeatItIsAsCoolAsTheCoolant() {
    StackSolution s = solved(Stacks.lidded().withWatts(new double[8]));
    assertThat(s.peakCelsius()).isEqualTo(25);
    assertThat(s.energyImbalanceRelative()).isZero();
    StackCase bare = Stacks.lidded();
    StackSolution none =
        solved(new StackCase(bare.layers(), List.of(), bare.filmWattsPerSquareMetreKelvin(), 25));
    assertThat(none.peakCelsius()).isEqualTo(25);
  }
}
