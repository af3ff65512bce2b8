package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.FourierChannel;
import dev.ambershim.core.physics.conduction.FourierChannel.Layer;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.multigrid.CellSolver;
import dev.ambershim.core.physics.multigrid.Team;
import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Pastes, films, platings and foils that are given as solid layers. */
@Tag("slow")
class SkinsTest {
  /** The multigrid needs a hundred thousand cells where the modes need a few thousand. */
  private static final long FEW = 40_000;

  private static final List<HeatSource> CORE =
      List.of(HeatSource.steady("core", new Patch(5, -4, 4, 6), 80));

  private static StackSolution solved(StackCase stack, double share) {
    return SteadySolver.plain().solve(stack, OptionalLong.empty(), share);
  }

  /** Muzychka, Culham &amp; Yovanovich 2003, whose series lets heat spread in every layer. */
  @ParameterizedTest
  @CsvSource({"5, 50", "5, 200", "0.8, 20", "30, 30", "80, 100", "90, 5", "400, 10"})
  void theToldErrorCoversWhatSpreadsInThem(double conductivity, double micrometres) {
    covers(conductivity, micrometres, 0.005);
  }

  /** A tenth of a percent needs what spreads in the skin, which is then one of the boxes. */
  @ParameterizedTest
  @CsvSource({"5, 200", "30, 40", "70, 300", "400, 50"})
  void whereStraightWaysAreNotEnoughASkinIsABox(double conductivity, double micrometres) {
    covers(conductivity, micrometres, 0.001);
  }

  private static void covers(double conductivity, double micrometres, double share) {
    Patch face = new Patch(0, 0, 24, 18);
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, face, 700),
                StackLayer.solid("skin", conductivity, face, micrometres),
                StackLayer.solid("lid", 401, face, 3000)),
            CORE,
            9000,
            30);
    FourierChannel exact =
        new FourierChannel(
            24e-3,
            18e-3,
            9000,
            new Layer(120, 0.7e-3, 0),
            new Layer(conductivity, micrometres * 1e-6, 0),
            new Layer(401, 3e-3, 0));
    double mean = 80 * exact.meanKelvinPerWatt(17e-3, 5e-3, 4e-3, 6e-3, 2000);
    StackSolution s = solved(stack, share);
    assertThat(s.cells()).isLessThan(FEW);
    assertThat(Math.abs(s.sources().get(0).meanCelsius() - 30 - mean))
        .isLessThan(s.discretisationErrorKelvin());
    assertThat(s.discretisationErrorKelvin()).isLessThan(share * (s.peakCelsius() - 30));
    assertThat(s.layers()).extracting(StackSolution.Layer::name).contains("skin");
  }

  /** Around the rim a wide foil is a fin, which the told error has to cover. */
  @Test
  void theToldErrorCoversWhatAWideFoilCarriesBeyondTheDie() {
    Patch die = new Patch(2, -1, 12, 10);
    Patch wide = new Patch(0, 0, 30, 30);
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, die, 700),
                StackLayer.solid("foil", 390, wide, 20),
                StackLayer.joint("paste", 5, wide, 60),
                StackLayer.solid("plate", 390, wide, 3000)),
            List.of(HeatSource.steady("core", new Patch(4, -2, 4, 5), 60)),
            9000,
            30);
    BoxField straight =
        new SteadyBoxes(Boxes.of(Skins.straight(stack).orElseThrow(), 0.5e-3, 2).orElseThrow())
            .solve(Skins.straight(stack).orElseThrow(), new double[] {60}, 1e-8, SolveWatch.NONE);
    StackSolution full =
        new CellSolver(Team.alone(), SolveWatch.NONE).solve(stack, OptionalLong.of(400_000), 0);
    double carried = straight.sources().get(0).meanCelsius() - full.sources().get(0).meanCelsius();
    assertThat(carried).isGreaterThan(full.discretisationErrorKelvin());
    assertThat(Skins.doubt(stack, straight)).isBetween(carried, 8 * carried);
  }

  /** Without its spreading the sheet would not reach its pads at all. */
  @Test
  void aSheetThatHoldsPartsTogetherIsSolvedAsASolid() {
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, new Patch(0, 0, 8, 8), 700),
                StackLayer.solid("sheet", 390, new Patch(0, 0, 30, 10), 150),
                StackLayer.joint("pads", 6, new Patch(-12, 0, 6, 10), 500)
                    .over(List.of(new Patch(-12, 0, 6, 10), new Patch(12, 0, 6, 10))),
                StackLayer.solid("plate", 390, new Patch(0, 0, 30, 10), 2000)),
            List.of(HeatSource.steady("core", new Patch(0, 0, 4, 4), 5)),
            3000,
            30);
    StackSolution s = solved(stack, 0.01);
    // From the die to each pad a strip of 5 mm, under the pad a fin (Incropera, 3.6).
    double sheet = 390 * 150e-6;
    double strip = 2.5 * 5e-3 / (sheet * 10e-3);
    double through = 1 / (500e-6 / 6 + 1.0 / 3000);
    double slope = Math.sqrt(through / sheet);
    double fin = 2.5 / (sheet * slope * 10e-3 * Math.tanh(slope * 6e-3));
    assertThat(s.sources().get(0).meanCelsius() - 30)
        .isCloseTo(strip + fin, within(0.06 * (strip + fin)));
    assertThat(Math.abs(s.energyImbalanceRelative())).isLessThan(1e-8);
  }
}
