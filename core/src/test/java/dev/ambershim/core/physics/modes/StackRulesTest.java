package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import dev.ambershim.core.base.Problem;
import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Stacks that cannot be are refused with the name of what is wrong. */
class StackRulesTest {
  private static final Patch DIE = new Patch(0, 0, 10, 8);
  private static final Patch LID = new Patch(0, 0, 30, 30);

  private static StackCase stack(StackLayer middle, HeatSource heat, double film) {
    return new StackCase(
        List.of(
            StackLayer.solid("die", 120, DIE, 700),
            middle,
            StackLayer.solid("lid", 401, LID, 2000)),
        List.of(heat),
        film,
        25);
  }

  private static StackCase withMiddle(StackLayer middle) {
    return stack(middle, core(new Patch(0, 0, 2, 2), 10), 5000);
  }

  private static StackCase withHeat(HeatSource heat) {
    return stack(StackLayer.joint("joint", 5, DIE, 50), heat, 5000);
  }

  private static HeatSource core(Patch patch, double watts) {
    return HeatSource.steady("core", patch, watts);
  }

  static Stream<Arguments> bad() {
    StackLayer joint = StackLayer.joint("joint", 5, DIE, 50);
    double nan = Double.NaN;
    ThicknessMap torn =
        new ThicknessMap.Grid(
            new double[] {0, 1}, new double[] {0}, new double[][] {{50, 50}, {50, 50}});
    ThicknessMap hole =
        new ThicknessMap.Grid(
            new double[] {-5, 0, 5}, new double[] {0}, new double[][] {{50, -1, 50}});
    return Stream.of(
        Arguments.of(
            "stack.floating",
            "joint",
            withMiddle(StackLayer.joint("joint", 5, new Patch(20, 20, 4, 4), 50))),
        Arguments.of("stack.heat", "core", withHeat(core(new Patch(4, 0, 4, 2), 10))),
        Arguments.of(
            "stack.size", "joint", withMiddle(joint.over(List.of(new Patch(0, 0, -3, 5))))),
        Arguments.of(
            "stack.size", "joint", withMiddle(joint.over(List.of(new Patch(0, 0, 9e9, 5))))),
        Arguments.of(
            "stack.centre", "joint", withMiddle(joint.over(List.of(new Patch(nan, 0, 3, 5))))),
        Arguments.of("stack.footprint", "joint", withMiddle(joint.over(List.of()))),
        Arguments.of("stack.thickness", "joint", withMiddle(StackLayer.joint("joint", 5, DIE, 0))),
        Arguments.of(
            "stack.thickness", "joint", withMiddle(StackLayer.joint("joint", 5, DIE, nan))),
        Arguments.of(
            "stack.conductivity", "joint", withMiddle(StackLayer.joint("joint", -5, DIE, 50))),
        Arguments.of("stack.contact", "joint", withMiddle(joint.withContact(-1))),
        Arguments.of("stack.capacity", "joint", withMiddle(joint.withHeatCapacity(-1))),
        Arguments.of("stack.fall", "joint", withMiddle(joint.withFall(new StackLayer.Fall(20, 9)))),
        Arguments.of(
            "stack.map", "joint", withMiddle(joint.withMap(new ThicknessMap.Plane(20, 0)))),
        Arguments.of("stack.map", "joint", withMiddle(joint.withMap(hole))),
        Arguments.of("stack.map", "joint", withMiddle(joint.withMap(torn))),
        Arguments.of("stack.watts", "core", withHeat(core(new Patch(0, 0, 2, 2), -4))),
        Arguments.of("stack.size", "core", withHeat(core(new Patch(0, 0, 0, 2), 4))),
        Arguments.of(
            "stack.leakage",
            "core",
            withHeat(
                new HeatSource(
                    "core",
                    new Patch(0, 0, 2, 2),
                    5,
                    Optional.of(new HeatSource.Leakage(2, 60, 0))))),
        Arguments.of("stack.cooling", "cooling", stack(joint, core(new Patch(0, 0, 2, 2), 9), 0)),
        Arguments.of("stack.cooling", "cooling", stack(joint, core(new Patch(0, 0, 2, 2), 9), nan)),
        Arguments.of("stack.empty", "layers", new StackCase(List.of(), List.of(), 5000, 25)),
        Arguments.of("stack.solid", "layers", new StackCase(List.of(joint), List.of(), 5000, 25)),
        Arguments.of(
            "stack.temperature",
            "cooling",
            new StackCase(List.of(StackLayer.solid("die", 120, DIE, 700)), List.of(), 5000, -300)));
  }

  @ParameterizedTest(name = "{0}, {1}")
  @MethodSource("bad")
  void isRefused(String key, String name, StackCase stack) {
    Problem problem =
        catchThrowableOfType(
            Problem.class, () -> SteadySolver.plain().solve(stack, OptionalLong.of(500), 0.01));
    assertThat(problem.key()).isEqualTo(key);
    assertThat(problem.place().field()).contains(name);
    assertThat(problem.remedy()).isNotBlank();
  }

  /** One die lies under the lid, the other has nothing above it. */
  @Test
  void aPartThatFloatsFreeIsNamed() {
    List<Patch> dies = List.of(new Patch(0, 0, 6, 6), new Patch(40, 0, 6, 6));
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("dies", 120, DIE, 700).over(dies),
                StackLayer.solid("lid", 401, LID, 2000)),
            List.of(core(new Patch(0, 0, 2, 2), 10)),
            5000,
            25);
    Problem problem =
        catchThrowableOfType(
            Problem.class, () -> SteadySolver.plain().solve(stack, OptionalLong.of(500), 0.01));
    assertThat(problem.key()).isEqualTo("stack.floating");
    assertThat(problem.getMessage()).contains("dies").contains("40.00");
  }

  /** A joint wider than both its neighbours is no fault: nothing crosses where it hangs over. */
  @Test
  void anOverhangingJointIsLeftOut() {
    StackCase wide = withMiddle(StackLayer.joint("joint", 5, new Patch(0, 0, 40, 40), 50));
    StackCase narrow = withMiddle(StackLayer.joint("joint", 5, DIE, 50));
    double a = SteadySolver.plain().solve(wide, OptionalLong.of(20_000), 0.01).peakCelsius();
    double b = SteadySolver.plain().solve(narrow, OptionalLong.of(20_000), 0.01).peakCelsius();
    assertThat(a - 25).isCloseTo(b - 25, org.assertj.core.api.Assertions.withinPercentage(1));
  }
}
