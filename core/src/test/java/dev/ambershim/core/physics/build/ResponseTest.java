package dev.ambershim.core.physics.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.assembly.Build;
import dev.ambershim.core.physics.assembly.Chip;
import dev.ambershim.core.physics.assembly.CoolerClass;
import dev.ambershim.core.physics.assembly.Die;
import dev.ambershim.core.physics.assembly.Joint;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.material.Filling;
import dev.ambershim.core.physics.modes.LiveStack;
import dev.ambershim.core.physics.modes.SteadySolver;
import dev.ambershim.core.stage.weigh.CorePattern;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The response against the conduction engine itself, solved finely at figures in between. */
@Tag("slow")
class ResponseTest {
  private static final double[][] FIGURES = {
    {0, 0, 0, 0}, {0.4, -0.5, 0.1, 0.3}, {-0.8, 0.6, -0.15, -0.3}
  };

  @ParameterizedTest
  @CsvSource({
    "DESKTOP_ONE_DIE_PASTE,OWN_LOOP_THIN,true",
    "DESKTOP_ONE_DIE_PASTE,AIR_TOWER,false",
    "DESKTOP_CHIPLETS_SOLDER,OWN_LOOP_THICK,true"
  })
  void meetsTheEngineAwayFromItsOwnPoints(StartingPoint point, CoolerClass kind, boolean lid) {
    Build build =
        lid
            ? point.asBought()
            : new Build(false, 0, point.asBought().inner(), Joint.usual(Filling.LIQUID_METAL));
    Situation at = new Situation(point.chip("x"), kind.usual("y", 3.5), build);
    Response response = Response.of(at, SolveWatch.NONE);
    for (double[] logs : FIGURES) {
      StackSolution fine =
          SteadySolver.plain()
              .solve(
                  BuildStack.of(at, Response.doubt(logs), CoreLayout.of(at.chip()), 1, 0),
                  OptionalLong.empty(),
                  0.005);
      double[] cores =
          fine.sources().stream()
              .limit(response.cores())
              .mapToDouble(StackSolution.Source::meanCelsius)
              .toArray();
      double mean = Arrays.stream(cores).average().orElseThrow();
      // Its own grid is coarse; what it forecasts are differences, in which that mostly cancels.
      assertThat(response.meanKelvinPerWatt(logs)).isCloseTo(mean, within(0.02 * mean));
      assertThat(CorePattern.spread(response.coresKelvinPerWatt(logs)))
          .isCloseTo(CorePattern.spread(cores), within(0.01 * mean));
    }
  }

  /** A first answer from other figures against the solution of the figures themselves. */
  @ParameterizedTest
  @CsvSource({
    "DESKTOP_ONE_DIE_PASTE,true",
    "DESKTOP_CHIPLETS_SOLDER,true",
    "DESKTOP_ONE_DIE_PASTE,false"
  })
  void movedToOtherFiguresItMeetsTheirOwnSolution(StartingPoint point, boolean lid) {
    Build usual = point.asBought();
    Build build = lid ? usual : new Build(false, 0, usual.inner(), usual.outer());
    Situation from = new Situation(point.chip("x"), CoolerClass.AIR_TOWER.usual("y", 3.5), build);
    Build thinner =
        new Build(
            lid, build.glueMicrometres(), thinner(build.inner(), 0.6), thinner(build.outer(), 1.5));
    Situation to =
        new Situation(
            from.chip(),
            from.cooler()
                .withResistanceKelvinPerWatt(1.3 * from.cooler().resistanceKelvinPerWatt()),
            thinner);
    Response solved = Response.of(to, SolveWatch.NONE);
    Response moved = Response.of(from, SolveWatch.NONE).movedTo(to).orElseThrow();
    for (double[] logs : FIGURES) {
      double[] own = solved.coresAndMeanKelvinPerWatt(logs);
      double[] near = moved.coresAndMeanKelvinPerWatt(logs);
      for (int o = 0; o < own.length; o++) {
        assertThat(near[o]).isCloseTo(own[o], within(0.01 * own[o]));
      }
    }
    assertThat(moved.situation()).isEqualTo(to);
  }

  private static Joint thinner(Joint joint, double factor) {
    return new Joint(
        joint.filling(),
        factor * joint.bondLineMicrometres(),
        joint.conductivityWattsPerMetreKelvin());
  }

  @Test
  void itMovesNoFurtherThanItWasSolved() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Build build = point.asBought();
    Situation from = new Situation(point.chip("x"), CoolerClass.AIR_TOWER.usual("y", 3.5), build);
    Response response = Response.of(from, SolveWatch.NONE);
    Build far =
        new Build(true, build.glueMicrometres(), thinner(build.inner(), 2.1), build.outer());
    assertThat(response.movedTo(new Situation(from.chip(), from.cooler(), far))).isEmpty();
    Build bare = new Build(false, 0, build.inner(), build.outer());
    assertThat(response.movedTo(new Situation(from.chip(), from.cooler(), bare))).isEmpty();
    Chip other = StartingPoint.DESKTOP_CHIPLETS_SOLDER.chip("x");
    assertThat(response.movedTo(new Situation(other, from.cooler(), build))).isEmpty();
    // Two steps in turn are as far as one of both.
    Build half =
        new Build(true, build.glueMicrometres(), thinner(build.inner(), 1.6), build.outer());
    Build twice =
        new Build(true, build.glueMicrometres(), thinner(build.inner(), 2.5), build.outer());
    Response once = response.movedTo(new Situation(from.chip(), from.cooler(), half)).orElseThrow();
    assertThat(once.movedTo(new Situation(from.chip(), from.cooler(), twice))).isEmpty();
  }

  /** Four cores in the corners and four between them are equally far from the mean. */
  @Test
  void whatACoreTakesMoreIsFeltAsByAllCoresInTheMean() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Situation at =
        new Situation(point.chip("x"), CoolerClass.LARGE_LOOP.usual("y", 3.5), point.asBought());
    CoreLayout layout = CoreLayout.of(at.chip());
    StackCase even = BuildStack.of(at, Response.doubt(new double[4]), layout, 1, 0);
    LiveStack live = new LiveStack(even, 0.001, SolveWatch.NONE);
    int cores = layout.cores().size();
    double[] before = apart(live.update(even, SolveWatch.NONE), cores);
    double[] felt = new double[cores];
    for (int c = 0; c < cores; c++) {
      double[] watts = even.heat().stream().mapToDouble(HeatSource::watts).toArray();
      double more = watts[c] / 2;
      for (int other = 0; other < cores; other++) {
        watts[other] += other == c ? more : -more / (cores - 1);
      }
      double[] after = apart(live.update(even.withWatts(watts), SolveWatch.NONE), cores);
      felt[c] = (after[c] - before[c]) / more;
    }
    // A core in a corner feels it more than one between others.
    assertThat(Arrays.stream(felt).max().orElseThrow())
        .isGreaterThan(1.1 * Arrays.stream(felt).min().orElseThrow());
    double mean = Arrays.stream(felt).average().orElseThrow();
    assertThat(Response.of(at, SolveWatch.NONE).localKelvinPerWatt())
        .isCloseTo(mean, within(0.03 * mean));
  }

  private static double[] apart(StackSolution solved, int cores) {
    double[] celsius =
        solved.sources().stream()
            .limit(cores)
            .mapToDouble(StackSolution.Source::meanCelsius)
            .toArray();
    double mean = Arrays.stream(celsius).average().orElseThrow();
    return Arrays.stream(celsius).map(c -> c - mean).toArray();
  }

  @Test
  void theLadderAddsUpAndFallsStepByStep() {
    StartingPoint point = StartingPoint.DESKTOP_ONE_DIE_PASTE;
    Situation at =
        new Situation(point.chip("x"), CoolerClass.LARGE_LOOP.usual("y", 3.5), point.asBought());
    Response response = Response.of(at, SolveWatch.NONE);
    assertThat(response.ladder().totalKelvinPerWatt())
        .isCloseTo(response.meanKelvinPerWatt(new double[4]), within(1e-6));
    assertThat(response.ladder().steps())
        .extracting(Ladder.Step::name)
        .containsExactly(
            "die", "inner joint", "lid", "outer joint", "cold plate", "cooler to room");
    assertThat(response.ladder().steps())
        .allSatisfy(s -> assertThat(s.kelvinPerWatt()).isPositive());
    // Nearly all heat of a die crosses its own joint: paste of 70 µm and 4 W/m·K over 174.8 mm².
    assertThat(response.ladder().steps().get(1).kelvinPerWatt())
        .isCloseTo(70 / 4.0 / 174.8, within(1e-4));
    Detail detail = new Look(at, SolveWatch.NONE).of(new double[4], 150, 20, SolveWatch.NONE);
    // On grids of their own; each keeps its error below two parts in a thousand.
    double total = response.ladder().totalKelvinPerWatt();
    assertThat(detail.ladder().totalKelvinPerWatt()).isCloseTo(total, within(0.002 * total));
    assertThat(detail.peakCelsius()).isGreaterThan(20 + 150 * detail.ladder().totalKelvinPerWatt());
  }

  @Test
  void heatIsSharedOutInFullAndCoresLieOnTheHotDies() {
    Chip chip = StartingPoint.DESKTOP_CHIPLETS_SOLDER.chip("x");
    CoreLayout layout = CoreLayout.of(chip);
    assertThat(layout.cores()).hasSize(16);
    assertThat(layout.heat().stream().mapToDouble(HeatSource::watts).sum())
        .isCloseTo(1, within(1e-12));
    assertThat(layout.cores())
        .allSatisfy(
            core ->
                assertThat(chip.dies().subList(0, 2))
                    .anyMatch(
                        d -> CoreLayout.patch(d).holds(core.xMillimetres(), core.yMillimetres())));
    // The hub die takes its share evenly.
    assertThat(layout.heat().get(18).watts()).isCloseTo(0.16, within(1e-12));
  }

  @Test
  void aLowerDieHasTheThickerJoint() {
    Chip flat = StartingPoint.DESKTOP_CHIPLETS_SOLDER.chip("x");
    Die low = flat.dies().get(0);
    Chip stepped =
        new Chip(
            "x",
            "",
            flat.widthMillimetres(),
            flat.depthMillimetres(),
            flat.substrateMillimetres(),
            flat.cores(),
            List.of(
                new Die(
                    "low",
                    low.xMillimetres(),
                    low.yMillimetres(),
                    low.widthMillimetres(),
                    low.depthMillimetres(),
                    low.heightMicrometres() - 40,
                    low.powerShare()),
                flat.dies().get(1),
                flat.dies().get(2)),
            flat.lid());
    Build build =
        new Build(true, 40, new Joint(Filling.LIQUID_METAL, 60, 20), Joint.usual(Filling.PASTE));
    Situation at = new Situation(stepped, StartingPoint.cooler(), build);
    Response response = Response.of(at, SolveWatch.NONE);
    double[] cores = response.coresKelvinPerWatt(new double[4]);
    double left = Arrays.stream(cores).limit(8).average().orElseThrow();
    double right = Arrays.stream(cores).skip(8).average().orElseThrow();
    // 40 µm more of 20 W/m·K over 74.88 mm² at 0.42 of the heat. Under the cores the flux is at
    // most
    // 0.75 / 0.85² + 0.25 of the mean; and some heat goes another way.
    double even = 0.42 * 40 / 20 / 74.88;
    double most = even * (0.75 / (0.85 * 0.85) + 0.25);
    assertThat(left - right).isBetween(0.5 * even, most);
  }
}
