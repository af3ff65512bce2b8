package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.multigrid.CellSolver;
import dev.ambershim.core.physics.multigrid.Team;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalLong;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * How many steps the gradients take, and that what they find is what the multigrid finds, which
 * shares neither modes nor grids with them.
 */
@Tag("slow")
class PreconditionerTest {
  private static final Patch DIE = new Patch(0, 0, 14, 12);
  private static final Patch LID = new Patch(0.7, 0, 36, 34);
  private static final Patch PLATE = new Patch(0, 1, 60, 50);
  private static final HeatSource CORE = HeatSource.steady("core", new Patch(2, 1, 3, 3), 50);

  private static StackCase stack(StackLayer inner, StackLayer outer) {
    List<StackLayer> layers = new ArrayList<>();
    layers.add(StackLayer.solid("die", 120, DIE, 600));
    layers.add(inner);
    layers.add(StackLayer.solid("lid", 390, LID, 2500));
    layers.add(outer);
    layers.add(StackLayer.solid("plate", 400, PLATE, 4000));
    return new StackCase(layers, List.of(CORE), 20_000, 30);
  }

  /** As boxes, on grids of the width that a tenth of a percent asks for. */
  private static Grids solved(StackCase stack) {
    return SteadySolver.on(stack, SteadySolver.width(stack) / 9, Team.alone(), SolveWatch.NONE);
  }

  /** One by one these would take from thirty to more than four hundred. */
  @ParameterizedTest
  @CsvSource({
    "76, 20, 75, 490",
    "86, 150, 74, 50",
    "20, 330, 1, 160",
    "0.7, 550, 15, 400",
    "3, 180, 29, 350"
  })
  void aSkinBetweenTheSameCellsTakesNoMoreStepsThanAJoint(
      double inner, double innerMicrometres, double outer, double outerMicrometres) {
    StackCase stack =
        stack(
            StackLayer.solid("paste", inner, DIE, innerMicrometres),
            StackLayer.solid("pad", outer, LID, outerMicrometres));
    assertThat(Skins.creep(stack)).isFalse();
    assertThat(solved(stack).steps()).isLessThan(12);
  }

  @ParameterizedTest
  @CsvSource({"0.6, 525", "0.7, 145", "4, 100", "18, 210", "60, 60", "90, 5"})
  void aSkinThatReachesBeyondTheDieTakesFewSteps(double conductivity, double micrometres) {
    StackCase stack =
        stack(
            StackLayer.solid("paste", conductivity, LID, micrometres),
            StackLayer.joint("pad", 3, LID, 100));
    assertThat(Skins.creep(stack)).isFalse();
    assertThat(solved(stack).steps()).isLessThan(20);
  }

  /** What is closed is no part of a contact, so the patterns that are left out are the joint's. */
  @ParameterizedTest
  @CsvSource({"0", "0.03", "0.3", "1.2", "5"})
  void aJointSmallerThanBothSolidsTakesFewSteps(double squareMillimetreKelvinPerWatt) {
    Patch spread = new Patch(0, 0, 17, 14);
    StackCase stack =
        stack(
            StackLayer.joint("paste", 5, DIE, 50),
            StackLayer.joint("metal", 20, spread, 20 * squareMillimetreKelvinPerWatt + 0.01));
    assertThat(solved(stack).steps()).isLessThan(15);
  }

  /** Two pads of one joint are two contacts; a joint around a hole is one with closed cells. */
  @Test
  void aJointInPartsIsAsManyContacts() {
    Patch left = new Patch(-8, 0, 6, 20);
    Patch right = new Patch(8, 0, 6, 20);
    StackLayer pads = StackLayer.joint("pads", 20, left, 25).over(List.of(left, right));
    StackCase two = stack(StackLayer.joint("paste", 5, DIE, 50), pads);
    List<Contact> contacts = Boxes.of(two, 1e-3, 2).orElseThrow().contacts;
    assertThat(contacts).hasSize(3);
    assertThat(contacts).allMatch(PreconditionerTest::open);
    Patch across = new Patch(0, 0, 22, 4);
    StackCase cross =
        stack(StackLayer.joint("paste", 5, DIE, 50), pads.over(List.of(left, across)));
    contacts = Boxes.of(cross, 1e-3, 2).orElseThrow().contacts;
    assertThat(contacts).hasSize(2);
    assertThat(contacts).filteredOn(PreconditionerTest::open).hasSize(1);
  }

  private static boolean open(Contact contact) {
    for (boolean[] column : contact.open()) {
      for (boolean cell : column) {
        if (!cell) {
          return false;
        }
      }
    }
    return true;
  }

  @ParameterizedTest
  @CsvSource({"lid, 0.7, 145", "lid, 18, 210", "die, 3, 180", "die, 76, 20"})
  void theMultigridFindsTheSame(String reaches, double conductivity, double micrometres) {
    Patch skin = reaches.equals("lid") ? LID : DIE;
    Patch spread = new Patch(1, 0, 20, 16);
    StackCase stack =
        stack(
            StackLayer.solid("paste", conductivity, skin, micrometres),
            StackLayer.joint("metal", 20, spread, 25));
    StackSolution modes = SteadySolver.plain().solve(stack, OptionalLong.empty(), 0.001);
    StackSolution cells =
        new CellSolver(Team.alone(), SolveWatch.NONE).solve(stack, OptionalLong.of(800_000), 0);
    double apart = modes.sources().get(0).meanCelsius() - cells.sources().get(0).meanCelsius();
    assertThat(Math.abs(apart))
        .isLessThan(modes.discretisationErrorKelvin() + cells.discretisationErrorKelvin());
    assertThat(Math.abs(modes.energyImbalanceRelative())).isLessThan(1e-9);
  }

  /**
   * Grids come near the truth by uneven steps there; a far finer one is off by less than 0.06 K.
   */
  @Test
  void whatCrowdsInABadConductorIsTold() {
    StackCase stack =
        stack(
            StackLayer.solid("paste", 0.7, LID, 145),
            StackLayer.joint("metal", 20, new Patch(1, 0, 20, 16), 25));
    StackSolution found = SteadySolver.plain().solve(stack, OptionalLong.empty(), 0.001);
    double width = SteadySolver.width(stack) / 32;
    Grids fine = SteadySolver.on(stack, width, Team.alone(), SolveWatch.NONE);
    double apart = found.sources().get(0).meanCelsius() - fine.meansCelsius()[0];
    assertThat(Math.abs(apart)).isLessThan(found.discretisationErrorKelvin());
    assertThat(Skins.crowd(stack, Boxes.of(stack, width, 4).orElseThrow())).isTrue();
    StackCase within =
        stack(
            StackLayer.solid("paste", 0.7, DIE, 145),
            StackLayer.joint("metal", 20, new Patch(1, 0, 20, 16), 25));
    assertThat(Skins.crowd(within, Boxes.of(within, width, 4).orElseThrow())).isFalse();
  }

  /** Where it meets its neighbours crosswise, it is left to the multigrid. */
  @Test
  void aSkinBetweenCrossedBarsCreeps() {
    Patch wide = new Patch(0, 0, 40, 40);
    List<StackLayer> layers =
        List.of(
            StackLayer.solid("bar", 390, new Patch(0, 0, 10, 34), 2500),
            StackLayer.solid("skin", 0.5, wide, 100),
            StackLayer.solid("bar across", 400, new Patch(0, 0, 34, 10), 4000));
    assertThat(Skins.creep(new StackCase(layers, List.of(CORE), 20_000, 30))).isTrue();
    List<StackLayer> within =
        List.of(layers.get(0), layers.get(1), StackLayer.solid("plate", 400, wide, 4000));
    assertThat(Skins.creep(new StackCase(within, List.of(CORE), 20_000, 30))).isFalse();
  }
}
