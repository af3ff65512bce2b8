package dev.ambershim.desktop.demo;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.assembly.StartingPoint;
import dev.ambershim.core.physics.fit.Heights;
import dev.ambershim.core.physics.surface.Face;
import dev.ambershim.core.physics.surface.FaceReport;
import dev.ambershim.core.physics.surface.Shape;
import dev.ambershim.core.physics.surface.Surfaces;
import dev.ambershim.core.stage.measure.FitAnswer;
import dev.ambershim.core.stage.measure.FitWords;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** The story that the demo's measurements tell. */
class DemoFacesTest {
  private static String first(Heights heights) {
    FitAnswer fit =
        FitAnswer.of(heights, StartingPoint.cooler(), Notation.METRIC, 20_000, Runnable::run);
    return FitWords.first(fit, Notation.METRIC).sentence();
  }

  private static FaceReport judged(Surfaces surfaces, Face face, boolean last) {
    return FaceReport.of(
        (last ? surfaces.latest(face) : surfaces.first(face)).orElseThrow().points(),
        Optional.empty());
  }

  @Test
  void sorrelsLidIsHollowAndAPassHasBegunToBringItsRimDown() {
    assertThat(first(DemoFaces.sorrelHeights())).startsWith("The die touches first");
    FaceReport before = judged(DemoFaces.sorrelSurfaces(), Face.LID_TOP, false);
    FaceReport after = judged(DemoFaces.sorrelSurfaces(), Face.LID_TOP, true);
    assertThat(before.form().shape()).isEqualTo(Shape.CONCAVE);
    assertThat(before.form().bowMicrometres()).isBetween(-60.0, -40.0);
    assertThat(after.flatness().zoneMicrometres())
        .isLessThan(0.8 * before.flatness().zoneMicrometres());
    assertThat(before.fromRepeats()).isTrue();
    assertThat(judged(DemoFaces.sorrelSurfaces(), Face.PLATE, true).form().shape())
        .isEqualTo(Shape.CONVEX);
  }

  @Test
  void fennelsShimIsTooProudUntilItIsSanded() {
    assertThat(first(DemoFaces.fennelHeights()))
        .startsWith("The shim touches before the die: the hub die stands")
        .contains("off it");
    assertThat(judged(DemoFaces.fennelSurfaces(), Face.DIE, true).flatness().zoneMicrometres())
        .isLessThan(8);
  }
}
