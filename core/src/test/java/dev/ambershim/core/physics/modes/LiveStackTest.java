package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSolution;
import dev.ambershim.core.physics.conduction.Stacks;
import dev.ambershim.core.physics.conduction.ThicknessMap;
import java.util.List;
import java.util.OptionalLong;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A stack whose joints, maps, film and heats change on kept grids. */
class LiveStackTest {
  private static final Patch DIE = new Patch(0, 0, 16, 10);
  private static final Patch LID = new Patch(0, 0, 34, 34);

  @Test
  void whateverChangedItIsAsRightAsSolvedAnew() {
    StackCase stack = Stacks.lidded();
    LiveStack live = new LiveStack(stack, 0.001, SolveWatch.NONE);
    assertThat(live.errorShare()).isLessThan(0.001);
    LiveStack means = LiveStack.forMeans(stack, 0.002, SolveWatch.NONE);
    assertThat(means.errorShare()).isLessThan(0.002);
    Random random = new Random(5);
    for (int i = 0; i < 8; i++) {
      double[] watts = new double[8];
      for (int s = 0; s < 8; s++) {
        watts[s] = 1 + 40 * random.nextDouble();
      }
      StackLayer joint =
          StackLayer.joint("inner joint", 4 + 26 * random.nextDouble(), DIE, 60)
              .withMap(
                  new ThicknessMap.Plane(4 * random.nextDouble() - 2, 4 * random.nextDouble() - 2));
      StackCase now =
          stack.withLayer(1, joint).withFilm(2000 + 20_000 * random.nextDouble()).withWatts(watts);
      StackSolution kept = live.update(now, SolveWatch.NONE);
      StackSolution anew = SteadySolver.plain().solve(now, OptionalLong.empty(), 0.0005);
      double rise = anew.peakCelsius() - 25;
      double[] alone = means.meansCelsius(now, SolveWatch.NONE);
      for (int s = 0; s < 8; s++) {
        assertThat(alone[s]).isCloseTo(anew.sources().get(s).meanCelsius(), within(0.002 * rise));
        assertThat(kept.sources().get(s).meanCelsius())
            .isCloseTo(anew.sources().get(s).meanCelsius(), within(0.001 * rise));
      }
      assertThat(kept.peakCelsius()).isCloseTo(anew.peakCelsius(), within(0.0015 * rise));
    }
  }

  @Test
  void facesInTheDiesShadowFallFromTheDieToTheRoom() {
    StackCase now = Stacks.lidded();
    LiveStack live = new LiveStack(now, 0.002, SolveWatch.NONE);
    assertThatThrownBy(() -> live.layersOver(List.of(DIE)))
        .isInstanceOf(IllegalStateException.class);
    StackSolution solved = live.update(now, SolveWatch.NONE);
    List<StackSolution.Layer> shadow = live.layersOver(List.of(DIE));
    double last = solved.peakCelsius();
    for (StackSolution.Layer face : shadow) {
      // Without contact resistance the faces of neighbours are one, but for what cells leave.
      assertThat(face.bottomMeanCelsius()).isLessThan(last + 0.02);
      assertThat(face.topMeanCelsius()).isLessThan(face.bottomMeanCelsius());
      last = face.topMeanCelsius();
    }
    assertThat(shadow.get(0).topMeanCelsius())
        .isCloseTo(solved.layers().get(0).topMeanCelsius(), within(1e-6));
    assertThat(live.layersOver(List.of(LID)).get(2).topMeanCelsius())
        .isCloseTo(solved.layers().get(2).topMeanCelsius(), within(1e-6));
    assertThat(shadow.get(2).topMeanCelsius())
        .isGreaterThan(solved.layers().get(2).topMeanCelsius());
    for (int solid : new int[] {0, 2}) {
      assertThat(live.topOver(solid, List.of(DIE)))
          .isCloseTo(shadow.get(solid).topMeanCelsius(), within(1e-9));
    }
    assertThat(live.layersOver(List.of()).get(0).topMeanCelsius()).isNaN();
  }

  @Test
  void anotherGeometryNeedsOtherGrids() {
    LiveStack live = new LiveStack(Stacks.lidded(), 0.005, SolveWatch.NONE);
    StackCase other = Stacks.lidded().withLayer(2, StackLayer.solid("lid", 401, LID, 3000));
    assertThatThrownBy(() -> live.update(other, SolveWatch.NONE))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
