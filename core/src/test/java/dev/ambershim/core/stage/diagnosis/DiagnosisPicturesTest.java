package dev.ambershim.core.stage.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import dev.ambershim.core.base.Notation;
import dev.ambershim.core.physics.conduction.StackCase;
import dev.ambershim.core.picture.Mark;
import dev.ambershim.core.picture.Picture;
import dev.ambershim.core.runs.causes.CauseKind;
import dev.ambershim.core.stage.practise.HiddenChip;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Pictures of causes: everything lies within, and what is meant is there. */
class DiagnosisPicturesTest {
  private static final StackCase STACK =
      HiddenChip.drawn(5, CauseKind.AS_IT_SHOULD_BE, 4, true, false).believed();

  private static Cause cause(CauseKind kind, double probability, Shape shape) {
    return new Cause(
        kind,
        kind.inJoint() ? Optional.of("outer joint") : Optional.empty(),
        probability,
        4,
        shape,
        -1);
  }

  private static void within(Picture picture) {
    for (Mark mark : picture.marks()) {
      if (mark instanceof Mark.Box b) {
        inside(picture, b.x(), b.y());
        inside(picture, b.x() + b.width(), b.y() + b.height());
      } else if (mark instanceof Mark.Raster r) {
        inside(picture, r.x(), r.y());
        inside(picture, r.x() + r.width(), r.y() + r.height());
      } else if (mark instanceof Mark.Words w) {
        inside(picture, w.x(), w.y());
      } else if (mark instanceof Mark.Band band) {
        for (int i = 0; i < band.xs().length; i++) {
          inside(picture, band.xs()[i], band.tops()[i]);
          inside(picture, band.xs()[i], band.bottoms()[i]);
        }
      }
    }
  }

  private static void inside(Picture picture, double x, double y) {
    assertThat(x).isBetween(-0.5, picture.width() + 0.5);
    assertThat(y).isBetween(-0.5, picture.height() + 0.5);
  }

  private static List<String> words(Picture picture) {
    return picture.marks().stream()
        .filter(Mark.Words.class::isInstance)
        .map(m -> ((Mark.Words) m).text())
        .toList();
  }

  @Test
  void causesAreBarsWithTheirFigures() {
    List<Cause> causes =
        List.of(
            cause(CauseKind.COOLER_WEAK, 0.6, Shape.NONE),
            cause(CauseKind.TOO_THICK, 0.3, Shape.NONE),
            cause(CauseKind.AS_IT_SHOULD_BE, 0.09, Shape.NONE),
            cause(CauseKind.SENSOR_OFF, 0.004, Shape.NONE));
    DiagnosisWords words = new DiagnosisWords(Notation.METRIC, List.of("core 0"));
    Picture picture = CausesPicture.of(causes, words, Notation.METRIC, 700);
    within(picture);
    assertThat(words(picture))
        .contains("cooler weak", "60 %, 4.0 K", "outer joint too thick", "9 %")
        .doesNotContain("sensor off");
    assertThat(picture.description()).contains("The cooler is weak: 60 %.");
    within(CausesPicture.of(causes, words, Notation.METRIC, 360));
  }

  private static JointMap map(double seen) {
    double[] places = {-4, 0, 4};
    double[][] thick = {{30, 40, 50}, {30, 45, 60}, {30, 50, 70}};
    double[][] all = new double[3][3];
    for (double[] row : all) {
      Arrays.fill(row, seen);
    }
    return new JointMap("inner joint", places, places, thick, all, 40, 0.2);
  }

  @Test
  void whatIsNotSeenIsNotColoured() {
    Picture seen = JointMapPicture.of(List.of(map(0.9)), STACK.heat(), Notation.METRIC, 400, 260);
    Picture unseen = JointMapPicture.of(List.of(map(0.1)), STACK.heat(), Notation.METRIC, 400, 260);
    assertThat(words(seen)).contains("inner joint", "30 to 70 µm, should be 40");
    assertThat(words(seen)).contains("6.0 to 14.0 K of the cores' rise at full load");
    assertThat(words(unseen)).contains("The readings do not see it place by place");
    // The scale is all that is left in colour.
    assertThat(unseen.marks()).filteredOn(Mark.Raster.class::isInstance).hasSize(1);
    assertThat(seen.marks()).filteredOn(Mark.Raster.class::isInstance).hasSizeGreaterThan(10);
    assertThat(seen.description()).contains("seen over 100 % of it");
    within(seen);
    within(unseen);
  }

  @Test
  void bothSidesOfTheWorkStandBesideEachOther() {
    Picture sides =
        JointMapPicture.of(
            List.of(map(0.9)), List.of(map(0.8)), STACK.heat(), Notation.METRIC, 600, 260);
    assertThat(words(sides)).contains("inner joint before", "inner joint after");
    within(sides);
  }

  @Test
  void aFaultIsDrawnWhereItLies() {
    Shape tilt = new Shape(Shape.Form.PLANE, 1, new double[] {2, 0.2, 1.8}, new double[3]);
    Picture tilted =
        FaultPicture.of(STACK, cause(CauseKind.TILTED, 0.9, tilt), "Tilted", Notation.METRIC, 700);
    within(tilted);
    assertThat(words(tilted)).contains("Tilted", "outer joint", "cold plate", "lid", "die");
    assertThat(words(tilted)).anyMatch(w -> w.startsWith("front on the left"));
    Mark.Band plate = (Mark.Band) last(tilted);
    assertThat(plate.tops()[0]).isGreaterThan(plate.tops()[plate.tops().length - 1] + 5);

    Shape gap = new Shape(Shape.Form.GAP, 1, new double[] {6, 1, 3, 2}, new double[4]);
    Picture hollow =
        FaultPicture.of(STACK, cause(CauseKind.GAP, 0.9, gap), "Gap", Notation.METRIC, 700);
    within(hollow);
    assertThat(words(hollow)).contains("gap");
    assertThat(hollow.description()).contains("about 6.0 mm across");
    Mark.Box hole =
        hollow.marks().stream()
            .filter(Mark.Box.class::isInstance)
            .map(Mark.Box.class::cast)
            .findFirst()
            .orElseThrow();
    assertThat(hole.x() + hole.width() / 2).isGreaterThan(350);

    Shape thick = new Shape(Shape.Form.EVEN, 1, new double[] {30}, new double[1]);
    within(
        FaultPicture.of(
            STACK, cause(CauseKind.TOO_THICK, 0.9, thick), "Thick", Notation.METRIC, 500));
  }

  private static Mark last(Picture picture) {
    return picture.marks().stream()
        .filter(Mark.Band.class::isInstance)
        .reduce((a, b) -> b)
        .orElseThrow();
  }
}
