package dev.ambershim.core.physics.modes;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.ambershim.core.physics.conduction.HeatSource;
import dev.ambershim.core.physics.conduction.Patch;
import dev.ambershim.core.physics.conduction.SolveWatch;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.physics.conduction.StackLayer;
import dev.ambershim.core.physics.conduction.StackSection;
import dev.ambershim.core.physics.conduction.StackSection.Piece;
import dev.ambershim.core.physics.conduction.Stacks;
import java.util.List;
import org.junit.jupiter.api.Test;

class SectionFieldTest {
  private static StackSection cut(StackCase stack, double y, int columns, int rows) {
    LiveStack live = new LiveStack(stack, 0.001, SolveWatch.NONE);
    live.update(stack, SolveWatch.NONE);
    return live.section(y, columns, rows).orElseThrow();
  }

  /** Incropera &amp; DeWitt, section 3.1: in a plane wall the temperature goes straight. */
  @Test
  void aCompositeWallFallsStraight() {
    Patch face = new Patch(3, -2, 20, 10);
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, face, 700),
                StackLayer.joint("joint", 5, face, 50),
                StackLayer.solid("lid", 401, face, 2500)),
            List.of(HeatSource.steady("all", face, 100)),
            8000,
            25);
    StackSection section = cut(stack, -2, 11, 6);
    double flux = 100 / 200e-6;
    Piece lid = section.pieces().get(1);
    assertThat(lid.layer()).isEqualTo("lid");
    assertThat(lid.heightMillimetres()[0]).isCloseTo(0.75, within(1e-12));
    assertThat(lid.heightMillimetres()[5]).isCloseTo(3.25, within(1e-12));
    assertThat(lid.xMillimetres()[0]).isCloseTo(-7, within(1e-9));
    for (int k = 0; k < 6; k++) {
      double above = 2500e-6 * (1 - k / 5.0);
      assertThat(lid.celsius()[4][k])
          .isCloseTo(25 + flux * (1 / 8000.0 + above / 401), within(1e-6));
      double inDie = 700e-6 * (1 - k / 5.0);
      assertThat(section.pieces().get(0).celsius()[7][k])
          .isCloseTo(
              25 + flux * (1 / 8000.0 + 2500e-6 / 401 + 50e-6 / 5 + inDie / 120), within(1e-5));
    }
  }

  /** Inside a solid heat is neither made nor lost: each place is the mean of those around it. */
  @Test
  void insideASolidLaplacesEquationHolds() {
    StackCase stack = Stacks.lidded();
    double step = 0.25;
    int rows = 9;
    LiveStack live = new LiveStack(stack, 0.001, SolveWatch.NONE);
    live.update(stack, SolveWatch.NONE);
    Piece lid = piece(live.section(1, 137, rows).orElseThrow(), "lid");
    Piece before = piece(live.section(1 - step, 137, rows).orElseThrow(), "lid");
    Piece behind = piece(live.section(1 + step, 137, rows).orElseThrow(), "lid");
    double dx = lid.xMillimetres()[1] - lid.xMillimetres()[0];
    double dz = lid.heightMillimetres()[1] - lid.heightMillimetres()[0];
    double[][] t = lid.celsius();
    int middle = rows / 2;
    for (int i = 20; i < 117; i += 8) {
      double bendX = (t[i - 1][middle] - 2 * t[i][middle] + t[i + 1][middle]) / (dx * dx);
      double bendY =
          (before.celsius()[i][middle] - 2 * t[i][middle] + behind.celsius()[i][middle])
              / (step * step);
      double bendZ = (t[i][middle - 1] - 2 * t[i][middle] + t[i][middle + 1]) / (dz * dz);
      double largest = Math.max(Math.abs(bendX), Math.max(Math.abs(bendY), Math.abs(bendZ)));
      assertThat(bendX + bendY + bendZ)
          .as("at %.1f mm", lid.xMillimetres()[i])
          .isCloseTo(0, within(0.06 * largest + 0.02));
    }
  }

  @Test
  void aCutMeetsOnlyTheDiesThatLieInIt() {
    Patch left = new Patch(-8, -4, 8, 6);
    Patch right = new Patch(8, 4, 8, 6);
    Patch plate = new Patch(0, 0, 40, 40);
    StackCase stack =
        new StackCase(
            List.of(
                StackLayer.solid("die", 120, left, 700).over(List.of(left, right)),
                StackLayer.joint("bare joint", 20, left, 50).over(List.of(left, right)),
                StackLayer.solid("cold plate", 401, plate, 4000)),
            List.of(HeatSource.steady("one", left, 60), HeatSource.steady("two", right, 40)),
            9000,
            25);
    assertThat(cut(stack, -4, 9, 5).pieces())
        .extracting(Piece::layer)
        .containsExactly("die", "cold plate");
    assertThat(cut(stack, 0, 9, 5).pieces()).extracting(Piece::layer).containsExactly("cold plate");
  }

  private static Piece piece(StackSection section, String layer) {
    return section.pieces().stream().filter(p -> p.layer().equals(layer)).findFirst().orElseThrow();
  }
}
