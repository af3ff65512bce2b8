package dev.ambershim.core.physics.multigrid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSolution;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** A stack that is solved again and again as figures change. */
class LiveCellsTest {
  private static final Patch DIE = new Patch(0, 0, 10, 16);
  private static final Patch LID = new Patch(0, 0, 32, 32);

  private static StackCase stack(double joint, double film, double first) {
    List<HeatSource> heat = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      Patch core = new Patch(i % 2 == 0 ? -2.5 : 2.5, i < 2 ? -4 : 4, 4, 6);
      heat.add(HeatSource.steady("core " + i, core, i == 0 ? first : 25));
    }
    return new StackCase(
        List.of(
            StackLayer.solid("die", 120, DIE, 700),
            StackLayer.joint("inner joint", 5, DIE, joint),
            StackLayer.solid("lid", 401, LID, 2200),
            StackLayer.joint("outer joint", 5, LID, 50),
            StackLayer.solid("cold plate", 401, new Patch(0, 0, 50, 50), 4000)),
        heat,
        film,
        25);
  }

  @Test
  void aPictureIsRightToAHundredthOfAKelvinHoweverTheSlidersWent() {
    LiveCells live = new LiveCells(stack(60, 8000, 25), 12_000, Team.alone());
    Random random = new Random(5);
    for (int i = 0; i < 15; i++) {
      StackCase now =
          stack(
              15 + 100 * random.nextDouble(),
              2000 + 20_000 * random.nextDouble(),
              60 * random.nextDouble());
      StackSolution quick = live.update(now, LiveCells.FOR_A_PICTURE, SolveWatch.NONE);
      StackSolution fine = new LiveCells(now, 12_000, Team.alone()).update(now, SolveWatch.NONE);
      assertThat(quick.peakCelsius()).isCloseTo(fine.peakCelsius(), within(0.01));
      for (int s = 0; s < 4; s++) {
        assertThat(quick.sources().get(s).meanCelsius())
            .isCloseTo(fine.sources().get(s).meanCelsius(), within(0.01));
      }
    }
  }

  @Test
  void facesInTheDiesShadowFallFromTheDieToTheRoom() {
    StackCase now = stack(60, 8000, 25);
    LiveCells live = new LiveCells(now, 12_000, Team.alone());
    assertThatThrownBy(() -> live.layersOver(List.of(DIE)))
        .isInstanceOf(IllegalStateException.class);
    StackSolution solved = live.update(now, SolveWatch.NONE);
    List<StackSolution.Layer> shadow = live.layersOver(List.of(DIE));
    double last = solved.peakCelsius();
    for (StackSolution.Layer face : shadow) {
      // Without contact resistance the faces of neighbours are one, to the last digits.
      assertThat(face.bottomMeanCelsius()).isLessThan(last + 1e-6);
      assertThat(face.topMeanCelsius()).isLessThan(face.bottomMeanCelsius());
      last = face.topMeanCelsius();
    }
    // Over its whole footprint the shadow is the layer itself; over none it is nothing.
    assertThat(shadow.get(0)).isEqualTo(solved.layers().get(0));
    assertThat(live.layersOver(List.of(LID)).get(2)).isEqualTo(solved.layers().get(2));
    assertThat(shadow.get(2).topMeanCelsius())
        .isGreaterThan(solved.layers().get(2).topMeanCelsius());
    assertThat(live.layersOver(List.of()).get(0).topMeanCelsius()).isNaN();
  }

  @Test
  void anotherGeometryNeedsAnotherGrid() {
    LiveCells live = new LiveCells(stack(60, 8000, 25), 8_000, Team.alone());
    StackCase other = stack(60, 8000, 25).withLayer(2, StackLayer.solid("lid", 401, LID, 3000));
    assertThatThrownBy(() -> live.update(other, SolveWatch.NONE))
        .isInstanceOf(IllegalArgumentException.class);
    assertThat(LiveCells.sameGeometry(stack(60, 8000, 25), stack(20, 3000, 50))).isTrue();
  }
}
